import type { Page } from '@playwright/test';
import { answer, expect, open, saved, test, verdict } from './helpers.ts';

/** Lets a test fill the disk: every write fails until it is emptied again. */
const makeDiskFillable = (page: Page) =>
  page.addInitScript(() => {
    // eslint-disable-next-line @typescript-eslint/unbound-method -- called with its own `this` below
    const real = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: Parameters<typeof real>) {
      if ((window as unknown as { full?: boolean }).full)
        throw new DOMException('The disk is full', 'QuotaExceededError');
      return real.apply(this, args);
    };
  });
const fillDisk = (page: Page, full: boolean) =>
  page.evaluate((to) => ((window as unknown as { full?: boolean }).full = to), full);

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
  // Undo here takes back what was done here, and leaves the cord that was chosen there.
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(page.getByLabel('The rope runs over')).not.toHaveValue('rounded');
  await expect(other.getByRole('button', { name: /^Undo: / })).toBeEnabled();
  await saved(page);
  for (const tab of [page, other]) {
    await tab.reload();
    await tab.getByRole('button', { name: /^Hitch below the device/ }).click();
    await expect(tab.getByLabel('Cord of the hitch').locator('option:checked')).toHaveText('Hitch cord, green');
    await tab.getByRole('button', { name: /^Site/ }).click();
    await expect(tab.getByLabel('The rope runs over')).not.toHaveValue('rounded');
  }
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
  // The form is read before it is written: only then is there something to wait for.
  await expect(page.getByRole('heading', { name: 'Locker', level: 1 })).toBeVisible();
  await saved(page);
  await open(page, '/demo/setups/setup-low-span');
  await expect(page.locator('[data-finding="fit.rope-too-thin"]')).toHaveAttribute('data-severity', 'stop');
  await expect(page.locator('[data-mark="device"]')).toBeVisible();
});

