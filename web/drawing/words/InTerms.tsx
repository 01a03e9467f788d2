import { Popover } from 'radix-ui';
import { Link, useParams } from 'react-router';
import { GLOSSARY, termsIn, type GlossaryTerm, type TermId } from '@core/foundations/vocabulary';
import { useWords } from '../../app/preferences';
import { lazyPart } from '../../ui/part';

const Picture = lazyPart('The drawing of this word', () => import('./TermPicture').then((m) => m.TermPicture), {
  waiting: () => <span className="h-24 w-32 shrink-0 rounded-md bg-sunk" />,
});

/** What a word of the trade means, with its drawing and what others call it. */
export function Explained({ term }: { term: TermId }) {
  const inWords = useWords();
  const { name, is, also }: GlossaryTerm = GLOSSARY[term];
  return (
    <div className="flex gap-3">
      <Picture term={term} />
      <div className="min-w-0">
        <h3 className="text-base font-bold">{inWords(name).replace(/^[a-z](?![A-Z])/, (c) => c.toUpperCase())}</h3>
        <p>{inWords(is)}</p>
        {/* Names of other places stay as they are said there. */}
        {also && <p className="text-sm text-ink-2">Also: {also.join(', ')}</p>}
      </div>
    </div>
  );
}

/**
 * A text of the app in which each word of the trade can be tapped and is explained. Not for what stands inside of a
 * button or a link.
 */
export const InTerms = ({ text }: { text: string }) =>
  termsIn(text).map((piece, i) => (piece.term ? <Tapped key={i} term={piece.term} as={piece.text} /> : piece.text));

function Tapped({ term, as }: { term: TermId; as: string }) {
  const { workspace } = useParams();
  return (
    <Popover.Root>
      <Popover.Trigger
        className="inline cursor-help bg-transparent p-0 text-inherit underline decoration-dotted decoration-from-font underline-offset-4"
        data-term={term}
      >
        {as}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={as}
          collisionPadding={12}
          sideOffset={4}
          className="z-40 w-[min(24rem,calc(100vw-1.5rem))] rounded-lg border border-line-2 bg-surface p-3 font-normal shadow-lg"
        >
          <Explained term={term} />
          {workspace && (
            <Link
              to={`/${workspace}/words#${term}`}
              className="mt-2 inline-block py-2 font-semibold text-act underline"
            >
              All words
            </Link>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
