import { expect, open, seriousAxe, test } from './helpers.ts';

test('a word of the trade in a finding is tapped and explained, by touch and by keyboard, and leads to the page of all words', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-high-span');
  const finding = page.locator('[data-finding="geometry.hitch-reaches-device"]');
  await finding.getByRole('button').first().click();
  const word = finding.locator('[data-term]').first();
  await word.click();
  const said = page.getByRole('dialog');
  await expect(said.getByRole('heading')).toBeVisible();
  await expect(said.locator('svg')).toBeVisible();
  expect(await seriousAxe(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(said).toBeHidden();
  await expect(word).toBeFocused();
  await page.keyboard.press('Enter');
  const name = await said.getByRole('heading').innerText();
  await said.getByRole('link', { name: 'All words' }).click();
  await expect(page.getByRole('heading', { name: 'Words', exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name, exact: true })).toBeInViewport();
});

test('on the page of words each has a drawing; one is found by what it is called elsewhere, and what is not there is said', async ({
  page,
}) => {
  await open(page, '/demo/words');
  const words = page.getByRole('main').getByRole('listitem');
  await expect(page.getByRole('heading', { name: 'Munter hitch' })).toBeVisible();
  const count = await words.count();
  expect(count).toBeGreaterThan(60);
  await expect(words.locator('svg')).toHaveCount(count);
  await page.getByLabel('Find a word').fill('Italian');
  await expect(words).toHaveCount(1);
  await expect(words).toContainText('Munter hitch');
  await page.getByLabel('Find a word').fill('zipline');
  await expect(page.getByText('No word here has “zipline” in it.')).toBeVisible();
});
