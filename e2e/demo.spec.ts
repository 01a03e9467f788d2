import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FAULTY_CODES } from '../core/samples/index.ts';
import { answer, answerAll, begin, codes, expect, open, saved, test, verdict } from './helpers.ts';

test('the good set-up of the demo shows no fault, the faulty one exactly its four, each marked', async ({ page }) => {
  await open(page, '/demo');
  await page.getByRole('link', { name: /Low span/ }).click();
  await expect(verdict(page)).toContainText('No fault found');
  expect(await codes(page, true)).toEqual([]);
  await expect(page.locator('[data-mark]')).toHaveCount(0);

  await open(page, '/demo/setups/setup-high-span');
  await expect(verdict(page)).toContainText('Stop · 3 things');
  expect((await codes(page, true)).sort()).toEqual([...FAULTY_CODES].sort());
  const marks = await page.locator('[data-mark]').evaluateAll((all) => all.map((m) => m.getAttribute('data-mark')));
  expect(marks.sort()).toEqual(['deviceConnector', 'edge', 'hitch', 'ropeEnds']);
  await expect(page.getByText('The check begins when no Stop is left.')).toBeVisible();
});

test('a mark on the drawing opens its finding with numbers, reason, remedy and sources', async ({ page }) => {
  await open(page, '/demo/setups/setup-high-span');
  await page.locator('[data-mark="hitch"]').click();
  const row = page.locator('[data-finding="geometry.hitch-reaches-device"]');
  await expect(row.getByRole('button').first()).toHaveAttribute('aria-expanded', 'true');
  await expect(row).toContainText('Shorten the cord');
  await expect(row.getByRole('row', { name: /Reach of the loaded hitch/ })).toContainText(
    /\d+(\.\d)?\scm \(\d+(\.\d)? to \d+(\.\d)?\)/,
  );
  await expect(row).toContainText('the hitch must not reach the device');
});

test('every change recomputes at once, and is undone', async ({ page }) => {
  await open(page, '/demo/setups/setup-high-span');
  await page.getByRole('button', { name: /^Site/ }).click();
  await page.getByLabel('The rope runs over').selectOption('rounded');
  await expect(verdict(page)).toContainText('2 things');
  await page.getByLabel('Anchor above the ground').fill('20');
  await expect(verdict(page)).toContainText('1 thing ');
  await page.getByLabel('Anchor above the ground').fill('28 m up');
  await expect(page.getByText(/Read “28 m up”. Allowed: a number, alone or with m, cm/)).toBeVisible();
  await expect(verdict(page)).toContainText('1 thing ');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(verdict(page)).toContainText('2 things');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(verdict(page)).toContainText('3 things');
  await page.getByRole('button', { name: /^Redo/ }).click();
  await expect(verdict(page)).toContainText('2 things');
  await saved(page);
  await page.reload();
  await expect(verdict(page)).toContainText('2 things');
});

test('the climber is moved along the rope by keyboard, and the force follows', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span');
  const climber = page.getByRole('slider', { name: 'Climber along the rope' });
  await climber.focus();
  await page.keyboard.press('Home');
  const force = async () => Number(/needs (\d+)/.exec((await climber.getAttribute('aria-valuetext'))!)![1]);
  const top = await force();
  await page.keyboard.press('End');
  await expect(climber).toHaveAttribute('aria-valuenow', '24');
  expect(await force()).toBeGreaterThan(top);
});

test('check face to face: both answer, a failure is put right and checked again, a reload loses nothing', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /Face to face/ }).click();
  const half = (who: string) => page.locator(`[data-half="${who}"]`);
  // Each looks at the other; then both look at the same things, at their own pace.
  await expect(half('climber').getByText('1/14')).toBeVisible();
  await expect(half('partner').getByText('1/15')).toBeVisible();
  await answer(page, 'climber');
  await expect(half('climber').getByText('2/14')).toBeVisible();
  await expect(half('partner').getByText('1/15')).toBeVisible();

  await answer(page, 'partner', false);
  for (const who of ['climber', 'partner']) await expect(half(who)).toContainText('Nobody goes on like this');
  await saved(page);
  await page.reload();
  await expect(half('climber')).toContainText('Nobody goes on like this');
  await page.getByLabel('What was put right?').fill('Scarf tucked in');
  await page.reload();
  await expect(page.getByLabel('What was put right?')).toHaveValue('Scarf tucked in');
  await page.getByRole('button', { name: /Put right/ }).click();

  await answerAll(page, ['climber', 'partner']);
  await page.getByRole('button', { name: 'Close the check' }).click();
  await expect(page.getByText(/Complete, face to face/)).toBeVisible();
  await expect(page.getByText('Put right: Scarf tucked in')).toBeVisible();

  await page.getByRole('link', { name: 'Log the use' }).click();
  await page.getByLabel('Note').fill('Plots 4 to 6');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Plots 4 to 6')).toBeVisible();
  await expect(page.getByRole('link', { name: /Low span.*1 put right on the way/ })).toContainText('Complete');
});

