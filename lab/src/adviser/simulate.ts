import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import type { Loader } from '@loose-pulley/core/base/loaders';
import { seeded, type Random } from '@loose-pulley/core/base/statistics';
import {
  BLURS,
  causeChances,
  deeper,
  machineOf,
  minutesNow,
  NO_BLUR,
  outcomeChances,
  seenCause,
  suggest,
  weigh,
  type Bearing,
  type BenchTest,
  type Blur,
  type Depth,
  type Knowledge,
  type Machine,
  type Policy,
} from '@loose-pulley/core/work/diagnosis';

/** Tests played at the least, so that the ranking after each can be told. */
const PLAYED_ON = 10;
/** How far the world’s likelihoods lie from the table’s, either way. */
const WRONG_BY = 0.25;

/** A flow chart as benches have it: one order for every machine, cheap things first, then the lid. */
export const FIXED_ORDER = [
  'use',
  'unplug',
  'lock',
  'behaviour',
  'sound',
  'reads',
  'pull',
  'tapped',
  'rattle',
  'emptyLoaded',
  'turns',
  'beltLook',
  'beltFeel',
  'holdEject',
  'turnHand',
  'switch',
  'track',
  'path',
  'mode',
  'link',
  'rollers',
  'beltOffStiff',
  'motor',
  'otherBelts',
  'clamp',
  'plugs',
  'lens',
  'gears',
];

export const PLAYERS = ['adviser', 'ceiling', 'fixed', 'random'] as const;
export type Player = (typeof PLAYERS)[number];

/** How one player did over many machines. */
export interface Played {
  /** Share of machines in which the first-ranked cause is one that is there, after one test, two, and so on. */
  readonly top1: readonly number[];
  /** The same, of all causes that are there being among the first three. */
  readonly top3: readonly number[];
  /** Minutes that the first five tests took, opening among them. */
  readonly minutesAfter5: number;
  /** Means until one cause is believed at 80 in 100; where that never comes, all that was done. */
  readonly testsToCertain: number;
  readonly minutesToCertain: number;
  /** Share of machines in which it came; how sure it then was, and in how many it was right. */
  readonly certain: number;
  readonly statedWhenCertain: number;
  readonly rightWhenCertain: number;
  /** What was said of the first-ranked cause, after every test of the first ten and where it ended, by its band. */
  readonly bands: readonly SaidBand[];
}

/** Statements in one band of ten points: how many, what they said on average, and in how many the cause was there. */
export interface SaidBand {
  readonly from: number;
  readonly cases: number;
  readonly stated: number;
  readonly right: number;
}

/**
 * How the world differs from the table: its likelihoods a quarter off either way; or, besides, one row in five another
 * cause’s or a sound machine’s, so that the table is wrong in what shows what.
 */
export const WORLDS = ['perturbed', 'structure'] as const;
export type World = (typeof WORLDS)[number];
/** Rows that are another’s, in a world that is wrong in structure. */
const WRONG_ROWS = 0.2;

export interface Game {
  readonly world?: World;
  readonly policy?: Policy;
  /** How the adviser allows for a wrong table; replaced in the measuring of that alone. */
  readonly blurs?: readonly Blur[];
  /** Who plays; everybody unless said. */
  readonly only?: readonly Player[];
}

/** What was played. */
export interface Simulation {
  readonly loader: Loader;
  readonly machines: number;
  readonly players: Readonly<Record<Player, Played>>;
}

const pick = (weights: ArrayLike<number>, random: Random): number => {
  let left = random() * Array.from(weights).reduce((sum, one) => sum + one, 0);
  for (let i = 0; i < weights.length; i++) {
    left -= weights[i] ?? 0;
    if (left < 0) return i;
  }
  return weights.length - 1;
};

