import { chromium } from 'playwright-core';
import { readFileSync, writeFileSync } from 'node:fs';
import { assess } from './core/answers/assess/index.ts';
import { buildCheck, isOpen } from './core/answers/check/index.ts';
import { beginCheck, sawEvent, withEvent, turnedFor, endCheck, putRight } from './core/records/log/index.ts';
import { demoWorkspace, filled, SETUPS } from './core/samples/index.ts';
import { writeWorkspace } from './core/records/files/index.ts';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] });
const setup = filled(SETUPS['belay-top-rope']);
const { findings, verdict } = assess(setup);
const items = buildCheck(setup, findings);
const now = Date.now();
const at = (s) => new Date(now - 3600e3 + s * 1000).toISOString();
const begun = (more = {}) => ({ ...beginCheck({ id: 'c', mode: 'face-to-face', setup, verdict, items, startedAt: at(0) }), ...more });
const upTo = (r, id, halves = ['climber', 'partner']) => { let s = 5; for (const i of r.items) { if (!isOpen(i)) continue; r = withEvent(r, sawEvent(i, 'climber', i.expected, at(s += 4))); } for (const i of r.items) { if (isOpen(i)) continue; if (i.id === id) break; for (const h of halves) r = withEvent(r, sawEvent(i, h, i.expected, at(s += 4))); } return r; };
const page0 = async (w, h, checks, path, setups = [setup]) => {
  const c = await b.newContext({ viewport: { width: w, height: h } }); const p = await c.newPage();
  await p.goto('http://localhost:4399/mine/files'); await p.getByLabel('Zevrin file to read').waitFor();
  await p.getByLabel('Zevrin file to read').setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(writeWorkspace({ ...demoWorkspace(), setups, checks })) });
  await p.getByRole('button', { name: 'Replace everything with it' }).click();
  await p.getByText('The file is read in.', { exact: true }).waitFor();
  await p.goto('http://localhost:4399' + path); await p.waitForTimeout(900); return p; };
const shot = (p, n) => p.screenshot({ path: `/tmp/p/${n}.png` });
const what = process.argv.slice(2);
const all = {
  gate: async () => { const p = await page0(390, 844, [upTo(begun({ mode: 'alone' }), 'device-connector', ['climber'])], '/mine/check/c'); await shot(p, 'gate'); },
  faces: async () => { const p = await page0(390, 844, [upTo(begun(), 'device-connector')], '/mine/check/c'); await shot(p, 'faces'); },
  hurried: async () => { const p = await page0(390, 844, [begun({ items: items.filter(i => !isOpen(i)) })], '/mine/check/c'); const bts = p.locator('[data-half="climber"] [data-item]'); for (let i = 0; i < 3; i++) { await p.waitForTimeout(600); const id = await bts.first().getAttribute('data-item'); const it = items.find(x => x.id === id); await bts.first().getByRole('button', { name: it.expected, exact: true }).click(); } await p.waitForTimeout(600); const id = await bts.first().getAttribute('data-item'); const it = items.find(x => x.id === id); await bts.first().getByRole('button', { name: it.expected, exact: true }).click(); await p.waitForTimeout(500); await shot(p, 'hurried'); },
  turned: async () => { for (let n = 0; n < 60; n++) { const r = upTo(begun({ id: 'c' + n, mode: 'alone' }), 'none', ['climber']); if (turnedFor(r, 'climber')) { const p = await page0(390, 844, [r], '/mine/check/c' + n); await shot(p, 'turned'); return; } } },
  plant: async () => { const p = await page0(390, 844, [begun({ planted: { by: 'partner', itemId: 'device-connector', at: null }, items: items.filter(i => !isOpen(i)) })], '/mine/check/c'); await p.getByRole('button', { name: 'Show it' }).click(); await shot(p, 'plant'); },
  missed: async () => { const r = upTo(begun({ planted: { by: 'partner', itemId: 'device-connector', at: at(1) }, items: items.filter(i => !isOpen(i)) }), 'device-connector'); const p = await page0(390, 844, [r], '/mine/check/c'); await p.waitForTimeout(600); await p.locator('[data-half="climber"] [data-item="device-connector"]').getByRole('button', { name: 'Stays shut' }).click(); await p.waitForTimeout(500); await shot(p, 'missed'); },
  dialog: async () => { const p = await page0(390, 844, [], '/mine/setups/' + setup.id); await p.getByRole('button', { name: 'Check before use' }).click(); await p.getByText('For practice: with a planted fault').click(); await p.waitForTimeout(400); await shot(p, 'dialog'); },
  code: async () => { const r = upTo(begun({ mode: 'two-phones', half: 'climber' }), 'helmet', []); const p = await page0(390, 844, [r], '/mine/check/c'); await shot(p, 'code'); const link = await p.getByLabel('The link', { exact: true }).inputValue(); writeFileSync('/tmp/p/link.txt', link); const q = await page0(390, 844, [], '/mine/files', []); await q.goto('about:blank'); await q.goto(link); await q.waitForTimeout(800); await shot(q, 'join'); await q.getByRole('button', { name: 'Begin this half' }).click(); await q.waitForTimeout(900); await shot(q, 'ownhalf'); },
  wait: async () => { let r = begun({ mode: 'two-phones', half: 'climber', id: 'w1' }); r = upTo(r, 'none', ['climber']); const p = await page0(390, 844, [r], '/mine/check/w1'); await shot(p, 'wait'); },
  log: async () => { const put = (r, id, n, note, s) => { const i = r.items.find(x => x.id === id); return putRight(withEvent(r, sawEvent(i, 'partner', i.others[0], at(s))), i, note, at(s + 30)); }; const done = (r) => { let s = 300; for (const i of r.items) for (const h of ['climber', 'partner']) r = withEvent(r, sawEvent(i, h, i.expected, at(s += 3))); return endCheck(r, 'complete', at(s + 5)); }; const rs = [done(put(begun({ id: 'a' }), 'device-connector', 1, 'Locked', 20)), done(put(begun({ id: 'b' }), 'device-connector', 1, 'Sleeve was stiff, oiled', 20)), done(put(begun({ id: 'e' }), 'tie-in', 1, 'Tied anew', 20)), done(begun({ id: 'd' }))]; const p = await page0(390, 844, rs, '/mine/log'); await shot(p, 'log'); const q = await page0(1280, 800, rs, '/mine/log'); await shot(q, 'logwide'); await q.goto('http://localhost:4399/mine/log/a'); await q.waitForTimeout(600); await shot(q, 'record'); },
};
for (const w of what.length ? what : Object.keys(all)) try { await all[w](); } catch (e) { console.log(w, e.message.slice(0, 300)); }
await b.close();
