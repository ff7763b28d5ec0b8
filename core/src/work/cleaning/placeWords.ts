import type { PlaceKind } from './schema';

/* Words that name a place, the more telling first: a motor pulley is no motor, a guide rod is a rod. */
export const PLACE_WORDS: ReadonlyArray<readonly [RegExp, PlaceKind]> = [
  [/\bmotor (?:pulleys?|wheel)\b/, 'motorPulley'],
  [/\b(?:drive|driven|big|large|loading|lift|table|spindle|gear) pulleys?\b/, 'drivenPulley'],
  [/\bspindle (?:bearing|bush(?:ing)?)s?\b/, 'spindle'],
  [/\bidlers?\b|\b(?:guide|tension) pulleys?\b/, 'idler'],
  [/\b(?:motor |shaft )?(?:bushings?|bushes|bush)\b|\b(?:motor|shaft|bearing)s? bearings?\b|\bbearings?\b/, 'bushing'],
  [/\b(?:limit |leaf |micro)?switch(?:es)?(?: contacts?)?\b|\bmicroswitch(?:es)?\b/, 'switch'],
  [/\b(?:rollers?)\b/, 'roller'],
  [/\b(?:lens|lenses|optic)\b/, 'lens'],
  [/\b(?:guide |head |lift |sled )?rods?\b|\brails?\b/, 'rod'],
  [/\bracks?\b/, 'rack'],
  [/\b(?:gears?|worms?|pinions?|cogs?|cams?)\b/, 'gear'],
  [/\b(?:guides?|runners?|slides?|tracks?)\b/, 'guide'],
  [/\b(?:heads?)\b/, 'head'],
  [/\b(?:volume (?:pots?|controls?)|pots?|potentiometers?|faders?|volume)\b/, 'pot'],
  [/\b(?:keys?|keyboards?|buttons?|keypads?)\b/, 'key'],
  [/\b(?:contacts?|plugs?|sockets?|connectors?|edge connectors?|terminals?)\b/, 'contact'],
  [/\b(?:clamps?|puck|magnet)\b/, 'clamp'],
  [/\b(?:spindle|hub)\b/, 'spindle'],
  [/\b(?:shafts?|pivots?|axles?|drum)\b/, 'shaft'],
  [/\b(?:floor|chassis|base ?plate|bottom of)\b/, 'floor'],
  [/\b(?:belts?)\b/, 'belt'],
];

/** The kind of place that words name. @example kindNamed('both guide rods') // 'rod' */
export const kindNamed = (words: string): PlaceKind | undefined => {
  const text = words.toLowerCase();
  return PLACE_WORDS.find(([pattern]) => pattern.test(text))?.[1];
};
