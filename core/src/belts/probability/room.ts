import { bellCurve, seeded } from '../../base/statistics';
import { needTimes } from '../../physics/cycle';
import { GUIDE_PRIORS, type Bounds, type Situation } from '../sizing';
import type { Samples } from './samples';

/**
 * The same drives in the room in which the machine has to work: what was read and tried was so on the bench, and what moves
 * takes more where it is cold. Without a room they are what they are.
 */
export function inRoom(samples: Samples, { room }: Pick<Situation, 'room'>, seed: number): Samples {
  if (!room) return samples;
  const bell = bellCurve(seeded(seed + 11));
  const drawn = ({ best, std, min, max }: Bounds): number => Math.min(max, Math.max(min, best + std * bell()));
  const needNmm = samples.needNmm.map(
    (nmm) =>
      nmm * needTimes(room, { greaseShare: drawn(GUIDE_PRIORS.greaseShare), restShare: drawn(GUIDE_PRIORS.restShare) }),
  );
  return { ...samples, needNmm };
}
