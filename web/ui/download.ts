/** Hands something to the person as a file. */
export function download(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replace(/[\\/:*?"<>|]/g, '_');
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
export const downloadText = (name: string, text: string, type = 'application/json'): void =>
  download(name, new Blob([text], { type }));
