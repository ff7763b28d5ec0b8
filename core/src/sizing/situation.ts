import type { Belt, Drive, Surface } from '../drive';
import type { Demands, Requirements, SpeedWanted } from '../evaluation';
import type { Driven } from '../loaders';
import type { DriveFacts } from '../measuring';
import type { BeltSection } from '../rubber';
import type { Combined } from '../statistics';
import { ok, refuse, type Result, type SectionShape } from '../units';
import { DEFAULT_PRIORS, type Priors } from './priors';
import { DEFAULT_REQUIREMENTS } from './requirements';

/** How the old belt was found. */
export const OLD_STATES = ['unknown', 'taut', 'hanging', 'broken', 'crumbs', 'swollen', 'stopgap'] as const;
export type OldState = (typeof OLD_STATES)[number];

/** A machine with the same mechanism: what was seen and measured of it, and what was tried there. */
export interface Sister {
  readonly number: string;
  readonly path?: Combined | undefined;
  readonly trayPullN?: Combined | undefined;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  readonly tries: ReadonlyArray<{
    readonly belt: Belt & { readonly innerLengthToleranceMm: number };
    readonly verdict: 'right' | 'tooLoose' | 'tooTight' | 'twisted';
  }>;
}

/** What a belt is judged against: as much of the drive as is known, what is believed of the rest, what is demanded. */
export interface Situation {
  /** Inner path, which must be known; or the old belt's length, where that is all there is (`pathFromOldBelt`). */
  readonly path: Combined;
  /** The path was not measured: `path` is the old belt's length, from which it is inferred. */
  readonly pathFromOldBelt?: boolean;
  /** The old belt as it is now, relaxed, and how it was found. */
  readonly oldBelt?: Combined | undefined;
  readonly oldState?: OldState | undefined;
  /** What the belt moves was found to go stiffly. */
  readonly stiff?: boolean | undefined;
  /** Machines with the same mechanism, and what the bench said of belts there. */
  readonly sisters?: readonly Sister[] | undefined;
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
  readonly oldState?: OldState;
  readonly stiff?: boolean;
  readonly sisters?: readonly Sister[];
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
  const { driven = 'tray', oldState = 'unknown' } = setting;
  // Of crumbs no length is known; anything else of an old belt says about how long its path is.
  const path = facts.path ?? (oldState === 'crumbs' ? undefined : facts.oldBelt);
  if (!path) {
    return refuse(
      'Measure the path first: both pulleys and the distance between their shafts, a string round them, or the old belt alone.',
    );
  }
  return ok({
    path,
    ...(!facts.path && { pathFromOldBelt: true }),
    oldBelt: facts.oldBelt,
    oldState,
    stiff: setting.stiff,
    sisters: setting.sisters,
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
