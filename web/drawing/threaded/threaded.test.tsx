// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { threadingsOf, threadingSteps, type ThreadingMode } from '@core/things/fit';
import { FAMILIES, type Device } from '@core/things/gear';
import { PreferencesProvider } from '../../app/preferences';
import { ropeWay } from './paths';
import { shapeOf, ThreadedDrawing } from './ThreadedDrawing';
import { Threadings } from './Threadings';
import { ThreadingSteps } from './ThreadingSteps';

afterEach(cleanup);
vi.stubGlobal('matchMedia', () => ({ matches: false }));
const all = (Object.keys(FAMILIES) as Device['family'][]).flatMap((family) =>
  (['brakes', 'guides'] as ThreadingMode[]).flatMap((mode) =>
    threadingsOf(family, mode).map((threading) => ({ family, mode, threading })),
  ),
);

describe('the rope in a device', () => {
  it('every way that is told is drawn, the wrong ones otherwise than the right one', () => {
    expect(all.length).toBeGreaterThan(25);
    for (const { family, mode, threading } of all) {
      const shape = shapeOf(family, mode);
      const way = ropeWay(shape, threading.id);
      expect(way, `${family} ${mode} ${threading.id}`).toBeDefined();
      const right = ropeWay(shape, 'right')!;
      if (threading.id !== 'right' && threading.id !== 'smooth-side') expect(way, threading.id).not.toEqual(right);
      // One rope: it begins at the load and ends at the hand.
      const ends = [...way!.front, ...way!.behind].join(' ');
      expect(ends).toContain(`${way!.brake[0]} ${way!.brake[1]}`);
    }
  });
  it('is mirrored for the left hand, and says in words what it shows', () => {
    const [{ family, mode, threading }] = all as [(typeof all)[number]];
    const { container, rerender } = render(
      <ThreadedDrawing family={family} mode={mode} threading={threading} hand="right" />,
    );
    expect(screen.getByRole('img', { name: new RegExp(threading.happens.slice(0, 20)) })).toBeTruthy();
    expect(container.innerHTML).not.toContain('scale(-1 1)');
    rerender(<ThreadedDrawing family={family} mode={mode} threading={threading} hand="left" />);
    expect(container.innerHTML).toContain('scale(-1 1)');
  });
  it('a wrong way that is chosen says what it does and which test shows it', () => {
    render(
      <PreferencesProvider>
        <Threadings family="assisted-cam" />
      </PreferencesProvider>,
    );
    const backwards = screen.getByRole('button', { name: /The other way round/ });
    expect(backwards.getAttribute('aria-pressed')).toBe('false');
    fireEvent.click(backwards);
    expect(backwards.getAttribute('aria-pressed')).toBe('true');
    expect(screen.getByText(/the cam is not turned and the rope runs/, { selector: 'p' })).toBeTruthy();
    expect(screen.getByText(/It does not lock/, { selector: 'p' })).toBeTruthy();
  });
  it('what has several parts is shown step by step, each with a drawing of its own, mirrored for the left hand', () => {
    const stepped = (Object.keys(FAMILIES) as Device['family'][]).filter((f) => threadingSteps(f).length > 0);
    expect(stepped).toEqual(['multi-ascender', 'hitch-reliever']);
    for (const family of stepped) {
      const { container, unmount } = render(
        <PreferencesProvider>
          <ThreadingSteps family={family} hand="left" />
        </PreferencesProvider>,
      );
      const items = screen.getAllByRole('listitem');
      expect(items).toHaveLength(threadingSteps(family).length);
      for (const [i, { see }] of threadingSteps(family).entries()) expect(items[i]!.textContent).toContain(see);
      const drawings = [...container.querySelectorAll('svg')].map((svg) => svg.innerHTML);
      expect(new Set(drawings).size).toBe(drawings.length);
      for (const svg of drawings) expect(svg).toContain('scale(-1 1)');
      unmount();
    }
  });
  it('where one movement puts it on the rope there are no steps', () => {
    render(
      <PreferencesProvider>
        <Threadings family="tube-grooved" />
      </PreferencesProvider>,
    );
    expect(screen.queryByText('Step by step')).toBeNull();
  });
});
