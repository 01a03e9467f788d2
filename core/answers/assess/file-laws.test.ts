import { describe, expect, it } from 'vitest';
import { readDocument, writeSetup } from '../../records/files/index.ts';
import { SEVERITIES, type Severity } from '../../foundations/finding/index.ts';
import type { Attachment, Setup } from '../../rigs/rig/index.ts';
import { variedSetups } from '../../samples/index.ts';
import { assess } from './index.ts';

/*
 * What no form offers and a file, a link or a code can say. Each change is written as a file and read back; what
 * reading refuses is told there, with its path, and needs no verdict.
 */

const read = (setup: Setup): Setup | null => {
  const result = readDocument(writeSetup(setup));
  return result.ok && result.value.kind === 'setup' ? result.value.setup : null;
};
const rank = (s: Severity) => SEVERITIES.indexOf(s);
const verdict = (setup: Setup) => assess(setup).verdict;

const without = (setup: Setup, id: string): Setup => ({
  ...setup,
  attachments: setup.attachments.filter((a) => a.id !== id),
  along: Object.fromEntries(Object.entries(setup.along).map(([l, ids]) => [l, ids.filter((x) => x !== id)])),
});
const withAttachment = (setup: Setup, id: string, next: Attachment): Setup => ({
  ...setup,
  attachments: setup.attachments.map((a) => (a.id === id ? next : a)),
});
/** What carries somebody by the harness: a device, a hitch or a knot that is named as doing so. */
const carrying = (setup: Setup): Attachment[] =>
  setup.attachments.filter((a) => a.use === 'carries' && a.root.kind === 'harness');

/** Ways to write a carrying attachment worse than it is. */
const WORSE: Readonly<Record<string, (a: Attachment, setup: Setup) => Setup>> = {
  'left out': (a, setup) => without(setup, a.id),
  'called an aid': (a, setup) => withAttachment(setup, a.id, { ...a, use: 'aid' }),
  ...Object.fromEntries(
    (['foot', 'knee', 'side', 'chest', 'leg-loop'] as const).map((point) => [
      `on the harness at ${point}`,
      (a: Attachment, setup: Setup) =>
        a.root.kind === 'harness' ? withAttachment(setup, a.id, { ...a, root: { ...a.root, point } }) : setup,
    ]),
  ),
  'without its connectors': (a, setup) => withAttachment(setup, a.id, { ...a, pieces: [] }),
  'in nobody’s hand': (a, setup) =>
    a.end.kind === 'device' ? withAttachment(setup, a.id, { ...a, end: { ...a.end, hand: null } }) : setup,
  'on somebody else': (a, setup) => {
    const other = setup.persons.find((p) => a.root.kind === 'harness' && p.id !== a.root.person);
    return other && a.root.kind === 'harness'
      ? withAttachment(setup, a.id, { ...a, root: { ...a.root, person: other.id } })
      : setup;
  },
};

describe('a set-up that is written by hand', () => {
  const setups = variedSetups();
  it('read back from a file says what it said before', () => {
    for (const { name, setup } of setups) expect(assess(read(setup)!), name).toEqual(assess(setup));
  });
  it.each(Object.keys(WORSE))('%s: never better, and never without a fault', (how) => {
    let judged = 0;
    for (const { name, setup } of setups)
      for (const a of carrying(setup)) {
        const worse = read(WORSE[how]!(a, setup));
        // What holds by itself and needs no hand, what hangs on no connector, and a file that is refused.
        if (worse === null || JSON.stringify(worse) === JSON.stringify(read(setup))) continue;
        judged += 1;
        const [now, before] = [verdict(worse), verdict(setup)];
        expect(rank(now), `${name}, ${a.id} ${how}: ${before} to ${now}`).toBeLessThanOrEqual(rank(before));
        if (how !== 'in nobody’s hand') expect(now, `${name}, ${a.id} ${how}`).not.toBe('clear');
      }
    expect(judged).toBeGreaterThan(10);
  });
});
