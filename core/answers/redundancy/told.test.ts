import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { METRIC, renderSentence, type Sentence } from '../../foundations/finding/index.ts';
import { told } from '../../foundations/finding/told.test-help.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import { rappelDoubleFaulty, variedSetups } from '../../samples/index.ts';
import { hanging, holdsFromRig, minimalCutSets, singlePointsOf } from './index.ts';

/*
 * What holds whom, what can let go and what together leaves nothing, as it was read through for every job: does it hang
 * together as one would say it standing in front of it?
 */

const say = (sentence: Sentence) => renderSentence(sentence, METRIC).replace(/[\u202f\u00a0]/g, ' ');

function lines(setup: Setup): string[] {
  const { findings } = assess(setup);
  const ctx = contextOf(setup);
  return hanging(ctx).flatMap((person) => {
    const model = holdsFromRig(ctx, person, findings);
    return [
      `${person.role}:`,
      ...model.holds.map((h) => `  holds: ${h.label}${h.hand ? ' (by hand)' : ''} needs ${h.needs.join(' ')}`),
      ...model.noHolds.map((h) => `  does not count: ${h.label}: ${say(h.because)}`),
      ...model.faults.map((f) => `  fault ${f.id} (${f.part}${f.basic ? '' : ', follows'}): ${f.says}`),
      ...model.consequences.map((c) => `  ${c.when.join(' + ')} -> ${c.then}: ${say(c.because)}`),
      ...model.causes.map((c) => `  common cause ${JSON.stringify(c)}`),
      `  nothing holds after: ${minimalCutSets(model, 2)
        .map((set) => set.join(' + '))
        .join('; ')}`,
      ...singlePointsOf(ctx, model, findings).map(
        (p) => `  single point ${p.fault.id}: ${p.accepted ? 'accepted' : 'not accepted'}, ${p.inspect}`,
      ),
    ];
  });
}

describe('what holds', () => {
  it('every line once, under the first of which it is said', () => {
    const before = new Set<string>();
    const here = [...variedSetups(), { name: 'a faulty set-up', setup: rappelDoubleFaulty }].map(({ name, setup }) => {
      const fresh = lines(setup).filter((line) => !before.has(line));
      fresh.forEach((line) => before.add(line));
      return [name, fresh.join('\n')] as const;
    });
    expect(Object.fromEntries(here.filter(([, fresh]) => fresh !== ''))).toMatchSnapshot();
  });
  it('what is found about it', () => {
    const about = variedSetups().flatMap(({ setup }) =>
      assess(setup).findings.filter((f) => f.code.startsWith('hold.')),
    );
    expect([...new Set(about.map((f) => told([f])))].join('\n')).toMatchSnapshot();
  });
});
