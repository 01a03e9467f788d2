import { nanoid } from '@reduxjs/toolkit';
import { format } from 'date-fns';
import { Download, Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { COLLECTIONS, emptyWorkspace, readDocument, writeWorkspace, type FileIssue, type Workspace } from '@core/files';
import type { Setup } from '@core/rig';
import type { Sequence } from '@core/sequence';
import { usePlace } from '../../app/WorkspaceProvider';
import { useTitle } from '../../app/useTitle';
import { difference } from '../../storage/changes';
import { addSetup } from '../../store/edits';
import { addSequence } from '../../store/sequence-edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited, replaced } from '../../store/workspace-slice';
import { ConfirmButton } from '../../ui/ConfirmButton';
import { downloadText } from '../../ui/download';
import { FileButton } from '../../ui/FileButton';
import { useToast } from '../../ui/Toasts';

const WORDS: Readonly<Record<keyof Workspace, readonly [string, string]>> = {
  items: ['item of gear', 'items of gear'],
  people: ['person', 'people'],
  setups: ['set-up', 'set-ups'],
  checks: ['check', 'checks'],
  uses: ['use', 'uses'],
  wayTests: ['own test', 'own tests'],
  sequences: ['order of steps', 'orders of steps'],
};
const contents = (workspace: Workspace): string =>
  COLLECTIONS.map((c) => `${workspace[c].length} ${WORDS[c][workspace[c].length === 1 ? 0 : 1]}`).join(', ');

type Reading =
  | { readonly kind: 'none' }
  | { readonly kind: 'refused'; readonly file: string; readonly issues: readonly FileIssue[] }
  | { readonly kind: 'workspace'; readonly file: string; readonly workspace: Workspace }
  | { readonly kind: 'setup'; readonly file: string; readonly setup: Setup }
  | { readonly kind: 'sequence'; readonly file: string; readonly sequence: Sequence };

/** Export, import and wipe. A file is taken whole or not at all. */
export function FilesPage() {
  useTitle('Files');
  const data = useWorkspace();
  const { name } = usePlace();
  const dispatch = useAppDispatch();
  const say = useToast();
  const [reading, setReading] = useState<Reading>({ kind: 'none' });
  const [kept, setKept] = useState<boolean | null>(null);
  useEffect(() => {
    void navigator.storage?.persisted?.().then(setKept);
  }, []);

  const read = async (file: File) => {
    const result = readDocument(await file.text());
    if (!result.ok) setReading({ kind: 'refused', file: file.name, issues: result.issues });
    else if (result.value.kind === 'workspace')
      setReading({ kind: 'workspace', file: file.name, workspace: result.value.workspace });
    else if (result.value.kind === 'setup') setReading({ kind: 'setup', file: file.name, setup: result.value.setup });
    else setReading({ kind: 'sequence', file: file.name, sequence: result.value.sequence });
  };
  const replaceBy = (next: Workspace, done: string) => {
    dispatch(replaced(difference(data, next)));
    setReading({ kind: 'none' });
    say(done);
  };
  const takeSetup = (setup: Setup) => {
    const known = data.setups.some((s) => s.id === setup.id);
    dispatch(
      edited(addSetup(known ? { ...setup, id: nanoid(), name: `${setup.name.slice(0, 70)} (read in)` } : setup)),
    );
    setReading({ kind: 'none' });
    say('The set-up is added.');
  };
  const takeSequence = (sequence: Sequence) => {
    const known = data.sequences.some((s) => s.id === sequence.id);
    dispatch(
      edited(
        addSequence(known ? { ...sequence, id: nanoid(), name: `${sequence.name.slice(0, 70)} (read in)` } : sequence),
      ),
    );
    setReading({ kind: 'none' });
    say('The order of steps is added.');
  };
  const resetDemo = async () => {
    const { demoWorkspace } = await import('@core/samples');
    replaceBy(demoWorkspace(), 'The demo is as it was at first.');
  };

  return (
    <div className="mx-auto max-w-3xl px-4 py-6">
      <h1>Files</h1>
      <p className="mt-1 text-ink-2">
        This workspace holds {contents(data)}. It is stored in this browser only
        {kept === true
          ? ', which has agreed to keep it.'
          : kept === false
            ? ', which may clear it when space runs short: keep a copy.'
            : '.'}
      </p>
      <section className="mt-6 grid gap-2">
        <h2>Take a copy</h2>
        <div>
          <button
            type="button"
            className="btn btn-act"
            onClick={() =>
              downloadText(`zevrin-${name}-${format(new Date(), 'yyyy-MM-dd')}.zevrin.json`, writeWorkspace(data))
            }
          >
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
        {reading.kind === 'refused' && <Refusal file={reading.file} issues={reading.issues} />}
        {reading.kind === 'workspace' && (
          <div className="rounded-lg bg-untested-wash p-4 text-untested">
            <p>
              <strong>{reading.file}</strong> holds {contents(reading.workspace)}. It replaces everything in this
              workspace.
            </p>
            <div className="mt-3 flex flex-wrap gap-3">
              <button
                type="button"
                className="btn btn-act"
                onClick={() => replaceBy(reading.workspace, 'The file is read in.')}
              >
                Replace everything with it
              </button>
              <button type="button" className="btn" onClick={() => setReading({ kind: 'none' })}>
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
            onLeave={() => setReading({ kind: 'none' })}
          />
        )}
        {reading.kind === 'sequence' && (
          <Offer
            file={reading.file}
            what={`one order of steps, “${reading.sequence.name}”`}
            onAdd={() => takeSequence(reading.sequence)}
            onLeave={() => setReading({ kind: 'none' })}
          />
        )}
      </section>
      <section className="mt-8 grid gap-2">
        <h2>Wipe</h2>
        <div className="flex flex-wrap gap-3">
          <ConfirmButton
            title="Wipe this workspace?"
            text={`${contents(data)} are removed from this browser. This cannot be undone; export first.`}
            confirm="Wipe it"
            onConfirm={() => replaceBy(emptyWorkspace(), 'The workspace is empty.')}
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

function Refusal({ file, issues }: { file: string; issues: readonly FileIssue[] }) {
  const shown = issues.slice(0, 5);
  return (
    <div role="alert" className="rounded-lg bg-stop-wash p-4 text-stop">
      <p>
        <strong>{file}</strong> was not read in. Nothing here has changed.
      </p>
      <ul className="mt-2 grid gap-2">
        {shown.map(({ path, read, message }) => (
          <li key={path + message}>
            <code className="num font-bold break-all">{path || 'the file'}</code>: {message} Read:{' '}
            <code className="num break-all">{read}</code>
          </li>
        ))}
      </ul>
      {issues.length > shown.length && <p className="mt-2">and {issues.length - shown.length} more.</p>}
    </div>
  );
}
