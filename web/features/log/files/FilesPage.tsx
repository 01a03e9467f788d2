import { Refusal } from './Refusal';
import { nanoid } from '@reduxjs/toolkit';
import { format } from 'date-fns';
import { Download, Trash2 } from 'lucide-react';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { COLLECTIONS, emptyWorkspace, writeWorkspace, type Collection, type Workspace } from '@core/records/files';
import type { Setup } from '@core/rigs/rig';
import type { Sequence } from '@core/answers/procedures';
import { copyTaken } from '../../around/settings/last-copy';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { addSetup } from '../../../store/edits';
import { addSequence } from '../../../store/sequence-edits';
import { KEEPING_WORDS, useKeeping } from '../../../storage/keeping';
import { useAppDispatch, useWorkspace, useUnreadable } from '../../../store/hooks';
import { edited, replaced } from '../../../store/workspace-slice';
import { ConfirmButton } from '../../../ui/ConfirmButton';
import { download, downloadText } from '../../../ui/download';
import { FileButton } from '../../../ui/FileButton';
import { clearDrafts } from '../../../ui/draft';
import { useToast } from '../../../ui/Toasts';
import { hireForFiles } from '../../../workers/files';
import type { Counts, Read } from '../../../workers/files-worker';
import { named } from '../../../ui/named';

const WORDS: Readonly<Record<keyof Workspace, readonly [string, string]>> = {
  items: ['item of gear', 'items of gear'],
  people: ['person', 'people'],
  setups: ['set-up', 'set-ups'],
  checks: ['check', 'checks'],
  uses: ['use', 'uses'],
  wayTests: ['own test', 'own tests'],
  sequences: ['order of steps', 'orders of steps'],
  trainings: ['practice of the hands', 'practices of the hands'],
};
const countsOf = (workspace: Workspace): Counts =>
  Object.fromEntries(COLLECTIONS.map((c) => [c, workspace[c].length])) as Record<Collection, number>;
const contents = (counts: Counts): string =>
  COLLECTIONS.map((c) => `${counts[c]} ${WORDS[c][counts[c] === 1 ? 0 : 1]}`).join(', ');
const messageOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

type Reading =
  | { readonly kind: 'none' }
  | { readonly kind: 'reading'; readonly file: string; readonly done: number }
  | { readonly kind: 'failed'; readonly file: string; readonly message: string }
  | ({ readonly file: string } & Read);

type Storing =
  { readonly kind: 'no' } | { readonly kind: 'running' } | { readonly kind: 'failed'; readonly message: string };

