import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { METRIC, renderSentence, type Sentence } from '../../foundations/finding/index.ts';
import { told } from '../../foundations/finding/told.test-help.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import type { Setup } from '../../rigs/rig/index.ts';
import { filled, rappelDoubleFaulty, SETUPS, variedSetups } from '../../samples/index.ts';
import { hanging, holdsFromRig, minimalCutSets, singlePointsOf } from './index.ts';

/*
 * What holds whom, what can let go and what together leaves nothing, as it was read through for every job: does it hang together as one would say it
 * standing in front of it?
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
  it.each(Object.keys(SETUPS) as (keyof typeof SETUPS)[])('%s', (name) => {
    expect(lines(filled(SETUPS[name])).join('\n')).toMatchSnapshot();
  });
  it('a faulty set-up', () => expect(lines(rappelDoubleFaulty).join('\n')).toMatchSnapshot());
  it('with each variation besides: every line once', () => {
    const plain = new Set(Object.values(SETUPS).flatMap((setup) => lines(filled(setup))));
    const more = variedSetups().flatMap(({ setup }) => lines(setup).filter((line) => !plain.has(line)));
    expect([...new Set(more)].join('\n')).toMatchSnapshot();
  });
  it('what is found about it', () => {
    const about = variedSetups().flatMap(({ setup }) =>
      assess(setup).findings.filter((f) => f.code.startsWith('hold.')),
    );
    expect([...new Set(about.map((f) => told([f])))].join('\n')).toMatchSnapshot();
  });
});
