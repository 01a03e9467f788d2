/** One place above the one that is shown. */
export interface Crumb {
  readonly label: string;
  readonly to: string;
}

interface Named {
  readonly id: string;
  readonly name: string;
}
interface Names {
  readonly items: readonly Named[];
  readonly people: readonly Named[];
  readonly setups: readonly Named[];
  readonly sequences: readonly Named[];
}

const PLACES: Readonly<Record<string, string>> = {
  setups: 'Set-ups',
  steps: 'Steps',
  locker: 'Locker',
  log: 'Log',
};

/**
 * The places above a page, the outermost first; what the page itself is stands in its heading. Empty for a place of the
 * first row.
 */
export function trailOf(pathname: string, names: Names): Crumb[] {
  const [workspace, place, ...rest] = pathname.split('/').filter(Boolean);
  const label = place ? PLACES[place] : undefined;
  if (!workspace || !place || !label || rest.length === 0) return [];
  const root = `/${workspace}/${place}`;
  const crumbs: Crumb[] = [{ label, to: root }];
  // In the locker a kind stands before the thing, and has no page of its own.
  const at = place === 'locker' ? 1 : 0;
  const id = rest[at];
  const thing = [...names.setups, ...names.sequences, ...names.items, ...names.people].find((x) => x.id === id);
  if (thing && rest.length > at + 1)
    crumbs.push({ label: thing.name, to: `${root}/${rest.slice(0, at + 1).join('/')}` });
  return crumbs;
}
