import { mayBeginCleanRun } from '../../../work/proving';
import { refuse } from '../../../base/units';
import { changes, upsert, without, type Reducers, type StateOf } from '../module';
import type { proveEvents, proveState } from './schema';

export const proveReducers: Reducers<StateOf<typeof proveState>, typeof proveEvents> = {
  cycleLogged: ({ cycles, cleanRuns }, { cycle }) =>
    cycle.cleanRunId !== null && !cleanRuns.some(({ id }) => id === cycle.cleanRunId)
      ? refuse('The cycle belongs to a clean run that was never begun.')
      : changes({ cycles: [...cycles, cycle] }),
  treatmentRecorded: ({ treatments }, { treatment }) => changes({ treatments: upsert(treatments, treatment) }),
  cleanRunBegun: ({ cleanRuns, treatments, cycles }, { cleanRun }) =>
    mayBeginCleanRun(cleanRuns, treatments, cycles)
      ? changes({ cleanRuns: [...cleanRuns, cleanRun] })
      : refuse('A new clean run begins only after something was done about the fault: record the treatment first.'),
  checkPut: ({ checks }, { check }) =>
    changes({ checks: [...checks.filter(({ kind }) => kind !== check.kind), check] }),
  timingPut: ({ timings }, { timing }) => changes({ timings: upsert(timings, timing) }),
  timingRemoved: ({ timings }, { timingId }) => changes({ timings: without(timings, timingId) }),
  recheckPut: ({ rechecks }, { recheck }) =>
    changes({
      rechecks: [
        ...rechecks.filter(({ treatmentId, of }) => treatmentId !== recheck.treatmentId || of !== recheck.of),
        recheck,
      ],
    }),
};
