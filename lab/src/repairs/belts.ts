import { stockFor, type CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { driveFacts, type Reading } from '@loose-pulley/core/belts/measuring';
import {
  believe,
  chosenAfter,
  playOutcomes,
  probabilitiesOf,
  rankByProbability,
  type SuccessProbability,
  type TriedBelt,
} from '@loose-pulley/core/belts/probability';
import { rank, rulesOfThumb, situationOf, type Situation } from '@loose-pulley/core/belts/sizing';
import { verdictNow, type OnBench } from '../hidden';

const DRAWS = 600;
const SETTING = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } } as const;

/** What a bench knows of the drive by what it has read; its pulleys are clean by then. */
function knownOf({ machine }: OnBench, readings: readonly Reading[]) {
  const facts = driveFacts(readings, SETTING);
  const oldShape = machine.drive.section.shape;
  const situation = situationOf(facts, { motorSurface: 'clean', drivenSurface: 'clean', oldShape });
  return { facts, situation: situation.ok ? situation.value : undefined };
}

const near = ({ machine }: OnBench, pathMm: number): readonly CatalogueBelt[] =>
  stockFor(machine.drive.section.shape).filter(
    ({ innerLengthMm }) => innerLengthMm > 0.78 * pathMm && innerLengthMm < 1.05 * pathMm,
  );

/** A belt that is chosen, and the chance that was stated of it. */
export interface Chosen {
  readonly belt: CatalogueBelt;
  readonly stated: number | null;
}

/** As Size names it, after what was tried. */
export function bySize(on: OnBench, readings: readonly Reading[], tries: readonly TriedBelt[]): Chosen | undefined {
  const { situation } = knownOf(on, readings);
  if (!situation) return undefined;
  const belts = near(on, situation.path.value);
  const { value, weights } = believe(situation, tries, DRAWS, on.machine.seed);
  const chances = probabilitiesOf(playOutcomes(value, situation, belts), weights);
  const byId = Object.fromEntries(belts.map(({ id }, i) => [id, chances[i] as SuccessProbability]));
  const after = chosenAfter(tries);
  const { best } = rankByProbability(rank(situation, belts), byId, { belts, oldSection: situation.oldSection, after });
  const belt = best?.catalogueBelt;
  return belt && { belt, stated: byId[belt.id]?.works ?? 0 };
}

/** By rule of thumb: a twentieth under the old belt, and then the next one down. */
export function byThumb(on: OnBench, readings: readonly Reading[], tries: readonly TriedBelt[]): Chosen | undefined {
  const { facts, situation } = knownOf(on, readings);
  if (!situation) return undefined;
  const belts = near(on, situation.path.value);
  const tried = new Set(tries.map(({ belt }) => belt.innerLengthMm));
  const rule = rulesOfThumb(facts, situation as Situation, belts).find(({ id }) => id === 'slightlySmaller');
  const shorter = belts
    .filter((one) => !tried.has(one.innerLengthMm) && one.innerLengthMm < (rule?.pick?.innerLengthMm ?? Infinity))
    .sort((a, b) => b.innerLengthMm - a.innerLengthMm);
  const belt = rule?.pick && !tried.has(rule.pick.innerLengthMm) ? rule.pick : shorter[0];
  return belt && { belt, stated: null };
}

/** As whoever knows the drive takes it: one that is right; undefined where none is sold. */
export function byTruth(on: OnBench): Chosen | undefined {
  const belt = near(on, on.machine.drive.pathMm).find((one) => verdictNow(on, one) === 'right');
  return belt && { belt, stated: null };
}
