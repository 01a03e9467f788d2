import type { Page } from '@playwright/test';
import { expect, open, saved, seriousAxe, test } from './helpers.ts';

/** A practice on the clock of the test: the page’s frames come when the test says so. */
async function begin(page: Page, ...choices: readonly string[]) {
  await open(page, '/demo/hands?seed=7');
  for (const choice of choices) await page.getByLabel(choice, { exact: true }).check();
  await page.clock.install();
  // Only the test moves it.
  await page.clock.pauseAt(Date.now() + 60_000);
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.clock.runFor(200);
}
const drawing = (page: Page) => page.getByRole('img', { name: /^The climber / });
const hand = (page: Page, name: string) => page.locator('svg text', { hasText: name });

test('calm: the next move is told, a hand that is off is seen, and a fall then reaches the ground', async ({
  page,
}) => {
  await begin(page);
  await expect(page.locator('p[role="status"]')).toHaveText('Close the brake hand around the brake strand.');
  await expect(hand(page, 'brake: off')).toBeVisible();
  await page.keyboard.down('Period');
  await page.clock.runFor(6000);
  await expect(hand(page, 'brake: off')).toHaveCount(0);
  await expect(page.locator('p[role="status"]')).toHaveText(/Under: guide hand|brake hand down/);
  await page.keyboard.up('Period');
  await page.clock.runFor(500);
  await expect(hand(page, 'brake: off')).toBeVisible();
  await page.getByRole('button', { name: 'Fall now' }).click();
  await page.clock.runFor(3000);
  const was = page.getByRole('region', { name: 'What it was' });
  await expect(was).toContainText('0 of 1 falls held.');
  await expect(was).toContainText(/Nobody held the brake strand for \d/);
  await page.clock.resume();
  await saved(page);
});

test('timed, with scripted hands: the cycle keeps the rope short, the fall is held, and the record is kept', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await begin(page, 'With falls at any time');
  // Brake hand on first; then pull, brake, under, slide, back, whatever the climber does.
  const press = async (from: string | null, to: string, forMs: number) => {
    await page.keyboard.down(to);
    if (from) await page.keyboard.up(from);
    await page.clock.runFor(forMs);
  };
  await press(null, 'Period', 300);
  await press(null, 'KeyS', 300);
  for (let i = 0; i < 12; i += 1) {
    await press('KeyS', 'KeyX', 250);
    await press('Period', 'KeyL', 350);
    await press('KeyX', 'KeyS', 250);
    await press('KeyL', 'KeyO', 350);
    await press('KeyO', 'Period', 600);
  }
  await expect(drawing(page)).toBeVisible();
  await page.clock.runFor(12_000);
  await page.getByRole('button', { name: 'Stop' }).click();
  const was = page.getByRole('region', { name: 'What it was' });
  await expect(was).toContainText(/(\d) of \1 falls held\./);
  await expect(was).not.toContainText('reached the ground');
  const row = page.getByRole('region', { name: 'Practised before' }).getByRole('row').nth(1);
  await expect(row).toContainText('Top rope, tube, right hand');
  await page.clock.resume();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Practised before' }).getByRole('row')).toHaveCount(2);
});

test('two thumbs on a phone, left hand: a thumb on the glass is a closed hand, and lifting it opens the hand', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page, 'Left', 'Leader');
  const pad = page.locator('[data-pad="left"]');
  const box = (await pad.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height - 10);
  await page.mouse.down();
  await page.clock.runFor(300);
  await expect(hand(page, 'brake: off')).toHaveCount(0);
  await page.mouse.move(box.x + box.width / 2, box.y + 10, { steps: 3 });
  await page.clock.runFor(800);
  await expect(hand(page, 'above the line')).toBeVisible();
  await page.mouse.up();
  await page.clock.runFor(400);
  await expect(hand(page, 'brake: off')).toBeVisible();
  // axe waits by the clock of the page.
  await page.clock.resume();
  expect(await seriousAxe(page)).toEqual([]);
});

test('a practice that a reload interrupts is kept as far as it went, once', async ({ page }) => {
  await begin(page);
  await page.keyboard.down('Period');
  await page.clock.runFor(8000);
  await page.clock.resume();
  // Written once a second.
  await expect.poll(() => page.evaluate(() => localStorage.getItem('zevrin-draft/demo/practice'))).not.toBeNull();
  await page.reload();
  await expect(page.getByText(/The last practice was interrupted after \d+ s/)).toBeVisible();
  const rows = page.getByRole('region', { name: 'Practised before' }).getByRole('row');
  await expect(rows).toHaveCount(2);
  await saved(page);
  await page.reload();
  await expect(rows).toHaveCount(2);
  await expect(page.getByText(/was interrupted after/)).toHaveCount(0);
});
