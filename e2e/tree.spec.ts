import { newSequence, stepsOf } from '../core/answers/procedures/index.ts';
import { inWords } from '../core/foundations/vocabulary/index.ts';
import { doStep, expect, open, saved, seriousAxe, test, verdict } from './helpers.ts';

test('out along a limb: moved in the drawing with the keyboard, the swing follows, and it is kept', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/setups/choice-beech');
  const swing = page.locator('[data-finding="tree.limb-swing"]');
  const out = page.getByRole('slider', { name: 'Out along the limb' });
  await expect(out).toHaveAttribute('aria-valuetext', /^3/);
  await expect(swing).toHaveAttribute('data-severity', 'mind');
  await out.focus();
  // 5 m out, 6 m below: 1.81 m down, and no second line.
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight');
  await expect(out).toHaveAttribute('aria-valuetext', /^5/);
  await expect(swing).toHaveAttribute('data-severity', 'stop');
  const below = page.getByRole('slider', { name: 'Limb below the tie-in' });
  await below.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown');
  await expect(below).toHaveAttribute('aria-valuetext', /^9\.75/);
  await expect(swing).toHaveAttribute('data-severity', 'mind');
  await out.focus();
  await page.keyboard.press('Home');
  await expect(swing).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('slider', { name: 'Out along the limb' })).toHaveAttribute('aria-valuetext', /^0/);
  expect(await seriousAxe(page)).toEqual([]);
});

test('a tree in the form: what is not said is asked, a saw on one attachment is a Stop', async ({ page }) => {
  await open(page, '/demo/setups/choice-beech');
  await page.getByRole('button', { name: /^Tree/ }).click();
  const choose = (label: string, option: string) =>
    page.getByRole('combobox', { name: label, exact: true }).selectOption({ label: option });
  const second = page.locator('[data-finding="tree.second"]');
  await choose('Second attachment while working or changing', 'None');
  await expect(second).toHaveAttribute('data-severity', 'mind');
  await choose('Cutting', 'A saw is used up there');
  await expect(second).toHaveAttribute('data-severity', 'stop');
  await choose('The tie-in point was tried from the ground by', 'Nobody');
  await expect(page.locator('[data-finding="tree.fork-load"]')).toHaveAttribute('data-severity', 'stop');
  const out = page.getByRole('textbox', { name: 'Out along the limb', exact: true });
  await out.fill('9 ft 10 in');
  await out.press('Tab');
  await expect(out).toHaveValue('3');
  await out.fill('200');
  await out.press('Tab');
  await expect(page.getByText(/200.*(20|between)|at most/).first()).toBeVisible();
});

test('three ways of being on the line: built whole, with lengths from the body, and a second limb with its own swing', async ({
  page,
}) => {
  await open(page, '/demo/setups/choice-beech');
  const build = async (name: string) => {
    await page.getByRole('button', { name: 'Build it as …' }).click();
    await page.getByRole('menuitem', { name: new RegExp(`^${name}`) }).click();
  };
  await build('Walk up the rope');
  const lengths = page.getByRole('figure').filter({ hasText: 'Lengths for Tomas Reedling' });
  // Chin 41 cm above the tie-in, the device about 25 cm long: 11 cm of tether, from 4 to 16.
  await expect(lengths).toContainText(/Tether 11\scm \(4 to 16\)/);
  await expect(page.getByRole('button', { name: /^Knee ascender/ })).toBeVisible();
  await page.getByRole('button', { name: 'Add …' }).click();
  await page.getByRole('menuitem', { name: /another limb/i }).click();
  await expect(page.locator('[data-finding="tree.limb-swing"][data-severity="untested"]')).toContainText(/second limb/);
  const out = page.getByRole('slider', { name: 'Out along the second limb' });
  await out.focus();
  for (let i = 0; i < 16; i++) await page.keyboard.press('ArrowRight');
  await expect(out).toHaveAttribute('aria-valuetext', /^4/);
  await expect(page.locator('[data-finding="tree.limb-swing"]')).toHaveCount(2);
  await build('Out on a limb');
  await expect(page.getByRole('button', { name: /^Knee ascender/ })).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('slider', { name: 'Out along the second limb' })).toHaveAttribute('aria-valuetext', /^4/);
  expect(await seriousAxe(page)).toEqual([]);
});

test('a rappel from a tree: the hitch stays above the device, and the order of the change is a tap away', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-beech-down');
  await expect(verdict(page)).toContainText('Caution');
  await expect(page.getByRole('button', { name: /^Hitch above the device/ })).toBeVisible();
  await page.getByRole('button', { name: 'Order of steps' }).click();
  await expect(page.getByText(/the hitch stays above it/).first()).toBeVisible();
  await expect(verdict(page)).toContainText('No fault found');
});

test('pick-off: a slack link and a link too few are Stops; what holds is shown for both', async ({ page }) => {
  await open(page, '/demo/setups/setup-drill');
  await page.getByRole('button', { name: /^Short link/ }).click();
  const runs = page.getByRole('combobox', { name: 'The short link runs', exact: true });
  await runs.selectOption({ label: 'Slack' });
  await expect(page.locator('[data-finding="pick.link"][data-severity="stop"]')).toBeVisible();
  await runs.selectOption({ label: 'Tight' });
  await expect(page.locator('[data-finding="pick.link"][data-severity="stop"]')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'A mini haul from your locker' })).toBeVisible();
  await page.getByRole('button', { name: 'Take away …' }).click();
  await page.getByRole('menuitem', { name: /Second link/ }).click();
  await expect(page.locator('[data-finding="pick.one-link"]')).toHaveAttribute('data-severity', 'stop');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.locator('[data-finding="pick.one-link"][data-severity="stop"]')).toHaveCount(0);
  await page.getByRole('link', { name: 'What still holds' }).first().click();
  await expect(page.getByText('Ilse Marrowby').first()).toBeVisible();
  expect(await seriousAxe(page)).toEqual([]);
});

