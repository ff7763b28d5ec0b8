import { normalQuantile } from '../../base/statistics';

/** A life as it was seen: how long, and whether it ended then or was still going on. */
export interface Life {
  readonly time: number;
  readonly ended: boolean;
}

/** A step of the curve: at a time at which lives ended. */
export interface SurvivalStep {
  readonly time: number;
  readonly atRisk: number;
  readonly ended: number;
  /** Share that lasts longer than this. */
  readonly survival: number;
  /** Greenwood's standard error of that share. */
  readonly std: number;
  readonly low: number;
  readonly high: number;
}

export interface Survival {
  readonly steps: readonly SurvivalStep[];
  readonly lives: number;
  readonly ended: number;
  /** The longest that was seen. */
  readonly longest: number;
}

/**
 * The share of lives that last longer than a time, lives still going on counted as long as they were seen (Kaplan & Meier
 * 1958). The standard error is Greenwood's (1926); the interval is on the log-minus-log scale, so that it stays between 0
 * and 1 (Kalbfleisch & Prentice 2002, §1.4). A life that ended at the time at which another was last seen ended first.
 *
 * @param confidence of the interval, such as 0.95
 * @example kaplanMeier([{ time: 6, ended: true }, { time: 9, ended: false }]).steps[0].survival // 0.5
 */
export function kaplanMeier(lives: readonly Life[], confidence = 0.95): Survival {
  const z = normalQuantile(0.5 + confidence / 2);
  const sorted = [...lives].sort((a, b) => a.time - b.time);
  const steps: SurvivalStep[] = [];
  let survival = 1;
  let greenwood = 0;
  for (let index = 0; index < sorted.length;) {
    const { time } = sorted[index] as Life;
    const atRisk = sorted.length - index;
    let ended = 0;
    for (; index < sorted.length && (sorted[index] as Life).time === time; index += 1)
      if ((sorted[index] as Life).ended) ended += 1;
    if (ended === 0) continue;
    survival *= 1 - ended / atRisk;
    greenwood += atRisk === ended ? 0 : ended / (atRisk * (atRisk - ended));
    const spread = survival > 0 && survival < 1 ? (z * Math.sqrt(greenwood)) / Math.abs(Math.log(survival)) : 0;
    steps.push({
      time,
      atRisk,
      ended,
      survival,
      std: survival * Math.sqrt(greenwood),
      low: survival ** Math.exp(spread),
      high: survival ** Math.exp(-spread),
    });
  }
  return {
    steps,
    lives: lives.length,
    ended: steps.reduce((sum, one) => sum + one.ended, 0),
    longest: sorted.at(-1)?.time ?? 0,
  };
}

/** The first time at which no more than a share is left; undefined where it never came to that. For instance timeAt(curve, 0.5): the median */
export const timeAt = ({ steps }: Survival, share: number): number | undefined =>
  steps.find(({ survival }) => survival <= share + 1e-12)?.time;
