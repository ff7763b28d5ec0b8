import { createSelector } from '@reduxjs/toolkit';
import type { Bench } from '@loose-pulley/core/driveView';
import type { RootState } from './types';

/** Every ticket in short, newest number first. */
export const selectSummaries = ({ bench }: RootState) => bench.summaries;

/** What this bench believes and demands. */
export const selectBench = createSelector(
  [
    ({ settings }: RootState) => settings.priors,
    ({ settings }: RootState) => settings.requirements,
    ({ settings }: RootState) => settings.toBeHad,
  ],
  (priors, requirements, toBeHad): Bench => ({ priors, requirements, toBeHad }),
);
