import type { Practice } from '@loose-pulley/core/record/stations';
import type { Stands } from '@loose-pulley/lab/practice';

/** How the machine stands by the hands that were laid on it; it comes in plugged and closed. */
export const standsOf = ({ hands }: Pick<Practice, 'hands'>): Stands =>
  hands.reduce<Stands>(
    (now, hand) => {
      if (hand.do === 'power') return { ...now, powered: hand.what === 'on' };
      if (hand.do === 'open') return { ...now, lidOn: false };
      return hand.do === 'close' ? { ...now, lidOn: true } : now;
    },
    { powered: true, lidOn: true },
  );

/** Minutes on the work clock. */
export const minutesOn = ({ hands }: Pick<Practice, 'hands'>): number =>
  hands.reduce((sum, { minutes }) => sum + minutes, 0);

/** As the clock says it. @example clockWords(61.5) // '62 min' */
export const clockWords = (minutes: number): string => `${Math.round(minutes)} min`;
