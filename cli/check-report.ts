import { assess } from '../core/answers/assess/index.ts';
import {
  buildCheck,
  changedOver,
  CHECK_DEPTHS,
  costOf,
  itemsOfFourLooks,
  itemsOfNextGo,
  looksOf,
  SINCE,
  sincesFor,
  turnsRound,
  type CheckDepth,
  type CheckItem,
  type Since,
} from '../core/answers/check/index.ts';
import { fillTemplate, METRIC } from '../core/foundations/finding/index.ts';
import type { Setup } from '../core/rigs/rig/index.ts';

export const CHECK_OPTIONS = ['depth', 'since'] as const;

const described = (item: CheckItem) => {
  const say = (text: string) => fillTemplate(text, item.numbers, METRIC);
  return {
    id: item.id,
    part: item.part,
    kind: item.kind,
    look: say(item.look),
    touch: say(item.touch),
    question: say(item.question),
    expected: say(item.expected),
    others: item.others.map(say),
    why: say(item.why),
    sources: item.sources,
  };
};

type Report = { readonly ok: true; readonly report: object } | { readonly ok: false; readonly says: string };

const oneOf = <T extends string>(name: string, read: string, known: readonly T[]): T | { says: string } =>
  known.find((k) => k === read) ?? { says: `--${name}: read "${read}"; it is one of ${known.join(', ')}` };

interface Asked {
  readonly depth: CheckDepth;
  readonly since: Since | null;
}

/** What is asked for, or what is wrong with it. */
function askedFor(setup: Setup, given: Readonly<Record<string, string>>): Asked | { readonly says: string } {
  const depth = oneOf('depth', given.depth ?? 'whole', Object.keys(CHECK_DEPTHS) as CheckDepth[]);
  if (typeof depth === 'object') return depth;
  if (depth !== 'next-go')
    return given.since === undefined ? { depth, since: null } : { says: '--since goes with --depth next-go' };
  const sinces = sincesFor(setup);
  if (sinces.length === 0) return { says: 'a rescue is checked whole every time' };
  const since = oneOf('since', given.since ?? 'same', sinces);
  return typeof since === 'object' ? since : { depth, since };
}

/**
 * The items of a check of this set-up at a depth, with what it takes the slower of two: things, words and seconds. A
 * next go is taken as if the whole check before it had gone well.
 */
export function checkReport(setup: Setup, given: Readonly<Record<string, string>>): Report {
  const asked = askedFor(setup, given);
  if ('says' in asked) return { ok: false, says: asked.says };
  const { depth, since } = asked;
  const of = since && turnsRound(since) ? changedOver(setup)! : setup;
  const { verdict, findings } = assess(of);
  const items = itemsAt(depth, since, of, buildCheck(of, findings));
  const { things, words, seconds } = costOf(items, depth, of);
  return {
    ok: true,
    report: {
      verdict,
      depth,
      ...(since ? { since: SINCE[since] } : {}),
      things,
      words,
      seconds: Math.round(seconds),
      looks: looksOf(items).map((look) => ({ title: look[0]!.title, items: look.map(described) })),
    },
  };
}

function itemsAt(depth: CheckDepth, since: Since | null, setup: Setup, whole: readonly CheckItem[]): CheckItem[] {
  if (since) {
    const known = new Set(whole.map((i) => i.id));
    return itemsOfNextGo(whole, setup, since, { known, failed: new Set() });
  }
  return depth === 'four-looks' ? itemsOfFourLooks(whole, new Set()) : [...whole];
}
