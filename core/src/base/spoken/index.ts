export { prepared, readings, type Edge, type Prepared, type Reading, type Rule } from './chart';
export { correctedIn } from './corrected';
export { withoutFillers } from './fillers';
export { edgeOf, lexiconOf, sensesAt, slipsOf, type Sense } from './lexicon';
export { oneSlipApart } from './slip';
export { tokensOf, type Token } from './tokens';
export {
  DENYING,
  IDLE,
  MINDING,
  NUMBERS,
  OPENERS,
  ORDERS,
  ORDINALS,
  OTHERS,
  PLACES,
  PREPOSITIONS,
  TO_COME,
  VAGUE,
} from './words';
export { WORD_ROLES, wordsTaken, type Accounted, type WordRole } from './roles';
