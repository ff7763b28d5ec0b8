import { loaderOf } from '../../base/loaders';
import type { Cycle } from '../../physics/cycle';
import type { CycleKnown, KnownPlace, SeriesBelt } from '../../belts/cycling';
import { driversOf, type Rollers } from '../../physics/train';
import { isEnded, knownOf } from '../../record/findings';
import type { Ticket } from '../../record/ticket';
import { placeState } from '../../work/cleaning';
import { triedBelt, type DriveView } from '../drive';
import { answersOf } from '../evidence';
import { trainView } from '../train';

/** How long each is where nobody looked. From memory of the trade, no source. */
const OVER_MM: Readonly<Record<KnownPlace['kind'], number>> = { binds: 8, lifts: 15, clamps: 6 };
/** What is found within this of a place that stands on the train is that place. */
const SAME_MM = 6;
const NAMES: Readonly<Record<KnownPlace['kind'], string>> = {
  binds: 'it binds',
  lifts: 'it lifts',
  clamps: 'the clamp',
};

const placeAt = (kind: KnownPlace['kind'], atMm: number, overMm: number | null, forceN: number | null): KnownPlace => {
  const half = (overMm ?? OVER_MM[kind]) / 2;
  return { kind, name: NAMES[kind], fromMm: Math.max(0, atMm - half), toMm: atMm + half, forceN };
};

/**
 * Where on its way it asks for more: what stands on the train, and what a line told at whatever station.
 *
 * @param travelMm by which a place told as “halfway” is known
 * For instance placesOnWay(ticket, 158)[0].name: 'it binds'
 */
export function placesOnWay(ticket: Ticket, travelMm: number): readonly KnownPlace[] {
  const stand = ticket.train.places ?? [];
  const told = knownOf(ticket).flatMap(({ kind, atMm, atShare }) => {
    if (kind !== 'trayBinds') return [];
    const at = atMm ?? (atShare ?? 0) * travelMm;
    return stand.some((one) => one.kind === 'binds' && Math.abs(one.atMm - at) < SAME_MM) ? [] : [at];
  });
  const once = told.filter((at, index) => told.findIndex((other) => Math.abs(other - at) < SAME_MM) === index);
  return [
    ...stand.flatMap(({ kind, atMm, overMm, forceN }) =>
      kind === 'clicks' ? [] : [placeAt(kind, atMm, overMm, forceN)],
    ),
    ...once.map((at) => placeAt('binds', at, null, null)),
  ];
}

/** What rollers pass that nobody pulled a disc back against, and what is left of it by their surface: from memory, no source. */
const ROLLERS_PASS_N = 3;
const LEFT_OF_GRIP: Readonly<Record<Rollers['list'][number]['surface'], number>> = {
  unknown: 1,
  tacky: 1,
  nicked: 0.7,
  glazed: 1 / 3,
  hard: 1 / 3,
};
const APART_MM = 60;

/**
 * What the rollers at both sides of a slot can pass; undefined where it has none, or nothing is known of them.
 *
 * A disc pulled back on a scale tells both together; each one's surface, which of them has less of it.
 */
export function rollersOf({ loader, train: { rollers } }: Pick<Ticket, 'loader' | 'train'>): CycleKnown['rollers'] {
  const { list, pullBackN, spacingMm } = rollers;
  if (!loaderOf(loader).has.rollers || (list.length === 0 && pullBackN === null)) return undefined;
  const [left = 1, right = left] = list.map(({ surface }) => LEFT_OF_GRIP[surface]);
  const apartMm = spacingMm ?? APART_MM;
  if (pullBackN === null) return { leftN: (ROLLERS_PASS_N / 2) * left, rightN: (ROLLERS_PASS_N / 2) * right, apartMm };
  return { leftN: (pullBackN * left) / (left + right), rightN: (pullBackN * right) / (left + right), apartMm };
}

/** How the switch that ends it stands now: as it was found, until it was cleaned or bent back. */
export function switchOf(ticket: Ticket): NonNullable<CycleKnown['endSwitch']> {
  const { cleaning } = ticket;
  const found = answersOf(ticket).findLast(({ testId }) => testId === 'switch')?.outcome;
  if (found === 'torn')
    return isEnded(ticket, { kind: 'switchTorn', thing: 'switch', driveId: null }) ? 'clean' : 'stuck';
  if (found !== 'dirty') return 'clean';
  const cleaned = cleaning.places.some(
    (place) =>
      place.kind === 'switch' &&
      cleaning.treatments.some(({ placeId }) => placeId === place.id) &&
      placeState(place, cleaning.treatments, null).standing.length === 0,
  );
  return cleaned ? 'clean' : 'dirty';
}

/**
 * The belts that pass on the same turning, where the train has several of them in a row; undefined where this drive stands
 * alone, or one of the others is not known well enough to be run.
 *
 * @param views of all drives of the ticket
 */
export function seriesOf(
  ticket: Ticket,
  driveId: string,
  views: readonly DriveView[],
): readonly SeriesBelt[] | undefined {
  const { members } = ticket.train;
  const { figures } = trainView(ticket);
  const own = members.find((one) => one.driveId === driveId);
  if (!figures || !own) return undefined;
  const isBehind = (one: (typeof members)[number], other: (typeof members)[number]): boolean =>
    driversOf(members, one).some((driver) => driver.id === other.id || isBehind(driver, other));
  const row = members.filter(
    (one) => one.kind === 'beltDrive' && (one === own || isBehind(one, own) || isBehind(own, one)),
  );
  if (row.length < 2) return undefined;
  const series = row.map((member): SeriesBelt | undefined => {
    const [driver] = driversOf(members, member);
    const turns = figures.turns.find((one) => one.member.id === driver?.id)?.turns ?? 1;
    const named = { name: member.name === '' ? 'belt' : member.name, driverTurns: Math.abs(turns) };
    if (member === own) return { ...named, drive: null };
    const view = views.find(({ drive }) => drive.id === member.driveId);
    if (!view?.situation.ok || !view.fitted) return undefined;
    return { ...named, drive: { situation: view.situation.value, belt: triedBelt(view.fitted) } };
  });
  return series.every((one) => one !== undefined) ? series : undefined;
}

/** Places at which a click was heard, in their order. */
export const clicksHeard = ({ train: { places = [] } }: Pick<Ticket, 'train'>): readonly number[] =>
  places
    .filter(({ kind }) => kind === 'clicks')
    .map(({ atMm }) => atMm)
    .sort((a, b) => a - b);

/** A click as a cycle passes its place. */
export interface Click {
  readonly atS: number;
  readonly atMm: number;
}

/**
 * When a cycle passes the places at which a click was heard, each where it is reached first.
 *
 * For instance clicksIn(cycle, [44])[0].atS: 0.6
 */
export function clicksIn(
  { trace: { timeS, position } }: Pick<Cycle, 'trace'>,
  atMm: readonly number[],
): readonly Click[] {
  return atMm.flatMap((at) => {
    const index = position.findIndex((mm) => mm >= at);
    return index < 0 ? [] : [{ atS: timeS[index] as number, atMm: at }];
  });
}