test('a record keeps the set-up of its time', async ({ page }) => {
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /Alone/ }).click();
  await page.getByRole('button', { name: 'End' }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText(/Ended unfinished, alone/)).toBeVisible();
  const record = page.url();
  await open(page, '/demo/locker/rope/rope-usnea');
  await page.getByLabel('Name', { exact: true }).fill('Renamed rope');
  await page.getByRole('button', { name: 'Save' }).click();
  await open(page, '/demo/setups/setup-low-span');
  await expect(page.getByRole('button', { name: /^Rope Renamed rope/ })).toBeVisible();
  await open(page, new URL(record).pathname);
  await expect(page.getByText(/Usnea 60, blue/)).toBeVisible();
});

test('the command line gives the findings of the screen', async ({ page }) => {
  const zevrin = (...args: string[]) =>
    execFileSync(process.execPath, ['scripts/zevrin.mjs', ...args], { encoding: 'utf8' });
  for (const [sample, id] of [
    ['rappel-double', 'setup-low-span'],
    ['rappel-double-faulty', 'setup-high-span'],
  ] as const) {
    const file = join(mkdtempSync(join(tmpdir(), 'zevrin-')), 's.json');
    writeFileSync(file, zevrin('sample', sample));
    const { findings } = JSON.parse(zevrin('assess', file)) as { findings: { code: string; says: string }[] };
    await open(page, `/demo/setups/${id}`);
    expect(await codes(page)).toEqual(findings.map((f) => f.code));
    const says = await page.locator('[data-finding] > button > span:nth-child(2)').allTextContents();
    expect(says).toEqual(findings.map((f) => f.says));
  }
});

test('a set-up that lacks a part is not tested, and no check begins', async ({ page }) => {
  await open(page, '/demo/setups');
  await begin(page, 'Rappel on two strands');
  await expect(verdict(page)).toContainText('Not tested');
  await expect(page.getByText('The check begins when every part is chosen.')).toBeVisible();
  await page.getByLabel('Who goes down', { exact: true }).selectOption({ label: 'Tomas Reedling' });
  await page.getByLabel('Partner', { exact: true }).selectOption({ label: 'Tomas Reedling' });
  await expect(page.getByLabel('Who goes down', { exact: true })).toHaveValue('');
});

test('a known risk is accepted by name and with a reason, which stands first in the record', async ({ page }) => {
  test.setTimeout(90_000);
  // A clamp on a screw-gate oval: the sleeve can shake open, and one clamp is the only attachment.
  await open(page, '/demo/setups/setup-pier-5-up');
  await expect(verdict(page)).toContainText('Caution');
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /Alone/ }).click();
  const half = page.locator('[data-half="climber"]');
  const way = half.getByText(/^Go on with it as it is/);
  await way.click();
  const accept = half.getByRole('button', { name: 'Accepted by Tomas Reedling' });
  await expect(accept).toBeDisabled();
  await half.getByLabel(/Why can it stay so/).fill('Sleeve looked at at every stop.');
  // What is typed outlives a reload.
  await page.reload();
  await expect(half.getByLabel(/Why can it stay so/)).toHaveValue('Sleeve looked at at every stop.');
  await accept.click();
  await expect(accept).toBeHidden();
  await answerAll(page);
  await page.getByRole('button', { name: 'Close the check' }).click();
  await expect(page.getByText('1 risk was accepted as it is, with a reason.')).toBeVisible();
  await expect(page.getByText(/Accepted as it is by Tomas Reedling:/)).toBeVisible();
  await expect(page.getByText('Sleeve looked at at every stop.')).toBeVisible();
});

test('the words of the trade are the reader’s, on every page; a name keeps the words it was written with', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-low-span');
  await page.getByLabel('Name of the set-up').fill('Rappel at the low span');
  await saved(page);
  await open(page, '/');
  await page.getByLabel('Words').selectOption({ label: 'Abseil, karabiner, colour · metres' });
  await expect(page.getByRole('link', { name: 'Abseil on two strands' })).toBeVisible();
  await open(page, '/demo/setups');
  await expect(page.getByText('Rappel at the low span')).toBeVisible();
  await expect(page.getByText(/^Abseil on two strands, /).first()).toBeVisible();
  await page.getByRole('button', { name: 'New set-up' }).click();
  await expect(page.getByRole('button', { name: 'Abseil on two strands' })).toBeVisible();
  await open(page, '/demo/steps');
  await expect(page.getByText('Set up and descend a doubled abseil').first()).toBeVisible();
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /Alone/ }).click();
  const half = page.locator('[data-half="climber"]');
  const texts: string[] = [];
  await half.locator('[data-item]').first().waitFor();
  while ((await half.locator('[data-item]').count()) > 0) {
    await half.getByText('Where to look').click();
    texts.push(await half.innerText());
    const title = half.getByRole('heading');
    const here = await title.innerText();
    while ((await title.count()) > 0 && (await title.innerText()) === here) await answer(page, 'climber');
  }
  expect(texts.length).toBeGreaterThan(10);
  expect(texts.join(' ')).toMatch(/belay loop/i);
  expect(texts.join(' ')).not.toMatch(/abseil loop|rappel|carabiner/i);
  // Words of America bring feet along; both can be chosen apart afterwards.
  await open(page, '/');
  await page.getByLabel('Words').selectOption({ label: 'Rappel, carabiner, color · feet' });
  await open(page, '/demo/setups');
  await expect(page.getByText(/^Rappel on two strands, .*ft/).first()).toBeVisible();
});
