import { SURFACES, type Surface } from '../../physics/drive';
import { forShapes, SECTION_SHAPES, SHAPES, shapeOf, type SectionShape } from '../../base/shapes';

/** A figure that is not known exactly: best estimate and standard uncertainty (k = 1). */
export interface Spread {
  readonly best: number;
  readonly std: number;
}

/** What a prior is called, in which unit, and between what it may lie. */
export interface PriorField {
  readonly name: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
}
const spread = (name: string, unit: string, min: number, max: number, best: number, std: number) => ({
  name,
  unit,
  min,
  max,
  first: { best, std },
});
const plain = (name: string, unit: string, min: number, max: number, first: number) => ({
  name,
  unit,
  min,
  max,
  first,
});

/** The bench's own figure of a shape's hardness is kept under this. */
export type HardnessKey = { [S in SectionShape]: (typeof SHAPES)[S]['hardness']['key'] }[SectionShape];
const HARDNESS_SPREADS = Object.fromEntries(
  SECTION_SHAPES.map((shape) => {
    const { key, of, best, std } = shapeOf(shape).hardness;
    return [key, spread(`Hardness of ${of} as sold`, 'Shore A', 20, 80, best, std)];
  }),
) as Record<HardnessKey, ReturnType<typeof spread>>;

/**
 * What is believed until it is measured, each with its spread. Relaxation after makers' handbooks and common practice;
 * tray, motor and bush from memory, no source. Spreads are a quarter of the stated ranges (19 in 20 inside).
 */
export const PRIOR_SPREADS = {
  /** Each stock has a hardness of its own. */
  ...HARDNESS_SPREADS,
  /** Share of its fresh pull that a belt keeps: 10–20 % goes in the first days, a little more by decades of time. */
  relaxedShare: spread('Share of its fresh pull that it keeps', 'ratio, no unit', 0.3, 1, 0.8, 0.04),
  trayPullN: spread('Tray pull, until measured', 'N', 0.1, 40, 1.4, 0.4),
  /** Tray travel per turn of the motor pulley. */
  travelPerTurnMm: spread('Tray travel per turn, until counted', 'mm', 0.1, 40, 2.2, 0.6),
  efficiency: spread('Efficiency from motor to tray', 'ratio, no unit', 0.1, 0.95, 0.6, 0.05),
  /* The belt that the drive was made with: how it was stretched, how much of that it has kept as set, what it had to spare. */
  madeStretch: spread('Stretch that the drive was made with', 'ratio, no unit', 0.01, 0.3, 0.075, 0.02),
  setShare: spread('Share of that stretch kept as set', 'ratio, no unit', 0, 1.5, 0.75, 0.22),
  designMargin: spread('Grip that it was made with, over the need', 'times', 1, 6, 2.05, 0.5),
  /** Strand pull of the belt or band through which a tray is held while the motor stands. */
  heldThroughN: spread('Pull of the belt that a tray is held through', 'N', 0, 20, 1, 0.4),
  /** Torque at the motor that turns a spindle, 0.3 to 0.8. */
  spindleTorqueNmm: spread('Torque of a spindle, at the motor', 'N·mm', 0.01, 50, 0.55, 0.125),
  /** Motor stall torque as a multiple of what a healthy tray needs. */
  stallFactor: spread('Motor stall torque over the healthy need', 'times', 1, 20, 2.5, 0.6),
  /** Pulley diameters at the bottom of the groove, where a string is all that was measured. */
  motorDiameterMm: spread('Motor pulley, until measured', 'mm', 1, 60, 5.5, 1.4),
  drivenDiameterMm: spread('Driven pulley, until measured', 'mm', 2, 200, 22, 5),
};
export const PRIOR_FIGURES = {
  /** Two published relations of hardness and modulus differ by a fifth; this is k = 1. */
  modulusRelativeStd: plain('Spread of the rubber’s stiffness', 'ratio, no unit', 0.01, 0.6, 0.15),
  /** How much stiffer than healthy a tray in for repair may be: half-normal in the logarithm of the ratio. */
  stiffnessLogStd: plain('How much a tray stiffens', 'log', 0.01, 1, 0.25),
  /** Need of a lift or clamp, and of the rollers of a slot loader (1.5 to 3 N), as multiples of a tray's. */
  liftTimes: plain('A lift or clamp needs', 'times a tray', 0.2, 10, 2),
  rollerTimes: plain('Rollers of a slot loader need', 'times a tray', 0.2, 10, 1.6),
  /** One drive in so many is unlike the others: its priors are so many times as wide. */
  unusualShare: plain('Drives unlike the others', 'ratio, no unit', 0, 0.5, 0.1),
  unusualTimes: plain('Their priors are wider by', 'times', 1, 5, 2),
  /** How far the path of one machine may lie from that of another with the same mechanism, relative. */
  betweenMachines: plain('Path between two machines alike', 'ratio, no unit', 0, 0.05, 0.004),
  shaftRadiusMm: plain('Motor shaft radius', 'mm', 0.3, 4, 0.875),
  bushFriction: plain('Friction of the bush', 'ratio, no unit', 0.01, 0.5, 0.125),
};
export const FRICTION_FIELD: PriorField = { name: 'Friction', unit: 'ratio, no unit', min: 0.02, max: 2 };

