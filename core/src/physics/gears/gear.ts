import { inv, invInverse, PRESSURE_ANGLE_RAD } from './involute';

/** A spur gear by its basic figures. Lengths in mm. */
export interface Gear {
  readonly teeth: number;
  readonly moduleMm: number;
  /** Profile shift, in modules: a moulded pinion is often shifted outwards. */
  readonly shift: number;
  readonly pressureAngleRad?: number;
}

/* The basic rack of ISO 53, profile A: addendum 1, dedendum 1.25, rounding at the tip of the tool 0.38, in modules. */
export const ADDENDUM = 1;
export const DEDENDUM = 1.25;
export const TOOL_ROUNDING = 0.38;

const angleOf = ({ pressureAngleRad = PRESSURE_ANGLE_RAD }: Gear): number => pressureAngleRad;

/** Diameters of a gear (ISO 21771). @example diameters({ teeth: 20, moduleMm: 1, shift: 0 }).tipMm // 22 */
export function diameters(gear: Gear): {
  readonly pitchMm: number;
  readonly baseMm: number;
  readonly tipMm: number;
  readonly rootMm: number;
} {
  const { teeth: z, moduleMm: m, shift: x } = gear;
  return {
    pitchMm: m * z,
    baseMm: m * z * Math.cos(angleOf(gear)),
    tipMm: m * (z + 2 * ADDENDUM + 2 * x),
    rootMm: m * (z - 2 * DEDENDUM + 2 * x),
  };
}

/** Over how many teeth a span is read, so that the jaws touch near the middle of the flanks. @example spanTeeth({ teeth: 20, moduleMm: 1, shift: 0 }) // 3 */
export function spanTeeth(gear: Gear): number {
  const { teeth: z, shift: x } = gear;
  return Math.max(2, Math.min(z - 1, Math.round((z * angleOf(gear)) / Math.PI + 0.5 + Math.max(0, x))));
}

/**
 * The span over k teeth: W = m·cos α·[π(k − ½) + z·inv α] + 2·x·m·sin α (ISO 21771).
 *
 * @example spanMm({ teeth: 20, moduleMm: 1, shift: 0 }, 3) // 7.6604
 */
export function spanMm(gear: Gear, k = spanTeeth(gear)): number {
  const { teeth: z, moduleMm: m, shift: x } = gear;
  const alpha = angleOf(gear);
  return m * Math.cos(alpha) * (Math.PI * (k - 0.5) + z * inv(alpha)) + 2 * x * m * Math.sin(alpha);
}

/** The least shift without undercut by a rack: 1 − z·sin²α/2. @example leastShift({ teeth: 10, moduleMm: 1, shift: 0 }) // 0.415 */
export const leastShift = (gear: Gear): number => ADDENDUM - (gear.teeth * Math.sin(angleOf(gear)) ** 2) / 2;

/** Two gears that mesh. */
export interface Pair {
  readonly first: Gear;
  readonly second: Gear;
}

/** The working pressure angle without backlash: inv αw = inv α + 2·tan α·(x₁ + x₂)/(z₁ + z₂). */
export function workingAngleRad({ first, second }: Pair): number {
  const alpha = angleOf(first);
  const value = inv(alpha) + (2 * Math.tan(alpha) * (first.shift + second.shift)) / (first.teeth + second.teeth);
  return invInverse(value);
}

/**
 * The centre distance at which two gears mesh without backlash: a = m·(z₁ + z₂)·cos α/(2·cos αw).
 *
 * @example centreDistanceMm({ first: { teeth: 12, moduleMm: 1, shift: 0 }, second: { teeth: 24, moduleMm: 1, shift: 0 } }) // 18
 */
export function centreDistanceMm(pair: Pair): number {
  const { first, second } = pair;
  return (
    (first.moduleMm * (first.teeth + second.teeth) * Math.cos(angleOf(first))) / (2 * Math.cos(workingAngleRad(pair)))
  );
}

/** How a pair meshes at a centre distance. */
export interface Meshing {
  readonly centreMm: number;
  /** Teeth in contact on average: under 1 the drive knocks, under 1.1 it is doubtful. */
  readonly contactRatio: number;
  /** Play along the line of action; negative where the teeth do not fit into one another. */
  readonly backlashMm: number;
  /** Neither undercut by the tool nor short of its flank. */
  readonly undercut: readonly ('first' | 'second')[];
}

/**
 * How two gears mesh at a centre distance: contact ratio and backlash (ISO 21771), undercut.
 *
 * @param centreMm as measured; the distance without backlash where it is not
 * @returns undefined where they cannot mesh at all: of different modules, or too close for their base circles
 * @example meshing({ first: { teeth: 20, moduleMm: 1, shift: 0 }, second: { teeth: 40, moduleMm: 1, shift: 0 } })?.contactRatio // 1.635
 */
export function meshing(pair: Pair, centreMm = centreDistanceMm(pair)): Meshing | undefined {
  const { first, second } = pair;
  if (Math.abs(first.moduleMm - second.moduleMm) > 1e-9) return undefined;
  const m = first.moduleMm;
  const alpha = angleOf(first);
  const [d1, d2] = [diameters(first), diameters(second)];
  const cosW = (d1.baseMm + d2.baseMm) / (2 * centreMm);
  if (cosW > 1) return undefined;
  const angle = Math.acos(cosW);
  const sum = first.teeth + second.teeth;
  const along = (tip: number, base: number): number => Math.sqrt(Math.max(0, tip ** 2 - base ** 2)) / 2;
  // From the pitch point either way until a tip leaves, and never beyond the base tangent, where there is no flank to touch.
  const tangent = (base: number): number => (base / 2) * Math.tan(angle);
  const path =
    Math.min(along(d1.tipMm, d1.baseMm) - tangent(d1.baseMm), tangent(d2.baseMm)) +
    Math.min(along(d2.tipMm, d2.baseMm) - tangent(d2.baseMm), tangent(d1.baseMm));
  return {
    centreMm,
    contactRatio: path / (Math.PI * m * Math.cos(alpha)),
    backlashMm:
      m * Math.cos(alpha) * sum * (inv(angle) - inv(alpha)) - 2 * m * Math.sin(alpha) * (first.shift + second.shift),
    undercut: (
      [
        ['first', first],
        ['second', second],
      ] as const
    )
      .filter(([, gear]) => gear.shift < leastShift(gear) - 1e-9)
      .map(([which]) => which),
  };
}
