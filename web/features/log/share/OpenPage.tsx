import { nanoid } from '@reduxjs/toolkit';
import { useEffect, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { assess } from '@core/answers/assess';
import type { FileIssue } from '@core/records/files';
import type { HalfCheck } from '@core/records/log';
import { JOBS } from '@core/things/gear';
import type { Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { documentOf } from '../../../share/link';
import { addSetup } from '../../../store/edits';
import { useAppDispatch } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { SeverityMark } from '../../../ui/SeverityMark';
import { Refusal } from '../files/Refusal';
import { JoinCheck } from '../../check/before-use/JoinCheck';
import { verdictSentence } from '../../rig/setups/VerdictBanner';
import { named } from '../../../ui/named';

type Read =
  | { readonly kind: 'reading' }
  | { readonly kind: 'refused'; readonly issues: readonly FileIssue[]; readonly more: number }
  | { readonly kind: 'setup'; readonly setup: Setup }
  | { readonly kind: 'half'; readonly half: HalfCheck };

/**
 * What came in a link: a set-up is looked at first, and taken as a copy when its reader wants it; half a check goes to
 * the other half.
 */
export function OpenPage() {
  useTitle('A set-up from a link');
  const { hash } = useLocation();
  const { name: place } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [read, setRead] = useState<Read & { readonly of?: string }>({ kind: 'reading' });
  useEffect(() => {
    let gone = false;
    void documentOf(hash.replace(/^#/, '')).then((result) => {
      if (gone) return;
      setRead(
        !result.ok
          ? { kind: 'refused', issues: result.issues, more: result.more }
          : result.value.kind === 'setup' || result.value.kind === 'half'
            ? result.value
            : {
                kind: 'refused',
                issues: [
                  { path: 'kind', read: result.value.kind, message: 'A link carries one set-up, or half a check.' },
                ],
                more: 0,
              },
      );
    });
    return () => {
      gone = true;
    };
  }, [hash]);
  const take = (setup: Setup) => {
    const now = new Date().toISOString();
    const copy: Setup = {
      ...setup,
      id: nanoid(),
      name: named(setup.name, ' (shared)'),
      createdAt: now,
      updatedAt: now,
    };
    dispatch(edited(addSetup(copy)));
    void navigate(`/${place}/setups/${copy.id}`, { replace: true });
  };
  return (
    <div className="mx-auto max-w-xl px-4 py-5">
      <h1 className="text-xl font-bold">{read.kind === 'half' ? 'A check by two phones' : 'A set-up from a link'}</h1>
      {read.kind === 'reading' && <p className="mt-3">Reading …</p>}
      {read.kind === 'refused' && (
        <div className="mt-3">
          <Refusal file="The link" issues={read.issues} more={read.more} />
        </div>
      )}
      {read.kind === 'half' && <JoinCheck code={read.half} />}
      {read.kind === 'setup' && <Offered setup={read.setup} onTake={() => take(read.setup)} />}
    </div>
  );
}

function Offered({ setup, onTake }: { setup: Setup; onTake: () => void }) {
  const assessment = assess(setup);
  const people = setup.persons.flatMap((p) => (p.item ? [`${p.item.name} (${p.role})`] : []));
  return (
    <section className="mt-3 rounded-xl border border-line-2 bg-surface p-4">
      <h2 className="font-bold">{setup.name}</h2>
      <p>{JOBS[setup.job]}</p>
      {people.length > 0 && <p className="text-ink-2">{people.join(', ')}</p>}
      <p className="mt-2 flex flex-wrap items-center gap-2">
        <SeverityMark severity={assessment.verdict} withWord />
        {verdictSentence(assessment)}
      </p>
      <p className="mt-2 text-sm text-ink-2">
        Judged here, on this device, from what the other person entered. Look at the real gear: the copy is for checking
        it, not instead.
      </p>
      <button type="button" className="btn btn-act mt-3" onClick={onTake}>
        Take it as a copy
      </button>
    </section>
  );
}
