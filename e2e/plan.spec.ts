import { assessChoice } from '../core/assess-choice.ts';
import { plan, takeChoice } from '../core/choose/index.ts';
import { demoWorkspace } from '../core/samples/index.ts';
import type { Question } from '../core/rig/index.ts';
import { codes, expect, open, saved, test, verdict } from './helpers.ts';

const { items, people, wayTests } = demoWorkspace();
const ilse = people.find((p) => p.name.startsWith('Ilse'))!;
const tomas = people.find((p) => p.name.startsWith('Tomas'))!;
const nameOf = (id: string | null) => items.find((i) => i.id === id)?.name ?? 'Munter hitch';

test('plan, take a combination for a job whose rig is not built yet: it is stored with its findings', async ({
  page,
}) => {
  await open(page, '/demo/plan');
  await page.getByLabel('Job').selectOption('belay-leader');
  await page.getByLabel('On the rope').selectOption({ label: tomas.name });
  await page.getByLabel('Hand that brakes').selectOption({ label: ilse.name });
  await page.getByLabel('Height').fill('18');
  await page.getByLabel('Height').press('Tab');
  const question: Question = { job: 'belay-leader', heightM: 18, weather: 'dry', climber: tomas, belayer: ilse };
  const result = plan(question, items, wayTests);
  await expect(
    page.getByRole('heading', { name: new RegExp(`^${result.combinations.length} combinations without a Stop`) }),
  ).toBeVisible();
  const rows = page.getByRole('region', { name: 'Combinations' }).locator('[data-combination]');
  const first = result.combinations[0]!;
  await expect(rows.first()).toContainText(`${nameOf(first.ropeAId)} in ${nameOf(first.deviceId)}`);
  await expect(rows.first()).toContainText(nameOf(first.connectorId));
  // What one asked stands in the address.
  await page.reload();
  await expect(page.getByLabel('Height')).toHaveValue('18');
  await rows
    .first()
    .getByRole('button', { name: /^Take / })
    .click();
  await expect(page).toHaveURL(/\/demo\/plan\/.+/);
  const choice = takeChoice({
    question,
    combination: first,
    items,
    tests: wayTests,
    id: 'x',
    name: 'x',
    now: '2026-01-01T00:00:00.000Z',
  });
  const { findings } = assessChoice(choice);
  await expect(verdict(page)).toBeVisible();
  expect(await codes(page)).toEqual(
    expect.arrayContaining(findings.filter((f) => f.severity !== 'clear').map((f) => f.code)),
  );
  await expect(page.getByText('how hard a fall is', { exact: false })).toBeVisible();
  await expect(
    page.getByRole('img', { name: new RegExp(`^${nameOf(first.connectorId)} in ${nameOf(first.deviceId)}`) }),
  ).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(verdict(page)).toBeVisible();
  await page.getByRole('link', { name: 'Set-ups', exact: true }).first().click();
  await expect(page.getByRole('link', { name: /^Belay a leader/ })).toBeVisible();
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
  await expect(page.getByText('Ropes at hand: 3 of 4')).toBeVisible();
});

test('an empty locker is told what it needs, never a product', async ({ page }) => {
  await open(page, '/mine/plan?job=rappel-single&height=30');
  await expect(page.getByText('A rope of at least 31 m, knots taken off.')).toBeVisible();
  await expect(page.getByText('A locking connector with a broad end.')).toBeVisible();
});

test('a long computation shows its progress, can be stopped, and begun again', async ({ page }) => {
  // The worker is held back, so that there is something to stop.
  let letGo = () => undefined as void;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(/plan-worker.*\.js$/, async (route) => {
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
