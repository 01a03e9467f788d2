import { useState } from 'react';
import { answersInOrder, type CheckItem } from '@core/answers/check';
import { fillTemplate } from '@core/foundations/finding';
import type { CheckRecord } from '@core/records/log';
import { usePreferences } from '../../../app/preferences';
import { LazyAnswerPicture } from '../../../drawing/looks/lazy';

interface TurnedProps {
  readonly record: Pick<CheckRecord, 'id'>;
  readonly item: CheckItem;
  readonly who: 'climber' | 'partner';
  readonly disabled: boolean;
  readonly onSaid: (not: string[]) => void;
}

/** One item comes back the other way round: what was not seen. Nobody answers that by habit. */
export function Turned({ record, item, who, disabled, onSaid }: TurnedProps) {
  const reader = usePreferences();
  const [not, setNot] = useState<readonly string[]>([]);
  const say = (text: string) => fillTemplate(text, item.numbers, reader);
  return (
    <div className="m-auto grid w-full max-w-md gap-2" data-turned={item.id}>
      <h2 className="text-xl leading-tight">Once more, the other way round: {item.title}</h2>
      <p>
        Mark everything that you did <strong>not</strong> see.
      </p>
      <p className="font-bold">{say(item.question)}</p>
      <div role="group" aria-label={`${say(item.question)} Not seen`} className="flex flex-wrap gap-2">
        {answersInOrder(item, `turned${record.id}${who}`).map((answer) => (
          <button
            key={answer}
            type="button"
            aria-pressed={not.includes(answer)}
            className="btn min-h-14 grow justify-start gap-1 px-3 text-left leading-tight aria-pressed:border-ink aria-pressed:line-through"
            disabled={disabled}
            onClick={() => setNot(not.includes(answer) ? not.filter((a) => a !== answer) : [...not, answer])}
          >
            <LazyAnswerPicture item={item} answer={answer} small={false} />
            {say(answer)}
          </button>
        ))}
      </div>
      <button
        type="button"
        className="btn btn-act min-h-14"
        disabled={disabled || not.length === 0}
        onClick={() => onSaid([...not])}
      >
        {not.length === 0 ? 'Mark what you did not see' : 'I saw none of those'}
      </button>
    </div>
  );
}
