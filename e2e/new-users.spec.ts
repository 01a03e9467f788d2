import { begin, expect, open, saved, test } from './helpers.ts';
import type { Page } from '@playwright/test';

/** The questions of a first answer, all answered. */
async function answerAll(page: Page, job: string, device: string, more: Readonly<Record<string, string>>) {
  await open(page, '/mine/quick');
  await page.getByRole('radio', { name: job, exact: true }).click({ force: true });
  await page.getByLabel('Thickness of the rope').fill('9.8');
  await page.getByRole('radio', { name: 'Single rope' }).check({ force: true });
  await page.getByRole('radio', { name: device, exact: true }).check({ force: true });
  for (const [label, value] of Object.entries(more)) await page.getByLabel(label).fill(value);
  await page.getByRole('radio', { name: 'Right' }).check({ force: true });
}
const showAnswer = (page: Page) => page.getByRole('button', { name: 'Show the answer' });
const setupsListed = async (page: Page) => {
  await open(page, '/mine/setups');
  return page
    .getByRole('main')
    .getByRole('link', { name: /Rappel on two strands/ })
    .count();
};

test('two quick presses make one set-up, and one rope', async ({ page }) => {
  await answerAll(page, 'Rappel on two strands', 'Tube with brake grooves', { 'You weigh': '74' });
  await showAnswer(page).dblclick();
  await expect(page).toHaveURL(/\/mine\/setups\/.+/);
  await saved(page);
  expect(await setupsListed(page)).toBe(1);
  await open(page, '/mine/locker/rope/new');
  await page.getByLabel('Name', { exact: true }).fill('Twice pressed');
  await page.getByLabel('Diameter on the label').fill('9.8');
  await page.getByLabel('Length on the label').fill('60');
  await page.getByRole('button', { name: 'Save' }).dblclick();
  await expect(page).toHaveURL(/\/locker$/);
  await expect(page.getByRole('link', { name: /^Twice pressed/ })).toHaveCount(1);
});

test('going back from an answer finds what was said, also after a reload', async ({ page }) => {
  await answerAll(page, 'Rappel on two strands', 'Tube with brake grooves', { 'You weigh': '74' });
  await showAnswer(page).click();
  await expect(page).toHaveURL(/\/mine\/setups\/.+/);
  await page.goBack();
  const there = async () => {
    await expect(page.getByLabel('Thickness of the rope')).toHaveValue('9.8');
    await expect(page.getByLabel('You weigh')).toHaveValue('74');
    await expect(page.getByRole('radio', { name: 'Tube with brake grooves' })).toBeChecked();
    await expect(page.getByText('Rappel on two strands')).toBeVisible();
  };
  await there();
  await page.reload();
  await there();
  // Asked for anew, it begins anew.
  await open(page, '/mine/setups');
  await open(page, '/mine/quick');
  await expect(page.getByLabel('Thickness of the rope')).toHaveValue('');
});

test('a device that came from a first answer can be tuned', async ({ page }) => {
  await answerAll(page, 'Climb a stationary line in a tree', 'Multi-ascender with adjustable bollard', {
    'You weigh': '74',
  });
  await showAnswer(page).click();
  await page.getByRole('button', { name: /^Tune .* to this rope: put both into the locker first/ }).click();
  await expect(page.getByRole('heading', { name: /^Tune/ })).toBeVisible();
  await expect(page.getByLabel('To the rope').locator('option:checked')).not.toHaveText('Choose …');
});

test('a check that was begun is gone on with, and ends when another begins', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /^Alone/ }).click();
  await expect(page).toHaveURL(/\/check\//);
  const check = page.url();
  await page.getByRole('link', { name: 'Leave' }).click();
  await page.getByRole('link', { name: 'Go on with the check' }).click();
  await expect(page).toHaveURL(check);
  await page.getByRole('link', { name: 'Leave' }).click();
  await page.getByRole('button', { name: 'Check anew' }).click();
  await expect(page.getByText(/The check that was begun before ends unfinished/)).toBeVisible();
  await page.getByRole('button', { name: /^Alone/ }).click();
  await expect(page).toHaveURL(/\/check\//);
  expect(page.url()).not.toBe(check);
  await page.goto(check);
  await expect(page).toHaveURL(/\/log\//);
});

test('what is added from a set-up is chosen there', async ({ page }) => {
  await open(page, '/mine/setups');
  await begin(page, 'Rappel on two strands');
  const setup = page.url();
  const ropes = page.getByRole('region', { name: 'Change the set-up' }).getByRole('button', { name: /^Rope/ });
  await ropes.click();
  await page.getByRole('link', { name: 'Add a rope' }).first().click();
  await page.getByLabel('Name', { exact: true }).fill('Just bought');
  await page.getByLabel('Diameter on the label').fill('9.8');
  await page.getByLabel('Length on the label').fill('60');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page).toHaveURL(setup);
  await expect(ropes).toContainText('Just bought');
  // One step back takes both away.
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(ropes).not.toContainText('Just bought');
  await ropes.click();
  await expect(page.getByRole('link', { name: 'Add a rope' }).first()).toBeVisible();
});

test('a name that is too long is refused in our words', async ({ page }) => {
  await open(page, '/mine/locker/rope/new');
  await page.getByLabel('Name', { exact: true }).fill('x'.repeat(81));
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Allowed: 80 characters or fewer.')).toBeVisible();
  await expect(page.getByText(/expected string|Too big/)).toHaveCount(0);
});

test('a use of next year, or of year 2999, is refused at its field', async ({ page }) => {
  await open(page, '/demo/log/use/new');
  await page.getByLabel('When').fill('2999-01-01T10:00');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('A day in the years 1970 to 2099 is needed here.')).toBeVisible();
  await page.getByLabel('When').fill('2098-01-01T10:00');
  await expect(page.getByText('This is still to come: when was it?')).toBeVisible();
});
