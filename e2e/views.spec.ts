import { expect, goOn, open, paleVerdicts, seriousAxe, test } from './helpers.ts';
import { RIGS, VIEWS } from './places.ts';

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  for (const theme of ['light', 'dark'] as const) {
    test(`axe finds nothing serious and nothing is cut off, ${width}x${height}, ${theme}`, async ({ page }) => {
      test.setTimeout(300_000);
      await page.setViewportSize({ width, height });
      await page.emulateMedia({ colorScheme: theme });
      // Every view in both sizes and both themes, light at the desk and dark on the phone; other rigs the other way
      // round.
      for (const view of (theme === 'dark') === (width === 390) ? VIEWS : RIGS) {
        await goOn(page, view);
        expect(await seriousAxe(page), view).toEqual([]);
        const over = await page.evaluate(
          () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
        );
        expect(over, `${view} scrolls sideways`).toBe(0);
      }
      await open(page, '/demo/setups/setup-low-span');
      await page.getByRole('button', { name: 'Check before use' }).click();
      expect(await seriousAxe(page), 'dialog').toEqual([]);
      await page.getByRole('button', { name: /Face to face/ }).click();
      await expect(page.locator('[data-half="partner"]')).toBeVisible();
      expect(await seriousAxe(page), 'check').toEqual([]);
    });
  }
}

/** Places that the views above do not show, or show full where they can be empty. */
const MORE = ['/mine/log', '/mine/plan', '/mine/steps', '/mine/locker', '/demo/setups/choice-wall/catch'];
/** Where a link leads, apart from which thing of its kind. */
const kindOf = (href: string) =>
  href
    .replace(/[?#].*/, '')
    .replace(/^\/(demo|mine)\//, '/:place/')
    .replace(/\/(setups|steps|check|log\/\w+|locker\/\w+)\/(?!new$|new\/)[^/]+/, '/$1/:id');

test('every link on every view leads to a page', async ({ page }) => {
  test.setTimeout(180_000);
  const links = new Map<string, string>();
  for (const view of [...VIEWS.filter((view) => !view.endsWith('/nowhere')), ...MORE]) {
    await goOn(page, view);
    const here = await page
      .locator('a[href]')
      .evaluateAll((all) => all.map((a) => (a as HTMLAnchorElement).getAttribute('href')!));
    for (const href of here)
      if (/^\/(?!third-party)/.test(href)) links.set(kindOf(href), links.get(kindOf(href)) ?? `${href} on ${view}`);
  }
  expect(links.size).toBeGreaterThan(20);
  for (const found of links.values()) {
    await goOn(page, found.split(' ')[0]!);
    await expect(page.locator('h1').first(), found).not.toHaveText(/is not here$/);
  }
});

test('axe would find something serious', async ({ page }) => {
  await open(page, '/demo/log');
  await page.evaluate(() => document.querySelector('main')!.append(document.createElement('button')));
  expect(await seriousAxe(page)).toEqual([expect.stringMatching(/^button-name/)]);
});

test('on a phone what is pressed in the field is at least 48 px high', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/demo/setups/setup-low-span');
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /Face to face/ }).click();
  await expect(page.locator('[data-half="partner"]')).toBeVisible();
  const heights = await page
    .locator('[data-half] button')
    .evaluateAll((all) => all.map((b) => b.getBoundingClientRect().height));
  expect(heights.length).toBeGreaterThan(4);
  for (const h of heights) expect(h).toBeGreaterThanOrEqual(48);
});

test('the page of a deep link that does not exist says so', async ({ page }) => {
  await open(page, '/demo/setups/no-such');
  await expect(page.getByRole('heading', { name: 'This set-up is not here' })).toBeVisible();
});

test('a stroke too many in an address leads to the place that was meant', async ({ page, baseURL }) => {
  for (const address of ['//demo/setups', '/\\demo/setups', '/demo//setups', '//demo///setups?x=1']) {
    await page.goto(`${baseURL}${address}`);
    await expect(page.getByRole('heading', { name: 'Set-ups', level: 1 })).toBeVisible();
    expect(new URL(page.url()).pathname).toBe('/demo/setups');
  }
});

// A very small phone; a desk at 200 %: 1280x800 is then 640x400 for the page; and a phone with the largest text.
const NARROW = [
  [320, 568, 100],
  [640, 400, 100],
  [390, 844, 200],
] as const;
for (const [which, views] of [
  ['the first half of the views', VIEWS.slice(0, 13)],
  ['the second half', VIEWS.slice(13)],
  ['other rigs', RIGS],
] as const)
  test(`nothing is cut off on a small phone, at 200 %, and with the largest text: ${which}`, async ({ page }) => {
    test.setTimeout(240_000);
    await open(page, views[0]!);
    for (const view of views) {
      await goOn(page, view);
      for (const [width, height, textPercent] of NARROW) {
        await page.setViewportSize({ width, height });
        await page.evaluate((size) => (document.documentElement.style.fontSize = size), `${textPercent}%`);
        const over = () =>
          page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
        // Its letters may come a moment after the page.
        await expect.poll(over, { message: `${view} scrolls sideways at ${width}, ${textPercent} %` }).toBe(0);
      }
    }
  });

for (const theme of ['light', 'dark'] as const)
  test(`verdict and findings are read at 7:1, ${theme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: theme });
    // Clear, Mind, Not tested and Stop, each with what was found.
    for (const id of ['setup-low-span', 'choice-beech', 'setup-drill', 'setup-high-span']) {
      await open(page, `/demo/setups/${id}`);
      await expect(page.locator('[data-finding]').first()).toBeVisible();
      expect(await paleVerdicts(page), id).toEqual([]);
      await page.locator('[data-finding]').first().getByRole('button').first().click();
      expect(await paleVerdicts(page), `${id}, one unfolded`).toEqual([]);
    }
  });
