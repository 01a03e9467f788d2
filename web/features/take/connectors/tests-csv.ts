import { isValid, parseISO } from 'date-fns';
import { parse, unparse } from 'papaparse';
import {
  testsOf,
  WAY_ENDS,
  WAY_FROM,
  WAY_GATES,
  WAY_RESULTS,
  waySchema,
  waysOf,
  wayKey,
  wayTestSchema,
  type Way,
  type WayTest,
} from '@core/things/connector';
import { JOBS, type Connector, type Device, type Job } from '@core/things/gear';

const HEAD = ['connector', 'device', 'end', 'from', 'gate', 'result', 'at', 'note'] as const;
type Row = Record<(typeof HEAD)[number], string>;

/** What a spreadsheet would take for a formula, and what was written with a quote before it for that reason. */
const FORMULA = /^'*\s*[=+\-@\t\r]/;
/** A text as a cell that no spreadsheet computes; `plain` takes it back, whatever it is. */
const cell = (text: string) => (FORMULA.test(text) ? `'${text}` : text);
const plain = (text: string | undefined) =>
  text === undefined ? '' : text.startsWith("'") && FORMULA.test(text) ? text.slice(1) : text;

/** A way with its computed verdict, as the map has it. */
export interface ComputedWay {
  readonly connectorId: string;
  readonly deviceId: string;
  readonly way: Way;
  readonly severity: string;
  readonly playMm: number | null;
  readonly strengthLeftKn: number | null;
}

/**
 * The connector map as CSV (RFC 4180), a line for each way, or for each test of it; numbers in mm and kN whatever the
 * units on the screen. What is read back are the columns up to `note`; the others are for people.
 */
export function waysCsv(
  job: Job,
  ways: readonly ComputedWay[],
  tests: readonly WayTest[],
  connectors: readonly Connector[],
  devices: readonly Device[],
): string {
  // A name that two have says nothing: then the id stands in its place.
  const nameOf = (list: readonly { id: string; name: string }[], id: string) => {
    const name = list.find((x) => x.id === id)?.name;
    return name !== undefined && list.filter((x) => x.name.trim() === name.trim()).length === 1 ? name : id;
  };
  const number = (value: number | null) => (value === null || !Number.isFinite(value) ? '' : Number(value.toFixed(3)));
  return unparse(
    {
      fields: [...HEAD, 'job', 'verdict', 'play_mm', 'strength_left_kn'],
      data: ways.flatMap(({ connectorId, deviceId, way, severity, playMm, strengthLeftKn }) => {
        const own = testsOf(tests, connectorId, deviceId, way);
        return (own.length > 0 ? own : [{ result: 'not tried', at: '', note: '' }]).map(({ result, at, note }) => [
          cell(nameOf(connectors, connectorId)),
          cell(nameOf(devices, deviceId)),
          way.end,
          way.from,
          way.gate,
          result,
          at,
          cell(note),
          JOBS[job],
          severity,
          number(playMm),
          number(strengthLeftKn),
        ]);
      }),
    },
    { newline: '\r\n' },
  );
}

/** A name in the file that several have, and who they are. */
export interface Asked {
  readonly what: 'connector' | 'device';
  readonly name: string;
  readonly candidates: readonly (Connector | Device)[];
}
export type CsvResult =
  | { readonly ok: true; readonly tests: readonly WayTest[] }
  | { readonly ok: false; readonly line: number; readonly message: string }
  /** Nothing is wrong with the file, and only its owner knows which is meant. */
  | { readonly ok: false; readonly asked: Asked };

/** Lines below the head: ten times the ways of a large locker. */
export const MOST_LINES = 20_000;
/** What the reader of such files finds wrong with a line. */
const FAULTS: Readonly<Record<string, string>> = {
  MissingQuotes: 'A quote is opened here and never closed.',
  InvalidQuotes: 'A quote stands in the middle of a cell. Inside of quotes it is written twice.',
  TooFewFields: 'This line has fewer cells than the head.',
  TooManyFields: 'This line has more cells than the head.',
};

const oneOf = (what: string, read: string, allowed: readonly string[]) =>
  `${what}: read “${read}”, allowed: ${allowed.join(', ')}.`;

