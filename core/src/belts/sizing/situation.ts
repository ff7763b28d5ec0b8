import type { Belt, Drive, OldState, Surface } from '../../physics/drive';
import type { Demands, Requirements, SpeedWanted } from '../../physics/evaluation';
import { isTurned, type Driven } from '../../base/loaders';
import type { DriveFacts } from '../measuring';
import type { BeltSection } from '../../physics/rubber';
import type { Combined } from '../../base/statistics';
import { ok, refuse, type Result } from '../../base/units';
import { type SectionShape, shapeOf } from '../../base/shapes';
import { DEFAULT_PRIORS, type Priors } from './priors';
import { DEFAULT_REQUIREMENTS } from './requirements';
import type { Room } from './room';

/** A machine with the same mechanism: what was seen and measured of it, and what was tried there. */
export interface Sister {
  readonly number: string;
  readonly path?: Combined | undefined;
  readonly trayPullN?: Combined | undefined;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  /** What its belt moves was found to go stiffly there. */
  readonly stiff?: boolean | undefined;
  readonly tries: ReadonlyArray<{
    readonly belt: Belt & { readonly innerLengthToleranceMm: number };
    readonly verdict: 'right' | 'tooLoose' | 'tooTight' | 'twisted';
  }>;
}

/** What a belt is judged against: as much of the drive as is known, what is believed of the rest, what is demanded. */
export interface Situation {
  /** Inner path, measured or inferred. */
  readonly path: Combined;
  /** What the path may be, where its readings cannot all be true: any one of these, by its weight. */
  readonly pathModes?: ReadonlyArray<Combined & { readonly weight: number }> | undefined;
  /** The path was not measured: it is inferred from the old belt, and `path` is a first estimate of that. */
  readonly pathFromOldBelt?: boolean;
  /** Nothing was measured: `path` is what machines of the mechanism have. */
  readonly pathFromSisters?: boolean;
  /** The old belt as it is now, relaxed, and how it was found. */
  readonly oldBelt?: Combined | undefined;
  readonly oldState?: OldState | undefined;
  /** Of the old belt only pieces were measured: it was at least as long, mm, and `oldBelt` is what it may have been. */
  readonly oldAtLeastMm?: number | undefined;
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
  /** How well its thickness is known, where it was read. */
  readonly oldSectionStdMm?: number | undefined;
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
  /**
   * The room in which it has to work: where it was found to fail, if that is not the bench. All else of a situation was
   * read on the bench and is told of it.
   */
  readonly room?: Room | undefined;
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
    readonly motorRpm: number | null;
    readonly targetRpm: number | null;
    readonly tolerancePercent: number;
  } | null;
  readonly oldState?: OldState;
  readonly stiff?: boolean;
  readonly sisters?: readonly Sister[];
  /** What machines of the mechanism say of its path and section, where nothing of this one is measured. */
  readonly mechanismPath?: Combined | undefined;
  readonly mechanismSection?: BeltSection | undefined;
  readonly priors?: Priors;
  readonly requirements?: Requirements;
  readonly room?: Room | undefined;
}

/** How far off a spindle may turn, in per cent, until it is said otherwise. Common practice for disk drives, no source. */
export const SPINDLE_TOLERANCE_PERCENT = 1.5;

/** What turns a spindle is judged by its speed from the start; anything else where a speed is said to matter. */
function speedOf(speed: SituationSetting['speed'], driven: Driven): SpeedWanted | undefined {
  if (!speed) return isTurned(driven) ? { tolerance: SPINDLE_TOLERANCE_PERCENT / 100 } : undefined;
  return {
    motorRpm: speed.motorRpm ?? undefined,
    targetRpm: speed.targetRpm ?? undefined,
    tolerance: speed.tolerancePercent / 100,
  };
}

/**
 * What a belt can be judged against from the facts so far, or the next thing to measure.
 *
 * @returns the situation; or a sentence saying what is missing or impossible
 * @example situationOf(driveFacts([], setting), driveRecord) // refuses: Measure the path first…
 */
