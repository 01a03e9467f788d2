import { CHECK_PARTS, checkPartOf, isOpen, plantWords, type CheckItem, otherOf } from '@core/answers/check';
import { fillTemplate } from '@core/foundations/finding';
import { itemStatus, stillPlanted, type CheckRecord } from '@core/records/log';
import { usePreferences } from '../../../app/preferences';
import { SeverityMark } from '../../../ui/SeverityMark';
import { Written } from './Written';

interface RepairProps {
  readonly draftKey: string;
  readonly record: CheckRecord;
  readonly item: CheckItem;
  readonly names: Readonly<Record<'climber' | 'partner', string>>;
  /** The half on which the repair is written down; one note is enough. */
  readonly fixer: boolean;
  readonly onFixed: (note: string) => void;
}

/** Something was not as it should be: who saw what, what begins anew, and what was put right. */
export function Repair({ draftKey, record, item, names, fixer, onFixed }: RepairProps) {
  const reader = usePreferences();
  const { answers } = itemStatus(record, item);
  const planted = stillPlanted(record)?.itemId === item.id;
  const missed = planted && record.events.some((e) => e.type === 'missed');
  const say = (text: string) => fillTemplate(text, item.numbers, reader);
  return (
    <div className="mt-2 grid gap-2">
      <div className="flex items-start gap-2 text-stop">
        <SeverityMark severity="stop" />
        <div>
          <p>
            <strong>Stop.</strong> Nobody goes on like this.
          </p>
          <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3">
            {answers.map(({ who, answer }) => (
              <div key={who} className="contents">
                <dt>{names[who]}:</dt>
                <dd className="font-semibold">
                  {say(item.question)} {say(answer)}
                </dd>
              </div>
            ))}
          </dl>
        </div>
      </div>
      {fixer ? (
        <Written
          draftKey={draftKey}
          label="What was put right?"
          button="Put right: check it again"
          least={1}
          most={500}
          main
          onWritten={onFixed}
        />
      ) : (
        <p>Put it right together; then both look at it again.</p>
      )}
      {missed && (
        <p className="font-semibold">
          {names[record.planted!.by]} planted it, and it was not found. It is still there. The task was: “
          {plantWords(item)}”
        </p>
      )}
      {planted && !missed && <p className="font-semibold">{names[record.planted!.by]} planted it. It was found.</p>}
      {record.half && <p>Tell {names[otherOf(record.half)]}: the other phone does not know of it yet.</p>}
      {!isOpen(item) && (
        <p className="text-ink-2">Then “{CHECK_PARTS[checkPartOf(item)]}” begins anew, since it was touched.</p>
      )}
    </div>
  );
}
