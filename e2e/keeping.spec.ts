import { expect, open, saved, test, verdict } from './helpers.ts';

test('two tabs of one workspace stay in step', async ({ page, context }) => {
  await open(page, '/demo/setups/setup-high-span');
  const other = await context.newPage();
  await open(other, '/demo/setups/setup-high-span');
  await page.getByRole('button', { name: /^Site/ }).click();
  await page.getByLabel('The rope runs over').selectOption('rounded');
  await expect(verdict(other)).toContainText('2 things');
  await other.getByRole('button', { name: /^Hitch below the device/ }).click();
  await other.getByLabel('Cord of the hitch').selectOption({ label: 'Hitch cord, green' });
  await expect(verdict(page)).toContainText('1 thing ');
  // The step taken here has been overtaken: undoing it would bring the other cord back.
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  await saved(page);
  await page.reload();
  await expect(verdict(page)).toContainText('1 thing ');
});

test('the two workspaces are apart', async ({ page }) => {
  await open(page, '/demo/locker');
  await expect(page.getByRole('link', { name: /Culvert tube/ })).toBeVisible();
  await open(page, '/mine/locker');
  await expect(page.getByText('None yet.')).toHaveCount(7);
});

test('a half-filled form survives a reload, and is gone once it is put aside', async ({ page }) => {
  await open(page, '/demo/locker/rope/new');
  await page.getByLabel('Name', { exact: true }).fill('Half a rope');
  await page.getByLabel('Diameter on the label').fill('3/8 in');
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Half a rope');
  await expect(page.getByLabel('Diameter on the label')).toHaveValue('9.5');
  await expect(page.getByText('What you had typed before is still here.')).toBeVisible();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('A value is needed here.')).toBeVisible();
  await page.getByLabel('Length on the label').fill('1 km');
  await expect(page.getByText(/Read “1 km”. Allowed: a number/)).toBeVisible();
  await page.getByLabel('Length on the label').fill('900');
  await expect(page.getByText(/Read “900”. Allowed: 5 m to 400 m/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await open(page, '/demo/locker/rope/new');
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('');
});

test('units switch everywhere, and either is read in any field', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('button', { name: /Units: metric/ }).click();
  await page.getByRole('button', { name: /^Site/ }).click();
  await expect(page.getByLabel('Anchor above the ground')).toHaveValue('78.7');
  await page.getByLabel('Anchor above the ground').fill('31 m');
  await page.getByLabel('Anchor above the ground').blur();
  await expect(page.getByLabel('Anchor above the ground')).toHaveValue('101.7');
  await expect(verdict(page)).toContainText('Stop');
  await page.locator('[data-finding="geometry.rope-too-short"]').getByRole('button').click();
  await expect(page.locator('[data-finding="geometry.rope-too-short"]')).toContainText(/101\.7\sft/);
  await page.reload();
  await expect(page.getByRole('button', { name: /Units: feet and pounds/ })).toBeVisible();
});

test('a measured diameter beats the label, in every plan that uses the rope', async ({ page }) => {
  await open(page, '/demo/locker/rope/rope-usnea');
  await page.getByLabel('Measured diameter of the rope').fill('8.4');
  await page.getByRole('button', { name: 'Save' }).click();
  await open(page, '/demo/setups/setup-low-span');
  await expect(page.locator('[data-finding="fit.rope-too-thin"]')).toHaveAttribute('data-severity', 'stop');
  await expect(page.locator('[data-mark="device"]')).toBeVisible();
});

test('a write that fails is said, and can be tried again', async ({ page }) => {
  await page.addInitScript(() => {
    // eslint-disable-next-line @typescript-eslint/unbound-method -- called with its own `this` below
    const real = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: Parameters<typeof real>) {
      if ((window as unknown as { full?: boolean }).full)
        throw new DOMException('The disk is full', 'QuotaExceededError');
      return real.apply(this, args);
    };
  });
  await open(page, '/demo/setups/setup-low-span');
  await page.evaluate(() => ((window as unknown as { full?: boolean }).full = true));
  await page.getByLabel('Name of the set-up').fill('Kept all the same');
  await expect(page.getByText(/Not saved.*disk is full/)).toBeVisible();
  await page.evaluate(() => ((window as unknown as { full?: boolean }).full = false));
  await page.getByRole('button', { name: 'Try again' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Name of the set-up')).toHaveValue('Kept all the same');
});
