import { expect, it } from 'vitest';
import { club } from '@core/samples';
import { fitCsv } from './fit-csv';

it('quotes after RFC 4180 and defuses names that a spreadsheet would run', () => {
  const rope = { ...club.longRope, name: '=1+1 "long", blue' };
  const csv = fitCsv('rappel-double', [rope], [club.groovedTube]);
  const [, line] = csv.split('\r\n');
  expect(line).toMatch(/^Rappel on two strands,"'=1\+1 ""long"", blue",Culvert tube,clear,1\.1,fit\.rope-in-range,/);
});
