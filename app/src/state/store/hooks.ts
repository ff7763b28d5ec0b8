import { useCallback } from 'react';
import { useDispatch, useSelector, useStore } from 'react-redux';
import type { AppDispatch, RootState } from './types';

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();

/** Reads the state as it is at the moment of an event, without drawing anew when it changes. */
export const useNowState = (): (() => RootState) => {
  const store = useStore<RootState>();
  return useCallback(() => store.getState(), [store]);
};

export const useUnit = () => useAppSelector(({ settings }) => settings.unit);

export { selectItems, selectOrders, selectSummaries } from './selectors';
