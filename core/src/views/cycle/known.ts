import { isTurned } from '../../base/loaders';
import { ON_THE_BENCH, type CycleConditions } from '../../physics/cycle';
import { usualTravelMm, type CycleKnown } from '../../belts/cycling';
import type { Ticket } from '../../record/ticket';
import type { DriveView } from '../drive';
import { answersOf } from '../evidence';
import { readOwner } from '../../work/ownerLine';

/** Where a figure of a cycle comes from. */
export type Basis = 'measured' | 'calculated' | 'assumed';

/** One figure that a cycle is run with, in words, and where it is from. */
export interface CycleFigure {
  readonly name: string;
  readonly value: string;
  readonly basis: Basis;
}

/** A room in which machines that fail in the cold do so. From memory of the trade, no source. */
export const COLD_ROOM_C = 8;

/** A machine that stood the night in a cold room. */
export const IN_THE_COLD: CycleConditions = { ...ON_THE_BENCH, roomC: COLD_ROOM_C, idleHours: 12 };

/**
 * What a ticket has of the cold: found to fail there, by a test or the counted cycles; told, where only its owner speaks of
 * it, which owners do in many ways (“not only in the cold”): that is offered and never taken for granted.
 */
export function coldOf(ticket: Ticket): 'found' | 'told' | null {
  const answer = answersOf(ticket).findLast(({ testId }) => testId === 'warm');
  if (answer) return answer.outcome === 'betterWarm' ? 'found' : null;
  const told = ticket.complaints.some(
    ({ words, drivetrain, state }) =>
      drivetrain &&
      state !== 'anotherTrade' &&
      readOwner(words, ticket.loader).answers.some(
        ({ testId, outcome }) => testId === 'warm' && outcome === 'betterWarm',
      ),
  );
  return told ? 'told' : null;
}

/** The conditions of what is wrong with it: a cold room where it was found to fail there. @example complaintConditions(ticket).roomC // 20 */
export const complaintConditions = (ticket: Ticket): CycleConditions =>
  coldOf(ticket) === 'found' ? IN_THE_COLD : ON_THE_BENCH;

/** What a ticket knows of a cycle beside its drive. @example cycleKnown(ticket).travelMm // 158 */
export function cycleKnown({ train }: Pick<Ticket, 'train'>): CycleKnown {
  return { travelMm: train.travelMm ?? undefined, motorRpm: train.motorRpm ?? undefined };
}

/** Each figure that a cycle is run with, and whether it was measured, worked out or assumed. */
export function cycleFigures(ticket: Ticket, { facts, situation, driven }: DriveView): readonly CycleFigure[] {
  const { train } = ticket;
  const mm = (value: number): string => `${value.toFixed(1)} mm`;
  const turned = isTurned(driven);
  const usual = usualTravelMm(driven);
  const { trayPull, stallPull, trayTravel, path } = facts;
  const priors = situation.ok ? situation.value.priors : undefined;
  const counted = facts.results.some(({ reading }) => reading.measurand === 'trayTravel');
  return [
    ...(path ? [{ name: 'path', value: mm(path.value), basis: 'measured' as const }] : []),
    {
      name: 'pulleys',
      value: facts.drive ? 'both' : 'usual ones',
      basis: facts.drive ? ('measured' as const) : ('assumed' as const),
    },
    ...(turned
      ? []
      : [
          {
            name: 'pull',
            value: `${(trayPull?.value ?? priors?.trayPullN.best ?? 0).toFixed(1)} N`,
            basis: trayPull ? ('measured' as const) : ('assumed' as const),
          },
          {
            name: 'travel a turn',
            value: mm(trayTravel?.value ?? priors?.travelPerTurnMm.best ?? 0),
            basis: trayTravel ? (counted ? ('measured' as const) : ('calculated' as const)) : ('assumed' as const),
          },
          {
            name: 'whole way',
            value: mm(train.travelMm ?? usual ?? 0),
            basis: train.travelMm === null ? ('assumed' as const) : ('measured' as const),
          },
        ]),
    {
      name: 'motor at a stand',
      value: stallPull ? `holds against ${stallPull.value.toFixed(1)} N` : '2.5 times what is needed',
      basis: stallPull ? 'measured' : 'assumed',
    },
    {
      name: 'motor’s speed',
      value: train.motorRpm === null ? '3000 rpm' : `${train.motorRpm.toFixed(0)} rpm`,
      basis: train.motorRpm === null ? 'assumed' : 'measured',
    },
    { name: 'rotor, masses, grease, time-out', value: 'usual ones', basis: 'assumed' },
  ];
}

/** Times that were taken of one cycle as it is now, seconds: opened by itself, not helped. */
export const watchedTimes = ({ cycles }: Pick<Ticket, 'cycles'>): readonly number[] =>
  cycles.flatMap(({ seconds, action, result, trial }) =>
    seconds !== null && seconds > 0.3 && trial === undefined && result !== 'helped' && action !== 'close'
      ? [seconds]
      : [],
  );
