import { seeded } from '@loose-pulley/core/base/statistics';
import { bestValues, situationOf, type Situation } from '@loose-pulley/core/belts/sizing';
import { drawBeliefs, machineOf } from '@loose-pulley/core/belts/cycling';
import { believe, valuesOf } from '@loose-pulley/core/belts/probability';
import { driveFacts, type Reading } from '@loose-pulley/core/belts/measuring';
import type { Knowledge } from '@loose-pulley/core/work/diagnosis';
import { arrives, BY_PHYSICS, FAULTS, look, ROOM, run } from '../hidden';

/** One answer to one test where physics decides it: what the adviser's table says, and what cycles come to. */
export interface Against {
  readonly cause: string;
  readonly test: string;
  readonly outcome: string;
  /** Of all answers to that test for that cause. */
  readonly table: number;
  readonly simulated: number;
}

const MEASURED = [
  ['section', 'sectionJaws', 1.2],
  ['motorDiameter', 'motorJaws', 6],
  ['drivenDiameter', 'drivenJaws', 24.8],
  ['centreDistance', 'shaftToShaft', 38.2],
] as const satisfies ReadonlyArray<readonly [Reading['measurand'], string, number]>;

/** A measured tray of the middle sort. */
function usualTray(): Situation {
  const readings = MEASURED.map(([measurand, method, amount]): Reading => ({
    id: measurand,
    measurand,
    method,
    typed: '',
    amount,
    aux: {},
    ownStd: null,
  }));
  const facts = driveFacts(readings, { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } });
  const situation = situationOf(facts, { motorSurface: 'clean', drivenSurface: 'clean', oldShape: 'square' });
  if (!situation.ok) throw new Error(situation.problem);
  return situation.value;
}

/**
 * Holds the adviser's table against cycles: of so many machines with one cause each, what those that fail would answer.
 *
 * @returns a line for each answer of each test that physics decides, for each cause that physics knows
 */
export function tableAgainstCycles(knowledge: Knowledge, machines: number, seed: number): readonly Against[] {
  const situation = usualTray();
  const believed = believe(situation, [], machines, seed).value;
  const beliefs = drawBeliefs(machines, seed);
  const belt = { shape: 'square', thicknessMm: 1.2, innerLengthMm: 114 } as const;
  const all: Against[] = [];
  for (const [cause, lay] of Object.entries(FAULTS)) {
    const random = seeded(seed);
    const counts = new Map<string, Map<string, number>>();
    let failing = 0;
    for (let i = 0; i < machines; i++) {
      const values = { ...valuesOf(believed, i, belt.shape), needNmm: bestValues(situation, belt.shape).needNmm };
      const made = machineOf(situation, values, belt, beliefs, i, {});
      const sound = made.ok ? run(made.value, ROOM, i) : undefined;
      if (!made.ok || !sound || !arrives(sound) || sound.timeS === null) continue;
      const laid = lay(made.value, random);
      const found = laid && look(laid, sound.timeS, i);
      if (!found?.fails) continue;
      failing += 1;
      for (const test of BY_PHYSICS) {
        const outcome = found.answer(test) ?? '';
        const list = counts.get(test) ?? new Map<string, number>();
        list.set(outcome, (list.get(outcome) ?? 0) + 1);
        counts.set(test, list);
      }
    }
    for (const [test, list] of counts) {
      const row = knowledge.tests.find(({ id }) => id === test);
      const given = row?.given[cause];
      if (!row || !given) continue;
      const sum = given.reduce((total, one) => total + one, 0);
      row.outcomes.forEach(({ id }, at) => {
        all.push({
          cause,
          test,
          outcome: id,
          table: (given[at] ?? 0) / sum,
          simulated: (list.get(id) ?? 0) / failing,
        });
      });
    }
  }
  return all;
}
