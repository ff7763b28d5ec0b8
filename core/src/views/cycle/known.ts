import { isTurned } from '../../base/loaders';
import { usualTravelMm, type CycleKnown } from '../../belts/cycling';
import type { Ticket } from '../../record/ticket';
import type { DriveView } from '../drive';
import { placesOnWay, rollersOf, seriesOf, switchOf } from './onTheWay';

/** Where a figure of a cycle comes from. */
export type Basis = 'measured' | 'found' | 'calculated' | 'assumed';

/** One figure that a cycle is run with, in words, and where it is from. */
export interface CycleFigure {
  readonly name: string;
  readonly value: string;
  readonly basis: Basis;
}

/**
 * What a ticket knows of a cycle beside its drive: how far it goes, where it asks for more, its rollers, its switch, and the
 * other belts that it turns by.
 *
 * @param view of the drive that is run, and of all of them
 * For instance cycleKnown(ticket, view, views).travelMm: 158
 */
export function cycleKnown(ticket: Ticket, view: DriveView, views: readonly DriveView[]): CycleKnown {
  const { travelMm, motorRpm } = ticket.train;
  const rollers = rollersOf(ticket);
  const wholeMm = travelMm ?? (rollers ? ticket.train.rollers.travelMm : null) ?? undefined;
  return {
    travelMm: wholeMm,
    motorRpm: motorRpm ?? undefined,
    places: placesOnWay(ticket, wholeMm ?? usualTravelMm(view.driven) ?? 0),
    rollers,
    endSwitch: switchOf(ticket),
    series: seriesOf(ticket, view.drive.id, views),
  };
}

/** Each figure that a cycle is run with, and whether it was measured, worked out or assumed. */
export function cycleFigures(
  ticket: Ticket,
  { facts, situation, driven }: DriveView,
  { travelMm, places = [], rollers, endSwitch, series }: CycleKnown,
): readonly CycleFigure[] {
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
            value: mm(travelMm ?? usual ?? 0),
            basis: travelMm === undefined ? ('assumed' as const) : ('measured' as const),
          },
          ...places.map(({ name, fromMm, toMm, forceN }) => ({
            name: `${name} at ${((fromMm + toMm) / 2).toFixed(0)} mm`,
            value: forceN === null ? 'how much more is guessed' : `${forceN.toFixed(1)} N more`,
            basis: forceN === null ? ('found' as const) : ('measured' as const),
          })),
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
    ...(series ? [{ name: 'belts in a row', value: String(series.length), basis: 'measured' as const }] : []),
    ...(rollers
      ? [
          {
            name: 'rollers pass',
            value: `${rollers.leftN.toFixed(1)} and ${rollers.rightN.toFixed(1)} N`,
            basis: train.rollers.pullBackN === null ? ('assumed' as const) : ('measured' as const),
          },
        ]
      : []),
    ...(endSwitch === undefined || endSwitch === 'clean'
      ? []
      : [
          {
            name: 'switch',
            value: endSwitch === 'dirty' ? 'dirty' : 'torn',
            basis: 'found' as const,
          },
        ]),
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
