import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { take, type Combination } from '@core/answers/planning';
import { slotsOf } from '@core/rigs/elements';
import type { Setup } from '@core/rigs/rig';
import { NotFound } from '../../../app/NotFound';
import { useTitle } from '../../../app/useTitle';
import { usePlace } from '../../../app/place';
import { changeSetup } from '../../../store/edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { WorkProgress } from '../../../ui/WorkProgress';
import { FactAnswer } from '../form/FactAnswer';
import { useSearch } from '../form/useSearch';

export function ChoosePage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <Proposals key={setup.id} setup={setup} /> : <NotFound what="This set-up" />;
}

/** Complete combinations from the locker for what is still open in a set-up, best first. */
function Proposals({ setup: current }: { setup: Setup }) {
  useTitle(`Combinations for ${current.name}`);
  // The question as it stood when the page was opened: taking a combination must not ask anew.
  const [setup] = useState(current);
  const { name } = usePlace();
  const { items, wayTests } = useWorkspace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { state, stop, again } = useSearch(setup, items, wayTests);
  const nobody = slotsOf(setup).filter((s) => s.kind === 'person' && s.item === null && !s.optional);
  const onTake = ({ picks }: Combination) => {
    const now = new Date().toISOString();
    dispatch(edited(changeSetup(current, take(setup, picks, items, wayTests, now), now, null)));
    void navigate(`/${name}/setups/${setup.id}`);
  };

  return (
    <div className="mx-auto max-w-4xl px-4 py-6">
      <h1>Combinations for “{setup.name}”</h1>
      <p className="mt-1 text-ink-2">
        From the locker, judged as if everything were rigged as it should be. What is chosen already stays.
      </p>
      {nobody.length > 0 && (
        <p className="mt-4 rounded-lg bg-untested-wash px-4 py-3 text-untested">
          Choose people first ({nobody.map((s) => s.label.toLowerCase()).join(', ')}): without mass and reach, forces
          and lengths are not judged.
        </p>
      )}
      <WorkProgress state={state} says={(done) => `${done} sets of ropes done`} onStop={stop} onAgain={again} />
      {state.kind === 'done' && (
        <div className="mt-5">
          <FactAnswer open={setup} answer={state.result} onTake={onTake} />
        </div>
      )}
      <Link className="btn mt-6" to=".." relative="path">
        Back to the set-up
      </Link>
    </div>
  );
}
