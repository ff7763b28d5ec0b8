import type { Drive, Groove, Idler, Pulley } from '../../physics/drive';
import { innerPath } from '../../physics/drive';
import {
  modesOf,
  momentsOfModes,
  oddOnesOut,
  rootSumSquares,
  type Combined,
  type Estimate,
} from '../../base/statistics';
import { findMethod } from './methods';
import { pathOf, type PathKnown } from './pathOf';
import { readReading, type ReadReading } from './read';
import { usualSlips } from './usualSlips';
import type { Wraps } from './types';
import type { Measurand, Reading } from './schema';

/** What is known of a drive's geometry besides its readings. */
export interface DriveSetting {
  readonly crossed: boolean;
  readonly motorGroove: Groove;
  readonly drivenGroove: Groove;
  readonly idlers?: readonly Idler[];
}

/** One reading with what it came to, or why it came to nothing yet. */
export interface ReadingResult {
  readonly reading: Reading;
  readonly read?: ReadReading;
  readonly problem?: string;
  /** Lies more than two standard uncertainties from the others of its kind. */
  readonly odd: boolean;
}

/** Everything that a drive's readings say together. Absent means not measured yet. All ± are k = 1. */
export interface DriveFacts {
  readonly results: readonly ReadingResult[];
  readonly section?: Combined;
  /** Why the section is no measurement, where nobody took one; every page and paper that names it says so. */
  readonly sectionUnmeasured?: 'by likeness' | 'as usual';
  /** Width of a flat belt. */
  readonly width?: Combined;
  /** The groove where the belt lay, at its bottom; and the section that such a groove is made for. */
  readonly grooveWidth?: Combined;
  readonly grooveDepth?: Combined;
  readonly grooveSection?: Combined;
  readonly motorDiameter?: Combined;
  readonly drivenDiameter?: Combined;
  readonly centreDistance?: Combined;
  readonly trayTravel?: Combined;
  readonly trayPull?: Combined;
  /** The pull as it was before the latest treatment, where it was read then as well. */
  readonly trayPullBefore?: Combined;
  /** What holds the tray while the motor stands. */
  readonly stallPull?: Combined;
  /** What held it while the belt slipped: the motor has at least that. */
  readonly stallPullAtLeastN?: number;
  /** The two pulleys at their distance, once all three are known, possible or not. */
  readonly drive?: Drive;
  /** Why the drive cannot be, where it cannot. */
  readonly driveProblem?: string;
  readonly geometricPath?: Combined;
  readonly stringPath?: Combined;
  /** How far round the pulleys a string lies, where that is not one turn. */
  readonly stringWraps?: Wraps;
  /** The inner path from all that is known of it: the likeliest, with all that it may be otherwise in its spread. */
  readonly path?: Combined;
  /** What was read several times, one of which must be a misreading, nobody knows which. */
  readonly apart?: readonly Measurand[];
  /** What the path may be, where the readings of it do not hang together in one way only. */
  readonly pathModes?: NonNullable<PathKnown['modes']>;
  readonly pathConflict?: NonNullable<PathKnown['conflict']>;
  /** The old belt as it came, relaxed: inner length. */
  readonly oldBelt?: Combined;
  /** The same belt after it was warmed to shrink, where it was. */
  readonly warmedBelt?: Combined;
  /** The least it can have been, from pieces. */
  readonly oldBeltAtLeastMm?: number;
}

/* A groove is a little wider than its belt, and a belt stands a little above its rim. Common practice, no source. */
const GROOVE_PLAY_MM = 0.2;
const ABOVE_RIM = 1.15;
const GROOVE_SECTION_STD_MM = 0.15;

/* What a treatment changes: of these only the readings of one state of the machine are put together. */
const CHANGED_BY_TREATMENT: ReadonlySet<Measurand> = new Set(['trayPull', 'stallPull']);
/** Those, and the old belt, which may be warmed. */
const MANY_ROUNDS: ReadonlySet<Measurand> = new Set(['trayPull', 'stallPull', 'oldBelt']);
const roundOf = ({ round = 0 }: Pick<Reading, 'round'>): number => round;

