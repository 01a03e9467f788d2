import type { Assessment } from '@core/answers/assess';
import {
  printInterval,
  printNumber,
  printQuantity,
  ratioIndependent,
  unitOf,
  type UnitSystem,
} from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';

/** What a bar shows: where something lies between two ends, 0 to 1, and what that means in words. */
interface Bar {
  readonly label: string;
  readonly words: string;
  /** The stretch that is filled, from and to; null: nothing is known to draw. */
  readonly filled: readonly [number, number] | null;
  /** What there is: below it the fill is enough. */
  readonly ends: readonly [string, string];
}

const clamp = (x: number) => Math.min(1, Math.max(0, x));

/** Where the rope lies in the range that the maker declares. */
export function rangeBar({ findings }: Pick<Assessment, 'findings'>, system: UnitSystem): Bar {
  const label = 'Rope in the declared range';
  const found = findings.find((f) => ['diameter', 'min', 'max'].every((key) => f.numbers.some((n) => n.key === key)));
  const value = (key: string) => found?.numbers.find((n) => n.key === key)?.value;
  const [diameter, min, max] = [value('diameter'), value('min')?.best, value('max')?.best];
  if (!diameter || min === undefined || max === undefined)
    return { label, words: 'no range is declared, or not for this', filled: null, ends: ['', ''] };
  const width = max - min || 1;
  const at = (mm: number) => clamp((mm - min) / width);
  const middle = (diameter.best - min) / width;
  const words =
    diameter.best < min
      ? 'thinner than declared'
      : diameter.best > max
        ? 'thicker than declared'
        : middle < 0.25
          ? 'near the thin end: brakes less'
          : middle > 0.75
            ? 'near the thick end: feeds hard'
            : 'well inside';
  const unit = unitOf('diameterMm', system);
  return {
    label,
    words,
    filled: [at(diameter.low), Math.max(at(diameter.high), at(diameter.low) + 0.03)],
    ends: [`${printNumber(min, 'diameterMm', system)}`, `${printNumber(max, 'diameterMm', system)} ${unit}`],
  };
}

/** How much of what the hand can hold is needed at the bottom, where it works hardest. */
export function handBar({ figures }: Pick<Assessment, 'figures'>, system: UnitSystem): Bar {
  const label = 'Your hand against what is needed';
  const brake = Object.values(figures.brake)[0];
  if (!brake) return { label, words: 'not computed for this device', filled: null, ends: ['', ''] };
  const { bottomN, handN } = brake;
  const share = bottomN.best / handN.best;
  const spare = ratioIndependent(handN, bottomN);
  const words =
    share <= 0 || bottomN.best <= 1
      ? 'the rope’s own weight brakes'
      : share > 1
        ? 'your hand is too weak'
        : `your hand holds ${printInterval(spare, 'ratio', system)} what is needed`;
  return {
    label,
    words,
    filled: [0, clamp(share)],
    ends: ['0', printQuantity(handN.best, 'forceN', system)],
  };
}

/** Two bars that read at a glance: is there room to the limit, and is the hand strong enough. */
export function FirstFacts({ assessment, narrow = false }: { assessment: Assessment; narrow?: boolean }) {
  const { system } = usePreferences();
  const bars = [rangeBar(assessment, system), handBar(assessment, system)];
  const unknown = bars.filter((b) => b.filled === null);
  return (
    <div className={`grid gap-x-6 gap-y-2 ${narrow ? '' : 'sm:grid-cols-2'}`}>
      {bars.map(
        ({ label, words, filled, ends }) =>
          filled && (
            <div key={label}>
              <p className="text-sm">
                <span className="font-semibold">{label}</span>: {words}
              </p>
              <div aria-hidden className="flex items-center gap-2 text-sm text-ink-2">
                <span className="num">{ends[0]}</span>
                <span className="relative h-3 flex-1 rounded-full border border-line-2 bg-surface">
                  <span
                    className="absolute inset-y-0 rounded-full bg-act"
                    style={{ left: `${filled[0] * 100}%`, right: `${(1 - filled[1]) * 100}%` }}
                  />
                </span>
                <span className="num whitespace-nowrap">{ends[1]}</span>
              </div>
            </div>
          ),
      )}
      {unknown.length > 0 && (
        <p className="col-span-full text-sm text-ink-2">
          {unknown.map(({ label, words }) => `${label}: ${words}.`).join(' ')}
        </p>
      )}
    </div>
  );
}
