import { formatLength, MM_PER_INCH, ok, parseLength, refuse, type Result } from '../units';
import { shapeOf, shapeSaid, shapeUnsaid, SHAPE_WORDS, type SectionShape } from './all';

/** A belt size as the bench writes it, and what was understood. */
export interface BeltSize {
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  /** Of a flat belt. */
  readonly widthMm?: number;
  readonly innerLengthMm: number;
  /** The sentence that echoes it. */
  readonly echo: string;
  /** Set where the size may as well be the other thing: the figure, and whether it would be an inner length then. */
  readonly otherwise?: { readonly mm: number; readonly along: boolean } | undefined;
}

/**
 * Nominal fractions of O-ring trade and the actual section each stands for (SAE AS568: 0.070 and 0.103 in).
 */
const NOMINAL_SECTIONS: Readonly<Record<string, number>> = {
  '1/16': 0.07 * MM_PER_INCH,
  '3/32': 0.103 * MM_PER_INCH,
};

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

/** A word for the shape in front, where there is one, and the rest. */
const SAID = new RegExp(`^\\s*(?:(${SHAPE_WORDS})(?![a-z])\\s*)?(.+?)\\s*$`, 'i');

/** What is known of the drive, for a size that leaves the section out. */
export interface KnownSection {
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  readonly widthMm?: number | undefined;
}

/** A size across, said so. */
const ACROSS = /^(?:Ø|⌀|dia(?:meter)?\.?|(?:inside|inner)\s+dia(?:meter)?\.?|id)\s*|\s*(?:dia(?:meter)?|across|id)$/gi;
/** A size along, said so. */
const ALONG = /\s*(?:long|length|inner length)$/i;
const DOUBLED = /^(?:doubled\s+(?:flat\s+)?(.+)|(.+?)\s+doubled(?:\s+flat)?)$/i;
type Meant = 'along' | 'across' | 'unsaid';
interface Size {
  readonly mm: number;
  readonly meant: Meant;
}

function parseSize(text: string): Result<Size> {
  const across = text.replace(ACROSS, '');
  const along = text.replace(ALONG, '');
  const meant: Meant = across !== text ? 'across' : along !== text ? 'along' : 'unsaid';
  const length = parseLength((meant === 'across' ? across : meant === 'along' ? along : text).trim());
  return length.ok ? ok({ mm: length.value.lengthMm, meant }) : length;
}

/** A belt of a section and a size, with the sentence that echoes it; or the question which of two things was meant. */
function beltOf(section: KnownSection, { mm, meant }: Size): Result<BeltSize> {
  const { shape, thicknessMm, widthMm } = section;
  if (thicknessMm < 0.3 || thicknessMm > 8) {
    return refuse(`Read a section of ${formatLength(thicknessMm, 'mm')} mm. Sections here run from 0.3 to 8 mm.`);
  }
  if (mm <= thicknessMm) {
    return refuse(`Read a size of ${formatLength(mm, 'mm')} mm, no larger than the section itself.`);
  }
  const record = shapeOf(shape);
  const across = meant === 'across' || (meant === 'unsaid' && record.soldBy === 'diameter');
  const innerLengthMm = across ? Math.PI * mm : mm;
  const named = record.inWords(formatLength(thicknessMm, 'mm'), formatLength(widthMm ?? thicknessMm, 'mm'));
  const length = `inner length ${formatLength(innerLengthMm, 'mm')} mm`;
  const echo = across ? `${named}, inner diameter ${formatLength(mm, 'mm')} mm: ${length}` : `${named}, ${length}`;
  const rare = mm > record.rareMm.above || mm < record.rareMm.below;
  const otherwise: BeltSize['otherwise'] = meant === 'unsaid' && rare ? { mm, along: across } : undefined;
  return ok({
    shape,
    thicknessMm,
    ...(record.hasWidth && widthMm !== undefined && { widthMm }),
    innerLengthMm,
    echo,
    ...(otherwise && { otherwise }),
  });
}

/**
 * Reads section × size, width × thickness × size of a flat belt, or a size alone where the section is known. A section
 * of 0.070 or 0.103 in (or their nominal names) is an O-ring, whose size is an inner diameter; any other is a square belt,
 * whose size is an inner length. `square`, `ring` or `flat` in front settles the shape; `Ø`, `inside diameter`, `long` or
 * `doubled` what the size is.
 *
 * @param known section, for a size without one
 * @returns the belt and a sentence that says what each number was taken for, `otherwise` where it may as well be the
 *   other thing; or a refusal
 * @example parseBeltSize('1.2x118').value // { shape: 'square', innerLengthMm: 118 }
 * @example parseBeltSize('1.78x28.3').value // { shape: 'round', thicknessMm: 1.78 }
 * @example parseBeltSize('4x0.6x208').value // { shape: 'flat', widthMm: 4, thicknessMm: 0.6, innerLengthMm: 208 }
 */
export function parseBeltSize(text: string, known?: KnownSection): Result<BeltSize> {
  const [, word = '', rest = ''] = SAID.exec(text) ?? [];
  const said = shapeSaid(word);
  const parts = rest.split(/\s*[x×*]\s*/i);
  if (parts.length === 3) return wideSize(parts as [string, string, string], said);
  if (parts.length === 2) {
    const section = parseRingSection(parts[0] ?? '');
    if (!section.ok) return section;
    const size = parseSize(parts[1] ?? '');
    if (!size.ok) return size;
    const shape = said ?? shapeUnsaid({ thicknessMm: section.value });
    if (shapeOf(shape).hasWidth) return refuse(needsWidth(text, shape));
    return beltOf({ shape, thicknessMm: section.value }, size.value);
  }
  if (parts.length > 3 || rest === '' || !known) {
    return refuse(`Read “${text.trim()}”. A belt is section × size, such as 1.2x118, 1.78x28.3 or 4x0.6x208.`);
  }
  const [, before, after] = DOUBLED.exec(rest) ?? [];
  const doubled = before ?? after;
  const size = parseSize(doubled ?? rest);
  if (!size.ok) return size;
  // Doubled flat it is read over two thicknesses at each end.
  return doubled === undefined
    ? beltOf(known, size.value)
    : beltOf(known, { mm: 2 * size.value.mm - 4 * known.thicknessMm, meant: 'along' });
}

const needsWidth = (text: string, shape: SectionShape): string =>
  `Read “${text.trim()}”. A ${shapeOf(shape).name} belt is width × thickness × inner length, such as 4x0.6x208.`;

/** Width × thickness × inner length; the thinner of the two first is the thickness all the same. */
function wideSize(texts: readonly [string, string, string], said: SectionShape | undefined): Result<BeltSize> {
  const shape = said ?? shapeUnsaid({ wide: true });
  if (!shapeOf(shape).hasWidth)
    return refuse(`Read three figures. ${shapeOf(shape).inShop} is section × size, such as 1.2x118.`);
  const [a, b] = [parseLength(texts[0]), parseLength(texts[1])];
  if (!a.ok) return a;
  if (!b.ok) return b;
  const size = parseSize(texts[2]);
  if (!size.ok) return size;
  const [widthMm, thicknessMm] = [a.value.lengthMm, b.value.lengthMm].sort((one, two) => two - one) as [number, number];
  if (widthMm > 20)
    return refuse(`Read a width of ${formatLength(widthMm, 'mm')} mm. Flat belts here are up to 20 mm wide.`);
  return beltOf({ shape, thicknessMm, widthMm }, size.value);
}
