import { oneSlipApart } from '../spoken';
import type { Fate, StepKind } from '../strip';

/* The words of a bench, by what they mean in a typed line. Common practice, no source. */

/** A noun and what kind of thing it is. Dirt, discs and foreign objects are no part of a machine. */
export type NounKind = Exclude<StepKind, 'note'> | 'dirt' | 'disc' | 'object';

const words = (list: string): readonly string[] => list.split(' ');

/** Nouns in the singular; phrases are written with an underscore, as `PHRASES` joins them. */
const NOUN_WORDS: ReadonlyArray<readonly [NounKind, string]> = [
  ['screws', 'screw scr bolt fastener grub_screw set_screw fixing'],
  ['nuts', 'nut wingnut locknut'],
  ['clips', 'clip c_clip e_clip circlip snap_ring retaining_ring retaining_clip spring_clip split_ring'],
  ['springs', 'spring'],
  ['tabs', 'tab claw latch hook catch lug tongue'],
  ['adhesive', 'label felt tape foam sticker'],
  ['belt', 'belt o_ring rubber_band drive_band'],
  ['gear', 'gear pinion worm cog sprocket gear_train gear_wheel'],
  ['connector', 'plug connector conn flat_cable ribbon ribbon_cable ffc fpc flex'],
  ['cable', 'cable harness loom cab wiring'],
  ['wire', 'wire cord lead'],
  [
    'cover',
    'lid cover case casing shield front panel bezel fascia plate bottom base hood guard shroud cowl trim top_case top',
  ],
  [
    'part',
    'tray drawer motor board pcb card mechanism mech clamp bridge transport roller link bracket brkt fan foot carriage ' +
      'pickup sled magnet slider drive tensioner puck lever switch guide rod shaft pin washer shim spacer bushing pulley ' +
      'knob button rail rack chassis loader lens_assembly holder damper grommet mount arm lock stop stylus table ' +
      'turntable platter heat_sink speaker display transformer battery cable_tie cassette deck_unit cam idler hub ' +
      'unit assembly assy block frame subframe cage door flap cap strut sleeve',
  ],
  [
    'dirt',
    'sludge crumb fluff dust dirt hair insect spider moth wasp fly goo gunk tar residue rust grease grime debris nest droppings film wax glue varnish soot ash sand oil',
  ],
  ['disc', 'disc disk cd dvd'],
  [
    'object',
    'coin toy pen pencil paper paperclip staple crayon hairpin marble bead matchstick cracker biscuit playing_card stamp',
  ],
];
const IRREGULAR: Readonly<Record<string, string>> = {
  feet: 'foot',
  pulleys: 'pulley',
  switches: 'switch',
  latches: 'latch',
  catches: 'catch',
  bushes: 'bushing',
  assemblies: 'assembly',
  batteries: 'battery',
  flies: 'fly',
  scrs: 'scr',
  mechs: 'mech',
  pinions: 'pinion',
};
const NOUNS = new Map<string, NounKind>(
  NOUN_WORDS.flatMap(([kind, list]) => words(list).map((word): [string, NounKind] => [word, kind])),
);
/** Words that end in s and are one thing. */
const NOT_PLURAL = new Set(['chassis', 'lens', 'glass', 'brass', 'access', 'grease']);

/** A word as a noun: its kind, and whether it is several. @example nounOf('screws') // { kind: 'screws', singular: 'screw', plural: true } */
export function nounOf(
  word: string,
): { readonly kind: NounKind; readonly singular: string; readonly plural: boolean } | undefined {
  const irregular = Object.hasOwn(IRREGULAR, word) ? IRREGULAR[word] : undefined;
  const singular =
    irregular ?? (NOUNS.has(word) || NOT_PLURAL.has(word) ? word : word.replace(/(?<=x|ch|sh)es$|s$/, ''));
  const kind = NOUNS.get(singular);
  return kind ? { kind, singular, plural: singular !== word } : undefined;
}

/** A known noun one letter away from a word that is none: a slip of the finger, to be asked about. @example slipOf('scew') // 'screw' */
export function slipOf(word: string): string | undefined {
  if (word.length < 4 || !/^\p{L}+$/u.test(word)) return undefined;
  const bare = word.replace(/s$/, '');
  return [...NOUNS.keys()].find((known) => known.length >= 4 && oneSlipApart(bare, known));
}

