import { Plus, Trash2 } from 'lucide-react';
import { useFieldArray, type ArrayPath, type Control } from 'react-hook-form';
import { declarationSchema, JOB_FACTS, ROPE_CONSTRUCTIONS, type Job, type RopeConstruction } from '@core/gear';
import { SchemaField } from '../../ui/SchemaField';

export interface DeclarationDraft {
  readonly job: Job;
  readonly strands: string;
  readonly constructions: readonly string[];
  readonly minDiameterMm: number | null | undefined;
  readonly maxDiameterMm: number | null | undefined;
  readonly bestMinDiameterMm: number | null;
  readonly bestMaxDiameterMm: number | null;
}

interface DeclarationsFieldProps {
  readonly control: Control<Record<string, unknown>>;
  readonly value: readonly DeclarationDraft[];
  /** Sets one field of a row, by its path below the form. */
  readonly onChange: (path: string, value: unknown) => void;
  /** Message at a path such as "0.maxDiameterMm". */
  readonly errorAt: (path: string) => string | undefined;
}

const BLANK: DeclarationDraft = {
  job: 'rappel-double',
  strands: 'two',
  constructions: ['single'],
  minDiameterMm: null,
  maxDiameterMm: null,
  bestMinDiameterMm: null,
  bestMaxDiameterMm: null,
};
const { job, strands, minDiameterMm, maxDiameterMm, bestMinDiameterMm, bestMaxDiameterMm } = declarationSchema.shape;

/** The ranges that the maker declares: per job and number of strands, for which kinds of rope, from which diameter to which. */
export function DeclarationsField({ control, value, onChange, errorAt }: DeclarationsFieldProps) {
  // Rows have an identity of their own: text that cannot be read stays in its row when another one goes.
  const { fields, append, remove } = useFieldArray({
    control,
    name: 'declarations' as ArrayPath<Record<string, unknown>>,
  });
  const change = (at: number, part: Partial<DeclarationDraft>) => {
    for (const [key, entry] of Object.entries(part)) onChange(`declarations.${at}.${key}`, entry);
  };
  return (
    <fieldset className="col-span-full">
      <legend className="font-bold">Declared ranges</legend>
      <p className="text-sm text-ink-2">From the instructions of the device. Without one, the fit is not tested.</p>
      <ul className="mt-2 grid gap-4">
        {fields.map(({ id }, at) => {
          const row = value[at];
          if (!row) return null;
          return (
            <li key={id} className="border-l-4 border-line pl-3">
              <div className="mt-1 grid gap-3 sm:grid-cols-2">
                <SchemaField
                  schema={job}
                  value={row.job}
                  onChange={(v) => change(at, { job: v as Job, strands: JOB_FACTS[v as Job].strands })}
                  error={errorAt(`${at}.job`)}
                />
                <SchemaField
                  schema={strands}
                  value={row.strands}
                  onChange={(v) => change(at, { strands: v as string })}
                  error={errorAt(`${at}.strands`)}
                />
                <SchemaField
                  schema={minDiameterMm}
                  value={row.minDiameterMm}
                  onChange={(v) => change(at, { minDiameterMm: v as number })}
                  error={errorAt(`${at}.minDiameterMm`)}
                />
                <SchemaField
                  schema={maxDiameterMm}
                  value={row.maxDiameterMm}
                  onChange={(v) => change(at, { maxDiameterMm: v as number })}
                  error={errorAt(`${at}.maxDiameterMm`)}
                />
                <SchemaField
                  schema={bestMinDiameterMm}
                  value={row.bestMinDiameterMm}
                  onChange={(v) => change(at, { bestMinDiameterMm: v as number | null })}
                  error={errorAt(`${at}.bestMinDiameterMm`)}
                />
                <SchemaField
                  schema={bestMaxDiameterMm}
                  value={row.bestMaxDiameterMm}
                  onChange={(v) => change(at, { bestMaxDiameterMm: v as number | null })}
                  error={errorAt(`${at}.bestMaxDiameterMm`)}
                />
              </div>
              <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
                {(Object.keys(ROPE_CONSTRUCTIONS) as RopeConstruction[]).map((kind) => (
                  <label key={kind} className="flex min-h-11 items-center gap-2">
                    <input
                      type="checkbox"
                      className="size-5 accent-(--act)"
                      checked={row.constructions.includes(kind)}
                      onChange={(event) =>
                        change(at, {
                          constructions: event.target.checked
                            ? [...row.constructions, kind]
                            : row.constructions.filter((k) => k !== kind),
                        })
                      }
                    />
                    {ROPE_CONSTRUCTIONS[kind]}
                  </label>
                ))}
                <button type="button" className="btn ml-auto border-0" onClick={() => remove(at)}>
                  <Trash2 aria-hidden className="size-4" />
                  Remove this range
                </button>
              </div>
              {errorAt(`${at}.constructions`) && <p className="text-sm text-stop">{errorAt(`${at}.constructions`)}</p>}
            </li>
          );
        })}
      </ul>
      <button type="button" className="btn mt-3" onClick={() => append(BLANK)}>
        <Plus aria-hidden className="size-4" />
        Add a range
      </button>
    </fieldset>
  );
}
