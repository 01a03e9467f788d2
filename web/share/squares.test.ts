import jsQR from 'jsqr';
import { describe, expect, it } from 'vitest';
import { writeSetup } from '@core/records/files';
import { SETUPS } from '@core/samples';
import { codeOf, documentOf } from './link';
import { QUIET, squaresOf, type Squares } from './squares';

const PX = 4;
/** The path as a screen would show it, read by an independent reader of QR codes (jsqr). */
function readBack({ size, path }: Squares): string | undefined {
  const side = (size + 2 * QUIET) * PX;
  const pixels = new Uint8ClampedArray(side * side * 4).fill(255);
  for (const [, x, y] of path.matchAll(/M(\d+) (\d+)h1v1h-1z/g))
    for (let dy = 0; dy < PX; dy += 1)
      for (let dx = 0; dx < PX; dx += 1) {
        const at = (((Number(y) + QUIET) * PX + dy) * side + (Number(x) + QUIET) * PX + dx) * 4;
        pixels.fill(0, at, at + 3);
      }
  return jsQR(pixels, side, side)?.data;
}

describe('the code of a set-up', () => {
  it.each(['rappel-double', 'lower', 'belay-seconds', 'tree-moving'] as const)(
    '%s: another program reads the link out of it, and the set-up out of that',
    async (name) => {
      const link = `https://ropes.example/demo/open#${await codeOf(writeSetup(SETUPS[name]))}`;
      const read = readBack(squaresOf(link)!);
      expect(read).toBe(link);
      const result = await documentOf(read!.split('#')[1]!);
      expect(result.ok && result.value.kind === 'setup' && result.value.setup).toEqual(SETUPS[name]);
    },
  );
  it('says that it cannot hold more than there is room for', () => {
    expect(squaresOf(`https://ropes.example/#${'A'.repeat(5000)}`)).toBeNull();
  });
});
