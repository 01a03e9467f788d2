import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { club, demoTests } from '@core/samples';
import { usualLoad } from '@core/things/gear';
import { judgeTestedWays, wayTestSchema, type WayTest } from '@core/things/connector';
import { MOST_LINES, readTestsCsv, waysCsv } from './tests-csv';

const connectors = club.clubItems.filter((i) => i.kind === 'connector');
const devices = club.clubItems.filter((i) => i.kind === 'device');
let n = 0;
const read = (text: string) =>
  readTestsCsv(text, connectors, devices, '2026-01-01T00:00:00.000Z', () => `id${(n += 1)}`);
const HEAD = 'connector,device,end,from,gate,result,at,note';

describe('own tests as CSV', () => {
  it('go out with the whole map and come back', () => {
    const lines = connectors.flatMap((connector) =>
      devices.flatMap((device) =>
        judgeTestedWays({ load: usualLoad('ascend', 80), connector, device }, demoTests).map((w) => ({
          ...w,
          connectorId: connector.id,
          deviceId: device.id,
          strengthLeftKn: w.strengthLeftKn?.low ?? null,
        })),
      ),
    );
    const text = waysCsv('ascend', lines, demoTests, connectors, devices);
    expect(text.split('\r\n')).toHaveLength(1 + lines.length);
    expect(text).toMatch(
      /^"?Oval screw, green"?,Burr clamp,broad,left,free,not tried,,,Ascend a rope,mind,\d+(\.\d+)?,8$/m,
    );
    const result = read(text);
    const plain = (list: readonly WayTest[]) =>
      list.map((t) => ({ ...t, id: '' })).sort((a, b) => (a.at < b.at ? -1 : 1));
    expect(result.ok && plain(result.tests)).toEqual(plain(demoTests));
  });
  it('not tried is no record; ids do for names; a missing date is now', () => {
    const result = read(
      `\uFEFF${HEAD}\r\nconnector-oval,device-burr,broad,left,free,not tried,,\r\nconnector-oval,device-burr,broad,left,free,wedged,,a\r\n`,
    );
    expect(result).toMatchObject({
      ok: true,
      tests: [{ result: 'wedged', at: '2026-01-01T00:00:00.000Z', note: 'a' }],
    });
  });
  it.each<[string, string, number, RegExp]>([
    ['a column', 'connector,device\na,b', 1, /end, from, gate, result/],
    ['a connector', `${HEAD}\nNone,device-burr,broad,left,free,worked,,`, 2, /“None”, which is not in the locker/],
    ['a device', `${HEAD}\nconnector-oval,x,broad,left,free,worked,,`, 2, /device: read “x”/],
    [
      'an end',
      `${HEAD}\nconnector-oval,device-burr,wide,left,free,worked,,`,
      2,
      /end: read “wide”, allowed: broad, narrow/,
    ],
    ['a way that is none', `${HEAD}\nconnector-oval,device-burr,narrow,left,free,worked,,`, 2, /no way of its own/],
    ['a result', `${HEAD}\nconnector-oval,device-burr,broad,left,free,fine,,`, 2, /result: read “fine”.*not tried/],
    ['a date', `${HEAD}\nconnector-oval,device-burr,broad,left,free,worked,yesterday,`, 2, /ISO 8601/],
  ])('refuses %s, with the line', (_, text, line, message) => {
    const result = read(text);
    expect(result).toMatchObject({ ok: false, line });
    expect('message' in result && result.message).toMatch(message);
  });

  it.each(['20260-11-25', '2026-02-31', '12/11/2025', 'foo 5', '2026-13-01', '2026-11-25T25:00', '5', '2026'])(
    'a date that is none after ISO 8601 is refused with its line: %s',
    (at) => {
      expect(read(`${HEAD}\nconnector-oval,device-burr,broad,left,free,worked,${at},`)).toMatchObject({
        ok: false,
        line: 2,
        message: expect.stringContaining(`read “${at}”`) as string,
      });
    },
  );
  it.each([
    ['2026-11-25', /^2026-11-2[45]T/],
    ['2026-11-25T10:00Z', /^2026-11-25T10:00:00\.000Z$/],
    ['2026-11-25T10:00:30+01:00', /^2026-11-25T09:00:30\.000Z$/],
    ['2024-02-29T00:00:00.000Z', /^2024-02-29T00:00:00\.000Z$/],
  ])('%s is one', (at, is) => {
    const result = read(`${HEAD}\nconnector-oval,device-burr,broad,left,free,worked,${at},`);
    expect(result.ok && result.tests[0]!.at).toMatch(is);
  });
  it('more lines than anybody has tried are refused by their number, before they are gone through', () => {
    const many = Array.from({ length: MOST_LINES + 1 }, () => 'x,y,broad,left,free,worked,,');
    expect(read([HEAD, ...many].join('\n'))).toEqual({
      ok: false,
      line: MOST_LINES + 2,
      message: 'A file has at most 20000 lines below its head.',
    });
  });
  it.each([
    ['"x,y,broad', 2, 'A quote is opened here and never closed.'],
    ['x,y', 2, 'This line has fewer cells than the head.'],
    ['x,y,broad,left,free,worked,,note,more', 2, 'This line has more cells than the head.'],
  ])('what the reader of such files finds is said in our words: %s', (row, line, message) => {
    expect(read(`${HEAD}\n${row}`)).toEqual({ ok: false, line, message });
  });
  it('a note that the store would refuse is refused, not cut', () => {
    const result = read(`${HEAD}\nconnector-oval,device-burr,broad,left,free,worked,,${'x'.repeat(2001)}`);
    expect(result).toMatchObject({ ok: false, line: 2, message: expect.stringMatching(/^note: /) as string });
  });

  it('any note comes back as it was, also one that a spreadsheet would compute (RFC 4180 quoting, a quote before formulas)', () => {
    const [first] = demoTests;
    const [connector, device] = [
      connectors.find((c) => c.id === first!.connectorId)!,
      devices.find((d) => d.id === first!.deviceId)!,
    ];
    const line = {
      connectorId: connector.id,
      deviceId: device.id,
      way: first!.way,
      severity: 'mind',
      playMm: 1,
      strengthLeftKn: 8,
    };
    const back = (note: string) => {
      const text = waysCsv('ascend', [line], [{ ...first!, note }], connectors, devices);
      const result = read(text);
      return { text, note: result.ok ? result.tests[0]?.note : result };
    };
    const odd = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.string({ unit: fc.constantFrom("'", ' ', '=', '+', '-', '@', '"', ',', '\n', '\r', '\t', 'x'), maxLength: 6 }),
    );
    fc.assert(
      fc.property(odd, (note) => {
        expect(back(note).note).toBe(note);
      }),
      {
        examples: [[' =1+1'], ["'=x"], ["''=x"], ['  leading'], ['trailing  '], ['-3'], ["it's"], ['']],
      },
    );
    for (const note of ['=1+1', ' =1+1', '@x', '\t=1']) expect(back(note).text).toContain(`'${note}`);
  });

  it('of two that have one name the file asks, and an answer settles it; written out, ids stand there', () => {
    const oval = connectors.find((c) => c.id === 'connector-oval')!;
    const both = [...connectors, { ...oval, id: 'connector-oval-2' }];
    const text = `${HEAD}\n"${oval.name}",device-burr,broad,left,free,worked,,`;
    const ask = (chosen = {}) => readTestsCsv(text, both, devices, '2026-01-01T00:00:00.000Z', () => 'id', chosen);
    const result = ask();
    expect(result).toMatchObject({ ok: false, asked: { what: 'connector', name: oval.name } });
    expect('asked' in result && result.asked.candidates.map((c) => c.id)).toEqual([
      'connector-oval',
      'connector-oval-2',
    ]);
    expect(ask({ [`connector/${oval.name}`]: 'connector-oval-2' })).toMatchObject({
      ok: true,
      tests: [{ connectorId: 'connector-oval-2' }],
    });
    const written = waysCsv('ascend', [], demoTests, both, devices);
    expect(written).not.toContain(oval.name);
  });

  it('any text is read or refused, and never throws', () => {
    const cells = fc.constantFrom(
      'connector-oval',
      'device-burr',
      'broad',
      'left',
      'free',
      'worked',
      '',
      '2026-01-01',
      '"',
      'x\ny',
      "'=1",
      '__proto__',
    );
    const rows = fc.array(
      fc.array(cells, { maxLength: 9 }).map((r) => r.join(',')),
      { maxLength: 4 },
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          rows.map((r) => [HEAD, ...r].join('\n')),
        ),
        (text) => {
          const result = read(text);
          if (result.ok) for (const test of result.tests) expect(wayTestSchema.safeParse(test).success).toBe(true);
          else expect('asked' in result || result.message !== '').toBe(true);
        },
      ),
      { numRuns: 3000, seed: 20261125 },
    );
  });
});
