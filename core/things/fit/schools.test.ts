import { expect, it } from 'vitest';
import { JOB_KEYS } from '../gear/index.ts';
import { schoolsFor } from './index.ts';

it('gives every side reasons for and against, and at least two sides', () => {
  const schools = JOB_KEYS.flatMap((job) => schoolsFor(job));
  expect(schools.length).toBeGreaterThan(0);
  for (const { sides } of schools) {
    expect(sides.length).toBeGreaterThanOrEqual(2);
    for (const side of sides) expect(Math.min(side.reasons.length, side.against.length), side.label).toBeGreaterThan(0);
  }
});

it('is asked only where it matters', () => {
  expect(schoolsFor('rappel-double').map((s) => s.question)).toEqual(['What backs up a rappel?']);
  expect(
    schoolsFor('belay-leader')
      .map((s) => s.question)
      .join(),
  ).toMatch(/cam.*tied to an anchor.*called/s);
  expect(schoolsFor('tree-moving')).toEqual([]);
});
