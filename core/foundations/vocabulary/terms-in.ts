import { GLOSSARY, type GlossaryTerm, type TermId } from './glossary.ts';
import { inWords, VOCABULARIES, type Vocabulary } from './vocabulary.ts';

/** A piece of a text; with a term where it is one that is explained. */
export interface TermPiece {
  readonly text: string;
  readonly term: TermId | null;
}

const terms = Object.entries(GLOSSARY) as [TermId, GlossaryTerm][];
/** Every way to write a term that a text is looked through for, in both kinds of English. */
const WRITTEN: ReadonlyMap<string, TermId> = new Map(
  // Later ones count: of “tie-in points” those of a harness are meant, not two in a tree.
  terms.toReversed().flatMap(([id, { name, forms = [], common }]) =>
    common
      ? []
      : [name, ...forms].flatMap((form) =>
          (Object.keys(VOCABULARIES) as Vocabulary[]).flatMap((words) => {
            const written = inWords(form, words).toLowerCase();
            return [[written, id] as const, [`${written}s`, id] as const];
          }),
        ),
  ),
);
const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const KNOWN = new RegExp(
  `(?<![\\p{L}-])(?:${[...WRITTEN.keys()]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|')})(?![\\p{L}-])`,
  'giu',
);

/**
 * A text in pieces, with each term that is explained as a piece of its own the first time it stands there; put together
 * they are the text.
 */
export function termsIn(text: string): TermPiece[] {
  const pieces: TermPiece[] = [];
  const seen = new Set<TermId>();
  let from = 0;
  for (const found of text.matchAll(KNOWN)) {
    const term = WRITTEN.get(found[0].toLowerCase())!;
    if (seen.has(term)) continue;
    seen.add(term);
    if (found.index > from) pieces.push({ text: text.slice(from, found.index), term: null });
    pieces.push({ text: found[0], term });
    from = found.index + found[0].length;
  }
  if (from < text.length) pieces.push({ text: text.slice(from), term: null });
  return pieces;
}
