import { expect, it } from 'vitest';
import { interval } from '../../foundations/units/index.ts';
import { armReach } from './index.ts';

it.each([
  [interval(350, 360, 370), 'geometry.device-in-reach', 'clear'],
  [interval(380, 395, 410), 'geometry.device-at-arms-end', 'untested'],
  [interval(395, 420, 440), 'geometry.device-at-arms-end', 'mind'],
  [interval(401, 420, 440), 'geometry.device-out-of-reach', 'stop'],
])('extension %o with 400 mm of arm: %s', (extension, code, severity) => {
  expect(armReach({ name: 'Ilse', armReachMm: 400 }, extension)).toMatchObject({ code, severity });
});
