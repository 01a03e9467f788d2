import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/*
 * Contrast of the colours themselves, by the formula of WCAG 2.2 (relative luminance, contrast ratio). A verdict and
 * what is found is read by a tired person in sun and rain: 7:1 (success criterion 1.4.6, AAA); other text 4.5:1 (1.4.3,
 * AA).
 */
const css = readFileSync(new URL('styles.css', import.meta.url), 'utf8');

function theme(block: string): ReadonlyMap<string, string> {
  return new Map([...block.matchAll(/--([\w-]+):\s*(#[0-9a-f]{3,6})\b/gi)].map(([, name, hex]) => [name!, hex!]));
}
const blocks = [...css.matchAll(/(:root[^{]*|@media print[^{]*\{\s*:root[^{]*)\{([^}]*)\}/g)].map(
  ([, , body]) => body!,
);
const [light, dark] = [theme(blocks[0]!), theme(blocks[1]!)];

const channels = (hex: string): number[] => {
  const full = hex.length === 4 ? [...hex.slice(1)].map((c) => c + c).join('') : hex.slice(1);
  return [0, 2, 4].map((i) => parseInt(full.slice(i, i + 2), 16) / 255);
};
const luminance = (hex: string): number => {
  const [r, g, b] = channels(hex).map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
};
const contrast = (a: string, b: string): number => {
  const [x, y] = [luminance(a), luminance(b)];
  return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
};

describe('the formula', () => {
  it('gives the ratios that the standard names: 21 for black on white, 1 for the same', () => {
    expect(contrast('#000', '#fff')).toBeCloseTo(21, 6);
    expect(contrast('#777', '#777')).toBe(1);
    // The usual border case of AA: #767676 on white.
    expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
  });
});

describe.each([
  ['light', light],
  ['dark', dark],
])('%s', (_, tokens) => {
  const at = (name: string) => {
    const hex = tokens.get(name);
    if (!hex) throw new Error(`no colour ${name}`);
    return hex;
  };
  it.each(['stop', 'mind', 'untested', 'clear'])('%s is read at 7:1 on every ground that it stands on', (severity) => {
    for (const ground of ['paper', 'surface', `${severity}-wash`])
      expect(contrast(at(severity), at(ground)), ground).toBeGreaterThanOrEqual(7);
  });
  it('what a finding says is read at 7:1, also on the ground of the one that is chosen', () => {
    for (const ground of ['paper', 'surface', 'sunk', 'stop-wash', 'mind-wash', 'untested-wash', 'clear-wash'])
      expect(contrast(at('ink'), at(ground)), ground).toBeGreaterThanOrEqual(7);
  });
  it('the second ink is read at 4.5:1 everywhere', () => {
    for (const ground of ['paper', 'surface', 'sunk'])
      expect(contrast(at('ink-2'), at(ground)), ground).toBeGreaterThanOrEqual(4.5);
  });
});
