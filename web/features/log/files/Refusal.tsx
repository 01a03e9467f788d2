import type { FileIssue } from '@core/records/files';

/** What was not read in, and why, with the path of each fault. */
export function Refusal({ file, issues, more }: { file: string; issues: readonly FileIssue[]; more: number }) {
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
      {issues.length + more > shown.length && <p className="mt-2">and {issues.length + more - shown.length} more.</p>}
    </div>
  );
}
