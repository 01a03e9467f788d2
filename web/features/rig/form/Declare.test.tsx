// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Device } from '@core/things/gear';
import { club, rappelDouble, SETUPS } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { Declare } from './Declare';

afterEach(cleanup);
const setup = SETUPS['rappel-single'];
const range = (job: Device['declarations'][number]['job'], from: number, to: number) => ({
  ...club.groovedTube.declarations[0]!,
  ...{ job, constructions: ['single' as const], minDiameterMm: from, maxDiameterMm: to },
});
const show = (declarations: Device['declarations']) => {
  const onSave = vi.fn<(next: Device) => void>();
  const device = { ...club.groovedTube, declarations };
  showPage({ path: '', at: '', element: <Declare device={device} setup={setup} onSave={onSave} /> });
  return { device, onSave };
};

it('a range that was entered for another job is asked about, and taken for this one when somebody says so', () => {
  expect(setup.job).not.toBe(rappelDouble.job);
  const { device, onSave } = show([range(rappelDouble.job, 8.7, 11)]);
  expect(screen.getByText(/You entered 8\.7 to 11\.0.mm for another job: rappel on two strands\./)).toBeTruthy();
  expect(onSave).not.toHaveBeenCalled();
  fireEvent.click(screen.getByRole('button', { name: 'It says the same' }));
  expect(onSave).toHaveBeenCalledExactlyOnceWith({
    ...device,
    declarations: [...device.declarations, { ...device.declarations[0], job: setup.job, strands: 'one' }],
  });
});
it('the same range of several jobs is asked about once, another one by itself, and none of another kind of rope', () => {
  show([
    range('belay-leader', 8.7, 11),
    range('belay-second', 8.7, 11),
    range('rappel-double', 8, 10),
    { ...range('ascend', 9, 12), constructions: ['low-stretch'] },
  ]);
  expect(screen.getAllByRole('button', { name: 'It says the same' })).toHaveLength(2);
});
it('where nothing was entered nothing is asked', () => {
  show([]);
  expect(screen.queryByRole('button', { name: 'It says the same' })).toBeNull();
});
