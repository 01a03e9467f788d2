import { newSequence, stepsOf } from '../core/answers/procedures/index.ts';
import { inWords } from '../core/foundations/vocabulary/index.ts';
import { doStep, expect, moveUp, open, press, saved, seriousAxe, test, verdict } from './helpers.ts';

test('alone on a top rope: a second grab is added, the cascade appears, and goes when the toothed one hangs below', async ({
  page,
}) => {
  test.setTimeout(60_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/setups/setup-wall-alone');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Add …' }).click();
  await page.getByRole('menuitem', { name: /second grab above/i }).click();
  await page.getByRole('button', { name: /^Second grab/ }).click();
  const choose = (label: string, option: string) =>
    page.getByRole('combobox', { name: label, exact: true }).selectOption({ label: option });
  await choose('Second grab', 'Burr clamp');
  await choose('Sling of the second grab', 'Sling 120, grey');
  await choose('Connector of the second grab', 'Pear with keeper, grey');
  await saved(page);

  const order = page.getByRole('list', { name: 'From the anchor down' }).getByRole('listitem');
  const cascade = page.locator('[data-finding="between.cascade"]');
  await page.getByRole('button', { name: 'Drawing', exact: true }).click();
  await expect(order).toHaveText([/Second grab/, /Device.*the one above slides onto it/]);
  await expect(cascade).toHaveAttribute('data-severity', 'mind');
  expect(await seriousAxe(page)).toEqual([]);

  // With the keyboard: the toothed one below is not pushed open by the other.
  await press(page, page.getByRole('button', { name: 'The second grab lower' }));
  await expect(order).toHaveText([/^Device$/, /^Second grab$/]);
  await expect(cascade).toHaveAttribute('data-severity', 'clear');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(cascade).toHaveAttribute('data-severity', 'mind');

  await moveUp(page, page.getByRole('button', { name: 'Move the device along the rope' }));
  await expect(order).toHaveText([/^Device$/, /^Second grab$/]);
  await saved(page);
  await page.reload();
  await expect(order).toHaveText([/^Device$/, /^Second grab$/]);
  await expect(page.getByText(/^Below .* it ends on the ground/)).toBeVisible();
});

test('a rig is built anew as two rope grabs on two slings: the foot loop at the lower one, its stroke, its orders, and back', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-pier-5-up');
  const buildAs = async (name: RegExp) => {
    await page.getByRole('button', { name: 'Build it as …' }).click();
    await page.getByRole('menuitem', { name }).click();
  };
  await buildAs(/squeeze the rope/);
  const order = page.getByRole('list', { name: 'From the anchor down' }).getByRole('listitem');
  await expect(order).toHaveText([/Upper rope grab/, /Lower rope grab/]);
  for (const part of [/^Upper rope grab/, /^Lower rope grab/, /^Foot loop/])
    await page.getByRole('button', { name: part }).click();
  const choose = (label: string, option: string) =>
    page.getByRole('combobox', { name: label, exact: true }).selectOption({ label: option });
  await choose('Upper rope grab', 'Burr clamp');
  await choose('Lower rope grab', 'Burr clamp');
  await choose('Connector of the upper rope grab', 'Pear with keeper, grey');
  await choose('Sling of the upper rope grab', 'Sling 120, grey');
  await choose('Sling of the lower rope grab', 'Sling 60, grey');
  await choose('Sling of the foot loop', 'Sling 120, grey');
  for (const [label, cm] of [
    ['Measured length of the upper rope grab', '60'],
    ['Measured length of the lower rope grab', '40'],
    ['Measured length of the foot loop', '114'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(cm);
    await page.getByLabel(label, { exact: true }).press('Tab');
  }
  await expect(page.getByRole('img', { name: /a stroke gains 30/ })).toBeVisible();
  await expect(page.locator('[data-finding="ascend.drop"]')).toHaveAttribute('data-severity', 'clear');
  await expect(
    page.getByRole('button', { name: 'Down-climbing the rope on two ascenders, a little at a time' }),
  ).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(order).toHaveText([/Upper rope grab/, /Lower rope grab/]);
  await buildAs(/Hitches only/);
  await expect(order).toHaveText([/Upper hitch/, /Lower hitch/]);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(order).toHaveText([/Upper rope grab/, /Lower rope grab/]);
});

test('up a rope: lengths of tether, foot loop and body make the stroke, also typed in feet and fractions', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-pier-5-up');
  await page.getByRole('button', { name: 'Add …' }).click();
  await page.getByRole('menuitem', { name: /foot loop/i }).click();
  await page.getByRole('button', { name: /^Foot loop/ }).click();
  await page
    .getByRole('combobox', { name: 'Sling of the foot loop', exact: true })
    .selectOption({ label: 'Sling 120, grey' });
  const length = page.getByLabel('Measured length of the foot loop', { exact: true });
  const stroke = page.locator('[data-finding="ascend.stroke"]');
  // 1.14 m: as long as this person stands up to just above the tie-in.
  await length.fill('3 ft 8 7/8 in');
  await length.press('Tab');
  await expect(length).toHaveValue('114');
  await expect(stroke).toHaveAttribute('data-severity', 'clear');
  await expect(page.getByRole('img', { name: /^Hanging and standing\..* foot loop 114 cm/ })).toBeVisible();
  // What keeps the height, with this person's stroke: another one is taken over, judged in its place.
  const captures = page.locator('[data-capture]');
  await expect.poll(() => captures.count()).toBeGreaterThan(3);
  await expect(captures.filter({ hasText: 'in this set-up' })).toContainText('Burr clamp');
  const plate = captures.filter({ hasText: 'Weir guide plate' });
  await expect(plate).toContainText('Going down needs another device.');
  await plate.getByRole('button', { name: 'Take this one' }).click();
  await expect(captures.filter({ hasText: 'in this set-up' })).toContainText('Weir guide plate');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(captures.filter({ hasText: 'in this set-up' })).toContainText('Burr clamp');
  // Too long, and a stroke gains little or nothing; what to tie is said.
  await length.fill('1500 mm');
  await expect(stroke).toHaveAttribute('data-severity', 'mind');
  await expect(verdict(page)).toContainText('Caution');
  await saved(page);
  await page.reload();
  await expect(stroke).toHaveAttribute('data-severity', 'mind');
  await page.getByRole('button', { name: 'Take away …' }).click();
  await page.getByRole('menuitem', { name: 'Foot loop' }).click();
  await expect(stroke).toHaveCount(0);
});

