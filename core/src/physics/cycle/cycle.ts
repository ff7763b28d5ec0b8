import { seeded } from '../../base/statistics';
import { ok, refuse, type Result } from '../../base/units';
import { checkCycle } from './check';
import { Stepper } from './stepper';
import type { Cycle, CycleConditions, CycleEvent, CycleMachine, CycleOutcome, CycleTrace } from './types';

/** The step of a cycle that is drawn; and how often it is written down. */
export const STEP_S = 1e-4;
const SAMPLE_S = 2e-3;
/** What slid less than this before the switch is heard by nobody. */
export const SLIPS_FROM_MM = 1;
/**
 * What slides at once, before anything moves, and no longer than this is the chirp of a motor that has run up faster than
 * its belt could tighten: heard, told, and no fault.
 */
const CHIRP_S = 0.1;
/** Slides nearer than this are one. */
const TOGETHER_S = 0.03;
/** What moves slower for as long as this, while it is driven, stands. */
const STANDS_MM_S = 0.5;
const STANDS_S = 0.15;
const STARTS_MM = 0.2;
/** A cycle that nobody looks at ends once it has stood so long. */
const SETTLED_S = 0.6;
/** A disc that has turned so far between unequal rollers is jammed: from memory of the trade, no source. */
const JAMS_RAD = 0.06;
/** Before the electronics try again: from memory, no source. */
const PAUSE_S = 0.4;
/** After the switch, until all rests. */
const AFTER_S = 1.2;
/** A spindle is watched for so long once it is at speed. */
const WATCHED_S = 0.5;

/** How a cycle is run. */
export interface RunOptions {
  readonly stepS?: number;
  /** Without a trace a thousand are run in the time of some hundred. */
  readonly traced?: boolean;
  /** Of what chance decides: a dirty switch. */
  readonly seed?: number;
}

