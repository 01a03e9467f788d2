import { mayBeAccepted, type CheckItem } from '@core/answers/check';
import { fillTemplate } from '@core/foundations/finding';
import { confirmers, itemStatus, openBefore, type CheckRecord } from '@core/records/log';
import { usePlace } from '../../../app/place';
import { usePreferences } from '../../../app/preferences';
import { SeverityMark } from '../../../ui/SeverityMark';
import { useSettled } from '../../../ui/useSettled';
import { Accept } from './Accept';
import type { Handlers } from './handlers';
import { LookQuestion } from './LookQuestion';
import { Repair } from './Repair';

interface BeforeCheckProps extends Omit<Handlers, 'onSawNot'> {
  readonly record: CheckRecord;
  readonly names: Readonly<Record<'climber' | 'partner', string>>;
  readonly answers: boolean;
}

/** What the plan left open is found out by one of the two before the check begins; a known risk is accepted by each. */
export function BeforeCheck({ record, names, answers, onSaw, onAccept, onFixed }: BeforeCheckProps) {
  const open = openBefore(record);
  return (
    <section
      aria-label="Before the check"
      data-half="climber"
      data-left={open.length}
      className="overflow-y-auto px-4 py-3"
    >
      <h2 className="text-xl">Before the check</h2>
      <p className="mt-1 text-ink-2">
        The plan left {open.length === 1 ? 'this' : `these ${open.length}`} open. Find out, and say what you found.
      </p>
      <ul className="mt-3 grid gap-4">
        {open.map((item) => (
          <li key={`${item.id}/${record.events.filter((e) => e.itemId === item.id && e.type === 'fixed').length}`}>
            <LeftOpen {...{ record, names, answers, item, onSaw, onAccept, onFixed }} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function LeftOpen({ record, names, answers, item, onSaw, onAccept, onFixed }: BeforeCheckProps & { item: CheckItem }) {
  const { name: place } = usePlace();
  const settled = useSettled(item.id);
  const reader = usePreferences();
  const say = (text: string) => fillTemplate(text, item.numbers, reader);
  const { state, confirmed } = itemStatus(record, item);
  return (
    <div className={`rounded-lg p-3 ${state === 'failed' ? 'bg-stop-wash' : 'bg-sunk'}`}>
      <h3 className="flex items-start gap-2 font-semibold">
        <SeverityMark severity={item.title === 'Not tested' ? 'untested' : 'mind'} withWord />
      </h3>
      <p className="mt-1">{say(item.look)}</p>
      {state === 'failed' ? (
        <Repair
          draftKey={`${place}/repair/${record.id}/${item.id}`}
          {...{ record, item, names }}
          fixer={answers}
          onFixed={(note) => onFixed(item, note)}
        />
      ) : (
        <>
          <p className="mt-1 mb-2 font-semibold">{say(item.touch)}</p>
          <LookQuestion
            {...{ record, item }}
            who="climber"
            said={false}
            disabled={!answers || !settled}
            small={false}
            onAnswer={(answer) => onSaw(item, 'climber', answer)}
          />
          {mayBeAccepted(item) &&
            confirmers(record, item)
              .filter((who) => !confirmed.includes(who))
              .map((who) => (
                <Accept
                  key={who}
                  draftKey={`${place}/accept/${record.id}/${item.id}/${who}`}
                  name={names[who]}
                  disabled={!answers}
                  onAccept={(reason) => onAccept(item, who, reason)}
                />
              ))}
        </>
      )}
    </div>
  );
}
