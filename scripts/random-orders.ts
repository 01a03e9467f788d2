// Random orders of every shipped procedure, judged as an order of one's own is judged: npm run orders. What it prints
// is read by hand, and what was found stands in docs/orders.md: how many were tried, which deviations are called clear,
// and why each may be.
import {
  newSequence,
  orderVerdict,
  PROCEDURE_IDS,
  PROCEDURES,
  walk,
  withOption,
  type Procedure,
  type Sequence,
} from '../core/answers/procedures/index.ts';
import { randomFrom } from '../core/answers/procedures/random.test-help.ts';

// `npm run orders -- 5000 alone-again`: how many, and of which procedures; all of them where none is named.
const [count = '20000', ...only] = process.argv.slice(2);
const ORDERS = Number(count);
const MOST_CHANGES = 6;

const verdictOf = (sequence: Sequence, ids: readonly string[]) => {
  const own: Sequence = { ...sequence, steps: ids.map((id) => ({ kind: 'step', id })) };
  return orderVerdict(own, walk(own)).severity;
};
/** What is left out, and which steps come before one that the shipped order has first. */
function deviations(shipped: readonly string[], ids: readonly string[]): string[] {
  const at = new Map(ids.map((id, i) => [id, i]));
  const left = shipped.filter((id) => !at.has(id)).map((id) => `-${id}`);
  const turned = shipped.flatMap((first, i) =>
    shipped.slice(i + 1).flatMap((then) => {
      const [x, y] = [at.get(first), at.get(then)];
      return x !== undefined && y !== undefined && y < x ? [`${then}<${first}`] : [];
    }),
  );
  return [...left, ...turned];
}

for (const procedureId of PROCEDURE_IDS.filter((id) => only.length === 0 || only.includes(id))) {
  const { variants }: Procedure = PROCEDURES[procedureId];
  const every = variants.reduce<Sequence[]>(
    (list, { id, options }) => list.flatMap((s) => Object.keys(options).map((o) => withOption(s, id, o))),
    [newSequence(procedureId, 'x', '')],
  );
  for (const sequence of every) {
    const shipped = sequence.steps.map((l) => l.id);
    const random = randomFrom(20261125);
    const counts = { stop: 0, untested: 0, clear: 0 };
    const clear = new Map<string, number>();
    for (let n = 0; n < ORDERS; n += 1) {
      const ids = [...shipped];
      for (let c = 1 + random(MOST_CHANGES); c > 0 && ids.length > 1; c -= 1) {
        const [id] = ids.splice(random(ids.length), 1);
        // One in three is left out, the others come somewhere else.
        if (random(3) > 0) ids.splice(random(ids.length + 1), 0, id!);
      }
      const severity = verdictOf(sequence, ids);
      counts[severity] += 1;
      if (severity === 'clear') for (const d of deviations(shipped, ids)) clear.set(d, (clear.get(d) ?? 0) + 1);
    }
    const options = Object.values(sequence.options).join(' ');
    console.log(
      `\n${procedureId} ${options}: ${ORDERS} orders, ${counts.stop} stop, ${counts.untested} not tested, ${counts.clear} clear`,
    );
    const left = [...clear.keys()].filter((d) => d.startsWith('-')).sort();
    const turned = [...clear.keys()].filter((d) => !d.startsWith('-')).sort();
    console.log(`  left out and clear: ${left.map((d) => d.slice(1)).join(', ') || 'none'}`);
    console.log(`  turned round and clear (${turned.length}): ${turned.join(', ') || 'none'}`);
  }
}
