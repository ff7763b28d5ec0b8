import {
  checkPriors,
  checkRequirements,
  DEFAULT_PRIORS,
  DEFAULT_REQUIREMENTS,
  priorsOfLimits,
  requirementsOfLimits,
} from '@loose-pulley/core/belts/sizing';
import type { Bench } from '@loose-pulley/core/views/drive';
import { shallowEqual } from 'react-redux';
import { useAppSelector } from './hooks';
import type { Settings } from './settings';
import type { RootState } from './types';

/** Looked over once for each object that was kept, so that what hangs on it is worked out once too. */
function once<T>(check: (kept: object) => T, otherwise: T): (kept: unknown) => T {
  const checked = new WeakMap<object, T>();
  return (kept) => {
    if (typeof kept !== 'object' || kept === null) return otherwise;
    const known = checked.get(kept) ?? check(kept);
    checked.set(kept, known);
    return known;
  };
}
const priorsIn = once(checkPriors, DEFAULT_PRIORS);
const priorsInLimits = once((limits) => checkPriors(priorsOfLimits(limits)), DEFAULT_PRIORS);
const requirementsIn = once(checkRequirements, DEFAULT_REQUIREMENTS);
const requirementsInLimits = once((limits) => checkRequirements(requirementsOfLimits(limits)), DEFAULT_REQUIREMENTS);

/** What a bench believes and demands by its settings, made whole figure by figure. */
export const assumptionsOf = ({
  priors,
  requirements,
  limits,
}: Pick<Settings, 'priors' | 'requirements' | 'limits'>) => ({
  priors: priors === undefined ? priorsInLimits(limits) : priorsIn(priors),
  requirements: requirements === undefined ? requirementsInLimits(limits) : requirementsIn(requirements),
});

/** @returns equal parts for equal settings: compared shallowly */
const selectBench = ({ settings, book }: RootState): Bench => ({
  ...assumptionsOf(settings),
  toBeHad: settings.toBeHad,
  stock: book.stock,
});

/** What this bench believes and demands. */
export const useBench = (): Bench => useAppSelector(selectBench, shallowEqual);
