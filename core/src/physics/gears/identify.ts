import { centreDistanceMm, diameters, spanMm, spanTeeth, type Gear } from './gear';

/** A figure with its standard uncertainty (k = 1). */
export interface Measured {
  readonly value: number;
  readonly std: number;
}

/** What was measured of an unknown gear, and of its mate. */
export interface GearReadings {
  readonly teeth: number;
  readonly tipMm?: Measured;
  /** The span, and over how many teeth it was read. */
  readonly spanMm?: Measured;
  readonly spanTeeth?: number;
  /** The distance of its shaft from its mate's. */
  readonly centreMm?: Measured;
  readonly mateTeeth?: number;
  readonly mateTipMm?: Measured;
}

/** A module or a diametral pitch as they are made. */
export interface Size {
  readonly moduleMm: number;
  /** “module 0.5”, “48 teeth an inch of diameter”. */
  readonly name: string;
  readonly weight: number;
}

const MM_PER_INCH = 25.4;
/* ISO 54, first series, then the second; small moulded gears are seldom anything else. Diametral pitches as they are common. */
const FIRST = [0.1, 0.12, 0.16, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.8, 1, 1.25, 1.5, 2] as const;
const SECOND = [0.15, 0.18, 0.22, 0.28, 0.35, 0.45, 0.55, 0.7, 0.75, 0.9, 1.125, 1.375] as const;
const PITCHES = [120, 96, 80, 72, 64, 48, 40, 32, 24, 20, 16] as const;

/** The sizes that a gear may have, and how often each is met beside the others. Judgement, no source. */
export const SIZES: readonly Size[] = [
  ...FIRST.map((moduleMm) => ({ moduleMm, name: `module ${moduleMm}`, weight: 1 })),
  ...SECOND.map((moduleMm) => ({ moduleMm, name: `module ${moduleMm}`, weight: 0.2 })),
  ...PITCHES.map((pitch) => ({ moduleMm: MM_PER_INCH / pitch, name: `diametral pitch ${pitch}`, weight: 0.25 })),
];

/** A size that the readings may be of. */
export interface GearCandidate {
  readonly size: Size;
  readonly gear: Gear;
  /** Uncertainty of the shift, k = 1. */
  readonly shiftStd: number;
  readonly probability: number;
  readonly mate?: Gear;
}

/** What would part the likeliest from the next. */
export interface Parting {
  readonly what: 'span' | 'tip' | 'centre' | 'mateTip';
  readonly words: string;
  /** By how many of its standard uncertainties the two differ there. */
  readonly apart: number;
}

export interface Identified {
  readonly candidates: readonly GearCandidate[];
  readonly parting: Parting | undefined;
}

/* Shifts that moulded gears have, before anything is measured: about none, outwards rather than inwards. No source. */
const SHIFT_MEAN = 0.08;
const SHIFT_STD = 0.25;
const SHIFT_MIN = -0.6;
const SHIFT_MAX = 0.9;
const STEP = 0.005;
/** What a further reading would be uncertain by: jaws on a small moulded gear. */
const NEXT_STD_MM = 0.04;
/** Under this a candidate is not named. */
const NAMED = 0.005;

const bell = (off: number, std: number): number => Math.exp(-0.5 * (off / std) ** 2);

interface Weighed {
  readonly size: Size;
  readonly weight: number;
  readonly mean: number;
  readonly std: number;
  readonly mateShift: number;
}

/** One size against the readings: the shift integrated out, and the mate's with it where it was measured. */
function weigh(size: Size, readings: GearReadings): Weighed {
  const { teeth, tipMm, centreMm, mateTeeth, mateTipMm } = readings;
  const m = size.moduleMm;
  // The mate's shift: by its own tip, else as shifts are.
  const mateMean = mateTipMm && mateTeeth ? (mateTipMm.value / m - mateTeeth - 2) / 2 : SHIFT_MEAN;
  const mateStd = mateTipMm && mateTeeth ? mateTipMm.std / (2 * m) : SHIFT_STD;
  const matePrior = mateTipMm ? bell(mateMean - SHIFT_MEAN, Math.hypot(SHIFT_STD, mateStd)) : 1;
  let [sum, first, second, mateSum] = [0, 0, 0, 0];
  for (let x = SHIFT_MIN; x <= SHIFT_MAX + 1e-9; x += STEP) {
    const gear: Gear = { teeth, moduleMm: m, shift: x };
    let weight = bell(x - SHIFT_MEAN, SHIFT_STD);
    if (tipMm) weight *= bell(tipMm.value - diameters(gear).tipMm, tipMm.std);
    if (readings.spanMm)
      weight *= bell(readings.spanMm.value - spanMm(gear, readings.spanTeeth ?? spanTeeth(gear)), readings.spanMm.std);
    let mateShift = mateMean;
    if (centreMm && mateTeeth && weight > 1e-12) {
      const at = (mate: number): number =>
        centreDistanceMm({ first: gear, second: { teeth: mateTeeth, moduleMm: m, shift: mate } });
      // The distance grows with the mate's shift nearly as a line: its spread adds to the reading's.
      const here = at(mateMean);
      const slope = (at(mateMean + 0.05) - here) / 0.05;
      const std = Math.hypot(centreMm.std, slope * mateStd);
      weight *= (bell(centreMm.value - here, std) * centreMm.std) / std;
      mateShift = mateMean + (((centreMm.value - here) * slope) / std ** 2) * mateStd ** 2;
    }
    sum += weight;
    first += weight * x;
    second += weight * x * x;
    mateSum += weight * mateShift;
  }
  const mean = sum > 0 ? first / sum : SHIFT_MEAN;
  return {
    size,
    weight: size.weight * matePrior * sum,
    mean,
    std: sum > 0 ? Math.sqrt(Math.max(0, second / sum - mean ** 2)) : SHIFT_STD,
    mateShift: sum > 0 ? mateSum / sum : SHIFT_MEAN,
  };
}

