import { check, cleanRun, cycle, recheck, timing, treatment } from '../../../work/proving';
import { id, list } from '../../../base/schema';

export const proveState = {
  /** Every counted cycle, oldest first. */
  cycles: list(cycle, 20_000),
  treatments: list(treatment, 500),
  cleanRuns: list(cleanRun, 500),
  /** What was shown of the repair, one entry a kind. */
  checks: list(check, 50),
  timings: list(timing, 500),
  /** What was looked at again after a treatment. */
  rechecks: list(recheck, 1000),
};

export const proveEvents = {
  cycleLogged: { cycle },
  treatmentRecorded: { treatment },
  cleanRunBegun: { cleanRun },
  checkPut: { check },
  timingPut: { timing },
  timingRemoved: { timingId: id() },
  recheckPut: { recheck },
};
