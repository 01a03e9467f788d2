import type { Page } from '@playwright/test';
import { openChecked, setup } from './checked.ts';
import { answer, answerAll, answerHalf, expect, looked, open, saved, seriousAxe, test } from './helpers.ts';

const dialog = (page: Page) => page.getByRole('dialog');
const half = (page: Page, who = 'climber') => page.locator(`[data-half="${who}"]`);

/** Begins the next go of an evening with one tap, and answers what the plan leaves open for these two. */
async function go(page: Page, what: string) {
  await page.getByRole('button', { name: 'Check the next go' }).click();
  await dialog(page)
    .getByRole('button', { name: new RegExp(`^${what} ?\\d`) })
    .click();
  await expect(page).toHaveURL(/\/check\/.+/);
  await half(page).waitFor();
  while (await page.getByRole('region', { name: 'Before the check' }).isVisible()) await answer(page, 'climber');
}
/** The first thing that one of the two looks at is wrong, and is put right. */
async function failsOnce(page: Page) {
  await answer(page, 'climber', false);
  await half(page).getByLabel('What was put right?').fill('Tied anew');
  await half(page)
    .getByRole('button', { name: /^Put right/ })
    .click();
}

test('fifteen goes of an evening: changing over, two things that were wrong, a reload and a dead phone', async ({
  page: first,
  context,
}) => {
  test.setTimeout(240_000);
  let page = first;
  await page.setViewportSize({ width: 390, height: 844 });
  await openChecked(page);
  const ways = [
    'Same again',
    'Changed over',
    'Next route or pitch',
    'Took it off in between',
    'Next route, changed over',
  ];
  const things: number[] = [];
  for (let nr = 1; nr <= 15; nr += 1) {
    await go(page, ways[nr % ways.length]!);
    things.push(
      Number(await page.getByRole('progressbar', { name: 'Things looked at' }).getAttribute('aria-valuemax')),
    );
    if (nr === 4 || nr === 9) await failsOnce(page);
    if (nr === 6) {
      await answer(page, 'partner');
      await saved(page);
      await page.reload();
    }
    if (nr === 11) {
      // The phone dies in the middle; the half-done check is found at once on the set-up.
      await answer(page, 'climber');
      await saved(page);
      await page.close();
      page = await context.newPage();
      await page.setViewportSize({ width: 390, height: 844 });
      await open(page, `/mine/setups/${setup.id}`);
      await page.getByRole('link', { name: 'Go on with the check' }).click();
    }
    await answerAll(page, ['climber', 'partner']);
    await looked(page);
    await page.getByRole('button', { name: 'Close the check' }).click();
    await expect(page.getByText(/^Next go .*Complete, face to face/)).toBeVisible();
    await page.getByRole('link', { name: 'To the set-up' }).click();
  }
  // What opened nothing stays short, and every second go has one look more.
  expect(Math.max(...things)).toBeLessThanOrEqual(10);
  expect(new Set(things).size).toBeGreaterThan(2);
  await open(page, '/mine/log');
  await expect(page.getByRole('link', { name: /Complete/ })).toHaveCount(16);
  const found = page.getByRole('region', { name: 'What checks found' });
  await expect(found).toContainText('16 checks: 2 found something wrong.');
  await expect(found.getByRole('listitem').first()).toContainText('Put right: Tied anew');
  expect(await seriousAxe(page)).toEqual([]);
});

test('a check by two phones: each answers the own half, and a code at the end brings both together', async ({
  page,
  browser,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const { persons } = setup;
  const [mine, theirs] = [persons[0]!.item!.name, persons[1]!.item!.name];
  await openChecked(page);
  await page.getByRole('button', { name: 'Check the next go' }).click();
  await dialog(page)
    .getByText(/^The whole check again/)
    .click();
  await dialog(page)
    .getByRole('button', { name: /^By two phones/ })
    .click();
  await expect(page).toHaveURL(/\/check\/.+/);
  await half(page).waitFor();
  while (await page.getByRole('region', { name: 'Before the check' }).isVisible()) await answer(page, 'climber');
  await expect(page.getByRole('heading', { name: `${theirs} reads this` })).toBeVisible();
  await expect(page.getByRole('img', { name: /^QR code of/ })).toBeVisible();
  expect(await seriousAxe(page)).toEqual([]);
  const linkOf = async (of: Page) => {
    const field = of.getByLabel('The link', { exact: true });
    await expect(field).not.toHaveValue('');
    return field.inputValue();
  };
  const firstLink = await linkOf(page);

  const other = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const reads = async (of: Page, link: string, button: string) => {
    await of.goto('about:blank');
    await of.goto(link);
    await of.getByRole('button', { name: button }).click();
    await expect(of).toHaveURL(/\/check\/.+/);
  };
  await reads(other, firstLink, 'Begin this half');
  await expect(other.getByRole('region', { name: `Half of ${theirs}` })).toBeVisible();
  expect(await seriousAxe(other)).toEqual([]);
  // Something is wrong on the other phone, and is put right there; this one knows nothing of it yet.
  await answer(other, 'partner', false);
  await expect(half(other, 'partner')).toContainText(`Tell ${mine}: the other phone does not know of it yet.`);
  await half(other, 'partner').getByLabel('What was put right?').fill('Belt pulled up');
  await half(other, 'partner')
    .getByRole('button', { name: /^Put right/ })
    .click();
  await answerHalf(other, 'partner');
  await expect(other.getByRole('heading', { name: 'Your half is done' })).toBeVisible();

  await page.getByRole('button', { name: 'Begin your half' }).click();
  await answerHalf(page, 'climber');
  await expect(page.getByText(/^.* reads this code, and you read theirs/)).toBeVisible();
  await saved(page);
  // A link that was pasted is read as one that was opened.
  await page.getByLabel(/^Or paste the link/).fill(await linkOf(other));
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByRole('button', { name: 'Put both halves together' }).click();
  await expect(page).toHaveURL(/\/check\/.+/);
  await answerHalf(page, 'climber');
  await expect(page.getByText(`${mine} and ${theirs} each said what they saw.`)).toBeVisible();
  const whole = await linkOf(page);
  await looked(page);
  await page.getByRole('button', { name: 'Close the check' }).click();
  await expect(page.getByText(/^Whole check\. Complete, by two phones/)).toBeVisible();
  await expect(page.getByText('Put right: Belt pulled up')).toBeVisible();

  await reads(other, whole, 'Put both halves together');
  await looked(other);
  await other.getByRole('button', { name: 'Close the check' }).click();
  await expect(other.getByText(/^Whole check\. Complete, by two phones/)).toBeVisible();
  await saved(other);
  // The other phone knows of the set-up and of its check, and its own code is refused where it came from.
  await other.getByRole('link', { name: 'To the set-up' }).click();
  await expect(other.getByRole('button', { name: 'Check the next go' })).toBeVisible();
  await other.context().close();
});