/**
 * The round of a measurand that counts: the latest of a pull, the first of an old belt, which tells of the path only as
 * it came.
 */
function rounds(
  readings: readonly Reading[],
  measurand: Measurand,
): { readonly counts: number; readonly other?: number } {
  const all = [...new Set(readings.filter((one) => one.measurand === measurand).map(roundOf))].sort((a, b) => a - b);
  const [first = 0] = all;
  const last = all[all.length - 1] ?? 0;
  const before = all[all.length - 2];
  if (CHANGED_BY_TREATMENT.has(measurand)) return { counts: last, ...(before !== undefined && { other: before }) };
  return { counts: first, ...(last > first && { other: last }) };
}

/** The thickness of belt that a groove is made for: what fits between its flanks, and stands about level with its rim. */
function sectionOfGroove(width: Combined | undefined, depth: Combined | undefined): Combined | undefined {
  const byWidth = width && { value: Math.max(0.3, width.value - GROOVE_PLAY_MM), std: width.std };
  const byDepth = depth && { value: ABOVE_RIM * depth.value, std: ABOVE_RIM * depth.std };
  const least = byWidth && byDepth ? (byWidth.value < byDepth.value ? byWidth : byDepth) : (byWidth ?? byDepth);
  return least && { value: least.value, std: Math.hypot(least.std, GROOVE_SECTION_STD_MM) };
}

/** Standard uncertainty of a idler's place and diameter. Common practice, no source. */
const OTHER_STD_MM = 0.3;
const STEP_MM = 0.01;

/* What crossing, and each pulley at the belt's back, adds to the wraps until the pulleys are measured. No source. */
const CROSSED_RAD = { best: 1.4, std: 0.4 };
const BACK_RAD = { best: 1.6, std: 0.8 };

/** Half way out to the centre line of a usual string, 0.8 mm: what it adds is by the wraps there. */
const HALF_WAY_MM = 0.2;
const grownBy = (drive: Drive, byMm: number): Drive => {
  const grown = <T extends Pulley>(pulley: T): T => ({
    ...pulley,
    bottomDiameterMm: pulley.bottomDiameterMm + 2 * byMm,
  });
  return {
    ...drive,
    motorPulley: grown(drive.motorPulley),
    drivenPulley: grown(drive.drivenPulley),
    idlers: drive.idlers?.map(grown),
  };
};

/** How far round its pulleys a string lies: by the measured path, or else by what such drives are like. */
function wrapsOf(setting: DriveSetting, drive: Drive | undefined): Wraps | undefined {
  const backs = (setting.idlers ?? []).filter(({ back }) => back).length;
  if (!setting.crossed && backs === 0) return undefined;
  const path = drive && innerPath(grownBy(drive, HALF_WAY_MM));
  if (path?.ok) return { sumRad: path.value.wrapsRad.reduce((sum, wrap) => sum + wrap, 0), std: 0 };
  const crossings = setting.crossed ? 1 : 0;
  return {
    sumRad: 2 * Math.PI + crossings * CROSSED_RAD.best + backs * BACK_RAD.best,
    std: rootSumSquares([crossings * CROSSED_RAD.std, backs * BACK_RAD.std]),
  };
}

/** Inner path by pulleys and distance, with its uncertainty: ∂P/∂r is the wrap; the rest by small steps. */
function pathFromGeometry(
  drive: Drive,
  d1: Combined,
  d2: Combined,
  c: Combined,
): { path?: Combined; problem?: string } {
  const path = innerPath(drive);
  if (!path.ok) return { problem: path.problem };
  const [motorWrap = 0, drivenWrap = 0] = path.value.wrapsRad;
  const at = (changed: Partial<Drive>): number => {
    const moved = innerPath({ ...drive, ...changed });
    return moved.ok ? moved.value.lengthMm - path.value.lengthMm : 0;
  };
  const others = drive.idlers ?? [];
  // An idler's place and size are typed once and carry the ordinary error of a rule.
  const further = others.flatMap((one, index) =>
    (['xMm', 'yMm', 'bottomDiameterMm'] as const).map((key) =>
      at({ idlers: others.map((each, i) => (i === index ? { ...each, [key]: each[key] + OTHER_STD_MM } : each)) }),
    ),
  );
  const apart = at({ centreDistanceMm: c.value + STEP_MM }) / STEP_MM;
  const std = rootSumSquares([(motorWrap * d1.std) / 2, (drivenWrap * d2.std) / 2, apart * c.std, ...further]);
  return { path: { value: path.value.lengthMm, std } };
}

