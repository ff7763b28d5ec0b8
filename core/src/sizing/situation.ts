import type { DriveFacts } from '../measuring';
import { ok, refuse, type Result, type SectionShape } from '../units';
import type { Situation } from './judge';
import { limitsFor } from './driven';
import { DEFAULT_LIMITS, type Limits } from './limits';
import type { Driven } from '../loaders';
import type { Surface } from '../drive';

/**
 * What a belt can be judged against from the facts so far, or the next thing to measure.
 *
 * @returns the situation; or a sentence saying what is missing or impossible
 * @example situationOf(driveFacts([], setting), …).ok // false: Measure the path first…
 */
export function situationOf(
  facts: DriveFacts,
  bench: {
    readonly motorSurface: Surface;
    readonly drivenSurface: Surface;
    readonly oldShape: SectionShape;
    readonly others?: ReadonlyArray<{ readonly surface: Surface | null }>;
    readonly limits?: Limits;
    readonly driven?: Driven;
    readonly speed?: {
      readonly motorRpm: number;
      readonly targetRpm: number;
      readonly tolerancePercent: number;
    } | null;
  },
): Result<Situation> {
  if (facts.driveProblem) return refuse(facts.driveProblem);
  if (!facts.path) {
    return refuse(
      'Measure the path first: both pulleys and the distance between their shafts, or a string round them.',
    );
  }
  const { driven = 'tray' } = bench;
  return ok({
    path: facts.path,
    drive: facts.drive,
    motorDiameter: facts.motorDiameter,
    drivenDiameter: facts.drivenDiameter,
    motorSurface: bench.motorSurface,
    drivenSurface: bench.drivenSurface,
    oldSection: facts.section && {
      shape: bench.oldShape,
      thicknessMm: facts.section.value,
      widthMm: bench.oldShape === 'flat' ? facts.width?.value : undefined,
    },
    ...(driven !== 'spindle' && {
      trayPullN: facts.trayPull,
      stallPullN: facts.stallPull,
      stallPullAtLeastN: facts.stallPullAtLeastN,
      travelPerTurnMm: facts.trayTravel,
    }),
    idlerSurfaces: bench.others?.map(({ surface }) => surface),
    ...(bench.speed && {
      speed: {
        motorRpm: bench.speed.motorRpm,
        targetRpm: bench.speed.targetRpm,
        tolerance: bench.speed.tolerancePercent / 100,
      },
    }),
    driven,
    limits: limitsFor(bench.limits ?? DEFAULT_LIMITS, driven),
  });
}

/**
 * What the old belt's length says beside the path: a finding, never an average.
 *
 * @returns a sentence, or undefined while either is unmeasured
 * @example oldBeltFinding(128.1, 0.9, 127.1, 0.5) // 'The old belt hangs …'
 */
export function oldBeltFinding(
  facts: DriveFacts,
): { readonly slack: boolean; readonly excessMm: number; readonly sure: boolean } | undefined {
  const { oldBelt, path } = facts;
  if (!oldBelt || !path) return undefined;
  const excessMm = oldBelt.value - path.value;
  const std = Math.hypot(oldBelt.std, path.std);
  return { slack: excessMm > -0.01 * path.value, excessMm, sure: Math.abs(excessMm) > 2 * std };
}