test('a bollard is tuned to a new rope on a phone, with a reload in the middle, and the set-up knows it until the rope is washed', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/locker/device/device-bough/tune');
  await page.getByLabel('To the rope').selectOption({ label: 'Usnea 60, blue' });
  const proposal = page.getByRole('region', { name: 'What to try' });
  await expect(proposal).toHaveText(/^4Try this setting/);
  const weight = page.locator('summary', { hasText: /rope$/ });
  await weight.click();
  await page.getByLabel('Weight that hung in it').fill('200 lb');
  await page.getByLabel('Weight that hung in it').press('Tab');
  const answer = (name: RegExp) => page.getByRole('button', { name }).click();
  await answer(/^Visibly/);
  // It grips too little: nothing else need be tried.
  await expect(page.getByText('It grips too little.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('It grips too little.')).toBeVisible();
  await expect(page.locator('summary', { hasText: /^9[01].*kg, dry rope$/ })).toBeVisible();
  expect(await seriousAxe(page)).toEqual([]);
  await answer(/^Write it down/);
  await expect(proposal).toHaveText(/^6Try this setting/);
  for (const again of [0, 1]) {
    await answer(/^Not at all/);
    await answer(/^Not at all/);
    await answer(/^Easily/);
    await answer(/^With a light pull/);
    await answer(/^It let go and held/);
    await expect(page.getByText('This one is good.')).toBeVisible();
    await answer(/^Write it down/);
    await expect(proposal).toHaveText(again === 0 ? /^6The same setting once more/ : /^6Tuned to this rope/);
  }
  await saved(page);

  // What belonged to the other rope is gone: the bollard is set for this one.
  await page.getByLabel('To the rope').selectOption({ label: 'Parmelia 45, white' });
  await expect(page.getByRole('alert')).toHaveText(
    /Setting 5 was found before; the bollard has since been set for another rope/,
  );
  await open(page, '/demo/setups/choice-beech');
  await page.getByRole('button', { name: /^Findings/ }).click();
  const tuned = page.locator('[data-finding="fit.not-tuned"]');
  await expect(tuned).toHaveAttribute('data-severity', 'untested');
  await page.getByRole('button', { name: 'Drawing', exact: true }).click();
  await page.getByRole('link', { name: 'Tune Bough multi-ascender to this rope' }).click();
  await expect(page.getByLabel('To the rope')).toHaveValue('rope-parmelia');
  await page.getByLabel('To the rope').selectOption({ label: 'Usnea 60, blue' });
  await answer(/^The rope was washed/);
  await expect(page.getByRole('alert')).toHaveText(/the rope was washed since/);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(proposal).toHaveText(/^6Tuned to this rope/);
});

test('a stationary line in run mode: walked up, out along the limb, up again and down, with a reload out on the limb', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/setups/choice-beech');
  await page.getByRole('button', { name: /^Findings/ }).click();
  await page.getByRole('button', { name: 'Order of steps' }).click();
  await expect(verdict(page)).toContainText('No fault found');
  await page.getByRole('link', { name: 'Go through it' }).click();
  const steps = stepsOf(newSequence('tree-walk', 'x', ''));
  const out = steps.findIndex((s) => s!.id === 'walk-out') + 1;
  const heading = page.getByRole('heading', { level: 2 });
  for (const s of steps.slice(0, out)) {
    await expect(heading).toHaveText(inWords(s!.does, 'rappel'));
    await doStep(page);
  }
  await saved(page);
  await page.reload();
  for (const s of steps.slice(out)) {
    await expect(heading).toHaveText(inWords(s!.does, 'rappel'));
    await doStep(page);
  }
  await expect(page.getByText(`All ${steps.length} steps gone through`)).toBeVisible();
});

test('pick-off in run mode on a phone: the clock of the one who hangs goes on through a reload, and the order with it', async ({
  page,
}) => {
  test.setTimeout(60_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/steps');
  await page.getByRole('button', { name: /^Take it: Pick off a person/ }).click();
  await expect(page.getByText(/For people who were trained in it/)).toBeVisible();
  await expect(verdict(page)).toContainText('No fault found');
  await page.getByRole('link', { name: 'Go through it' }).click();
  await page.getByRole('group', { name: 'Motionless since' }).getByRole('button', { name: '5 min' }).click();
  const clock = page.getByRole('timer', { name: 'Motionless' });
  await expect(clock).toHaveText(/^5:0\d.*no step that is not needed/);
  const steps = stepsOf(newSequence('pick-off', 'x', ''));
  const half = Math.floor(steps.length / 2);
  const heading = page.getByRole('heading', { level: 2 });
  for (const s of steps.slice(0, half)) {
    await expect(heading).toHaveText(inWords(s!.does, 'rappel'));
    await doStep(page);
  }
  await saved(page);
  await page.reload();
  await expect(clock).toHaveText(/^5:/);
  expect(await seriousAxe(page)).toEqual([]);
  for (const s of steps.slice(half)) {
    await expect(heading).toHaveText(inWords(s!.does, 'rappel'));
    await doStep(page);
  }
  await expect(page.getByText(`All ${steps.length} steps gone through`)).toBeVisible();
  await clock.getByRole('button', { name: 'They move' }).click();
  await expect(page.getByRole('group', { name: 'Motionless since' })).toBeVisible();
});
