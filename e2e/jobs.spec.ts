import type { Page } from '@playwright/test';
import { TEMPLATES } from '../core/rigs/rig/index.ts';
import { answerAll, begin, codes, expect, open, saved, test, verdict } from './helpers.ts';

/** Chooses and says whatever is still open in the form, as somebody does who rigs well and has enough gear. */
async function complete(page: Page) {
  const form = page.getByRole('region', { name: 'Change the set-up' });
  // The form comes after the page: where nobody waits for it nothing is said, and a Stop stays.
  await expect(form.getByRole('combobox').first()).toBeVisible();
  const closed = form.locator('button[aria-expanded="false"]:not([aria-haspopup])');
  while ((await closed.count()) > 0) await closed.first().click();
  const values = () => form.getByRole('combobox').evaluateAll((all) => all.map((s) => (s as HTMLSelectElement).value));
  // What is said may bring another question, or take one away.
  for (let asked = 0; asked < 120; asked += 1) {
    const i = (await values()).indexOf('unknown');
    if (i < 0) break;
    const select = form.getByRole('combobox').nth(i);
    const options = await select.evaluate((s: HTMLSelectElement) => [...s.options].map((o) => o.value));
    // The first one that is said is the good one, except for how the brake strand is led.
    await select.selectOption(options.find((o) => o === 'redirected') ?? options.find((o) => o !== 'unknown')!);
  }
  const said = await values();
  expect(said.length).toBeGreaterThan(3);
  expect(said).not.toContain('unknown');
}

/** Jobs that the club’s locker has no combination for without a Stop. */
const NOT_IN_THE_LOCKER: readonly string[] = ['tree-moving'];

// Each job from "what are you going to do" to a finished check, with the gear and the people of the demo.
for (const template of Object.values(TEMPLATES)) {
  test(`${template.label}: from the question to a finished check`, async ({ page }) => {
    test.setTimeout(120_000);
    await open(page, '/demo/setups');
    await begin(page, template.label);
    await expect(verdict(page)).toContainText('Not tested');
    const form = page.getByRole('region', { name: 'Change the set-up' });
    const free = ['Ilse Marrowby', 'Tomas Reedling', 'Wren Fallowby'];
    for (const label of Object.values(template.who)) {
      await form.getByLabel(label, { exact: true }).selectOption({ label: free.shift()! });
    }
    await page.getByRole('link', { name: 'Propose from the locker' }).click();
    const first = page.locator('[data-combination]').first();
    await expect(page.getByRole('status').filter({ hasText: 'without a Stop' })).toBeVisible();
    // Where the club has nothing for it, the sample of this job shows what it looks like.
    const none = await page.getByText('Nothing in the locker makes a combination without a Stop').isVisible();
    if (none) {
      expect(NOT_IN_THE_LOCKER).toContain(template.id);
      return;
    }
    await first.getByRole('button', { name: /^Take this/ }).click();
    await expect(page).toHaveURL(/\/setups\/[^/]+$/);
    await complete(page);
    expect(await codes(page)).not.toContain('rig.part-missing');
    await page.getByRole('button', { name: 'Check before use' }).click();
    await page.getByRole('dialog').getByRole('button', { name: /Alone/ }).click();
    await answerAll(page);
    await page.getByRole('button', { name: 'Close the check' }).click();
    await expect(page.getByText(/Complete, alone/)).toBeVisible();
  });
}

test('a variation is added with its place in form, drawing and findings, and taken away again', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('button', { name: 'Add …' }).click();
  await page.getByRole('menuitem', { name: 'A second rope held from above' }).click();
  await expect(verdict(page)).toContainText('Not tested');
  await expect(page.getByLabel('Belayer', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Second rope/ })).toBeVisible();
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Take away …' }).click();
  await page.getByRole('menuitem', { name: 'Belay from above' }).click();
  await expect(verdict(page)).toContainText('No fault found');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(verdict(page)).toContainText('Not tested');
});

test('the steps of a set-up are one click away, and the same ones the next time', async ({ page }) => {
  await open(page, '/demo/setups/setup-pier-3');
  await page.getByRole('button', { name: 'Order of steps' }).click();
  await expect(page).toHaveURL(/\/steps\/.+/);
  await expect(verdict(page)).toContainText('No fault found');
  const { pathname } = new URL(page.url());
  await open(page, '/demo/setups/setup-pier-3');
  await page.getByRole('button', { name: 'Order of steps' }).click();
  await expect(page).toHaveURL(new RegExp(`${pathname}$`));
  await open(page, '/demo/setups/setup-pier-5-up');
  await expect(page.getByText('No order of steps is shipped for this rig yet.')).toBeVisible();
});

test('every page has a title of its own', async ({ page }) => {
  const titles = new Set<string>();
  const places = ['/', '/demo/setups', '/demo/setups/setup-low-span', '/demo/setups/setup-low-span/holds'];
  const more = [
    '/demo/plan',
    '/demo/steps',
    '/demo/locker',
    '/demo/fit',
    '/demo/connectors',
    '/demo/log',
    '/demo/files',
  ];
  for (const path of [...places, ...more, '/demo/sources', '/demo/setups/no-such']) {
    await open(page, path);
    await expect.poll(() => page.title()).toMatch(/Zevrin$/);
    titles.add(await page.title());
  }
  expect(titles.size).toBe(places.length + more.length + 2);
});
