import { expect, it } from 'vitest';
import { club } from '../../samples/index.ts';
import { strandsAlike } from './index.ts';

const other = (change: object) => strandsAlike(club.longRope, { ...club.longRope, id: 'b', ...change });

it('says nothing about alike strands', () => expect(other({})).toEqual([]));
it('shows the difference of diameters with its uncertainty', () => {
  const [found] = other({ measuredDiameterMm: 9.4 });
  expect(found).toMatchObject({ code: 'fit.strands-unlike', severity: 'mind' });
  // Two readings of ± 0.1 mm: the difference is uncertain by 0.1 sqrt 2.
  expect(found!.numbers[0]!.value.best).toBeCloseTo(0.5, 9);
  expect(found!.numbers[0]!.value.high).toBeCloseTo(0.5 + Math.hypot(0.1, 0.1), 9);
});
it('0.3 mm of difference is unlike, less is not', () => {
  const measured = club.longRope.measuredDiameterMm!;
  expect(other({ measuredDiameterMm: measured - 0.27 })).toEqual([]);
  expect(other({ measuredDiameterMm: measured - 0.33 })[0]).toMatchObject({ severity: 'mind' });
});
it('minds unlike sheaths of the same diameter', () =>
  expect(other({ sheath: 'new-treated' })[0]!.because).toContain('sheaths'));
it('is symmetric', () => {
  const a = strandsAlike(club.longRope, club.thinRope)[0]!;
  const b = strandsAlike(club.thinRope, club.longRope)[0]!;
  expect(a.numbers).toEqual(b.numbers);
});
it('two sheaths that nobody looked at are not alike: not tested', () => {
  const unknown = { ...club.longRope, sheath: 'unknown' as const };
  expect(strandsAlike(unknown, { ...unknown, id: 'b' })[0]).toMatchObject({ severity: 'untested' });
  expect(strandsAlike(club.longRope, { ...unknown, id: 'b' })[0]).toMatchObject({ severity: 'mind' });
});
it('an unlike diameter is said before an unknown sheath', () => {
  const unknown = { ...club.longRope, sheath: 'unknown' as const };
  expect(strandsAlike(unknown, { ...unknown, id: 'b', measuredDiameterMm: 9.2 })[0]).toMatchObject({
    severity: 'mind',
  });
});
