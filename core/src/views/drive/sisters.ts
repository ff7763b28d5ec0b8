import { THRESHOLDS } from '../../base/thresholds';
import { liesWhere } from '../../base/shapes';
import type { Sister } from '../../belts/sizing';
import type { DriveRecord, Try } from '../../record/stations';
import { driveFactsOf, remedyOf, type RemedyKind, type Ticket } from '../../record/ticket';
import { goesStiffly } from './stiff';
import { combineEstimates, type Combined } from '../../base/statistics';

/** Belts that are as they are sold. */
const NEW: ReadonlySet<RemedyKind> = new Set(['newBelt', 'ring']);

/** The limit of a belt's own length where it is not in the catalogue, relative; and of one that was measured, mm. */
const LIMIT = 0.01;
const MEASURED_LIMIT_MM = 0.8;

/**
 * A belt as it was tried: by its own length where it was measured in the hand, else within its maker's limits.
 *
 * @example triedBelt(tried('t1', 116)).innerLengthToleranceMm // 1.16
 */
export function triedBelt({ shape, thicknessMm, widthMm, innerLengthMm, measuredMm }: Try) {
  return {
    shape,
    thicknessMm,
    ...(widthMm !== null && { widthMm }),
    innerLengthMm: measuredMm ?? innerLengthMm,
    innerLengthToleranceMm: measuredMm === null ? innerLengthMm * LIMIT : MEASURED_LIMIT_MM,
  };
}

/**
 * Machines with a drive's mechanism among past tickets: what was measured of them by themselves, and tried on them.
 *
 * @example sistersOf([ticket], driveRecord).map(({ number }) => number) // ['0147']
 */
export function sistersOf(
  past: readonly Ticket[],
  { mechanism, oldShape }: Pick<DriveRecord, 'mechanism' | 'oldShape'>,
): readonly Sister[] {
  if (mechanism === '') return [];
  return past.flatMap(({ number, drives, observations }) =>
    drives
      .filter((one) => one.mechanism === mechanism)
      .map((one): Sister => {
        // What was carried over from another machine is that one's, and counted there.
        const { path, trayPull } = driveFactsOf({
          ...one,
          readings: one.readings.filter(({ from }) => from === undefined),
        });
        return {
          number,
          path,
          trayPullN: trayPull,
          motorSurface: one.motorSurface,
          drivenSurface: one.drivenSurface,
          stiff: goesStiffly({ observations }, one),
          tries: one.tries.flatMap((each) =>
            // A band tells of its own rubber, which nobody knows, and so does an old belt that was put on again.
            each.verdict === 'untried' || !liesWhere(each.shape, oldShape) || !NEW.has(remedyOf(each))
              ? []
              : [{ belt: triedBelt(each), verdict: each.verdict }],
          ),
        };
      })
      .filter(({ path, trayPullN, tries }) => path !== undefined || trayPullN !== undefined || tries.length > 0),
  );
}

/** What machines of a mechanism say of the next one: the mean, and how far one lies from another. */
function pooled(of: readonly Combined[], betweenStd: number): Combined | undefined {
  if (of.length < THRESHOLDS.machinesEnough) return undefined;
  const mean = combineEstimates(
    of.map(({ value, std }) => ({ value, ownStd: Math.hypot(std, betweenStd), shared: {} })),
  );
  if (!mean) return undefined;
  const seen = Math.sqrt(of.reduce((sum, { value }) => sum + (value - mean.value) ** 2, 0) / (of.length - 1));
  return { value: mean.value, std: Math.hypot(mean.std, Math.max(seen, betweenStd)) };
}

/** What a mechanism's machines say of its path and its pull; each undefined while too few of them were measured. */
export interface MechanismKnown {
  readonly path?: Combined | undefined;
  readonly trayPullN?: Combined | undefined;
  /** The belt that was right most often there. */
  readonly belt?: Sister['tries'][number]['belt'] | undefined;
}

/**
 * The mechanism's own path and pull, from its machines: to choose by before anything of the next one is measured.
 *
 * @param betweenMachines how far paths of two machines alike may differ, relative
 */
export function mechanismKnown(sisters: readonly Sister[], betweenMachines: number): MechanismKnown {
  const paths = sisters.flatMap(({ path }) => path ?? []);
  const pulls = sisters.flatMap(({ trayPullN }) => trayPullN ?? []);
  const right = sisters.flatMap(({ tries }) => tries.filter(({ verdict }) => verdict === 'right'));
  const [first] = right.map(({ belt }) => belt);
  return {
    path: pooled(paths, betweenMachines * (paths[0]?.value ?? 0)),
    trayPullN: pooled(pulls, 0.15 * (pulls[0]?.value ?? 0)),
    belt: first,
  };
}
