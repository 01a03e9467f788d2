import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { notRigged, withFields, type Setup } from '../core/rigs/rig/index.ts';
import { filled, SETUPS } from '../core/samples/index.ts';
import { sawEvent, type CheckRecord } from '../core/records/log/index.ts';
import { openChecked, openWith, setup } from './checked.ts';
import { answer, answerAll, expect, open, saved, seriousAxe, test } from './helpers.ts';

const dialog = (page: Page) => page.getByRole('dialog');
const ask = (page: Page) => page.getByRole('button', { name: 'Check the next go' }).click();

test('the next goes of an evening: said with one tap, a few things each, and changed over they stand in each other’s place', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openChecked(page);
  await ask(page);
  await expect(dialog(page)).toContainText(/Checked at \d\d:\d\d\. What happened since\?/);
  expect(await seriousAxe(page)).toEqual([]);
  await dialog(page)
    .getByRole('button', { name: /^Same again/ })
    .click();
  await expect(page).toHaveURL(/\/check\/.+/);
  const bar = page.getByRole('progressbar', { name: 'Things looked at' });
  await expect(bar).toHaveAttribute('aria-valuemax', '4');
  // Where to look was told in the whole check: here it is a tap away.
  const half = page.locator('[data-half="climber"]');
  await half.getByText('Where to look').click();
  await expect(half.getByText('The knot from both sides.')).toBeVisible();
  expect(await seriousAxe(page)).toEqual([]);
  // One thing fails on the way and is put right.
  await answer(page, 'climber', false);
  await half.getByLabel('What was put right?').fill('Tied anew');
  await half.getByRole('button', { name: /^Put right/ }).click();
  await page.reload();
  await answerAll(page, ['climber', 'partner']);
  await expect(page.getByText(/were not opened since \d\d:\d\d, as you said/)).toBeVisible();
  await page.getByRole('button', { name: 'Close the check' }).click();
  await expect(page.getByText(/^Next go \(same again\)\. Complete, face to face/)).toBeVisible();
  await page.getByText(/^Not looked at this time: \d+$/).click();
  await expect(page.getByText(/they said that nothing else was opened since/)).toBeVisible();
  await saved(page);

  // Changed over: the two are in each other’s place, with what they wear.
  await open(page, `/mine/setups/${setup.id}`);
  await ask(page);
  await dialog(page)
    .getByRole('button', { name: /^Changed over/ })
    .click();
  // Six looks at what was opened and, at every second go, one more in turn; before them what nobody was asked: the
  // lighter of the two belays now.
  await expect(bar).toHaveAttribute('aria-valuemax', '7');
  await expect(page.getByRole('region', { name: 'Before the check' })).toBeVisible();
  await answer(page, 'climber');
  await expect(page.getByRole('region', { name: `Half of ${setup.persons[1]!.item!.name}` })).toHaveAttribute(
    'data-half',
    'climber',
  );
  await expect(page.getByRole('heading', { name: `Knot of ${setup.persons[1]!.item!.name}` }).first()).toBeVisible();
});

test('what failed today is looked at again though nobody opened it; another day, another rope, and it is the whole one', async ({
  page,
}) => {
  const helmet = (record: CheckRecord): CheckRecord => {
    const at = record.endedAt!;
    const item = record.items.find((i) => i.id === 'helmet')!;
    const events = [
      sawEvent(item, 'climber', item.others[0]!, at),
      { type: 'fixed' as const, who: null, itemId: item.id, note: 'Closed', at },
      sawEvent(item, 'climber', item.expected, at),
      sawEvent(item, 'partner', item.expected, at),
    ];
    return { ...record, events: [...record.events, ...events] };
  };
  await openChecked(page, helmet);
  await ask(page);
  await dialog(page)
    .getByRole('button', { name: /^Same again/ })
    .click();
  await expect(page.getByRole('progressbar', { name: 'Things looked at' })).toHaveAttribute('aria-valuemax', '6');
  await expect(page.getByRole('heading', { name: setup.persons[0]!.item!.name }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Leave' }).click();

  await openChecked(page, (record) => ({
    ...record,
    startedAt: '2026-01-05T10:00:00.000Z',
    endedAt: '2026-01-05T10:20:00.000Z',
    events: record.events.map((event) => ({ ...event, at: '2026-01-05T10:10:00.000Z' })),
  }));
  await page.getByRole('button', { name: 'Check before use' }).click();
  await expect(dialog(page)).toContainText('Its last check was on another day. The whole check: 12 things');
  await dialog(page).getByText('We did the whole check today, without Zevrin').click();
  await expect(dialog(page)).toContainText('4 things at a glance, of knot, device, gate and closed system');
});

test('what a check saw stands in the set-up afterwards; when something changes, just that is looked at again', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const open = notRigged(filled(SETUPS['rappel-double']));
  await openWith(page, open, []);
  await expect(page.getByText(/facts about the rig are not said/)).toBeVisible();
  await page.getByRole('button', { name: 'Check before use' }).click();
  await expect(dialog(page)).toContainText(/Before it you are asked what the plan left open: \d+\./);
  await dialog(page)
    .getByRole('button', { name: /^Alone/ })
    .click();
  await answerAll(page);
  await page.getByRole('button', { name: 'Close the check' }).click();
  await expect(page.getByText(/^\d+ facts that nobody had entered were seen here/)).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'To the set-up' }).click();
  await expect(page.getByText('Checked. Go step by step, or log it when you are back.')).toBeVisible();
  await expect(page.getByText(/facts about the rig are not said/)).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('Checked. Go step by step, or log it when you are back.')).toBeVisible();

  // A gate that nobody is sure of any more: the set-up says so, and only what belongs to it has to be seen.
  const [data] = await Promise.all([
    page.waitForEvent('download'),
    page.goto('/mine/files').then(() => page.getByRole('button', { name: 'Export everything' }).click()),
  ]);
  const { workspace } = JSON.parse(readFileSync(await data.path(), 'utf8')) as {
    workspace: { setups: Setup[]; checks: CheckRecord[] };
  };
  const [now] = workspace.setups;
  await openWith(page, withFields(now!, 'deviceConnector', { gate: 'unknown' }), workspace.checks);
  await expect(page.getByText(/Checked, but since then changed: how it is rigged\. \d+ facts?/)).toBeVisible();
  await page.getByRole('button', { name: 'Check before use' }).click();
  const only = dialog(page).getByRole('button', { name: /^Only what changed/ });
  await expect(only).toContainText(/[3-8] things/);
  await only.click();
  await answerAll(page);
  await page.getByRole('button', { name: 'Close the check' }).click();
  await expect(page.getByText(/^Next go \(only what changed\)\. Complete, alone/)).toBeVisible();
  await page.getByRole('link', { name: 'To the set-up' }).click();
  await expect(page.getByRole('button', { name: 'Check the next go' })).toBeVisible();
});
