import {
  cycle,
  CYCLE_OUTCOMES,
  needTimes,
  type CycleConditions,
  type CycleMachine,
  type CycleOutcome,
} from '../../physics/cycle';
import { evaluateBelt, type EvaluatedBelt } from '../../physics/evaluation';
import { valuesOf, type Believed, type Samples, type TriedBelt } from '../probability';
import { ok, type Result } from '../../base/units';
import { bestValues, type Situation } from '../sizing';
import { bestBeliefs, drawBeliefs, type CycleBeliefs } from './beliefs';
import { agrees, ranWell, type RanWell } from './fits';
import { machineOf, type CycleKnown } from './machine';

/** Without a trace a longer step will do: its times differ by less than one of them. */
const QUICK_STEP_S = 4e-4;

/** What so many machines that fit all that is known do. */
export interface CycleShares {
  readonly count: number;
  /** So many were looked at; the others would not run with what ran on the bench. */
  readonly tried: number;
  /** Of all of them, by what it comes to; adds up to 1. */
  readonly shares: Readonly<Record<CycleOutcome, number>>;
  /** Share of them whose belt works by the sums at rest: where that is more, the movement makes the difference. */
  readonly atRest: number;
  /** Times of those that arrive: one in twenty is quicker, half are, and nineteen in twenty. Null where none arrives. */
  readonly timeS: readonly [number, number, number] | null;
  /** Where those that slip or stand do so: half are before it. Null where none does. */
  readonly whereMm: number | null;
  /** How long those that slip do, the median. */
  readonly slipS: number | null;
}

/** Share of machines that go well: they arrive without a slide, their end met or not. @example goesWell({ shares: { opens: 0.5, slips: 0.2, stalls: 0, givesBack: 0.2, overruns: 0.1 } }) // 0.6 */
export const goesWell = ({ shares }: Pick<CycleShares, 'shares'>): number => shares.opens + shares.overruns;

/** A play: the belt that is on, in which conditions, and what is changed about the machine. */
export interface Played {
  readonly belt: EvaluatedBelt;
  readonly on: CycleConditions;
  /** Pulleys as they would be once they are clean. */
  readonly cleaned?: boolean;
  /** So many times the pull that what is moved has. */
  readonly pullTimes?: number;
  /** New rubber on both rollers. */
  readonly rubbered?: boolean;
  /** The switch cleaned, or bent back. */
  readonly switchRight?: boolean;
}

/** A machine with what is changed about it. */
function changed(
  machine: CycleMachine,
  { pullTimes = 1, rubbered = false, switchRight = false }: Played,
): CycleMachine {
  const { load } = machine;
  const endSwitch = switchRight ? { ...machine.endSwitch, state: 'clean' as const } : machine.endSwitch;
  if (load.kind === 'spin') return { ...machine, load: { ...load, dragNmm: load.dragNmm * pullTimes } };
  const places = load.places.map((one) => (one.kind === 'binds' ? { ...one, forceN: one.forceN * pullTimes } : one));
  const most = load.rollers && 2 * Math.max(load.rollers.leftN, load.rollers.rightN);
  const rollers = rubbered && load.rollers && most ? { ...load.rollers, leftN: most, rightN: most } : load.rollers;
  return { ...machine, endSwitch, load: { ...load, guideN: load.guideN * pullTimes, places, rollers } };
}

/**
 * The machine with the best figure of everything, as it is played: the one that is drawn.
 *
 * @returns refused where no belt can run in the drive
 * For instance bestMachine(situation, { belt, on: ROOM }, {}).value.belts[0].limitN: 0.55
 */
export function bestMachine(situation: Situation, played: Played, known: CycleKnown): Result<CycleMachine> {
  const clean = { ...situation, motorSurface: 'clean', drivenSurface: 'clean', idlerSurfaces: undefined } as const;
  const values = bestValues(played.cleaned ? clean : situation, played.belt.shape);
  const made = machineOf(situation, values, played.belt, bestBeliefs(), 0, known);
  return made.ok ? ok(changed(made.value, played)) : made;
}

const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] as number;

/** What one machine was drawn with; a spindle has neither. */
function drawnOf(samples: Samples, i: number): Pick<CycleKnown, 'trayPullN' | 'travelPerTurnMm'> {
  const [trayPullN, travelPerTurnMm] = [samples.trayPullN[i] as number, samples.travelPerTurnMm[i] as number];
  return Number.isFinite(trayPullN) ? { trayPullN, travelPerTurnMm } : {};
}

/** Which samples stand for all: evenly along the weights (Kitagawa 1996). */
function takenOf(weights: Float64Array, count: number): readonly number[] {
  const taken: number[] = [];
  let sum = weights[0] as number;
  let i = 0;
  for (let k = 0; k < count; k++) {
    const until = (k + 0.5) / count;
    while (sum < until && i < weights.length - 1) sum += weights[++i] as number;
    taken.push(i);
  }
  return taken;
}

/**
 * Machines that fit all that is known, each run through a cycle, and what they come to. The same machines are taken for
 * every belt and change, so that two plays differ by what was changed alone.
 *
 * For instance new CyclePlay(situation, believe(…), 200, {}, { belt, on: ROOM }, 1).all().shares.opens: 0.94
 */
