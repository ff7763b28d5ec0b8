import { summariesFailed, summariesLoaded, summaryRemoved } from '../store/bench';
import type { Thunk } from '../store/types';
import { journalTable, storeProblem } from './storage';
import { tellTabs, withHolds } from './tabs';
import { loadSummaries, removeTicket } from './tickets';

/** Reads every ticket in short. */
export const loadBench = (): Thunk<Promise<void>> => async (dispatch) => {
  try {
    if ((await journalTable.getItem('import')) !== null) await (await import('./oldJournal')).finishImport();
    dispatch(summariesLoaded(await loadSummaries()));
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
