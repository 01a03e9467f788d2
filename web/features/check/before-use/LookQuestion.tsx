import { answersInOrder, type CheckItem } from '@core/answers/check';
import { fillTemplate } from '@core/foundations/finding';
import type { CheckRecord } from '@core/records/log';
import { LazyAnswerPicture } from '../../../drawing/looks/lazy';
import { usePreferences } from '../../../app/preferences';

/** Kindly: whoever is asked again may well have looked. */
const AGAIN = {
  hurried: 'That was quicker than anybody can look. Once more, please:',
  turned: 'The two answers do not agree. Look once more, please:',
};

interface LookQuestionProps {
  readonly record: Pick<CheckRecord, 'id'>;
  readonly item: CheckItem;
  readonly who: 'climber' | 'partner';
  /** This half has answered: what it said is not shown to the other. */
  readonly said: boolean;
  /** Why it is asked again. */
  readonly again?: keyof typeof AGAIN | null;
  readonly disabled: boolean;
  /** Two halves share the screen of a phone. */
  readonly small: boolean;
  readonly onAnswer: (answer: string) => void;
}

/** One question of a look, closed by what was seen. */
export function LookQuestion({ record, item, who, said, again = null, disabled, small, onAnswer }: LookQuestionProps) {
  const reader = usePreferences();
  const say = (text: string) => fillTemplate(text, item.numbers, reader);
  return (
    <div {...(said ? {} : { role: 'group', 'aria-label': say(item.question), 'data-item': item.id })}>
      {again && !said && (
        <p role="status" className="text-mind">
          {AGAIN[again]}
        </p>
      )}
      <p className="mb-1 flex justify-between gap-3 font-bold">
        {say(item.question)} {said && <span className="font-normal text-ink-2">said</span>}
      </p>
      {/* What was answered keeps its room: the next question must not come under a finger that taps twice. */}
      <div className={`flex flex-wrap gap-2 ${said ? 'invisible' : ''}`}>
        {answersInOrder(item, record.id + who).map((answer) => (
          <button
            key={answer}
            type="button"
            className={`btn grow justify-start gap-1 px-3 text-left leading-tight hover:not-disabled:bg-surface ${small ? 'min-h-12 py-0.5 md:min-h-14' : 'min-h-14'}`}
            disabled={disabled}
            onClick={() => onAnswer(answer)}
          >
            <LazyAnswerPicture item={item} answer={answer} small={small} />
            {say(answer)}
          </button>
        ))}
      </div>
    </div>
  );
}
