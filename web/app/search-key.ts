/*
 * Ctrl+K (on a Mac Cmd+K) finds anything. What opens then arrives after the first screen: pressed before that, the key
 * must neither get lost nor do what the browser does with it.
 */
let wanted = false;
let tell: (() => void) | null = null;

const hear = (event: KeyboardEvent) => {
  if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey || event.shiftKey) return;
  event.preventDefault();
  if (tell) tell();
  else wanted = true;
};

/** Hears the key from now on, until what is returned is called. */
export function hearSearchKey(): () => void {
  document.addEventListener('keydown', hear);
  return () => {
    document.removeEventListener('keydown', hear);
    wanted = false;
  };
}

/** Tells of the key, and at once when it was pressed before anybody listened; until what is returned is called. */
export function onSearchKey(listen: () => void): () => void {
  tell = listen;
  if (wanted) listen();
  wanted = false;
  return () => {
    if (tell === listen) tell = null;
  };
}
