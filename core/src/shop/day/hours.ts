import type { DayState, OpeningShift } from './schema';

/** Open on weekdays from nine to half past twelve and from one to half past five, until a bench says otherwise. */
const USUAL: readonly OpeningShift[] = [
  { fromMin: 540, toMin: 750 },
  { fromMin: 780, toMin: 1050 },
];
const USUAL_HOURS: ReadonlyArray<readonly OpeningShift[]> = [USUAL, USUAL, USUAL, USUAL, USUAL, [], []];

/** The hours of a bench, Monday first. */
export const hoursOf = ({ hours }: Pick<DayState, 'hours'>): ReadonlyArray<readonly OpeningShift[]> =>
  hours.length === 7 ? hours : USUAL_HOURS;
