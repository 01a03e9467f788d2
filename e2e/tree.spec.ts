import { expect, open, saved, seriousAxe, test } from './helpers.ts';

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
  const out = page.getByLabel('Out along a limb', { exact: true });
  await out.fill('9 ft 10 in');
  await out.press('Tab');
  await expect(out).toHaveValue('3');
  await out.fill('200');
  await out.press('Tab');
  await expect(page.getByText(/200.*(20|between)|at most/).first()).toBeVisible();
});
