import { expect, open, saved, seriousAxe, test } from './helpers.ts';

test('anything is found by a part of its name, with the keyboard only', async ({ page }) => {
  await open(page, '/demo/setups');
  const find = async (text: string) => {
    await page.keyboard.press('Control+k');
    await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeVisible();
    await page.keyboard.type(text);
  };
  const first = page.getByRole('option').first();
  // An item of gear.
  await find('usnea 60');
  await expect(first).toContainText('Usnea 60, blue');
  expect(await seriousAxe(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/demo\/locker\/rope\//);
  // A set-up, from inside of a field.
  await page.getByLabel('Name').focus();
  await find('low span');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/demo\/setups\/setup-low-span/);
  // A procedure, taken at once.
  await find('procedure nobody has');
  await expect(page.getByText('Nothing here is called that.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await find('back down take');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/demo\/steps\/.+/);
  await saved(page);
  // A setting, and what one can do.
  await find('dark col');
  await page.keyboard.press('Enter');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await find('settings');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
});

test('settings hold at once, in every tab and over a reload', async ({ page, context }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/mine/setups');
  await page.getByRole('link', { name: 'Settings' }).click();
  const other = await context.newPage();
  await open(other, '/mine/locker');
  await page.getByLabel('Units', { exact: true }).selectOption({ label: 'Feet and pounds' });
  await page.getByLabel('Size of the text').selectOption({ label: 'Largest' });
  await page.getByLabel('Hand that brakes').selectOption({ label: 'Left' });
  await page.getByLabel('Motion').selectOption({ label: 'Less' });
  await expect(other.locator('html')).toHaveAttribute('data-text', 'largest');
  await expect(other.getByRole('button', { name: /^Units: feet and pounds/ })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Size of the text')).toHaveValue('largest');
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).fontSize)).toBe('21px');
  // Nothing is cut off sideways at the largest text on a phone.
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  expect(await seriousAxe(page)).toEqual([]);
  await expect(page.getByText('No copy was taken from this browser yet.')).toBeVisible();
  await page.getByRole('link', { name: /^Files: take a copy/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything' }).click();
  await download;
  await page.getByRole('link', { name: 'Settings' }).click();
  await expect(page.getByText('The last copy was taken today.')).toBeVisible();
  // The hand is what the six questions begin with.
  await open(page, '/mine/quick?do=belay-top-rope');
  await expect(page.getByRole('radio', { name: 'Left' })).toBeChecked();
});

test('the way through tells what comes next, and leads there', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span');
  const way = page.getByRole('navigation', { name: 'The way through' });
  await expect(way).toContainText('Next: check it. Nobody has checked it yet.');
  await expect(way.locator('[aria-current="step"]')).toHaveText(/Check/);
  await way.getByRole('button', { name: /^Check/ }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await way.getByRole('link', { name: 'Log' }).click();
  await expect(page).toHaveURL(/log\/use\/new\?setup=setup-low-span/);
});
