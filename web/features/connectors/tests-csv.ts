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
  type Way,
  type WayTest,
} from '@core/connector';
import { JOBS, type Connector, type Device, type Job } from '@core/gear';

const HEAD = ['connector', 'device', 'end', 'from', 'gate', 'result', 'at', 'note'] as const;
type Row = Record<(typeof HEAD)[number], string>;

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
 * The connector map as CSV (RFC 4180), a line for each way, or for each test of it; numbers in mm and kN whatever the units on the screen.
 * What is read back are the columns up to `note`; the others are for people.
 */
export function waysCsv(
  job: Job,
  ways: readonly ComputedWay[],
  tests: readonly WayTest[],
  connectors: readonly Connector[],
  devices: readonly Device[],
): string {
  const nameOf = (list: readonly { id: string; name: string }[], id: string) =>
    list.find((x) => x.id === id)?.name ?? id;
  const number = (value: number | null) => (value === null || !Number.isFinite(value) ? '' : Number(value.toFixed(3)));
  return unparse(
    {
      fields: [...HEAD, 'job', 'verdict', 'play_mm', 'strength_left_kn'],
      data: ways.flatMap(({ connectorId, deviceId, way, severity, playMm, strengthLeftKn }) => {
        const own = testsOf(tests, connectorId, deviceId, way);
        return (own.length > 0 ? own : [{ result: 'not tried', at: '', note: '' }]).map(({ result, at, note }) => [
          nameOf(connectors, connectorId),
          nameOf(devices, deviceId),
          way.end,
          way.from,
          way.gate,
          result,
          at,
          note,
          JOBS[job],
          severity,
          number(playMm),
          number(strengthLeftKn),
        ]);
      }),
    },
    { newline: '\r\n', escapeFormulae: true },
  );
}

export type CsvResult =
  | { readonly ok: true; readonly tests: readonly WayTest[] }
  | { readonly ok: false; readonly line: number; readonly message: string };

const oneOf = (what: string, read: string, allowed: readonly string[]) =>
  `${what}: read “${read}”, allowed: ${allowed.join(', ')}.`;

/**
 * Reads such a file whole or not at all; the line of the first fault counts the head as line 1. A result of "" or "not tried" is no record.
 * @param newId gives the id of each record.
 */
export function readTestsCsv(
  text: string,
  connectors: readonly Connector[],
  devices: readonly Device[],
  now: string,
  newId: () => string,
): CsvResult {
  const { data, meta, errors } = parse<Row>(text.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: 'greedy' });
  const missing = HEAD.slice(0, 6).filter((h) => !meta.fields?.includes(h));
  if (missing.length > 0) return { ok: false, line: 1, message: `Columns missing: ${missing.join(', ')}.` };
  const broken = errors.find((e) => e.type !== 'Delimiter');
  if (broken) return { ok: false, line: (broken.row ?? 0) + 2, message: `${broken.message}.` };
  const tests: WayTest[] = [];
  for (const [i, row] of data.entries()) {
    const fail = (message: string): CsvResult => ({ ok: false, line: i + 2, message });
    // Names that begin like a formula were written with a quote before them.
    const plain = (cell: string | undefined) => (cell ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    const connector = connectors.find((c) => c.name === plain(row.connector) || c.id === plain(row.connector));
    if (!connector) return fail(`connector: read “${row.connector}”, which is not in the locker.`);
    const device = devices.find((d) => d.name === plain(row.device) || d.id === plain(row.device));
    if (!device) return fail(`device: read “${row.device}”, which is not in the locker.`);
    const way = waySchema.safeParse({ end: plain(row.end), from: plain(row.from), gate: plain(row.gate) });
    if (!way.success) {
      const key = way.error.issues[0]!.path[0] as 'end' | 'from' | 'gate';
      return fail(oneOf(key, row[key], Object.keys({ end: WAY_ENDS, from: WAY_FROM, gate: WAY_GATES }[key])));
    }
    if (!waysOf(connector, device).some((w) => wayKey(w) === wayKey(way.data))) {
      return fail(`${wayKey(way.data)} is no way of its own for ${connector.name} in ${device.name}.`);
    }
    const result = plain(row.result);
    if (result === '' || result === 'not tried') continue;
    if (!Object.hasOwn(WAY_RESULTS, result))
      return fail(oneOf('result', result, [...Object.keys(WAY_RESULTS), 'not tried']));
    const at = plain(row.at) === '' ? now : plain(row.at);
    if (Number.isNaN(Date.parse(at))) return fail(`at: read “${at}”, a date and time after ISO 8601 is needed.`);
    tests.push({
      id: newId(),
      connectorId: connector.id,
      deviceId: device.id,
      way: way.data,
      result: result as WayTest['result'],
      at: new Date(at).toISOString(),
      note: plain(row.note).slice(0, 2000),
    });
  }
  return { ok: true, tests };
}