/** With such a chance it is known which of several readings is the misreading. No source. */
const KNOWN = 0.8;

/** Several readings of one thing: all true, or one of them a misreading, and as unsure as that leaves it. */
const together = (estimates: readonly Estimate[]): Combined | undefined =>
  estimates.length === 0 ? undefined : momentsOfModes(modesOf(estimates));

/** A label tells what a belt was, a likeness what it may be, the hand what it is: where it measured, only that counts. */
function byHandOf(list: readonly Reading[]): readonly Reading[] {
  const byHand = list.filter(({ method }) => !findMethod(method)?.nominal);
  return byHand.length > 0 ? byHand : list;
}

/** Likeness goes before usage: somebody looked. */
function unmeasured(sections: readonly Reading[]): Pick<DriveFacts, 'sectionUnmeasured'> {
  const methods = sections.map(({ method }) => findMethod(method));
  if (methods.length === 0 || methods.some((method) => !method?.nominal)) return {};
  const looked = methods.some((method) => method?.id === 'sectionAsThickAs');
  return { sectionUnmeasured: looked ? 'by likeness' : 'as usual' };
}

/**
 * Puts a drive's readings together: like with like, never the old belt with the path, which are different things.
 * Readings whose section is not measured yet say so and wait.
 *
 * Cost: quadratic in the readings of one kind, of which there are few.
 *
 * @example driveFacts(readings, setting).path?.value // 127.106
 */
