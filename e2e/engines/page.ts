import { until, type Driver } from './driver.ts';

/** In the page: the first visible thing of a role with a name, brought to where it can be pressed. */
const FIND = `(role, pattern, within) => {
  const kinds = {
    button: 'button, [role="button"], summary',
    link: 'a[href]',
    radio: 'input[type="radio"]',
    field: 'input:not([type="radio"]):not([type="checkbox"]):not([type="file"]), select, textarea',
    heading: 'h1, h2, h3',
    text: 'p, span, dd, dt, li, h1, h2, h3, td, figcaption, label, strong, text, summary',
    grip: '[role="slider"]',
  };
  const wanted = new RegExp(pattern);
  const root = within ? document.querySelector(within) : document;
  if (!root) return null;
  const textOf = (e) => (e.innerText ?? e.textContent ?? '').replace(/\\s+/g, ' ').trim();
  const nameOf = (e) => {
    const label = e.getAttribute('aria-label');
    if (label) return label;
    if (e.labels && e.labels.length > 0) return textOf(e.labels[0]);
    return textOf(e);
  };
  for (const e of root.querySelectorAll(kinds[role])) {
    if (!wanted.test(nameOf(e))) continue;
    const shown = role === 'radio' ? (e.labels?.[0] ?? e) : e;
    if (shown.getClientRects().length === 0 || e.disabled) continue;
    shown.scrollIntoView({ block: 'center', inline: 'center', behavior: 'instant' });
    const box = shown.getBoundingClientRect();
    return { x: Math.round(box.left + box.width / 2), y: Math.round(box.top + box.height / 2), text: nameOf(e), value: e.value ?? '' };
  }
  return null;
}`;

type Role = 'button' | 'link' | 'radio' | 'field' | 'heading' | 'text' | 'grip';
interface Found {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly value: string;
}
const escaped = (name: string) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const patternOf = (name: string | RegExp) => (typeof name === 'string' ? `^${escaped(name)}$` : name.source);

/** Looks in a row at which something has not moved: parts of the page come one after the other. */
const STILL = 3;

/** A page as somebody uses it who reads and points, in whatever engine. */
export function pageOf(driver: Driver) {
  const find = (role: Role, name: string | RegExp, within: string | null = null) =>
    driver.run<Found | null>(FIND, [role, patternOf(name), within]);
  const see = (role: Role, name: string | RegExp, within: string | null = null) =>
    until(`${role} ${String(name)}`, () => find(role, name, within));
  /** Where something stands once it has come to rest. */
  const rest = async (role: Role, name: string | RegExp, within: string | null = null): Promise<Found> => {
    let before = await see(role, name, within);
    let stillFor = 0;
    return until(`${role} ${String(name)} at rest`, async () => {
      const now = await find(role, name, within);
      stillFor = now?.x === before.x && now.y === before.y ? stillFor + 1 : 0;
      before = now ?? before;
      return stillFor >= STILL ? now : null;
    });
  };
  return {
    driver,
    find,
    see,
    gone: (role: Role, name: string | RegExp) =>
      until(`${role} ${String(name)} gone`, async () => (await find(role, name)) === null),
    press: async (role: Role, name: string | RegExp, within: string | null = null) => {
      await driver.point([await rest(role, name, within)]);
    },
    fill: async (name: string | RegExp, text: string) => {
      await driver.point([await rest('field', name)]);
      await driver.run('() => document.activeElement.select?.()', []);
      await driver.type(text);
      await until(`“${text}” in ${String(name)}`, async () => (await find('field', name))?.value === text);
    },
    at: (pattern: RegExp) =>
      until(`address ${pattern.source}`, async () => {
        const path = await driver.run<string>('() => location.pathname + location.search', []);
        return pattern.test(path) ? path : null;
      }),
    saved: () =>
      until('Saved', () =>
        driver.run<boolean>(
          `() => /Saved/.test(document.querySelector('[data-testid="save-state"]')?.textContent ?? '')`,
          [],
        ),
      ),
    verdict: () =>
      until('a verdict', () =>
        driver.run<string | null>(`() => document.querySelector('[data-testid="verdict"]')?.innerText ?? null`, []),
      ),
  };
}
export type Page = ReturnType<typeof pageOf>;
