import type { TriedBelt } from '@loose-pulley/core/belts/probability';
import {
  believe,
  causeChances,
  deeper,
  machineOf,
  minutesNow,
  nextStep,
  rankCauses,
  suggest,
  type BenchTest,
  type Case,
  type Depth,
  type Knowledge,
  type Lead,
  type Machine,
  type Observation,
  type Policy,
} from '@loose-pulley/core/work/diagnosis';
import { answer, fit, type HiddenMachine } from '../hidden';
import { FIXED_ORDER } from '../adviser';
import { bySize, byThumb, byTruth, type Chosen } from './belts';

/** Who repairs: as the app proposes, by the minute or by the test; in the usual order by rules of thumb; knowing the truth. */
export const TECHNICIANS = ['perMinute', 'perTest', 'usual', 'oracle'] as const;
export type Technician = (typeof TECHNICIANS)[number];

/** Where minutes go. */
export const SPENT_AT = ['find', 'open', 'measure', 'treat', 'prove'] as const;

/** How a repair went. */
export interface Repaired {
  /** Nothing is wrong with it any more at the first hand-back. */
  readonly cured: boolean;
  readonly belts: number;
  readonly wrongBelts: number;
  readonly wrongCauses: number;
  readonly minutes: Readonly<Record<(typeof SPENT_AT)[number], number>>;
  /** Chances that were stated, and whether it came so. */
  readonly stated: ReadonlyArray<readonly [of: 'belt' | 'cause', chance: number, came: boolean]>;
}

/** Minutes of each, from memory of the trade, no source. */
const TREAT: Readonly<Record<Lead, number>> = {
  none: 6,
  measure: 4,
  clean: 15,
  strip: 15,
  rebuild: 5,
  train: 20,
  complaints: 5,
};
const MINUTES = { measure: 10, fit: 8, prove: 8 } as const;
/** What asks for another belt. */
const NEW_BELT: ReadonlySet<string> = new Set(['beltSlack', 'beltGlazed', 'beltBroken', 'beltDissolved', 'beltWrong']);
const TREATED_MAX = 5;
const BELTS_MAX = 3;
const ASKED_MAX = 30;
const OUTSIDE: ReadonlySet<Lead> = new Set(['none', 'complaints']);

/** One repair, from the complaint to the hand-back. */
class Repair {
  readonly minutes = { find: 0, open: 0, measure: 0, treat: 0, prove: 0 };
  readonly stated: Array<readonly ['belt' | 'cause', number, boolean]> = [];
  readonly tries: TriedBelt[] = [];
  remaining: readonly string[];
  opened: Depth = 'lidOn';
  belts = 0;
  wrongBelts = 0;
  wrongCauses = 0;

  constructor(
    readonly machine: HiddenMachine,
    readonly knowledge: Knowledge,
  ) {
    this.remaining = machine.causes;
  }

  /** The machine as it now stands: what was cured shows itself no more. */
  get now(): HiddenMachine {
    return {
      ...this.machine,
      causes: this.remaining,
      seen: this.remaining.length === this.machine.causes.length ? this.machine.seen : {},
    };
  }
  ask(test: BenchTest): string {
    const all = minutesNow(test, this.opened);
    this.minutes.find += test.minutes;
    this.minutes.open += all - test.minutes;
    this.opened = deeper(this.opened, test.depth);
    return answer(this.now, test);
  }
  open(to: Depth, minutes: number): void {
    if (this.opened === 'lidOn') this.minutes.open += minutes;
    this.opened = deeper(this.opened, to);
  }

