// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import fc from 'fast-check';
import { afterEach, expect, it, vi } from 'vitest';
import { CrispQrCode, crispSide } from './CrispQrCode';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it('every square takes the same whole number of device pixels, as many as there is room for', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 200, max: 1200 }),
      // Versions 1 to 40 of a code have 21 to 177 squares on a side, in steps of four (ISO/IEC 18004), and a quiet edge
      // of four on each.
      fc.integer({ min: 1, max: 40 }).map((version) => 17 + 4 * version + 8),
      fc.constantFrom(1, 1.5, 2, 2.625, 3),
      (roomPx, squares, ratio) => {
        const side = crispSide(roomPx, squares, ratio);
        if (side === null) return void expect((roomPx * ratio) / squares).toBeLessThan(2);
        const each = (side * ratio) / squares;
        expect(Math.abs(each - Math.round(each))).toBeLessThan(1e-9);
        expect(side).toBeLessThanOrEqual(roomPx + 1e-9);
        expect((each + 1) * squares).toBeGreaterThan(roomPx * ratio);
      },
    ),
  );
});

it('is drawn at that side, and fills the room where it is too small for that', () => {
  let fit = () => undefined as void;
  vi.stubGlobal(
    'ResizeObserver',
    class {
      constructor(tell: () => void) {
        fit = tell;
      }
      observe = () => undefined;
      disconnect = () => undefined;
    },
  );
  vi.stubGlobal('devicePixelRatio', 3);
  const { container, rerender } = render(<CrispQrCode name="Low span" squares={{ size: 161, path: 'M0 0h1v1h-1z' }} />);
  const room = container.firstElementChild!;
  const width = vi.spyOn(room, 'clientWidth', 'get').mockReturnValue(380);
  fit();
  rerender(<CrispQrCode name="Low span" squares={{ size: 161, path: 'M0 0h1v1h-1z' }} />);
  const box = screen.getByRole('img', { name: 'QR code of Low span' }).parentElement!;
  // 1140 device pixels for 169 squares: six for each.
  expect(box.style.width).toBe('338px');
  width.mockReturnValue(100);
  fit();
  rerender(<CrispQrCode name="Low span" squares={{ size: 161, path: 'M0 0h1v1h-1z' }} />);
  expect(box.style.width).toBe('100%');
});
