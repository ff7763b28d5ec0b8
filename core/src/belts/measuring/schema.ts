import { id, nullable, number, one, optional, shape, some, text, type ValueOf } from '../../base/schema';

/** What a reading is about. Lengths are mm throughout; `trayPull` and `stallPull` are in N, and never mixed. */
export const MEASURANDS = [
  'section',
  'width',
  'grooveWidth',
  'grooveDepth',
  'oldBelt',
  'stringPath',
  'motorDiameter',
  'drivenDiameter',
  'centreDistance',
  'trayTravel',
  'trayPull',
  'stallPull',
] as const;
export type Measurand = (typeof MEASURANDS)[number];

const size = number(0, 10_000);

/** Sizes of the tools and things a method leans on, in mm unless the name says otherwise. */
const aux = some({
  sectionMm: size,
  pinDiameterMm: size,
  nextCapMm: size,
  secondDiameterMm: size,
  stringDiameterMm: size,
  threadDiameterMm: size,
  turns: size,
  grooveDepthMm: size,
  motorOutsideMm: size,
  drivenOutsideMm: size,
  veeAngleDeg: size,
});
export type AuxKey = keyof ValueOf<typeof aux>;

/** A reading as kept on a ticket. */
export const reading = shape({
  id: id(),
  measurand: one(MEASURANDS),
  /** The id of a method. A newer file may name one that this bench does not know: it says so then. */
  method: id(),
  /** As it was typed, for the record. */
  typed: text(200),
  /** As it was understood, in mm (N for a pull). */
  amount: size,
  aux,
  /** The bench's own standard uncertainty of the reading (k = 1); null takes the method's. */
  ownStd: nullable(number(0, 1000)),
  /** The number of the ticket it was carried over from, where it was not taken on this machine. */
  from: optional(text(20)),
  /**
   * How often the machine had been treated when it was read; missing is never. A pull is of the state that it was read
   * in, and the latest state counts; a belt that was warmed is another belt.
   */
  round: optional(number(0, 10_000)),
});
export interface Reading extends ValueOf<typeof reading> {}
