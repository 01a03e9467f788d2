import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { rappelDouble } from '../core/samples/index.ts';
import { writeSetup } from '../core/files/index.ts';
import { expect, open, saved, test } from './helpers.ts';

async function exported(page: Page): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export everything' }).click(),
  ]);
  return readFileSync(await download.path(), 'utf8');
}
const give = (page: Page, name: string, text: string) =>
  page
    .getByLabel('Zevrin file to read')
    .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });

test('a broken file is refused with its path and changes nothing', async ({ page }) => {
  await open(page, '/demo/files');
  const before = await exported(page);
  const broken = before.replace('"hitchWraps": 4', '"hitchWraps": "four"');
  expect(broken).not.toBe(before);
  await give(page, 'broken.zevrin.json', broken);
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('broken.zevrin.json was not read in. Nothing here has changed.');
  await expect(alert).toContainText(/workspace\.setups\[\d\]\.rig\.hitchWraps/);
  await expect(alert).toContainText('Read: "four"');
  await give(page, 'newer.zevrin.json', '{"format":"zevrin","version":7,"kind":"workspace"}');
  await expect(alert).toContainText('newer Zevrin (version 7)');
  await give(page, 'photo.json', 'not json at all');
  await expect(alert).toContainText('This is not JSON');
  expect(await exported(page)).toBe(before);
});

test('the demo comes back identical after a wipe, and can be set back', async ({ page }) => {
  await open(page, '/demo/files');
  const before = await exported(page);
  await page.getByRole('button', { name: 'Wipe everything' }).click();
  await page.getByRole('button', { name: 'Wipe it' }).click();
  await expect(page.getByText(/holds 0 items/)).toBeVisible();
  await give(page, 'demo.zevrin.json', before);
  await page.getByRole('button', { name: 'Replace everything with it' }).click();
  expect(await exported(page)).toBe(before);
  await page.getByRole('button', { name: 'Wipe everything' }).click();
  await page.getByRole('button', { name: 'Wipe it' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByText(/holds 0 items/)).toBeVisible();
  await page.getByRole('button', { name: 'Set the demo back' }).click();
  await page.getByRole('button', { name: 'Set it back' }).click();
  expect(await exported(page)).toBe(before);
});

test('one set-up from a file is added, never over another', async ({ page }) => {
  await open(page, '/demo/files');
  await give(page, 's.json', writeSetup({ ...rappelDouble, name: 'From the command line' }));
  await page.getByRole('button', { name: 'Add it' }).click();
  await open(page, '/demo/setups');
  await expect(page.getByRole('link', { name: /From the command line \(read in\)/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Low span/ })).toBeVisible();
});

test('the set-up card prints on one page', async ({ page }) => {
  for (const id of ['setup-low-span', 'setup-high-span']) {
    await open(page, `/demo/setups/${id}/card`);
    const pdf = (await page.pdf({ format: 'A4', preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  }
});
