import { figuresOf } from './figures';
import { countOf } from './sortWords';
import { CONDITIONS, HEADS, nounOf, PLACES, PREPOSITIONS, VAGUE, verbOf } from './vocabulary';

/** What a word of a line is taken for. */
export const WORD_ROLES = ['count', 'thing', 'driver', 'done', 'place', 'how', 'power', 'idle', 'notKnown'] as const;
export type WordRole = (typeof WORD_ROLES)[number];

/** A word of a line as it was typed, and what it is taken for. */
export interface Accounted {
  readonly word: string;
  readonly role: WordRole;
}

const POWER = new Set(['mains', 'power', 'powered', 'battery', 'wall', 'brick', 'plugged', 'unplugged', 'unplug']);
/** Words that say nothing by themselves. */
const IDLE =
  /^(?:the|a|an|its|their|this|that|these|those|it|they|them|and|then|also|just|now|is|are|was|were|be|been|with|which|so|to|very|ok|okay|er+m?|um+|uh|well|next|i|we|has|have|had|by|as|or|but|each|per|no|not|nor|there|here|my|our|his|her|up|down|x|pcs?|of|too|still|all|only|quite|rather|very|really|bit|completely|badly)$/;
const DRIVER =
  /^(?:ph|pz|t|tx|hx|hex)-?\d{1,3}$|^#\d{1,3}$|^m\d(?:[.,]\d)?(?:[x×]\d+(?:[.,]\d+)?)?$|^(?:pinned|slotted|cross-?head|hexalobular|star)$/;
const FIGURE = /^\d+(?:[.,]\d+)?(?:mm|in|cm|v|a|w|hz)?$|^(?:1st|2nd|3rd|\d+th)$|^\d+[/x×*]\d*$|^[x×]\d+$/;
const NAME = /^(?:j|cn|con|cp|jk|p)\d{1,3}$/;

function roleOf(word: string): WordRole {
  const plain = word.toLowerCase().replace(/^[("'“[]+|[)"'”\].!:?,;]+$/g, '');
  if (plain === '' || /^[-–—&+/×*]+$/.test(plain)) return 'idle';
  if (DRIVER.test(plain) || figuresOf(`2 ${plain} screws`).driverType !== '') return 'driver';
  if (POWER.has(plain)) return 'power';
  if (IDLE.test(plain)) return 'idle';
  if (FIGURE.test(plain) || countOf(plain) !== undefined || VAGUE.has(plain) || plain === 'half') return 'count';
  if (NAME.test(plain) || nounOf(plain.replace(/-/g, '_'))) return 'thing';
  if (verbOf(plain)) return 'done';
  if (PLACES.has(plain) || PREPOSITIONS.has(plain)) return 'place';
  if (CONDITIONS.has(plain) || HEADS.has(plain)) return 'how';
  // Words joined by a hyphen are what their last part is: a drive-pulley is a pulley.
  const last = plain.split('-').at(-1) ?? '';
  return last !== plain && last !== '' ? roleOf(last) : 'notKnown';
}

/**
 * Every word of a line with what it is taken for: none is left out. What is not known stands marked, and may be the name
 * of a part or a place.
 *
 * @example accountOf('4 ph1 underside').map(({ role }) => role) // ['count', 'driver', 'place']
 */
export const accountOf = (line: string): readonly Accounted[] =>
  line
    .split(/\s+/)
    .filter((word) => word !== '')
    .map((word) => ({ word, role: roleOf(word) }));
