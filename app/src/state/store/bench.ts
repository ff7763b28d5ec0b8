import { createEntityAdapter, createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { TicketSummary } from '@loose-pulley/core/ticket';
import type { StoreProblem } from '../persistence/storage';
import type { SetAside } from '../persistence/tickets';

/** Every ticket in short: a cache of what the store holds, newest number first. */
export const summaryAdapter = createEntityAdapter<TicketSummary>({
  sortComparer: (a, b) =>
    b.number.localeCompare(a.number, 'en', { numeric: true }) || b.openedAt.localeCompare(a.openedAt),
});

interface BenchState {
  readonly status: 'loading' | 'ready' | 'failed';
  readonly problem: StoreProblem | null;
  /** Records that could not be read; they stay in the store as they are. */
  readonly setAside: readonly SetAside[];
}

const slice = createSlice({
  name: 'bench',
  initialState: summaryAdapter.getInitialState<BenchState>({ status: 'loading', problem: null, setAside: [] }),
  reducers: {
    summariesLoaded(
      state,
      { payload }: PayloadAction<{ summaries: readonly TicketSummary[]; setAside: readonly SetAside[] }>,
    ) {
      summaryAdapter.setAll(state, [...payload.summaries]);
      state.setAside = [...payload.setAside];
      state.status = 'ready';
    },
    summariesFailed(state, { payload }: PayloadAction<StoreProblem>) {
      state.status = 'failed';
      state.problem = payload;
    },
    summaryChanged: (state, { payload }: PayloadAction<TicketSummary>) => void summaryAdapter.upsertOne(state, payload),
    summariesChanged: (state, { payload }: PayloadAction<readonly TicketSummary[]>) =>
      void summaryAdapter.upsertMany(state, [...payload]),
    summaryRemoved: (state, { payload }: PayloadAction<string>) => void summaryAdapter.removeOne(state, payload),
  },
});

export const { summariesLoaded, summariesFailed, summaryChanged, summariesChanged, summaryRemoved } = slice.actions;
export const benchReducer = slice.reducer;
