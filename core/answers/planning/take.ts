import { assess } from '../assess/index.ts';
import type { WayTest } from '../../things/connector/index.ts';
import type { ElementId } from '../../foundations/finding/index.ts';
import type { Item, Person } from '../../things/gear/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import {
  blankSetup,
  notRigged,
  wellRigged,
  withFields,
  withItem,
  type Setup,
  type Site,
  type TemplateId,
} from '../../rigs/rig/index.ts';
import { withPicks, type Pick } from './picks.ts';

/** What a plan asks: what for, where, and who. */
export interface PlanQuestion {
  readonly template: TemplateId;
  readonly site: Partial<Site>;
  /** Who stands where in the rig. */
  readonly people: Readonly<Record<ElementId, Person | null>>;
}

/** The question as a set-up in which every part is open. */
export function openSetup(
  { template, site, people }: PlanQuestion,
  own: { id: string; name: string; now: string },
): Setup {
  const blank = blankSetup(template, own);
  const placed = Object.entries(people).reduce((setup, [ref, person]) => withItem(setup, ref, person), blank);
  return withFields(placed, 'site', site);
}

/** A set-up with a combination in it, judged as if it were rigged as it is meant to be. */
export const combined = (
  open: Setup,
  picks: readonly Pick[],
  items: readonly Item[],
  tests: readonly WayTest[],
): Setup => withPicks({ ...wellRigged(open), tests: testsFor(open, picks, tests) }, picks, items);

/**
 * A combination taken over: the parts are chosen, the way of clipping is kept as planned with the own tests of it, and
 * what has to be seen at the rope stays open. What was found at that moment is kept beside it.
 */
export function take(
  open: Setup,
  picks: readonly Pick[],
  items: readonly Item[],
  tests: readonly WayTest[],
  now: string,
): Setup {
  const found = assess(combined(open, picks, items, tests)).findings;
  const rope = slotsOf(open).find((s) => s.kind === 'rope')?.ref;
  const ropeItem = items.find((i) => i.id === picks.find((p) => p.ref === rope)?.itemId);
  const marked = ropeItem?.kind === 'rope' && (ropeItem.middle === 'marked' || ropeItem.middle === 'bicolour');
  const taken: Setup = {
    ...notRigged(withPicks(open, picks, items)),
    tests: testsFor(open, picks, tests),
    taken: { at: now, findings: structuredClone(found) as NonNullable<Setup['taken']>['findings'] },
    updatedAt: now,
  };
  const doubled = taken.lines.find((l) => l.kind === 'doubled');
  return doubled && marked && rope ? withFields(taken, doubled.id, { middleMissM: 0.2 }) : taken;
}

/** Own tests of the connectors that were picked; those of the set-up stay. */
function testsFor(open: Setup, picks: readonly Pick[], tests: readonly WayTest[]): WayTest[] {
  const ids = new Set(picks.map((p) => p.itemId));
  const own = tests.filter((t) => ids.has(t.connectorId));
  return [...open.tests.filter((t) => !own.some((o) => o.id === t.id)), ...own];
}
