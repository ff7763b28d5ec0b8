import type { CauseVerdict } from './schema';

export const VERDICT_STATE_NAMES: Readonly<Record<CauseVerdict['state'], string>> = {
  found: 'it is this',
  cured: 'cured',
  ruledOut: 'not this',
};