export function situationOf(facts: DriveFacts, setting: SituationSetting): Result<Situation> {
  if (facts.driveProblem) return refuse(facts.driveProblem);
  const { driven = 'tray', oldState = 'unknown' } = setting;
  // Of crumbs only the least is known; anything else of an old belt says about how long its path is.
  const whole = oldState === 'crumbs' ? undefined : facts.oldBelt;
  const pieces = !facts.path && !whole && facts.oldBeltAtLeastMm ? ofPieces(facts.oldBeltAtLeastMm) : undefined;
  const oldBelt = whole ?? pieces;
  const path = facts.path ?? (oldBelt ? pathOfOldBelt(oldBelt, oldState) : setting.mechanismPath);
  if (!path) {
    return refuse(
      'Measure the path first: both pulleys and the distance between their shafts, a string round them, or the old belt alone; in pieces it says the least.',
    );
  }
  return ok({
    path,
    ...(facts.pathModes && { pathModes: facts.pathModes }),
    ...(!facts.path && oldBelt && { pathFromOldBelt: true }),
    ...(!facts.path && !oldBelt && { pathFromSisters: true }),
    oldBelt,
    ...(pieces && { oldAtLeastMm: facts.oldBeltAtLeastMm }),
    oldState,
    stiff: setting.stiff,
    ...(setting.room && { room: setting.room }),
    sisters: setting.sisters,
    drive: facts.drive,
    motorDiameter: facts.motorDiameter,
    drivenDiameter: facts.drivenDiameter,
    motorSurface: setting.motorSurface,
    drivenSurface: setting.drivenSurface,
    idlerSurfaces: setting.idlers?.map(({ surface }) => surface),
    oldSection: oldSectionOf(facts, setting.oldShape, oldState) ?? setting.mechanismSection,
    ...(facts.section && oldState !== 'stopgap' && { oldSectionStdMm: facts.section.std }),
    ...(!isTurned(driven) && {
      trayPullN: facts.trayPull,
      stallPullN: facts.stallPull,
      stallPullAtLeastN: facts.stallPullAtLeastN,
      travelPerTurnMm: facts.trayTravel,
    }),
    driven,
    priors: setting.priors ?? DEFAULT_PRIORS,
    demands: { requirements: setting.requirements ?? DEFAULT_REQUIREMENTS, speed: speedOf(setting.speed, driven) },
  });
}

/** How far a path lies above the old belt's length, and how sure that is, by how the belt was found. No source. */
const ABOVE_OLD: Readonly<Record<OldState, readonly [above: number, std: number]>> = {
  unknown: [0.018, 0.018],
  taut: [0.025, 0.015],
  hanging: [0, 0.01],
  broken: [0.018, 0.018],
  swollen: [-0.01, 0.025],
  stopgap: [0.03, 0.05],
  crumbs: [0.018, 0.03],
};

/** What crumbles off a belt before its pieces are laid in a row, relative. From memory of the trade, no source. */
const CRUMBLED = { best: 0.04, std: 0.04 };

/** What a belt may have been of which so much was found. */
const ofPieces = (atLeastMm: number): Combined => ({
  value: atLeastMm * (1 + CRUMBLED.best),
  std: atLeastMm * CRUMBLED.std,
});

function pathOfOldBelt(oldBelt: Combined, state: OldState): Combined {
  const [above, std] = ABOVE_OLD[state];
  return { value: oldBelt.value * (1 + above), std: Math.hypot(oldBelt.std, std * oldBelt.value) };
}

/**
 * The section that the drive was made for: of the belt itself, or where that is gone of the groove it lay in. What was
 * put on for a while tells nothing of it.
 */
function oldSectionOf(facts: DriveFacts, shape: SectionShape, state: OldState): BeltSection | undefined {
  const wide = shapeOf(shape).hasWidth;
  const groove = wide ? undefined : facts.grooveSection;
  const across = state === 'stopgap' ? groove : (facts.section ?? groove);
  if (!across) return undefined;
  return {
    shape,
    thicknessMm: across.value,
    widthMm: wide ? (facts.width?.value ?? facts.grooveWidth?.value) : undefined,
  };
}
