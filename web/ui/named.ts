/** Characters that a name may have, in every document. */
const MOST = 80;
const letters = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/**
 * A name with something behind it, both together no longer than a name may be; no letter, no flag and no accent is cut
 * in half.
 */
export function named(name: string, behind = ''): string {
  const room = MOST - behind.length;
  if (name.length <= room) return name + behind;
  let cut = '';
  for (const { segment } of letters.segment(name)) {
    if (cut.length + segment.length > room) break;
    cut += segment;
  }
  return cut.trimEnd() + behind;
}
