import { assess } from '../core/assess.ts';
import { rappelHolds, SCHOOL_ROWS, schools, standingIn } from '../core/hold/index.ts';
import { rappelDouble, rappelDoubleFaulty } from '../core/samples/index.ts';
import { expect, open, test } from './helpers.ts';

test('the hold table says what holds when something lets go, and replays it on the drawing', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('link', { name: 'What still holds' }).last().click();
  await expect(page.getByText(/^2 ways of being held/)).toBeVisible();
  const table = page.getByRole('table', { name: 'What can let go, and what then holds' });
  const model = rappelHolds(rappelDouble, assess(rappelDouble).findings);
  await expect(table.getByRole('columnheader')).toHaveText([
    'When …',
    ...model.stops.map((s) => (s.hand ? `${s.label}needs a hand` : s.label)),
    'Then',
  ]);
  const hand = page.locator('[data-row="hand"]');
  await expect(hand).toContainText('1 of 2');
  await expect(hand.getByRole('img')).toHaveCount(2);
  await hand.getByRole('button').click();
  await expect(page.getByTestId('replay')).toContainText('Holds: hitch below the device.');
  await expect(page.locator('[data-mark="brakeHand"]')).toBeVisible();
  // A pair on demand: the hitch held by the frightened hand as well.
  await page.getByLabel('And at the same time').selectOption({ label: 'a hand holds the hitch open' });
  await expect(page.getByTestId('replay')).toContainText('Nothing holds.');
  await expect(page.locator('[data-mark="hitch"]')).toBeVisible();
  const harness = page.locator('[data-row="harness"]');
  await expect(harness).toContainText('alone, accepted');
  await harness.getByRole('button').click();
  await expect(page.getByTestId('replay')).toContainText('Look at: stitching');
});

test('where the hitch reaches the device the hand is alone, and it says why', async ({ page }) => {
  await open(page, '/demo/setups/setup-high-span/holds');
  await page.locator('[data-row="hand"]').getByRole('button').click();
  await expect(page.getByTestId('replay')).toContainText('Then the hitch is released by the device.');
  await expect(page.getByTestId('replay')).toContainText('Nothing holds.');
  await expect(page.locator('[data-row="hand"]')).toContainText('nothing holds');
});

for (const [name, path, setup] of [
  ['good', '/demo/setups/setup-low-span/holds', rappelDouble],
  ['faulty', '/demo/setups/setup-high-span/holds', rappelDoubleFaulty],
] as const) {
  test(`schools side by side are what the engine says, for the ${name} set-up`, async ({ page }) => {
    await open(page, path);
    const all = schools(setup, assess(setup).findings);
    for (const school of all)
      for (const row of SCHOOL_ROWS)
        await expect(page.locator(`[data-school="${school.id}/${row.id}"]`), `${school.id} ${row.id}`).toHaveAttribute(
          'data-holds',
          String(standingIn(school, row.faults).length > 0),
        );
    for (const label of ['Belayed from above', 'Hitch above the device', 'Nothing behind the hand']) {
      await page.getByRole('region', { name: 'Schools side by side' }).getByRole('button', { name: label }).click();
      await expect(page.getByText(`${label} needs`)).toBeVisible();
    }
  });
}

test('a set-up that lacks a part is completed first', async ({ page }) => {
  await open(page, '/demo/setups');
  await page.getByRole('button', { name: 'Plan a rappel' }).click();
  await page.getByRole('link', { name: 'What still holds' }).last().click();
  await expect(page.getByText(/A part of the set-up is not chosen yet/)).toBeVisible();
});
