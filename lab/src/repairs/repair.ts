import { shapeOf } from '@loose-pulley/core/base/shapes';
import type { Reading } from '@loose-pulley/core/belts/measuring';
import type { TriedBelt } from '@loose-pulley/core/belts/probability';
import {
  believe,
  causeChances,
  machineOf,
  nextStep,
  rankCauses,
  seenCause,
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
import { broughtIn, lay, withinYear, type Cleaned, type Doing, type HiddenMachine, type OnBench } from '../hidden';
import { FIXED_ORDER } from '../adviser';
import { bySize, byThumb, byTruth, type Chosen } from './belts';

/** Who repairs: as the app proposes, by the minute or by the test; in the usual order by rules of thumb; knowing the truth. */
export const TECHNICIANS = ['perMinute', 'perTest', 'usual', 'oracle'] as const;
export type Technician = (typeof TECHNICIANS)[number];

/** Where minutes go. */
export const SPENT_AT = ['find', 'open', 'measure', 'treat', 'prove'] as const;
export type SpentAt = (typeof SPENT_AT)[number];

/** Where a cure was lost: its cause never treated, no right belt found, handed back while it hid, or given up. */
export const LOST_AT = ['find', 'size', 'prove', 'effort'] as const;
export type LostAt = (typeof LOST_AT)[number];

/**
 * What is stated, and held against what came: a belt’s chance, a cause’s, a cause’s that was seen with the eye, and the
 * promise that nothing more is wrong, where Find sends one on to Prove.
 */
export const STATED = ['belt', 'cause', 'seen', 'promise'] as const;
export type Stated = (typeof STATED)[number];

/** How a repair went. */
export interface Repaired {
  /** Nothing is wrong with it any more at the first hand-back. */
  readonly cured: boolean;
  readonly lostAt: LostAt | null;
  readonly belts: number;
  readonly wrongBelts: number;
  readonly wrongCauses: number;
  readonly partsInVain: number;
  readonly mishaps: number;
  readonly comesBack: boolean;
  readonly minutes: Readonly<Record<SpentAt, number>>;
  /** Chances that were stated, and whether it came so. */
  readonly stated: ReadonlyArray<readonly [of: Stated, chance: number, came: boolean]>;
  /** What was done, in its order. */
  readonly hands: readonly string[];
}

const STATION: Readonly<Record<Doing, SpentAt>> = {
  eject: 'find',
  force: 'find',
  power: 'find',
  test: 'find',
  open: 'open',
  close: 'open',
  swab: 'treat',
  clean: 'treat',
  wait: 'treat',
  measure: 'measure',
  cure: 'treat',
  fit: 'treat',
  cycles: 'prove',
  handBack: 'prove',
};
/** What asks for another belt, and what is put right by cleaning. */
const NEW_BELT: ReadonlySet<string> = new Set(['beltSlack', 'beltGlazed', 'beltBroken', 'beltDissolved', 'beltWrong']);
const BY_CLEANING: Readonly<Record<string, Cleaned>> = {
  beltOily: 'pulleys',
  guidesDry: 'guides',
  switchDirty: 'switch',
  rollersDirty: 'rollers',
  lensDirty: 'lens',
};
/** What is read before a belt is chosen: the old one, where it is whole, a string, both pulleys and their distance. */
const READ = [
  'sectionJaws',
  'widthJaws',
  'overCap',
  'doubledOuter',
  'stringRound',
  'motorJaws',
  'drivenJaws',
  'shaftToShaft',
] as const;
const TREATED_MAX = 6;
const BELTS_MAX = 3;
const ASKED_MAX = 30;
const OUTSIDE: ReadonlySet<Lead> = new Set(['none', 'complaints']);

/** One repair, from the complaint to the hand-back, by hands that the machine answers. */
class Repair {
  readonly minutes: Record<SpentAt, number> = { find: 0, open: 0, measure: 0, treat: 0, prove: 0 };
  readonly stated: Array<readonly [Stated, number, boolean]> = [];
  readonly tries: TriedBelt[] = [];
  readonly hands: string[] = [];
  on: OnBench;
  treated = 0;
  wrongCauses = 0;
  wrongBelts = 0;
  readings: readonly Reading[] = [];

  constructor(
    machine: HiddenMachine,
    readonly knowledge: Knowledge,
  ) {
    this.on = broughtIn(machine);
  }

  do(what: Doing, which = '') {
    const before = this.on.minutes;
    const laid = lay(this.knowledge, this.on, { do: what, what: which }, this.hands.length);
    this.on = laid.on;
    this.minutes[STATION[what]] += this.on.minutes - before;
    this.hands.push(which ? `${what} ${which}` : what);
    return laid;
  }
  power(powered: boolean): void {
    if (this.on.powered !== powered) this.do('power', powered ? 'on' : 'off');
  }
  lid(off: boolean): void {
    if (off && this.on.lid === 'on') this.do('open', 'lidOff');
    if (!off && this.on.lid === 'off') this.do('close');
  }
  open(to: Depth): void {
    this.power(false);
    this.do('open', to);
  }
  ask(test: BenchTest): string {
    if (test.depth !== 'lidOn') {
      this.power(false);
      this.lid(true);
    }
    this.power(!test.caution.startsWith('Unplug'));
    return this.do('test', test.id).outcome ?? '';
  }

  /** Sees to a cause, with power off and the lid off where it lies inside. */
  treat(causeId: string, choose: (tries: readonly TriedBelt[]) => Chosen | undefined): void {
    const lead = this.knowledge.causes.find(({ id }) => id === causeId)?.leads ?? 'none';
    this.treated += 1;
    if (!this.on.left.includes(causeId)) this.wrongCauses += 1;
    if (!OUTSIDE.has(lead) || BY_CLEANING[causeId]) {
      this.power(false);
      this.lid(true);
    }
    const place = BY_CLEANING[causeId];
    if (NEW_BELT.has(causeId)) this.#newBelt(choose);
    else if (place) this.do('clean', place);
    else this.do('cure', causeId);
    if (place === 'pulleys') this.do('wait');
  }
  #newBelt(choose: (tries: readonly TriedBelt[]) => Chosen | undefined): void {
    // Its pulleys are cleaned, and dry, before any belt goes on.
    this.do('clean', 'pulleys');
    this.do('wait');
    if (this.readings.length === 0)
      for (const method of READ.filter(
        (one) => one !== 'widthJaws' || shapeOf(this.on.machine.drive.section.shape).hasWidth,
      ))
        this.readings = [...this.readings, ...(this.do('measure', method).readings ?? [])];
    for (let i = 0; i < BELTS_MAX; i++) {
      const chosen = choose(this.tries);
      if (!chosen) return;
      const { verdict } = this.do('fit', chosen.belt.id);
      if (!verdict) return;
      if (chosen.stated !== null) this.stated.push(['belt', chosen.stated, verdict === 'right']);
      if (verdict === 'right') return;
      this.wrongBelts += 1;
      this.tries.push({ belt: chosen.belt, verdict });
    }
  }
  /** Ten cycles with the lid on. @returns whether all were good */
  prove(): boolean {
    this.lid(false);
    this.power(true);
    return this.do('cycles').cycles?.every(Boolean) ?? false;
  }
  done(proved: boolean): Repaired {
    this.lid(false);
    this.do('handBack');
    const { minutes, stated, wrongBelts, wrongCauses, hands, on } = this;
    const cured = on.left.length === 0;
    const belt = on.left.includes('beltWrong') && on.belt !== null;
    const lost: LostAt = belt ? 'size' : proved ? 'prove' : this.treated >= TREATED_MAX ? 'effort' : 'find';
    return {
      cured,
      lostAt: cured ? null : lost,
      belts: on.fitted.length,
      wrongBelts,
      wrongCauses,
      partsInVain: on.partsInVain.length,
      mishaps: on.mishaps.length,
      comesBack: withinYear(on).comesBack,
      minutes,
      stated,
      hands,
    };
  }
}

