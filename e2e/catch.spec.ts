import { catchIn, catchRuns, RUNS, scenarioOf, type FallQuestion } from '../core/rigs/catch/index.ts';
import { indexOf } from '../core/rigs/rig/index.ts';
import { SETUPS } from '../core/samples/index.ts';
import { answerAll, expect, open, saved, seriousAxe, test, verdict } from './helpers.ts';

test('plan a lead belay, see the device reach the first piece, take the remedy over, check it off with the partner', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await open(page, '/demo/plan?job=belay-leader&height=18');
  await page.getByLabel('Who leads').selectOption({ label: 'Tomas Reedling' });
  await page.getByLabel('Who belays').selectOption({ label: 'Ilse Marrowby' });
  const rows = page.getByRole('region', { name: 'Combinations' }).locator('[data-combination]');
  await rows
    .first()
    .getByRole('button', { name: /^Take / })
    .click();
  await expect(page).toHaveURL(/\/demo\/setups\/.+/);
  await page.getByRole('link', { name: 'If the leader falls' }).click();
  await expect(verdict(page)).toBeVisible();

  // High above the last piece, the first one low: the belayer is lifted into it.
  const field = async (label: string, text: string) => {
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByLabel(label, { exact: true }).press('Tab');
  };
  await field('Climber’s tie-in', '15');
  await field('Last piece clipped', '11');
  await field('First piece clipped', '1.8');
  await field('Belayer from the wall', '0.4');
  await expect(verdict(page)).toContainText('Stop');
  const reaches = page.locator('[data-finding="catch.first-piece"]');
  await expect(reaches).toHaveAttribute('data-severity', 'stop');
  await expect(reaches).toContainText(
    /(In every calculated fall|In \d+ of 100 calculated falls) your device is pulled into the first piece/,
  );
  // What was asked stands in the address.
  await page.reload();
  await expect(page.getByLabel('Climber’s tie-in', { exact: true })).toHaveValue('15');
  await expect(reaches).toHaveAttribute('data-severity', 'stop');

  await page.getByRole('button', { name: /^Do it so: Tie the belayer low/ }).click();
  await expect(page.locator('[data-finding="catch.first-piece"]')).toHaveAttribute('data-severity', 'clear');
  await saved(page);
  await page.getByRole('link', { name: /^Belay a leader: / }).click();
  await expect(page.getByLabel('Stands')).toHaveValue('anchored');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByLabel('Stands')).toHaveValue('free');
  await page.getByRole('button', { name: /^Redo/ }).click();
  await page.getByRole('button', { name: 'Check before use' }).click();
  await page.getByRole('button', { name: /Face to face/ }).click();
  await answerAll(page, ['climber', 'partner']);
  await page.getByRole('button', { name: 'Close the check' }).click();
  await expect(page.getByText(/Complete, face to face/)).toBeVisible();
});

test('the page says what the core computes, and a handle moves what it is about', async ({ page }) => {
  await open(page, '/demo/setups/setup-wall-lead/catch?climberM=10&lastPieceM=8&firstPieceM=3&slackM=0.5&besideM=1');
  const question: FallQuestion = {
    from: 'ground',
    clipped: 'pieces',
    tetherM: 0.5,
    climberM: 10,
    lastPieceM: 8,
    firstPieceM: 3,
    secondPieceM: 5,
    slackM: 0.5,
    besideM: 1,
    ledgeM: 0,
    step: 'stands',
  };
  const index = indexOf(SETUPS['belay-leader']);
  const found = scenarioOf(index, catchIn(index)!, question);
  if (!found.ok) throw new Error('the sample is whole');
  const { spread } = catchRuns(found.scenario, RUNS, 1);
  const asIs = page.locator('[data-remedy="none"]');
  await expect(asIs).toContainText(`${(spread.climberN.best / 1000).toFixed(1)}`);
  await expect(asIs).toContainText(`${Number(spread.liftM.best.toFixed(2))}`);

  const climber = page.getByRole('slider', { name: 'Climber', exact: true });
  await climber.focus();
  await page.keyboard.press('PageUp');
  await expect(climber).toHaveAttribute('aria-valuenow', '11');
  await expect(page.getByLabel('Climber’s tie-in', { exact: true })).toHaveValue('11');
  const moment = page.getByRole('slider', { name: 'Moment of the fall' });
  await moment.fill('60');
  await expect(moment).toHaveAttribute('aria-valuetext', /kN on the climber/);
  await expect(asIs).toBeVisible();
  expect(await seriousAxe(page)).toEqual([]);
});

test('another rope is tried without changing the set-up, and taken into it', async ({ page }) => {
  await open(page, '/demo/setups/setup-wall-lead/catch');
  await expect(verdict(page)).toBeVisible();
  const other = page.getByLabel('With another rope');
  const name = await other.locator('option').nth(2).innerText();
  await other.selectOption({ label: name });
  await expect(page.getByText(`Tried with ${name}; the set-up is as it was.`)).toBeVisible();
  await page.getByRole('button', { name: 'Take it into the set-up' }).click();
  await saved(page);
  await page.getByRole('link', { name: 'Training wall, route 5 led' }).click();
  await page.getByRole('button', { name: /^Rope/ }).click();
  await expect(page.getByLabel('Rope', { exact: true }).locator('option:checked')).toHaveText(name);
});

