import { FileImage, Printer } from 'lucide-react';
import { useMemo, useRef } from 'react';
import { Link, useParams } from 'react-router';
import { assess } from '@core/answers/assess';
import { buildCheck } from '@core/answers/check';
import { fillTemplate, findingKeys, renderFinding } from '@core/foundations/finding';
import { writeSetup } from '@core/records/files';
import { slotsOf } from '@core/rigs/elements';
import { templateOf, type Setup } from '@core/rigs/rig';
import { NotFound } from '../../../app/NotFound';
import { usePreferences, useWords } from '../../../app/preferences';
import { Drawings } from '../../../drawing/Drawings';
import { useWorkspace } from '../../../store/hooks';
import { SEVERITY_WORDS, SeverityMark } from '../../../ui/SeverityMark';
import { useTitle } from '../../../app/useTitle';
import { saveSvg } from '../../../ui/save-svg';
import { QrCode } from '../../../share/QrCode';
import { useShareLink } from '../../../share/useShareLink';
import { figureLines } from '../form/figure-lines';
import { verdictSentence } from './VerdictBanner';

export function CardPage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <Card setup={setup} /> : <NotFound what="This set-up" />;
}

/** The set-up on one page of paper: drawing, gear, numbers, what is open, and the check to tick off. */
function Card({ setup }: { setup: Setup }) {
  const inWords = useWords();
  useTitle(`Card of ${setup.name}`);
  const reader = usePreferences();
  const { system } = reader;
  const assessment = assess(setup);
  const { verdict, findings, figures } = assessment;
  const open = findings.filter((f) => f.severity !== 'clear');
  const items = buildCheck(setup, findings);
  const drawing = { setup, assessment, chosen: null, onChoose: () => undefined };
  const keys = findingKeys(open);
  const slots = slotsOf(setup).filter((slot) => slot.item !== null);
  const people = slots.filter((slot) => slot.kind === 'person');
  const gear = slots.filter((slot) => slot.kind !== 'person');
  const numbers = figureLines(setup, figures, system);
  const share = useShareLink(useMemo(() => writeSetup(setup), [setup]));
  const drawings = useRef<HTMLDivElement>(null);
  const save = () =>
    drawings.current
      ?.querySelectorAll<SVGSVGElement>('figure svg')
      .forEach((svg, i) => saveSvg(`${setup.name}${i > 0 ? ` ${i + 1}` : ''}`, svg));
  return (
    <div className="mx-auto max-w-[190mm] px-4 py-5 print:max-w-none print:p-0 print:text-[11px] print:leading-snug">
      <div className="no-print mb-4 flex flex-wrap gap-3">
        <button type="button" className="btn btn-act" onClick={() => window.print()}>
          <Printer aria-hidden className="size-5" />
          Print this page, or save it as a PDF
        </button>
        <button type="button" className="btn" onClick={save}>
          <FileImage aria-hidden className="size-5" />
          Save the drawings (SVG)
        </button>
        <Link className="btn" to=".." relative="path">
          Back to the set-up
        </Link>
      </div>
      <h1 className="print:text-xl">{setup.name}</h1>
      <p className="mt-1 flex flex-wrap items-center gap-2">
        <SeverityMark severity={verdict} />
        <span>
          <strong>{SEVERITY_WORDS[verdict]}</strong> {verdictSentence(assessment)}
        </span>
      </p>
      <p className="text-ink-2">
        {inWords(templateOf(setup).label)}.{' '}
        {people.length === 0
          ? 'Nobody chosen.'
          : `${people.map((slot) => `${slot.label}: ${slot.item!.name}`).join('. ')}.`}
      </p>
      <div className="relative">
        <div ref={drawings} className="mt-2 grid grid-cols-2 gap-4 print:mx-auto print:w-[112mm]">
          <Drawings {...drawing} />
        </div>
        {/* On paper beside the drawings, where nothing else stands. */}
        {share?.squares && (
          <div className="mt-3 w-64 max-w-full print:absolute print:top-0 print:right-0 print:mt-0 print:w-[36mm]">
            <QrCode name={setup.name} squares={share.squares} />
          </div>
        )}
      </div>
      <div className="mt-2 grid gap-5 sm:grid-cols-2 print:grid-cols-2">
        <dl className="grid grid-cols-[auto_1fr] gap-x-3 self-start">
          {gear.map((slot) => (
            <div key={slot.ref} className="contents">
              <dt className="text-ink-2">{slot.label}</dt>
              <dd>{slot.item!.name}</dd>
            </div>
          ))}
        </dl>
        <dl className="grid grid-cols-[auto_1fr] gap-x-3 self-start">
          {numbers.map(([label, text]) => (
            <div key={label} className="contents">
              <dt className="text-ink-2">{label}</dt>
              <dd className="num">{text}</dd>
            </div>
          ))}
        </dl>
      </div>
      {open.length > 0 && (
        <ul className="mt-3">
          {open.map((f, i) => (
            <li key={keys[i]} className="flex items-start gap-2">
              <SeverityMark severity={f.severity} size={14} />
              <span>{renderFinding(f, reader).says}</span>
            </li>
          ))}
        </ul>
      )}
      <h2 className="mt-3 print:text-sm">{verdict === 'stop' ? 'At the rope, once no Stop is left' : 'At the rope'}</h2>
      <ol className="columns-1 gap-5 sm:columns-2 print:columns-3 print:gap-4 print:text-[9px] print:leading-tight">
        {items.map((item) => (
          <li key={item.id} className="flex break-inside-avoid items-start gap-2 py-0.5 print:gap-1.5 print:py-px">
            <span aria-hidden className="mt-1 size-3.5 shrink-0 border border-ink print:mt-0.5 print:size-2.5" />
            <span>
              {item.title}
              {item.kind === 'open-finding' ? ': ' : `. ${fillTemplate(item.question, item.numbers, reader)} `}
              <strong className="font-semibold">
                {fillTemplate(item.kind === 'open-finding' ? item.look : item.expected, item.numbers, reader)}
              </strong>
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-3 text-sm text-ink-2 print:text-[9px]">
        Calculated from what you entered; nothing was inspected. The makers’ instructions, local codes and licensed
        practice come first.
        {share?.squares && (
          // On paper there is not a line to spare.
          <span className="print:hidden">
            {' '}
            The code carries the whole set-up, persons and measures too: a copy to check on another phone.
          </span>
        )}
      </p>
    </div>
  );
}