/** What Find says of the rest where what was put right is what was wrong: likely nothing more is, or nothing of it. */
function promise(repair: Repair, machine: Machine, given: Case): void {
  const belief = believe(machine, given);
  const step = nextStep(machine, belief, given.opened, suggest(machine, belief, given, 'minute'), []);
  if (step.do === 'prove') repair.stated.push(['promise', belief[0] ?? 0, repair.on.left.length === 0]);
}

/** As Find proposes, until ten cycles are good. @returns whether they were */
function byApp(repair: Repair, machine: Machine, policy: Policy): boolean {
  const { knowledge } = repair;
  const observations: Observation[] = [];
  const cured: string[] = [];
  const ruledOut: string[] = [];
  for (let asked = 0; asked < ASKED_MAX && repair.treated < TREATED_MAX;) {
    const given: Case = {
      loader: machine.loader,
      observations,
      cured,
      ruledOut,
      opened: repair.on.opened,
      stillFails: repair.treated > 0,
    };
    const belief = believe(machine, given);
    const suggestions = suggest(machine, belief, given, policy);
    const gone = new Set([...cured, ...ruledOut]);
    const seen = observations
      .filter((one) => one.cured === cured.length)
      .flatMap(({ testId, outcome }) => seenCause(machine, testId, outcome) ?? [])
      .filter((id) => !gone.has(id));
    const step = nextStep(machine, belief, repair.on.opened, suggestions, seen);
    if (step.do === 'open') {
      repair.open(step.to);
      continue;
    }
    if (step.do === 'ask') {
      const test = knowledge.tests.find(({ id }) => id === step.testId);
      if (!test) return false;
      observations.push({ testId: test.id, outcome: repair.ask(test), cured: cured.length });
      asked += 1;
      continue;
    }
    const [first] = rankCauses(machine, belief);
    const causeId = step.do === 'go' ? step.causeId : (first?.causeId ?? '');
    const chance = causeChances(machine, belief)[machine.causes.findIndex(({ id }) => id === causeId)] ?? 0;
    const there = repair.on.left.includes(causeId);
    repair.stated.push([seen.includes(causeId) ? 'seen' : 'cause', chance, there]);
    const before = repair.on.inVain.length;
    repair.treat(causeId, (tries) => bySize(repair.on, repair.readings, tries));
    // “There was nothing to put right” is said at once; all else the cycles tell.
    (repair.on.inVain.length > before ? ruledOut : cured).push(causeId);
    if (there) promise(repair, machine, { ...given, cured, ruledOut, opened: repair.on.opened, stillFails: false });
    if (repair.prove()) return true;
  }
  return false;
}

/** Tests in one order for every machine; the first that shows something is believed, and what it shows most of is treated. */
function byUsualOrder(repair: Repair, machine: Machine): boolean {
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
    repair.treat(first, (tries) => byThumb(repair.on, repair.readings, tries));
    if (repair.prove()) return true;
    if (treated.size >= TREATED_MAX) return false;
  }
  return false;
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
    // What else is wrong is put right before a belt is judged.
    const last = (cause: string): number => (NEW_BELT.has(cause) ? 1 : 0);
    for (const cause of [...machine.causes].sort((a, b) => last(a) - last(b)))
      if (work.on.left.includes(cause)) work.treat(cause, () => byTruth(work.on));
    return work.done(work.prove());
  }
  if (technician === 'usual') return work.done(byUsualOrder(work, known));
  return work.done(byApp(work, known, technician === 'perMinute' ? 'minute' : 'test'));
}
