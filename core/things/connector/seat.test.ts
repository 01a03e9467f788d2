import { describe, expect, it } from 'vitest';
import type { Connector } from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import { seatFindings, strengthFinding } from './index.ts';
import { exactly } from '../../foundations/units/index.ts';

const seat = (ropeEnd: 'broad' | 'narrow' | 'unknown', change: Partial<Connector> = {}) =>
  seatFindings({ connector: { ...club.pear, ...change }, part: 'deviceConnector', ropeEnd, strandsMm: [9.9, 9.9] }).map(
    (f) => `${f.code} ${f.severity}`,
  );
const strength = (change: Partial<Connector>, massKg = 68) => {
  const f = strengthFinding({ ...club.pear, ...change }, 'deviceConnector', exactly((2 * massKg * 9.80665) / 1000));
  return `${f.code} ${f.severity}`;
};

describe('seat', () => {
  it('broad end', () => expect(seat('broad')).toEqual(['connector.broad-end-at-rope clear']));
  it('narrow end', () => expect(seat('narrow')).toEqual(['connector.narrow-end-at-rope mind']));
  it('narrow end of an oval is as broad as the other', () =>
    expect(seat('narrow', { shape: 'oval' })).toEqual(['connector.broad-end-at-rope clear']));
  it('not said', () => expect(seat('unknown')).toEqual(['connector.seat-unknown untested']));
  it('two strands of 9.9 mm ask for 22.8 mm', () => {
    expect(seat('broad', { broadInsideWidthMm: 22.7 })).toContain('connector.strands-crowded mind');
    expect(seat('broad', { broadInsideWidthMm: 22.9 })).not.toContain('connector.strands-crowded mind');
  });
});

describe('strength', () => {
  // EN 12275 classes from memory: B 20/7/7, H 20/7/6, X 18/7/5 kN hold a person of 80 kg with a jerk (1.57 kN) twice
  // over.
  it.each([
    [20, 7, 7],
    [20, 7, 6],
    [18, 7, 5],
  ])('class %s/%s/%s', (strengthMajorKn, strengthMinorKn, strengthOpenKn) => {
    expect(strength({ strengthMajorKn, strengthMinorKn, strengthOpenKn }, 80)).toBe('connector.strength clear');
  });
  it('leaves what an open gate holds to the judgement of the gate', () =>
    expect(strength({ strengthOpenKn: 3 }, 160)).toBe('connector.strength clear'));
  it('minds a heavy person where little is left across', () =>
    expect(strength({ strengthMinorKn: 6 }, 160)).toBe('connector.strength mind'));
  it('stops at little strength across', () =>
    expect(strength({ strengthMinorKn: 1.5 })).toBe('connector.strength stop'));
  it('is not tested when a mark is missing', () =>
    expect(strength({ strengthMinorKn: null })).toBe('connector.strength-unknown untested'));
  it('needs no strength across where a keeper holds it', () =>
    expect(strength({ strengthMinorKn: null, keeper: 'yes' })).toBe('connector.strength clear'));
  it('a known weakness is said even when another mark is missing', () => {
    expect(strength({ strengthMinorKn: 1.5, strengthMajorKn: null })).toBe('connector.strength stop');
  });
});
