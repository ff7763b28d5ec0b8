import { THRESHOLDS } from '../../base/thresholds';
import { inHundred, type Wanted } from '../../belts/probability';
import { formatLength, type LengthUnit } from '../../base/units';
import { beltLabel } from '../../base/shapes';

/**
 * What would be asked for where nothing in stock fits, in words for screen and paper.
 *
 * For instance wantedWords(wanted, 'mm'): 'Wanted: 208.0 ± 3.0 mm inner length, flat 4.0 × 0.6 mm; chance 88 in 100.'
 */
export function wantedWords(wanted: Wanted | undefined, unit: LengthUnit): string {
  if (!wanted) return 'Its section is not known: measure the old belt’s, or the groove it lay in.';
  const middleMm = (wanted.fromMm + wanted.toMm) / 2;
  const section = beltLabel({ ...wanted.section, innerLengthMm: middleMm }, unit).words.split(',')[0] ?? '';
  return wanted.works < THRESHOLDS.recommend
    ? `No length of the old section (${section}) would be likely to do here: another section, or a band to see it move.`
    : `Wanted: ${formatLength(middleMm, unit)} ± ${formatLength((wanted.toMm - wanted.fromMm) / 2, unit)} ${unit} inner length, ${section}; chance ${inHundred(wanted.works)}.`;
}
