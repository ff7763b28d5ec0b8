import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { BenchStock } from '@loose-pulley/core/belts/catalogue';
import type { BookRecord } from '@loose-pulley/core/shop/book';
import type { StoreProblem } from '../persistence/storage';

/** The bench book: drawer, orders and day. Read once the tickets are, since no ticket needs it to be shown. */
export interface BookState {
  readonly status: 'loading' | 'ready' | 'failed' | 'newer' | 'setAside';
  /** Why what lies in the store cannot be read; '' where it can. */
  readonly why: string;
  /** Null until it is read. */
  readonly record: BookRecord | null;
  /**
   * What this bench chooses among, as its drawer and series make it; undefined while it is what comes with the app. Worked
   * out with the record, by code that no first page needs.
   */
  readonly stock: BenchStock | undefined;
  readonly saving: 'kept' | 'saving' | 'failed';
  readonly problem: StoreProblem | null;
  /** What the drawer last said of a belt that a ticket took or put back, or of something refused. */
  readonly said: string;
}

const initialState: BookState = {
  status: 'loading',
  why: '',
  record: null,
  stock: undefined,
  saving: 'kept',
  problem: null,
  said: '',
};

export const bookChanged = createAction<Partial<BookState>>('book/bookChanged');

/** Without drafts: a drawer of thousands of sizes goes in as it is. */
export function bookReducer(state: BookState = initialState, action: UnknownAction): BookState {
  return bookChanged.match(action) ? { ...state, ...action.payload } : state;
}
