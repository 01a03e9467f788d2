import { assess } from '@core/answers/assess';
import { Link, useNavigate } from 'react-router';
import { checkers, joined, looksFor, nextLook, withOther, type CheckRecord, type HalfCheck } from '@core/records/log';
import { usePlace } from '../../../app/place';
import { put } from '../../../storage/changes';
import { addSetup } from '../../../store/edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited, recorded } from '../../../store/workspace-slice';

const arrivedWords = (record: CheckRecord, half: HalfCheck['half'], other: string): string =>
  `${other}’s half comes from the other phone. ${nextLook(record, half) === null ? 'It is done.' : 'It is not done yet.'}`;

const beginWords = (record: CheckRecord, other: string): string =>
  `${other} answers on the other phone. Here ${checkers(record.setup)[record.half!] ?? 'you'} looks at ${looksFor(record, record.half!).length} things, and each is closed by saying what you saw.`;

/** Half a check that came from the other phone: begun here, or added to the half that is answered here. */
export function JoinCheck({ code }: { code: HalfCheck }) {
  const { name: place } = usePlace();
  const { checks, setups } = useWorkspace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const here = checks.find((c) => c.id === code.id) ?? null;
  const result = here ? withOther(here, code) : joined(code, assess);
  if (!result.ok)
    return (
      <p role="alert" className="mt-3 rounded-lg bg-stop-wash p-4 text-stop">
        {result.message} Nothing here has changed.
      </p>
    );
  const { record } = result;
  if (here && here.outcome !== 'running')
    return (
      <p className="mt-3">
        This check has ended on this phone.{' '}
        <Link className="font-semibold text-act underline" to={`/${place}/log/${here.id}`}>
          To its record
        </Link>
      </p>
    );
  const who = checkers(record.setup);
  const other = who[code.half] ?? 'the other one';
  const take = () => {
    dispatch(recorded([put('checks', here, record)]));
    // The set-up comes along, so that both phones know that it was checked.
    if (!here && !setups.some((s) => s.id === record.setup.id)) dispatch(edited(addSetup(record.setup)));
    void navigate(`/${place}/check/${record.id}`, { replace: true });
  };
  return (
    <section className="mt-3 rounded-xl border border-line-2 bg-surface p-4">
      <h2 className="font-bold">Check of {record.setup.name}</h2>
      <p className="mt-1">{here ? arrivedWords(record, code.half, other) : beginWords(record, other)}</p>
      <button type="button" className="btn btn-act mt-3 min-h-14" onClick={take}>
        {here ? 'Put both halves together' : 'Begin this half'}
      </button>
    </section>
  );
}
