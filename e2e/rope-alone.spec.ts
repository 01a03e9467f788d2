import { expect, open, press, saved, seriousAxe, test } from './helpers.ts';

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

  // By its handle, with the keyboard; what is said to a screen reader tells when each key has been taken.
  const handle = page.getByRole('button', { name: 'Move the device along the rope' });
  await handle.focus();
  const said = page.locator('[id^="DndLiveRegion"]').first();
  await page.keyboard.press('Space');
  await expect(said).toContainText('was moved over');
  const before = await said.innerText();
  await page.keyboard.press('ArrowUp');
  await expect(said).not.toHaveText(before);
  await page.keyboard.press('Space');
  await expect(order).toHaveText([/^Device$/, /^Second grab$/]);
  await saved(page);
  await page.reload();
  await expect(order).toHaveText([/^Device$/, /^Second grab$/]);
  await expect(page.getByText(/^Below .* it ends on the ground/)).toBeVisible();
});