/** Export, import and wipe. A file is taken whole or not at all. */
export function FilesPage() {
  useTitle('Files');
  const data = useWorkspace();
  const unreadable = useUnreadable();
  const { name, sync } = usePlace();
  const dispatch = useAppDispatch();
  const say = useToast();
  const [reading, setReading] = useState<Reading>({ kind: 'none' });
  const keeping = useKeeping();

  const worker = useRef<ReturnType<typeof hireForFiles> | null>(null);
  const dismiss = () => {
    worker.current?.end();
    worker.current = null;
  };
  useEffect(() => dismiss, []);
  const hire = () => {
    dismiss();
    return (worker.current = hireForFiles());
  };

  const read = async (file: File) => {
    const hired = hire();
    setReading({ kind: 'reading', file: file.name, done: 0 });
    const onEntry = proxy((done: number) => {
      if (worker.current === hired)
        setReading((now) => (now.kind === 'reading' ? { kind: 'reading', file: file.name, done } : now));
    });
    try {
      const result = await Promise.race([hired.api.read(file, onEntry), hired.failed]);
      if (worker.current === hired) setReading({ ...result, file: file.name });
    } catch (error) {
      if (worker.current === hired) setReading({ kind: 'failed', file: file.name, message: messageOf(error) });
    }
  };
  const leaveFile = () => {
    dismiss();
    setReading({ kind: 'none' });
  };
  const [storing, setStoring] = useState<Storing>({ kind: 'no' });
  /** Says that it is done when it is on the disk, and not before. False: it is not. */
  const replaceBy = async (write: Parameters<typeof sync.replace>[0], done: string): Promise<boolean> => {
    setStoring({ kind: 'running' });
    try {
      dispatch(replaced(await sync.replace(write)));
    } catch (error) {
      setStoring({ kind: 'failed', message: messageOf(error) });
      return false;
    }
    setStoring({ kind: 'no' });
    leaveFile();
    say(done);
    return true;
  };
  /** What was typed and not saved is about what was here: it goes as well. */
  const startFrom = async (workspace: Workspace, done: string) => {
    if (await replaceBy((database) => database.replace(workspace), done)) clearDrafts(name);
  };
  const storeFile = () => {
    const hired = worker.current;
    if (hired) void replaceBy(() => Promise.race([hired.api.store(name), hired.failed]), 'The file is read in.');
  };
  const takeCopy = async () => {
    // What waits goes to the disk first; when it cannot, the copy is made of what is on the screen.
    const file = `zevrin-${name}-${format(new Date(), 'yyyy-MM-dd')}.zevrin.json`;
    copyTaken(name, new Date());
    if (sync.pending() > 0) return downloadText(file, writeWorkspace(data));
    const hired = hireForFiles();
    try {
      download(file, await Promise.race([hired.api.write(name), hired.failed]));
    } catch {
      downloadText(file, writeWorkspace(data));
    } finally {
      hired.end();
    }
  };
  const takeSetup = (setup: Setup) => {
    const known = data.setups.some((s) => s.id === setup.id);
    dispatch(edited(addSetup(known ? { ...setup, id: nanoid(), name: named(setup.name, ' (read in)') } : setup)));
    leaveFile();
    say('The set-up is added.');
  };
  const takeSequence = (sequence: Sequence) => {
    const known = data.sequences.some((s) => s.id === sequence.id);
    dispatch(
      edited(addSequence(known ? { ...sequence, id: nanoid(), name: named(sequence.name, ' (read in)') } : sequence)),
    );
    leaveFile();
    say('The order of steps is added.');
  };
  const resetDemo = async () => {
    const { demoWorkspace } = await import('@core/samples');
    await startFrom(demoWorkspace(), 'The demo is as it was at first.');
  };

  return (
    <div className="mx-auto max-w-3xl px-4 py-6">
      <h1>Files</h1>
      <p className="mt-1 text-ink-2">
        This workspace holds {contents(countsOf(data))}. It is stored in this browser only.{' '}
        {/* Its room is there before the browser has answered, and before something is stored: what stands below must
            not move under a finger. */}
        <span className={keeping ? undefined : 'invisible'}>{KEEPING_WORDS[keeping ?? 'while-there-is-room']}</span>
      </p>
      <p role="status" className="mt-2 min-h-6">
        {storing.kind === 'running' && 'Storing …'}
      </p>
      {storing.kind === 'failed' && (
        <p role="alert" className="mt-4 rounded-lg bg-stop-wash p-4 text-stop">
          It could not be stored, and nothing here has changed: {storing.message}
        </p>
      )}
      <section className="mt-2 grid gap-2">
        <h2>Take a copy</h2>
        <div>
          <button type="button" className="btn btn-act" onClick={() => void takeCopy()}>
            <Download aria-hidden className="size-5" />
            Export everything
          </button>
        </div>
      </section>
      <section className="mt-8 grid gap-2">
        <h2>Read a file</h2>
        <div>
          <FileButton
            label="Zevrin file to read"
            accept=".json,application/json"
            text="Choose a file"
            onFile={(file) => void read(file)}
          />
        </div>
        {reading.kind === 'reading' && (
          <p role="status" className="flex flex-wrap items-center gap-3">
            <progress aria-label="Progress" /> Reading {reading.file}: {reading.done} entries checked
            <button type="button" className="btn" onClick={leaveFile}>
              Stop
            </button>
          </p>
        )}
        {reading.kind === 'failed' && (
          <p role="alert" className="rounded-lg bg-stop-wash p-4 text-stop">
            <strong>{reading.file}</strong> could not be read: {reading.message}. Nothing here has changed.
          </p>
        )}
        {reading.kind === 'refused' && <Refusal file={reading.file} issues={reading.issues} more={reading.more} />}
        {reading.kind === 'workspace' && (
          <div className="rounded-lg bg-untested-wash p-4 text-untested">
            <p>
              <strong>{reading.file}</strong> holds {contents(reading.counts)}. It replaces everything in this
              workspace.
            </p>
            <div className="mt-3 flex flex-wrap gap-3">
              <button type="button" className="btn btn-act" onClick={storeFile}>
                Replace everything with it
              </button>
              <button type="button" className="btn" onClick={leaveFile}>
                Leave it
              </button>
            </div>
          </div>
        )}
        {reading.kind === 'setup' && (
          <Offer
            file={reading.file}
            what={`one set-up, “${reading.setup.name}”`}
            onAdd={() => takeSetup(reading.setup)}
            onLeave={leaveFile}
          />
        )}
        {reading.kind === 'sequence' && (
          <Offer
            file={reading.file}
            what={`one order of steps, “${reading.sequence.name}”`}
            onAdd={() => takeSequence(reading.sequence)}
            onLeave={leaveFile}
          />
        )}
      </section>
      <section className="mt-8 grid gap-2">
        <h2>Wipe</h2>
        {unreadable.length > 0 && (
          <div className="flex flex-wrap items-center gap-3 rounded-lg bg-mind-wash px-4 py-2 text-mind">
            <p className="min-w-0 shrink grow basis-60">
              {unreadable.length} stored {unreadable.length === 1 ? 'entry' : 'entries'} cannot be read by this version.
              They are not in an export, and wiping removes them too.
            </p>
            <button
              type="button"
              className="btn"
              onClick={() => downloadText(`zevrin-${name}-not-read.json`, `${JSON.stringify(unreadable, null, 2)}\n`)}
            >
              Save them to a file
            </button>
          </div>
        )}
        <div className="flex flex-wrap gap-3">
          <ConfirmButton
            title="Wipe this workspace?"
            text={`${contents(countsOf(data))} are removed from this browser. This cannot be undone; export first.`}
            confirm="Wipe it"
            onConfirm={() => void startFrom(emptyWorkspace(), 'The workspace is empty.')}
          >
            <Trash2 aria-hidden className="size-5" />
            Wipe everything
          </ConfirmButton>
          {name === 'demo' && (
            <ConfirmButton
              title="Set the demo back?"
              text="What you changed in the demo is removed. Your own workspace is not touched."
              confirm="Set it back"
              onConfirm={() => void resetDemo()}
            >
              Set the demo back
            </ConfirmButton>
          )}
        </div>
      </section>
      <p className="mt-10">
        <Link className="font-semibold text-act underline" to={`/${name}/sources`}>
          Where the rules and numbers come from
        </Link>
      </p>
    </div>
  );
}

interface OfferProps {
  readonly file: string;
  readonly what: string;
  readonly onAdd: () => void;
  readonly onLeave: () => void;
}

/** A file with one thing in it that can be added. */
function Offer({ file, what, onAdd, onLeave }: OfferProps) {
  return (
    <div className="rounded-lg bg-untested-wash p-4 text-untested">
      <p>
        <strong>{file}</strong> holds {what}.
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <button type="button" className="btn btn-act" onClick={onAdd}>
          Add it
        </button>
        <button type="button" className="btn" onClick={onLeave}>
          Leave it
        </button>
      </div>
    </div>
  );
}
