import { innerPath, type Drive } from '../../physics/drive';
import {
  combineEstimates,
  modesOf,
  momentsOfModes,
  spreadAbout,
  type Combined,
  type Estimate,
  type Mode,
} from '../../base/statistics';
import type { UsualSlip } from './usualSlips';

/** What says how long the path is. */
export type PathSource = 'pulleys' | 'string';

/** One way in which what is known of a path hangs together. */
export interface PathMode extends Combined {
  readonly weight: number;
  /** What is a misreading then; absent where nothing is. */
  readonly misread?: PathSource;
}

/** Two that cannot both be true of one path. */
export interface PathConflict {
  readonly pulleys: Combined;
  readonly string: Combined;
  /** The one that stands alone, where the old belt or a usual slip speaks against it. */
  readonly alone?: PathSource;
  /** The slip that would explain it, as a question. */
  readonly question?: string;
  /** Root of χ² over its degrees of freedom: how many times as far apart as their uncertainties tell. */
  readonly birge: number;
}

/** The inner path from all that is known of it. */
export interface PathKnown {
  /** The likeliest; how far all the ways spread about it. */
  readonly path: Combined;
  /** The ways by the readings of the path alone, where there is more than one worth counting. */
  readonly modes?: readonly PathMode[];
  readonly conflict?: PathConflict;
}

/** A way of less chance than this is not counted. */
const COUNTED = 0.01;
/** With such a chance one of two stands alone. No source. */
const ALONE = 0.8;
/* How a path lies to the old belt of which nothing is said, as the logarithm: and how often it tells nothing. No source. */
const OVER_OLD = { best: 0.02, std: 0.03 };
const OLD_TELLS_NOTHING = 0.1;
/** How deep a groove is where it was not measured, mm. Common practice, no source. */
const GROOVE_DEEP_MM = 1;

/**
 * The path by pulleys and distance, by a string, or by both: where both cannot be true one of them is a misreading, and
 * until it is known which, either may be. The old belt, which is about as long as its path, speaks for one of them.
 *
 * @param strings each reading by itself: one that was read again and came to the same is hardly a misreading
 * @param drive for the slips of the pulleys
 * For instance pathOf({ pulleys: 130.35 ± 1, strings: [97.5 ± 1] }).modes: 130.35 and 97.5, each at a half
 */
export function pathOf({
  pulleys,
  strings = [],
  drive,
  grooveDepthMm = GROOVE_DEEP_MM,
  oldBelt,
}: {
  readonly pulleys?: Combined | undefined;
  readonly strings?: ReadonlyArray<{ readonly estimate: Estimate; readonly slips: readonly UsualSlip[] }>;
  readonly drive?: Drive | undefined;
  readonly grooveDepthMm?: number | undefined;
  readonly oldBelt?: Combined | undefined;
}): PathKnown | undefined {
  const estimates = [
    ...(pulleys ? [{ value: pulleys.value, ownStd: pulleys.std, shared: {} }] : []),
    ...strings.map(({ estimate }) => estimate),
  ];
  const string = combineEstimates(strings.map(({ estimate }) => estimate));
  if (!pulleys || !string) {
    const ways = modesOf(estimates);
    return ways.length > 0 ? { path: momentsOfModes(ways) } : undefined;
  }
  const pulleySlips = drive ? slipsOfPulleys(drive, grooveDepthMm) : [];
  const wouldBe = (slips: readonly UsualSlip[]) => slips.flatMap(({ wouldBeMm }) => wouldBeMm ?? []);
  const sourceOf = (index: number): PathSource => (index === 0 ? 'pulleys' : 'string');
  const ways = modesOf(estimates, (index) => wouldBe(index === 0 ? pulleySlips : (strings[index - 1]?.slips ?? [])));
  const weighed = weighedByOld(ways, oldBelt);
  const [first] = weighed;
  if (!first) return undefined;
  const modes = ways
    .filter(({ weight }) => weight > COUNTED)
    .map(({ misread, ...mode }): PathMode => ({
      ...mode,
      ...(misread !== undefined && { misread: sourceOf(misread) }),
    }));
  const path = { value: first.value, std: spreadAbout(weighed, first.value) };
  if (modes.length < 2 && first.misread === undefined) return { path };
  const fits = weighed.find(({ misread }) => misread === undefined)?.weight ?? 0;
  if (fits > 0.5) return { path, modes };
  // One string of several that stands alone is odd among strings; what the others come to is not in doubt.
  if (strings.length > 1 && first.weight > ALONE && (first.misread ?? 0) > 0) return { path, modes };
  const alone = first.weight > ALONE && first.misread !== undefined ? sourceOf(first.misread) : undefined;
  const stringSlips = strings.flatMap(({ slips }) => slips);
  const near = (slips: readonly UsualSlip[], mm: number) =>
    slips.find(({ wouldBeMm }) => wouldBeMm !== undefined && Math.abs(wouldBeMm - mm) < NEAR * mm)?.question;
  const question =
    alone === 'string'
      ? near(stringSlips, pulleys.value)
      : alone === 'pulleys'
        ? near(pulleySlips, string.value)
        : (near(stringSlips, pulleys.value) ?? near(pulleySlips, string.value));
  const birge = Math.abs(pulleys.value - string.value) / Math.hypot(pulleys.std, string.std);
  return {
    path,
    modes,
    conflict: { pulleys, string, birge, ...(alone && { alone }), ...(question && { question }) },
  };
}
/** How near a slip must come to explain the other, relative. */
const NEAR = 0.015;

