import { formatLength, type LengthUnit } from '../../base/units';
import type { ReadingResult } from './facts';
import { findMethod } from './methods';
import { takeReading, type Taken } from './takeReading';

/** A new belt measured before it is fitted: how, and what it should read. */
export interface InHand {
  readonly method: string;
  readonly label: string;
  readonly shouldReadMm: number;
  /** Whether the old belt was read the same way, so that both errors are alike. */
  readonly asTheOld: boolean;
}

interface NewBelt {
  readonly innerLengthMm: number;
  readonly thicknessMm: number;
}

/** Beyond its maker's limit and the reading's own error a belt is another one: relative, and in mm. No source. */
const OTHER_RELATIVE = 0.02;
const OTHER_MM = 1.8;

/**
 * How a new belt is measured in the hand: as the old one was, else doubled flat.
 *
 * @param results of the drive's readings
 * @example inHand(facts.results, { innerLengthMm: 108, thicknessMm: 1.2 }).shouldReadMm // 56.4
 */
export function inHand(results: readonly ReadingResult[], belt: NewBelt): InHand {
  const old = results.find(({ reading, read }) => {
    const method = findMethod(reading.method);
    return reading.measurand === 'oldBelt' && !reading.round && read && !read.lowerBound && method?.comparable === true;
  });
  const method = findMethod(old?.reading.method ?? 'doubledOuter');
  if (!method) throw new Error('There is always the belt doubled flat.');
  const aux = { ...old?.reading.aux, sectionMm: belt.thicknessMm };
  return {
    method: method.id,
    label: method.label,
    shouldReadMm: method.invert(belt.innerLengthMm, aux),
    asTheOld: old !== undefined,
  };
}

/**
 * What was read of a belt in the hand, by the one way in: it is held against what its label says.
 *
 * @param keep the bench was asked, and keeps it
 * For instance takeInHand(inHand(facts.results, belt), '60.4', belt, facts, 'mm', false).read.value: 116
 */
export function takeInHand(
  { method: id }: InHand,
  typed: string,
  belt: NewBelt,
  results: readonly ReadingResult[],
  unit: LengthUnit,
  keep: boolean,
): Taken {
  const method = findMethod(id);
  if (!method) return { state: 'refusal', problem: 'That way of measuring is not known here.' };
  const aux = { ...results.find(({ reading }) => reading.method === id)?.reading.aux, sectionMm: belt.thicknessMm };
  return takeReading(typed, method, { unit, aux, expectedMm: belt.innerLengthMm, keep });
}

/**
 * Whether a belt in the hand is the one its label says, in words; before it is stretched on.
 *
 * @returns undefined where it is
 * @example otherThanLabelled(116, 116.8, 'mm') // undefined
 */
export function otherThanLabelled(nominalMm: number, measuredMm: number, unit: LengthUnit): string | undefined {
  const off = Math.abs(measuredMm - nominalMm);
  if (off < Math.max(OTHER_MM, OTHER_RELATIVE * nominalMm)) return undefined;
  const write = (mm: number): string => `${formatLength(mm, unit)} ${unit}`;
  return `It measures ${write(measuredMm)}, not the ${write(nominalMm)} of its label: another belt, or read another way. It is judged by what it measures; look again before it is stretched on.`;
}
