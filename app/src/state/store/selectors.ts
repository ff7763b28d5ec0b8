import { createSelector } from '@reduxjs/toolkit';
import type { Bench } from '@loose-pulley/core/driveView';
import { summaryAdapter } from './bench';
import type { RootState } from './types';

export const { selectAll: selectSummaries } = summaryAdapter.getSelectors((state: RootState) => state.bench);

/** What this bench believes and demands. */
export const selectBench = createSelector(
  [({ settings }: RootState) => settings.priors, ({ settings }: RootState) => settings.requirements],
  (priors, requirements): Bench => ({ priors, requirements }),
);