/** What the path would be, had the pulleys or their distance been read with a usual slip. */
function slipsOfPulleys(drive: Drive, grooveDepthMm: number): readonly UsualSlip[] {
  const [motor, driven] = [drive.motorPulley, drive.drivenPulley];
  const halves = (motor.bottomDiameterMm + driven.bottomDiameterMm) / 2;
  const bottom = <T extends { bottomDiameterMm: number }>(pulley: T, to: number): T => ({
    ...pulley,
    bottomDiameterMm: to,
  });
  const changed: ReadonlyArray<readonly [question: string, drive: Drive]> = [
    [
      'The pulleys read over their rims instead of in the groove?',
      {
        ...drive,
        motorPulley: bottom(motor, motor.bottomDiameterMm - 2 * grooveDepthMm),
        drivenPulley: bottom(driven, driven.bottomDiameterMm - 2 * grooveDepthMm),
      },
    ],
    [
      'The distance read over the outsides instead of shaft to shaft?',
      { ...drive, centreDistanceMm: drive.centreDistanceMm - halves },
    ],
    [
      'The gap between the pulleys read instead of shaft to shaft?',
      { ...drive, centreDistanceMm: drive.centreDistanceMm + halves },
    ],
    [
      'The driven pulley’s radius read as its Ø?',
      { ...drive, drivenPulley: bottom(driven, 2 * driven.bottomDiameterMm) },
    ],
    ['Twice the driven pulley’s Ø read?', { ...drive, drivenPulley: bottom(driven, driven.bottomDiameterMm / 2) }],
  ];
  return changed.flatMap(([question, slipped]) => {
    if (slipped.motorPulley.bottomDiameterMm <= 0 || slipped.drivenPulley.bottomDiameterMm <= 0) return [];
    const path = innerPath(slipped);
    return path.ok ? [{ question, wouldBeMm: path.value.lengthMm }] : [];
  });
}

/** The ways, weighed by how well the old belt would lie in each. */
function weighedByOld(modes: readonly Mode[], oldBelt: Combined | undefined): readonly Mode[] {
  if (!oldBelt) return modes;
  const weights = modes.map(({ value, std, weight }) => {
    const off = Math.log(value / oldBelt.value) - OVER_OLD.best;
    const spread = Math.hypot(OVER_OLD.std, std / value, oldBelt.std / oldBelt.value);
    const told = Math.exp(-0.5 * (off / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI));
    return weight * ((1 - OLD_TELLS_NOTHING) * told + OLD_TELLS_NOTHING);
  });
  const sum = weights.reduce((all, one) => all + one, 0);
  return modes
    .map((mode, index) => ({ ...mode, weight: (weights[index] as number) / sum }))
    .sort((a, b) => b.weight - a.weight);
}
