import { MM_PER_INCH } from './constants';
import { formatLength } from './format';
import { parseLength } from './parseLength';
import { ok, refuse, type Result } from './result';
import type { SectionShape } from './sectionShapes';

/** A belt size as the bench writes it, and what was understood. */
export interface BeltSize {
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  readonly innerLengthMm: number;
  /** The sentence that echoes it. */
  readonly echo: string;
}

/**
 * Nominal fractions of O-ring trade and the actual section each stands for (SAE AS568: 0.070 and 0.103 in).
 */
const NOMINAL_SECTIONS: Readonly<Record<string, number>> = {
  '1/16': 0.07 * MM_PER_INCH,
  '3/32': 0.103 * MM_PER_INCH,
};
const RING_SECTIONS_MM = [0.07 * MM_PER_INCH, 0.103 * MM_PER_INCH];

/**
 * Reads an O-ring section: `1/16` is the nominal name of 0.070 in, `3/32` of 0.103 in; anything else is a length.
 *
 * @returns millimetres, or a sentence.
 * @example parseRingSection('1/16') // 1.778
 */
export function parseRingSection(text: string): Result<number> {
  const nominal = NOMINAL_SECTIONS[text.replace(/\s*(in|inch|")\s*$/i, '').trim()];
  if (nominal !== undefined) return ok(nominal);
  const length = parseLength(text);
  return length.ok ? ok(length.value.lengthMm) : length;
}

/**
 * Reads section × size. A section of 0.070 or 0.103 in (or their nominal names) is an O-ring, whose size is an inner
 * diameter; any other is a square belt, whose size is an inner length. `square` or `ring` in front settles it.
 *
 * @returns the belt and a sentence that says what each number was taken for, or a refusal.
 * @example parseBeltSize('1.2x118') // square, 118 mm inner length
 * @example parseBeltSize('1.78x28.3') // O-ring, 28.3 mm inner diameter, 88.9 mm inner length
 */
export function parseBeltSize(text: string): Result<BeltSize> {
  const match = /^\s*(square|sq|ring|o-ring|o)?\s*(.+?)\s*[x×*]\s*(.+?)\s*$/i.exec(text);
  if (!match) return refuse(`Read “${text.trim()}”. A belt is section × size, such as 1.2x118 or 1.78x28.3.`);
  const [, word, sectionText = '', sizeText = ''] = match;
  const section = parseRingSection(sectionText);
  if (!section.ok) return section;
  const size = parseLength(sizeText);
  if (!size.ok) return size;
  const thicknessMm = section.value;
  if (thicknessMm < 0.3 || thicknessMm > 8) {
    return refuse(`Read a section of ${formatLength(thicknessMm, 'mm')} mm. Sections here run from 0.3 to 8 mm.`);
  }
  if (size.value.lengthMm <= thicknessMm) {
    return refuse(`Read a size of ${formatLength(size.value.lengthMm, 'mm')} mm, no larger than the section itself.`);
  }
  const saidRing = word ? /^(ring|o)/i.test(word) : null;
  const ring = saidRing ?? RING_SECTIONS_MM.some((mm) => Math.abs(mm - thicknessMm) < 0.025);
  const t = formatLength(thicknessMm, 'mm');
  const s = formatLength(size.value.lengthMm, 'mm');
  if (ring) {
    const innerLengthMm = Math.PI * size.value.lengthMm;
    const echo = `O-ring, section ${t} mm, inner diameter ${s} mm: inner length ${formatLength(innerLengthMm, 'mm')} mm`;
    return ok({ shape: 'round', thicknessMm, innerLengthMm, echo });
  }
  const echo = `square belt, section ${t} mm, inner length ${s} mm`;
  return ok({ shape: 'square', thicknessMm, innerLengthMm: size.value.lengthMm, echo });
}