/** A world whose likelihoods lie off the table’s. */
function worldOf(knowledge: Knowledge, random: Random, world: World): Knowledge {
  const off = (row: readonly number[]): number[] => {
    const moved = row.map((percent) => percent * (1 - WRONG_BY + 2 * WRONG_BY * random()));
    const sum = moved.reduce((total, one) => total + one, 0);
    return moved.map((one) => (100 * one) / sum);
  };
  const tests = knowledge.tests.map((test): BenchTest => {
    const ids = Object.keys(test.given);
    const rowOf = (id: string, row: readonly number[]): readonly number[] => {
      if (world === 'perturbed' || random() >= WRONG_ROWS) return row;
      const other = ids[Math.floor(random() * ids.length)];
      return random() < 0.5 || other === undefined || other === id ? test.sound : (test.given[other] ?? test.sound);
    };
    return {
      ...test,
      sound: off(test.sound),
      given: Object.fromEntries(Object.entries(test.given).map(([id, row]) => [id, off(rowOf(id, row))])),
    };
  });
  return { ...knowledge, tests };
}

interface Run {
  readonly right1: readonly boolean[];
  readonly right3: readonly boolean[];
  readonly said: readonly { readonly stated: number; readonly right: boolean }[];
  readonly tests: number;
  readonly minutes: number;
  readonly minutes5: number;
  readonly certain: boolean;
  readonly stated: number;
  readonly right: boolean;
}

/** Plays one machine: which test next is the player's, what it shows is the world's. */
function play(
  machine: Machine,
  truth: readonly number[],
  shows: readonly number[],
  choose: (belief: Float64Array, done: ReadonlySet<number>, opened: Depth) => number | undefined,
  blurs: readonly Blur[],
): Run {
  const prior = Float64Array.from(machine.hypotheses, ([a, b]) =>
    a === undefined
      ? 0
      : b === undefined
        ? (machine.shares[a] ?? 0) * (1 - machine.pairShare)
        : (machine.shares[a] ?? 0) * (machine.shares[b] ?? 0) * 2 * machine.pairShare,
  );
  let belief: Float64Array = prior;
  const bearings: Bearing[] = [];
  const done = new Set<number>();
  let opened: Depth = 'lidOn';
  let minutes = 0;
  let minutes5 = 0;
  let certainAt: { tests: number; minutes: number; right: boolean; stated: number } | undefined;
  const right1: boolean[] = [];
  const right3: boolean[] = [];
  const said: { stated: number; right: boolean }[] = [];
  for (;;) {
    const t = choose(belief, done, opened);
    const test = t === undefined ? undefined : machine.tests[t];
    if (t === undefined || !test) break;
    minutes += minutesNow(test, opened);
    if (done.size < 5) minutes5 = minutes;
    opened = deeper(opened, test.depth);
    done.add(t);
    const o = shows[t] ?? 0;
    bearings.push({
      chances: machine.chances[t]?.[o] ?? [],
      usual: machine.usual[t]?.[o] ?? 0,
      seen: seenCause(machine, test.id, test.outcomes[o]?.id ?? '') !== undefined,
    });
    belief = weigh(prior, bearings, blurs);
    const chances = causeChances(machine, belief);
    const ranked = chances.map((chance, index) => ({ chance, index })).sort((a, b) => b.chance - a.chance);
    const [first] = ranked;
    const right = first !== undefined && truth.includes(first.index);
    if (right1.length < PLAYED_ON) {
      said.push({ stated: first?.chance ?? 0, right });
      right1.push(right);
      right3.push(truth.every((index) => ranked.slice(0, 3).some((one) => one.index === index)));
    }
    if (!certainAt && first && first.chance >= THRESHOLDS.sureCause)
      certainAt = { tests: done.size, minutes, right, stated: first.chance };
    if (certainAt && done.size >= PLAYED_ON) break;
  }
  return {
    right1,
    right3,
    said: certainAt && certainAt.tests > PLAYED_ON ? [...said, certainAt] : said,
    tests: certainAt?.tests ?? done.size,
    minutes: certainAt?.minutes ?? minutes,
    minutes5,
    certain: certainAt !== undefined,
    stated: certainAt?.stated ?? 0,
    right: certainAt?.right ?? false,
  };
}

/** What was said, by bands of ten points. */
function bandsOf(runs: readonly Run[]): SaidBand[] {
  const said = runs.flatMap((run) => run.said);
  return Array.from({ length: 10 }, (_, band) => {
    const own = said.filter(({ stated }) => Math.min(9, Math.floor(10 * stated)) === band);
    const mean = (sum: number): number => (own.length === 0 ? 0 : sum / own.length);
    return {
      from: band / 10,
      cases: own.length,
      stated: mean(own.reduce((sum, { stated }) => sum + stated, 0)),
      right: mean(own.filter(({ right }) => right).length),
    };
  });
}

