import { kindNamed, PLACE_KNOWN, PLACE_WORDS, type MapPlace, type Place, type PlaceKind } from '../cleaning';

import type { Choose } from './choices';
import type { PlaceNamed } from './types';

/** What a clause says of places, and the words that are left of it. */
export interface PlacesRead {
  readonly places: readonly PlaceNamed[];
  readonly rest: string;
}

const named = ({ id, kind, name }: Place): PlaceNamed => ({ id, kind, name });
const SEVERAL = /\b(?:both|all|each|every|the two|two)\b/;
const NUMBER = /^(?:no\.? ?|number |nr ?|#)(\d{1,4})\b[:,]?|^(\d{1,4}):/;
/** Parts of a place that are cleaned with it. */
const DETAILS = /\b(?:grooves?|flanks?|rims?|faces?|teeth|surfaces?|ends?|edges?)\b/g;

export const AXLE =
  /\b(?:(?:motor|drive|driven|loading|lift|big|idler|guide) )?(?:pulley|roller|idler|wheel|turntable|table|platter|carousel|gear|worm|cam|lever)s?(?:[’']s?)? (?:pivot|axle|shaft|spindle|bush|bushing|bearing)s?\b/;

const BEARING_OF =
  /\b(pivot|axle|shaft|spindle|bush|bushing|bearing)s? of (?:the |a |its )?((?:(?:motor|drive|driven|loading|lift|big|idler|guide) )?(?:pulley|roller|idler|wheel|turntable|table|platter|carousel|gear|worm|cam|lever|motor))s?\b/;

/** Whether words name a drive beside its kind: by its letter, or by what it drives. */
const byDrive = (text: string, place: Place): boolean => {
  const extra = place.name.toLowerCase().replace(/^(?:motor pulley|drive pulley|belt|idler)\s*/, '');
  const words = extra.split(/[^\p{L}\p{N}]+/u).filter((word) => word !== '');
  return words.some((word) => new RegExp(String.raw`\b${word}\b`).test(text));
};

/** The places of the map that one word of a kind means. */
function ofKind(
  kind: PlaceKind,
  word: string,
  text: string,
  map: readonly MapPlace[],
  choose: Choose,
): readonly PlaceNamed[] {
  const all = map.map(({ place }) => place).filter((place) => place.kind === kind);
  const [only] = all;
  if (!only) return [{ id: null, kind, name: word.trim() || PLACE_KNOWN[kind].name }];
  // The motor's bushing is no other that was spoken of.
  const motors = /\bmotor\b/.test(word) && !all.some(({ name }) => /\bmotor\b/i.test(name));
  if (motors) return [{ id: null, kind, name: word.trim() }];
  if (all.length === 1) return [named(only)];
  const told = all.filter((place) => text.includes(place.name.toLowerCase()));
  if (told.length > 0) return told.map(named);
  const driven = all.filter((place) => byDrive(text, place));
  if (driven.length > 0 && driven.length < all.length) return driven.map(named);
  if (/s$/.test(word.trim()) || SEVERAL.test(text)) return all.map(named);
  return choose('Which one?', [...all.slice(0, 3).map((place) => [named(place)]), all.map(named)].slice(0, 4));
}

/** The place that a clause begins with by its number on the map, as in “4: acetone”. */
export function numberedPlace(clause: string, map: readonly MapPlace[]): PlacesRead | undefined {
  const numbered = NUMBER.exec(clause);
  const at =
    numbered && map.find(({ place }) => place.number > 0 && place.number === Number(numbered[1] ?? numbered[2]));
  return numbered && at ? { places: [named(at.place)], rest: clause.slice(numbered[0].length).trim() } : undefined;
}

/** The side that stands right before a place. */
const SIDE =
  /\b(left|right)(?:[- ]hand)? (?=(?:(?:motor|drive|driven|loading|lift|guide|slide) )?(?:pulleys?|belts?|rollers?|rails?|guides?|rods?|runners?|racks?|gears?|switch(?:es)?|bush(?:ing)?s?)\b)/;

/**
 * A side that was said is no word to skip: a place that has no side in its name may be that one, or another beside it. One
 * that is new to the map is called by its side.
 */
function onItsSide(clause: string, places: readonly PlaceNamed[], choose: Choose): readonly PlaceNamed[] {
  const side = SIDE.exec(clause)?.[1];
  if (side === undefined || places.length === 0 || places.some(({ name }) => name.toLowerCase().includes(side)))
    return places;
  const beside = places.map(({ kind, name }): PlaceNamed => ({
    id: null,
    kind,
    name: `${side} ${name.toLowerCase()}`,
  }));
  return places.every(({ id }) => id === null) ? beside : choose(`Which is the ${side} one?`, [places, beside]);
}

/**
 * The places that a clause names, by the name they have on the map, or by a word of their kind.
 *
 * For instance placesIn('both pulleys acetone', map of one drive, choose).places.length: 2
 */
export function placesIn(clause: string, map: readonly MapPlace[], choose: Choose): PlacesRead {
  // “Bushing of the turntable” is the turntable’s.
  let rest = clause.replace(BEARING_OF, '$2 $1');
  const places: PlaceNamed[] = [];
  const add = (found: readonly PlaceNamed[]): void => {
    for (const one of found)
      if (!places.some(({ id, name }) => (id ?? name) === (one.id ?? one.name))) places.push(one);
  };
  // What a pulley or a roller turns on is no pulley: oil belongs there.
  const axle = AXLE.exec(rest);
  if (axle) {
    const name = axle[0].replace(/[’']s?\b/, '');
    const kind: PlaceKind = /\b(?:bush|bushing|bearing)s?$/.test(name) ? 'bushing' : 'shaft';
    const known = map.find(({ place }) => place.kind === kind && place.name.toLowerCase() === name)?.place;
    add([known ? named(known) : { id: null, kind, name }]);
    rest = rest.replace(axle[0], ' ');
  }
  // A melted belt on something is what that is dirty with.
  rest = rest.replace(/\b(?:melted|dissolved) (?:old )?(?:belt|rubber)(?= (?:on|in|around|over)\b)/, 'sludge');
  // A belt by what it drives: the clamp belt is no clamp.
  for (const { place } of map.filter(({ place: { kind } }) => kind === 'belt')) {
    const role = /, (.+)$/.exec(place.name)?.[1]?.toLowerCase();
    const at = role === undefined ? -1 : rest.indexOf(`${role} belt`);
    if (role === undefined || at < 0) continue;
    add([named(place)]);
    rest = `${rest.slice(0, at)} ${rest.slice(at + role.length + 5)}`;
  }
  // A place by its own name, the longest first: “following roller” before “roller”.
  const own = map
    .map(({ place }) => place)
    .filter(
      ({ name, kind }) =>
        name !== '' && (kindNamed(name) === undefined || name.toLowerCase() !== PLACE_KNOWN[kind].name),
    )
    .sort((a, b) => b.name.length - a.name.length);
  for (const place of own) {
    const at = rest.indexOf(place.name.toLowerCase());
    if (at < 0) continue;
    add([named(place)]);
    rest = `${rest.slice(0, at)} ${rest.slice(at + place.name.length)}`;
  }
  // Both named before the one word: drive and motor pulley.
  const pair =
    /\b(?:both )?(?:the )?(?:motor (?:and|&|\+) (?:drive|driven)|(?:drive|driven) (?:and|&|\+) motor) pulleys?\b/.exec(
      rest,
    );
  if (pair) {
    const all = map.map(({ place }) => place).filter(({ kind }) => kind === 'motorPulley' || kind === 'drivenPulley');
    const told = all.filter((place) => byDrive(rest, place));
    add((told.length > 0 ? told : all).map(named));
    rest = rest.replace(pair[0], ' ');
  }
  // The pulley of what a drive moves may be either of its two.
  for (const { place } of map.filter(({ place: { kind } }) => kind === 'belt')) {
    const role = /, (.+)$/.exec(place.name)?.[1]?.toLowerCase();
    if (role === undefined || !new RegExp(String.raw`\b${role} pulley\b`).test(rest)) continue;
    const own = map
      .map(({ place: one }) => one)
      .filter(({ driveId, kind }) => driveId === place.driveId && (kind === 'motorPulley' || kind === 'drivenPulley'));
    add(choose('Which pulley?', [...own.map((one) => [named(one)]), own.map(named)].slice(0, 4)));
    rest = rest.replace(`${role} pulley`, ' ');
  }
  const pulleys = /\b(?:(?:both|all|the|two) )*pulleys\b/.exec(rest);
  const single = pulleys
    ? null
    : /(?<!\b(?:motor|drive|driven|big|large|loading|lift|table|spindle|gear|guide|tension) )\bpulley\b/.exec(rest);
  if (pulleys && !/\b(?:motor|drive|driven|idler|guide|tension) pulleys\b/.test(rest)) {
    const all = map.map(({ place }) => place).filter(({ kind }) => kind === 'motorPulley' || kind === 'drivenPulley');
    const told = all.filter((place) => byDrive(rest, place));
    add((told.length > 0 ? told : all).map(named));
    rest = rest.replace(pulleys[0], ' ');
  } else if (single) {
    const all = map.map(({ place }) => place).filter(({ kind }) => kind === 'motorPulley' || kind === 'drivenPulley');
    if (all.length > 0)
      add(choose('Which pulley?', [...all.slice(0, 3).map((place) => [named(place)]), all.map(named)].slice(0, 4)));
    rest = rest.replace(single[0], ' ');
  }
  for (const [pattern, kind] of PLACE_WORDS) {
    const match = pattern.exec(rest);
    // “a swab's head”, “head rods”: what was taken by a longer name is gone from the rest already.
    if (!match) continue;
    add(ofKind(kind, match[0], rest, map, choose));
    rest = rest.replace(match[0], ' ');
  }
  const told = places.map((place) => ({ ...place, name: place.id === null ? place.name.toLowerCase() : place.name }));
  return {
    // Of two pulleys the side says which: that was asked already.
    places: single ? told : onItsSide(clause, told, choose),
    rest: rest.replace(DETAILS, ' ').replace(SEVERAL, ' ').replace(/\s+/g, ' ').trim(),
  };
}
