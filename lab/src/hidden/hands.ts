import { minutesNow, OPENING_MINUTES, type BenchTest, type Depth } from '@loose-pulley/core/work/diagnosis';

/** What hands can do with a machine. What exactly stands beside it: a test, a place, a method, a cause, a belt. */
export const DOINGS = [
  'eject',
  'force',
  'power',
  'test',
  'open',
  'close',
  'swab',
  'clean',
  'wait',
  'measure',
  'cure',
  'fit',
  'cycles',
  'handBack',
] as const;
export type Doing = (typeof DOINGS)[number];

export interface Hand {
  readonly do: Doing;
  readonly what: string;
}

/** Minutes that taking a wet belt off, drying and putting it on again takes. From memory of the trade, no source. */
export const AGAIN_MINUTES = 12;

/** Where a swab goes, and what is cleaned. */
export const CLEANED = ['pulleys', 'guides', 'switch', 'rollers', 'lens'] as const;
export type Cleaned = (typeof CLEANED)[number];

/** What is measured of a drive by hand, in the order that Measure has. */
export const MEASURED_BY = [
  'sectionJaws',
  'widthJaws',
  'overCap',
  'doubledOuter',
  'stringRound',
  'motorJaws',
  'drivenJaws',
  'shaftToShaft',
  'scalePull',
  'stalledMotor',
  'countedTravel',
] as const;

const CLEANING: Readonly<Record<Cleaned, number>> = { pulleys: 8, guides: 12, switch: 5, rollers: 6, lens: 4 };
const SHORT: Readonly<Partial<Record<Doing, number>>> = {
  eject: 0.5,
  force: 0.5,
  power: 0.5,
  close: 3,
  swab: 2,
  wait: 5,
  measure: 2,
  fit: 8,
  cycles: 8,
  handBack: 4,
};
/** Putting something right, by where it is done. From memory of the trade, no source. */
const CURING: Readonly<Record<string, number>> = {
  none: 6,
  measure: 4,
  clean: 10,
  strip: 15,
  rebuild: 5,
  train: 20,
  complaints: 5,
};

/** Minutes that a hand takes, from how far it is open. From memory of the trade, no source, but for the tests’ own minutes. */
export function minutesOf(
  hand: Hand,
  opened: Depth,
  known: { readonly test?: BenchTest | undefined; readonly lead?: string | undefined },
): number {
  if (hand.do === 'test' && known.test) return minutesNow(known.test, opened);
  if (hand.do === 'open') return Math.max(0, OPENING_MINUTES[hand.what as Depth] - OPENING_MINUTES[opened]);
  if (hand.do === 'clean') return CLEANING[hand.what as Cleaned];
  if (hand.do === 'cure') return CURING[known.lead ?? 'none'] ?? 5;
  return SHORT[hand.do] ?? 0;
}
