import { newSequence, PROCEDURE_IDS, PROCEDURES } from '../core/answers/procedures/index.ts';
import { inWords } from '../core/foundations/vocabulary/index.ts';
import { lowSpanFromMemory, wallAnchor } from '../core/samples/index.ts';
import { writeSequence } from '../core/records/files/index.ts';
import { doStep, expect, moveUp, open, saved, test, verdict } from './helpers.ts';

const steps = PROCEDURES['clean-anchor'].steps;
const does = (id: string) => inWords(steps.find((s) => s.id === id)!.does, 'rappel');

test('a procedure is taken, reordered into a fatal order by keyboard, and it says where and why; undo takes it back', async ({
  page,
}) => {
  await open(page, '/demo/steps');
  await page.getByRole('button', { name: `Take it: ${PROCEDURES['clean-anchor'].title}` }).click();
  await expect(verdict(page)).toContainText('No fault found');
  const critical = page.locator('[data-critical]');
  await expect(critical.first()).toBeVisible();
  const order = page.getByRole('list', { name: 'Order of steps' });
  const untie = order.locator('[data-step="untie"]');
  // Its handle moves with the arrow keys: space takes hold, arrow moves, space lets go.
  await moveUp(page, untie.getByRole('button', { name: /^Move step/ }));
  await expect(order.locator('> li').nth(5)).toHaveAttribute('data-step', 'untie');
  await expect(verdict(page)).toContainText(`Stop · step 6 of ${wallAnchor.steps.length}: ${does('untie')}`);
  await expect(untie.locator('[data-trouble]')).toContainText('neither tied nor clipped to you');
  await expect(page.getByText('It can be gone through when no Stop is left.')).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(verdict(page)).toContainText('No fault found');
});

test('another order that is as good is accepted; a step is taken out, seen as fatal, and put in again', async ({
  page,
}) => {
  await open(page, '/demo/steps/sequence-wall');
  const order = page.getByRole('list', { name: 'Order of steps' });
  await order.locator('[data-step="call-going"]').getByRole('button', { name: /^\d+ / }).click();
  await page.getByRole('button', { name: 'Up', exact: true }).click();
  await page.getByRole('button', { name: 'Up', exact: true }).click();
  await expect(order.locator('> li').nth(19)).toHaveAttribute('data-step', 'call-going');
  await expect(verdict(page)).toContainText('No fault found');

  const hitchTest = order.locator('[data-step="hitch-test"]');
  await hitchTest.getByRole('button', { name: /^\d+ / }).click();
  await hitchTest.getByRole('button', { name: 'Take out' }).click();
  await expect(verdict(page)).toContainText('Stop');
  await expect(page.locator('[data-trouble]').first()).toContainText('the hitch was not tested');
  await order.locator('[data-step="device-weigh"]').getByRole('button', { name: /^\d+ / }).click();
  await page.getByLabel(/^Put in, behind step/).selectOption({ label: does('hitch-test') });
  await expect(verdict(page)).toContainText('No fault found');
  await page.getByLabel(/^A step of your own/).fill('Drink something');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(order.getByText('Drink something')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(order.getByText('Drink something')).toBeVisible();
});

test('the order from memory is a Stop at the lanyard and at the open ends', async ({ page }) => {
  await open(page, '/demo/steps');
  await page.getByRole('link', { name: /Low span, from memory/ }).click();
  const at = lowSpanFromMemory.steps.findIndex((l) => l.id === 'lanyard-off') + 1;
  await expect(verdict(page)).toContainText(`Stop · step ${at} of`);
  await expect(page.locator('[data-step="go"] [data-trouble]')).toContainText('end without a knot');
  await page.getByRole('button', { name: /^As shipped/ }).click();
  await expect(verdict(page)).toContainText('No fault found');
});

test('run mode goes through the procedure one step at a time; a reload in the middle loses nothing', async ({
  page,
}) => {
  test.slow();
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/steps/sequence-wall');
  await page.getByRole('link', { name: 'Go through it' }).click();
  let looked = 0;
  for (let i = 0; i < 12; i += 1) {
    await expect(page.getByRole('heading', { level: 2 })).toHaveText(does(wallAnchor.steps[i]!.id));
    looked += await doStep(page);
  }
  expect(looked).toBeGreaterThan(2);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('heading', { level: 2 })).toHaveText(does(wallAnchor.steps[12]!.id));
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveText(does(wallAnchor.steps[11]!.id));
  for (let i = 11; i < wallAnchor.steps.length; i += 1) {
    await expect(page.getByRole('heading', { level: 2 })).toHaveText(does(wallAnchor.steps[i]!.id));
    await doStep(page);
  }
  await expect(page.getByText(`All ${wallAnchor.steps.length} steps gone through`)).toBeVisible();
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(page.getByRole('link', { name: 'Go through it' })).toBeVisible();
});

test('a critical step cannot be done before it was looked at', async ({ page }) => {
  await open(page, '/demo/steps/sequence-wall/run');
  for (let i = 0; i < 4; i += 1) await page.getByRole('button', { name: /^Done/ }).click();
  await expect(page.getByRole('button', { name: 'Look first' })).toBeDisabled();
  await page.getByRole('button', { name: 'The lanyard is locked' }).click();
  await expect(page.getByRole('button', { name: 'Look first' })).toBeDisabled();
});

test('every shipped procedure opens without a fault, lanes and deviations included', async ({ page }) => {
  for (const id of PROCEDURE_IDS) {
    await open(page, '/mine/steps');
    await page.getByRole('button', { name: `Take it: ${PROCEDURES[id].title}` }).click();
    await expect(verdict(page)).toContainText('No fault found');
    await expect(page.locator('[data-lane-step]')).toHaveCount(newSequence(id, 'x', '').steps.length);
    await expect(page.locator('[data-critical]').first()).toBeVisible();
  }
});

test('an order is read from a file, and one with an unknown step is refused with its path', async ({ page }) => {
  await open(page, '/mine/files');
  const input = page.getByLabel('Zevrin file to read');
  const give = (text: string) =>
    input.setInputFiles({ name: 'o.zevrin.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  const text = writeSequence(lowSpanFromMemory);
  await give(text.replace('"hitch-test"', '"hitch-guess"'));
  await expect(page.getByText(/sequence\.steps\[\d+\]\.id/)).toBeVisible();
  await give(text);
  await page.getByRole('button', { name: 'Add it' }).click();
  await open(page, '/mine/steps');
  await expect(page.getByRole('link', { name: /Low span, from memory/ })).toBeVisible();
});
