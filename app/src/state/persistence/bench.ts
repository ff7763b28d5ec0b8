import { newestLoaded, summariesFailed, summariesLoaded, summaryRemoved } from '../store/bench';
import type { Thunk } from '../store/types';
import { keepNewest, loadNewest } from './newest';
import { journalTable, storeProblem } from './storage';
import { tellTabs, withHolds } from './tabs';
import { loadSummaries, removeTicket } from './tickets';

/**
 * Reads every ticket in short.
 *
 * @param newestFirst the Log of a full bench shows its first screen before all is read
 */
export const loadBench =
  (newestFirst = false): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    try {
      if (newestFirst) {
        const newest = await loadNewest();
        if (newest.length > 0) dispatch(newestLoaded(newest));
      }
      if ((await journalTable.getItem('import')) !== null) await (await import('./oldJournal')).finishImport();
      dispatch(summariesLoaded(await loadSummaries()));
      keepNewest(getState().bench.summaries);
    } catch (error) {
      dispatch(summariesFailed(storeProblem(error)));
    }
  };

/** Takes a ticket off this bench for good. */
export const removeFromBench =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    await withHolds([id], () => removeTicket(id));
    dispatch(summaryRemoved(id));
    tellTabs({ type: 'removed', id });
  };
