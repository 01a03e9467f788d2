import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { rappelDouble } from '../core/samples/index.ts';
import { VERSION, writeSetup } from '../core/records/files/index.ts';
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
  const broken = before.replace('"wraps": 4', '"wraps": "four"');
  expect(broken).not.toBe(before);
  await give(page, 'broken.zevrin.json', broken);
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('broken.zevrin.json was not read in. Nothing here has changed.');
  await expect(alert).toContainText(/workspace\.setups\[\d+\]\.attachments\[\d+\]\.end\.wraps/);
  await expect(alert).toContainText('Read: "four"');
  await give(page, 'newer.zevrin.json', `{"format":"zevrin","version":${VERSION + 1},"kind":"workspace"}`);
  await expect(alert).toContainText(`newer Zevrin (version ${VERSION + 1})`);
  await give(page, 'photo.json', 'not json at all');
  await expect(alert).toContainText('This is not a Zevrin file');
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
  await expect(page.getByText('The file is read in.', { exact: true })).toBeVisible();
  expect(await exported(page)).toBe(before);
  await page.getByRole('button', { name: 'Wipe everything' }).click();
  await page.getByRole('button', { name: 'Wipe it' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByText(/holds 0 items/)).toBeVisible();
  await page.getByRole('button', { name: 'Set the demo back' }).click();
  await page.getByRole('button', { name: 'Set it back' }).click();
  await expect(page.getByText('The demo is as it was at first.', { exact: true })).toBeVisible();
  expect(await exported(page)).toBe(before);
});

test('one set-up from a file is added, never over another', async ({ page }) => {
  await open(page, '/demo/files');
  await give(page, 's.json', writeSetup({ ...rappelDouble, name: 'From the command line' }));
  await page.getByRole('button', { name: 'Add it' }).click();
  await saved(page);
  await open(page, '/demo/setups');
  await expect(page.getByRole('link', { name: /From the command line \(read in\)/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Low span/ })).toBeVisible();
});

test('a workspace of version 3 is read in: what was chosen for other jobs is a set-up now, with its findings kept', async ({
  page,
}) => {
  const old = readFileSync(new URL('../core/records/files/fixtures/v3-workspace.json', import.meta.url), 'utf8');
  await open(page, '/mine/files');
  await give(page, 'old.zevrin.json', old);
  await expect(page.getByText(/holds 24 items of gear, 2 people, 16 set-ups, 1 check, 2 uses/)).toBeVisible();
  await page.getByRole('button', { name: 'Replace everything with it' }).click();
  await saved(page);
  await open(page, '/mine/setups');
  await expect(
    page.getByRole('main').getByRole('listitem').filter({ hasText: 'Training wall, top rope' }),
  ).toContainText('Caution');
  // The old address of a choice leads to the set-up that it became.
  await open(page, '/mine/plan/choice-wall');
  await expect(page).toHaveURL(/\/mine\/setups\/choice-wall$/);
  // The cam of that time is made for the right hand, and who belays brakes with the left: nobody asked then.
  await expect(page.getByText(/is made for the right hand/).first()).toBeVisible();
  await expect(page.getByText(/When this was taken from a plan/)).toBeVisible();
  await open(page, '/mine/log');
  await expect(page.getByRole('link', { name: /Low span/ }).first()).toContainText('Complete');
});

test('the set-up card prints on one page', async ({ page }) => {
  for (const id of ['setup-low-span', 'setup-high-span', 'setup-ledge-two', 'setup-parapet-tube']) {
    await open(page, `/demo/setups/${id}/card`);
    // With everything on it: the code is made a moment later.
    await expect(page.getByRole('img', { name: /^QR code of/ })).toBeVisible();
    const pdf = (await page.pdf({ format: 'A4', preferCSSPageSize: true })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
  }
});

test('the card carries the set-up as a code, and its drawings are saved as pictures that stand by themselves', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-low-span/card');
  await expect(page.getByRole('img', { name: 'QR code of Low span, lichen plots 1 to 6' })).toBeVisible();
  const first = page.waitForEvent('download');
  await page.getByRole('button', { name: /Save the drawings/ }).click();
  const file = await (await first).path();
  const text = readFileSync(file, 'utf8');
  // No class, no property of the page's own style sheet: it looks the same wherever it is opened.
  expect(text).toMatch(/^<\?xml/);
  expect(text).not.toMatch(/var\(|class=|tabindex/);
  await page.setContent(`<body>${text.replace(/^<\?xml[^>]*>/, '')}</body>`);
  const box = await page.locator('svg').boundingBox();
  expect(box!.width).toBeGreaterThan(100);
  expect(await page.locator('svg text').count()).toBeGreaterThan(2);
});
