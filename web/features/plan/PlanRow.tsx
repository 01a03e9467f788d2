import { nanoid } from '@reduxjs/toolkit';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { assessChoice } from '@core/assess-choice';
import { takeChoice, takeSetup, type PlanCombination } from '@core/choose';
import { wayName } from '@core/connector';
import { renderFinding } from '@core/finding';
import { modesOf } from '@core/fit';
import { HITCHES } from '@core/friction';
import { JOBS } from '@core/gear';
import type { Question } from '@core/rig';
import { usePreferences } from '../../app/preferences';
import { usePlace } from '../../app/WorkspaceProvider';
import { addChoice } from '../../store/choice-edits';
import { addSetup } from '../../store/edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited } from '../../store/workspace-slice';
import { SeverityMark } from '../../ui/SeverityMark';
import { choiceMargins } from './margins';
import { combinationName } from './names';

interface PlanRowProps {
  readonly combination: PlanCombination;
  readonly question: Question;
}

/** One combination: the worst finding first, then how it is put together and the margins. */
export function PlanRow({ combination, question }: PlanRowProps) {
  const { items, wayTests } = useWorkspace();
  const { system } = usePreferences();
  const { name: place } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const title = combinationName(items, combination);
  const choice = useMemo(
    () =>
      takeChoice({
        question,
        combination,
        items,
        tests: wayTests,
        id: 'shown',
        name: 'shown',
        now: '2000-01-01T00:00:00.000Z',
      }),
    [question, combination, items, wayTests],
  );
  const assessment = useMemo(() => assessChoice(choice), [choice]);
  const { ropeA, device, connector, hitchCord } = choice.gear;
  const modes = ropeA && device ? modesOf(device, question.job, ropeA) : [];
  const worst = assessment.findings[0];

  const take = () => {
    const input = {
      question,
      combination,
      items,
      tests: wayTests,
      id: nanoid(),
      name: `${JOBS[question.job]}: ${title}`.slice(0, 80),
      now: new Date().toISOString(),
    };
    if (question.job === 'rappel-double') {
      dispatch(edited(addSetup(takeSetup(input))));
      void navigate(`/${place}/setups/${input.id}`);
    } else {
      dispatch(edited(addChoice(takeChoice(input))));
      void navigate(`/${place}/plan/${input.id}`);
    }
  };

  return (
    <li className="grid gap-x-5 gap-y-2 py-4 sm:grid-cols-[1fr_auto]" data-combination>
      <div>
        <p className="text-lg font-semibold">{title}</p>
        <p className="flex items-start gap-2">
          <SeverityMark severity={assessment.verdict} withWord size={16} />
          {assessment.verdict !== 'clear' && worst && <span>{renderFinding(worst, system).says}</span>}
        </p>
        {connector && device && choice.way && (
          <p className="mt-1">
            {connector.name}: <span className="text-ink-2">{wayName(choice.way, connector, device)}.</span>
          </p>
        )}
        {(modes.length > 0 || hitchCord) && (
          <p className="text-ink-2">
            {modes.length > 0 ? `${modes.join('; ').replace(/^./, (c) => c.toUpperCase())}. ` : ''}
            {hitchCord ? `${HITCHES[choice.hitchKind]} of ${hitchCord.name}, ${choice.hitchWraps} wraps.` : ''}
          </p>
        )}
        <dl className="mt-1 flex flex-wrap gap-x-6">
          {choiceMargins(assessment.figures, system).map(([label, text]) => (
            <div key={label} className="flex gap-2">
              <dt className="text-ink-2">{label}</dt>
              <dd className="num">{text}</dd>
            </div>
          ))}
        </dl>
      </div>
      <button type="button" className="btn btn-act self-start" aria-label={`Take this: ${title}`} onClick={take}>
        Take this
      </button>
    </li>
  );
}
