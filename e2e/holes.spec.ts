import { fallQuestionSchema, isChoiceKey } from '../core/rigs/catch/index.ts';
import { expect, open, test } from './helpers.ts';
import { RIGS, VIEWS } from './places.ts';
import type { Page } from '@playwright/test';

/** Words of a program where a figure or a name belongs, in what is read, drawn, read aloud or typed into. */
const holesIn = (page: Page) =>
  page.evaluate(() => {
    const hole = /NaN|Infinity|undefined|\[object|\bnull\b/;
    return [...document.querySelectorAll('body *')].flatMap((element) => {
      const texts = [
        ...[...element.childNodes].flatMap((n) => (n.nodeType === Node.TEXT_NODE ? [n.nodeValue ?? ''] : [])),
        // Where the page is told to be, word for word, is no text of it.
        ...[...element.attributes].flatMap((a) => (a.name === 'data-at' ? [] : [`${a.name}="${a.value}"`])),
        ...(element instanceof HTMLInputElement ? [element.value] : []),
      ];
      return texts
        .filter((text) => hole.test(text))
        .map((text) => `<${element.tagName.toLowerCase()}> ${text.slice(0, 200)}`);
    });
  });

test('no view prints a hole where a figure belongs', async ({ page }) => {
  test.setTimeout(180_000);
  for (const view of [...VIEWS, ...RIGS]) {
    await open(page, view);
    expect(await holesIn(page), view).toEqual([]);
  }
});

test('such a hole would be found', async ({ page }) => {
  await open(page, '/demo/settings');
  await page.evaluate(() => document.querySelector('main')!.append(`${Number('x')} m`));
  expect(await holesIn(page)).toEqual(['<main> NaN m']);
});

/** Least and most of every number, every choice, nothing, and what is no number. */
const EXTREMES = Object.entries(fallQuestionSchema.shape).flatMap(([key, schema]) =>
  isChoiceKey(key)
    ? ((schema as { options?: readonly string[] }).options ?? []).map((value) => `${key}=${value}`)
    : ['-1e9', '0', '0.5', '5', '12', '200', '1e400', 'x', ''].map((value) => `${key}=${value}`),
);
const MOMENTS = [
  'climberM=5&ledgeM=4.2',
  'climberM=5&ledgeM=4',
  'climberM=1&ledgeM=0',
  'climberM=0.5&ledgeM=0',
  'climberM=0.5&lastPieceM=0.5&firstPieceM=0.5&secondPieceM=0.5',
  'from=stance&clipped=none&climberM=0.9&ledgeM=-0.1',
  'from=stance&clipped=none&climberM=1&ledgeM=0&slackM=10&tetherM=5',
  'clipped=none&climberM=3&ledgeM=2.5',
  'besideM=20&slackM=10&climberM=3&lastPieceM=3&firstPieceM=0.5',
];

test('nor does the fall, whatever stands in the address', async ({ page }) => {
  test.setTimeout(900_000);
  const at = (setup: string, query: string) => `/demo/setups/${setup}/catch?${query}`;
  for (const address of [
    ...MOMENTS.map((m) => at('setup-wall-lead', m)),
    ...MOMENTS.map((m) => at('setup-wall-down', m)),
    ...EXTREMES.map((e) => at('setup-wall-lead', e)),
  ]) {
    await open(page, address);
    // A moment that cannot be is refused; one that can be is drawn, and judged in the end.
    await expect(
      page.getByTestId('verdict').or(page.getByRole('alert')).or(page.getByRole('main')).first(),
    ).toBeVisible();
    expect(await holesIn(page), address).toEqual([]);
  }
});

test('nor any other view by an address that nobody would write', async ({ page }) => {
  test.setTimeout(120_000);
  for (const address of [
    '/demo/fit?job=nothing',
    '/demo/connectors?job=ascend&pair=none/none&person=nobody&way=x',
    '/demo/connectors?job=&pair=',
    '/demo/plan?job=undefined-job',
    '/demo/hands?seed=1e400',
    '/demo/hands?seed=x',
    '/demo/quick?do=nothing',
    '/demo/locker/device/device-bough/tune?rope=none',
    '/demo/log/use/new?setup=none',
    '/demo/setups/setup-high-span/holds?without=none',
    '/demo/steps/none',
    '/demo/check/none',
    '/demo/log/none',
  ]) {
    await open(page, address);
    expect(await holesIn(page), address).toEqual([]);
  }
});
