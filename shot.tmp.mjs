import { chromium } from 'playwright-core';
const shots = JSON.parse(process.argv[2]);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] });
for (const [name, path, w, h, full, script] of shots) {
  const p = await b.newPage({ viewport: { width: w, height: h }, hasTouch: w < 500 });
  await p.goto('http://localhost:4399' + path);
  await p.waitForLoadState('networkidle').catch(() => {});
  await p.waitForTimeout(900);
  if (script) await p.evaluate(script);
  if (script) await p.waitForTimeout(900);
  await p.screenshot({ path: `/tmp/w/${name}.png`, fullPage: !!full });
  await p.close();
}
await b.close();
