import { readFileSync } from 'node:fs';
import { demoWorkspace } from '../core/samples/index.ts';
import { fitCell } from '../core/things/fit/index.ts';
import { SEVERITY_WORDS } from '../web/ui/severity-words.ts';
import { expect, open, press, test } from './helpers.ts';

const { items } = demoWorkspace();
const ropes = items.filter((i) => i.kind === 'rope');
const devices = items.filter((i) => i.kind === 'device');

test('the fit map shows what the core computes, for each job, and says why', async ({ page }) => {
  await open(page, '/demo/fit');
  for (const job of ['rappel-double', 'belay-second', 'tree-stationary'] as const) {
    await page.getByLabel('Job').selectOption(job);
    for (const rope of ropes) {
      for (const device of devices) {
        const { severity } = fitCell(job, rope, device);
        await expect(
          page.getByRole('button', {
            name: new RegExp(`^${rope.name} in ${device.name}: ${SEVERITY_WORDS[severity]}`),
          }),
        ).toBeVisible();
      }
    }
  }
  await page.getByRole('button', { name: /^Usnea 60, blue in Bough multi-ascender/ }).click();
  await expect(page.getByRole('region', { name: 'Chosen pair' })).toContainText('not declared for this kind of rope');
  await expect(page.getByRole('rowheader', { name: /Bough multi-ascender/ })).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'Munter hitch or a device for going down from a tree?' }),
  ).toContainText('twists the rope');
  // The job is part of the address.
  await page.reload();
  await expect(page.getByLabel('Job')).toHaveValue('tree-stationary');
});

test('it is sorted, filtered and saved as CSV', async ({ page }) => {
  await open(page, '/demo/fit');
  const rows = page.getByRole('region', { name: 'Fit map' }).getByRole('rowheader');
  await expect(rows).toHaveText([/Cladonia/, /Physcia/, /Usnea/, /Parmelia/]);
  await page.getByLabel('Order').selectOption('name');
  await expect(rows).toHaveText([/Cladonia/, /Parmelia/, /Physcia/, /Usnea/]);
  await page.getByLabel('Only devices that can do it').check();
  await expect(page.getByRole('region', { name: 'Fit map' }).getByRole('columnheader')).toHaveText([
    'Rope',
    /Arch/,
    /Culvert/,
    /Sluice/,
    /Stile/,
    /Weir/,
  ]);
  await page.getByLabel('Only devices that can do it').uncheck();
  await page.getByLabel('Only names with').fill('usnea');
  await expect(rows).toHaveCount(1);
  await expect(page.getByRole('region', { name: 'Fit map' }).getByRole('columnheader')).toHaveCount(devices.length + 1);
  await page.getByLabel('Only names with').fill('zzz');
  await expect(page.getByText('No rope and no device has “zzz” in its name.')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    press(page, page.getByRole('button', { name: 'Save as CSV' })),
  ]);
  const csv = readFileSync(await download.path(), 'utf8');
  const lines = csv.split('\r\n');
  expect(lines[0]).toBe('job,rope,device,verdict,margin_mm,codes,says');
  expect(lines).toHaveLength(1 + ropes.length * devices.length);
  expect(lines.find((l) => l.includes('Usnea 60, blue') && l.includes('Culvert tube'))).toMatch(
    /^Rappel on two strands,"Usnea 60, blue",Culvert tube,clear,1\.1,fit\.rope-in-range,/,
  );
});
