// Refreshes docs/screenshots/ from the demo data. Run with `node --import tsx` after `npm run build`, with the server
// of `npm run demo` on port 4173.
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { launch } from './chromium.ts';

const base = process.env.ZEVRIN_URL ?? 'http://localhost:4173';
const out = new URL('../docs/screenshots/', import.meta.url).pathname;
mkdirSync(out, { recursive: true });
const browser = await chromium.launch(launch);
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

// Names of pictures to take: all where none is named.
const only = process.argv.slice(2);
async function at(viewport, path, file, act = async () => undefined) {
  if (only.length > 0 && !only.includes(file)) return;
  const context = await browser.newContext({ viewport, colorScheme: 'light', timezoneId: 'UTC' });
  const page = await context.newPage();
  await page.goto(base + path);
  await page.locator('main').first().waitFor();
  await page.waitForTimeout(1200);
  await act(page);
  await page.waitForTimeout(500);
  await page.screenshot({ path: out + file });
  await context.close();
}

/** Answers the first question on a half with what is as it should be, or with what is not. */
async function see(page, who, good = true) {
  // As somebody answers who looks: sooner than that it is asked again.
  await page.waitForTimeout(2200);
  const asked = page.locator(`[data-half="${who}"] [data-item]`).first();
  const known = [
    'Stays in place',
    'Stay closed',
    'Stays above the hips',
    'The right hand',
    'Clear of the device',
    'Metal only',
  ];
  for (const button of await asked.getByRole('button').all())
    if (known.includes(await button.innerText()) === good) return button.click();
  throw new Error('no such answer');
}
const startCheck = async (page) => {
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /Face to face/ }).click();
  await page.locator('[data-half="climber"]').waitFor();
};
const both = async (page) => {
  await see(page, 'climber');
  await see(page, 'partner');
};

await at(DESK, '/demo/locker', 'locker.png');
await at(DESK, '/demo/setups/setup-high-span', 'setup.png');
await at(PHONE, '/demo/setups/setup-high-span', 'setup-phone.png', (page) =>
  page.getByRole('button', { name: /^Findings/ }).click(),
);
await at(PHONE, '/demo/setups/setup-wall-down', 'check-face-to-face.png', async (page) => {
  await startCheck(page);
  await both(page);
  await see(page, 'climber');
});
await at(
  DESK,
  '/demo/setups/setup-wall-lead/catch?firstPieceM=2&climberM=12&lastPieceM=9&besideM=0.5',
  'catch.png',
  async (page) => {
    await page.locator('[data-remedy="none"]').waitFor();
    await page.getByRole('slider', { name: 'Moment of the fall' }).fill('70');
    await page.getByRole('link', { name: 'Zevrin, to the start' }).focus();
    await page.mouse.wheel(0, -5000);
  },
);
const checked = async (page) => {
  await startCheck(page);
  await both(page);
  await see(page, 'partner', false);
  await page.getByLabel('What was put right?').fill('Threaded the buckle anew');
  await page.getByRole('button', { name: /Put right/ }).click();
  await both(page);
  await page.getByRole('button', { name: 'End', exact: true }).click();
  await page.getByRole('button', { name: 'End it' }).click();
};
await at(PHONE, '/demo/locker/device/device-bough/tune?rope=rope-parmelia', 'tune-phone.png');
await at(DESK, '/demo/setups/setup-low-span', 'log.png', async (page) => {
  await checked(page);
  await page.getByRole('link', { name: 'Log', exact: true }).first().click();
});
await at(DESK, '/demo/fit', 'fit.png', (page) =>
  page.getByRole('button', { name: /^Parmelia 45, white in Weir/ }).click(),
);
await at(DESK, '/demo/plan?job=belay-second', 'plan.png');
await at(
  DESK,
  '/demo/connectors?job=self-belay-top-rope&pair=connector-oval/device-cutwater',
  'connectors.png',
  (page) => page.getByRole('img', { name: /^Oval screw, green in/ }).scrollIntoViewIfNeeded(),
);
await at(DESK, '/', 'start.png');
await at(PHONE, '/demo/quick?do=rappel-double', 'first-answer-phone.png', async (page) => {
  await page.getByLabel('Thickness of the rope').fill('9.5');
  await page.getByText('Single rope').click();
  await page.getByText('Tube with brake grooves').click();
  await page.getByLabel('You weigh').fill('74');
  await page.getByText('Right', { exact: true }).click();
  await page.getByRole('button', { name: 'Show the answer' }).click();
  await page.locator('[data-open-fact]').first().waitFor();
});
await at({ width: 1280, height: 900 }, '/demo/setups/setup-wall-alone', 'alone.png', async (page) => {
  await page.getByRole('button', { name: 'Add …' }).click();
  await page.getByRole('menuitem', { name: /second grab above/i }).click();
  await page.getByRole('button', { name: /^Second grab/ }).click();
  const choose = (name, label) => page.getByRole('combobox', { name, exact: true }).selectOption({ label });
  await choose('Second grab', 'Burr clamp');
  await choose('Sling of the second grab', 'Sling 120, grey');
  await choose('Connector of the second grab', 'Pear with keeper, grey');
  await page.getByRole('heading', { name: 'Along the rope' }).scrollIntoViewIfNeeded();
  await page.mouse.move(700, 500);
  await page.mouse.wheel(0, 420);
  await page.waitForTimeout(600);
});
await at({ width: 1280, height: 1100 }, '/demo/setups/choice-beech', 'tree.png', async (page) => {
  await page.getByRole('button', { name: 'Build it as …' }).click();
  await page.getByRole('menuitem', { name: /^Walk up the rope/ }).click();
  await page.getByRole('figure').filter({ hasText: 'Lengths for' }).scrollIntoViewIfNeeded();
});
await at(DESK, '/demo/locker/device/device-bough', 'threading.png', async (page) => {
  await page.locator('summary', { hasText: 'How the rope runs in it' }).click();
  await page.getByText('Step by step').scrollIntoViewIfNeeded();
  await page.mouse.move(700, 500);
  await page.mouse.wheel(0, 260);
});
await at(PHONE, '/demo/hands?seed=7', 'hands.png', async (page) => {
  await page.getByRole('button', { name: 'Begin' }).click();
  for (const key of ['Period', 'KeyX']) await page.keyboard.down(key);
  await page.waitForTimeout(4000);
});
await at(DESK, '/demo/setups/setup-high-span/holds', 'holds.png', (page) =>
  page.locator('[data-row="brakeHand"]').getByRole('button').click(),
);
await at(DESK, '/demo/steps/sequence-low-span', 'steps.png');
await at(PHONE, '/demo/steps', 'run-phone.png', async (page) => {
  await page.getByRole('button', { name: /^Take it: Pick off a person/ }).click();
  await page.getByRole('link', { name: 'Go through it' }).click();
  await page.getByRole('group', { name: 'Motionless since' }).getByRole('button', { name: '2 min' }).click();
  for (let i = 0; i < 4; i += 1) await page.getByRole('button', { name: /^Done/ }).click();
});
await browser.close();