/** ISO 8601, by the day at least; a time without a zone is the reader's. */
const ISO = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d{1,3})?)?(Z|[+-]\d{2}:?\d{2})?)?$/;
function instantOf(text: string): string | null {
  if (!ISO.test(text)) return null;
  const at = parseISO(text);
  return isValid(at) ? at.toISOString() : null;
}

/** Who is meant by a name or an id; several when a name does not say. */
function meant<T extends Connector | Device>(list: readonly T[], text: string): readonly T[] {
  const byId = list.filter((x) => x.id === text.trim());
  return byId.length > 0 ? byId : list.filter((x) => x.name.trim() === text.trim());
}

/** For each name that several have, the id that is meant, by `connector/name` and `device/name`. */
export type Chosen = Readonly<Record<string, string>>;

/**
 * Reads such a file whole or not at all; the line of the first fault counts the head as line 1. A result of "" or "not
 * tried" is no record.
 * @param newId gives the id of each record.
 * @param chosen who is meant by names that several have; without an answer the file asks.
 */
export function readTestsCsv(
  text: string,
  connectors: readonly Connector[],
  devices: readonly Device[],
  now: string,
  newId: () => string,
  chosen: Chosen = {},
): CsvResult {
  const { data, meta, errors } = parse<Row>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    preview: MOST_LINES + 1,
  });
  const missing = HEAD.slice(0, 6).filter((h) => !meta.fields?.includes(h));
  if (missing.length > 0) return { ok: false, line: 1, message: `Columns missing: ${missing.join(', ')}.` };
  const broken = errors.find((e) => e.type !== 'Delimiter');
  // What is wrong with quotes it counts from the head, all else from the line below.
  const head = broken?.type === 'Quotes' ? 1 : 2;
  if (broken)
    return { ok: false, line: (broken.row ?? 0) + head, message: FAULTS[broken.code] ?? 'It cannot be read.' };
  if (data.length > MOST_LINES)
    return { ok: false, line: MOST_LINES + 2, message: `A file has at most ${MOST_LINES} lines below its head.` };
  const tests: WayTest[] = [];
  for (const [i, row] of data.entries()) {
    const fail = (message: string): CsvResult => ({ ok: false, line: i + 2, message });
    const word = (text: string | undefined) => plain(text).trim();
    const found: { connector?: Connector; device?: Device } = {};
    for (const [what, list] of [
      ['connector', connectors],
      ['device', devices],
    ] as const) {
      const name = plain(row[what]);
      const candidates = meant<Connector | Device>(list, chosen[`${what}/${name.trim()}`] ?? name);
      if (candidates.length === 0) return fail(`${what}: read “${row[what]}”, which is not in the locker.`);
      if (candidates.length > 1) return { ok: false, asked: { what, name: name.trim(), candidates } };
      Object.assign(found, { [what]: candidates[0] });
    }
    const connector = found.connector!;
    const device = found.device!;
    const way = waySchema.safeParse({ end: word(row.end), from: word(row.from), gate: word(row.gate) });
    if (!way.success) {
      const key = way.error.issues[0]!.path[0] as 'end' | 'from' | 'gate';
      return fail(oneOf(key, row[key], Object.keys({ end: WAY_ENDS, from: WAY_FROM, gate: WAY_GATES }[key])));
    }
    if (!waysOf(connector, device).some((w) => wayKey(w) === wayKey(way.data))) {
      return fail(`${wayKey(way.data)} is no way of its own for ${connector.name} in ${device.name}.`);
    }
    const result = word(row.result);
    if (result === '' || result === 'not tried') continue;
    if (!Object.hasOwn(WAY_RESULTS, result))
      return fail(oneOf('result', result, [...Object.keys(WAY_RESULTS), 'not tried']));
    const at = word(row.at) === '' ? now : instantOf(word(row.at));
    if (at === null)
      return fail(`at: read “${row.at}”, needed is a day after ISO 8601 as 2026-03-01, with or without a time.`);
    const test = wayTestSchema.safeParse({
      id: newId(),
      connectorId: connector.id,
      deviceId: device.id,
      way: way.data,
      result,
      at,
      note: plain(row.note),
    });
    // What the store would refuse later is refused here.
    if (!test.success) {
      const [issue] = test.error.issues;
      return fail(`${issue!.path.join('.')}: ${issue!.message}`);
    }
    tests.push(test.data);
  }
  return { ok: true, tests };
}
