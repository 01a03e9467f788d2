import { ChevronDown } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { renderFinding, type Finding } from '@core/foundations/finding';
import { usePreferences } from '../../../app/preferences';
import { InTerms } from '../../../drawing/words/InTerms';
import { SEVERITY_WASH, SeverityMark } from '../../../ui/SeverityMark';
import { lazyPart } from '../../../ui/part';

// The register of sources is read by few, and large.
const SourceTitles = lazyPart('The list of sources', () => import('./SourceTitles').then((m) => m.SourceTitles));

interface FindingListProps {
  readonly findings: readonly Finding[];
  readonly chosen: number | null;
  readonly onChoose: (index: number | null) => void;
}

function Row({
  finding,
  index,
  chosen,
  onChoose,
}: {
  finding: Finding;
  index: number;
  chosen: boolean;
  onChoose: FindingListProps['onChoose'];
}) {
  const reader = usePreferences();
  const row = useRef<HTMLLIElement>(null);
  const { says, because, remedy, numbers } = renderFinding(finding, reader);
  useEffect(() => {
    if (chosen) row.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <li
      ref={row}
      data-finding={finding.code}
      data-severity={finding.severity}
      className={chosen ? SEVERITY_WASH[finding.severity] : ''}
    >
      <button
        type="button"
        aria-expanded={chosen}
        className="flex min-h-12 w-full items-start gap-2.5 px-2 py-2.5 text-left hover:bg-sunk"
        onClick={() => onChoose(chosen ? null : index)}
      >
        <SeverityMark severity={finding.severity} />
        <span className={`flex-1 ${finding.severity === 'clear' ? '' : 'font-semibold'}`}>{says}</span>
        <ChevronDown aria-hidden className={`mt-0.5 size-5 shrink-0 text-ink-2 ${chosen ? 'rotate-180' : ''}`} />
      </button>
      {chosen && (
        <div className="grid gap-3 px-2 pb-4 pl-10">
          {remedy && (
            <p className="font-semibold">
              <InTerms text={remedy} />
            </p>
          )}
          <p>
            <InTerms text={because} />
          </p>
          {numbers.length > 0 && (
            <table className="w-full text-sm">
              <caption className="sr-only">
                Numbers behind this finding, with intervals where they are uncertain
              </caption>
              <tbody>
                {numbers.map(({ key, label, text }) => (
                  <tr key={key} className="border-t border-line">
                    <th scope="row" className="py-1 pr-2 text-left font-normal">
                      {label}
                    </th>
                    <td className="num py-1 text-right text-[0.8rem] whitespace-nowrap">{text}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          <SourceTitles ids={finding.sources} />
        </div>
      )}
    </li>
  );
}

/** Findings, worst first; what nothing was found against stays visible but folded. */
export function FindingList({ findings, chosen, onChoose }: FindingListProps) {
  const open = findings
    .map((finding, index) => ({ finding, index }))
    .filter(({ finding }) => finding.severity !== 'clear');
  const clear = findings
    .map((finding, index) => ({ finding, index }))
    .filter(({ finding }) => finding.severity === 'clear');
  const chosenIsClear = chosen !== null && findings[chosen]?.severity === 'clear';
  const row = ({ finding, index }: (typeof open)[number]) => (
    <Row
      key={`${finding.code}/${finding.subject.join()}`}
      finding={finding}
      index={index}
      chosen={chosen === index}
      onChoose={onChoose}
    />
  );
  return (
    <>
      {open.length > 0 && <ul className="divide-y divide-line border-y border-line">{open.map(row)}</ul>}
      {clear.length > 0 && (
        <details className="mt-3" open={open.length === 0 || chosenIsClear}>
          <summary className="min-h-11 cursor-pointer py-2.5 text-ink-2">
            No fault found in {clear.length} {clear.length === 1 ? 'point' : 'points'}
          </summary>
          <ul className="divide-y divide-line border-y border-line">{clear.map(row)}</ul>
        </details>
      )}
    </>
  );
}
