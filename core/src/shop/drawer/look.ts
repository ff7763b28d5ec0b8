import { shapeOf, SECTION_SHAPES } from '../../base/shapes';
import {
  SAME_LENGTH_MM,
  sameBelt,
  sameSection,
  USUAL_SERIES,
  type BenchStock,
  type CatalogueBelt,
  SERIES,
  BUILT_IN,
} from '../../belts/catalogue';
import { formatLength, type LengthUnit } from '../../base/units';
import { monthsLater } from '../../base/timers';
import { type BeltFields, type DrawerState, type Item, type Rubber } from './schema';

/* What can be seen of a drawer: what is old, what runs low, where the one in my hand belongs. */

/**
 * Months that a rubber may lie in a dark drawer before one of it is measured first. From memory of the general groups of
 * storage standards (ISO 2230 gives 5, 7 and 10 years to first inspection by the kind of rubber), halved for belts, that
 * are judged by their length; an unknown kind is taken as the shortest.
 */
const MONTHS_OF_RUBBER: Readonly<Record<Rubber, number>> = {
  unknown: 30,
  naturalRubber: 30,
  polyurethane: 30,
  nitrile: 42,
  chloroprene: 42,
  ethylenePropylene: 60,
  siliconeRubber: 60,
};

/**
 * The day from which one of a size is measured before it is trusted; empty where nobody knows how old it is.
 *
 * @example measureFrom({ boughtOn: '2024-01-31', rubber: 'nitrile', measuredOn: '' }) // '2027-07-31'
 */
export function measureFrom({
  boughtOn,
  measuredOn,
  rubber,
}: Pick<Item, 'boughtOn' | 'measuredOn' | 'rubber'>): string {
  const since = measuredOn > boughtOn ? measuredOn : boughtOn;
  return since === '' ? '' : monthsLater(since, MONTHS_OF_RUBBER[rubber]);
}

/** Whether one of a size is to be measured before it is trusted. @param today such as `2026-11-27` */
export function isAged(item: Pick<Item, 'boughtOn' | 'measuredOn' | 'rubber'>, today: string): boolean {
  const from = measureFrom(item);
  return from !== '' && from <= today;
}

/** Whether a size runs low: as many as the bench has called few, or fewer; the last one where it has called none. */
export const runsLow = ({ quantity, lowAt, band }: Pick<Item, 'quantity' | 'lowAt' | 'band'>): boolean =>
  !band && quantity <= (lowAt ?? 0);

/** The inner length a belt of the drawer is judged by: as measured, else as labelled. */
export const lengthOf = ({ measuredMm, innerLengthMm }: Pick<Item, 'measuredMm' | 'innerLengthMm'>): number =>
  measuredMm ?? innerLengthMm;

/** What the label lies by before it is said to lie: relative, and in mm. Common practice: makers' limits of 1 %. */
const LIES_RELATIVE = 0.01;
const LIES_MM = 0.6;

/** Whether a measured length is not what its label says. @param stdMm of the reading */
export const labelLies = (labelMm: number, measuredMm: number, stdMm: number): boolean =>
  Math.abs(measuredMm - labelMm) > Math.max(LIES_MM, LIES_RELATIVE * labelMm) + 2 * stdMm;

/** Where a belt in the hand belongs. */
export interface InDrawer {
  /** The size that it is, within its reading; the nearest first. */
  readonly same: readonly Item[];
  /** The nearest shorter and longer of its section, where none is the same. */
  readonly beside: readonly Item[];
}

/**
 * The place in the drawer of a belt that was measured.
 *
 * @param stdMm standard uncertainty of its length
 * @param sectionMm null where its section was not measured: any section of that length then
 * @example inDrawer(items, 108, 0.4, 1.2).same[0]?.label // ''
 */
export function inDrawer(items: readonly Item[], lengthMm: number, stdMm: number, sectionMm: number | null): InDrawer {
  const like = items
    .filter((one) => sectionMm === null || Math.abs(one.thicknessMm - sectionMm) <= SECTION_OFF_MM)
    .map((one) => ({ one, off: lengthOf(one) - lengthMm }));
  const near = [...like].sort((a, b) => Math.abs(a.off) - Math.abs(b.off));
  const limit = (mm: number): number => 2 * stdMm + Math.max(SAME_LENGTH_MM, 0.01 * mm);
  const same = near.filter(({ one, off }) => Math.abs(off) <= limit(lengthOf(one))).map(({ one }) => one);
  const shorter = near.find(({ off }) => off < 0)?.one;
  const longer = near.find(({ off }) => off >= 0)?.one;
  return { same, beside: same.length > 0 ? [] : [shorter, longer].filter((one) => one !== undefined) };
}
/** Calipers squeeze a belt; two sections of an assortment lie 0.2 mm apart and more. */
const SECTION_OFF_MM = 0.11;

