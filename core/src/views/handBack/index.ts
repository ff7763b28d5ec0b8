export { letter, type LetterPart } from './letter';
export { openEnds, type OpenEnd } from './openEnds';
export { handBackText } from './filled';
