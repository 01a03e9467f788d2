import { expect, open, press, saved, seriousAxe, test, type, verdict } from './helpers.ts';

test('from the first screen to a verdict with six inputs, on a phone; what hangs on it is asked and answered', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/');
  // 1: what.
  await page.getByRole('link', { name: 'Rappel on two strands' }).click();
  await expect(page.getByRole('heading', { name: 'A first answer' })).toBeVisible();
  expect(await seriousAxe(page)).toEqual([]);
  // 2 to 6.
  await page.getByLabel('Thickness of the rope').fill('9.6');
  await page.getByRole('radio', { name: 'Single rope' }).check({ force: true });
  await page.getByRole('radio', { name: 'Tube with brake grooves' }).check({ force: true });
  await page.getByLabel('You weigh').fill('74');
  // A reload in between loses nothing.
  await page.reload();
  await expect(page.getByLabel('Thickness of the rope')).toHaveValue('9.6');
  await expect(page.getByRole('radio', { name: 'Tube with brake grooves' })).toBeChecked();
  await page.getByRole('radio', { name: 'Left' }).check({ force: true });
  await page.getByRole('button', { name: 'Show the answer' }).click();

  await expect(page).toHaveURL(/\/mine\/setups\/.+/);
  await expect(verdict(page)).toHaveText(/^(Caution|Not tested)/);
  await saved(page);
  // With most hanging on it first; the height is not said.
  const facts = page.locator('[data-open-fact]');
  await expect(facts).toHaveCount(3);
  const height = page.locator('[data-open-fact="site/anchorHeightM"]');
  await expect(height).toBeVisible();
  // Typed as slowly as on a cold ledge: the field stays until it is left.
  await height.getByLabel(/^Anchor above the ground/).pressSequentially('18', { delay: 700 });
  await expect(height.getByLabel(/^Anchor above the ground/)).toHaveValue('18');
  // A reload before that loses nothing either.
  await page.reload();
  await expect(height.getByLabel(/^Anchor above the ground/)).toHaveValue('18');
  await height.getByRole('button', { name: 'Enter it' }).click();
  await expect(height).toHaveCount(0);
  expect(await seriousAxe(page)).toEqual([]);
  await page.reload();
  await expect(page.locator('[data-open-fact]').first()).toBeVisible();
  await expect(height).toHaveCount(0);

  // What was typed becomes part of the locker in one step, marked as typical where it is.
  await page.getByRole('button', { name: /^Put these \d+ things into the locker/ }).click();
  await expect(page.getByRole('button', { name: /^Put these/ })).toHaveCount(0);
  await page.getByRole('navigation', { name: 'Places' }).last().getByRole('link', { name: 'Locker' }).click();
  await expect(page.getByRole('link', { name: /^The climber.*partly typical/ })).toBeVisible();
  await page.getByRole('link', { name: /^Rope of 9.6 mm/ }).click();
  await expect(page.getByText(/Usual for its kind, not measured on yours: length on the label/)).toBeVisible();
  await page.getByLabel('Length on the label').fill('70');
  await expect(page.getByText(/Usual for its kind/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('link', { name: /^Rope of 9.6 mm.*70/ })).toBeVisible();
});

test('the six questions with the keyboard only; what cannot be read stands at its field', async ({ page }) => {
  await open(page, '/mine/quick');
  await press(page, page.getByRole('radio', { name: 'Belay on a top rope', exact: true }), 'Space');
  await type(page, 'Thickness of the rope', '97');
  await expect(page.getByText(/Read “97”\. Allowed/)).toBeVisible();
  await type(page, 'Thickness of the rope', '3/8 in');
  await type(page, 'The climber weighs', '11 st');
  await expect(page.getByText(/Read “11 st”\. Allowed/)).toBeVisible();
  await type(page, 'The climber weighs', '150 lb');
  await type(page, 'The belayer weighs', '60');
  await press(page, page.getByRole('button', { name: 'Show the answer' }));
  await expect(page.getByText('Choose the kind of device, by its look.')).toBeVisible();
  await expect(page.getByText('Choose the hand.')).toBeVisible();
  await press(page, page.getByRole('radio', { name: 'Single rope' }), 'Space');
  // Within a group the arrow keys go from one to the next, as radio buttons do.
  await press(page, page.getByRole('radio', { name: 'Tube with brake grooves' }), 'Space');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Tube without grooves' })).toBeChecked();
  await press(page, page.getByRole('radio', { name: 'Left' }), 'Space');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'Right' })).toBeChecked();
  await press(page, page.getByRole('button', { name: 'Show the answer' }));
  await expect(verdict(page)).toBeVisible();
  await expect(page.getByLabel('Name of the set-up')).toHaveValue('Belay on a top rope');
});

test('something typical to start from in the locker, made one’s own', async ({ page }) => {
  await open(page, '/mine/locker/connector/new');
  await page.getByLabel('Start from something typical').selectOption({ label: 'Pear connector with a screw sleeve' });
  await expect(page.getByLabel('Name')).toHaveValue('Pear connector with a screw sleeve');
  await expect(page.getByText(/Usual for its kind, not measured on yours: inside length/)).toBeVisible();
  await expect(page.getByText(/Typical: 7 to 10.5 cm, from memory/)).toBeVisible();
  expect(await seriousAxe(page)).toEqual([]);
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('partly typical')).toBeVisible();
  await page.getByRole('link', { name: /^Pear connector/ }).click();
  await page.getByRole('button', { name: /^It is so/ }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('partly typical')).toHaveCount(0);
});
