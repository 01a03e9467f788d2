import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { GLOSSARY, GLOSSARY_GROUPS, type GlossaryTerm, type TermId } from '@core/foundations/vocabulary';
import { useTitle } from '../../../app/useTitle';
import { useWords } from '../../../app/preferences';
import { Explained } from '../../../drawing/words/InTerms';

const groups = Object.entries(GLOSSARY_GROUPS);

/** The words of the trade, each with what it is, a drawing and its other names; for those who begin. */
export function WordsPage() {
  const inWords = useWords();
  const { hash } = useLocation();
  const [typed, setTyped] = useState('');
  useTitle('Words');
  useEffect(() => {
    document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' });
  }, [hash]);

  const wanted = typed.trim().toLowerCase();
  const found = (term: TermId) => {
    const { name, is, also = [], forms = [] }: GlossaryTerm = GLOSSARY[term];
    return [inWords(name), inWords(is), ...also, ...forms].some((text) => text.toLowerCase().includes(wanted));
  };
  const shown = groups.map(([title, terms]) => [title, terms.filter(found)] as const).filter(([, t]) => t.length > 0);
  return (
    <div className="mx-auto max-w-5xl px-4 py-6">
      <h1>Words</h1>
      <p className="mt-1 max-w-prose text-ink-2">
        What climbers and tree climbers mean by them. In most texts you can tap a dotted word and read it there.
      </p>
      <label className="mt-4 block max-w-sm">
        <span className="font-semibold">Find a word</span>
        <input type="search" className="field mt-1" value={typed} onChange={(e) => setTyped(e.target.value)} />
      </label>
      {shown.length === 0 && <p className="mt-6">No word here has “{typed.trim()}” in it.</p>}
      {shown.map(([title, terms]) => (
        <section key={title} aria-labelledby={`group-${title}`}>
          <h2 id={`group-${title}`} className="mt-8">
            {inWords(title)}
          </h2>
          <ul className="mt-2 grid gap-x-6 border-t border-line md:grid-cols-2">
            {terms.map((term) => (
              <li key={term} id={term} className="scroll-mt-20 border-b border-line py-3 target:bg-sunk">
                <Explained term={term} />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