  /** Sees to a cause. @returns whether it was there, and is gone */
  treat(causeId: string, choose: (tries: readonly TriedBelt[]) => Chosen | undefined): boolean {
    const lead = this.knowledge.causes.find(({ id }) => id === causeId)?.leads ?? 'none';
    if (!OUTSIDE.has(lead)) this.open('lidOff', 10);
    this.minutes.treat += TREAT[lead];
    const there = this.remaining.includes(causeId);
    const done = NEW_BELT.has(causeId) ? this.#newBelt(choose) : there;
    if (!there) this.wrongCauses += 1;
    if (there && done) this.remaining = this.remaining.filter((one) => one !== causeId);
    return there && done;
  }
  #newBelt(choose: (tries: readonly TriedBelt[]) => Chosen | undefined): boolean {
    this.minutes.measure += MINUTES.measure;
    // Its pulleys are cleaned before any belt goes on.
    const { drive } = this.machine;
    const clean: HiddenMachine = {
      ...this.machine,
      drive: { ...drive, motorSurface: 'clean', drivenSurface: 'clean', motorFriction: 0.8, drivenFriction: 0.8 },
    };
    for (let i = 0; i < BELTS_MAX; i++) {
      const chosen = choose(this.tries);
      if (!chosen) return false;
      this.belts += 1;
      this.minutes.treat += MINUTES.fit;
      const verdict = fit(clean, chosen.belt);
      if (chosen.stated !== null) this.stated.push(['belt', chosen.stated, verdict === 'right']);
      if (verdict === 'right') return true;
      this.wrongBelts += 1;
      this.tries.push({ belt: chosen.belt, verdict });
    }
    return false;
  }
  /** Cycles after a treatment: what still fails is seen there. @returns whether all is well */
  prove(): boolean {
    this.minutes.prove += MINUTES.prove;
    return this.remaining.length === 0;
  }
  get done(): Repaired {
    const { minutes, stated, belts, wrongBelts, wrongCauses } = this;
    return { cured: this.remaining.length === 0, belts, wrongBelts, wrongCauses, minutes, stated };
  }
}

function byApp(repair: Repair, machine: Machine, policy: Policy): void {
  const { knowledge } = repair;
  const observations: Observation[] = [];
  const cured: string[] = [];
  const ruledOut: string[] = [];
  let treated = 0;
  for (let asked = 0; asked < ASKED_MAX && treated < TREATED_MAX;) {
    const given: Case = {
      loader: machine.loader,
      observations,
      cured,
      ruledOut,
      opened: repair.opened,
      stillFails: treated > 0,
    };
    const belief = believe(machine, given);
    const suggestions = suggest(machine, belief, given, policy);
    const step = nextStep(machine, belief, repair.opened, suggestions);
    if (step.do === 'open') {
      repair.open(step.to, step.to === 'deep' ? 25 : 10);
      continue;
    }
    if (step.do === 'ask') {
      const test = knowledge.tests.find(({ id }) => id === step.testId);
      if (!test) return;
      observations.push({ testId: test.id, outcome: repair.ask(test), cured: cured.length });
      asked += 1;
      continue;
    }
    const [first] = rankCauses(machine, belief);
    const causeId = step.do === 'go' ? step.causeId : (first?.causeId ?? '');
    const chance = causeChances(machine, belief)[machine.causes.findIndex(({ id }) => id === causeId)] ?? 0;
    repair.stated.push(['cause', chance, repair.remaining.includes(causeId)]);
    treated += 1;
    (repair.treat(causeId, (tries) => bySize(repair.machine, tries)) ? cured : ruledOut).push(causeId);
    if (repair.prove()) return;
  }
}

/** Tests in one order for every machine; the first that shows something is believed, and what it shows most of is treated. */
function byUsualOrder(repair: Repair, machine: Machine): void {
  const treated = new Set<string>();
  const suspected: string[] = [];
  for (const id of FIXED_ORDER) {
    const test = machine.tests.find((one) => one.id === id);
    if (!test) continue;
    const outcome = test.outcomes.findIndex((one) => one.id === repair.ask(test));
    if (outcome <= 0) continue;
    const likely = (cause: string): number =>
      (test.given[cause]?.[outcome] ?? 0) * (machine.shares[machine.causes.findIndex((one) => one.id === cause)] ?? 0);
    const [first] = Object.keys(test.given)
      .filter((cause) => !treated.has(cause))
      .sort((a, b) => likely(b) - likely(a));
    if (first === undefined) continue;
    suspected.push(first);
    // With the lid on one sign is not enough.
    if (test.depth === 'lidOn' && suspected.filter((one) => one === first).length < 2) continue;
    treated.add(first);
    repair.treat(first, (tries) => byThumb(repair.machine, tries));
    if (repair.prove() || treated.size >= TREATED_MAX) return;
  }
}

/**
 * One hidden machine, repaired by one technician through core’s public doors alone: what Find proposes, what Size names,
 * cycles after each treatment.
 *
 * For instance repair(KNOWLEDGE, machine, 'perMinute').cured: true
 */
export function repair(knowledge: Knowledge, machine: HiddenMachine, technician: Technician): Repaired {
  const work = new Repair(machine, knowledge);
  const known = machineOf(knowledge, machine.loader);
  if (technician === 'oracle') {
    for (const cause of machine.causes) work.treat(cause, () => byTruth(machine));
    work.prove();
  } else if (technician === 'usual') byUsualOrder(work, known);
  else byApp(work, known, technician === 'perMinute' ? 'minute' : 'test');
  return work.done;
}
