import { combined, search } from '../core/answers/planning/index.ts';
import { blankSetup, withFields, withItem } from '../core/rigs/rig/index.ts';
import { club, demoTests } from '../core/samples/index.ts';
import { begin, codes, expect, open, saved, seriousAxe, test, verdict } from './helpers.ts';

test('a plan becomes ranked combinations, one of them the set-up, with what is not rigged left open', async ({
  page,
}) => {
  await open(page, '/demo/setups');
  await begin(page, 'Rappel on two strands');
  await page.getByLabel('Who goes down', { exact: true }).selectOption({ label: 'Ilse Marrowby' });
  await page.getByLabel('Harness', { exact: true }).selectOption({ label: 'Survey harness' });
  await page.getByRole('button', { name: /^Site/ }).click();
  await page.getByLabel('Anchor above the ground').fill('18');
  await page.getByRole('link', { name: 'Propose from the locker' }).click();

  const rows = page.locator('[data-combination]');
  await expect(rows.first()).toBeVisible();
  const blank = blankSetup('rappel-double', { id: 'x', name: 'x', now: '2026-01-01T00:00:00.000Z' });
  const asked = withItem(
    withItem(withFields(blank, 'site', { anchorHeightM: 18 }), 'climber', club.ilse),
    'harness',
    club.surveyHarness,
  );
  const items = [...club.clubItems].sort((a, b) => (a.id < b.id ? -1 : 1));
  const core = search(asked, items, demoTests);
  await expect(page.getByRole('status').filter({ hasText: 'without a Stop' })).toContainText(
    `${core.combinations.length} combinations`,
  );
  const first = combined(asked, core.combinations[0]!.picks, items, demoTests);
  const [line] = first.lines;
  const rope = line?.kind === 'doubled' ? line.ropeA.item!.name : '';
  await expect(rows.first()).toContainText(rope);
  expect(await seriousAxe(page)).toEqual([]);
  await page.getByText(/^Left out because of a Stop/).click();
  await expect(page.getByRole('heading', { name: 'Burr clamp' })).toBeVisible();

  await rows
    .first()
    .getByRole('button', { name: /^Take this/ })
    .click();
  await expect(verdict(page)).toContainText('Not tested');
  const open_ = await codes(page, true);
  expect(open_).not.toContain('rig.part-missing');
  expect(open_).toEqual(
    expect.arrayContaining(['geometry.ends-unknown', 'connector.gate-unknown', 'rig.strands-in-device']),
  );
  // One step back takes the whole combination off again.
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('link', { name: 'Propose from the locker' })).toBeVisible();
  await page.getByRole('button', { name: /^Redo/ }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('link', { name: 'Propose from the locker' })).toHaveCount(0);
});

test('what the locker lacks is named by what it must do', async ({ page }) => {
  // Eleven pages: 13 s alone, four times as long beside two other tests on two cores.
  test.setTimeout(120_000);
  for (const id of [
    'connector/connector-pear',
    'connector/connector-pear-2',
    'connector/connector-d',
    'connector/connector-kept',
    'connector/connector-kept-2',
    'connector/connector-oval',
    'connector/connector-oval-kept',
    'cord/cord-short',
    'cord/cord-long',
  ]) {
    await open(page, `/demo/locker/${id}`);
    await page.getByRole('button', { name: 'Take out of the locker' }).click();
  }
  await open(page, '/demo/setups');
  await begin(page, 'Rappel on two strands');
  await page.getByRole('button', { name: /^Rope/ }).click();
  await page.getByLabel('Rope', { exact: true }).selectOption({ label: 'Usnea 60, blue' });
  await page.getByRole('link', { name: 'Propose from the locker' }).click();
  // Every combination has to fail before it is known what is lacking.
  await expect(page.getByText(/A locking connector with a broad end, inside width at least 22\.8\smm\./)).toBeVisible({
    timeout: 30_000,
  });
  await expect(page.getByText(/Nylon, polyester or aramid cord, 5\.4\smm to 7\.9\smm/)).toBeVisible();
  await expect(page.getByText(/Choose people first \(who goes down\)/)).toBeVisible();
});
