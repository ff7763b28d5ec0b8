import { findMethod } from './methods';
import type { Reading } from './schema';

/** What a reading would have come to, had a usual slip been made, and the slip as a question. */
export interface UsualSlip {
  readonly question: string;
  /** Absent where the way itself is the likely reason, whatever it came to. */
  readonly wouldBeMm?: number;
}

/**
 * The slips that people usually make: a diameter for a length, the whole for the half, the wrong unit; and those of the
 * way of measuring.
 *
 * @param valueMm what the reading came to
 * @param othersMm what the others come to together
 * For instance usualSlips(doubledInner reading, 132.8, 128, 1.2).at(-1): { question: 'Read at the outer ends?', … }
 */
export function usualSlips(
  { method, aux }: Pick<Reading, 'method' | 'aux'>,
  valueMm: number,
  othersMm: number,
  sectionMm: number | undefined,
): readonly UsualSlip[] {
  const inches = 'Inches taken for millimetres, or the other way round?';
  return [
    { question: 'A diameter typed as a length?', wouldBeMm: valueMm * Math.PI },
    { question: 'A length typed as a diameter?', wouldBeMm: valueMm / Math.PI },
    { question: 'Half of it read, doubled flat?', wouldBeMm: valueMm * 2 },
    { question: 'The whole length typed as the doubled one?', wouldBeMm: valueMm / 2 },
    { question: inches, wouldBeMm: valueMm * 25.4 },
    { question: inches, wouldBeMm: valueMm / 25.4 },
    ...(findMethod(method)?.slips?.({ value: valueMm, othersMm, sectionMm: sectionMm ?? 0, aux }) ?? []),
  ];
}
