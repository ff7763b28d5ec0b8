import { bellCurve, seeded } from '../../base/statistics';
import { GUIDE_PRIORS, type Bounds } from '../sizing';

/**
 * What a cycle needs that no bench measures, one figure a machine. All from memory of the trade, no source: rotors of
 * 0.3 to 1.5 g·cm², masses of 100 to 400 g, sliding at 0.7 to 0.9 of what holds, time-outs of 3 to 8 s.
 */
export interface CycleBeliefs {
  readonly count: number;
  readonly rotorGcm2: Float64Array;
  /** Speed of the motor while it moves a healthy load. */
  readonly runningRpm: Float64Array;
  readonly massG: Float64Array;
  /** By what share the guides hold more from rest, and what grease adds at the running speed, both over the dry pull. */
  readonly restShare: Float64Array;
  readonly greaseShare: Float64Array;
  readonly slidingShare: Float64Array;
  readonly timeOutS: Float64Array;
  /** 1 where the motor that is off is shorted. */
  readonly shorted: Uint8Array;
}

export const CYCLE_PRIORS = {
  rotorGcm2: { best: 0.8, std: 0.3, min: 0.2, max: 3 },
  runningRpm: { best: 3000, std: 500, min: 800, max: 9000 },
  massG: { best: 220, std: 70, min: 60, max: 800 },
  ...GUIDE_PRIORS,
  slidingShare: { best: 0.8, std: 0.05, min: 0.6, max: 0.95 },
  timeOutS: { best: 5, std: 1, min: 2.5, max: 9 },
} as const satisfies Readonly<Record<string, Bounds>>;
/** Of ten machines so many brake their motor. From memory, no source. */
const SHORTED = 0.6;

/**
 * What is believed of so many machines; the same seed gives the same ones.
 *
 * @example drawBeliefs(100, 1).massG.length // 100
 */
export function drawBeliefs(count: number, seed: number): CycleBeliefs {
  const random = seeded(seed + 7);
  const bell = bellCurve(random);
  const list = ({ best, std, min, max }: Bounds): Float64Array =>
    Float64Array.from({ length: count }, () => Math.min(max, Math.max(min, best + std * bell())));
  return {
    count,
    rotorGcm2: list(CYCLE_PRIORS.rotorGcm2),
    runningRpm: list(CYCLE_PRIORS.runningRpm),
    massG: list(CYCLE_PRIORS.massG),
    restShare: list(CYCLE_PRIORS.restShare),
    greaseShare: list(CYCLE_PRIORS.greaseShare),
    slidingShare: list(CYCLE_PRIORS.slidingShare),
    timeOutS: list(CYCLE_PRIORS.timeOutS),
    shorted: Uint8Array.from({ length: count }, () => (random() < SHORTED ? 1 : 0)),
  };
}

/** One machine with the best figure of everything. */
export function bestBeliefs(): CycleBeliefs {
  const one = ({ best }: Bounds): Float64Array => Float64Array.of(best);
  return {
    count: 1,
    rotorGcm2: one(CYCLE_PRIORS.rotorGcm2),
    runningRpm: one(CYCLE_PRIORS.runningRpm),
    massG: one(CYCLE_PRIORS.massG),
    restShare: one(CYCLE_PRIORS.restShare),
    greaseShare: one(CYCLE_PRIORS.greaseShare),
    slidingShare: one(CYCLE_PRIORS.slidingShare),
    timeOutS: one(CYCLE_PRIORS.timeOutS),
    shorted: Uint8Array.of(1),
  };
}
