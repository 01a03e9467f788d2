import { FINDING_CODES, type FindingCodeEntry } from '@core/foundations/finding';
import { CONSTANTS, SOURCES, type Constant, type Source, type SourceKind } from '@core/foundations/sources';
import { useTitle } from '../../../app/useTitle';
import { useWords } from '../../../app/preferences';

const KIND_WORDS: Readonly<Record<SourceKind, string>> = {
  standard: 'Standard',
  handbook: 'Handbook',
  paper: 'Paper',
  geometry: 'Geometry',
  practice: 'Common practice',
  memory: 'From memory',
  maker: 'Maker',
  entered: 'You',
};
const sources: [string, Source][] = Object.entries(SOURCES);
const constants: [string, Constant][] = Object.entries(CONSTANTS);
const codes: [string, FindingCodeEntry][] = Object.entries(FINDING_CODES);
const head = 'py-1.5 pr-3 text-left align-bottom text-sm font-semibold text-ink-2';
const cell = 'border-t border-line py-1.5 pr-3 align-top';

/** The register: every source, every constant with its interval, every judgement that can be made. */
export function SourcesPage() {
  const inWords = useWords();
  useTitle('Where the rules and numbers come from');
  return (
    <div className="mx-auto max-w-4xl px-4 py-6">
      <h1>Where the rules and numbers come from</h1>
      <h2 className="mt-6">Sources</h2>
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {sources.map(([id, { kind, title, note }]) => (
          <li key={id} className="grid gap-x-4 py-2 sm:grid-cols-[10rem_1fr]">
            <span className="text-sm font-semibold text-ink-2">{KIND_WORDS[kind]}</span>
            <span>
              <span className="font-semibold">{title}</span> <span className="text-ink-2">{inWords(note)}</span>
            </span>
          </li>
        ))}
      </ul>
      <h2 className="mt-8">Constants</h2>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Constants">
        <table className="mt-2 w-full min-w-xl">
          <thead>
            <tr>
              <th className={head}>What</th>
              <th className={`${head} text-right`}>Low</th>
              <th className={`${head} text-right`}>Best</th>
              <th className={`${head} text-right`}>High</th>
              <th className={head}>Unit</th>
            </tr>
          </thead>
          <tbody>
            {constants.map(([id, { value, unit, meaning, source }]) => (
              <tr key={id}>
                <td className={cell}>
                  {inWords(meaning)}
                  <span className="block text-sm text-ink-2">{SOURCES[source].title}</span>
                </td>
                <td className={`${cell} num text-right`}>{value.low}</td>
                <td className={`${cell} num text-right`}>{value.best}</td>
                <td className={`${cell} num text-right`}>{value.high}</td>
                <td className={`${cell} text-sm`}>{unit === '1' ? '' : unit}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <h2 className="mt-8">What can be found</h2>
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {codes.map(([code, { title }]) => (
          <li key={code} className="grid gap-x-4 py-1.5 sm:grid-cols-[19rem_1fr]">
            <code className="num text-sm text-ink-2">{code}</code>
            <span>{title}</span>
          </li>
        ))}
      </ul>
      <Licences />
    </div>
  );
}

const Licences = () => (
  <p className="mt-8">
    <a className="text-act underline" href={`${import.meta.env.BASE_URL}third-party-notices.txt`} download>
      Licences of the libraries and fonts in Zevrin
    </a>
  </p>
);
