export { letter, type LetterPart } from './letter';
export { openEnds, type OpenEnd } from './openEnds';
export { handBackSentences, handBackText } from './filled';
export type { Rest, Sentence } from './sentence';