function summed(runs: readonly Run[]): Played {
  const mean = (value: (run: Run) => number): number => runs.reduce((sum, run) => sum + value(run), 0) / runs.length;
  const after = (list: (run: Run) => readonly boolean[]): number[] =>
    Array.from({ length: PLAYED_ON }, (_, n) =>
      mean((run) => Number(list(run)[Math.min(n, list(run).length - 1)] ?? false)),
    );
  const certain = runs.filter((run) => run.certain);
  return {
    top1: after(({ right1 }) => right1),
    top3: after(({ right3 }) => right3),
    testsToCertain: mean(({ tests }) => tests),
    minutesAfter5: mean(({ minutes5 }) => minutes5),
    minutesToCertain: mean(({ minutes }) => minutes),
    certain: certain.length / runs.length,
    statedWhenCertain: certain.length === 0 ? 0 : certain.reduce((sum, { stated }) => sum + stated, 0) / certain.length,
    rightWhenCertain: certain.length === 0 ? 0 : certain.filter(({ right }) => right).length / certain.length,
    bands: bandsOf(runs),
  };
}

/**
 * Plays the adviser against a fixed order, a random one, and an adviser that knows the true table, on machines with one
 * fault or two drawn by the priors. Every player sees the same machines, and the same machine shows all of them the same.
 *
 * The world's likelihoods lie up to ±25 % off the table's, a new world every 25 machines.
 *
 * @param machines how many
 * @param seed the same seed plays the same game
 */
export function simulate(
  knowledge: Knowledge,
  loader: Loader,
  machines: number,
  seed: number,
  { world: kind = 'perturbed', policy = 'minute', blurs = BLURS, only = PLAYERS }: Game = {},
): Simulation {
  const random = seeded(seed);
  const table = machineOf(knowledge, loader);
  const fixed = [
    ...FIXED_ORDER.map((id) => table.tests.findIndex((test) => test.id === id)).filter((t) => t >= 0),
    ...table.tests.keys(),
  ];
  const runs: Record<Player, Run[]> = { adviser: [], ceiling: [], fixed: [], random: [] };
  let world = worldOf(knowledge, random, kind);
  let known = machineOf(world, loader);
  for (let n = 0; n < machines; n++) {
    if (n > 0 && n % 25 === 0) {
      world = worldOf(knowledge, random, kind);
      known = machineOf(world, loader);
    }
    const first = pick(table.shares, random);
    let second = first;
    if (random() < table.pairShare) while (second === first) second = pick(table.shares, random);
    const truth = [...new Set([first, second])];
    const ids = truth.map((index) => table.causes[index]?.id ?? '');
    const shows = known.tests.map((test) => pick(outcomeChances(test, ids), random));
    const order = table.tests.map((_, t) => ({ t, at: random() })).sort((a, b) => a.at - b.at);
    const advised =
      (machine: Machine) =>
      (belief: Float64Array, done: ReadonlySet<number>, opened: Depth): number | undefined => {
        const observations = [...done].map((t) => ({
          testId: machine.tests[t]?.id ?? '',
          outcome: 'unclear',
          cured: 0,
        }));
        const [best] = suggest(
          machine,
          belief,
          {
            loader,
            observations,
            cured: [],
            ruledOut: [],
            opened,
            stillFails: false,
          },
          policy,
        );
        return best && machine.tests.findIndex(({ id }) => id === best.testId);
      };
    const playersOf: Readonly<Record<Player, () => Run>> = {
      adviser: () => play(table, truth, shows, advised(table), blurs),
      ceiling: () => play(known, truth, shows, advised(known), NO_BLUR),
      fixed: () => play(table, truth, shows, (_, done) => fixed.find((t) => !done.has(t)), blurs),
      random: () => play(table, truth, shows, (_, done) => order.find(({ t }) => !done.has(t))?.t, blurs),
    };
    for (const player of only) runs[player].push(playersOf[player]());
  }
  return {
    loader,
    machines,
    players: {
      adviser: summed(runs.adviser),
      ceiling: summed(runs.ceiling),
      fixed: summed(runs.fixed),
      random: summed(runs.random),
    },
  };
}
