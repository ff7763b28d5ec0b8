import { isTurned, type Drawn, type Driven } from '../../base/loaders';
import { refuse, type Result, ok } from '../../base/units';
import { bushShare } from '../../physics/drive';
import type { CycleMachine, CycleTravel, Place } from '../../physics/cycle';
import { wrapsOfPath, type DriveValues, type EvaluatedBelt } from '../../physics/evaluation';
import type { Situation } from '../sizing';
import type { CycleBeliefs } from './beliefs';
import { fittedBelt, inSeries, type SeriesBelt } from './beltsInRow';

/** A place on the way, as it was found: how much more it asks is null where nobody measured. */
export type KnownPlace = Omit<Place, 'forceN'> & { readonly forceN: number | null };

/** What a ticket knows of a cycle beside its drive. */
export interface CycleKnown {
  /** How far what is moved goes; and the motor's speed under way, where it was told. */
  readonly travelMm?: number | undefined;
  readonly motorRpm?: number | undefined;
  /** Where it was found to bind, to lift or to clamp. */
  readonly places?: readonly KnownPlace[] | undefined;
  /** Rollers that take it, and the switch that ends it. */
  readonly rollers?: CycleTravel['rollers'] | undefined;
  readonly endSwitch?: CycleMachine['endSwitch']['state'] | undefined;
  /** All belts from the motor on, where there are several in a row. */
  readonly series?: readonly SeriesBelt[] | undefined;
  /** The pull and the travel a turn that one machine was drawn with. */
  readonly trayPullN?: number | undefined;
  readonly travelPerTurnMm?: number | undefined;
}

/** What is usual of each that is moved, until it is said. From memory of the trade, no source. */
const USUAL: Readonly<Record<Drawn, { readonly travelMm: number; readonly massTimes: number; readonly then: Then }>> = {
  tray: { travelMm: 120, massTimes: 1, then: 'reverse' },
  drawer: { travelMm: 120, massTimes: 1.6, then: 'stop' },
  lift: { travelMm: 30, massTimes: 1.2, then: 'stop' },
  // The disc and the rollers that carry it.
  disc: { travelMm: 90, massTimes: 0.2, then: 'reverse' },
};
type Then = CycleMachine['controller']['then'];
/** How far it is moved until that is said; undefined of what only turns. @example usualTravelMm('tray') // 120 */
export const usualTravelMm = (driven: Driven): number | undefined =>
  isTurned(driven) ? undefined : USUAL[driven].travelMm;

/** How many times its own pull more each asks, where nobody measured. From memory of the trade, no source. */
const ASKS_TIMES: Readonly<Record<Place['kind'], number>> = { binds: 0.6, lifts: 0.8, clamps: 1 };
/** Past its switch a tray has some more to go before it stands against its end. From memory, no source. */
const BEYOND_MM = 2;
const STOP = { stopNPerMm: 20, stopNsPerMm: 0.03 } as const;
/** A magnetic disk with its hub, and how long a spindle may take: from memory of the trade, no source. */
const DISC_GCM2 = 60;
const SPIN_TIMES = 2;
const SPEED_GUESSED = 0.1;

const RPM = (2 * Math.PI) / 60;

/**
 * A machine as its cycle sees it: what was measured, what was worked out, and the rest from beliefs.
 *
 * The belt's limit from rest is `evaluateBelt`'s own figure, and what moves the load at the motor is the drive's own need:
 * where the cycle says otherwise than the sums at rest, it is the movement that makes the difference.
 *
 * @param belt that is on; undefined where the motor turns the train itself, or none is on
 * @param beliefs and which of them is meant
 * @returns refused where no belt can run in the drive
 * For instance machineOf(situation, bestValues(situation, 'square'), belt, bestBeliefs(), 0, {}).value.belts[0].limitN: as evaluateBelt’s
 */
