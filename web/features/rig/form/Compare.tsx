import { useMemo } from 'react';
import { assess } from '@core/answers/assess';
import { combined, type Combination } from '@core/answers/planning';
import { renderFinding } from '@core/foundations/finding';
import type { Setup } from '@core/rigs/rig';
import { usePreferences } from '../../../app/preferences';
import { CombinationPicture } from '../../../drawing/CombinationPicture';
import { useWorkspace } from '../../../store/hooks';
import { SeverityMark } from '../../../ui/SeverityMark';
import { combinationKey } from './combination-key';
import { combinationName } from './CombinationRow';
import { FirstFacts } from './FirstFacts';
import { marginsOf } from './margins';

/** At most so many stand beside each other. */
export const MOST_COMPARED = 3;

interface CompareProps {
  readonly open: Setup;
  readonly chosen: readonly Combination[];
  readonly onTake: (combination: Combination) => void;
}

/** Up to three combinations side by side: verdict, what is to be minded in each, and what they have to spare. */
export function Compare({ open, chosen, onTake }: CompareProps) {
  const { items, wayTests } = useWorkspace();
  const reader = usePreferences();
  const judged = useMemo(
    () =>
      chosen.map((combination) => {
        const setup = combined(open, combination.picks, items, wayTests);
        return { combination, setup, assessment: assess(setup) };
      }),
    [chosen, open, items, wayTests],
  );
  // What is found about all of them tells none from another.
  const common = new Set(
    (judged[0]?.assessment.findings ?? [])
      .map((f) => renderFinding(f, reader).says)
      .filter((says) => judged.every((j) => j.assessment.findings.some((f) => renderFinding(f, reader).says === says))),
  );
  return (
    <section aria-label="Side by side" className="mt-5">
      <h2>Side by side</h2>
      <div className="mt-2 grid gap-3 md:grid-cols-3">
        {judged.map(({ combination, setup, assessment }) => {
          const own = assessment.findings
            .filter((f) => f.severity !== 'clear')
            .map((f) => ({ severity: f.severity, says: renderFinding(f, reader).says }))
            .filter((f) => !common.has(f.says));
          const title = combinationName(setup);
          return (
            <div
              key={combinationKey(combination)}
              data-compared
              className="grid content-start gap-2 rounded-xl border border-line bg-surface p-3"
            >
              <div className="flex items-center gap-3">
                <CombinationPicture setup={setup} height={100} />
                <h3 className="text-lg font-semibold">{title}</h3>
              </div>
              <SeverityMark severity={assessment.verdict} withWord />
              <FirstFacts narrow assessment={assessment} />
              <ul className="grid gap-1">
                {own.slice(0, 6).map((f) => (
                  <li key={f.says} className="flex items-start gap-2">
                    <SeverityMark severity={f.severity} size={16} />
                    <span>{f.says}</span>
                  </li>
                ))}
                {own.length === 0 && <li className="text-ink-2">Nothing that the others have not as well.</li>}
                {own.length > 6 && <li className="text-ink-2">And {own.length - 6} more.</li>}
              </ul>
              <dl>
                {/* The first is the bar of the hand. */}
                {marginsOf({ ...assessment.figures, brake: {} }, reader.system).map(([label, text]) => (
                  <div key={label} className="flex justify-between gap-3">
                    <dt className="text-ink-2">{label}</dt>
                    <dd className="num text-right">{text}</dd>
                  </div>
                ))}
              </dl>
              <button
                type="button"
                className="btn mt-1 justify-self-start"
                aria-label={`Take this one: ${title}`}
                onClick={() => onTake(combination)}
              >
                Take this one
              </button>
            </div>
          );
        })}
      </div>
    </section>
  );
}
