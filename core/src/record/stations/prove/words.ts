import type { CheckState } from '../../../work/proving';

export const CHECK_STATE_NAMES: Readonly<Record<CheckState, string>> = {
  notDone: 'not done',
  shown: 'shown',
  failed: 'failed',
  notShown: 'not shown',
  doesNotApply: 'does not apply',
};
