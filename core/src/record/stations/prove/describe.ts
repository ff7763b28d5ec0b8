import { ACTION_NAMES, RESULT_NAMES } from '../../../work/proving';
import type { Descriptions, EventPlace } from '../module';
import type { proveEvents } from './schema';
import { CHECK_STATE_NAMES } from './words';

const place = (): EventPlace => ({ station: 'prove' });

export const proveDescriptions: Descriptions<typeof proveEvents> = {
  cycleLogged: {
    says: ({ cycle }) => `cycle, ${ACTION_NAMES[cycle.action]} ${RESULT_NAMES[cycle.result]}`,
    place: ({ cycle }) => ({ station: cycle.cleanRunId === null ? 'takeIn' : 'prove' }),
  },
  treatmentRecorded: { says: ({ treatment }) => `treatment: ${treatment.what}`, place },
  cleanRunBegun: { says: () => 'clean run begun', place },
  checkPut: { says: ({ check }) => `a check marked ${CHECK_STATE_NAMES[check.state]}`, place },
  timingPut: {
    says: ({ timing }) => `timed, ${timing.what}`,
    place: ({ timing }) => ({ station: timing.side === 'before' ? 'takeIn' : 'prove' }),
  },
  timingRemoved: { says: () => 'a timed test removed', place: () => ({ station: 'takeIn' }) },
  recheckPut: { says: () => 'looked at again after a treatment', place },
};
