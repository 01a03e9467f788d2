import { assess } from '../core/answers/assess/index.ts';
import { EVENTS, holdsFromRig, standingAfter, waysToBackUp } from '../core/answers/redundancy/index.ts';
import { contextOf } from '../core/rigs/elements/index.ts';
import { rappelDouble, rappelDoubleFaulty } from '../core/samples/index.ts';
import { begin, expect, open, test } from './helpers.ts';

test('the hold table says what holds when something lets go, and replays it on the drawing', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('link', { name: 'What still holds' }).last().click();
  await expect(page.getByText(/^2 ways of being held/)).toBeVisible();
  const table = page.getByRole('table', { name: 'What can let go, and what then holds' });
  const model = holdsFromRig(contextOf(rappelDouble), rappelDouble.persons[0]!, assess(rappelDouble).findings);
  await expect(table.getByRole('columnheader')).toHaveText([
    'When …',
    ...model.holds.map((s) => (s.hand ? `${s.label}needs a hand` : s.label)),
    'Then',
  ]);
  const hand = page.locator('[data-row="brakeHand"]');
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
  await page.locator('[data-row="brakeHand"]').getByRole('button').click();
  await expect(page.getByTestId('replay')).toContainText('Then the hitch is released by the device.');
  await expect(page.getByTestId('replay')).toContainText('Nothing holds.');
  await expect(page.locator('[data-row="brakeHand"]')).toContainText('nothing holds');
});

for (const [name, path, setup] of [
  ['good', '/demo/setups/setup-low-span/holds', rappelDouble],
  ['faulty', '/demo/setups/setup-high-span/holds', rappelDoubleFaulty],
] as const) {
  test(`ways of backing up side by side are what the engine says, for the ${name} set-up`, async ({ page }) => {
    await open(page, path);
    for (const way of waysToBackUp(setup, assess(setup).findings))
      for (const event of EVENTS)
        await expect(page.locator(`[data-way="${way.id}/${event.id}"]`), `${way.id} ${event.id}`).toHaveAttribute(
          'data-holds',
          String(standingAfter(way, event).length > 0),
        );
    const table = page.getByRole('region', { name: 'Ways of backing up side by side' });
    for (const label of ['Second rope held from above', 'Hitch above the device']) {
      await table.getByRole('button', { name: label }).click();
      await expect(page.getByText(`${label} needs`)).toBeVisible();
    }
  });
}

test('another way of backing up is taken over into the set-up, and undone', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span/holds');
  const table = page.getByRole('region', { name: 'Ways of backing up side by side' });
  await table.getByRole('button', { name: 'Hitch above the device' }).click();
  await page.getByRole('button', { name: 'Put it in place of the backup' }).click();
  // Its gear is not chosen yet: what holds cannot be told.
  await expect(page.getByText(/A part of the set-up is not chosen yet/)).toBeVisible();
  await page.getByRole('link', { name: 'Complete it' }).click();
  await expect(page.getByRole('button', { name: /^Hitch above the device/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Hitch below the device/ })).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('button', { name: /^Hitch below the device/ })).toBeVisible();
});

test('of two who hang on one device each has a table of their own', async ({ page }) => {
  await open(page, '/demo/setups/setup-ledge-two/holds');
  const people = page.getByRole('group', { name: 'For whom' });
  await expect(people.getByRole('button')).toHaveCount(2);
  await people.getByRole('button', { name: /Wren/ }).click();
  await page.locator('[data-row="rope2"]').getByRole('button').click();
  await expect(page.getByTestId('replay')).toContainText('Nothing holds.');
});

test('a set-up that lacks a part is completed first', async ({ page }) => {
  await open(page, '/demo/setups');
  await begin(page, 'Rappel on two strands');
  await page.getByRole('link', { name: 'What still holds' }).last().click();
  await expect(page.getByText(/A part of the set-up is not chosen yet/)).toBeVisible();
});
