import { bushShare, innerPath, trayForceN, type Surface } from '@loose-pulley/core/physics/drive';
import { findMethod, type Measurand, type Reading } from '@loose-pulley/core/belts/measuring';
import { bellCurve, type Random } from '@loose-pulley/core/base/statistics';
import type { TrueDrive } from './drive';

/** How much a bench measures: each includes what stands before it. */
export const EFFORTS = ['oldBelt', 'string', 'pulleys', 'pull', 'held', 'travel'] as const;
export type Effort = (typeof EFFORTS)[number];

/** Everything a bench knows of a drive: readings with their ordinary errors, and what it saw. */
export interface BenchView {
  readonly readings: readonly Reading[];
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
}

const STRING_MM = 0.8;
const TURNS = 10;
/** How often a reading is a careless one. From memory of the trade, no source. */
const CARELESS = 0.04;

/** What is seen of a surface: right nine times in ten, and then taken for clean. */
const seen = (random: Random, real: Surface): Surface => (random() < 0.9 ? real : 'clean');

/** What holds the tray while the motor stands: the motor's pull at the tray, less what bushes and guides take of it. */
function heldN(one: TrueDrive, strandPullN: number): number {
  const inner = innerPath(one.drive);
  const radii = [one.drive.motorPulley, one.drive.drivenPulley].map(({ bottomDiameterMm }) => bottomDiameterMm / 2);
  const share = inner.ok ? bushShare(radii, inner.value.wrapsRad) : 0;
  const motorNmm = one.stallTorqueNmm - one.bushFriction * one.shaftRadiusMm * share * strandPullN;
  return trayForceN(motorNmm, one) - one.trayPullN;
}

/** Of three amounts the two that lie nearer to each other. */
function agreeing([a = 0, b = 0, c = 0]: readonly number[]): readonly number[] {
  const [ab, bc, ca] = [Math.abs(a - b), Math.abs(b - c), Math.abs(c - a)];
  if (ab <= bc && ab <= ca) return [a, b];
  return bc <= ca ? [b, c] : [c, a];
}

/**
 * The readings that a bench takes of a drive, with each method's ordinary error and now and then a careless one of three
 * times that. Each is read twice, and a third time where the two lie more than two standard uncertainties apart; the odd
 * one is then taken out, as the page asks. The old belt is read once by each of two ways. Everything is read whatever the
 * effort; `upTo` says what of it a player is shown.
 */
export function measured(one: TrueDrive, random: Random): BenchView {
  const z = bellCurve(random);
  /** Never further than three standard deviations: nobody believes such a reading. */
  const bell = (): number => Math.max(-3, Math.min(3, z()));
  const reading = (
    measurand: Measurand,
    method: string,
    value: number,
    aux: Reading['aux'] = {},
    times = 2,
  ): readonly Reading[] => {
    const known = findMethod(method);
    if (!known) throw new Error(`There is no method ${method}.`);
    const read = (): number => {
      const careless = random() < CARELESS ? 3 : 1;
      return Math.max(known.min, known.invert(value, aux) + careless * known.readingStd * bell());
    };
    const first = Array.from({ length: times }, read);
    const [a = 0, b = a] = first;
    const apart = Math.abs(a - b) > 2 * Math.SQRT2 * known.readingStd;
    return (apart ? agreeing([...first, read()]) : first).map((amount, index) => ({
      id: `${measurand}-${method}-${index}`,
      measurand,
      method,
      typed: '',
      amount,
      aux,
      ownStd: null,
    }));
  };
  const { motorPulley, drivenPulley, centreDistanceMm } = one.drive;
  // The bench takes a band or the old belt, whatever does not slip: nobody knows its pull.
  const heldThroughN = 0.4 + 1.2 * random();
  return {
    readings: [
      reading('section', 'sectionJaws', one.oldThicknessMm),
      ...(one.section.widthMm === undefined ? [] : [reading('width', 'widthJaws', one.section.widthMm)]),
      reading('oldBelt', 'doubledOuter', one.oldInnerMm, { sectionMm: one.oldThicknessMm }, 1),
      reading('oldBelt', 'overCap', one.oldInnerMm, {}, 1),
      reading('stringPath', 'stringRound', one.pathMm, { stringDiameterMm: STRING_MM }),
      reading('motorDiameter', 'motorJaws', motorPulley.bottomDiameterMm),
      reading('drivenDiameter', 'drivenJaws', drivenPulley.bottomDiameterMm),
      reading('centreDistance', 'shaftToShaft', centreDistanceMm),
      reading('trayPull', 'scalePull', one.trayPullN),
      reading('stallPull', 'stalledMotor', heldN(one, heldThroughN)),
      reading('trayTravel', 'countedTravel', one.travelPerTurnMm, { turns: TURNS }),
    ].flat(),
    motorSurface: seen(random, one.motorSurface),
    drivenSurface: seen(random, one.drivenSurface),
  };
}

/** What each effort adds. The pull of the tray is two readings: unpowered, and held while the motor stands. */
const ADDED: Readonly<Record<Effort, readonly Measurand[]>> = {
  oldBelt: ['section', 'width', 'oldBelt'],
  string: ['stringPath'],
  pulleys: ['motorDiameter', 'drivenDiameter', 'centreDistance'],
  pull: ['trayPull'],
  held: ['stallPull'],
  travel: ['trayTravel'],
};

/** The readings of one effort. */
export function upTo(view: BenchView, effort: Effort): readonly Reading[] {
  const shown = EFFORTS.slice(0, EFFORTS.indexOf(effort) + 1).flatMap((one) => ADDED[one]);
  return view.readings.filter(({ measurand }) => shown.includes(measurand));
}
