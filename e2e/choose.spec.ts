import { choose, NOT_RIGGED } from '../core/choose/index.ts';
import { blankSetup } from '../core/rig/index.ts';
import { club } from '../core/samples/index.ts';
import { codes, expect, open, saved, seriousAxe, test, verdict } from './helpers.ts';

test('a plan becomes ranked combinations, one of them the set-up, with what is not rigged left open', async ({
  page,
}) => {
  await open(page, '/demo/setups');
  await page.getByRole('button', { name: 'Plan a rappel' }).click();
  await page.getByLabel('Who goes down', { exact: true }).selectOption({ label: 'Ilse Marrowby' });
  await page.getByLabel('Harness', { exact: true }).selectOption({ label: 'Survey harness' });
  await page.getByRole('button', { name: /^Site/ }).click();
  await page.getByLabel('Anchor above the ground').fill('18');
  await page.getByRole('link', { name: 'Propose from the locker' }).click();

  const rows = page.locator('[data-combination]');
  await expect(rows.first()).toBeVisible();
  const blank = blankSetup('x', 'x', '2026-01-01T00:00:00.000Z');
  const core = choose(
    {
      ...blank,
      situation: { ...blank.situation, anchorHeightM: 18 },
      people: { climber: club.ilse, partner: null },
      gear: { ...blank.gear, harness: club.surveyHarness },
    },
    [...club.clubItems].sort((a, b) => (a.id < b.id ? -1 : 1)),
  );
  await expect(rows).toHaveCount(core.combinations.length);
  await expect(rows.first()).toContainText(
    `${core.combinations[0]!.setup.gear.ropeA!.name} in ${core.combinations[0]!.setup.gear.device!.name}`,
  );
  expect(await seriousAxe(page)).toEqual([]);
  await page.getByText(/^Left out, with the reason/).click();
  await expect(page.getByRole('listitem').filter({ hasText: /^Burr clamp/ })).toContainText('not for this job');

  await rows.first().getByRole('button', { name: 'Take this' }).click();
  await expect(verdict(page)).toContainText('Not tested');
  const open_ = await codes(page, true);
  expect(open_).not.toContain('rig.part-missing');
  expect(open_).toEqual(
    expect.arrayContaining(['geometry.ends-unknown', 'connector.gate-unknown', 'rig.strands-in-device']),
  );
  expect(Object.values(NOT_RIGGED).every((v) => v === 'unknown')).toBe(true);
  // One step back takes the whole combination off again.
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('link', { name: 'Propose from the locker' })).toBeVisible();
  await page.getByRole('button', { name: /^Redo/ }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('link', { name: 'Propose from the locker' })).toHaveCount(0);
});

test('what the locker lacks is named by what it must do', async ({ page }) => {
  for (const id of [
    'connector/connector-pear',
    'connector/connector-pear-2',
    'connector/connector-d',
    'connector/connector-kept',
    'connector/connector-oval',
    'cord/cord-short',
    'cord/cord-long',
  ]) {
    await open(page, `/demo/locker/${id}`);
    await page.getByRole('button', { name: 'Take out of the locker' }).click();
  }
  await open(page, '/demo/setups');
  await page.getByRole('button', { name: 'Plan a rappel' }).click();
  await page.getByRole('button', { name: /^Rope/ }).click();
  await page.getByLabel('Rope', { exact: true }).selectOption({ label: 'Usnea 60, blue' });
  await page.getByRole('link', { name: 'Propose from the locker' }).click();
  await expect(page.getByText(/A locking connector with a broad end, inside width at least 22\.8\smm\./)).toBeVisible();
  await expect(page.getByText(/A cord of 5\.4\smm to 7\.9\smm/)).toBeVisible();
  await expect(page.getByText(/Choose who goes down first/)).toBeVisible();
});
