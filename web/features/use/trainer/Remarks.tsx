import type { Remark } from '@core/teaching/trainer';
import { printNumber, printQuantity, type UnitSystem } from '@core/foundations/units';
import { usePreferences, useWords } from '../../../app/preferences';

const say = ({ says, value }: Remark, system: UnitSystem): string =>
  value
    ? says.replace(
        '{value}',
        value.quantity === 'seconds'
          ? `${printNumber(value.value, 'diameterMm', 'metric')}\u202fs`
          : printQuantity(value.value, value.quantity, system),
      )
    : says;

const SIGN = { good: '✓', mind: '!', bad: '✕' } as const;
const TONE = { good: 'text-clear', mind: 'text-mind', bad: 'text-stop' } as const;
const WORD = { good: 'Good', mind: 'Caution', bad: 'Bad' } as const;

/** What a fall, or a practice, was. */
export function Remarks({ remarks }: { remarks: readonly Remark[] }) {
  const { system } = usePreferences();
  const inWords = useWords();
  return (
    <ul className="mt-1 grid gap-1.5">
      {remarks.map((remark) => (
        <li key={remark.says} className="flex gap-2">
          <span
            aria-label={WORD[remark.tone]}
            role="img"
            className={`w-4 shrink-0 text-center font-bold ${TONE[remark.tone]}`}
          >
            {SIGN[remark.tone]}
          </span>
          <span>{inWords(say(remark, system))}</span>
        </li>
      ))}
    </ul>
  );
}
