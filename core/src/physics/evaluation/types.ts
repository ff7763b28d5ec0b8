import type { Belt, Grip } from '../drive';

/** What may go wrong with a belt. Its order is the order in which ties are told. */
export const FAILURES = ['grip', 'slack', 'stretch', 'motor', 'groove', 'speed'] as const;
export type Failure = (typeof FAILURES)[number];

/** One bit for each thing that may go wrong: several may at once. */
export const FAILURE_BITS: Readonly<Record<Failure, number>> = {
  grip: 1,
  motor: 2,
  stretch: 4,
  groove: 8,
  slack: 16,
  speed: 32,
};

/** What is demanded of a belt: the bench's own, and nothing that is believed. */
export interface Requirements {
  /** Grip of the relaxed belt, as a multiple of the need, with which it works. */
  readonly gripMin: number;
  /** Grip before it counts as snug rather than easy. */
  readonly gripWanted: number;
  /** What a fresh belt must leave of the motor, as a multiple of the need. */
  readonly motorMin: number;
  /** Motor torque left, as a multiple of the need, below which a belt counts as firm. */
  readonly motorWanted: number;
  /** Strain up to which the rubber is meant to work, and beyond which none is trusted. */
  readonly strainComfortable: number;
  readonly strainMax: number;
  /** Smallest pulley in sections, below which bending is warned of. */
  readonly bendMin: number;
}

/**
 * A speed that matters, and how far off it may be, relative: what is wanted where the motor's own is known; else the
 * speed at which the belt that the drive was made with turned it, which needs no revolutions.
 */
export interface SpeedWanted {
  readonly motorRpm?: number | undefined;
  readonly targetRpm?: number | undefined;
  readonly tolerance: number;
}

/** What is demanded of this drive besides: a speed, where one matters. */
export interface Demands {
  readonly requirements: Requirements;
  readonly speed?: SpeedWanted | undefined;
}

/**
 * A drive with a figure for everything that bears on a belt: the best estimate, one sample of what it could be, or the
 * known truth. Radii are at the bottom of the groove; torques at the motor shaft.
 */
export interface DriveValues {
  /** Inner path. */
  readonly pathMm: number;
  readonly motorRadiusMm: number;
  readonly drivenRadiusMm: number;
  /** Friction of rubber on each pulley, before the groove; the idlers in their order. */
  readonly motorFriction: number;
  readonly drivenFriction: number;
  readonly idlerFrictions: readonly number[];
  readonly modulusMpa: number;
  /** Share of its fresh pull that a new belt keeps. */
  readonly relaxedShare: number;
  /** Strain that this belt's rubber bears. */
  readonly strainMax: number;
  /** Largest ratio, in logarithm, by which a section may differ from the old one's and still lie in its groove. */
  readonly grooveLogRatio: number;
  /** Bush friction times shaft radius. */
  readonly bushMm: number;
  readonly needNmm: number;
  /** What the standing motor has; and the strand pull of the belt through which that was read, 0 where it was not. */
  readonly stallNmm: number;
  readonly heldThroughN: number;
  /** By how much a new belt is thicker than its name, and the old one than was read, mm: of the speed they decide. */
  readonly thickerMm?: number;
  readonly oldThickerMm?: number;
}

/** A belt to be evaluated; `settled` where it gave back its first pull long ago, as an old one has. */
export interface EvaluatedBelt extends Belt {
  readonly settled?: boolean | undefined;
}

/** How one belt does in one drive. */
export interface Evaluation {
  readonly strain: number;
  readonly thicknessMm: number;
  /** Pitch radii. */
  readonly motorRadiusMm: number;
  readonly drivenRadiusMm: number;
  readonly freshPullN: number;
  readonly relaxedPullN: number;
  /** Grip of the relaxed belt: what can be counted on in a month. */
  readonly grip: Grip;
  readonly needNmm: number;
  /** Slip torque over need. */
  readonly gripRatio: number;
  /** What the fresh belt leaves of the motor, over the need. */
  readonly motorLeftRatio: number;
  /** Load of the fresh belt on each shaft. */
  readonly motorLoadN: number;
  readonly drivenLoadN: number;
  /** Smallest pulley over the section. */
  readonly bendRatio: number;
  /** Speed of the driven pulley over the one wanted, less 1, where one is wanted; creep is not in it. */
  readonly speedOff?: number;
  /** How far on the safe side of each requirement: 1 is just on it, below 1 is beyond it. */
  readonly safety: Readonly<Record<Failure, number>>;
  /** A bit of `FAILURE_BITS` for each thing that goes wrong; 0 where it works. */
  readonly fails: number;
  /** The least safe of them: what fails first, whether it does or not. */
  readonly first: Failure;
}