export class CyclePlay {
  /** How many are done. */
  done = 0;
  readonly #of: {
    readonly situation: Situation;
    readonly samples: Samples;
    /** As they are, cleaned or not. */
    readonly bench: Samples;
    readonly known: CycleKnown;
    readonly played: Played;
    readonly seed: number;
  };
  readonly #ranWell: readonly RanWell[];
  readonly #agreed: Map<number, boolean>;
  readonly #beliefs: CycleBeliefs;
  readonly #taken: readonly number[];
  readonly #tally = Object.fromEntries(CYCLE_OUTCOMES.map((one) => [one, 0])) as Record<CycleOutcome, number>;
  #atRest = 0;
  readonly #times: number[] = [];
  readonly #places: number[] = [];
  readonly #slides: number[] = [];

  /**
   * @param believed samples of the drive, with their weights
   * @param count of machines
   * @param tries what was tried here: a machine in which what ran would not run is none that fits
   * @param agreed which machines fit, kept from one play of the same drive to the next
   */
  constructor(
    situation: Situation,
    believed: Believed<Samples>,
    readonly count: number,
    known: CycleKnown,
    played: Played,
    seed: number,
    tries: readonly TriedBelt[] = [],
    agreed: Map<number, boolean> = new Map(),
  ) {
    const { value, weights } = believed;
    const clean = { motorFriction: value.motorFrictionClean, drivenFriction: value.drivenFrictionClean };
    this.#of = {
      situation,
      samples: played.cleaned ? { ...value, ...clean } : value,
      bench: value,
      known,
      played,
      seed,
    };
    this.#ranWell = ranWell(situation, tries);
    this.#agreed = agreed;
    this.#beliefs = drawBeliefs(count, seed);
    this.#taken = takenOf(weights, count);
  }

  /** Runs some more. @returns whether any are left */
  go(many: number): boolean {
    const until = Math.min(this.count, this.done + many);
    for (; this.done < until; this.done++) this.#run(this.done);
    return this.done < this.count;
  }
  /** Runs all that are left. */
  all(): CycleShares {
    this.go(this.count);
    return this.shares;
  }

  #run(k: number): void {
    const { situation, samples, known, played, seed } = this.#of;
    const { belt, on } = played;
    const i = this.#taken[k] as number;
    const drawn = drawnOf(samples, i);
    const values = valuesOf(samples, i, belt.shape);
    // By the sums at rest it works or not in the same room: what is left between the two is the movement.
    const resting = { ...values, needNmm: values.needNmm * this.#needTimes(k) };
    const atRest = evaluateBelt(situation.drive, belt, resting, situation.demands, situation.oldSection);
    if (!this.#fits(k)) return;
    const made = machineOf(situation, values, belt, this.#beliefs, k, { ...known, ...drawn });
    if (!made.ok) return;
    const run = cycle(changed(made.value, played), on, { stepS: QUICK_STEP_S, traced: false, seed: seed + k });
    if (!run.ok) return;
    const { outcome, timeS, whereMm, slipS } = run.value;
    this.#tally[outcome] += 1;
    if (atRest?.fails === 0) this.#atRest += 1;
    if (timeS !== null) this.#times.push(timeS);
    if (whereMm !== null) this.#places.push(whereMm);
    if (outcome === 'slips') this.#slides.push(slipS);
  }

  #needTimes(k: number): number {
    const { greaseShare, restShare } = this.#beliefs;
    const shares = { greaseShare: greaseShare[k] as number, restShare: restShare[k] as number };
    return needTimes(this.#of.played.on, shares);
  }

  /** Whether a machine agrees with what ran on the bench. */
  #fits(k: number): boolean {
    if (this.#ranWell.length === 0) return true;
    const known = this.#agreed.get(k);
    if (known !== undefined) return known;
    const { situation, bench, known: of, seed } = this.#of;
    const i = this.#taken[k] as number;
    const fits = agrees(
      this.#ranWell,
      (belt) => {
        const values = valuesOf(bench, i, belt.shape);
        const made = machineOf(situation, values, belt, this.#beliefs, k, { ...of, ...drawnOf(bench, i) });
        return made.ok ? made.value : undefined;
      },
      seed + k,
    );
    this.#agreed.set(k, fits);
    return fits;
  }

  /** What those that were run came to. */
  get shares(): CycleShares {
    const ran = CYCLE_OUTCOMES.reduce((sum, one) => sum + this.#tally[one], 0);
    const sorted = (list: readonly number[]): number[] => [...list].sort((a, b) => a - b);
    const [times, places, slides] = [sorted(this.#times), sorted(this.#places), sorted(this.#slides)];
    const share = (one: CycleOutcome): number => (ran === 0 ? 0 : this.#tally[one] / ran);
    return {
      count: ran,
      tried: this.done,
      shares: Object.fromEntries(CYCLE_OUTCOMES.map((one) => [one, share(one)])) as CycleShares['shares'],
      atRest: ran === 0 ? 0 : this.#atRest / ran,
      timeS: times.length > 0 ? [at(times, 0.05), at(times, 0.5), at(times, 0.95)] : null,
      whereMm: places.length > 0 ? at(places, 0.5) : null,
      slipS: slides.length > 0 ? at(slides, 0.5) : null,
    };
  }
}
