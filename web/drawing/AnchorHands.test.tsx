// @vitest-environment jsdom
import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { assess } from '@core/answers/assess';
import { deviceOf, type Setup } from '@core/rigs/rig';
import { changed, filled, SETUPS } from '@core/samples';
import { PreferencesProvider } from '../app/preferences';
import { AnchorHands } from './AnchorHands';

vi.stubGlobal('matchMedia', () => ({ matches: false }));

const lower = filled(SETUPS.lower);
const endOf = (setup: Setup) => deviceOf(setup.attachments.find((a) => a.id === 'main')!)!;
const show = (setup: Setup, onChange?: (next: Setup, field: string) => void) =>
  render(
    <PreferencesProvider>
      <AnchorHands
        setup={setup}
        assessment={assess(setup)}
        chosen={null}
        onChoose={() => undefined}
        {...(onChange ? { onChange } : {})}
      />
    </PreferencesProvider>,
  );
const press = (setup: Setup, key: string): Setup => {
  const onChange = vi.fn<(next: Setup, field: string) => void>();
  const { unmount } = show(setup, onChange);
  fireEvent.keyDown(screen.getByRole('slider', { name: /Brake strand/ }), { key });
  unmount();
  return onChange.mock.calls[0]![0];
};

describe('the brake strand at an anchor', () => {
  it('is bent by fives of degrees, and says how it is led along with it', () => {
    const led = changed(lower, { device: { brakeLed: 'redirected', brakeAngleDeg: null } });
    expect(endOf(press(led, 'ArrowDown'))).toMatchObject({ brakeAngleDeg: 175, brakeLed: 'redirected' });
    const square = changed(lower, { device: { brakeLed: 'redirected', brakeAngleDeg: 95 } });
    expect(endOf(press(square, 'ArrowDown'))).toMatchObject({ brakeAngleDeg: 90, brakeLed: 'below' });
    expect(endOf(press(square, 'Home'))).toMatchObject({ brakeAngleDeg: 0, brakeLed: 'below' });
    expect(endOf(press(square, 'End'))).toMatchObject({ brakeAngleDeg: 180, brakeLed: 'redirected' });
  });
  it('what is moved there never contradicts itself, at any angle', () => {
    let setup = changed(lower, { device: { brakeLed: 'below', brakeAngleDeg: 0 } });
    for (let i = 0; i < 7; i += 1) {
      setup = press(setup, 'PageUp');
      expect(assess(setup).findings.map((f) => f.code)).not.toContain('friction.brake-led-unknown');
    }
    expect(endOf(setup).brakeAngleDeg).toBe(175);
  });
  it('cannot be moved where the drawing only shows', () => {
    const { unmount } = show(lower);
    expect(screen.queryByRole('slider')).toBeNull();
    unmount();
  });
});
