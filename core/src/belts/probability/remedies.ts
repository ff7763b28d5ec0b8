import { isGone } from '../../physics/drive';
import { CATALOGUE, nextInSeries, sameSection, type CatalogueBelt } from '../catalogue';
import type { Situation } from '../sizing';
import { bellCurve, seeded, type Combined } from '../../base/statistics';
import type { TriedBelt } from './believe';
import type { JudgedBelt } from './kernel';
import type { Samples } from './samples';

/** What may be done about a belt besides a new one of the right size. */
export const REMEDY_IDS = ['keep', 'warm', 'stretch', 'band'] as const;
export type RemedyId = (typeof REMEDY_IDS)[number];

/** What is known of a remedy without a figure. Lives are common practice and memory, no source. */
export interface RemedyKnown {
  readonly name: string;
  readonly how: string;
  /** How long it may be hoped to last, months. */
  readonly monthsMin: number;
  readonly monthsMax: number;
  /** After how many months it is looked at again. */
  readonly dueMonths: number;
  readonly known: string;
}

export const REMEDIES: Readonly<Record<RemedyId, RemedyKnown>> = {
  keep: {
    name: 'keep and clean',
    how: 'Wash the belt, degrease both pulleys, dry, fit it again. It is judged as long as it measures now.',
    monthsMin: 3,
    monthsMax: 24,
    dueMonths: 12,
    known: 'Its rubber is as old as the machine; its hardness is not measured.',
  },
  warm: {
    name: 'warm to shrink',
    how: 'Water or air of 80 to 100 °C for some minutes, then measure it again when cold. It never comes below its moulded length.',
    monthsMin: 1,
    monthsMax: 12,
    dueMonths: 3,
    known: 'How much set comes back is a guess between a fifth and three fifths; what it measures cold decides.',
  },
  stretch: {
    name: 'stretch a smaller one',
    how: 'Hold it drawn out by half for a day, let it rest, measure, and fit it once it has settled.',
    monthsMin: 12,
    monthsMax: 60,
    dueMonths: 24,
    known: 'It takes a set of a twentieth to a fifth of what it is held at; the rubber is none the better for it.',
  },
  band: {
    name: 'an office band, provisionally',
    how: 'To see the tray move, or until the belt comes. Not where speed matters.',
    monthsMin: 0.5,
    monthsMax: 3,
    dueMonths: 1,
    known: 'Uneven, and of unknown rubber: no chance can be given.',
  },
};

/** Held at half as long again, it sets by this share of that. Common practice, no source. */
const HELD_AT = 0.5;
const SET_MIN = 0.05;
const SET_MAX = 0.2;
/** Share of the set taken in use that warming may bring back. Our guess, no source. */
const BACK_MIN = 0.2;
const BACK_MAX = 0.6;
/** How short a belt was made when new: stretch on its path. Common practice, no source. */
const MADE_STRETCH = 0.075;
const MADE_SPREAD = 0.02;

/** Samples as they would be once both pulleys are clean. */
export const cleaned = (samples: Samples): Samples => ({
  ...samples,
  motorFriction: samples.motorFrictionClean,
  drivenFriction: samples.drivenFrictionClean,
});

/** A belt that would be stretched: one that is in hand since it was on and too tight, or one to be had. */
export interface Stretched {
  readonly belt: JudgedBelt;
  readonly inHand: boolean;
}

/**
 * The belt that would be stretched in place of the best: the one just judged too tight, which is in hand; else the next
 * size down, where there is one.
 */
export function stretchedBelt(best: CatalogueBelt | undefined, tries: readonly TriedBelt[]): Stretched | undefined {
  const last = tries.at(-1);
  if (last?.verdict === 'tooTight') return { belt: last.belt, inHand: true };
  const siblings = best ? CATALOGUE.filter((belt) => sameSection(belt, best)) : [];
  const down = best && nextInSeries(siblings, best.innerLengthMm).down;
  return down && { belt: down, inHand: false };
}

/** The inner length that a belt had when new, stretched by so much on its path: by its centre line, π times its thickness longer. */
function mouldedMm(pathMm: number, thicknessMm: number, stretch: number): number {
  const round = Math.PI * thicknessMm;
  return (pathMm + round) / (1 + stretch) - round;
}

/** What warming may leave a belt at, from least to most, where its path is known; it never comes below its moulded length. */
export interface WarmedRange {
  readonly fromMm: number;
  readonly toMm: number;
}

/**
 * The inner length that may be hoped for of a belt that is warmed: a fifth to three fifths of its set comes back. What it
 * was made at is reckoned where it is stretched, on the centre line.
 *
 * @param thicknessMm of the belt
 * @example warmedRange(128, 127, 1.2).fromMm // 121.93
 */
export function warmedRange(nowMm: number, pathMm: number, thicknessMm: number): WarmedRange {
  const set = Math.max(0, nowMm - mouldedMm(pathMm, thicknessMm, MADE_STRETCH));
  return { fromMm: nowMm - BACK_MAX * set, toMm: nowMm - BACK_MIN * set };
}

/**
 * The belts that the remedies would leave on the pulleys, with their lengths in each world.
 *
 * @param stretched the belt that would be stretched
 */
export function remedyBelts(
  samples: Samples,
  situation: Situation,
  { oldBelt, warmedBelt }: { readonly oldBelt?: Combined | undefined; readonly warmedBelt?: Combined | undefined },
  stretched: Stretched | undefined,
  seed: number,
): Array<{ readonly id: RemedyId; readonly belt: JudgedBelt }> {
  const random = seeded(seed + 1);
  const between = (least: number, most: number): number => least + (most - least) * random();
  const bell = bellCurve(random);
  const perWorld = (length: (i: number) => number): Float64Array =>
    Float64Array.from({ length: samples.count }, (_, i) => length(i));
  const found: Array<{ readonly id: RemedyId; readonly belt: JudgedBelt }> = [];
  const { oldSection } = situation;
  const { oldState } = situation;
  // Crumbs and pieces are kept by nobody.
  if (oldBelt && oldSection && !(oldState && isGone(oldState))) {
    const nowMm = perWorld(() => oldBelt.value + oldBelt.std * bell());
    const old = { ...oldSection, innerLengthMm: oldBelt.value, innerLengthToleranceMm: 0, settled: true };
    const warmedMm = perWorld((i) => {
      const stretch = MADE_STRETCH + MADE_SPREAD * bell();
      const madeMm = mouldedMm(samples.pathMm[i] ?? 0, oldSection.thicknessMm, stretch);
      const set = Math.max(0, (nowMm[i] ?? 0) - madeMm);
      return (nowMm[i] ?? 0) - between(BACK_MIN, BACK_MAX) * set;
    });
    // Warmed and measured cold, it is kept at what it measures; what warming might do is no question any more.
    if (warmedBelt) {
      const coldMm = perWorld(() => warmedBelt.value + warmedBelt.std * bell());
      found.push({ id: 'keep', belt: { ...old, innerLengthMm: warmedBelt.value, lengthsMm: coldMm } });
    } else
      found.push(
        { id: 'keep', belt: { ...old, lengthsMm: nowMm } },
        { id: 'warm', belt: { ...old, lengthsMm: warmedMm } },
      );
  }
  if (stretched) {
    const { belt: down } = stretched;
    const lengthsMm = perWorld(
      (i) =>
        (down.innerLengthMm + down.innerLengthToleranceMm * (samples.lengthWithin[i] ?? 0)) *
        (1 + HELD_AT * between(SET_MIN, SET_MAX)),
    );
    found.push({ id: 'stretch', belt: { ...down, lengthsMm, settled: true } });
  }
  return found;
}
