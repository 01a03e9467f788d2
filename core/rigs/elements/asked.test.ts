import { expect, it } from 'vitest';
import type { Setup } from '../rig/index.ts';
import { variedSetups } from '../../samples/index.ts';
import { contextOf, questionsOf, slotsOf } from './index.ts';
import { byVariation } from './judged-by.test-help.ts';

/** What is asked about each element or pair, and what may be chosen for each place, a line each. */
function linesOf(setup: Setup): string[] {
  const asked = new Map<string, string[]>();
  for (const { claim } of questionsOf(contextOf(setup))) {
    const at = claim.lastIndexOf(':');
    asked.set(claim.slice(0, at), [...(asked.get(claim.slice(0, at)) ?? []), claim.slice(at + 1)]);
  }
  return [
    ...slotsOf(setup).map((s) => `${s.ref} is chosen: ${s.label}, a ${s.kind}${s.optional ? ', or nobody' : ''}`),
    ...[...asked].map(([of, questions]) => `${of}? ${questions.sort().join(', ')}`),
  ];
}

// Read when it changes: what is left out here is never asked, and nothing can say that it was not judged.
it.each(byVariation(linesOf))('%s', (_, lines) => expect(lines).toMatchSnapshot());

it('says in words what it asks', () => {
  const words = variedSetups().flatMap(({ setup }) =>
    questionsOf(contextOf(setup)).map((q) => `${q.claim.slice(q.claim.lastIndexOf(':') + 1)}: ${q.words}`),
  );
  expect([...new Set(words)].sort().join('\n')).toMatchSnapshot();
});
