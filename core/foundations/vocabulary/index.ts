export { inWords, isVocabulary, VOCABULARIES, type Vocabulary } from './vocabulary.ts';
