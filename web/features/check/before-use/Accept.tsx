import { useState } from 'react';
import { begun } from '../../../ui/useDraftedText';
import { Written } from './Written';

interface AcceptProps {
  readonly draftKey: string;
  readonly name: string;
  readonly disabled: boolean;
  readonly onAccept: (reason: string) => void;
}

/** Going on with a known risk as it is: by name, with a reason, which stays in the record. */
export function Accept({ draftKey, name, disabled, onAccept }: AcceptProps) {
  // Open from the start where a reason was begun; then whoever reads it opens and closes it.
  const [there] = useState(() => begun(draftKey) !== '');
  return (
    <details className="mt-2" open={there || undefined}>
      <summary className="flex min-h-12 cursor-pointer items-center text-ink-2 underline">
        Go on with it as it is ({name})
      </summary>
      <Written
        draftKey={draftKey}
        label="Why can it stay so? It stands in the record with your name."
        button={`Accepted by ${name}`}
        least={5}
        most={300}
        disabled={disabled}
        onWritten={onAccept}
      />
    </details>
  );
}
