import type { Drive, Surface } from '../drive';
import type { Demands, Requirements, SpeedWanted } from '../evaluation';
import type { Driven } from '../loaders';
import type { DriveFacts } from '../measuring';
import type { BeltSection } from '../rubber';
import type { Combined } from '../statistics';
import { ok, refuse, type Result, type SectionShape } from '../units';
import { DEFAULT_PRIORS, type Priors } from './priors';
import { DEFAULT_REQUIREMENTS } from './requirements';

/** What a belt is judged against: as much of the drive as is known, what is believed of the rest, what is demanded. */
export interface Situation {
  /** Inner path; the one thing that must be known. */
  readonly path: Combined;
  /** The pulleys, where they were measured. */
  readonly drive?: Drive | undefined;
  /** Diameters that are known although the drive as a whole is not, or with their uncertainty where it is. */
  readonly motorDiameter?: Combined | undefined;
  readonly drivenDiameter?: Combined | undefined;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  /** Surfaces of the idlers in their order; null or absent is as the driven pulley's. */
  readonly idlerSurfaces?: ReadonlyArray<Surface | null> | undefined;
  /** Section of the old belt, which lay in the groove. */
  readonly oldSection?: BeltSection | undefined;
  /** Pull of the tray, N; never of a spindle, which has none. */
  readonly trayPullN?: Combined | undefined;
  /** What holds the tray while the motor stands; or what the motor has at least. */
  readonly stallPullN?: Combined | undefined;
  readonly stallPullAtLeastN?: number | undefined;
  readonly travelPerTurnMm?: Combined | undefined;
  /** What the belt moves. */
  readonly driven: Driven;
  readonly priors: Priors;
  readonly demands: Demands;
}

/** The surface of an idler: its own, or as the driven pulley's. */
export const idlerSurface = (situation: Pick<Situation, 'idlerSurfaces' | 'drivenSurface'>, index: number): Surface =>
  situation.idlerSurfaces?.[index] ?? situation.drivenSurface;

/** What of a bench and a drive record bears on the choice. */
export interface SituationSetting {
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  readonly oldShape: SectionShape;
  readonly idlers?: ReadonlyArray<{ readonly surface: Surface | null }>;
  readonly driven?: Driven;
  readonly speed?: {
    readonly motorRpm: number;
    readonly targetRpm: number;
    readonly tolerancePercent: number;
  } | null;
  readonly priors?: Priors;
  readonly requirements?: Requirements;
}

const speedOf = (speed: SituationSetting['speed']): SpeedWanted | undefined =>
  speed ? { motorRpm: speed.motorRpm, targetRpm: speed.targetRpm, tolerance: speed.tolerancePercent / 100 } : undefined;

/**
 * What a belt can be judged against from the facts so far, or the next thing to measure.
 *
 * @returns the situation; or a sentence saying what is missing or impossible
 * @example situationOf(driveFacts([], setting), …).ok // false: Measure the path first…
 */
export function situationOf(facts: DriveFacts, setting: SituationSetting): Result<Situation> {
  if (facts.driveProblem) return refuse(facts.driveProblem);
  if (!facts.path) {
    return refuse(
      'Measure the path first: both pulleys and the distance between their shafts, or a string round them.',
    );
  }
  const { driven = 'tray' } = setting;
  return ok({
    path: facts.path,
    drive: facts.drive,
    motorDiameter: facts.motorDiameter,
    drivenDiameter: facts.drivenDiameter,
    motorSurface: setting.motorSurface,
    drivenSurface: setting.drivenSurface,
    idlerSurfaces: setting.idlers?.map(({ surface }) => surface),
    oldSection: facts.section && {
      shape: setting.oldShape,
      thicknessMm: facts.section.value,
      widthMm: setting.oldShape === 'flat' ? facts.width?.value : undefined,
    },
    ...(driven !== 'spindle' && {
      trayPullN: facts.trayPull,
      stallPullN: facts.stallPull,
      stallPullAtLeastN: facts.stallPullAtLeastN,
      travelPerTurnMm: facts.trayTravel,
    }),
    driven,
    priors: setting.priors ?? DEFAULT_PRIORS,
    demands: { requirements: setting.requirements ?? DEFAULT_REQUIREMENTS, speed: speedOf(setting.speed) },
  });
}

/**
 * What the old belt's length says beside the path: a finding, never an average.
 *
 * @returns undefined while either is unmeasured
 * @example oldBeltFinding(facts of a belt of 128.1 on a path of 127.1) // { slack: true, excessMm: 1, sure: false }
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
