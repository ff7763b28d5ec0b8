import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { TicketSummary } from '@loose-pulley/core/ticket';
import type { StoreProblem } from '../persistence/storage';
import type { SetAside } from '../persistence/tickets';

/** Every ticket in short: a cache of what the store holds. */
export interface BenchState {
  readonly status: 'loading' | 'ready' | 'failed';
  readonly problem: StoreProblem | null;
  /** Records that could not be read; they stay in the store as they are. */
  readonly setAside: readonly SetAside[];
  /** Newest number first. */
  readonly summaries: readonly TicketSummary[];
}

/** What a ticket is sorted by: its number as a number wherever there are digits, then when it was opened. */
const sortKey = ({ number, openedAt }: TicketSummary): string =>
  `${number.toLowerCase().replace(/\d+/g, (digits) => digits.padStart(12, '0'))} ${openedAt}`;

/** Newest number first. Each is named once by its key, since a full bench is compared a hundred thousand times. */
function sorted(summaries: readonly TicketSummary[]): readonly TicketSummary[] {
  return summaries
    .map((summary) => ({ summary, key: sortKey(summary) }))
    .sort((a, b) => (a.key < b.key ? 1 : a.key > b.key ? -1 : 0))
    .map(({ summary }) => summary);
}

const initialState: BenchState = { status: 'loading', problem: null, setAside: [], summaries: [] };

const slice = createSlice({
  name: 'bench',
  initialState: initialState as BenchState,
  // Each gives a new state: a draft of ten thousand tickets would cost more than what is done to it.
  reducers: {
    summariesLoaded(
      state,
      { payload }: PayloadAction<{ summaries: readonly TicketSummary[]; setAside: readonly SetAside[] }>,
    ): BenchState {
      return { ...state, summaries: sorted(payload.summaries), setAside: payload.setAside, status: 'ready' };
    },
    summariesFailed: (state, { payload }: PayloadAction<StoreProblem>): BenchState => ({
      ...state,
      status: 'failed',
      problem: payload,
    }),
    summariesChanged(state, { payload }: PayloadAction<readonly TicketSummary[]>): BenchState {
      const changed = new Set(payload.map(({ id }) => id));
      return { ...state, summaries: sorted([...state.summaries.filter(({ id }) => !changed.has(id)), ...payload]) };
    },
    summaryRemoved: (state, { payload }: PayloadAction<string>): BenchState => ({
      ...state,
      summaries: state.summaries.filter(({ id }) => id !== payload),
    }),
  },
});

export const { summariesLoaded, summariesFailed, summariesChanged, summaryRemoved } = slice.actions;
export const summaryChanged = (summary: TicketSummary) => summariesChanged([summary]);
export const benchReducer = slice.reducer;
