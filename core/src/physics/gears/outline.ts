import { DEDENDUM, diameters, TOOL_ROUNDING, type Gear } from './gear';
import { inv, PRESSURE_ANGLE_RAD } from './involute';

/** A point of an outline, gear centre at 0, mm. */
export type Point = readonly [xMm: number, yMm: number];

/** What a replacement is made with beside its gear. */
export interface Making {
  /** Taken off the thickness of each tooth at the pitch circle, mm. */
  readonly thinnedMm?: number;
  /** By how much the material shrinks, per cent: the outline is drawn as much larger. */
  readonly shrinkPercent?: number;
}

/** The flank and fillet of one tooth: by radius, half the angle that the tooth takes there. */
export interface ToothProfile {
  readonly rootMm: number;
  readonly tipMm: number;
  /** Half the angle of the gap at the root circle, from its middle. */
  readonly rootLandRad: number;
  /** Half the tooth's angle at a radius; the fillet by the tool's own tip below the flank. */
  readonly halfAngleRad: (radiusMm: number) => number;
  /** Fillet as generated: radius and half angle, from the root outwards. */
  readonly fillet: ReadonlyArray<readonly [radiusMm: number, halfAngleRad: number]>;
  /** Where the flank begins. */
  readonly flankFromMm: number;
}

const FILLET_STEPS = 24;

/**
 * The profile of a tooth as a rack cuts it: an involute flank, and a fillet that is the envelope of the tool's rounded tip
 * (a plain tangent arc would lie about strength and about what the mate's tip meets). Where the tool undercuts, the fillet
 * eats into the flank, and that is drawn.
 */
export function toothProfile(gear: Gear, { thinnedMm = 0 }: Making = {}): ToothProfile {
  const { teeth: z, moduleMm: m, shift: x } = gear;
  const alpha = gear.pressureAngleRad ?? PRESSURE_ANGLE_RAD;
  const { pitchMm, baseMm, tipMm, rootMm } = diameters(gear);
  const [r, rb] = [pitchMm / 2, baseMm / 2];
  // Half the tooth's angle at the base circle, and by the involute further out.
  const atBase = Math.PI / (2 * z) + (2 * x * Math.tan(alpha)) / z + inv(alpha) - thinnedMm / (2 * r);
  const flank = (radius: number): number => (radius <= rb ? atBase : atBase - inv(Math.acos(rb / radius)));
  // The tool: its tip's rounding sits at a depth below its reference line and beside its centre line.
  const rounding = Math.min(
    TOOL_ROUNDING * m,
    // No rounder than the tool's tip is wide.
    ((Math.PI / 4 - DEDENDUM * Math.tan(alpha)) * m * Math.cos(alpha)) / (1 - Math.sin(alpha)),
  );
  // The tool's straight flank ends so deep below the pitch line; deeper than the base tangent it cuts into the flank.
  const straightMm = DEDENDUM * m - rounding * (1 - Math.sin(alpha)) - x * m;
  const undercut = straightMm > r * Math.sin(alpha) ** 2 + 1e-9;
  const depth = DEDENDUM * m - rounding - x * m;
  const beside =
    (Math.PI / 4) * m -
    DEDENDUM * m * Math.tan(alpha) -
    (rounding * (1 - Math.sin(alpha))) / Math.cos(alpha) +
    thinnedMm / 2;
  // The rack rolls on the pitch circle; each place of its rounded tip touches where the normal runs through the pitch point.
  const fillet: Array<readonly [number, number]> = [];
  for (let i = 0; i <= FILLET_STEPS; i++) {
    const share = i / FILLET_STEPS;
    // From straight down, the root, to the pressure angle, where the flank goes on.
    const normal = Math.PI / 2 - share * (Math.PI / 2 - alpha);
    const across = depth / Math.tan(normal);
    const rolled = (across - beside) / r;
    const [qx, qy] = [across + rounding * Math.cos(normal), r - depth - rounding * Math.sin(normal)];
    const [gx, gy] = [qx * Math.cos(rolled) - qy * Math.sin(rolled), qx * Math.sin(rolled) + qy * Math.cos(rolled)];
    fillet.push([Math.hypot(gx, gy), Math.PI / z - Math.atan2(gx, gy)]);
  }
  // From the root outwards; a tool that sits high above the pitch line turns its way round.
  const rising = fillet.filter(
    ([radius], at) => at === 0 || radius >= Math.max(...fillet.slice(0, at).map(([one]) => one)) - 1e-12,
  );
  const filletAt = (radius: number): number | undefined => {
    const at = rising.findIndex(([one]) => one >= radius);
    if (at <= 0) return at === 0 ? rising[0]?.[1] : undefined;
    const [a, b] = [rising[at - 1], rising[at]];
    if (!a || !b) return undefined;
    const share = b[0] === a[0] ? 0 : (radius - a[0]) / (b[0] - a[0]);
    return a[1] + share * (b[1] - a[1]);
  };
  const halfAngleRad = (radius: number): number => {
    const cut = filletAt(radius);
    const own = flank(radius);
    if (cut === undefined) return own;
    // A fillet runs into its flank and is the tooth up to there; one that undercuts crosses it further out.
    return undercut && radius > rb ? Math.min(own, cut) : cut;
  };
  const last = rising[rising.length - 1]?.[0] ?? rootMm / 2;
  // The flank begins where the fillet ends, or no longer cuts deeper than it.
  let flankFromMm = Math.max(rb, rootMm / 2);
  if (undercut)
    for (const [radius, half] of rising)
      if (radius > rb && half < flank(radius) - 1e-9) flankFromMm = Math.max(flankFromMm, radius);
  flankFromMm = Math.min(undercut ? flankFromMm : Math.max(last, rootMm / 2), tipMm / 2);
  return {
    rootMm: rootMm / 2,
    tipMm: tipMm / 2,
    rootLandRad: Math.max(0, Math.PI / z - (rising[0]?.[1] ?? 0)),
    halfAngleRad,
    fillet: rising,
    flankFromMm,
  };
}