/**
 * Friction of rubber on plastic or brass by the state of the surface. From memory of the trade, no source; spread
 * stated so that the choice knows how little it knows.
 */
const FRICTION: Readonly<Record<Surface, Spread>> = {
  clean: { best: 0.8, std: 0.1 },
  glazed: { best: 0.4, std: 0.08 },
  dusty: { best: 0.5, std: 0.08 },
  wet: { best: 0.3, std: 0.06 },
  oily: { best: 0.2, std: 0.03 },
};

export type SpreadKey = keyof typeof PRIOR_SPREADS;
export type FigureKey = keyof typeof PRIOR_FIGURES;

/** What is believed of any drive until it is measured. */
export type Priors = { readonly [K in SpreadKey]: Spread } & { readonly [K in FigureKey]: number } & {
  /** Friction of rubber on a pulley, by the state of its surface. */
  readonly friction: Readonly<Record<Surface, Spread>>;
};

const firsts = <F extends Record<string, { readonly first: unknown }>>(fields: F) =>
  Object.fromEntries(Object.entries(fields).map(([key, { first }]) => [key, first])) as {
    [K in keyof F]: F[K]['first'];
  };

/** The app's own. */
export const DEFAULT_PRIORS: Priors = { ...firsts(PRIOR_SPREADS), ...firsts(PRIOR_FIGURES), friction: FRICTION };

/** A number within its bounds, or what stands in for it. */
export function within(
  value: unknown,
  { min, max }: { readonly min: number; readonly max: number },
  otherwise: number,
): number {
  return typeof value === 'number' && value >= min && value <= max ? value : otherwise;
}

function checkSpread(value: unknown, field: PriorField, otherwise: Spread): Spread {
  const { best, std } = (typeof value === 'object' && value !== null ? value : {}) as Partial<Spread>;
  return { best: within(best, field, otherwise.best), std: within(std, { min: 0, max: field.max }, otherwise.std) };
}

const recordOf = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};

/** One hardness for every stock is what older versions kept: it was that of square and flat belts. */
const withOlder = (given: Record<string, unknown>): Record<string, unknown> =>
  given.hardnessShoreA === undefined
    ? given
    : { squareShoreA: given.hardnessShoreA, flatShoreA: given.hardnessShoreA, ...given };

/**
 * A bench's own priors as kept, made whole: what is missing, of an older version, or out of bounds is the app's own,
 * figure by figure.
 *
 * @example checkPriors({ trayPullN: { best: 2 } }).trayPullN // { best: 2, std: 0.4 }
 */
export function checkPriors(kept: unknown): Priors {
  const given = withOlder(recordOf(kept));
  const friction = recordOf(given.friction);
  const each = <F extends Record<string, PriorField>, T>(fields: F, check: (key: keyof F & string) => T) =>
    Object.fromEntries(Object.keys(fields).map((key) => [key, check(key)])) as { [K in keyof F]: T };
  return {
    ...each(PRIOR_SPREADS, (key) => checkSpread(given[key], PRIOR_SPREADS[key], DEFAULT_PRIORS[key])),
    ...each(PRIOR_FIGURES, (key) => within(given[key], PRIOR_FIGURES[key], DEFAULT_PRIORS[key])),
    friction: Object.fromEntries(
      SURFACES.map((surface) => [surface, checkSpread(friction[surface], FRICTION_FIELD, FRICTION[surface])]),
    ) as Record<Surface, Spread>,
  };
}

/** What is believed of the hardness of a stock. */
export const hardnessOf = (shape: SectionShape, priors: Priors): Spread => priors[SHAPES[shape].hardness.key];

/** Priors in which every stock is of one hardness. */
export const withHardness = (priors: Priors, best: number): Priors => ({
  ...priors,
  ...Object.fromEntries(
    Object.values(forShapes((shape) => SHAPES[shape].hardness.key)).map((key) => [key, { ...priors[key], best }]),
  ),
});

/**
 * The pull of the same tray when healthy, for which its motor was made: of a stiff tray the likeliest split between a
 * drive that was always heavy and one that has become so.
 *
 * @example healthyPullN(3, DEFAULT_PRIORS) // 2.156
 */
export function healthyPullN(needN: number, priors: Pick<Priors, 'trayPullN' | 'stiffnessLogStd'>): number {
  const usual = priors.trayPullN.std / priors.trayPullN.best;
  const excess = Math.max(0, Math.log(needN / priors.trayPullN.best));
  const stiff = priors.stiffnessLogStd ** 2;
  return needN * Math.exp((-excess * stiff) / (stiff + usual ** 2));
}
