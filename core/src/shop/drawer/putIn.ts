import { parseBeltSize, type BeltSize } from '../../base/shapes';
import { correctedIn, NUMBERS, withoutFillers } from '../../base/spoken';
import { ok, refuse, type Result } from '../../base/units';

/** A belt put into the drawer by one typed line. */
export interface PutIn {
  readonly count: number;
  /** The size as it was typed: it may be a seller's number. */
  readonly size: string;
  readonly place: string;
  /** Who it is from, and what one cost; empty and null where nobody said. */
  readonly supplier: string;
  readonly price: number | null;
  /** What the size says; a refusal where it is none. */
  readonly belt: Result<BeltSize>;
}

const COUNTS = Object.entries(NUMBERS)
  .filter(([, n]) => n > 0)
  .map(([word]) => word.replaceAll('_', ' '))
  .sort((a, b) => b.length - a.length)
  .join('|');
/** How many: before “of” or “pieces”, before a ×, or as a word of its own before the size. */
const HOW_MANY = new RegExp(
  String.raw`^(?:(\d{1,5})\s*(?:off?(?: the)?|pcs|pieces|pc|×(?=\s)|x(?=\s))\s*|(${COUNTS})\s+(?:off?\s+(?:the\s+)?)?|a(?:n)?\s+|(\d{1,5})\s+(?=(?:square|round|flat|o-?rings?|rings?)\b))`,
  'i',
);
const PLACE = /[\s,]+(?:in(?:to)?|goes (?:in|into|to)|to|at|bin|drawer)\s+(?:drawer\s+|bin\s+)?(.{1,80})$/i;
/** “from Mallow”, “at 1.30”, “10 pieces”, and a place that is no word: B2, C-14. */
const FROM = /[\s,]+from\s+(.{1,80}?)(?=[\s,]+(?:at|in|into|to|bin|drawer)\s|$)/i;
const PRICE = /[\s,]+(?:at|@)\s*(?<=[\s@])(\d{1,5}(?:[.,]\d{1,2})?)(?:\s*(?:each|a piece))?(?=[\s,]|$)/i;
const COUNT_AFTER = /[\s,]+(?:(\d{1,5})\s*(?:pcs|pieces|pc|off|of them)|(?:qty|quantity)\s*(\d{1,5}))\b/i;
/** A place by what it is: that word belongs to its name. */
const NAMED_PLACE = /[\s,]+(?:on\s+)?((?:hook|shelf|box|rack|peg|row)\s+\S.{0,70})$/i;
const BARE_PLACE = /[\s,]+([A-Z]{1,2}-?\d{1,3})$/;

/** A size, of however many figures. */
const SIZES = /\d[\d.,]*(?:\s*[x×*]\s*Ø?\s*\d[\d.,]*)+/gi;
const MANY = 99_999;
const LETTERS_MAX = 200;

/**
 * Reads `3 of 1.2x116 in A4`, `two rings 1.78 by 28.3, bin C2`: how many, which, where. How many and where may be left out.
 * What was put right in the same line stands for what it corrects; two belts in one line are refused.
 *
 * @example readPutIn('two square 1.2 by 116 in A4').value.count // 2
 */
export function readPutIn(line: string): Result<PutIn> {
  if (line.length > LETTERS_MAX)
    return refuse(
      `Read ${line.length} letters. A line of the drawer has at most ${LETTERS_MAX}: one belt, how many, where.`,
    );
  const taken = correctedIn(line);
  if (taken) {
    const [before, after] = [readPutIn(taken.before), readPutIn(taken.after)];
    if (after.ok && after.value.belt.ok) return after;
    // “Make that 4” corrects the number alone.
    const count = /^(\d{1,5})$/.exec(taken.after.trim())?.[1];
    return before.ok && count !== undefined
      ? ok({ ...before.value, count: Number(count) })
      : refuse(`Read “${line.trim()}”, put right half way. Write the whole line anew, such as “3 of 1.2x116 in A4”.`);
  }
  const text = withoutFillers(line.trim()).replace(/^(?:put in|add|put|got|have)\s+/i, '');
  const [said = '', figures, word, plain] = HOW_MANY.exec(text) ?? [];
  const named = word === undefined ? undefined : NUMBERS[word.toLowerCase().replaceAll(' ', '_')];
  const all = text.slice(said.length);
  const supplier = FROM.exec(all)?.[1]?.trim() ?? '';
  const priced = PRICE.exec(all)?.[1];
  const price = priced === undefined ? null : Number(priced.replace(',', '.'));
  const [, before, behind] = COUNT_AFTER.exec(all) ?? [];
  const after = before ?? behind;
  if (after !== undefined && said !== '') return refuse(`Read ${said.trim()} and ${after} pieces. Say once how many.`);
  const rest = all.replace(FROM, '').replace(PRICE, '').replace(COUNT_AFTER, '');
  const place =
    NAMED_PLACE.exec(rest)?.[1]?.trim() ?? PLACE.exec(rest)?.[1]?.trim() ?? BARE_PLACE.exec(rest)?.[1] ?? '';
  if ((rest.match(SIZES)?.length ?? 0) > 1)
    return refuse(`Read two belts in one line. Put them in one after the other.`);
  const count = named ?? Number(figures ?? plain ?? after ?? 1);
  if (count < 1 || count > MANY) return refuse(`Read ${count} of them. A place holds 1 to ${MANY}.`);
  const size = rest
    .replace(PLACE, '')
    .replace(NAMED_PLACE, '')
    .replace(BARE_PLACE, '')
    .replace(/[\s,]+$/, '');
  const plainly = size
    .replace(/\bbelts?\b|\bmm\b(?=\s*(?:x|by|×))/gi, ' ')
    .replace(/\b(o-?ring|ring)s\b/gi, '$1')
    .replace(/\bby\b/gi, 'x')
    .replace(/\s+/g, ' ')
    .trim();
  return ok({ count, size, place, supplier, price, belt: parseBeltSize(plainly) });
}
