import type { HandHeight, Hands } from '@core/teaching/trainer';

export type Side = 'left' | 'right';

/** Keys of each side, from high to low: held down, the hand is closed there. */
export const KEYS: Readonly<Record<Side, readonly (readonly [code: string, cap: string, height: number])[]>> = {
  left: [
    ['KeyW', 'W', 1],
    ['KeyS', 'S', 0],
    ['KeyX', 'X', -1],
  ],
  right: [
    ['KeyO', 'O', 1],
    ['KeyL', 'L', 0],
    ['Period', '.', -1],
  ],
};
const CAM_KEY = 'Space';

/** A hand does not open while the finger goes from one key to the next. */
const CHANGE_OVER_S = 0.12;
/** Pad heights that a hand moves through in a second. */
const FASTEST_PER_S = 5;

interface SideState {
  readonly at: HandHeight;
  /** Where it is going; null: nothing holds it there. */
  readonly to: HandHeight;
  readonly openForS: number;
}

/** What both thumbs, or the keys, do: a hand closes at once where it is put, and moves no faster than a hand does. */
export class HandInput {
  private readonly sides: Record<Side, SideState> = {
    left: { at: null, to: null, openForS: 0 },
    right: { at: null, to: null, openForS: 0 },
  };
  private readonly held = new Map<string, readonly [Side, number]>();
  private thumb = false;

  /** A thumb on the pad of a side; null lifts it. */
  pad(side: Side, height: HandHeight): void {
    this.sides[side] = { ...this.sides[side], to: height, openForS: height === null ? CHANGE_OVER_S : 0 };
  }

  cam(on: boolean): void {
    this.thumb = on;
  }

  /** True when the key belongs to a hand. */
  key(code: string, down: boolean): boolean {
    if (code === CAM_KEY) {
      this.thumb = down;
      return true;
    }
    const found = (Object.keys(KEYS) as Side[]).flatMap((side) =>
      KEYS[side].flatMap(([c, , height]) => (c === code ? [[side, height] as const] : [])),
    )[0];
    if (!found) return false;
    const [side] = found;
    this.held.delete(code);
    if (down) this.held.set(code, found);
    // The key that was pressed last counts.
    const last = [...this.held.values()].findLast(([s]) => s === side);
    this.sides[side] = { ...this.sides[side], to: last ? last[1] : null, openForS: 0 };
    return true;
  }

  /** Everything let go, as when the page loses the keyboard. */
  release(): void {
    this.held.clear();
    this.thumb = false;
    for (const side of ['left', 'right'] as const) this.sides[side] = { at: null, to: null, openForS: 0 };
  }

  /** Where the hands are this much later. */
  move(forS: number, brakeSide: Side): Hands {
    for (const side of ['left', 'right'] as const) this.sides[side] = moved(this.sides[side], forS);
    const guideSide = brakeSide === 'left' ? 'right' : 'left';
    return { brake: this.sides[brakeSide].at, guide: this.sides[guideSide].at, thumbOnCam: this.thumb };
  }
}

function moved({ at, to, openForS }: SideState, forS: number): SideState {
  if (to === null) {
    const open = openForS + forS;
    return { at: open > CHANGE_OVER_S ? null : at, to, openForS: open };
  }
  if (at === null) return { at: to, to, openForS: 0 };
  const most = FASTEST_PER_S * forS;
  return { at: at + Math.min(most, Math.max(-most, to - at)), to, openForS: 0 };
}
