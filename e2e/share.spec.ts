import { expect, open, saved, test, verdict } from './helpers';

test('a set-up goes to the partner in a link: opened in another browser, taken as a copy, and checked', async ({
  page,
  browser,
}) => {
  await open(page, '/demo/setups/setup-high-span');
  await expect(verdict(page)).toBeVisible();
  const said = await verdict(page).innerText();
  await page.getByRole('link', { name: 'Share it' }).first().click();
  await expect(page.getByRole('img', { name: /^QR code of High span/ })).toBeVisible();
  const link = await page.getByLabel('The link').inputValue();

  // Nothing behind the # reaches the server.
  const partner = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const asked: string[] = [];
  partner.on('request', (r) => asked.push(r.url() + (r.postData() ?? '')));
  await partner.goto(link);
  await expect(partner.getByRole('heading', { name: 'High span, lichen plots 7 to 9' })).toBeVisible();
  expect(asked.filter((url) => url.split('#')[0]!.includes(link.split('#')[1]!.slice(0, 40)))).toEqual([]);
  await partner.getByRole('button', { name: 'Take it as a copy' }).click();
  await expect(partner.getByLabel('Name of the set-up')).toHaveValue('High span, lichen plots 7 to 9 (shared)');
  expect(await verdict(partner).innerText()).toBe(said);
  await saved(partner);
  await partner.reload();
  await expect(partner.getByLabel('Name of the set-up')).toHaveValue('High span, lichen plots 7 to 9 (shared)');
  await partner.context().close();
});

test('a link that was cut off is refused whole and says so', async ({ page }) => {
  await open(page, '/demo/setups/setup-high-span/share');
  const link = await page.getByLabel('The link').inputValue();
  await page.goto('about:blank');
  await page.goto(link.slice(0, -200));
  await expect(page.getByRole('alert')).toContainText('The link was cut off or changed on its way.');
  await expect(page.getByRole('button', { name: 'Take it as a copy' })).toHaveCount(0);
  await page.goto('about:blank');
  await page.goto(link.split('#')[0]!);
  await expect(page.getByRole('alert')).toContainText('what stands behind the # is missing');
});
