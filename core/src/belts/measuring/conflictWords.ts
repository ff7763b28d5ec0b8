import { formatLength, type LengthUnit } from '../../base/units';
import type { DriveFacts } from './facts';

/** Readings that cannot all be true, in words: what they say, and what would settle it. */
export interface ConflictSaid {
  readonly said: string;
  readonly settle: string;
}

/**
 * What of a drive's readings cannot all be true.
 *
 * @returns undefined where they hang together
 * @example conflictWords({ results: [] }, 'mm') // undefined
 */
export function conflictWords(
  { pathConflict, oldBelt }: Pick<DriveFacts, 'pathConflict' | 'oldBelt'>,
  unit: LengthUnit,
): ConflictSaid | undefined {
  if (!pathConflict) return undefined;
  const { pulleys, string, alone, question } = pathConflict;
  const write = (mm: number): string => `${formatLength(mm, unit)} ${unit}`;
  const other = alone === 'string' ? 'the pulleys' : 'the string';
  const stands =
    alone === undefined
      ? ''
      : ` The ${alone} ${alone === 'string' ? 'stands' : 'stand'} alone${oldBelt ? `: the old belt lies nearer to ${other}` : ''}.`;
  return {
    said:
      `The pulleys and their distance come to a path of ${write(pulleys.value)}, the string to ${write(string.value)}: ` +
      `both cannot be true.${stands}${question ? ` ${question}` : ''} Every chance here counts both until it is settled.`,
    settle:
      alone === 'pulleys'
        ? 'Read the pulleys and their distance again: that settles it.'
        : alone === 'string' || oldBelt
          ? 'Pull a string round once more and add it: that settles it.'
          : 'Pull a string round once more and add it, or measure the old belt: either settles it.',
  };
}
