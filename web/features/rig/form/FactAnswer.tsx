import { useMemo, useState } from 'react';
import { fillTemplate } from '@core/foundations/finding';
import type { Combination } from '@core/answers/planning';
import type { Setup } from '@core/rigs/rig';
import { usePreferences } from '../../../app/preferences';
import type { SearchAnswer } from '../../../workers/search-worker';
import { combinationKey } from './combination-key';
import { CombinationRow } from './CombinationRow';
import { Compare, MOST_COMPARED } from './Compare';
import { Rejected } from './Rejected';

const SHOWN = 8;

interface AnswerProps {
  readonly open: Setup;
  readonly answer: SearchAnswer;
  readonly onTake: (combination: Combination) => void;
}

/** What the locker gives for what is open: the best first, what is missing, and what was left out because of a Stop. */
export function FactAnswer({ open, answer, onTake }: AnswerProps) {
  const reader = usePreferences();
  const [shown, setShown] = useState(SHOWN);
  // By what tells them apart: a new search may bring the same ones again.
  const [compared, setCompared] = useState<readonly string[]>([]);
  const toggle = (combination: Combination) => {
    const key = combinationKey(combination);
    setCompared((now) => (now.includes(key) ? now.filter((k) => k !== key) : [...now, key].slice(-MOST_COMPARED)));
  };
  const { combinations, rejected, found, stopped, needs, outcome } = answer;
  const chosen = useMemo(
    () => combinations.filter((c) => compared.includes(combinationKey(c))),
    [combinations, compared],
  );
  return (
    <>
      {needs.length > 0 && (
        <section className="mb-5">
          <h2>Missing in the locker</h2>
          <ul className="mt-1 list-disc pl-6">
            {needs.map((need) => (
              <li key={need.says}>{fillTemplate(need.says, need.numbers, reader)}</li>
            ))}
          </ul>
        </section>
      )}
      <h2 role="status">
        {found === 0
          ? 'Nothing in the locker makes a combination without a Stop'
          : `${found} ${found === 1 ? 'combination' : 'combinations'} without a Stop, best first`}
      </h2>
      {outcome === 'cut' && <p className="mt-1">The search was cut short; there may be better ones.</p>}
      {chosen.length > 1 && <Compare open={open} chosen={chosen} onTake={onTake} />}
      <ol className="mt-2 divide-y divide-line border-y border-line">
        {combinations.slice(0, shown).map((combination) => (
          <CombinationRow
            key={combinationKey(combination)}
            open={open}
            combination={combination}
            onTake={() => onTake(combination)}
            onCompare={() => toggle(combination)}
            compared={compared.includes(combinationKey(combination))}
            full={compared.length >= MOST_COMPARED}
          />
        ))}
      </ol>
      {combinations.length > shown && (
        <button type="button" className="btn mt-3" onClick={() => setShown((n) => n + SHOWN)}>
          Show more
        </button>
      )}
      {rejected.length > 0 && <Rejected open={open} rejected={rejected} stopped={stopped} onTake={onTake} />}
    </>
  );
}
