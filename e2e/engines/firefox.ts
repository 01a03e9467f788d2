import { existsSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { launch } from 'puppeteer-core';
import { HEIGHT, WIDTH, type Driver } from './driver.ts';

const FIREFOX = '/usr/bin/firefox-esr';
export const firefoxThere = () => existsSync(FIREFOX);

/** Firefox ESR without a window, driven by WebDriver BiDi. */
export async function firefox(onError: (text: string) => void): Promise<Driver> {
  const browser = await launch({
    browser: 'firefox',
    executablePath: FIREFOX,
    headless: true,
    defaultViewport: { width: WIDTH, height: HEIGHT },
    // What a test sets up by itself is trusted by itself.
    acceptInsecureCerts: true,
  });
  const page = (await browser.pages())[0] ?? (await browser.newPage());
  await page.setViewport({ width: WIDTH, height: HEIGHT });
  page.on('console', (message) => {
    if (message.type() !== 'error') return;
    // An error that was logged as it is comes as a handle without words.
    const words = message.args().map((arg) => arg.evaluate((said: unknown) => String(said)));
    Promise.all<string | undefined>(words).then(
      // No words: the page that said it has been left, and misses parts that it was still loading.
      (said) => said.every((words) => words === undefined) || onError(said.join(' ')),
      // It was left while its words were asked for.
      () => message.text() === 'undefined' || onError(message.text()),
    );
  });
  page.on('pageerror', (error) => onError(String(error)));
  return {
    name: 'firefox',
    go: async (url) => void (await page.goto(url)),
    reload: async () => void (await page.reload()),
    run: <T>(source: string, args: readonly unknown[]) =>
      page.evaluate(`(${source})(...${JSON.stringify(args)})`) as Promise<T>,
    point: async ([first, ...others]) => {
      await page.mouse.move(first!.x, first!.y);
      await page.mouse.down();
      for (const { x, y } of others) await page.mouse.move(x, y);
      await page.mouse.up();
    },
    type: (text) => page.keyboard.type(text),
    picture: async (file) => writeFile(file, await page.screenshot()),
    print: () => page.pdf({ format: 'A4', printBackground: true }),
    close: () => browser.close(),
  };
}
