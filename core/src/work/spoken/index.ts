export { correctedIn } from './corrected';
export { denies, ofOthers } from './doubt';
export { withoutFillers } from './fillers';
export { oneSlipApart } from './slip';
