import { THRESHOLDS } from '../../base/thresholds';
import { CATALOGUE, type CatalogueBelt } from '../../belts/catalogue';
import { itemFor, lengthOf, sameSize, type BeltFields, type Item } from '../drawer';
import type { TicketSummary } from '../../record/ticket';
import { beltLabel } from '../../base/shapes';
import type { Demand, Offer } from './cover';

const YEAR_MS = 365.25 * 86_400_000;
/** What one belt costs where nobody has said: in the bench's own money. */
const USUAL_PRICE = 2;
/** Sizes so near one that was judged are thought of with it: relative. Within makers' limits. */
const NEAR = 0.01;

/** What a bench sees in a year, and which belts would serve it. */
export interface RestockQuestion {
  readonly demands: readonly Demand[];
  readonly owned: readonly number[];
  readonly offers: readonly Offer[];
  /** The belt of each offer. */
  readonly belts: Readonly<Record<string, BeltFields>>;
}

/** What the bench has seen of a size on a mechanism: how often right, how often not, and what was calculated for it. */
interface Seen {
  readonly belt: BeltFields;
  right: number;
  wrong: number;
  chance: number | null;
}

/**
 * The chance that a size works on a mechanism: what the bench has judged there counts first, with what was calculated for
 * it as one more judgement (a half where nothing was).
 */
const chanceOf = ({ right, wrong, chance }: Seen): number => (right + (chance ?? 0.5)) / (right + wrong + 1);

/**
 * What to stock for: the mechanisms that this bench sees, as often as it has seen them, and the sizes that were right there
 * or were calculated to be. Owned belts serve already.
 *
 * @param nowMs milliseconds since 1970
 */
export function restockQuestion(
  summaries: readonly TicketSummary[],
  items: readonly Item[],
  nowMs: number,
  catalogue: readonly CatalogueBelt[] = CATALOGUE,
): RestockQuestion {
  const firstMs = Math.min(nowMs, ...summaries.map(({ openedAt }) => Date.parse(openedAt)));
  const years = Math.max(0.5, (nowMs - firstMs) / YEAR_MS);
  const counts = new Map<string, number>();
  const seen = new Map<string, Seen[]>();
  const note = (mechanism: string, belt: BeltFields, of: (one: Seen) => void): void => {
    const all = seen.get(mechanism) ?? [];
    const known = all.find((one) => sameSize(one.belt, belt));
    const one = known ?? { belt, right: 0, wrong: 0, chance: null };
    of(one);
    if (!known) seen.set(mechanism, [...all, one]);
  };
  for (const { judged: judgedHere, wants, mechanisms: named, machine } of summaries) {
    // Until its mechanism has a name a machine stands for itself.
    const nameOf = (mechanism: string): string => mechanism.trim() || machine.trim();
    const judged = judgedHere.map((one) => ({ ...one, mechanism: nameOf(one.mechanism) }));
    const mechanisms = named.length > 0 ? named.map(nameOf) : [nameOf('')];
    const fitted = new Set(
      [...judged.map(({ mechanism }) => mechanism), ...(wants.length > 0 ? mechanisms : [])].filter(
        (one) => one !== '',
      ),
    );
    for (const mechanism of fitted) counts.set(mechanism, (counts.get(mechanism) ?? 0) + 1);
    for (const { mechanism, belt, right } of judged)
      if (mechanism !== '')
        note(mechanism, belt, (one) => {
          if (right) one.right += 1;
          else one.wrong += 1;
        });
    const mechanism = mechanisms[0] ?? '';
    if (mechanism === '') continue;
    for (const { belt, alternates } of wants)
      for (const { chance, ...size } of [belt, ...alternates])
        note(mechanism, size, (one) => (one.chance = Math.max(one.chance ?? 0, chance)));
  }
  const names = [...counts.keys()].sort();
  const demands = names.map((id) => ({ id, expected: (counts.get(id) ?? 0) / years }));
  const chanceFor = (mechanism: string, belt: BeltFields): number =>
    Math.max(
      0,
      ...(seen.get(mechanism) ?? [])
        .filter((one) => one.belt.shape === belt.shape && Math.abs(one.belt.thicknessMm - belt.thicknessMm) < 0.06)
        .filter((one) => Math.abs(one.belt.innerLengthMm - belt.innerLengthMm) <= NEAR * belt.innerLengthMm)
        .map(chanceOf),
    );
  const owned = names.map((name) =>
    Math.max(
      0,
      ...items
        .filter(({ quantity, band }) => quantity > 0 && !band)
        .map((one) => chanceFor(name, { ...one, innerLengthMm: lengthOf(one) })),
    ),
  );
  const belts: Record<string, BeltFields> = {};
  const offers: Offer[] = [];
  const sizes: BeltFields[] = [
    ...items.filter(({ band }) => !band),
    ...catalogue.map((one) => ({ ...one, widthMm: one.widthMm ?? null })),
  ];
  for (const belt of sizes) {
    if (offers.some(({ id }) => sameSize(belts[id] as BeltFields, belt))) continue;
    const chances = names.map((name) => chanceFor(name, belt));
    if (!chances.some((one) => one >= THRESHOLDS.recommend)) continue;
    const id = `${belt.shape} ${beltLabel(belt, 'mm').size}`;
    const { shape, thicknessMm, widthMm, innerLengthMm } = belt;
    belts[id] = { shape, thicknessMm, widthMm, innerLengthMm };
    offers.push({ id, cost: itemFor(items, belt)?.price ?? USUAL_PRICE, chances });
  }
  return { demands, owned, offers, belts };
}
