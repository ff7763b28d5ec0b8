import {
  flag,
  id,
  list,
  nullable,
  number,
  one,
  optional,
  shape,
  text,
  time,
  type ShapeValue,
  type ValueOf,
} from '../../base/schema';

/** What a member of a train is. */
export const MEMBER_KINDS = [
  'motor',
  'beltDrive',
  'gear',
  'doubleGear',
  'worm',
  'rack',
  'cam',
  'rollers',
  'drum',
] as const;
export type MemberKind = (typeof MEMBER_KINDS)[number];

/** What is wrong with a gear, as it is drawn on it. */
export const GEAR_FAULTS = ['worn', 'cracked', 'toothMissing', 'slipsOnShaft'] as const;
export type GearFault = (typeof GEAR_FAULTS)[number];

/** One member, from the motor to what moves the disc. */
export const member = shape({
  id: id(),
  /** The same number as on Strip, where it came off there; else its own. */
  number: number(0, 10_000),
  kind: one(MEMBER_KINDS),
  name: text(80),
  /** Teeth that its driver meshes with; of a motor, those on its shaft; of a worm its starts. 0 where it has none. */
  teeth: number(0, 400),
  /** Teeth that drive the next one, of a double gear. */
  second: number(0, 400),
  /** Module of what it meshes with next; null where it is not known. */
  moduleMm: nullable(number(0.05, 10)),
  shift: nullable(number(-1, 1.5)),
  /** Of rollers and drums. */
  diameterMm: nullable(number(0.5, 200)),
  /** The belt drive of this ticket that it is. */
  driveId: nullable(id()),
  /** Members that drive it: the one before it where none is said. */
  from: list(id(), 4),
  stepId: nullable(id()),
  faults: list(one(GEAR_FAULTS), 4),
  /** Its reference: mark to mark, pin at the start of its channel, in the bench's words; and where the tray is then. */
  reference: text(400),
});
export interface Member extends ValueOf<typeof member> {}

/** A trial of a tooth's place: at which member, how many teeth from its mark, what it did. */
export const toothTrial = shape({
  id: id(),
  at: time(),
  memberId: id(),
  teeth: number(-99, 99),
  /** How much too early the tray is, mm; null where nobody measured. */
  earlyMm: nullable(number(-200, 200)),
  what: text(400),
  right: flag(),
});
export interface ToothTrial extends ValueOf<typeof toothTrial> {}

/** Rollers, by diameter at several places along each. */
export const roller = shape({
  id: id(),
  name: text(80),
  diametersMm: list(number(0.5, 100), 9),
  surface: one(['unknown', 'tacky', 'glazed', 'nicked', 'hard']),
  driven: flag(),
});
export interface Roller extends ValueOf<typeof roller> {}
export const LINK_STATES = ['unknown', 'engaged', 'off', 'none'] as const;
export const rollers = shape({
  list: list(roller, 8),
  spacingMm: nullable(number(1, 200)),
  travelMm: nullable(number(1, 400)),
  /** What a scale shows as a disc is pulled back against the running rollers. */
  pullBackN: nullable(number(0, 100)),
  link: one(LINK_STATES),
  rattles: one(['unknown', 'rattles', 'quiet']),
});
export interface Rollers extends ValueOf<typeof rollers> {}

/** A state of a mode gear: which switches say so, and turns of the motor pulley to the next. */
export const modeState = shape({
  id: id(),
  name: text(60),
  /** As ticked, such as S1 on, S2 off. */
  switches: text(120),
  turnsToNext: nullable(number(0, 1000)),
});
export interface ModeState extends ValueOf<typeof modeState> {}
export const mode = shape({
  states: list(modeState, 12),
  /** Where it stands now, and where it should be. */
  at: nullable(id()),
  home: nullable(id()),
  way: one(['unknown', 'clockwise', 'anticlockwise']),
  viewedFrom: text(80),
});
export interface Mode extends ValueOf<typeof mode> {}

/** A tray or lift that should sit square. */
export const square = shape({
  leftMm: nullable(number(0, 100)),
  rightMm: nullable(number(0, 100)),
  spacingMm: nullable(number(1, 600)),
  steps: list(shape({ id: id(), what: text(200), done: flag() }), 40),
});
export interface Square extends ValueOf<typeof square> {}

export const WAY_PLACE_KINDS = ['binds', 'lifts', 'clamps', 'clicks'] as const;
export type WayPlaceKind = (typeof WAY_PLACE_KINDS)[number];
/** Where on its way what is moved asks for more, or is heard. */
export const wayPlace = shape({
  id: id(),
  kind: one(WAY_PLACE_KINDS),
  /** Its middle, from where it is in. */
  atMm: number(0, 1000),
  /** Its length; null where nobody looked. */
  overMm: nullable(number(0.5, 400)),
  /** How much more it asks than beside it; null where nobody measured. */
  forceN: nullable(number(0.02, 60)),
});
export interface WayPlace extends ValueOf<typeof wayPlace> {}

export const train = shape({
  members: list(member, 40),
  /** Travel of what it moves, end to end. */
  travelMm: nullable(number(1, 1000)),
  motorRpm: nullable(number(1, 100_000)),
  trials: list(toothTrial, 500),
  rollers,
  mode,
  square,
  places: optional(list(wayPlace, 12)),
});
export interface Train extends ValueOf<typeof train> {}

export const trainEvents = {
  trainPut: { members: list(member, 40) },
  memberPut: { member },
  memberRemoved: { memberId: id() },
  trainSaid: {
    changes: shape({ travelMm: nullable(number(1, 1000)), motorRpm: nullable(number(1, 100_000)) }),
  },
  toothTried: { trial: toothTrial },
  rollersPut: { rollers },
  modePut: { mode },
  squarePut: { square },
  placesPut: { places: list(wayPlace, 12) },
} as const;
export type TrainEventBody = {
  [T in keyof typeof trainEvents]: { readonly type: T } & ShapeValue<(typeof trainEvents)[T]>;
}[keyof typeof trainEvents];