/**
 * What gear it is: every module and diametral pitch with the probability that the readings are of it, its shift, and what
 * would part the likeliest from the next. The outside diameter alone cannot tell module from shift; a span or the mate can.
 *
 * @returns no candidates where nothing fits: a reading is wrong, or the gear is none of these
 * @example identify({ teeth: 20, tipMm: { value: 11, std: 0.05 } }).candidates[0]?.size.name // 'module 0.5'
 */
export function identify(readings: GearReadings): Identified {
  const weighed = SIZES.map((size) => weigh(size, readings));
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  // Nothing within many standard uncertainties: no size is named for it.
  if (!(total > 1e-6)) return { candidates: [], parting: undefined };
  const candidates = weighed
    .map(({ size, weight, mean, std, mateShift }): GearCandidate => ({
      size,
      gear: { teeth: readings.teeth, moduleMm: size.moduleMm, shift: mean },
      shiftStd: std,
      probability: weight / total,
      ...(readings.mateTeeth !== undefined && {
        mate: { teeth: readings.mateTeeth, moduleMm: size.moduleMm, shift: mateShift },
      }),
    }))
    .filter(({ probability }) => probability >= NAMED)
    .sort((a, b) => b.probability - a.probability);
  return { candidates, parting: partingOf(candidates, readings) };
}

function partingOf([a, b]: readonly GearCandidate[], readings: GearReadings): Parting | undefined {
  if (!a || !b) return undefined;
  const k = spanTeeth(a.gear);
  const apart = (of: (one: GearCandidate) => number, perShift: (one: GearCandidate) => number): number =>
    Math.abs(of(a) - of(b)) / Math.hypot(NEXT_STD_MM, perShift(a) * a.shiftStd, perShift(b) * b.shiftStd);
  const options: Parting[] = [];
  if (!readings.spanMm)
    options.push({
      what: 'span',
      words: `the span over ${k} teeth: ${spanMm(a.gear, k).toFixed(2)} mm of one, ${spanMm(b.gear, k).toFixed(2)} of the other`,
      apart: apart(
        ({ gear }) => spanMm(gear, k),
        ({ gear }) => 2 * gear.moduleMm * Math.sin((20 * Math.PI) / 180),
      ),
    });
  if (!readings.tipMm)
    options.push({
      what: 'tip',
      words: `the outside diameter: ${diameters(a.gear).tipMm.toFixed(2)} mm of one, ${diameters(b.gear).tipMm.toFixed(2)} of the other`,
      apart: apart(
        ({ gear }) => diameters(gear).tipMm,
        ({ gear }) => 2 * gear.moduleMm,
      ),
    });
  const { mate: mateA } = a;
  const { mate: mateB } = b;
  if (!readings.centreMm && mateA && mateB) {
    const centre = (one: GearCandidate): number =>
      one.mate ? centreDistanceMm({ first: one.gear, second: one.mate }) : 0;
    options.push({
      what: 'centre',
      words: `the distance of the two shafts: ${centre(a).toFixed(2)} mm of one, ${centre(b).toFixed(2)} of the other`,
      apart: apart(centre, ({ gear }) => gear.moduleMm * Math.SQRT2),
    });
  }
  if (!readings.mateTipMm && mateA && mateB)
    options.push({
      what: 'mateTip',
      words: `the mate’s outside diameter: ${diameters(mateA).tipMm.toFixed(2)} mm of one, ${diameters(mateB).tipMm.toFixed(2)} of the other`,
      apart: apart(
        ({ mate }) => (mate ? diameters(mate).tipMm : 0),
        ({ gear }) => 2 * gear.moduleMm * SHIFT_STD,
      ),
    });
  return options.sort((one, other) => other.apart - one.apart)[0];
}
