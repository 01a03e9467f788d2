import { useState } from 'react';
import { declarationSchema, JOB_FACTS, JOBS, type Declaration, type Device } from '@core/things/gear';
import { slotsOf } from '@core/rigs/elements';
import type { Setup } from '@core/rigs/rig';
import { printNumber, printQuantity } from '@core/foundations/units';
import { usePreferences, useWords } from '../../../app/preferences';
import { SchemaField } from '../../../ui/SchemaField';

const sameRange = (a: Declaration, b: Declaration) =>
  (['minDiameterMm', 'maxDiameterMm', 'bestMinDiameterMm', 'bestMaxDiameterMm'] as const).every((k) => a[k] === b[k]);

/** What the maker of a device says for this job: the two numbers that decide whether a rope fits. */
export function Declare({ device, setup, onSave }: { device: Device; setup: Setup; onSave: (next: Device) => void }) {
  const [from, setFrom] = useState<number | null>(null);
  const [to, setTo] = useState<number | null>(null);
  const rope = slotsOf(setup).find((s) => s.kind === 'rope')?.item;
  const construction = rope && 'construction' in rope ? rope.construction : 'single';
  const row = {
    job: setup.job,
    strands: JOB_FACTS[setup.job].strands,
    constructions: [construction],
    minDiameterMm: from,
    maxDiameterMm: to,
    bestMinDiameterMm: null,
    bestMaxDiameterMm: null,
  };
  const read = declarationSchema.safeParse(row);
  const { system } = usePreferences();
  const inWords = useWords();
  // What was entered for another job is not taken for this one, and not typed twice either.
  const earlier = device.declarations.filter((d) => d.constructions.includes(construction));
  const once = earlier.filter((d, i) => earlier.findIndex((other) => sameRange(d, other)) === i);
  const { minDiameterMm, maxDiameterMm } = declarationSchema.shape;
  const both = from !== null && to !== null;
  return (
    <div>
      <p className="text-sm font-semibold">What its maker says of {device.name}, for this job and this kind of rope</p>
      {once.map((d) => (
        <div key={d.job} className="mt-1 text-sm">
          <p>
            You entered {printNumber(d.minDiameterMm, 'diameterMm', system)} to{' '}
            {printQuantity(d.maxDiameterMm, 'diameterMm', system)} for another job: {inWords(JOBS[d.job].toLowerCase())}
            . Does the maker say the same here?
          </p>
          <button
            type="button"
            className="btn mt-1"
            onClick={() =>
              onSave({
                ...device,
                declarations: [...device.declarations, { ...d, job: row.job, strands: row.strands }],
              })
            }
          >
            It says the same
          </button>
        </div>
      ))}
      <div className="grid grid-cols-2 gap-2">
        <SchemaField
          schema={minDiameterMm}
          value={from}
          onChange={(v) => setFrom((v as number | null | undefined) ?? null)}
        />
        <SchemaField
          schema={maxDiameterMm}
          value={to}
          onChange={(v) => setTo((v as number | null | undefined) ?? null)}
          error={both && !read.success ? read.error.issues[0]?.message : undefined}
        />
      </div>
      <button
        type="button"
        className="btn mt-1"
        disabled={!read.success}
        onClick={() => onSave({ ...device, declarations: [...device.declarations, row as Declaration] })}
      >
        Enter it
      </button>
    </div>
  );
}
