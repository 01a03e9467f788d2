import { fillTemplate, type Finding } from '@core/foundations/finding';
import { schoolsFor } from '@core/things/fit';
import type { Job } from '@core/things/gear';
import { usePreferences, useWords } from '../../../app/preferences';
import { SeverityMark } from '../../../ui/SeverityMark';

/**
 * Questions on which careful people disagree, folded: the reasons of each side, and what was found about it in this
 * very set-up.
 */
export function Schools({ job, findings }: { job: Job; findings: readonly Finding[] }) {
  const inWords = useWords();
  const reader = usePreferences();
  const schools = schoolsFor(job);
  if (schools.length === 0) return null;
  return (
    <section className="mt-6" aria-labelledby="schools">
      <h2 id="schools" className="font-bold">
        Where practice differs
      </h2>
      <p className="text-sm text-ink-2">The maker’s way comes first. No side is taken here.</p>
      {schools.map(({ question, sides }) => (
        <details key={question} className="border-b border-line">
          <summary className="flex min-h-12 cursor-pointer items-center py-2">{inWords(question)}</summary>
          <dl className="grid gap-3 pb-4">
            {sides.map(({ label, reasons, against, judgedBy = [] }) => (
              <div key={label} className="border-l-2 border-line pl-3">
                <dt className="font-semibold">{inWords(label)}</dt>
                <dd>For: {inWords(reasons.join('; '))}.</dd>
                <dd className="text-ink-2">Against: {inWords(against.join('; '))}.</dd>
                {judgedBy
                  .flatMap((code) => findings.filter((f) => f.code === code))
                  .map((f, i) => (
                    <dd key={i} className="mt-1 flex items-start gap-2 text-sm">
                      <SeverityMark severity={f.severity} size={16} />
                      <span>Here: {fillTemplate(f.says, f.numbers, reader)}</span>
                    </dd>
                  ))}
              </div>
            ))}
          </dl>
        </details>
      ))}
    </section>
  );
}
