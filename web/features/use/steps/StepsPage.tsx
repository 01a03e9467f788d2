import { nanoid } from '@reduxjs/toolkit';
import { Plus } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { newSequence, PROCEDURE_IDS, PROCEDURES, type ProcedureId, orderVerdict, walk } from '@core/answers/procedures';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { addSequence } from '../../../store/sequence-edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { SeverityMark } from '../../../ui/SeverityMark';
import { useWords } from '../../../app/preferences';

/** Own orders of steps with their verdicts, and the procedures that come with Zevrin. */
export function StepsPage() {
  const inWords = useWords();
  useTitle('Steps');
  const { sequences } = useWorkspace();
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const take = (id: ProcedureId) => {
    const sequence = newSequence(id, nanoid(), new Date().toISOString());
    dispatch(edited(addSequence(sequence)));
    void navigate(sequence.id);
  };
  return (
    <div className="mx-auto max-w-4xl px-4 py-6">
      <h1>Steps</h1>
      <p className="mt-1 text-ink-2">In which order, what may not be undone yet, and what follows from a mistake.</p>
      <p className="mt-3">
        <Link className="btn" to={`/${name}/hands`}>
          Practise the hands
        </Link>
      </p>
      {sequences.length > 0 && (
        <ul className="mt-5 divide-y divide-line border-y border-line" aria-label="Own orders">
          {[...sequences]
            .sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1))
            .map((sequence) => {
              const { severity, troubles: wrong } = orderVerdict(sequence, walk(sequence));
              return (
                <li key={sequence.id}>
                  <Link
                    to={sequence.id}
                    className="grid gap-x-4 gap-y-1 px-2 py-3.5 hover:bg-sunk sm:grid-cols-[1fr_auto]"
                  >
                    <span className="text-lg font-semibold">{sequence.name}</span>
                    <span className="sm:text-right">
                      <SeverityMark severity={severity} withWord />
                      {wrong.length > 0 && <span className="num ml-2 text-ink-2">×{wrong.length}</span>}
                    </span>
                    <span className="text-ink-2">
                      {inWords(PROCEDURES[sequence.procedure].title)}, {sequence.steps.length} steps
                      {sequence.at !== null && `, at step ${sequence.at + 1}`}
                    </span>
                  </Link>
                  {sequence.at !== null && (
                    <p className="px-2 pb-3">
                      <Link className="btn" to={`/${name}/steps/${sequence.id}/run`}>
                        Go on at step {sequence.at + 1}
                      </Link>
                    </p>
                  )}
                </li>
              );
            })}
        </ul>
      )}
      <section className="mt-8" aria-labelledby="shipped">
        <h2 id="shipped">Procedures to start from</h2>
        <p className="text-ink-2">
          Common practice in our own words; what you were taught may differ in order and still be sound. Change it, and
          see what follows.
        </p>
        <ul className="mt-2 divide-y divide-line border-y border-line">
          {PROCEDURE_IDS.map((id) => {
            const title = inWords(PROCEDURES[id].title);
            const count = newSequence(id, '', '').steps.length;
            return (
              <li key={id} className="grid items-center gap-x-4 gap-y-2 px-2 py-3.5 sm:grid-cols-[1fr_auto]">
                <div>
                  <p className="text-lg font-semibold">{title}</p>
                  <p className="text-ink-2">
                    {inWords(PROCEDURES[id].purpose)} <span className="whitespace-nowrap">{count} steps.</span>
                  </p>
                </div>
                <button type="button" className="btn" aria-label={`Take it: ${title}`} onClick={() => take(id)}>
                  <Plus aria-hidden className="size-4" />
                  Take it
                </button>
              </li>
            );
          })}
        </ul>
      </section>
    </div>
  );
}
