import { configureStore, createSelector } from '@reduxjs/toolkit';
import type { Bench } from '@loose-pulley/core/driveView';
import { useDispatch, useSelector } from 'react-redux';
import { benchReducer, summaryAdapter } from './bench';
import { openTicketReducer } from './openTicket';
import { settingsReducer } from './settings';

export const store = configureStore({
  reducer: { settings: settingsReducer, bench: benchReducer, openTicket: openTicketReducer },
  // Records are large and replaced whole; walking them on every action would cost a frame.
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
});

export type RootState = ReturnType<typeof store.getState>;
export type AppDispatch = typeof store.dispatch;
export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

export const { selectAll: selectSummaries } = summaryAdapter.getSelectors((state: RootState) => state.bench);
const selectBench = createSelector(
  [({ settings }: RootState) => settings.priors, ({ settings }: RootState) => settings.requirements],
  (priors, requirements): Bench => ({ priors, requirements }),
);
/** What this bench believes and demands. */
export const useBench = () => useAppSelector(selectBench);
export const useUnit = () => useAppSelector(({ settings }) => settings.unit);
