import type { CycleBelt } from '../../physics/cycle';
import { evaluateBelt, wrapsOfPath, type DriveValues, type EvaluatedBelt } from '../../physics/evaluation';
import { sectionAreaMm2 } from '../../physics/rubber';
import { bestValues, type Situation } from '../sizing';

/** Another belt between motor and load, where several pass on the same turning; one of them is the drive’s own. */
export interface SeriesBelt {
  readonly name: string;
  /** What it is judged by, and the belt that is on; null for the drive’s own, which is drawn anew for every machine. */
  readonly drive: { readonly situation: Situation; readonly belt: EvaluatedBelt } | null;
  /** Turns of its small pulley’s shaft for one of the motor. */
  readonly driverTurns: number;
}

/** Of a large pulley of plastic, by the fourth power of its radius: 12 mm weigh some 1.2 g. From memory, no source. */
const PULLEY_GCM2_AT_12MM = 0.8;

/** A belt on its pulleys as a cycle sees it, by the one criterion; undefined where none can run there. */
export function fittedBelt(
  { drive, demands, oldSection }: Pick<Situation, 'drive' | 'demands' | 'oldSection'>,
  values: DriveValues,
  belt: EvaluatedBelt,
  slidingShare: number,
): { readonly own: CycleBelt; readonly freshPullN: number } | undefined {
  const evaluated = evaluateBelt(drive, belt, values, demands, oldSection);
  if (!evaluated) return undefined;
  const { motorRadiusMm, drivenRadiusMm, strain, freshPullN, relaxedPullN, grip } = evaluated;
  const stretch = 1 + strain;
  const wraps = wrapsOfPath(values);
  const centreMm = stretch * (belt.innerLengthMm + Math.PI * belt.thicknessMm);
  const spanMm = Math.max(4, (centreMm - wraps[0] * motorRadiusMm - wraps[1] * drivenRadiusMm) / 2 / stretch);
  const bush = (loadN: number): number => (freshPullN > 0 ? (loadN * relaxedPullN) / freshPullN : 0) * values.bushMm;
  return {
    freshPullN,
    own: {
      name: 'belt',
      stretch,
      stiffnessN: (values.modulusMpa / 3) * sectionAreaMm2(belt) * (1 + 2 * stretch ** -3),
      spansMm: [spanMm, spanMm],
      limitN: grip.beltPullN,
      slidingShare,
      driverRadiusMm: motorRadiusMm,
      drivenRadiusMm,
      driverBushNmm: bush(evaluated.motorLoadN),
      drivenBushNmm: bush(evaluated.drivenLoadN),
      drivenGcm2: PULLEY_GCM2_AT_12MM * (drivenRadiusMm / 12) ** 4,
      eccentricMm: 0,
    },
  };
}

/**
 * The belts in a row. Each body turns with the pulley that a belt drives; where gears stand before the next small pulley,
 * that pulley is told as one on the body itself that has the same speed at its rim.
 *
 * @returns with how often the own small pulley turns for one turn of the motor, and the last driven pulley for one of the own
 */
export function inSeries(own: CycleBelt, series: readonly SeriesBelt[], slidingShare: number) {
  const alone = { belts: [own], ownTurns: 1, lastTurns: 1 };
  const at = series.findIndex(({ drive }) => drive === null);
  if (series.length < 2 || at < 0) return alone;
  const belts: CycleBelt[] = [];
  let bodyTurns = 1;
  let [ownTurns, ownDrivenTurns] = [1, 1];
  for (const { name, drive, driverTurns } of series) {
    const one =
      drive === null
        ? own
        : fittedBelt(drive.situation, bestValues(drive.situation, drive.belt.shape), drive.belt, slidingShare)?.own;
    if (!one) return alone;
    const times = driverTurns / bodyTurns;
    belts.push({ ...one, name, driverRadiusMm: one.driverRadiusMm * times, driverBushNmm: one.driverBushNmm * times });
    bodyTurns = (driverTurns * one.driverRadiusMm) / one.drivenRadiusMm;
    if (drive === null) [ownTurns, ownDrivenTurns] = [driverTurns, bodyTurns];
  }
  return { belts, ownTurns, lastTurns: bodyTurns / ownDrivenTurns };
}
