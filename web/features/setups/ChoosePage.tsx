import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { assess } from '@core/assess';
import { needs, NOT_RIGGED, type Choice, type Combination } from '@core/choose';
import { fillTemplate, renderFinding } from '@core/finding';
import { GEAR_ROLES, rigSchema, type GearRole, type Setup } from '@core/rig';
import { fieldMeta } from '@core/gear';
import { printInterval, printQuantity, ratioIndependent, type UnitSystem } from '@core/units';
import { NotFound } from '../../app/NotFound';
import { usePreferences } from '../../app/preferences';
import { usePlace } from '../../app/WorkspaceProvider';
import { changeSetup } from '../../store/edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited } from '../../store/workspace-slice';
import { SeverityMark } from '../../ui/SeverityMark';
import { WorkProgress } from '../../ui/WorkProgress';
import type { ChooseWorker } from '../../workers/choose-worker';
import { useWorkerJob } from '../../workers/useWorkerJob';

const create = () => new Worker(new URL('../../workers/choose-worker.ts', import.meta.url), { type: 'module' });

export function ChoosePage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <Proposals key={setup.id} setup={setup} /> : <NotFound what="This set-up" />;
}

/** Complete combinations from the locker for what is still open in a set-up, best first. */
function Proposals({ setup: current }: { setup: Setup }) {
  // The question as it stood when the page was opened: taking a combination must not ask anew.
  const [setup] = useState(current);
  const { name } = usePlace();
  const { items } = useWorkspace();
  const { system } = usePreferences();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const ask = useCallback(
    (api: Remote<ChooseWorker>, onLook: (looks: number) => void): Promise<Choice> => api.choose(setup, items, onLook),
    [setup, items],
  );
  const { state, stop, again } = useWorkerJob({ create, ask });
  const missing = needs(setup, items);
  const take = ({ setup: chosen }: Combination) => {
    // Lengths and wraps are taken over; what has to be seen at the rope stays open.
    const next: Setup = { ...setup, gear: chosen.gear, rig: { ...chosen.rig, ...NOT_RIGGED } };
    dispatch(edited(changeSetup(current, next, new Date().toISOString(), null)));
    void navigate(`/${name}/setups/${setup.id}`);
  };

  return (
    <div className="mx-auto max-w-4xl px-4 py-6">
      <h1>Combinations for “{setup.name}”</h1>
      <p className="mt-1 text-ink-2">
        From the locker, for {setup.people.climber?.name ?? 'nobody chosen yet'}, judged as if everything were rigged as
        it should be. What is chosen already stays.
      </p>
      {!setup.people.climber && (
        <p className="mt-4 rounded-lg bg-untested-wash px-4 py-3 text-untested">
          Choose who goes down first: without mass and reach, forces and lengths are not judged.
        </p>
      )}
      {missing.length > 0 && (
        <section className="mt-5">
          <h2>Missing in the locker</h2>
          <ul className="mt-1 list-disc pl-6">
            {missing.map((need) => (
              <li key={need.role}>{fillTemplate(need.says, need.numbers, system)}</li>
            ))}
          </ul>
        </section>
      )}
      <WorkProgress state={state} says={(looks) => `${looks} set-ups looked at`} onStop={stop} onAgain={again} />
      {state.kind === 'done' && (
        <>
          {state.result.combinations.length === 0 && missing.length === 0 && (
            <p className="mt-5 font-semibold">Nothing in the locker makes a combination without a Stop.</p>
          )}
          <ol className="mt-5 divide-y divide-line border-y border-line">
            {state.result.combinations.map((combination) => (
              <Row
                key={`${combination.setup.gear.ropeA?.id}/${combination.setup.gear.device?.id}`}
                combination={combination}
                onTake={() => take(combination)}
              />
            ))}
          </ol>
          <p className="mt-3 text-sm text-ink-2">
            {state.result.looks} set-ups were assessed
            {state.result.outcome === 'cut' ? '; the search was cut short, there may be better ones' : ''}. The best of
            each rope and device is shown.
          </p>
          {state.result.rejected.length > 0 && (
            <details className="mt-4">
              <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
                Left out, with the reason ({state.result.rejected.length})
              </summary>
              <ul className="divide-y divide-line border-y border-line">
                {state.result.rejected.map(({ item, reason }) => (
                  <li key={item.id} className="flex items-start gap-3 py-2">
                    <SeverityMark severity={reason.severity} size={16} />
                    <span>
                      <strong>{item.name}</strong>: {renderFinding(reason, system).says}{' '}
                      <span className="text-ink-2">{renderFinding(reason, system).because}</span>
                    </span>
                  </li>
                ))}
              </ul>
            </details>
          )}
        </>
      )}
      <Link className="btn mt-6" to="..">
        Back to the set-up
      </Link>
    </div>
  );
}

const method = fieldMeta(rigSchema.shape.extensionMethod)!.options!;

function marginsOf(setup: Setup, system: UnitSystem): [string, string][] {
  const { brake, clearance, budget } = assess(setup).figures;
  return [
    ...(brake
      ? [
          ['Hand over need', printInterval(ratioIndependent(brake.handN, brake.bottomN), 'ratio', system)] as [
            string,
            string,
          ],
        ]
      : []),
    ...(clearance
      ? [['Gap, knee raised', printQuantity(clearance.kneeRaisedMm.best, 'lengthMm', system)] as [string, string]]
      : []),
    ...(budget
      ? [['Shorter end over', printQuantity(budget.marginM.best, 'lengthM', system)] as [string, string]]
      : []),
  ];
}

function Row({ combination, onTake }: { combination: Combination; onTake: () => void }) {
  const { system } = usePreferences();
  const { setup } = combination;
  const { verdict, findings } = assess(setup);
  const { gear, rig } = setup;
  const part = (role: GearRole, more = '') => `${GEAR_ROLES[role].label}: ${gear[role]?.name ?? 'not chosen'}${more}`;
  // What is open about the site is the same for all; what tells one from another is about its parts.
  const worst = findings.find((f) => f.severity === verdict && !f.code.startsWith('rig.')) ?? findings[0]!;
  return (
    <li className="grid gap-x-5 gap-y-2 py-4 sm:grid-cols-[1fr_auto]" data-combination>
      <div>
        <p className="text-lg font-semibold">
          {gear.ropeA?.name ?? 'No rope'} in {gear.device?.name ?? 'no device'}
        </p>
        <p className="flex items-start gap-2">
          <SeverityMark severity={verdict} withWord size={16} />
          {verdict !== 'clear' && <span>{renderFinding(worst, system).says}</span>}
        </p>
        <p className="mt-1 text-ink-2">
          {part('deviceConnector')}.{' '}
          {part(
            'extension',
            `, ${method[rig.extensionMethod]!.toLowerCase()}${rig.extensionKnots > 0 ? ', one knot' : ''}`,
          )}
          . {part('hitchCord', `, ${rig.hitchWraps} wraps`)}. {part('hitchConnector')}.
        </p>
        <dl className="mt-1 flex flex-wrap gap-x-6">
          {marginsOf(setup, system).map(([label, text]) => (
            <div key={label} className="flex gap-2">
              <dt className="text-ink-2">{label}</dt>
              <dd className="num">{text}</dd>
            </div>
          ))}
        </dl>
      </div>
      <button type="button" className="btn btn-act self-start" onClick={onTake}>
        Take this
      </button>
    </li>
  );
}