/** Words that belong together, written as one before a line is read. */
export const PHRASES: ReadonlyArray<readonly [RegExp, string]> = [
  [/\bflat[ -]?flex(?: cables?)?\b|\bflat cable\b/g, 'flat_cable'],
  [/\bflat cables\b/g, 'flat_cables'],
  [/\bribbon cable(s?)\b/g, 'ribbon_cable$1'],
  [/\b([ce])[ -](?:clip|ring)(s?)\b/g, '$1_clip$2'],
  [/\b(snap|retaining|split)[ -](ring|clip)(s?)\b/g, '$1_$2$3'],
  [/\bspring[ -]clip(s?)\b/g, 'spring_clip$1'],
  [/\b(grub|set)[ -]screw(s?)\b/g, '$1_screw$2'],
  [/\bcable[ -]?tie(s?)\b|\btie[ -]?wraps?\b/g, 'cable_tie$1'],
  [/\brubber band(s?)\b/g, 'rubber_band$1'],
  [/\bo[ -]?ring(s?)\b/g, 'o_ring$1'],
  [/\bheat[ -]?sink(s?)\b/g, 'heat_sink$1'],
  [/\bgear[ -](train|wheel)(s?)\b/g, 'gear_$1$2'],
  [/\btop case\b/g, 'top_case'],
  [/\bplaying card\b/g, 'playing_card'],
  [/\bhalf[ -]?way\b|\bpart[ -]?way\b|\bhalf (?=out|in|off|open)|\bpartly\b/g, 'halfway '],
  [/\bself[ -]?tap(?:ping|per)?(?:s)?\b/g, 'self-tapping'],
  [/\bcounter[ -]?sunk\b|\bcsk\b/g, 'countersunk'],
  [/\bcounter[ -]?clockwise\b|\banti[ -]?clockwise\b|\bccw\b/g, 'anticlockwise'],
  [/\bcross[ -]?(?:head|point|recess)\b/g, 'crosshead'],
  [/\bbacked off\b|\bback off\b/g, 'loosened'],
  [/\bplugged off\b/g, 'unplugged'],
  [/\bdon[’']?t\b/g, 'do not'],
];

/** Verbs that say what was done. A particle may decide: lifted out is off, lifted aside is not. */
const VERB_WORDS: ReadonlyArray<readonly [Fate | 'lift' | 'aside' | 'free' | 'come', string]> = [
  [
    'off',
    'off out away removed remove unscrewed unscrew undone undo unbolted unfastened detached extracted took taken take',
  ],
  [
    'off',
    'unclipped unclip popped pop prised prise pried pry peeled peel slid slide slipped slip slides dropped withdrew',
  ],
  ['come', 'came come comes coming'],
  ['lift', 'lifted lift lifts raised'],
  ['free', 'freed free released release pressed squeezed pinched'],
  ['aside', 'set put laid lay'],
  ['loosened', 'loosened loosen slackened slacken eased'],
  [
    'movedAside',
    'moved move pushed push swung swing tilted tilt hinged flipped tucked tipped propped bent aside shifted halfway opened open',
  ],
  ['foldedBack', 'folded fold'],
  ['turned', 'turned turn rotated rotate wound wind cranked crank'],
  ['pulled', 'pulled pull unplugged unplug disconnected disconnect'],
  ['unhooked', 'unhooked unhook unstrung'],
  ['unsoldered', 'unsoldered unsolder desoldered desolder'],
  ['cut', 'cut snipped snip'],
  ['marked', 'marked scribed labelled tagged'],
  ['noted', 'noted parked photographed sketched drew drawn measured counted checked looked tested cleaned'],
];
const VERBS = new Map(VERB_WORDS.flatMap(([fate, list]) => words(list).map((word) => [word, fate] as const)));
/** What a word says was done, where it is a verb. @example verbOf('unsoldered') // 'unsoldered' */
export const verbOf = (word: string): Fate | 'lift' | 'aside' | 'free' | 'come' | undefined => VERBS.get(word);

/** How something is found to be; said after a thing and without a verb, it is an observation as likely as a step. */
export const CONDITIONS: ReadonlySet<string> = new Set(
  words(
    'worn cracked broken bent stripped stuck seized rusty dirty oily torn melted brittle sticky shiny glazed dry damaged ' +
      'snapped chewed rounded perished hard hardened split scratched dusty greasy fine ok good original new old loose slack rotten leaked leaking mouldy corroded burnt swollen faded',
  ),
);
/** Conditions that only describe, whatever stands after them. */
export const PLAIN_ADJECTIVES: ReadonlySet<string> = new Set(words('fine ok good original new old hard dry'));

export const PREPOSITIONS: ReadonlySet<string> = new Set(
  words(
    'from at in on under underneath behind beside near by of to into over above below between through around round along ' +
      'against inside outside holding securing fixing retaining for that which where with held beneath across per off_of ' +
      'towards before after via next upon',
  ),
);
/** Places that need no preposition. */
export const PLACES: ReadonlySet<string> = new Set(
  words(
    'left right rear back front top bottom underside underneath side sides corner corners centre center middle inner outer ' +
      'upper lower edge end rail lh rh inside outside',
  ),
);
/** What only tells of how something looks, and is worth keeping of a fastener. */
export const HEADS: ReadonlySet<string> = new Set(
  words(
    'red green blue white grey yellow orange gold golden pan flat countersunk flanged flange button cheese round domed dome black silver brass steel zinc self-tapping coarse ' +
      'fine long short small large big tiny shouldered shoulder captive plastic machine wafer raised painted golden',
  ),
);
/** Begins a line that says what to mind, not what came off. */
export const MINDING =
  /^(?:mind|careful|carefully|watch|beware|caution|warning|note|nb|remember|remind|check|see|ask|order|buy|todo|to do|think|clean|wash|try|look|measure|keep|hold|support|use|wear|make sure|avoid|never|always|must|should|needs?|why|what|where|which|how|is|are|was|maybe|perhaps|attention|danger|hot|fragile|sharp)\b/;
/** What a thing is worked with: “with a hook” is no thing that came off. */
export const TOOLS =
  /\b(?:hook|tweezers|driver|screwdriver|spudger|finger|fingers|fingernail|care|heat|pliers|pick|knife|blade|card|iron|spanner|key|magnet|force|tool|hand|hands|bit|pen|dot|paint|marker|pencil|chalk)\b/;

/** Count words. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  single: 1,
  two: 2,
  both: 2,
  pair: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
};
/** Words that say several, and not how many. */
export const VAGUE: ReadonlySet<string> = new Set(
  words('some several few couple all every various more rest remaining many'),
);

/** Kinds that hold something else, and are counted. */
export const FASTENER_KINDS: ReadonlySet<NounKind> = new Set(['screws', 'nuts', 'clips']);
/** What a belt is called by: a belt of the tray is no tray. */
export const BELT_OF =
  /^(?:loading|inner|outer|upper|lower|eject|tray|drawer|table|lift|carriage|spindle|loader|turntable|platter|mechanism|transport|disc|disk|front|top|bottom|deck_unit)$/;
