export { MM_PER_INCH, NEWTON_PER_KGF, type LengthUnit } from './constants';
export { ok, refuse, type Result } from './result';
export { parseNumber } from './parseNumber';
export { parseLength, type ParsedLength } from './parseLength';
export { parseForce } from './parseForce';
export {
  formatForce,
  formatGramForce,
  formatInchFraction,
  formatEntered,
  formatLength,
  formatLengthWithUnit,
  formatNewton,
  formatPercent,
  formatSpread,
  signedPercent,
} from './format';
export { capital, counted, formatDay, listed, plainWords, plural } from './words';
export { lazily } from './lazily';
