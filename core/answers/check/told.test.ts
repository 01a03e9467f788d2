import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { fillTemplate, METRIC } from '../../foundations/finding/index.ts';
import { notRigged, type Setup } from '../../rigs/rig/index.ts';
import { changed, filled, rappelDouble, rappelDoubleFaulty, SETUPS, variedSetups } from '../../samples/index.ts';
import { buildCheck, type CheckItem } from './index.ts';

/*
 * Every question of every check as it was read through: is it one thing that is seen or counted, is the right answer
 * the right one, are the others what somebody would really find, and does it say truly what follows?
 */

function asked(item: CheckItem): string {
  const say = (text: string) => fillTemplate(text, item.numbers, METRIC).replace(/[\u202f\u00a0]/g, ' ');
  return [
    `${item.id} [${item.kind}] ${item.part}: ${item.title}`,
    `  ${say(item.look)}${item.touch ? ` | ${say(item.touch)}` : ''}`,
    `  ${say(item.question)}  ${say(item.expected)}  / ${item.others.map(say).join(' / ')}`,
    `  ${say(item.why)}`,
    `  ${item.sources.join(' ')}`,
  ].join('\n');
}
const list = (setup: Setup) => buildCheck(setup, assess(setup).findings).map(asked);

describe('what the check asks', () => {
  it('every text once, under the first that asks it', () => {
    const before = new Set<string>();
    const here = variedSetups().map(({ name, setup }) => {
      const texts = list(setup).filter((text) => !before.has(text));
      texts.forEach((text) => before.add(text));
      return [name, texts.join('\n')] as const;
    });
    expect(Object.fromEntries(here.filter(([, texts]) => texts !== ''))).toMatchSnapshot();
  });
  it('in this order', () => {
    expect(
      Object.fromEntries(
        Object.entries(SETUPS).map(([name, setup]) => [
          name,
          buildCheck(filled(setup), assess(filled(setup)).findings)
            .map((item) => item.id)
            .join(' '),
        ]),
      ),
    ).toMatchSnapshot();
  });

  it.each<[string, Setup]>([
    ['a faulty set-up', rappelDoubleFaulty],
    ['a set-up of which nothing was said', notRigged(rappelDouble)],
    ['an icy rope', changed(rappelDouble, { site: { weather: 'icy' } })],
    ['ends open', changed(rappelDouble, { ends: { state: 'open' } })],
    ['a textile anchor on one point', changed(rappelDouble, { anchor: { through: 'textile', points: 'one' } })],
  ])('%s', (_, setup) => {
    // Made here: what is made while tests are collected is no test's.
    const usual = new Set(list(rappelDouble));
    expect(
      list(setup)
        .filter((text) => !usual.has(text))
        .join('\n'),
    ).toMatchSnapshot();
  });
});
