import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useFieldArray, type ArrayPath, type Control } from 'react-hook-form';
import {
  declarationSchema,
  JOB_FACTS,
  JOB_KEYS,
  JOBS,
  ROPE_CONSTRUCTIONS,
  servesJob,
  type Family,
  type Job,
  type RopeConstruction,
} from '@core/things/gear';
import { useWords } from '../../../app/preferences';
import { SchemaField } from '../../../ui/SchemaField';
import { rangesOf, type DeclarationDraft } from './ranges';

interface DeclarationsFieldProps {
  readonly control: Control<Record<string, unknown>>;
  readonly value: readonly DeclarationDraft[];
  readonly family: Family;
  /** Sets one field of a row, by its path below the form. */
  readonly onChange: (path: string, value: unknown) => void;
  /** Message at a path such as "0.maxDiameterMm". */
  readonly errorAt: (path: string) => string | undefined;
}

const { strands, minDiameterMm, maxDiameterMm, bestMinDiameterMm, bestMaxDiameterMm } = declarationSchema.shape;
/** Ticked in a new range, where the device can serve it. */
const USUAL: Job = 'rappel-double';
const KINDS = Object.keys(ROPE_CONSTRUCTIONS) as RopeConstruction[];

/**
 * The ranges that the maker declares. What is stored is one row for each job; a range that holds for several jobs is
 * entered once, with the jobs ticked. Rows that say the same stand together when the form opens, and stay together
 * while one types.
 */