export function driveFacts(readings: readonly Reading[], setting: DriveSetting): DriveFacts {
  const combinedOf = (list: readonly ReadReading[]): Combined | undefined =>
    together(list.map(({ estimate }) => estimate));
  const sections = readings.filter(({ measurand }) => measurand === 'section');
  const measured = byHandOf(sections);
  const sectionReads = measured.flatMap((reading) => {
    const read = readReading(reading);
    return read.ok ? [read.value] : [];
  });
  const section = combinedOf(sectionReads);

  const reads = new Map<string, ReadReading>();
  const problems = new Map<string, string>();
  for (const reading of readings) {
    const read = readReading(reading, { section });
    if (read.ok) reads.set(reading.id, read.value);
    else problems.set(reading.id, read.problem);
  }
  const odd = new Set<string>();
  const apart = new Set<Measurand>();
  const inRound = (measurand: Measurand, round: number | undefined): readonly Reading[] =>
    MANY_ROUNDS.has(measurand)
      ? readings.filter((one) => one.measurand === measurand && roundOf(one) === round)
      : readings.filter((one) => one.measurand === measurand);
  const combine = (measurand: Measurand, round = rounds(readings, measurand).counts): Combined | undefined => {
    const read = inRound(measurand, round).filter(({ id }) => reads.has(id) && !reads.get(id)?.lowerBound);
    const estimatesOf = (list: readonly Reading[]): Estimate[] =>
      list.flatMap(({ id }) => reads.get(id)?.estimate ?? []);
    // A section that was only taken as usual is not odd for being another.
    const compared = measurand === 'section' ? byHandOf(read) : read;
    oddOnesOut(estimatesOf(compared)).forEach((index) => odd.add(compared[index]?.id ?? ''));
    const ways = modesOf(estimatesOf(byHandOf(read)));
    const [likeliest] = ways;
    const fits = ways.find(({ misread }) => misread === undefined)?.weight ?? 0;
    const counts = round === rounds(readings, measurand).counts;
    if (likeliest && counts && fits < 0.5 && likeliest.weight < KNOWN) apart.add(measurand);
    return likeliest && momentsOfModes(ways);
  };
  const known: Partial<Record<Measurand, Combined>> = {};
  const measurands: readonly Measurand[] = [
    'section',
    'width',
    'grooveWidth',
    'grooveDepth',
    'motorDiameter',
    'drivenDiameter',
    'centreDistance',
    'oldBelt',
    'trayTravel',
    'trayPull',
    'stallPull',
  ];
  for (const measurand of measurands) {
    const combined = combine(measurand);
    if (combined) known[measurand] = combined;
  }

  const { motorDiameter, drivenDiameter, centreDistance } = known;
  let drive: Drive | undefined;
  let geometric: ReturnType<typeof pathFromGeometry> = {};
  if (motorDiameter && drivenDiameter && centreDistance) {
    drive = {
      motorPulley: { bottomDiameterMm: motorDiameter.value, groove: setting.motorGroove },
      drivenPulley: { bottomDiameterMm: drivenDiameter.value, groove: setting.drivenGroove },
      centreDistanceMm: centreDistance.value,
      crossed: setting.crossed,
      idlers: setting.idlers,
    };
    geometric = pathFromGeometry(drive, motorDiameter, drivenDiameter, centreDistance);
  }
  // A string's own thickness adds by the wraps, and those are known only now.
  const wraps = wrapsOf(setting, drive);
  for (const reading of readings) {
    const read = wraps && reading.measurand === 'stringPath' ? readReading(reading, { section, wraps }) : undefined;
    if (read?.ok) reads.set(reading.id, read.value);
  }
  const stringPath = combine('stringPath');
  const knownPath = pathOf({
    pulleys: geometric.path,
    strings: inRound('stringPath', undefined).flatMap((reading) => {
      const read = reads.get(reading.id);
      const slips = read && geometric.path && usualSlips(reading, read.value, geometric.path.value, section?.value);
      return read ? [{ estimate: read.estimate, slips: slips ?? [] }] : [];
    }),
    drive,
    grooveDepthMm: known.grooveDepth?.value,
    oldBelt: known.oldBelt,
  });
  const atLeast = (measurand: Measurand): number | undefined => {
    const bounds = inRound(measurand, rounds(readings, measurand).counts).flatMap(({ id }) => {
      const read = reads.get(id);
      return read?.lowerBound ? [read.value] : [];
    });
    return bounds.length > 0 ? Math.max(...bounds) : undefined;
  };
  const otherRound = (measurand: Measurand): Combined | undefined => {
    const { other } = rounds(readings, measurand);
    return other === undefined ? undefined : combine(measurand, other);
  };
  // Of strings that do not agree the pulleys tell which.
  const unsettled = [...apart].filter((one) => one !== 'stringPath' || !geometric.path);
  const trayPullBefore = otherRound('trayPull');
  const warmedBelt = otherRound('oldBelt');
  const grooveSection = sectionOfGroove(known.grooveWidth, known.grooveDepth);
  const oldBeltAtLeastMm = atLeast('oldBelt');
  const stallPullAtLeastN = atLeast('stallPull');

  return {
    ...unmeasured(measured),
    results: readings.map((reading) => {
      const read = reads.get(reading.id);
      const problem = problems.get(reading.id);
      return { reading, ...(read && { read }), ...(problem && { problem }), odd: odd.has(reading.id) };
    }),
    ...known,
    ...(trayPullBefore && { trayPullBefore }),
    ...(warmedBelt && { warmedBelt }),
    ...(grooveSection && { grooveSection }),
    ...(stringPath && { stringPath }),
    ...(wraps && { stringWraps: wraps }),
    ...(drive && { drive }),
    ...(geometric.problem && { driveProblem: geometric.problem }),
    ...(geometric.path && { geometricPath: geometric.path }),
    ...(unsettled.length > 0 && { apart: unsettled }),
    ...(knownPath && { path: knownPath.path }),
    ...(knownPath?.modes && { pathModes: knownPath.modes }),
    ...(knownPath?.conflict && { pathConflict: knownPath.conflict }),
    ...(oldBeltAtLeastMm !== undefined && { oldBeltAtLeastMm }),
    ...(stallPullAtLeastN !== undefined && { stallPullAtLeastN }),
  };
}
