import { ok, refuse, type Result } from '../../base/units';

/**
 * A pulley of a belt path. Centre in mm, x to the right, y up. `side` says which face of the belt touches it:
 * 1 the inner face (the belt turns left round it, counter-clockwise), −1 the back (it turns right).
 */
export interface PathPulley {
  readonly name: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly radiusMm: number;
  readonly side: 1 | -1;
}

/** A straight run between two pulleys. */
export interface Span {
  readonly fromX: number;
  readonly fromY: number;
  readonly toX: number;
  readonly toY: number;
  readonly lengthMm: number;
  /** Direction of travel, from the x axis, counter-clockwise. */
  readonly angleRad: number;
}

/** A closed belt path: its length, the spans in order, and the wrap on each pulley (always positive). */
export interface BeltPath {
  readonly lengthMm: number;
  readonly spans: readonly Span[];
  readonly wrapsRad: readonly number[];
}

const TURN = 2 * Math.PI;
/** Where a belt only just touches, rounding must not make a whole turn of nothing. */
const NOTHING_RAD = 1e-9;
function intoTurn(angleRad: number): number {
  const turn = ((angleRad % TURN) + TURN) % TURN;
  return TURN - turn < NOTHING_RAD ? 0 : turn;
}

/** The common tangent from one pulley to the next, on the sides the belt takes. */
function tangent(a: PathPulley, b: PathPulley): Result<Span> {
  const dx = b.xMm - a.xMm;
  const dy = b.yMm - a.yMm;
  const distance = Math.hypot(dx, dy);
  const ra = a.side * a.radiusMm;
  const rb = b.side * b.radiusMm;
  if (distance <= Math.abs(rb - ra)) {
    const apart = `${distance.toFixed(1)} mm apart`;
    return refuse(
      a.side === b.side
        ? `The ${a.name} and the ${b.name} are ${apart}: one would lie inside the other. Check both diameters and the distance.`
        : `The ${a.name} and the ${b.name} are ${apart} and overlap, so no belt can cross between them.`,
    );
  }
  // With the centre on the left at signed radius R, the run's direction must satisfy d·sin(φ − θ) = Rb − Ra.
  const angleRad = Math.atan2(dy, dx) - Math.asin((rb - ra) / distance);
  const nx = -Math.sin(angleRad);
  const ny = Math.cos(angleRad);
  return ok({
    fromX: a.xMm - ra * nx,
    fromY: a.yMm - ra * ny,
    toX: b.xMm - rb * nx,
    toY: b.yMm - rb * ny,
    lengthMm: Math.sqrt(distance * distance - (rb - ra) ** 2),
    angleRad,
  });
}

/**
 * The path of a belt round pulleys taken in order, by common tangents; an inside tangent where the side changes.
 *
 * Convention: list the pulleys counter-clockwise as the belt meets them. Cost: linear in the pulleys.
 *
 * @returns the path, or a sentence naming the two pulleys that cannot be joined.
 * @example beltPath(asPathPulleys({ motorRadiusMm: 3, drivenRadiusMm: 12.5, centreDistanceMm: 40, crossed: false })).value.lengthMm // 130.962
 */
export function beltPath(pulleys: readonly PathPulley[]): Result<BeltPath> {
  if (pulleys.length < 2) return refuse('A belt path needs at least two pulleys.');
  const spans: Span[] = [];
  for (const [index, pulley] of pulleys.entries()) {
    const next = pulleys[(index + 1) % pulleys.length];
    if (!next) continue;
    const span = tangent(pulley, next);
    if (!span.ok) return span;
    spans.push(span.value);
  }
  const wrapsRad = pulleys.map((pulley, index) => {
    const arriving = spans[(index + pulleys.length - 1) % pulleys.length]?.angleRad ?? 0;
    const leaving = spans[index]?.angleRad ?? 0;
    return intoTurn(pulley.side * (leaving - arriving));
  });
  const straightMm = spans.reduce((sum, span) => sum + span.lengthMm, 0);
  const roundMm = wrapsRad.reduce((sum, wrap, index) => sum + wrap * (pulleys[index]?.radiusMm ?? 0), 0);
  return ok({ lengthMm: straightMm + roundMm, spans, wrapsRad });
}
