import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import { Builder, Capabilities } from 'selenium-webdriver';
import { HEIGHT, until, WIDTH, type Driver } from './driver.ts';

const DRIVER = '/usr/bin/WebKitWebDriver';
const DISPLAY = ':97';
export const webkitThere = () => existsSync(DRIVER) && existsSync('/usr/bin/Xvfb') && existsSync('/usr/bin/import');

const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });

/**
 * WebKitGTK in a window of a display that nobody sees, driven by WebDriver. It waits for no page by itself, and
 * pictures are taken of the display: the driver’s own hang.
 */
export async function webkit(onError: (text: string) => void): Promise<Driver> {
  const port = await freePort();
  const env = {
    ...process.env,
    DISPLAY,
    WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1',
    LIBGL_ALWAYS_SOFTWARE: '1',
    GDK_BACKEND: 'x11',
  };
  const started: ChildProcess[] = [
    spawn('Xvfb', [DISPLAY, '-screen', '0', `${WIDTH}x${HEIGHT + 120}x24`, '-nolisten', 'tcp'], { stdio: 'ignore' }),
    spawn(DRIVER, [`--port=${port}`], { stdio: 'ignore', env }),
  ];
  await until('the driver of WebKit', async () => (await fetch(`http://127.0.0.1:${port}/status`)).ok);
  const driver = await new Builder()
    .usingServer(`http://127.0.0.1:${port}`)
    .withCapabilities(
      new Capabilities({
        browserName: 'MiniBrowser',
        pageLoadStrategy: 'none',
        acceptInsecureCerts: true,
        'webkitgtk:browserOptions': {
          binary: spawnSync('sh', ['-c', 'ls /usr/lib/*/webkit2gtk-4.*/MiniBrowser | tail -1'])
            .stdout.toString()
            .trim(),
          args: ['--automation'],
        },
      }),
    )
    .build();
  await driver
    .manage()
    .window()
    .setRect({ x: 0, y: 0, width: WIDTH, height: HEIGHT + 100 });
  const run = <T>(source: string, args: readonly unknown[]) =>
    driver.executeScript<T>(`return (${source})(...${JSON.stringify(args)})`);
  /** Errors of the page: the driver does not tell them, so the page keeps them until it is asked. */
  const listen = () =>
    run(
      `() => {
        if (window.__errors) return;
        window.__errors = [];
        const keep = (text) => window.__errors.push(text);
        addEventListener('error', (e) => keep(e.message));
        addEventListener('unhandledrejection', (e) => keep(String(e.reason)));
        const error = console.error;
        console.error = (...all) => { keep(all.map(String).join(' ')); error(...all); };
      }`,
      [],
    );
  const hear = async () => {
    const told = await run<string[]>('() => (window.__errors ?? []).splice(0)', []).catch(() => []);
    told.forEach(onError);
  };
  const arrive = async (leave: () => Promise<unknown>) => {
    await hear();
    // The page that is left is told apart from the one that comes.
    await run('() => void (window.__left = true)', []).catch(() => undefined);
    await leave();
    await until('another page', () => run<boolean>('() => window.__left !== true && document.body !== null', []));
    await listen();
  };
  return {
    name: 'webkit',
    go: (url) => arrive(() => driver.get(url)),
    reload: () => arrive(() => run('() => location.reload()', [])),
    run,
    point: async ([first, ...others]) => {
      const actions = driver.actions({ async: true });
      actions.move({ x: first!.x, y: first!.y, duration: 0 }).press();
      for (const { x, y } of others) actions.move({ x, y, duration: 20 });
      await actions.release().perform();
      await hear();
    },
    type: async (text) => {
      await driver.actions({ async: true }).sendKeys(text).perform();
    },
    picture: (file) => {
      spawnSync('import', ['-display', DISPLAY, '-window', 'root', file]);
      return Promise.resolve();
    },
    // Its driver prints nothing.
    print: () => Promise.resolve(null),
    close: async () => {
      await hear();
      await driver.quit().catch(() => undefined);
      started.forEach((child) => child.kill());
    },
  };
}
