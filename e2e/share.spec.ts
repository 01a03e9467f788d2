import { createRequire } from 'node:module';
import { expect, open, saved, test, verdict } from './helpers';

const reader = createRequire(import.meta.url).resolve('jsqr/dist/jsQR.js');

test('a set-up goes to the partner in a link: opened in another browser, taken as a copy, and checked', async ({
  page,
  browser,
}) => {
  await open(page, '/demo/setups/setup-high-span');
  await expect(verdict(page)).toBeVisible();
  const said = await verdict(page).innerText();
  await page.getByRole('link', { name: 'Share it' }).first().click();
  await expect(page.getByRole('img', { name: /^QR code of High span/ })).toBeVisible();
  const link = await page.getByLabel('The link').inputValue();

  // Nothing behind the # reaches the server.
  const partner = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  const asked: string[] = [];
  partner.on('request', (r) => asked.push(r.url() + (r.postData() ?? '')));
  await partner.goto(link);
  await expect(partner.getByRole('heading', { name: 'High span, lichen plots 7 to 9' })).toBeVisible();
  expect(asked.filter((url) => url.split('#')[0]!.includes(link.split('#')[1]!.slice(0, 40)))).toEqual([]);
  await partner.getByRole('button', { name: 'Take it as a copy' }).click();
  await expect(partner.getByLabel('Name of the set-up')).toHaveValue('High span, lichen plots 7 to 9 (shared)');
  expect(await verdict(partner).innerText()).toBe(said);
  await saved(partner);
  await partner.reload();
  await expect(partner.getByLabel('Name of the set-up')).toHaveValue('High span, lichen plots 7 to 9 (shared)');
  await partner.context().close();
});

test('a link that was cut off is refused whole and says so', async ({ page }) => {
  await open(page, '/demo/setups/setup-high-span/share');
  // It is made after the page stands.
  await expect(page.getByLabel('The link')).not.toHaveValue('');
  const link = await page.getByLabel('The link').inputValue();
  await page.goto('about:blank');
  await page.goto(link.slice(0, -200));
  await expect(page.getByRole('alert')).toContainText('The link was cut off or changed on its way.');
  await expect(page.getByRole('button', { name: 'Take it as a copy' })).toHaveCount(0);
  await page.goto('about:blank');
  await page.goto(link.split('#')[0]!);
  await expect(page.getByRole('alert')).toContainText('what stands behind the # is missing');
});

/** What a hand and a lens do to it. */
const AS_SEEN = {
  straight: ['', ''],
  turned: ['rotate(7deg)', ''],
  askew: ['perspective(3000px) rotateY(8deg) rotateX(5deg) rotate(4deg)', ''],
  'out of focus': ['', 'blur(1px)'],
  'in poor light': ['', 'brightness(.5) contrast(.6)'],
  'from further away': ['scale(.75)', ''],
  'all of it a little': ['perspective(3000px) rotateY(6deg) rotate(5deg)', 'blur(.8px) brightness(.6) contrast(.7)'],
} as const;
/** No hand is still: a camera looks many times a second, and one good look is enough. */
const LOOKS = [
  '',
  'rotate(1deg)',
  'rotate(-1.5deg) scale(1.03)',
  'rotate(2deg) scale(.97)',
  'rotate(-3deg) scale(.94)',
];

test('the code on a phone is read out of what a camera sees: held askew, a little out of focus, in poor light', async ({
  browser,
}) => {
  // Three device pixels for each of the page, as phones have.
  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, deviceScaleFactor: 3 })
  ).newPage();
  await open(phone, '/demo/setups/setup-low-span/share');
  const code = phone.getByRole('img', { name: /^QR code of Low span/ });
  await expect(code).toBeVisible();
  const link = await phone.getByLabel('The link').inputValue();
  // A picture that stands still: what comes late above the code moves it, and a camera would wait for that too.
  let shown = await code.screenshot();
  await expect
    .poll(async () => {
      const before = shown;
      shown = await code.screenshot();
      return shown.equals(before);
    })
    .toBe(true);
  await test.info().attach('the code', { body: shown, contentType: 'image/png' });
  await phone.context().close();

  const camera = await (await browser.newContext({ viewport: { width: 1500, height: 1500 } })).newPage();
  const seen = async (how: string, lens: string) => {
    await camera.setContent(
      `<body style="margin:0;background:#444;display:grid;place-items:center;height:100vh"><img style="width:1200px;transform:${how || 'none'};filter:${lens || 'none'}" src="data:image/png;base64,${shown.toString('base64')}"></body>`,
    );
    await camera.locator('img').evaluate((image: HTMLImageElement) => image.decode());
    const picture = await camera.screenshot();
    await camera.addScriptTag({ path: reader });
    return camera.evaluate(
      async (png) => {
        const image = new Image();
        image.src = png;
        await image.decode();
        const canvas = document.createElement('canvas');
        canvas.width = image.width;
        canvas.height = image.height;
        const context = canvas.getContext('2d')!;
        context.drawImage(image, 0, 0);
        const { data } = context.getImageData(0, 0, image.width, image.height);
        const read = (
          window as unknown as { jsQR: (d: Uint8ClampedArray, w: number, h: number) => { data: string } | null }
        ).jsQR;
        return read(data, image.width, image.height)?.data ?? null;
      },
      `data:image/png;base64,${picture.toString('base64')}`,
    );
  };
  const inOneOf = async (how: string, lens: string) => {
    for (const look of LOOKS) {
      const read = await seen(`${how} ${look}`.trim(), lens);
      if (read !== null) return read;
    }
    return null;
  };
  for (const [name, [how, lens]] of Object.entries(AS_SEEN)) expect(await inOneOf(how, lens), name).toBe(link);
  // The reader is one that can fail.
  expect(await inOneOf('scale(.2)', '')).toBeNull();
  await camera.context().close();
});