/** What a size in the drawer is, where one was measured: whether its label tells the truth. */
export function labelWords(item: Pick<Item, 'innerLengthMm' | 'measuredMm'>, unit: LengthUnit): string | undefined {
  const { innerLengthMm, measuredMm } = item;
  if (measuredMm === null || !labelLies(innerLengthMm, measuredMm, 0)) return undefined;
  const write = (mm: number): string => `${formatLength(mm, unit)} ${unit}`;
  return `The label says ${write(innerLengthMm)}; it measures ${write(measuredMm)} inner length and is judged by that.`;
}

/** Items of one section, the shortest first; sections by shape and thickness. */
export interface Rail {
  readonly key: string;
  readonly section: Pick<Item, 'shape' | 'thicknessMm' | 'widthMm' | 'band'>;
  readonly items: readonly Item[];
}

/**
 * The drawer as it hangs: a rail for each section, each with its sizes by length. Cost: that of sorting.
 *
 * @example railsOf(items).map(({ key }) => key) // ['square 1.20']
 */
export function railsOf(items: readonly Item[]): readonly Rail[] {
  const rails = new Map<string, Item[]>();
  for (const one of items) {
    const width = shapeOf(one.shape).hasWidth && one.widthMm !== null ? `${one.widthMm.toFixed(1)} × ` : '';
    const key = `${one.band ? 'band' : one.shape} ${width}${one.thicknessMm.toFixed(2)}`;
    const rail = rails.get(key);
    if (rail) rail.push(one);
    else rails.set(key, [one]);
  }
  const first = (items: readonly Item[]): Item => items[0] as Item;
  return [...rails]
    .map(([key, of]) => ({ key, section: first(of), items: of.sort((a, b) => lengthOf(a) - lengthOf(b)) }))
    .sort(
      (a, b) =>
        Number(a.section.band) - Number(b.section.band) ||
        SECTION_SHAPES.indexOf(a.section.shape) - SECTION_SHAPES.indexOf(b.section.shape) ||
        a.section.thicknessMm - b.section.thicknessMm ||
        (a.section.widthMm ?? 0) - (b.section.widthMm ?? 0),
    );
}

/** The item that a belt of the catalogue is, where it is owned or known: the one with most of it first. */
export const itemFor = (
  items: readonly Item[],
  belt: Omit<BeltFields, 'widthMm'> & { readonly widthMm?: number | null | undefined },
): Item | undefined =>
  items
    .filter(
      (one) => !one.band && sameSection(one, belt) && Math.abs(lengthOf(one) - belt.innerLengthMm) < SAME_LENGTH_MM,
    )
    .sort((a, b) => b.quantity - a.quantity)[0];

/** Makers' limits of a belt that only its label knows, and of one that was measured: relative, of the length. No source. */
const LABEL_LIMIT = 0.01;
const MEASURED_LIMIT = 0.004;

/** A size of the drawer as a belt to choose. For instance beltOf(items[0]).id: 'own-i1' */
const beltOf = (item: Item): CatalogueBelt => ({
  id: `own-${item.id}`,
  series: 'own',
  name: item.label || item.kit || 'the drawer',
  shape: item.shape,
  thicknessMm: item.thicknessMm,
  ...(item.widthMm !== null && { widthMm: item.widthMm }),
  thicknessToleranceMm: 0.05,
  innerLengthMm: lengthOf(item),
  innerLengthToleranceMm: lengthOf(item) * (item.measuredMm === null ? LABEL_LIMIT : MEASURED_LIMIT),
});

/**
 * What a bench chooses among: the series that are on, and what of its drawer is none of theirs.
 *
 * @example benchStock({ items: [], switchedSeries: ['metric'] }).series // ['square', 'as568', 'metric', 'flat']
 */
export function benchStock({ items, switchedSeries }: Pick<DrawerState, 'items' | 'switchedSeries'>): BenchStock {
  const series = SERIES.filter((one) => USUAL_SERIES.includes(one) !== switchedSeries.includes(one));
  const sold = series.flatMap((one) => [...BUILT_IN[one].belts]);
  const own: CatalogueBelt[] = [];
  // By the millimetre, since a full drawer would be compared millions of times.
  const byMm = new Map<number, CatalogueBelt[]>();
  const note = (belt: CatalogueBelt): void => {
    const mm = Math.round(belt.innerLengthMm);
    byMm.set(mm, [...(byMm.get(mm) ?? []), belt]);
  };
  sold.forEach(note);
  for (const item of items) {
    if (item.band) continue;
    const belt = beltOf(item);
    const mm = Math.round(belt.innerLengthMm);
    const known = [mm - 1, mm, mm + 1].some((at) => byMm.get(at)?.some((one) => sameBelt(one, belt)));
    if (known) continue;
    own.push(belt);
    note(belt);
  }
  return { series, own };
}