export function machineOf(
  situation: Pick<
    Situation,
    'drive' | 'driven' | 'priors' | 'demands' | 'oldSection' | 'travelPerTurnMm' | 'trayPullN'
  >,
  values: DriveValues,
  belt: EvaluatedBelt,
  beliefs: CycleBeliefs,
  at: number,
  known: CycleKnown,
): Result<CycleMachine> {
  const { driven, demands, priors } = situation;
  const figure = (list: ArrayLike<number>): number => list[at] as number;
  const slidingShare = figure(beliefs.slidingShare);
  const fitted = fittedBelt(situation, values, belt, slidingShare);
  if (!fitted) return refuse('No belt can run in a drive like that.');
  const { own, freshPullN } = fitted;
  const { driverRadiusMm: motorRadiusMm, drivenRadiusMm } = own;
  const drags = values.bushMm * bushShare([motorRadiusMm, drivenRadiusMm], wrapsOfPath(values));
  const row = inSeries(own, known.series ?? [], slidingShare);
  // What was read of the motor was read through a belt, whose bushes took their part.
  const stallNmm = values.stallNmm + drags * values.heldThroughN;
  const ratio = drivenRadiusMm / motorRadiusMm;
  const { needNmm } = values;
  // Where it runs, so much of its torque is taken.
  const taken = Math.min(0.8, (needNmm + drags * freshPullN) / Math.max(stallNmm, 1e-6));
  const freeRpm = (known.motorRpm ?? figure(beliefs.runningRpm)) / (1 - taken);
  const timeOutS = figure(beliefs.timeOutS);
  const off = beliefs.shorted[at] === 1 ? 'shorted' : 'open';
  const base = {
    // Behind other members its small pulley turns otherwise than the motor, and so do its torques.
    motor: { stallNmm: stallNmm * row.ownTurns, freeRpm, rotorGcm2: figure(beliefs.rotorGcm2), frictionNmm: 0 },
    belts: row.belts,
    controller: {
      timeOutS: isTurned(driven) ? timeOutS * SPIN_TIMES : timeOutS,
      then: isTurned(driven) ? ('stop' as const) : USUAL[driven].then,
      off,
    },
  } satisfies Partial<CycleMachine>;
  if (isTurned(driven)) {
    const wantedRpm = demands.speed?.targetRpm ?? (freeRpm * (1 - taken) * row.ownTurns) / ratio;
    return ok({
      ...base,
      load: {
        kind: 'spin',
        inertiaGcm2: DISC_GCM2,
        dragNmm: (needNmm * ratio) / row.lastTurns,
        wantedRpm,
        // A speed that is only worked out is none to be held to closely.
        tolerance: demands.speed?.targetRpm ? demands.speed.tolerance : SPEED_GUESSED,
      },
      endSwitch: { atMm: 0, state: 'clean', dirtyWorks: 0.5 },
    });
  }
  const usual = USUAL[driven];
  const travelPerTurnMm = known.travelPerTurnMm ?? situation.travelPerTurnMm?.value ?? priors.travelPerTurnMm.best;
  const guideN =
    known.trayPullN ?? situation.trayPullN?.value ?? pullAt(needNmm, travelPerTurnMm, priors.efficiency.best);
  // The share of the work that arrives is what makes pull and need agree.
  const efficiency = Math.min(1, (guideN * travelPerTurnMm) / (2 * Math.PI * needNmm));
  const travelMm = known.travelMm ?? usual.travelMm;
  const runningMmPerS = ((freeRpm * (1 - taken) * row.ownTurns * RPM) / (2 * Math.PI)) * travelPerTurnMm;
  const travel: CycleTravel = {
    kind: 'travel',
    travelPerTurnMm: (travelPerTurnMm * ratio) / row.lastTurns,
    efficiency,
    massG: figure(beliefs.massG) * usual.massTimes,
    guideN,
    restShare: figure(beliefs.restShare),
    stribeckMmPerS: 8,
    viscousNsPerMm: (figure(beliefs.greaseShare) * guideN) / Math.max(runningMmPerS, 1),
    places: (known.places ?? []).map((one) => ({ ...one, forceN: one.forceN ?? ASKS_TIMES[one.kind] * guideN })),
    travelMm,
    stopAtMm: travelMm + BEYOND_MM,
    ...STOP,
    rollers: known.rollers ?? null,
  };
  const state = known.endSwitch ?? 'clean';
  return ok({ ...base, load: travel, endSwitch: { atMm: travelMm, state, dirtyWorks: 0.5 } });
}

/** Pull at the tray that a torque at the motor is for. */
const pullAt = (needNmm: number, travelPerTurnMm: number, efficiency: number): number =>
  (2 * Math.PI * efficiency * needNmm) / travelPerTurnMm;
