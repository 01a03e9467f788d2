import { nanoid } from '@reduxjs/toolkit';
import { Dialog } from 'radix-ui';
import { User, Users } from 'lucide-react';
import { useNavigate } from 'react-router';
import type { Assessment } from '@core/answers/assess';
import { buildCheck } from '@core/answers/check';
import { endCheck, type CheckRecord } from '@core/records/log';
import type { Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { put } from '../../../storage/changes';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { recorded } from '../../../store/workspace-slice';

interface StartDialogProps {
  readonly setup: Setup;
  readonly assessment: Assessment;
  readonly onClose: () => void;
}

/** Asks how the check is done and begins its record. */
export function StartDialog({ setup, assessment, onClose }: StartDialogProps) {
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const items = buildCheck(setup, assessment.findings);
  const minutes = Math.max(1, Math.round(items.length / 7));

  const unfinished = useWorkspace().checks.filter((c) => c.outcome === 'running' && c.setup.id === setup.id);

  const start = (mode: CheckRecord['mode']) => {
    const now = new Date().toISOString();
    const record: CheckRecord = {
      id: nanoid(),
      mode,
      setup,
      verdict: assessment.verdict,
      items,
      events: [],
      startedAt: now,
      endedAt: null,
      outcome: 'running',
      note: '',
    };
    // One check of a set-up at a time: what was begun before stays in the log, as unfinished.
    const ended = unfinished.map((old) => put('checks', old, endCheck(old, 'abandoned', now)));
    dispatch(recorded([...ended, put('checks', null, record)]));
    void navigate(`/${name}/check/${record.id}`);
  };

  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 w-[min(30rem,calc(100vw-2rem))] -translate-1/2 rounded-xl bg-surface p-5 text-ink shadow-2xl">
          <Dialog.Title className="text-lg font-bold">Check “{setup.name}”</Dialog.Title>
          <Dialog.Description className="mt-2 text-ink-2">
            {items.length} things made from this set-up, about {minutes} {minutes === 1 ? 'minute' : 'minutes'}. Each is
            closed by saying what you saw.
            {unfinished.length > 0 && ' The check that was begun before ends unfinished, and stays in the log.'}
          </Dialog.Description>
          <div className="mt-4 grid gap-3">
            <button
              type="button"
              className="btn btn-act min-h-14 justify-start px-4 text-left"
              onClick={() => start('face-to-face')}
            >
              <Users aria-hidden className="size-6 shrink-0" />
              <span>
                Face to face{' '}
                <span className="block text-sm font-normal">
                  the phone lies between you, each answers on their half
                </span>
              </span>
            </button>
            <button type="button" className="btn min-h-14 justify-start px-4 text-left" onClick={() => start('alone')}>
              <User aria-hidden className="size-6 shrink-0" />
              <span>
                Alone <span className="block text-sm font-normal">when nobody else is there</span>
              </span>
            </button>
            <Dialog.Close className="btn border-0">Not now</Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
