const MOST = 60;

/** What was read, short enough to be told: the whole of something small, the beginning of what is large or deep. */
export function brief(value: unknown): string {
  if (value === undefined) return 'nothing';
  let text = '';
  const add = (more: string): boolean => (text += more).length <= MOST;
  /** False once there is enough. */
  const put = (x: unknown): boolean => {
    if (typeof x === 'string') return add(JSON.stringify(x.slice(0, MOST)));
    if (x === null || typeof x !== 'object') return add(String(x));
    const list = Array.isArray(x);
    if (!add(list ? '[' : '{')) return false;
    let first = true;
    for (const key in x) {
      const label = list ? '' : `${JSON.stringify(key.slice(0, MOST))}:`;
      if (!add(`${first ? '' : ','}${label}`) || !put((x as Record<string, unknown>)[key])) return false;
      first = false;
    }
    return add(list ? ']' : '}');
  };
  put(value);
  return text.length > MOST ? `${text.slice(0, MOST - 3)}...` : text;
}
