import type { Day, Job, Step } from '../../core/src/shop/schedule';
import { seeded } from '../../core/src/base/statistics';

/** Everything in a random day lasts whole multiples of this, so that the solver's grid is exact. */
export const GRID_MIN = 15;

/** A random day at the bench: two to eight tickets, two shifts today and two tomorrow, three benches, two drying places. */
export function randomDay(seed: number): Day {
  const draw = seeded(seed);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)] as T;
  const tickets = 2 + Math.floor(draw() * 7);
  const jobs = Array.from({ length: tickets }, (_, n): Job => {
    const steps = Array.from({ length: pick([1, 1, 2, 2, 3]) }, (__, k): Step => ({
      id: `${n}/${k}`,
      minutes: GRID_MIN * (1 + Math.floor(draw() * 4)),
      mayCut: false,
      waitAfter: GRID_MIN * pick([0, 0, 0, 1, 2, 4, 8]),
      waitsAt: pick(['shelf', 'bench', 'drying']),
      notBefore: GRID_MIN * pick([0, 0, 0, 0, 4, 8]),
      pinnedAt: null,
    }));
    // Promised tightly: somebody has to wait.
    const work = steps.reduce((sum, { minutes, waitAfter }) => sum + minutes + waitAfter, 0);
    const dueAt = GRID_MIN * Math.round((work + draw() * 30 * tickets) / GRID_MIN);
    return { id: String(n), steps, dueAt, weight: pick([1, 1, 2, 3, 5]) };
  });
  return {
    jobs,
    shifts: [
      { from: 0, to: 240 },
      { from: 300, to: 540 },
      { from: 1440, to: 1680 },
      { from: 1740, to: 1980 },
    ],
    benches: 3,
    dryingPlaces: 2,
  };
}