export function DeclarationsField({ control, value, family, onChange, errorAt }: DeclarationsFieldProps) {
  const words = useWords();
  // Rows have an identity of their own: text that cannot be read stays in its row when another one goes.
  const { fields, append, remove } = useFieldArray({
    control,
    name: 'declarations' as ArrayPath<Record<string, unknown>>,
  });
  const [kept, setKept] = useState(() => rangesOf(value));
  // What was put in from elsewhere is read anew.
  const ranges = kept.length === fields.length ? kept : rangesOf(value);
  const all = [...new Set(ranges)];
  const rowsOf = (range: number) => ranges.flatMap((r, at) => (r === range && value[at] ? [at] : []));
  const change = (rows: readonly number[], part: Partial<DeclarationDraft>) => {
    for (const at of rows)
      for (const [key, entry] of Object.entries(part)) onChange(`declarations.${at}.${key}`, entry);
  };
  const drop = (rows: readonly number[]) => {
    setKept(ranges.filter((_, at) => !rows.includes(at)));
    remove([...rows]);
  };
  const tick = (range: number, rows: readonly number[], job: Job, on: boolean) => {
    if (!on) return drop(rows.filter((at) => value[at]!.job === job));
    setKept([...ranges, range]);
    append({ ...value[rows[0]!]!, job, strands: JOB_FACTS[job].strands });
  };
  const served = JOB_KEYS.filter((job) => servesJob(family, job));
  const add = () => {
    const job = served.includes(USUAL) ? USUAL : (served[0] ?? USUAL);
    setKept([...ranges, Math.max(-1, ...ranges) + 1]);
    append({
      job,
      strands: JOB_FACTS[job].strands,
      constructions: ['single'],
      minDiameterMm: null,
      maxDiameterMm: null,
      bestMinDiameterMm: null,
      bestMaxDiameterMm: null,
    });
  };
  return (
    <fieldset className="col-span-full">
      <legend className="font-bold">Declared ranges</legend>
      <p className="text-sm text-ink-2">
        From the instructions of the device: from which to which thickness, for which jobs. Without one, the fit is not
        tested.
      </p>
      <ul className="mt-2 grid gap-5">
        {all.map((range) => {
          const rows = rowsOf(range);
          const first = rows[0];
          if (first === undefined) return null;
          const row = value[first]!;
          const jobs = new Set(rows.map((at) => value[at]!.job));
          const error = (key: string) => rows.map((at) => errorAt(`${at}.${key}`)).find(Boolean);
          const offered = JOB_KEYS.filter((job) => served.includes(job) || jobs.has(job));
          const folded = row.bestMinDiameterMm === null && row.bestMaxDiameterMm === null;
          const wrong = ['bestMinDiameterMm', 'bestMaxDiameterMm', 'strands'].some(error);
          return (
            // The first row gives the card its name: it stays while others come and go.
            <li key={fields[first]!.id} className="border-l-4 border-line pl-3">
              <div className="mt-1 grid gap-3 sm:grid-cols-2">
                <SchemaField
                  schema={minDiameterMm}
                  value={row.minDiameterMm}
                  onChange={(v) => change(rows, { minDiameterMm: v as number })}
                  error={error('minDiameterMm')}
                />
                <SchemaField
                  schema={maxDiameterMm}
                  value={row.maxDiameterMm}
                  onChange={(v) => change(rows, { maxDiameterMm: v as number })}
                  error={error('maxDiameterMm')}
                />
              </div>
              <Ticks
                legend="Kinds of rope"
                options={KINDS.map((kind) => [kind, ROPE_CONSTRUCTIONS[kind]])}
                ticked={(kind) => row.constructions.includes(kind)}
                onTick={(kind, on) =>
                  change(rows, {
                    constructions: on ? [...row.constructions, kind] : row.constructions.filter((k) => k !== kind),
                  })
                }
                error={error('constructions')}
              />
              <Ticks
                legend="For these jobs"
                options={offered.map((job) => [job, words(JOBS[job])])}
                ticked={(job) => jobs.has(job)}
                // A range is for one job at least; it is taken out as a whole below.
                fixed={jobs.size === 1 ? row.job : null}
                onTick={(job, on) => tick(range, rows, job, on)}
                error={error('job')}
              />
              <details className="mt-1" open={!folded || wrong || undefined}>
                <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">Best range, and strands</summary>
                <div className="grid gap-3 sm:grid-cols-2">
                  <SchemaField
                    schema={bestMinDiameterMm}
                    value={row.bestMinDiameterMm}
                    onChange={(v) => change(rows, { bestMinDiameterMm: v as number | null })}
                    error={error('bestMinDiameterMm')}
                  />
                  <SchemaField
                    schema={bestMaxDiameterMm}
                    value={row.bestMaxDiameterMm}
                    onChange={(v) => change(rows, { bestMaxDiameterMm: v as number | null })}
                    error={error('bestMaxDiameterMm')}
                  />
                  {rows.map((at) => (
                    <SchemaField
                      key={fields[at]!.id}
                      schema={strands}
                      label={`Strands: ${JOBS[value[at]!.job].toLowerCase()}`}
                      value={value[at]!.strands}
                      onChange={(v) => change([at], { strands: v as string })}
                      error={errorAt(`${at}.strands`)}
                    />
                  ))}
                </div>
              </details>
              <button type="button" className="btn border-0" onClick={() => drop(rows)}>
                <Trash2 aria-hidden className="size-4" />
                Remove this range
              </button>
            </li>
          );
        })}
      </ul>
      <button type="button" className="btn mt-3" onClick={add}>
        <Plus aria-hidden className="size-4" />
        Add a range
      </button>
    </fieldset>
  );
}

interface TicksProps<K extends string> {
  readonly legend: string;
  readonly options: readonly (readonly [K, string])[];
  readonly ticked: (key: K) => boolean;
  /** One that cannot be taken away. */
  readonly fixed?: K | null;
  readonly onTick: (key: K, on: boolean) => void;
  readonly error: string | undefined;
}

function Ticks<K extends string>({ legend, options, ticked, fixed = null, onTick, error }: TicksProps<K>) {
  return (
    <fieldset className="mt-2">
      <legend className="text-sm font-semibold">{legend}</legend>
      <div className="flex flex-wrap items-center gap-x-5">
        {options.map(([key, label]) => (
          <label key={key} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--act)"
              checked={ticked(key)}
              disabled={fixed === key}
              onChange={(event) => onTick(key, event.target.checked)}
            />
            {label}
          </label>
        ))}
      </div>
      {error && <p className="text-sm text-stop">{error}</p>}
    </fieldset>
  );
}
