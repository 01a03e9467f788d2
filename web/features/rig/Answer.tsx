import { useState } from 'react';
import { fillTemplate } from '@core/finding';
import type { Combination } from '@core/choose';
import type { Setup } from '@core/rig';
import { usePreferences } from '../../app/preferences';
import type { SearchAnswer } from '../../workers/search-worker';
import { combinationKey } from './combination-key';
import { CombinationRow } from './CombinationRow';
import { Rejected } from './Rejected';

const SHOWN = 8;

interface AnswerProps {
  readonly open: Setup;
  readonly answer: SearchAnswer;
  readonly onTake: (combination: Combination) => void;
}

/** What the locker gives for what is open: the best first, what is missing, and what was left out because of a Stop. */
export function Answer({ open, answer, onTake }: AnswerProps) {
  const reader = usePreferences();
  const [shown, setShown] = useState(SHOWN);
  const { combinations, rejected, found, stopped, needs, outcome } = answer;
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
      <ol className="mt-2 divide-y divide-line border-y border-line">
        {combinations.slice(0, shown).map((combination) => (
          <CombinationRow
            key={combinationKey(combination)}
            open={open}
            combination={combination}
            onTake={() => onTake(combination)}
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
