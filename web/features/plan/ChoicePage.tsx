import { FileDown, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { assessChoice } from '@core/assess-choice';
import { judgeTestedWays, wayKey, wayName } from '@core/connector';
import { writeChoice } from '@core/files';
import { modesOf } from '@core/fit';
import { HITCHES } from '@core/friction';
import { JOBS, usualLoad, type Job } from '@core/gear';
import type { Choice } from '@core/rig';
import { printQuantity } from '@core/units';
import { NotFound } from '../../app/NotFound';
import { usePreferences } from '../../app/preferences';
import { usePlace } from '../../app/WorkspaceProvider';
import { LazyClipDrawing } from '../../drawing/lazy-clip';
import { changeChoice, removeChoice } from '../../store/choice-edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited, undone } from '../../store/workspace-slice';
import { downloadText } from '../../ui/download';
import { printDay } from '../../ui/dates';
import { IconButton } from '../../ui/IconButton';
import { NameField } from '../../ui/NameField';
import { useToast } from '../../ui/Toasts';
import { FindingList } from '../setups/FindingList';
import { VerdictBanner } from '../setups/VerdictBanner';
import { choiceMargins } from './margins';

export function ChoicePage() {
  const { choiceId } = useParams();
  const choice = useWorkspace().choices.find((c) => c.id === choiceId);
  return choice ? <ChoiceView key={choice.id} choice={choice} /> : <NotFound what="This choice" />;
}

/** A combination that was taken for a job: what it is made of, which way round, and what is found against it. */
function ChoiceView({ choice }: { choice: Choice }) {
  const { name: place } = usePlace();
  const { system } = usePreferences();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const say = useToast();
  const [chosen, setChosen] = useState<number | null>(null);
  const assessment = useMemo(() => assessChoice(choice), [choice]);
  const { question, gear, way } = choice;
  const { ropeA, ropeB, device, connector, hitchCord } = gear;
  const { climber, belayer, job } = question;
  const facts: [string, string][] = [
    ['Job', `${JOBS[job]}, ${printQuantity(question.heightM, 'lengthM', system)}, ${question.weather}`],
    ['On the rope', climber ? `${climber.name}, ${printQuantity(climber.massKg, 'massKg', system)}` : 'not chosen'],
    ...(belayer ? [['Hand that brakes', belayer.name] as [string, string]] : []),
    ['Rope', [ropeA?.name ?? 'not chosen', ...(ropeB ? [ropeB.name] : [])].join(' and ')],
    ['Device', device?.name ?? 'not chosen'],
    ...(ropeA && device && modesOf(device, job, ropeA).length > 0
      ? [['Used', modesOf(device, job, ropeA).join('; ')] as [string, string]]
      : []),
    ['Connector', connector?.name ?? 'not chosen'],
    ...(connector && device && way ? [['Clipped', wayName(way, connector, device)] as [string, string]] : []),
    ...(hitchCord
      ? [['Hitch', `${HITCHES[choice.hitchKind]} of ${hitchCord.name}, ${choice.hitchWraps} wraps`] as [string, string]]
      : []),
    ...choiceMargins(assessment.figures, system),
  ];
  const before = new Set(choice.findings.map((f) => `${f.code}/${f.severity}`));
  const changed = assessment.findings.filter(
    (f) => f.severity !== 'clear' && !before.has(`${f.code}/${f.severity}`),
  ).length;
  const remove = () => {
    dispatch(edited(removeChoice(choice)));
    say(`${choice.name} is removed.`, { label: 'Undo', run: () => dispatch(undone()) });
    void navigate(`/${place}/setups`);
  };

  return (
    <div className="mx-auto max-w-6xl px-4 py-4">
      <div className="mb-2 flex items-center gap-1">
        <NameField
          label="Name of the choice"
          name={choice.name}
          onRename={(name) =>
            dispatch(edited(changeChoice(choice, { ...choice, name, updatedAt: new Date().toISOString() })))
          }
        />
        <IconButton
          Icon={FileDown}
          name="Save as a file"
          onClick={() => downloadText(`${choice.name}.zevrin.json`, writeChoice(choice))}
        />
        <IconButton Icon={Trash2} name="Remove this choice" onClick={remove} />
      </div>
      <VerdictBanner assessment={assessment} action={null} />
      <p className="mt-2 text-ink-2">
        Taken on {printDay(choice.createdAt)}, with the measures of that day.
        {changed > 0 && ` ${changed} ${changed === 1 ? 'finding is' : 'findings are'} new since then.`}
      </p>
      <div className="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)_minmax(0,1fr)]">
        <dl className="content-start divide-y divide-line border-y border-line">
          {facts.map(([label, text]) => (
            <div key={label} className="grid grid-cols-[9rem_1fr] gap-3 py-2">
              <dt className="text-ink-2">{label}</dt>
              <dd>{text}</dd>
            </div>
          ))}
        </dl>
        {connector && device && way ? (
          <div className="self-start rounded-xl border border-line bg-surface p-2">
            <LazyClipDrawing
              connector={connector}
              device={device}
              way={way}
              brakeHand={(belayer ?? climber)?.brakeHand ?? 'right'}
            />
            <OtherWays choice={choice} job={job} />
          </div>
        ) : (
          <div />
        )}
        <div>
          <FindingList findings={assessment.findings} chosen={chosen} onChoose={setChosen} />
        </div>
      </div>
      <p className="mt-6 rounded-lg bg-untested-wash px-4 py-3 text-untested">
        Not judged here: {assessment.notAssessed.join('; ')}. The makers’ instructions, local codes and licensed
        practice come first.
      </p>
      <Link className="btn mt-4" to={`/${place}/plan?job=${job}`}>
        Plan this job again
      </Link>
    </div>
  );
}

/** How many of the other ways are worse, with the way to their map. */
function OtherWays({ choice, job }: { choice: Choice; job: Job }) {
  const { name: place } = usePlace();
  const { question, gear, way, tests } = choice;
  if (!gear.connector || !gear.device || !way || !question.climber) return null;
  const reports = judgeTestedWays(
    { load: usualLoad(job, question.climber.massKg), connector: gear.connector, device: gear.device },
    tests,
  );
  const rank = reports.findIndex((r) => wayKey(r.way) === wayKey(way));
  return (
    <p className="px-2 pb-2 text-sm text-ink-2">
      {rank === 0 ? 'The best' : `Number ${rank + 1}`} of {reports.length} ways.{' '}
      <Link
        className="font-semibold text-act underline"
        to={`/${place}/connectors?job=${job}&pair=${gear.connector.id}/${gear.device.id}`}
      >
        See all
      </Link>
    </p>
  );
}
