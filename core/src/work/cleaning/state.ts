import { isLubricant, type Agent, type Dirt } from '../compatibility';
import type { Surface } from '../../physics/drive';
import type { Cleaning, Place, PlaceTreatment, Swab } from './schema';
import { surfaceAt, type MappedDrive } from './surfaceAt';

/** How a place stands, by what was seen and done there in turn. */
export interface PlaceState {
  /** What is on it now. */
  readonly standing: readonly Dirt[];
  /** Clean by two clean swabs one after the other, or because the bench says so. */
  readonly clean: 'twice' | 'said' | null;
  /** Clean swabs in a row, up to now. */
  readonly cleanSwabs: number;
  readonly lastSwab: Swab | null;
  /** Tacky, as rubber should be. */
  readonly tacky: boolean;
  /** What spot tests said here, by agent: the last word of each. */
  readonly spots: Readonly<Partial<Record<Agent, 'clean' | 'black'>>>;
  readonly lubricant: Agent | null;
  readonly oldGreaseOff: boolean;
  readonly workedIn: boolean;
  readonly excessWiped: boolean;
  /** The last agent that wetted it. */
  readonly wettedBy: Agent | null;
  readonly harmed: boolean;
  readonly treatments: readonly PlaceTreatment[];
}

/** Clean swabs in a row that count as clean. */
export const CLEAN_SWABS = 2;

/** The surface of a pulley that a dirt makes; and the other way round. */
export const SURFACE_OF: Readonly<Record<Dirt, Surface>> = {
  fluff: 'dusty',
  oily: 'oily',
  glazed: 'glazed',
  hardenedGrease: 'oily',
  residue: 'dusty',
  sludge: 'oily',
  corroded: 'dusty',
  sticky: 'dusty',
  dry: 'clean',
};
const DIRT_OF: Readonly<Partial<Record<Surface, Dirt>>> = { glazed: 'glazed', dusty: 'fluff', oily: 'oily' };

/** The worst surface that what stands on a pulley makes of it. @example surfaceOf(['fluff', 'oily']) // 'oily' */
export const surfaceOf = (standing: readonly Dirt[]): Surface =>
  (['oily', 'glazed', 'dusty'] as const).find((one) => standing.some((dirt) => SURFACE_OF[dirt] === one)) ?? 'clean';

/**
 * How a place stands: what was seen on it and what was done, one after the other; the last word counts.
 *
 * @param surface of a pulley, as Measure has it: what was said there later counts here
 * @example placeState(place, ticket.cleaning.treatments, null).clean // 'twice'
 */
export function placeState(place: Place, all: readonly PlaceTreatment[], surface: Surface | null): PlaceState {
  const treatments = all.filter(({ placeId }) => placeId === place.id);
  const told = [
    ...place.seen.map((seen) => ({ at: seen.at, seen: seen.dirt, done: undefined })),
    ...treatments.map((done) => ({ at: done.at, seen: undefined, done })),
  ].sort((a, b) => a.at.localeCompare(b.at));
  let standing: Dirt[] = [];
  let clean: PlaceState['clean'] = null;
  let cleanSwabs = 0;
  let lastSwab: Swab | null = null;
  let tacky = false;
  const spots: Partial<Record<Agent, 'clean' | 'black'>> = {};
  let lubricant: Agent | null = null;
  let oldGreaseOff = false;
  let workedIn = false;
  let excessWiped = false;
  let wettedBy: Agent | null = null;
  let harmed = false;
  const washed = (how: 'twice' | 'said'): void => {
    // Dryness is no dirt: a clean rod may still want its film.
    standing = standing.filter((dirt) => dirt === 'dry');
    clean = how;
  };
  for (const { seen, done } of told) {
    if (seen) {
      if (!standing.includes(seen)) standing.push(seen);
      if (seen !== 'dry') {
        clean = null;
        cleanSwabs = 0;
        tacky = false;
      }
      continue;
    }
    if (!done) continue;
    if (done.deed === 'spotTest') {
      if (done.agent) spots[done.agent] = done.swabs.includes('black') || done.outcome === 'harmed' ? 'black' : 'clean';
      continue;
    }
    if (done.outcome === 'harmed') harmed = true;
    if (done.deed === 'lubricate' || (done.agent && isLubricant(done.agent))) {
      lubricant = done.agent;
      workedIn = excessWiped = false;
      standing = standing.filter((dirt) => dirt !== 'dry');
    } else if (done.agent) wettedBy = done.agent;
    if (done.deed === 'oldGreaseOff') {
      oldGreaseOff = true;
      standing = standing.filter((dirt) => dirt !== 'hardenedGrease');
    }
    if (done.deed === 'workedIn') workedIn = true;
    if (done.deed === 'excessWiped') excessWiped = true;
    for (const swab of done.swabs) {
      lastSwab = swab;
      cleanSwabs = swab === 'clean' ? cleanSwabs + 1 : 0;
      if (swab !== 'clean') clean = null;
    }
    if (cleanSwabs >= CLEAN_SWABS && done.swabs.length > 0) washed('twice');
    else if (done.outcome === 'clean' || done.outcome === 'tacky') washed('said');
    else if (done.outcome === 'stillDirty') clean = null;
    if (done.outcome === 'tacky') tacky = true;
  }
  if (surface !== null) {
    const dirt = DIRT_OF[surface];
    const mapped = standing.filter((one) => one !== 'dry');
    // What Measure says of a pulley is the same fact; where the two differ, it was said there later.
    if (surface === 'clean' && mapped.length > 0) standing = standing.filter((one) => one === 'dry');
    if (dirt && surfaceOf(standing) !== surface) {
      standing = [dirt, ...standing.filter((one) => SURFACE_OF[one] === surface)];
      clean = null;
    }
  }
  return {
    standing,
    clean: standing.some((dirt) => dirt !== 'dry') ? null : clean,
    cleanSwabs,
    lastSwab,
    tacky,
    spots,
    lubricant,
    oldGreaseOff,
    workedIn,
    excessWiped,
    wettedBy,
    harmed,
    treatments,
  };
}

/** What is looked through for dirt: a ticket has it. */
interface DirtyIn {
  readonly cleaning: Cleaning;
  readonly drives: ReadonlyArray<MappedDrive & { readonly tries: readonly unknown[] }>;
}

/** A place with what still stands on it. */
export interface DirtyPlace {
  readonly place: Place;
  readonly standing: readonly Dirt[];
}

/**
 * The places that were found dirty or dry, and are so still. What was left on purpose is answered, and so is a belt in
 * whose stead another was fitted.
 *
 * @example stillDirty(ticket).map(({ place }) => place.name) // []
 */
export function stillDirty({ cleaning, drives }: DirtyIn): readonly DirtyPlace[] {
  const renewed = new Set(drives.filter(({ tries }) => tries.length > 0).map(({ id }) => id));
  return cleaning.places
    .filter(({ kind, left, driveId }) => left === '' && !(kind === 'belt' && driveId !== null && renewed.has(driveId)))
    .map((place) => ({
      place,
      standing: placeState(place, cleaning.treatments, surfaceAt(place, drives)).standing,
    }))
    .filter(({ standing }) => standing.length > 0);
}
