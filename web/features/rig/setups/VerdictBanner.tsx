import type { Assessment } from '@core/answers/assess';
import { renderFinding } from '@core/foundations/finding';
import type { ReactNode } from 'react';
import { usePreferences } from '../../../app/preferences';
import { SEVERITY_TEXT, SEVERITY_WASH, SEVERITY_WORDS, SeverityMark } from '../../../ui/SeverityMark';

/** The sentence of the verdict and the first thing to do: what a tired person reads first. */
export type Judged = Pick<Assessment, 'verdict' | 'findings'>;

export function verdictSentence({ verdict, findings }: Judged): string {
  const count = findings.filter((f) => f.severity === verdict).length;
  const things = (one: string, many: string) => `${count} ${count === 1 ? one : many}`;
  switch (verdict) {
    case 'stop':
      return `${things('thing', 'things')} to put right before anyone hangs on it.`;
    case 'mind':
      return `${things('thing', 'things')} to settle first.`;
    case 'untested':
      return `${things('thing is', 'things are')} not known yet.`;
    case 'clear':
      return 'in what was entered. Anchor, knots and buckles are seen only at the rope.';
  }
}

export function VerdictBanner({ assessment, action }: { assessment: Judged; action: ReactNode }) {
  const reader = usePreferences();
  const { verdict, findings } = assessment;
  const first = verdict === 'clear' ? undefined : findings[0];
  return (
    <section
      aria-label="Verdict"
      aria-live="polite"
      className={`flex flex-wrap items-center gap-x-5 gap-y-3 rounded-xl px-4 py-3 ${SEVERITY_WASH[verdict]} ${SEVERITY_TEXT[verdict]}`}
    >
      <SeverityMark severity={verdict} size={34} />
      <div className="min-w-0 shrink grow basis-60">
        <p className="text-xl leading-snug" data-testid="verdict">
          <strong>{SEVERITY_WORDS[verdict]}</strong> {verdict === 'clear' ? '' : '· '}
          {verdictSentence(assessment)}
        </p>
        {first && (
          <p className="mt-0.5 text-ink">
            {renderFinding(first, reader).says} {renderFinding(first, reader).remedy}
          </p>
        )}
      </div>
      {action}
    </section>
  );
}
