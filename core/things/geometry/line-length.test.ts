import { describe, expect, it } from 'vitest';
import { club } from '../../samples/index.ts';
import { lineLengthFindings, type LineLengthInput } from './index.ts';

const rope = { ...club.longRope, lengthM: 60, measuredLengthM: 60 };
const ends = (more: Partial<LineLengthInput>) =>
  lineLengthFindings({ rope, heightM: 25, perHeight: 2, pulledDown: false, end: 'open', endsAt: 'ground', ...more })
    .filter((f) => f.code.startsWith('geometry.ends'))
    .map((f) => f.severity);

describe('the closed system of a rope that goes up and comes down again', () => {
  // Worked by hand: end open and L < 2 H + x + 1 m + 2.5 m: stop; x and the tie-in knot are given by the rig. A rope of
  // 60 m that was measured: 57.5 m of way at the most.
  it.each([
    [28.5, 'mind'],
    [28.7, 'mind'],
    [28.8, 'stop'],
    [31, 'stop'],
  ])('open, %s m high: %s', (heightM, severity) => expect(ends({ heightM })).toEqual([severity]));
  it('tie-in knot and the belayer’s way from the wall take rope as well', () => {
    // 60 m - 2 H - 3 m >= 2.5 m: H up to 27.25 m.
    expect([27.2, 27.3].map((heightM) => ends({ heightM, extraM: 3 }))).toEqual([['mind'], ['stop']]);
  });
  it('closed, it is closed at any height', () => {
    for (const end of ['knotted', 'tied'] as const) expect(ends({ end, heightM: 40 })).toEqual(['clear']);
    expect(ends({ end: 'unknown' })).toEqual(['untested']);
  });
  it('one strand down asks for a metre; at a ledge an open end is a stop anyway', () => {
    expect(ends({ perHeight: 1, heightM: 59 })).toEqual(['mind']);
    expect(ends({ perHeight: 1, heightM: 59.1 })).toEqual(['stop']);
    expect(ends({ endsAt: 'ledge', heightM: 5 })).toEqual(['stop']);
  });
});
