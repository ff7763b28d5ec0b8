import { isTurned } from '../../base/loaders';
import type { Sister, Situation } from '../sizing';
import { forShapes, type SectionShape } from '../../base/shapes';
import type { Drawn } from './draw';
import { below } from './columns';
import { playOutcomes } from './kernel';
import type { Samples } from './samples';
import { addVerdict } from './verdicts';

/** A sister's own state has so many coordinates: path, friction twice, stiffness, rubber, motor, belt's length. */
export const SISTER_COORDINATES = 7;

/** How far motor and rubber differ from one machine to the next of a mechanism, as spreads of logarithms. No source. */
const MOTOR_APART = 0.08;
const RUBBER_APART = 0.12;
const PULL_APART = 0.08;

/**
 * What sister machines say of the drives that could be the one on the bench (partial pooling): they share the mechanism,
 * and each has wear, dirt and stiffness of its own, drawn beside it. Counted in is how well a sample explains what was
 * tried there, and what was measured.
 *
 * @param z coordinates of the sisters, seven each
 * @param logLikelihood to which it is added
 */
export function addSisters(
  situation: Situation,
  drawn: Drawn,
  z: readonly Float64Array[],
  logLikelihood: Float64Array,
): void {
  (situation.sisters ?? []).forEach((sister, index) => {
    const own = z.slice(index * SISTER_COORDINATES, (index + 1) * SISTER_COORDINATES);
    addSister(situation, drawn, sister, own, logLikelihood);
  });
}

function addSister(
  situation: Situation,
  { samples, stiffness, wide }: Drawn,
  sister: Sister,
  [zPath, zMotor, zDriven, zStiff, zRubber, zStall, zLength]: readonly Float64Array[],
  logLikelihood: Float64Array,
): void {
  if (!zPath || !zMotor || !zDriven || !zStiff || !zRubber || !zStall || !zLength) return;
  const { priors } = situation;
  const { count } = samples;
  const each = (of: (i: number) => number): Float64Array => {
    const list = new Float64Array(count);
    for (let i = 0; i < count; i++) list[i] = of(i);
    return list;
  };
  const at = (list: Float64Array, i: number): number => list[i] as number;
  const friction = (surface: Sister['motorSurface'], z: Float64Array) =>
    each((i) => Math.max(0.05, priors.friction[surface].best + priors.friction[surface].std * at(wide, i) * at(z, i)));
  const pathMm = each((i) => at(samples.pathMm, i) * (1 + priors.betweenMachines * at(zPath, i)));
  const found = sister.stiff ? priors.stiffnessLogStd : 0;
  const stiff = each((i) => Math.exp(Math.abs(priors.stiffnessLogStd * at(wide, i) * at(zStiff, i)) + found));
  if (sister.path) {
    const { value, std } = sister.path;
    for (let i = 0; i < count; i++) logLikelihood[i]! -= 0.5 * ((value - at(pathMm, i)) / Math.hypot(std, 0.3)) ** 2;
  }
  if (sister.trayPullN && !isTurned(situation.driven)) {
    const { value, std } = sister.trayPullN;
    for (let i = 0; i < count; i++) {
      const pullN = (at(samples.trayPullN, i) / at(stiffness, i)) * at(stiff, i);
      logLikelihood[i]! -= 0.5 * (Math.log(value / pullN) / Math.hypot(std / value, PULL_APART)) ** 2;
    }
  }
  if (sister.tries.length === 0) return;
  const apart = each((i) => Math.exp(RUBBER_APART * at(zRubber, i)));
  const shapes = new Set(sister.tries.map(({ belt }) => belt.shape));
  /** Only of the stocks that were tried there is the rubber asked for. */
  const rubber = (shape: SectionShape): Float64Array => {
    const list = samples.modulusMpa[shape];
    return shapes.has(shape) ? each((i) => at(list, i) * at(apart, i)) : list;
  };
  const there: Samples = {
    ...samples,
    pathMm,
    motorFriction: friction(sister.motorSurface, zMotor),
    drivenFriction: friction(sister.drivenSurface, zDriven),
    modulusMpa: forShapes(rubber),
    needNmm: each((i) => (at(samples.needNmm, i) / at(stiffness, i)) * at(stiff, i)),
    stallNmm: each((i) => at(samples.stallNmm, i) * Math.exp(MOTOR_APART * at(zStall, i))),
    heldThroughN: new Float64Array(count),
    lengthWithin: each((i) => 2 * below(at(zLength, i)) - 1),
  };
  const outcomes = playOutcomes(
    there,
    situation,
    sister.tries.map(({ belt }) => belt),
  );
  sister.tries.forEach(({ verdict }, index) =>
    addVerdict(outcomes.subarray(index * count, (index + 1) * count), verdict, logLikelihood),
  );
}