/** Lists that grow while a cycle runs. */
class Recorder {
  readonly #belts: number;
  readonly #rows: number[] = [];
  constructor(belts: number) {
    this.#belts = belts;
  }
  take(stepper: Stepper, spins: boolean): void {
    const last = stepper.bodies - 1;
    const turns = (stepper.angle[last] as number) / (2 * Math.PI);
    this.#rows.push(stepper.timeS, spins ? turns : stepper.positionMm, stepper.motorRpm, stepper.current);
    for (let k = 0; k < this.#belts; k++)
      this.#rows.push(stepper.pulleyRpm(k), stepper.pullN(k), stepper.slid[k] as number);
  }
  trace(stepS: number): CycleTrace {
    const width = 4 + 3 * this.#belts;
    const count = this.#rows.length / width;
    const column = (at: number): Float64Array =>
      Float64Array.from({ length: count }, (_, i) => this.#rows[i * width + at] as number);
    const each = (offset: number): Float64Array[] =>
      Array.from({ length: this.#belts }, (_, k) => column(4 + 3 * k + offset));
    return {
      stepS,
      timeS: column(0),
      position: column(1),
      motorRpm: column(2),
      current: column(3),
      pulleyRpm: this.#belts > 0 ? each(0) : [column(2)],
      pullN: each(1),
      slidMm: each(2),
    };
  }
}

/** A slide that is under way. */
interface Sliding {
  readonly atS: number;
  readonly atMm: number;
  readonly before: number;
  untilS: number;
  untilMm: number;
}

/**
 * One loading cycle, from the key to where all rests again: a machine under conditions, through time. Pure: the same
 * machine, conditions and seed give the same cycle.
 *
 * Sources: MODEL.md §6. What is drawn from memory there is said where it stands.
 *
 * @returns the trace, its events, what it came to and where the power went; refused by the name of a figure that cannot be
 * For instance cycle(machine, conditions).value.outcome: opens
 */
export function cycle(machine: CycleMachine, on: CycleConditions, options: RunOptions = {}): Result<Cycle> {
  const problem = checkCycle(machine, on);
  if (problem !== '') return refuse(problem);
  const { stepS = STEP_S, traced = true, seed = 1 } = options;
  const { load, endSwitch, controller, belts } = machine;
  const random = seeded(seed);
  const stepper = new Stepper(machine, on);
  const recorder = new Recorder(belts.length);
  const events: CycleEvent[] = [];
  const spin = load.kind === 'spin' ? load : null;
  const endMm = load.kind === 'travel' ? (load.stopAtMm ?? load.travelMm) : Infinity;
  const places = load.kind === 'travel' ? [...load.places].sort((a, b) => a.fromMm - b.fromMm) : [];
  const say = (kind: Exclude<CycleEvent['kind'], 'slips' | 'place' | 'stands'>): void =>
    void events.push({ kind, atS: stepper.timeS, atMm: stepper.positionMm });

  stepper.told = 'drives';
  let begunS = 0;
  let endsAtS = Infinity;
  let resumeAtS = Infinity;
  let attempts = 0;
  let started = false;
  let arrivedS: number | null = null;
  let missed = false;
  let overran = false;
  let reversed = false;
  let jammed = false;
  let stoodMm: number | null = null;
  let standsFrom = -1;
  let placeAt = 0;
  const sliding: (Sliding | null)[] = belts.map(() => null);
  const slips: Extract<CycleEvent, { kind: 'slips' }>[] = [];
  const steady: number[] = [];
  let sampleAt = 0;
  if (traced) recorder.take(stepper, spin !== null);

  const closeSlide = (k: number): void => {
    const one = sliding[k];
    if (!one) return;
    const slidMm = (stepper.slid[k] as number) - one.before;
    const chirp = one.atMm <= STARTS_MM && one.untilS - one.atS <= CHIRP_S;
    slips.push({
      kind: 'slips',
      chirp: chirp && !spin,
      atS: one.atS,
      untilS: one.untilS,
      atMm: one.atMm,
      untilMm: one.untilMm,
      belt: belts[k]?.name ?? '',
      slidMm,
    });
    sliding[k] = null;
  };

  // Nothing runs for longer than two tries, the way back and what comes after.
  const mostS = 3 * controller.timeOutS + PAUSE_S + AFTER_S + WATCHED_S;
  const most = Math.ceil(mostS / stepS);
  for (let step = 0; step < most; step++) {
    stepper.step(stepS);
    const { timeS, positionMm } = stepper;
    if (traced && timeS >= sampleAt + SAMPLE_S - stepS / 2) {
      recorder.take(stepper, spin !== null);
      sampleAt = timeS;
    }
    for (let k = 0; k < belts.length; k++) {
      const now = sliding[k];
      if (stepper.slides[k] !== 0) {
        if (!now)
          sliding[k] = {
            atS: timeS,
            atMm: positionMm,
            before: stepper.slid[k] as number,
            untilS: timeS,
            untilMm: positionMm,
          };
        else {
          now.untilS = timeS;
          now.untilMm = positionMm;
        }
      } else if (now && timeS - now.untilS > TOGETHER_S) closeSlide(k);
    }
    if (!started && (spin ? Math.abs(stepper.angle[stepper.bodies - 1] as number) > 0.05 : positionMm > STARTS_MM)) {
      started = true;
      say('starts');
    }
    const next = places[placeAt];
    if (next && positionMm >= next.fromMm && arrivedS === null) {
      if (positionMm <= next.toMm || next.fromMm > 0)
        events.push({ kind: 'place', atS: timeS, atMm: next.fromMm, place: next });
      placeAt += 1;
    }

    const drives = stepper.told === 'drives';
    if (spin) {
      const rpm = Math.abs((stepper.speed[stepper.bodies - 1] as number) / (2 * Math.PI)) * 60;
      const near = Math.abs(rpm / spin.wantedRpm - 1) <= spin.tolerance;
      if (near && arrivedS === null) {
        arrivedS = timeS;
        say('atSpeed');
        endsAtS = timeS + 2 * WATCHED_S;
      }
      if (arrivedS !== null && timeS > arrivedS + WATCHED_S) steady.push(rpm);
    } else {
      if (arrivedS === null && !missed && drives && stepper.way === 1 && positionMm >= endSwitch.atMm) {
        const says = endSwitch.state === 'clean' || (endSwitch.state === 'dirty' && random() < endSwitch.dirtyWorks);
        if (says) {
          arrivedS = timeS;
          belts.forEach((_, k) => closeSlide(k));
          say('switch');
          stepper.told = controller.off;
          endsAtS = timeS + AFTER_S;
        } else {
          missed = true;
          say('missed');
        }
      }
      if (!overran && positionMm > endMm) {
        overran = true;
        say('stop');
      }
      if (drives && arrivedS === null && Math.abs(stepper.speedMmPerS) < STANDS_MM_S) {
        if (standsFrom < 0) standsFrom = timeS;
        else if (timeS - standsFrom > STANDS_S) stoodMm ??= positionMm;
        // What has stood so long, with nothing that changes by itself, stands until the electronics give up.
        if (!traced && standsFrom >= 0 && timeS - standsFrom > SETTLED_S) {
          reversed ||= controller.then === 'reverse';
          break;
        }
      } else if (standsFrom >= 0) {
        if (timeS - standsFrom > STANDS_S && arrivedS === null)
          events.push({ kind: 'stands', atS: standsFrom, untilS: timeS, atMm: positionMm });
        standsFrom = -1;
      }
      if (!jammed && Math.abs(stepper.skewRad) > JAMS_RAD) {
        jammed = true;
        say('jams');
        stoodMm ??= positionMm;
        stepper.told = controller.off;
        endsAtS = timeS + PAUSE_S;
      }
      if (reversed && positionMm <= 0 && drives) {
        stepper.told = controller.off;
        endsAtS = timeS + PAUSE_S;
      }
    }
    if (
      stepper.told === 'drives' &&
      arrivedS === null &&
      timeS - begunS > controller.timeOutS &&
      resumeAtS === Infinity
    ) {
      if (standsFrom >= 0 && timeS - standsFrom > STANDS_S) {
        events.push({ kind: 'stands', atS: standsFrom, untilS: timeS, atMm: positionMm });
        standsFrom = -1;
      }
      say('timeOut');
      attempts += 1;
      stepper.told = controller.off;
      if (attempts === 1 && controller.then !== 'stop' && !spin) resumeAtS = timeS + PAUSE_S;
      else endsAtS = timeS + PAUSE_S;
    }
    if (timeS >= resumeAtS) {
      resumeAtS = Infinity;
      begunS = timeS;
      stepper.told = 'drives';
      if (controller.then === 'reverse') {
        stepper.way = -1;
        reversed = true;
        say('reverses');
      } else say('again');
    }
    if (timeS >= endsAtS || (endsAtS < Infinity && !spin && stepper.told !== 'drives' && stepper.rests)) break;
  }
  belts.forEach((_, k) => closeSlide(k));
  if (stepper.rests) say('rests');
  const heard = slips.filter(({ slidMm: mm }) => mm >= SLIPS_FROM_MM / 2);
  const all = [...events, ...heard].sort((a, b) => a.atS - b.atS);
  // A spindle’s disc is run up sliding as often as not; it slips where it does so at speed.
  const faults = slips.filter(({ atS, untilS, chirp }) =>
    spin ? arrivedS !== null && untilS > arrivedS : (arrivedS === null || atS < arrivedS) && !chirp,
  );
  const slidMm = faults.reduce((sum, one) => sum + one.slidMm, 0);
  const slipS = faults.reduce((sum, { atS, untilS }) => sum + untilS - atS, 0);
  const outcome: CycleOutcome =
    arrivedS === null
      ? reversed
        ? 'givesBack'
        : missed
          ? 'overruns'
          : 'stalls'
      : slidMm > SLIPS_FROM_MM
        ? 'slips'
        : overran
          ? 'overruns'
          : 'opens';
  const longest = faults.reduce<(typeof faults)[number] | null>(
    (best, one) => (best && best.slidMm >= one.slidMm ? best : one),
    null,
  );
  const mean = steady.reduce((sum, one) => sum + one, 0) / steady.length;
  return ok({
    trace: recorder.trace(stepS),
    events: all,
    outcome,
    timeS: arrivedS,
    slipS,
    slidMm,
    whereMm: arrivedS === null ? stoodMm : slidMm > SLIPS_FROM_MM ? (longest?.atMm ?? null) : null,
    energy: stepper.energy,
    speedOff: spin && steady.length > 0 ? mean / spin.wantedRpm - 1 : null,
    flutter:
      spin && steady.length > 0
        ? (steady.reduce((a, b) => Math.max(a, b), 0) - steady.reduce((a, b) => Math.min(a, b), Infinity)) / 2 / mean
        : null,
  });
}
