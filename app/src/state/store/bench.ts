import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { TicketSummary } from '@loose-pulley/core/record/ticket';
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

export const summariesLoaded = createAction<{
  readonly summaries: readonly TicketSummary[];
  readonly setAside: readonly SetAside[];
}>('bench/summariesLoaded');
/** The newest of a full bench, while the rest is still read: they stand where they will. */
export const newestLoaded = createAction<readonly TicketSummary[]>('bench/newestLoaded');
export const summariesFailed = createAction<StoreProblem>('bench/summariesFailed');
export const summaryChanged = createAction<TicketSummary>('bench/summaryChanged');
export const summaryRemoved = createAction<string>('bench/summaryRemoved');

/** Without drafts, which would walk through ten thousand tickets at each change. */
export function benchReducer(state: BenchState = initialState, action: UnknownAction): BenchState {
  const without = (id: string) => state.summaries.filter((one) => one.id !== id);
  if (summariesLoaded.match(action)) {
    const { summaries, setAside } = action.payload;
    return { ...state, summaries: sorted(summaries), setAside, status: 'ready' };
  }
  if (newestLoaded.match(action))
    return state.status === 'loading' ? { ...state, summaries: sorted(action.payload) } : state;
  if (summariesFailed.match(action)) return { ...state, status: 'failed', problem: action.payload };
  if (summaryChanged.match(action))
    return { ...state, summaries: sorted([...without(action.payload.id), action.payload]) };
  if (summaryRemoved.match(action)) return { ...state, summaries: without(action.payload) };
  return state;
}
