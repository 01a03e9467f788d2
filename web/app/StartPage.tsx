import { Link } from 'react-router';
import { useTitle } from './useTitle';
import { unsaved } from './open-sessions';
import { SeverityMark } from '../ui/SeverityMark';
import { lazyPart } from '../ui/part';
import { isVocabulary, VOCABULARIES } from '@core/foundations/vocabulary';
import { usePreferences } from './preferences';

// The list of jobs needs the rigs: words and buttons stand first.
const StartJobs = lazyPart(
  'What you can do',
  () => import('../features/take/first-answer/StartJobs').then((m) => m.StartJobs),
  {
    waiting: () => <div className="min-h-80" />,
  },
);

export function StartPage() {
  const { words, system, setWords } = usePreferences();
  useTitle('');
  return (
    <main className="mx-auto grid min-h-dvh grid-cols-[minmax(0,1fr)] max-w-3xl content-center gap-7 px-5 py-6 sm:py-10">
      <header>
        <p className="text-2xl font-bold tracking-tight text-act">Zevrin</p>
        <h1 className="mt-1 text-2xl sm:text-4xl">What holds, what touches, what was not looked at.</h1>
        <p className="mt-3 max-w-prose text-ink-2">
          Zevrin works out whether your gear fits, how hard you must brake and what still holds if one thing fails. It
          makes the check that you and your partner go through before you leave the ground.
        </p>
        <p className="mt-3 flex flex-wrap gap-3">
          <Link to="/mine/setups" className="btn">
            My own gear
          </Link>
          <Link to="/demo/setups" className="btn">
            Look at the demo first
          </Link>
        </p>
      </header>
      {unsaved().map(({ name }) => (
        <p
          key={name}
          role="alert"
          className="flex flex-wrap items-center gap-3 rounded-lg bg-stop-wash px-4 py-2 text-stop"
        >
          Something in {name === 'demo' ? 'the demo' : 'your own gear'} is not saved yet.
          <Link to={`/${name}/setups`} className="btn">
            Go back to it
          </Link>
        </p>
      ))}
      <StartJobs />
      <section aria-label="The four verdicts" className="grid gap-2 border-t border-line pt-6 sm:grid-cols-2">
        {(
          [
            ['stop', 'A fault that can kill.'],
            ['mind', 'Sort this out first.'],
            ['untested', 'Unknown, so not a pass.'],
            ['clear', 'Nothing found in what was checked.'],
          ] as const
        ).map(([severity, text]) => (
          <p key={severity} className="flex flex-wrap items-center gap-x-3">
            <SeverityMark severity={severity} withWord />
            <span className="min-w-0 text-ink-2">{text}</span>
          </p>
        ))}
      </section>
      <label className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="font-semibold">Words</span>
        <select
          className="field w-auto max-w-full"
          value={words}
          onChange={(event) => isVocabulary(event.target.value) && setWords(event.target.value)}
        >
          {Object.entries(VOCABULARIES).map(([id, { label, system: goesWith }]) => (
            <option key={id} value={id}>
              {label} · {goesWith === 'metric' ? 'metres' : 'feet'}
            </option>
          ))}
        </select>
        <span className="text-sm text-ink-2">
          Units now: {system === 'metric' ? 'metres' : 'feet and pounds'}. They can be changed on every page.
        </span>
      </label>
      <p className="max-w-prose text-ink-2">
        Zevrin calculates and reminds. It does not replace the instructions of the makers, local codes, training or
        licensed practice. Everything stays in this browser.
      </p>
    </main>
  );
}
