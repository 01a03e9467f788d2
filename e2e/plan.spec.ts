import { assess } from '../core/answers/assess/index.ts';
import { combined, itemOf, openSetup, search, take, type PlanQuestion } from '../core/answers/planning/index.ts';
import { demoWorkspace } from '../core/samples/index.ts';
import { codes, expect, open, saved, seriousAxe, test, verdict } from './helpers.ts';

const { people, wayTests, ...demo } = demoWorkspace();
// In the order in which the app has them, by id: of equals the first is shown first.
const items = demo.items.sort((a, b) => (a.id < b.id ? -1 : 1));
const ilse = people.find((p) => p.name.startsWith('Ilse'))!;
const tomas = people.find((p) => p.name.startsWith('Tomas'))!;

test('plan a lead belay and take a combination: a whole set-up, planned and with what was found that day', async ({
  page,
}) => {
  await open(page, '/demo/plan');
  await page.getByLabel('Job').selectOption('belay-leader');
  await page.getByLabel('Who leads').selectOption({ label: tomas.name });
  await page.getByLabel('Who belays').selectOption({ label: ilse.name });
  await page.getByLabel('Anchor above the ground').fill('18');
  await page.getByLabel('Anchor above the ground').press('Tab');
  const question: PlanQuestion = {
    template: 'belay-leader',
    site: { anchorHeightM: 18, weather: 'dry' },
    people: { climber: tomas, belayer: ilse },
  };
  const asked = openSetup(question, { id: 'x', name: 'x', now: '2026-01-01T00:00:00.000Z' });
  const result = search(asked, items, wayTests);
  await expect(
    page.getByRole('status').filter({ hasText: `${result.combinations.length} combinations without a Stop` }),
  ).toBeVisible();
  const rows = page.getByRole('region', { name: 'Combinations' }).locator('[data-combination]');
  const { picks } = result.combinations[0]!;
  const nameAt = (ref: string) => itemOf(items, picks.find((p) => p.ref === ref)!.itemId)!.name;
  await expect(rows.first()).toContainText(`${nameAt('ropeA')} in ${nameAt('device')}`);
  await expect(rows.first()).toContainText(nameAt('deviceConnector'));
  // What one asked stands in the address.
  await page.reload();
  await expect(page.getByLabel('Anchor above the ground')).toHaveValue('18');
  await rows
    .first()
    .getByRole('button', { name: /^Take / })
    .click();
  await expect(page).toHaveURL(/\/demo\/setups\/.+/);
  const { findings } = assess(take(asked, picks, items, wayTests, '2026-01-01T00:00:00.000Z'));
  await expect(verdict(page)).toBeVisible();
  expect(await codes(page)).toEqual(findings.map((f) => f.code));
  await expect(page.getByText('how hard a fall is', { exact: false })).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(verdict(page)).toBeVisible();
  // The planned way is kept: as it is judged in the plan, so it is here.
  const planned = assess(combined(asked, picks, items, wayTests)).figures.way.main;
  expect(planned).toBeDefined();
  await page.getByRole('link', { name: 'Set-ups', exact: true }).first().click();
  await expect(page.getByRole('link', { name: /^Belay a leader: / })).toBeVisible();
});

test('a doubled rappel becomes a set-up as ever, and undo takes it back', async ({ page }) => {
  await open(page, '/demo/plan?job=rappel-double&height=20');
  await page
    .getByRole('region', { name: 'Combinations' })
    .locator('[data-combination]')
    .first()
    .getByRole('button', { name: /^Take / })
    .click();
  await expect(page).toHaveURL(/\/demo\/setups\/.+/);
  await page.getByRole('button', { name: /^Site/ }).click();
  await expect(page.getByLabel('Anchor above the ground')).toHaveValue('20');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: 'This set-up is not here' })).toBeVisible();
});

test('what is left out stays within reach, with its reason; a rope that is not at hand is not offered', async ({
  page,
}) => {
  await open(page, '/demo/plan?job=belay-second');
  const combinations = page.getByRole('region', { name: 'Combinations' });
  await combinations.getByText(/^Left out because of a Stop/).click();
  await expect(combinations.getByRole('heading', { name: 'Burr clamp' })).toBeVisible();
  const parmelia = combinations
    .getByRole('button', { name: /Parmelia 45, white: .*not declared for this kind of rope/ })
    .first();
  await parmelia.click();
  await expect(combinations.getByRole('button', { name: /^Take this: Parmelia/ }).first()).toBeVisible();
  await page.getByText(/^Ropes at hand/).click();
  await page.getByLabel('Usnea 60, blue', { exact: true }).click();
  await expect(combinations.locator('[data-combination]').filter({ hasText: 'Usnea' })).toHaveCount(0);
  await expect(page.getByText(/^Ropes at hand: \d of \d/)).toBeVisible();
});

test('an empty locker is told what it needs, never a product', async ({ page }) => {
  await open(page, '/mine/plan?job=rappel-single&height=30');
  await expect(page.getByText('A rope at least 31 m long after knots.')).toBeVisible();
  await expect(page.getByText('A locking connector with a broad end.')).toBeVisible();
});

test('a long computation shows its progress, can be stopped, and begun again', async ({ page }) => {
  // The worker is held back, so that there is something to stop.
  let letGo = () => undefined as void;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(/search-worker.*\.js$/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/demo/plan?job=lower');
  await expect(page.getByRole('progressbar', { name: 'Progress' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByText('Stopped.')).toBeVisible();
  await expect(page.locator('[data-combination]')).toHaveCount(0);
  letGo();
  await page.getByRole('button', { name: 'Compute again' }).click();
  await expect(page.locator('[data-combination]').first()).toBeVisible();
});

test('a row reads at a glance, and three stand side by side', async ({ page }) => {
  await open(page, '/demo/plan?job=rappel-double&height=20');
  await page.getByLabel('Who goes down').selectOption({ label: 'Ilse Marrowby' });
  const row = page.getByRole('region', { name: 'Combinations' }).locator('[data-combination]').first();
  await expect(row).toContainText(/Rope in the declared range: /);
  await expect(row).toContainText(/your hand holds .* what is needed/);
  const compare = page.getByRole('checkbox', { name: /^Compare: / });
  for (const at of [0, 1, 2]) await compare.nth(at).check();
  await expect(compare.nth(3)).toBeDisabled();
  const beside = page.getByRole('region', { name: 'Side by side' });
  await expect(beside.locator('[data-compared]')).toHaveCount(3);
  expect(await seriousAxe(page)).toEqual([]);
  await compare.nth(1).uncheck();
  await expect(beside.locator('[data-compared]')).toHaveCount(2);
  await expect(compare.nth(3)).toBeEnabled();
  await beside
    .getByRole('button', { name: /^Take this one: / })
    .last()
    .click();
  await expect(page).toHaveURL(/\/demo\/setups\/.+/);
});