/** Points along a flank: more of them than the eye or a printer can part. */
const FLANK_STEPS = 24;
/** Lands are arcs: their chords lie within this of them, mm. */
const ARC_WITHIN_MM = 0.001;
/** Below this width a tooth is pointed, and the tip is drawn where its flanks meet. */
const POINTED_RAD = 1e-6;

/**
 * The outline of a gear, once round, anticlockwise, first point not repeated. The first tooth stands upwards.
 *
 * Cost: some 100 points a tooth; a gear of 200 teeth in a few milliseconds.
 *
 * @example gearOutline({ teeth: 20, moduleMm: 1, shift: 0 }).length > 400 // true
 */
export function gearOutline(gear: Gear, making: Making = {}, flankSteps = FLANK_STEPS): readonly Point[] {
  const { teeth: z } = gear;
  const profile = toothProfile(gear, making);
  const scale = 1 + (making.shrinkPercent ?? 0) / 100;
  // One side of a tooth, from the root outwards, as radius and half angle.
  const side: Array<readonly [number, number]> = [];
  for (const [radius, half] of profile.fillet) {
    if (radius >= profile.flankFromMm) break;
    side.push([radius, Math.min(half, profile.halfAngleRad(radius) + 1e-15)]);
  }
  let tip = profile.tipMm;
  if (profile.halfAngleRad(tip) < POINTED_RAD) {
    let [low, high] = [profile.flankFromMm, tip];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (profile.halfAngleRad(middle) < POINTED_RAD) high = middle;
      else low = middle;
    }
    tip = low;
  }
  for (let i = 0; i <= flankSteps; i++) {
    const radius = profile.flankFromMm + ((tip - profile.flankFromMm) * i) / flankSteps;
    side.push([radius, Math.max(0, profile.halfAngleRad(radius))]);
  }
  const points: Point[] = [];
  const put = (radius: number, angle: number): void => {
    points.push([scale * radius * Math.sin(-angle), scale * radius * Math.cos(angle)]);
  };
  /** An arc between two angles, without its ends. */
  const arc = (radius: number, from: number, to: number): void => {
    const steps = Math.ceil(Math.abs(to - from) / Math.sqrt((8 * ARC_WITHIN_MM) / radius));
    for (let i = 1; i < steps; i++) put(radius, from + ((to - from) * i) / steps);
  };
  const [[rootMm, rootHalf] = [0, 0]] = side;
  const [tipMm, tipHalf] = side.at(-1) ?? [0, 0];
  for (let tooth = 0; tooth < z; tooth++) {
    const centre = (2 * Math.PI * tooth) / z;
    // Anticlockwise: up the flank that lies behind, over the tip, down the other.
    for (const [radius, half] of side) put(radius, centre - half);
    arc(tipMm, centre - tipHalf, centre + tipHalf);
    for (let i = side.length - 1; i >= 0; i--) {
      const [radius, half] = side[i] ?? [0, 0];
      // A pointed tip is one point.
      if (i === side.length - 1 && half <= POINTED_RAD) continue;
      put(radius, centre + half);
    }
    arc(rootMm, centre + rootHalf, centre + (2 * Math.PI) / z - rootHalf);
  }
  return points;
}
