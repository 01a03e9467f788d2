import type { Page } from '@playwright/test';
import { assess } from '../core/answers/assess/index.ts';
import { buildCheck } from '../core/answers/check/index.ts';
import { writeWorkspace } from '../core/records/files/index.ts';
import { beginCheck, endCheck, sawEvent, withEvent, type CheckRecord } from '../core/records/log/index.ts';
import type { Setup } from '../core/rigs/rig/index.ts';
import { demoWorkspace, filled, SETUPS } from '../core/samples/index.ts';
import { expect, open } from './helpers.ts';

export const setup = filled(SETUPS['belay-top-rope']);
/** The whole check, gone through by both a minute ago. */
function checked(): CheckRecord {
  const { findings, verdict } = assess(setup);
  const items = buildCheck(setup, findings);
  const at = new Date(Date.now() - 60_000).toISOString();
  const began = beginCheck({ id: 'whole', mode: 'face-to-face', setup, verdict, items, startedAt: at });
  const answers = items.flatMap((item) =>
    (['climber', 'partner'] as const).map((who) => sawEvent(item, who, item.expected, at)),
  );
  return endCheck(answers.reduce(withEvent, began), 'complete', at);
}

/** A workspace in which the set-up was checked whole today. */
export async function openChecked(page: Page, change: (record: CheckRecord) => CheckRecord = (record) => record) {
  await openWith(page, setup, [change(checked())]);
}
export async function openWith(page: Page, setup: Setup, checks: CheckRecord[]) {
  const workspace = { ...demoWorkspace(), setups: [setup], checks };
  await open(page, '/mine/files');
  const buffer = Buffer.from(writeWorkspace(workspace));
  await page
    .getByLabel('Zevrin file to read')
    .setInputFiles({ name: 'today.json', mimeType: 'application/json', buffer });
  await page.getByRole('button', { name: 'Replace everything with it' }).click();
  await expect(page.getByText('The file is read in.', { exact: true })).toBeVisible();
  await open(page, `/mine/setups/${setup.id}`);
}
