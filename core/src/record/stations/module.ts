import type { ShapeValue } from '../../base/schema';
import { ok, type LengthUnit, type Result } from '../../base/units';

/** What is known of a station before any ticket. */
interface Station {
  readonly name: string;
  /** Minutes of hands that it takes before anything was learned. Common practice, no source. */
  readonly usualMin: number;
}

/** The stations in working order. */
const KNOWN = {
  takeIn: { name: 'Take in', usualMin: 8 },
  find: { name: 'Find', usualMin: 12 },
  strip: { name: 'Strip', usualMin: 15 },
  clean: { name: 'Clean', usualMin: 12 },
  measure: { name: 'Measure', usualMin: 5 },
  size: { name: 'Size', usualMin: 4 },
  rebuild: { name: 'Rebuild', usualMin: 15 },
  prove: { name: 'Prove', usualMin: 12 },
  handBack: { name: 'Hand back', usualMin: 6 },
} as const satisfies Readonly<Record<string, Station>>;
export type StationId = keyof typeof KNOWN;
export const STATIONS = Object.keys(KNOWN) as readonly StationId[];

/** What each is called. */
export const STATION_NAMES = forStations((id) => KNOWN[id].name);
/** What each takes before anything was learned, minutes. */
export const USUAL_MINUTES = forStations((id) => KNOWN[id].usualMin);

/** The same worked out for each. @example forStations((id) => id.length).find // 4 */
export function forStations<T>(of: (id: StationId) => T): Readonly<Record<StationId, T>> {
  return Object.fromEntries(STATIONS.map((id) => [id, of(id)])) as Record<StationId, T>;
}

/** What happened, by the events of a module: `{ type, … }`. */
export type BodyOf<E> = { readonly [T in keyof E]: { readonly type: T } & ShapeValue<E[T]> }[keyof E];

/** What every event carries: its own id, when it happened, and the gesture it belongs to where typing goes on. */
export interface Stamp {
  readonly id: string;
  readonly at: string;
  /** Events of one gesture that follow one another replace the last: a note typed in one go is one event. */
  readonly gesture?: string;
  /** Events said in one breath carry one name here, and are taken back together: a cover and its two screws. */
  readonly together?: string;
}

/** A part of a ticket, as one module keeps it. */
export type StateOf<F> = ShapeValue<F>;

/**
 * What each event of a module makes of the module's part of a ticket: the fields that change, or a sentence where the
 * event speaks of something that is not there. No case may be missing.
 */
export type Reducers<S, E> = {
  readonly [T in keyof E]: (state: S, event: { readonly type: T } & ShapeValue<E[T]> & Stamp) => Result<Partial<S>>;
};

/** Where on the ticket an event acted: what undo says and where it leads. */
export interface EventPlace {
  readonly station: StationId;
  readonly driveId?: string;
}

/** What a description may look up: how a drive is called, and the unit of the screen. */
export interface SaidOn {
  readonly unit: LengthUnit;
  driveName(id: string): string;
}

/** Each event of a module in a few words, and its place. No case may be missing. */
export type Descriptions<E> = {
  readonly [T in keyof E]: {
    says(event: { readonly type: T } & ShapeValue<E[T]>, on: SaidOn): string;
    place(event: { readonly type: T } & ShapeValue<E[T]>): EventPlace;
  };
};

/** Puts an item in place of the one with its id, or at the end. */
export function upsert<T extends { readonly id: string }>(list: readonly T[], item: T): readonly T[] {
  return list.some(({ id }) => id === item.id) ? list.map((old) => (old.id === item.id ? item : old)) : [...list, item];
}

/** A list without the item of an id. */
export const without = <T extends { readonly id: string }>(list: readonly T[], gone: string): readonly T[] =>
  list.filter(({ id }) => id !== gone);

/** What an event changes, as a result that refuses nothing. For instance changes({ lid: event.lid }) */
export const changes = <S>(of: Partial<S>): Result<Partial<S>> => ok(of);

/** Names of fields in words, for “… changed”. */
export const namedFields = (names: Readonly<Record<string, string>>, of: object): string =>
  Object.keys(of)
    .map((key) => names[key] ?? key)
    .join(', ');
