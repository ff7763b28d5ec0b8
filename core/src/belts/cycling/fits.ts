import { seeded } from '../../base/statistics';
import { cycle, ON_THE_BENCH } from '../../physics/cycle';
import type { EvaluatedBelt } from '../../physics/evaluation';
import type { TriedBelt } from '../probability';
import type { Situation } from '../sizing';

/** A belt that ran: on this machine, or on others of its mechanism. */
export interface RanWell {
  readonly belt: EvaluatedBelt;
  readonly here: boolean;
}
/** So many of them are asked: each costs a cycle of every machine. */
const ASKED = 2;
/** What ran on another machine ran there: of machines in which it would not run here so many are let stand. From memory. */
const OTHERS_DIFFER = 0.3;

const alike = (a: EvaluatedBelt, b: EvaluatedBelt): boolean =>
  a.shape === b.shape && a.thicknessMm === b.thicknessMm && Math.abs(a.innerLengthMm - b.innerLengthMm) < 0.1;

/** The belts that were right, here first; each size once. */
export function ranWell({ sisters = [] }: Situation, tries: readonly TriedBelt[]): readonly RanWell[] {
  const all: RanWell[] = [
    ...tries.flatMap(({ belt, verdict }) => (verdict === 'right' ? [{ belt, here: true }] : [])),
    ...sisters.flatMap((sister) =>
      sister.tries.flatMap(({ belt, verdict }) => (verdict === 'right' ? [{ belt, here: false }] : [])),
    ),
  ];
  return all.filter((one, at) => at === all.findIndex(({ belt }) => alike(belt, one.belt))).slice(0, ASKED);
}

const STEP_S = 4e-4;

/**
 * Whether a machine agrees with the bench: what ran there must run in it. The bench outranks the model, and this holds of
 * a cycle as it does of the sums at rest.
 *
 * @param machineWith the machine with another belt on
 */
export function agrees(
  belts: readonly RanWell[],
  machineWith: (belt: EvaluatedBelt) => Parameters<typeof cycle>[0] | undefined,
  seed: number,
): boolean {
  const random = seeded(seed);
  return belts.every(({ belt, here }) => {
    const machine = machineWith(belt);
    const run = machine && cycle(machine, ON_THE_BENCH, { stepS: STEP_S, traced: false, seed });
    const ran = run?.ok === true && (run.value.outcome === 'opens' || run.value.outcome === 'overruns');
    return ran || (!here && random() < OTHERS_DIFFER);
  });
}
