/**
 * FNV-1a over a text, 32 bit: the same text gives the same number, and texts that differ a little give numbers that
 * differ. It keeps nothing secret.
 */
export function spread(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return h >>> 0;
}
