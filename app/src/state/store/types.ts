import { combineReducers, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import type { Keeper } from '../persistence/keeper';
import type { WritingRights } from '../persistence/rights';
import { benchReducer } from './bench';
import { bookReducer } from './book';
import { openTicketReducer } from './openTicket';
import { settingsReducer } from './settings';

export const rootReducer = combineReducers({
  settings: settingsReducer,
  bench: benchReducer,
  book: bookReducer,
  openTicket: openTicketReducer,
});
export type RootState = ReturnType<typeof rootReducer>;

/** What thunks work with beside the state: one of each for a store, so that a test makes its own. */
export interface Services {
  readonly keeper: Keeper;
  readonly rights: WritingRights;
}
export type AppDispatch = ThunkDispatch<RootState, Services, UnknownAction>;
export type Thunk<T = void> = (dispatch: AppDispatch, getState: () => RootState, services: Services) => T;
