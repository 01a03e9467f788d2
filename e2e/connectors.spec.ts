import { readFileSync } from 'node:fs';
import { judgeTestedWays, wayKey } from '../core/things/connector/index.ts';
import { servesJob, usualLoad } from '../core/things/gear/index.ts';
import { demoWorkspace } from '../core/samples/index.ts';
import { SEVERITY_WORDS } from '../web/ui/severity-words.ts';
import { expect, open, saved, test } from './helpers.ts';

const { items, people, wayTests } = demoWorkspace();
const connectors = items.filter((i) => i.kind === 'connector');
const devices = items.filter((i) => i.kind === 'device');
function ways(connectorId: string, deviceId: string, job: 'ascend' | 'self-belay-top-rope') {
  return judgeTestedWays(
    {
      load: usualLoad(job, people[0]!.massKg),
      connector: connectors.find((c) => c.id === connectorId)!,
      device: devices.find((d) => d.id === deviceId)!,
    },
    wayTests,
  );
}

test('the connector map shows what the core computes, for the devices of the job and for all', async ({ page }) => {
  await open(page, `/demo/connectors?job=ascend&person=${people[0]!.id}`);
  const map = page.getByRole('region', { name: 'Connector map' });
  for (const connector of connectors)
    for (const device of devices.filter((d) => servesJob(d.family, 'ascend'))) {
      const all = ways(connector.id, device.id, 'ascend');
      const usable = all.filter((w) => w.severity !== 'stop').length;
      await expect(
        map.getByRole('button', {
          name: new RegExp(
            `^${connector.name} in ${device.name}: ${SEVERITY_WORDS[all[0]!.severity]} (play [\\d./ ]+ )?${usable} of ${all.length} ways`,
          ),
        }),
      ).toBeVisible();
    }
  await expect(map.getByRole('columnheader', { name: 'Culvert tube' })).toHaveCount(0);
  await page.getByLabel('Also devices that are not for this job').click();
  await expect(map.getByRole('columnheader', { name: 'Culvert tube' })).toBeVisible();
});

test('an own test that went wrong worsens the way at once, a good one does not clear it; both outlive a reload', async ({
  page,
}) => {
  await open(page, `/demo/connectors?job=self-belay-top-rope&person=${people[0]!.id}`);
  await page.getByRole('button', { name: /^Oval with keeper, red in Cutwater grab/ }).click();
  const best = ways('connector-oval-kept', 'device-cutwater', 'self-belay-top-rope')[0]!;
  const row = page.locator(`[data-way="${wayKey(best.way)}"]`);
  await expect(row).toHaveAttribute('data-severity', best.severity);
  await page.getByLabel('When I tried it').selectOption('worked');
  await expect(row).toHaveAttribute('data-severity', best.severity);
  await page.getByLabel('When I tried it').selectOption('wedged');
  await page
    .locator(`[data-way="${wayKey(best.way)}"] button`)
    .first()
    .click();
  await expect(row).toHaveAttribute('data-severity', 'stop');
  await expect(row).toContainText('it wedged');
  await saved(page);
  await page.reload();
  await expect(row).toHaveAttribute('data-severity', 'stop');
});

test('the map goes out as CSV and own tests come back; a wrong line is refused whole, with its number', async ({
  page,
}) => {
  await open(page, '/demo/connectors?job=ascend');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  expect(text.split('\r\n')[0]).toBe(
    'connector,device,end,from,gate,result,at,note,job,verdict,play_mm,strength_left_kn',
  );
  const input = page.getByLabel('Own tests from a CSV file');
  const give = (csv: string) =>
    input.setInputFiles({ name: 'tests.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  // The file as it was written adds nothing.
  await give(text);
  await expect(page.getByText('0 own tests added.').first()).toBeVisible();
  await give(text.replace('not tried', 'jammed'));
  await expect(page.getByRole('alert')).toContainText(/tests\.csv, line \d+: result: read “jammed”/);
  const lines = text.split('\r\n');
  const at = lines.findIndex((l) => l.includes('Small D') && l.includes('Burr clamp') && l.includes('not tried'));
  lines[at] = lines[at]!.replace('not tried', 'wedged');
  await give(lines.join('\r\n'));
  await expect(page.getByText('1 own test added.').first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Small D, silver in Burr clamp.*1 tried/ })).toBeVisible();
});

test('what to try next leads to the pair and its way', async ({ page }) => {
  await open(page, '/demo/connectors?job=self-belay-top-rope');
  const next = page.getByRole('region', { name: 'Try these next, on the ground' });
  const first = next.getByRole('button').first();
  const name = (await first.innerText()).split('\n')[0]!;
  await first.click();
  await expect(page.getByRole('region', { name, exact: true })).toBeVisible();
  await page.getByText('Two connectors side by side').click();
  await page
    .getByLabel('Beside it')
    .selectOption({ label: name.startsWith('Small D') ? 'Oval screw, green' : 'Small D, silver' });
  await page.getByLabel('How').selectOption('same');
  await expect(page.locator('[data-finding="connector.pair-same-side"]')).toBeVisible();
});

test('a database of version 1 is brought up when it is opened', async ({ page }) => {
  await page.goto('/');
  const old = JSON.parse(JSON.stringify(items.find((i) => i.id === 'connector-pear'))) as Record<string, unknown>;
  for (const key of [
    'narrowInsideWidthMm',
    'broadStockMm',
    'narrowStockMm',
    'sleeveMm',
    'sleeveFromBroadMm',
    'sleeveFromNarrowMm',
    'gateOpeningMm',
  ])
    delete old[key];
  await page.evaluate(async (doc) => {
    const db = await new Promise<IDBDatabase>((resolve, reject) => {
      const request = indexedDB.open('zevrin-mine', 1);
      request.onupgradeneeded = () => {
        for (const name of ['items', 'people', 'setups', 'checks', 'uses'])
          request.result.createObjectStore(name, { keyPath: 'id' });
        request.result.createObjectStore('meta');
      };
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(new Error('cannot open'));
    });
    await new Promise<void>((resolve) => {
      const tx = db.transaction('items', 'readwrite');
      tx.objectStore('items').put({ id: doc.id, doc });
      tx.oncomplete = () => resolve();
    });
    db.close();
  }, old);
  await open(page, '/mine/locker');
  await expect(page.getByRole('link', { name: /Pear screw, orange/ })).toBeVisible();
  await expect(page.getByText(/does not fit this version|do not fit this version/)).toHaveCount(0);
});
