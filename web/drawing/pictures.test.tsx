// @vitest-environment jsdom
import { cleanup, render } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { FAMILY_KEYS } from '@core/things/gear';
import { withItem } from '@core/rigs/rig';
import { club, SETUPS } from '@core/samples';
import { CombinationPicture } from './CombinationPicture';
import { FamilyPicture } from './FamilyPicture';
import { ItemPicture } from './ItemPicture';

afterEach(cleanup);
const drawn = (node: React.ReactNode) => {
  const { container } = render(node);
  const html = container.innerHTML;
  cleanup();
  return html;
};

it('each thing of the locker has a picture of its own kind, drawn from its measures', () => {
  for (const thing of [...club.clubItems, ...club.clubPeople])
    expect(drawn(<ItemPicture thing={thing} />), thing.name).toMatch(/<(path|circle|ellipse|rect)/);
  const [small, large] = [60, 120].map((insideLengthMm) =>
    drawn(<ItemPicture thing={{ ...club.pear, insideLengthMm }} />),
  );
  expect(small).not.toBe(large);
  expect(drawn(<ItemPicture thing={club.pear} />)).not.toBe(drawn(<ItemPicture thing={club.oval} />));
});

it('families that are told apart by hand are told apart in the picture', () => {
  const pictures = FAMILY_KEYS.map((family) => drawn(<FamilyPicture family={family} />));
  expect(new Set(pictures).size).toBe(pictures.length);
});

it('a combination is drawn whole: another device, rope, hitch or connector is another picture, and no number is broken', () => {
  for (const [name, setup] of Object.entries(SETUPS)) {
    const html = drawn(<CombinationPicture setup={setup} />);
    expect(html, name).toContain('data-combination-picture');
    expect(html, name).not.toMatch(/NaN|undefined|Infinity/);
  }
  const setup = SETUPS['rappel-double'];
  const whole = drawn(<CombinationPicture setup={setup} />);
  for (const [ref, item] of [
    ['device', club.plainTube],
    ['ropeA', club.thickRope],
    ['hitch', { ...club.shortCord, nominalDiameterMm: 8 }],
    ['deviceConnector', { ...club.pear, insideLengthMm: 70 }],
    ['device', null],
    ['ropeA', null],
  ] as const)
    expect(drawn(<CombinationPicture setup={withItem(setup, ref, item)} />), ref).not.toBe(whole);
});
