import { readFileSync } from 'node:fs';
import { answerHalf, expect, looked, open, pick, press, saved, tabTo, test, type, verdict } from './helpers.ts';

/** The whole way from nothing to the log and back out of a file, with the keyboard only. */
test('from an empty workspace, keyboard only', async ({ page }) => {
  test.setTimeout(900_000);
  await open(page, '/');
  await press(page, page.getByRole('link', { name: 'My own gear' }));
  const next = (name: string) => press(page, page.getByRole('main').getByRole('link', { name }));
  const save = async () => {
    await press(page, page.getByRole('button', { name: 'Save' }));
    await expect(page.getByRole('heading', { name: 'Set-ups' })).toBeVisible();
  };
  await expect(page.getByRole('main').getByRole('link')).toHaveCount(2);

  await next('Add a rope');
  await type(page, 'Name', 'Own rope');
  await type(page, 'Diameter on the label', '9.8');
  await type(page, 'Length on the label', '200 ft');
  await pick(page, 'Sheath', 'Used, smooth');
  await pick(page, 'Middle of the rope', 'Marked');
  await pick(page, 'Condition of the rope', 'Sound, looked over by eye and hand');
  await pick(page, 'Stiffness', 'Usual');
  await save();

  await next('Add a device');
  await type(page, 'Name', 'Own tube');
  await pick(page, 'Wear where the rope runs', 'New');
  await press(page, page.getByRole('button', { name: 'Add a range' }));
  await type(page, 'From', '8.7 mm');
  await type(page, 'To', '7/16 in');
  await save();

  const connector = async (name: string) => {
    await type(page, 'Name', name);
    await pick(page, 'Gate', 'Screw sleeve');
    await type(page, 'Inside length', '9');
    await type(page, 'Inside width at the broad end', '44');
    await type(page, 'Strength along', '22');
    await type(page, 'Strength across', '8');
    await type(page, 'Strength, gate open', '7');
    await pick(page, 'Condition of the connector', 'Sound, looked over by eye and hand');
    await press(page, page.getByRole('button', { name: 'Save' }));
  };
  await next('Add a connector');
  await connector('Big pear');

  await next('Add a harness');
  await type(page, 'Name', 'Own harness');
  await pick(page, 'Leg loops', 'Buckle made to take load');
  await pick(page, 'Condition of the harness', 'Sound, looked over by eye and hand');
  await save();

  await next('Add a person');
  await type(page, 'Name', 'Me');
  await type(page, 'Mass with gear', '150 lb');
  await type(page, 'Measured hand force', '60 lbf');
  // Lengths of middle size stand there, marked; confirmed they are one's own.
  for (let left = 4; left > 0; left -= 1) {
    await expect(page.getByRole('button', { name: /^It is so/ })).toHaveCount(left);
    await press(page, page.getByRole('button', { name: /^It is so/ }).first());
  }
  await save();
  await expect(page.getByRole('heading', { name: 'What are you going to do?' })).toBeVisible();

  // What a rappel needs beside: from the locker.
  const places = page.getByRole('navigation', { name: 'Places' });
  await press(page, places.getByRole('link', { name: 'Locker' }));
  const add = (name: string) => press(page, page.getByRole('main').getByRole('link', { name, exact: true }));
  const kept = () => expect(page.getByRole('heading', { name: 'Locker' })).toBeVisible();
  await add('Add a connector');
  await connector('Small one');
  await kept();

  await add('Add a sling');
  await type(page, 'Name', 'Own sling');
  await pick(page, 'Fiber', 'Polyamide');
  await type(page, 'Width', '16');
  await type(page, 'Length, pulled flat', '60 cm');
  await type(page, 'Declared strength', '22');
  await pick(page, 'Condition of the sling', 'Sound, looked over by eye and hand');
  await press(page, page.getByRole('button', { name: 'Save' }));
  await kept();

  await add('Add a cord');
  await type(page, 'Name', 'Own cord');
  await pick(page, 'Fiber that touches the rope', 'Polyamide');
  await type(page, 'Diameter on the label', '6');
  await type(page, 'Cut length', '1.5');
  await type(page, 'Declared strength of one strand', '7.2');
  await pick(page, 'Condition of the cord', 'Sound, looked over by eye and hand');
  await press(page, page.getByRole('button', { name: 'Save' }));
  await kept();

  await press(page, places.getByRole('link', { name: 'Set-ups' }));
  await press(page, page.getByRole('button', { name: 'Rappel on two strands' }));
  await expect(verdict(page)).toContainText('Not tested');
  await type(page, 'Name of the set-up', 'First rappel');
  await pick(page, 'Who goes down', 'Me');
  await pick(page, 'Harness', 'Own harness');
  await pick(page, 'Helmet of the climber', 'Worn and closed');
  const section = (name: RegExp) => press(page, page.getByRole('button', { name }));
  await section(/^Site/);
  await type(page, 'Anchor above the ground', '22');
  await pick(page, 'At the anchor the rope runs through', 'Rings or links of metal');
  await pick(page, 'Of the rings the rope runs through', 'All of them');
  await pick(page, 'The anchor hangs on', 'Two points or more');
  await pick(page, 'The rope runs over', 'No edge');
  await section(/^Site/);
  await section(/^Rope/);
  await pick(page, 'Rope', 'Own rope');
  await pick(page, 'Rope ends', 'Both knotted');
  await section(/^Rope/);
  await section(/^Device/);
  await pick(page, 'Device', 'Own tube');
  await pick(page, 'Strands through the device', 'Both');
  await pick(page, 'The rope runs through the device', 'As its maker shows');
  await pick(page, 'The brake strand runs', 'Over the brake grooves');
  await pick(page, 'Device connector', 'Big pear');
  await pick(page, 'In the device, or at the rope, lies', 'The broad end');
  await pick(page, 'Gate of the device connector', 'Locked');
  await pick(page, 'The gate of the device connector faces', 'Away from rope and rock');
  await section(/^Device/);
  await section(/^Extension/);
  await pick(page, 'Sling of the extension', 'Own sling');
  await section(/^Extension/);
  await section(/^Hitch below the device/);
  await pick(page, 'Cord of the hitch', 'Own cord');
  await pick(page, 'Strands in the hitch', 'Both');
  await pick(page, 'Of the loop are clipped', 'Both ends');
  await pick(page, 'Hitch connector', 'Small one');
  await pick(page, 'Gate of the hitch connector', 'Locked');
  await pick(page, 'The gate of the hitch connector faces', 'Away from rope and rock');
  await expect(verdict(page)).toContainText('No fault found');

  await press(page, page.getByRole('button', { name: 'Check before use' }));
  await press(page, page.getByRole('button', { name: /Alone/ }));
  const half = page.locator('[data-half="climber"]');
  const expected = [
    ['Stays in place', 'Stay closed', 'Stays above the hips'],
    ['The right hand', 'Clear of the device'],
    ['Metal only', 'Two or more'],
    [/^At the anchor, within/],
    ['Both ends'],
    ['Two, in two slots', 'Two', 'Holds'],
    ['The grooves'],
    ['Stays shut', 'Nothing', 'Broad end'],
    ['The belay loop'],
    ['4', 'Two'],
    ['Stays shut', 'Both ends', 'Leg loop, right'],
    ['The device alone', 'Slack, still clipped'],
    ['Grips', 'Lets go'],
    [/^A hand’s width/],
    [/^Three fingers/],
  ];
  for (const [i, answers] of expected.entries()) {
    await expect(half).toContainText(`${i + 1}/${expected.length}`);
    for (const name of answers) {
      await looked(page);
      await press(page, half.locator('[data-item]').first().getByRole('button', { name, exact: true }));
    }
  }
  // In one check of four something comes back the other way round.
  await answerHalf(page, 'climber');
  await looked(page);
  await press(page, page.getByRole('button', { name: 'Close the check' }));
  await press(page, page.getByRole('link', { name: 'Log the use' }));
  await press(page, page.getByRole('button', { name: 'Write it down' }));
  await expect(page.getByText('Once on the rope: Me')).toBeVisible();

  await press(page, places.getByRole('link', { name: 'Files' }));
  const exportOnce = async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      press(page, page.getByRole('button', { name: 'Export everything' })),
    ]);
    return readFileSync(await download.path(), 'utf8');
  };
  const before = await exportOnce();
  await press(page, page.getByRole('button', { name: 'Wipe everything' }));
  await press(page, page.getByRole('button', { name: 'Wipe it' }));
  await expect(page.getByText(/holds 0 items of gear, 0 people/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText(/holds 0 items of gear, 0 people/)).toBeVisible();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    press(page, page.getByRole('button', { name: 'Choose a file' })),
  ]);
  await chooser.setFiles({ name: 'mine.zevrin.json', mimeType: 'application/json', buffer: Buffer.from(before) });
  await press(page, page.getByRole('button', { name: 'Replace everything with it' }));
  await expect(page.getByText(/holds 7 items of gear, 1 person, 1 set-up, 1 check, 1 use/)).toBeVisible();
  await saved(page);
  await page.reload();
  await tabTo(page, page.getByRole('button', { name: 'Export everything' }));
  expect(await exportOnce()).toBe(before);
});
