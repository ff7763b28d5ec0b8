import { SERIES } from '../../belts/catalogue';
import {
  day,
  flag,
  id,
  list,
  nullable,
  number,
  one,
  optional,
  shape,
  some,
  text,
  type ShapeValue,
  type ValueOf,
} from '../../base/schema';
import { SECTION_SHAPES } from '../../base/shapes';

/* What a bench has in its drawer: belts, rings and bands by size, and kits that are not taken apart yet. */

/** What a belt may be made of, where it is known. */
export const RUBBERS = [
  'unknown',
  'nitrile',
  'chloroprene',
  'naturalRubber',
  'ethylenePropylene',
  'siliconeRubber',
  'polyurethane',
] as const;
export type Rubber = (typeof RUBBERS)[number];

/** The size of a belt: what tells one from another. Lengths relaxed, in mm. */
export const beltFields = {
  shape: one(SECTION_SHAPES),
  thicknessMm: number(0.3, 8),
  /** Of a flat belt, where it is known. */
  widthMm: nullable(number(0.3, 20)),
  innerLengthMm: number(1, 2000),
};
export interface BeltFields extends ShapeValue<typeof beltFields> {}

/** What a seller calls this size. */
const sellerNumber = shape({ seller: text(80), number: text(80, 1) });
export interface SellerNumber extends ValueOf<typeof sellerNumber> {}

export const QUANTITY_MAX = 100_000;

/** What is written of a size in the drawer, beside how many there are. */
export const itemLabel = {
  ...beltFields,
  /** A household band: it moves a drive for a while and is no belt. */
  band: flag(),
  place: text(80),
  label: text(160),
  supplier: text(120),
  /** What one costs, in the bench's own money. */
  price: nullable(number(0, 100_000)),
  hardnessShoreA: nullable(number(10, 100)),
  rubber: one(RUBBERS),
  boughtOn: day(),
  /** Its inner length as it was measured in the hand, and when; null where the label alone says it. */
  measuredMm: nullable(number(1, 2000)),
  measuredOn: day(),
  /** How many are few; null where that was not said. */
  lowAt: nullable(number(0, QUANTITY_MAX)),
  sellerNumbers: list(sellerNumber, 20),
  /** The kit it came out of. */
  kit: text(120),
};
export const item = shape({ id: id(), ...itemLabel, quantity: number(0, QUANTITY_MAX) });
export interface Item extends ValueOf<typeof item> {}

/** A size in a kit, and how many of it. */
const content = shape({ ...beltFields, label: text(160), count: number(1, 1000) });
export interface Content extends ValueOf<typeof content> {}

/** Kits that lie unopened. */
export const kit = shape({
  id: id(),
  name: text(120, 1),
  quantity: number(0, 1000),
  place: text(80),
  supplier: text(120),
  price: nullable(number(0, 100_000)),
  boughtOn: day(),
  contents: list(content, 500, 1),
});
export interface Kit extends ValueOf<typeof kit> {}

/** One that a try on a ticket has out of the drawer. */
const take = shape({
  tryId: id(),
  itemId: id(),
  ticketId: id(),
  /** Whoever was asked said that it was not counted out of this drawer: it goes back into none. */
  uncounted: optional(flag()),
});
export interface Take extends ValueOf<typeof take> {}

export const ITEMS_MAX = 20_000;

export const drawerState = {
  items: list(item, ITEMS_MAX),
  kits: list(kit, 500),
  takes: list(take, 50_000),
  /** Series that are switched against what comes with the app. */
  switchedSeries: list(one(SERIES), SERIES.length),
};
export interface DrawerState extends ShapeValue<typeof drawerState> {}

export const drawerEvents = {
  /** Sizes that are new in the drawer. */
  itemsPut: { items: list(item, ITEMS_MAX, 1) },
  itemChanged: { itemId: id(), changes: some(itemLabel) },
  itemRemoved: { itemId: id() },
  /** So many more or fewer than before: what two tabs say adds up. */
  quantityChanged: { itemId: id(), by: number(-QUANTITY_MAX, QUANTITY_MAX) },
  /** So many lie there, counted by hand. */
  recounted: { itemId: id(), quantity: number(0, QUANTITY_MAX) },
  kitPut: { kit },
  kitRemoved: { kitId: id() },
  /** One kit comes apart; a size that is new takes its id from here, in the order of the contents. */
  kitOpened: { kitId: id(), itemIds: list(id(), 500, 1) },
  taken: { take },
  /** It hangs there again; one that is gone for good only ends being out. */
  putBack: { tryId: id(), gone: optional(flag()) },
  seriesSwitched: { series: one(SERIES), on: flag() },
};