test('a write that fails is said, and can be tried again', async ({ page }) => {
  await makeDiskFillable(page);
  await open(page, '/demo/setups/setup-low-span');
  await fillDisk(page, true);
  await page.getByLabel('Name of the set-up').fill('Kept all the same');
  await expect(page.getByText(/Not saved.*no room left on this device/)).toBeVisible();
  await fillDisk(page, false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Name of the set-up')).toHaveValue('Kept all the same');
});

test('one field typed into in two tabs at once: one text stands in both, and the other is offered', async ({
  page,
  context,
}) => {
  await open(page, '/demo/setups/setup-low-span');
  const other = await context.newPage();
  await open(other, '/demo/setups/setup-low-span');
  // Both write before either has heard of the other.
  await Promise.all([
    page.getByLabel('Name of the set-up').fill('Named here'),
    other.getByLabel('Name of the set-up').fill('Named there'),
  ]);
  await Promise.all([page, other].map((tab) => tab.getByLabel('Name of the set-up').blur()));
  await Promise.all([saved(page), saved(other)]);
  await expect
    .poll(
      async () =>
        (await page.getByLabel('Name of the set-up').inputValue()) ===
        (await other.getByLabel('Name of the set-up').inputValue()),
    )
    .toBe(true);
  const stands = await page.getByLabel('Name of the set-up').inputValue();
  await page.reload();
  await expect(page.getByLabel('Name of the set-up')).toHaveValue(stands);
});

test('a form that was opened earlier does not write over what was changed since', async ({ page, context }) => {
  await open(page, '/demo/locker/rope/rope-usnea');
  const other = await context.newPage();
  await open(other, '/demo/locker/rope/rope-usnea');
  await page.getByLabel('Name', { exact: true }).fill('Usnea, cut');
  await other.getByLabel('Length on the label').fill('54');
  await other.getByLabel('Name', { exact: true }).fill('Usnea, short');
  await other.getByRole('button', { name: 'Save' }).click();
  await saved(other);
  await expect(page.getByLabel('Length on the label')).toHaveValue('54');
  await expect(page.getByText('Changed in another tab while the form was open.')).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Usnea, cut');
  await page.getByRole('button', { name: 'Save' }).click();
  await open(other, '/demo/locker/rope/rope-usnea');
  await expect(other.getByLabel('Name', { exact: true })).toHaveValue('Usnea, cut');
  await expect(other.getByLabel('Length on the label')).toHaveValue('54');
});

test('leaving the workspace right after a key loses nothing', async ({ page }) => {
  await open(page, '/mine/setups');
  await open(page, '/demo/setups/setup-low-span');
  for (const name of ['A', 'B', 'C']) {
    await page.getByLabel('Name of the set-up').fill(name);
    await page.getByRole('link', { name: 'Zevrin, to the start' }).click({ noWaitAfter: true });
    await page.getByRole('link', { name: 'Look at the demo first' }).click();
    await page.getByRole('link', { name: new RegExp(`^${name}\\b`) }).click();
    await expect(page.getByLabel('Name of the set-up')).toHaveValue(name);
  }
  await page.reload();
  await expect(page.getByLabel('Name of the set-up')).toHaveValue('C');
});

test('what could not be saved is still there when one comes back, and the first page says so', async ({ page }) => {
  await makeDiskFillable(page);
  await open(page, '/demo/setups/setup-low-span');
  await fillDisk(page, true);
  await page.getByLabel('Name of the set-up').fill('Not on the disk yet');
  await expect(page.getByText(/Not saved/)).toBeVisible();
  await page.getByRole('link', { name: 'Zevrin, to the start' }).click();
  await expect(page.getByText('Something in the demo is not saved yet.')).toBeVisible();
  await page.getByRole('link', { name: 'Go back to it' }).click();
  await expect(page.getByText(/Not saved/)).toBeVisible();
  await fillDisk(page, false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('link', { name: /Not on the disk yet/ })).toBeVisible();
});

test('what was on its way to the disk when the page went is there when it comes back', async ({ page }) => {
  await makeDiskFillable(page);
  await open(page, '/demo/locker/connector/connector-pear');
  await fillDisk(page, true);
  await page.getByRole('button', { name: 'Take out of the locker' }).click();
  await expect(page.getByText(/Not saved/)).toBeVisible();
  // Asked whether to leave in spite of it: yes.
  page.on('dialog', (dialog) => void dialog.accept());
  // The page that is loaded anew has room again.
  await page.reload();
  await saved(page);
  await expect(page.getByRole('heading', { name: 'Locker', level: 1 })).toBeVisible();
  await expect(page.locator('a[href="/demo/locker/connector/connector-pear-2"]')).toBeVisible();
  await expect(page.locator('a[href="/demo/locker/connector/connector-pear"]')).toHaveCount(0);
});

test('names that look like templates or markup are shown as they are, everywhere', async ({ page }) => {
  const name = 'Usnea {old} {{x}} <b>&amp;';
  await open(page, '/demo/locker/rope/rope-usnea');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByRole('button', { name: 'Save' }).click();
  for (const place of [
    'setups/setup-low-span',
    'setups/setup-low-span/card',
    'setups/setup-low-span/holds',
    'fit',
    'locker',
  ]) {
    await open(page, `/demo/${place}`);
    await expect(page.getByTestId('failed')).toHaveCount(0);
  }
  await open(page, '/demo/setups/setup-low-span');
  await expect(page.getByText(`${name} is`).first()).toBeAttached();
});

test.describe('without a part of the program', () => {
  test.use({ expected: /Failed to load resource|dynamically imported module/ });
  test('a part that does not arrive falls alone, says so, and comes with "try again"', async ({ page, context }) => {
    await context.route(/\/assets\/Drawings-.*\.js/, (route) => route.abort());
    await open(page, '/demo/setups/setup-low-span');
    await expect(page.getByTestId('failed')).toContainText('The drawing could not be loaded.');
    await expect(verdict(page)).toContainText('No fault found');
    await page.getByLabel('Name of the set-up').fill('Typed beside it');
    // What changes beside it tries the part again; that has to be over before it can arrive.
    await saved(page);
    await expect(page.getByTestId('failed')).toBeVisible();
    await context.unroute(/\/assets\/Drawings-.*\.js/);
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByTestId('failed')).toHaveCount(0);
    await expect(page.locator('svg[role="group"], svg[aria-label]').first()).toBeVisible();
    await expect(page.getByLabel('Name of the set-up')).toHaveValue('Typed beside it');
  });
});

test('a check that is open in two tabs is answered in one of them', async ({ page, context }) => {
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /^Alone/ }).click();
  await expect(page).toHaveURL(/\/check\//);
  const other = await context.newPage();
  await open(other, new URL(page.url()).pathname);
  await expect(other.getByText(/This check runs in another tab/)).toBeVisible();
  await expect(other.locator('[data-half] button').first()).toBeDisabled();
  const left = Number(await page.locator('[data-half]').getAttribute('data-left'));
  await answer(page, 'climber');
  await expect(other.locator('[data-half]')).toHaveAttribute('data-left', `${left - 1}`);
  await other.getByRole('button', { name: 'Go on in this tab' }).click();
  await expect(page.getByText(/This check runs in another tab/)).toBeVisible();
  await answer(other, 'climber');
  await expect(page.locator('[data-half]')).toHaveAttribute('data-left', `${left - 2}`);
});

test('the page asks for nothing that its own policy forbids', async ({ page }) => {
  await page.addInitScript(() => {
    const seen: string[] = [];
    (window as unknown as { refused: string[] }).refused = seen;
    document.addEventListener('securitypolicyviolation', (event) =>
      seen.push(`${event.violatedDirective} ${event.blockedURI}`),
    );
  });
  for (const place of ['/', '/demo/setups', '/demo/setups/setup-low-span', '/demo/fit', '/demo/files']) {
    await page.goto(place);
    await expect(page.locator('main').first()).toBeVisible();
    expect(await page.evaluate(() => (window as unknown as { refused: string[] }).refused), place).toEqual([]);
  }
  expect((await page.request.get('/favicon.ico')).status()).toBe(200);
});
