import { useState } from 'react';
import { plantWords, otherOf } from '@core/answers/check';
import type { CheckRecord } from '@core/records/log';

interface PlantProps {
  readonly record: CheckRecord;
  readonly names: Readonly<Record<'climber' | 'partner', string>>;
  readonly disabled: boolean;
  readonly onDone: () => void;
  readonly onNone: () => void;
}

/** Before a check in which a fault is planted: what to do, shown to whoever plants it and to nobody else. */
export function Plant({ record, names, disabled, onDone, onNone }: PlantProps) {
  const [shown, setShown] = useState(false);
  const { by, itemId } = record.planted!;
  const item = record.items.find((i) => i.id === itemId)!;
  const other = names[otherOf(by)];
  return (
    <section aria-label="Planted fault" className="m-auto grid max-w-md gap-3 p-4">
      <h2 className="text-xl">Only {names[by]} looks here</h2>
      <p>
        Both stand on the ground. {other} looks away until it is done, and then finds it. The check does not end before
        it is put right.
      </p>
      {shown ? (
        <>
          <p className="rounded-lg bg-sunk p-4 text-lg font-bold">{plantWords(item)}</p>
          <button type="button" className="btn btn-act min-h-14" disabled={disabled} onClick={onDone}>
            It is done: begin the check
          </button>
        </>
      ) : (
        <button type="button" className="btn btn-act min-h-14" onClick={() => setShown(true)}>
          Show it
        </button>
      )}
      <button type="button" className="btn min-h-12" disabled={disabled} onClick={onNone}>
        Check without it
      </button>
    </section>
  );
}