test('on a top rope the fall is the stretch; a set-up without a catch says so', async ({ page }) => {
  await open(page, '/demo/setups/choice-wall');
  await page.getByRole('link', { name: 'If the climber falls' }).click();
  await expect(page.getByRole('slider', { name: 'Anchor' })).toBeVisible();
  await expect(page.getByLabel('First piece clipped')).toHaveCount(0);
  await expect(verdict(page)).toBeVisible();
  await open(page, '/demo/setups/setup-low-span/catch');
  await expect(page.getByText('In this set-up nobody on the ground holds somebody above.')).toBeVisible();
});

test('two seconds: crossed strands hold nobody until one connector gathers them; slack near the device is a jerk', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-ledge-two');
  const severity = (code: string) => page.locator(`[data-finding="${code}"]`);
  await expect(severity('guide.crossed')).toHaveCount(0);
  await page.getByRole('button', { name: /^Device at the anchor/ }).click();
  await page.getByLabel('The two ropes leave the device').selectOption('crossed');
  await expect(severity('guide.crossed')).toHaveAttribute('data-severity', 'stop');
  await expect(verdict(page)).toContainText('Stop');
  const gathered = page.getByLabel('A connector gathers both ropes, below the device');
  await gathered.fill('4');
  await gathered.press('Tab');
  await expect(severity('guide.gathered')).toHaveAttribute('data-severity', 'mind');
  await expect(severity('guide.crossed')).toHaveCount(0);
  // The same fact in the drawing: moved by keyboard along the ropes, and undone by moving it too near.
  const connector = page.getByRole('slider', { name: 'Connector that gathers both ropes' });
  await expect(connector).toHaveAttribute('aria-valuetext', /^4.m below the device$/);
  await connector.focus();
  for (let i = 0; i < 4; i += 1) await connector.press('ArrowUp');
  await expect(gathered).toHaveValue('2');
  await expect(severity('guide.crossed')).toHaveAttribute('data-severity', 'stop');
  await connector.press('PageDown');
  await expect(gathered).toHaveValue('4.5');
  await expect(severity('guide.crossed')).toHaveCount(0);
  // The one who arrives is drawn with how they are clipped; each is moved by themselves.
  await expect(page.getByTestId('arriving')).toHaveCount(0);
  await page.getByRole('slider', { name: 'Other person along the rope' }).press('Home');
  await expect(page.getByTestId('arriving')).toContainText('tied in the air');
  await page.getByLabel('The two ropes leave the device').selectOption('parallel');
  const slack = page.getByLabel('Slack above the second, at most');
  await slack.fill('1.5');
  await slack.press('Tab');
  await expect(severity('guide.slack')).toHaveAttribute('data-severity', 'stop');
  await slack.fill('0.2');
  await slack.press('Tab');
  await expect(severity('guide.slack')).not.toHaveAttribute('data-severity', 'stop');
  await page.getByRole('button', { name: /^Calls/ }).click();
  await page.getByLabel('We tell each other by').selectOption('none');
  await expect(severity('crew.calls')).toHaveAttribute('data-severity', 'mind');
});

test('how it is held: the grips of this device beside the right one, mirrored for the left hand', async ({ page }) => {
  await open(page, '/demo/setups/setup-wall-lead');
  const grips = page.getByRole('group', { name: 'Grips' });
  await expect(grips.getByRole('button')).toHaveCount(4);
  await grips.getByRole('button', { name: /Above the device line/ }).click();
  await expect(page.getByText('Wrong:')).toBeVisible();
  await expect(page.getByText('The brake strand makes no bend at the lip.')).toBeVisible();
  // A card is for the crag: it shows the rig, not the lesson.
  await open(page, '/demo/setups/setup-wall-lead/card');
  await expect(page.getByRole('group', { name: 'Grips' })).toHaveCount(0);
});

test('from a stance with nothing clipped a fall goes past the belay; a piece before one leaves it, or the belay on the anchor, changes that', async ({
  page,
}) => {
  await open(page, '/demo/setups/setup-wall-lead/catch?climberM=5&ledgeM=0');
  await expect(verdict(page)).toBeVisible();
  await page.getByLabel('Where the belayer is').selectOption({ label: 'At a stance, tied to its anchor' });
  await page.getByLabel('The leader has clipped').selectOption({ label: 'Nothing yet' });
  await page.getByLabel('Ground or ledge below the climber').fill('-40');
  await page.getByLabel('Ground or ledge below the climber').press('Tab');
  const past = page.locator('[data-finding="catch.past-belay"]');
  await expect(past).toHaveAttribute('data-severity', 'stop');
  await expect(page.getByLabel('Last piece clipped')).toHaveCount(0);
  await expect(page.getByRole('slider', { name: 'Last piece' })).toHaveCount(0);
  await expect(page.locator('[data-remedy="direct"]')).toBeVisible();
  await page.reload();
  await expect(past).toHaveAttribute('data-severity', 'stop');

  await page.getByRole('button', { name: /^Do it so: Clip a good piece/ }).click();
  await expect(page.getByLabel('Last piece clipped')).toHaveValue('2');
  await expect(page.locator('[data-finding="catch.first-piece"]')).toBeAttached();
  await expect(past).toHaveCount(0);
  // The device on the anchor is drawn nowhere.
  await expect(page.locator('[data-remedy="direct"] td').first()).toHaveText('0');
  expect(await seriousAxe(page)).toEqual([]);
});
