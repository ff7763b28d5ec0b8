import { withoutFillers } from '../spoken';

/* A line as it would be said plainly: fillers gone, figures that count nothing told apart, lists of names counted. */

/** Names of plugs on a board: J12, CN4, P3. */
const NAME = String.raw`(?:j|cn|con|cp|jk|p)\d{1,3}`;
const RANGE = new RegExp(String.raw`\b(${NAME}) ?(?:to|-|–|through) ?(${NAME})\b`, 'gi');
const LIST = new RegExp(String.raw`\b${NAME}(?:(?:, ?| and | & |, and |\/)${NAME})+\b`, 'gi');
const ALONE = new RegExp(
  String.raw`(?<!\b(?:plugs?|connectors?|sockets?|ribbons?|cables?|lead|wire) )\b(${NAME})\b`,
  'gi',
);
const numberOf = (name: string): number => Number(/\d+/.exec(name)?.[0] ?? 0);
/** Plugs by their letters: plugs A, B and C. */
const LETTERS = /\b(plugs|connectors|cables|ribbons) ([a-h](?:(?:, ?| and | & )[a-h])+)\b/gi;
const PLUG = /\b(?:plugs?|connectors?|sockets?|ribbons?|cables?|flat cables?)\b/i;

const WORD_NUMBERS: Readonly<Record<string, string>> = {
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
};

/**
 * A line without what is no word about the work, and with its figures told apart: 28 tooth and 12 V count nothing, J12 and
 * J14 are two plugs, half a dozen is six. What is kept of the line stays as it was typed; only the reading is of this.
 *
 * For instance saidPlainly('okay so J12 and J14 unplugged'): '2 plugs unplugged'
 */
export function saidPlainly(line: string): string {
  let text = withoutFillers(line);
  text = text
    .replace(/\bhalf a dozen\b/gi, '6')
    .replace(/\ba dozen\b/gi, '12')
    .replace(/\ba (?:couple|pair) of\b/gi, '2')
    // Teeth, volts and the like are no counts of what follows.
    .replace(/\b\d+(?:[.,]\d+)?[ -]?(?:tooth|teeth(?= (?:gear|wheel|pinion))|toothed)(?![a-z])/gi, '')
    .replace(/(?<![\w.])\d+(?:[.,]\d+)? ?(?:volts?|v|amps?|watts?|w|hz|ohms?|Ω|kΩ|mΩ|k)(?![a-z\d])/gi, '')
    // The second gear is one gear.
    .replace(
      /\b(?:1st|2nd|3rd|\dth|first|second|third|fourth|fifth)(?= (?:\w+ )?(?:screw|gear|clip|spring|plug|belt|nut|roller)\b)/gi,
      'a',
    )
    .replace(
      /\b(screws|clips|nuts|springs|tabs) (\d{1,2}) (?:to|-|–) (\d{1,2})\b/gi,
      (whole, what: string, from: string, to: string) =>
        Number(to) > Number(from) ? `${Number(to) - Number(from) + 1} ${what}` : whole,
    )
    .replace(
      /\b(one|two|three|\d|a) (screws?|clips?|nuts?|springs?) (?:each|per|a|every) corner\b/gi,
      (whole, many: string, what: string) => {
        const count = 4 * (many === 'a' ? 1 : Number(WORD_NUMBERS[many.toLowerCase()] ?? many));
        return `${count} ${what.replace(/s?$/, 's')} corners`;
      },
    )
    .replace(/\b(one|two|three|\d|an?) (screws?|clips?|nuts?|springs?) a side\b/gi, (_, many: string, what: string) => {
      const count = 2 * (/^an?$/i.test(many) ? 1 : Number(WORD_NUMBERS[many.toLowerCase()] ?? many));
      return `${count} ${what.replace(/s?$/, 's')} sides`;
    })
    .replace(LETTERS, (_, what: string, letters: string) => `${letters.match(/\b[a-h]\b/gi)?.length ?? 1} ${what}`)
    .replace(RANGE, (whole, from: string, to: string) => {
      const many = numberOf(to) - numberOf(from) + 1;
      return many > 1 && many < 40 ? `${many} plugs` : whole;
    })
    .replace(LIST, (names) => `${names.match(new RegExp(NAME, 'gi'))?.length ?? 1} plugs`);
  // A name alone is a plug, unless the line says what it is.
  if (!PLUG.test(text)) text = text.replace(ALONE, 'plug');
  return text.replace(/\s+/g, ' ').replace(/ ,/g, ',').replace(/^,\s*/, '').trim();
}
