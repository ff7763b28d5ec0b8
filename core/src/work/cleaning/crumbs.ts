import { formatLength, type LengthUnit } from '../../base/units';
import type { Crumbs } from './schema';

/* How much shorter than its path a belt was made, from least to most. Common practice, no source. */
const MADE_STRETCH_MAX = 0.13;
/** A piece is measured to about half a millimetre at each end. */
const PIECE_MM = 1;

export type CrumbsFinding =
  | {
      readonly kind: 'all' | 'missing' | 'tooMuch';
      readonly foundMm: number;
      readonly fewestMm: number;
      readonly mostMm: number;
    }
  | { readonly kind: 'noPath'; readonly foundMm: number }
  | { readonly kind: 'dissolved' };

/**
 * Whether the pieces make a whole belt: their lengths together, against what a belt on this path can have been.
 *
 * @param pathMm the length of the path; undefined until it is measured
 * @example crumbsFinding({ piecesMm: [60, 58], dissolved: false }, 127).kind // 'all'
 */
export function crumbsFinding(
  { piecesMm, dissolved }: Pick<Crumbs, 'piecesMm' | 'dissolved'>,
  pathMm: number | undefined,
): CrumbsFinding {
  if (dissolved) return { kind: 'dissolved' };
  const foundMm = piecesMm.reduce((sum, piece) => sum + piece, 0);
  if (pathMm === undefined) return { kind: 'noPath', foundMm };
  const slackMm = PIECE_MM * Math.sqrt(piecesMm.length);
  const fewestMm = pathMm / (1 + MADE_STRETCH_MAX) - slackMm;
  // A belt that has given out was longer than it was made, at most as long as its path and a little.
  const mostMm = pathMm * 1.05 + slackMm;
  return { kind: foundMm < fewestMm ? 'missing' : foundMm > mostMm ? 'tooMuch' : 'all', foundMm, fewestMm, mostMm };
}

/** The finding in words, with where to look. */
export function crumbsWords(finding: CrumbsFinding, unit: LengthUnit): string {
  const say = (mm: number): string => `${formatLength(mm, unit)} ${unit}`;
  switch (finding.kind) {
    case 'dissolved':
      return 'Gone to tar: no piece tells how much is left. Both pulleys, the shafts and the floor have to swab clean.';
    case 'noPath':
      return `${say(finding.foundMm)} found. How much there should be is told once the path is measured.`;
    case 'all':
      return `${say(finding.foundMm)} found, and a belt on this path is ${say(finding.fewestMm)} to ${say(finding.mostMm)}: that is a whole one.`;
    case 'missing':
      return `${say(finding.foundMm)} found of ${say(finding.fewestMm)} at least: ${say(finding.fewestMm - finding.foundMm)} or more still lie in it. Look behind both pulleys, round the shafts, under the gears, on the floor.`;
    case 'tooMuch':
      return `${say(finding.foundMm)} found, more than one belt on this path (${say(finding.mostMm)} at most): crumbs of an earlier belt are among them, or the path is measured too short.`;
  }
}
