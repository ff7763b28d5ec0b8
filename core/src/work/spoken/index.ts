export { prepared, readings, type Edge, type Prepared, type Reading, type Rule } from './chart';
export { correctedIn } from './corrected';
export { denies, ofOthers } from './doubt';
export { withoutFillers } from './fillers';
export { edgeOf, lexiconOf, sensesAt, slipsOf, type Sense } from './lexicon';
export { oneSlipApart } from './slip';
export { tokensOf, type Token } from './tokens';