test('an own try near the ground is kept with the pair: it makes the verdict worse, stays, and is taken out again', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-pier-5-up');
  const found = page.locator('[data-finding="between.bench"]');
  await expect(page.getByRole('heading', { name: 'Try it near the ground' })).toBeVisible();
  await expect(found).toHaveCount(0);
  await page.getByText('What is needed, and how it is done').click();
  await expect(page.getByText('The second person keeps it from gripping')).toBeVisible();
  await page.getByRole('button', { name: 'Write down a try' }).click();
  // Nothing is chosen before somebody has chosen it; what cannot be is refused at the field.
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByLabel('What the lower one did')).toHaveAttribute('aria-invalid', 'true');
  await page.getByLabel('What the lower one did').selectOption('pushed-open');
  const way = page.getByLabel('Way until it held');
  await way.fill('12 ft');
  await way.press('Tab');
  await expect(page.getByText(/0.*to.*300.*cm/)).toBeVisible();
  await way.fill('1 ft 2 in');
  await way.press('Tab');
  await page.getByLabel('Weight that hung in it').fill('180 lb');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(found).toHaveAttribute('data-severity', 'stop');
  await expect(verdict(page)).toContainText('Stop');
  await saved(page);
  await page.reload();
  await expect(found).toHaveAttribute('data-severity', 'stop');
  await expect(page.getByRole('list', { name: 'Tries' }).getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: /^Take this try out/ }).click();
  await expect(found).toHaveCount(0);
  await expect(verdict(page)).not.toContainText('Stop');
});

test('alone on a top rope, on a phone: the order of steps up, the change at the top, and the descent in run mode', async ({
  page,
}) => {
  test.slow();
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/setups/setup-wall-alone');
  await page.getByRole('button', { name: /^Findings/ }).click();
  await page.getByRole('button', { name: 'Order of steps' }).click();
  await expect(verdict(page)).toContainText('No fault found');
  await page.getByRole('link', { name: 'Go through it' }).click();
  const steps = stepsOf(newSequence('alone-top-rope', 'x', ''));
  const heading = page.getByRole('heading', { level: 2 });
  for (const [i, step] of steps.entries()) {
    await expect(heading).toHaveText(inWords(step!.does, 'rappel'));
    // In the middle of the change at the top nothing is lost.
    if (step!.id === 'device-weigh') {
      await saved(page);
      await page.reload();
      await expect(heading).toHaveText(inWords(step!.does, 'rappel'));
    }
    await doStep(page);
    if (i === 0) expect(await seriousAxe(page)).toEqual([]);
  }
  await expect(page.getByText(`All ${steps.length} steps gone through`)).toBeVisible();
});
