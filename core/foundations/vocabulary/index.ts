export { inWords, isVocabulary, VOCABULARIES, type Vocabulary } from './vocabulary.ts';
export { GLOSSARY, GLOSSARY_GROUPS, type GlossaryTerm, type TermId } from './glossary.ts';
export { termsIn } from './terms-in.ts';
