import { describe, expect, it } from 'vitest';
import { club, demoTests } from '@core/samples';
import { usualLoad } from '@core/gear';
import { judgeTestedWays, type WayTest } from '@core/connector';
import { readTestsCsv, waysCsv } from './tests-csv';

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
    expect(!result.ok && result.message).toMatch(message);
  });
});
