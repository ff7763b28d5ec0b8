import type { CleanDeed, Outcome, Swab } from '../cleaning';
import { AGENT_RECORDS, AGENTS, isLubricant, type Agent } from '../compatibility';

/* The words of cleaning, in lower case. The more telling pattern first; each takes its words out of the line. */

type Named = readonly [RegExp, readonly Agent[]];
/** The stronger first: “ethyl alcohol” is said before “alcohol”, “soapy water” before “water”. */
const namesOf = (of: (agent: Agent) => boolean): readonly Named[] =>
  AGENTS.toReversed().flatMap((agent) => {
    const { said } = AGENT_RECORDS[agent];
    return said && of(agent) ? [[said, [agent]] as const] : [];
  });
/** Agents by every name that a bench has for them; several where the name is two things. What cleans comes before what lubricates: “oil off with acetone”. */
export const AGENT_WORDS: readonly Named[] = [
  ...namesOf((agent) => !isLubricant(agent)),
  [/\bspirits?\b/, ['petroleumSpirit', 'ethanol']],
  [/\b(?:glass|window) (?:cleaner|spray)\b/, ['glassCleaner', 'ammoniaCleaner']],
  ...namesOf(isLubricant),
  [/\b(?:re-?)?greased?\b/, ['lithiumGrease', 'siliconeGrease']],
];

/** Names that are matched with one letter wrong, and asked about. */
export const SPELT: Readonly<Record<string, Agent>> = Object.fromEntries(
  AGENTS.flatMap((agent) => AGENT_RECORDS[agent].spelt.map((name) => [name, agent] as const)),
);

export const OUTCOME_WORDS: ReadonlyArray<readonly [RegExp, Outcome]> = [
  [
    /\bstill (?:very |a bit |quite )?(?:dirty|black|grey|oily|sticky|greasy)\b|\bnot (?:yet |quite |really )?clean\b/,
    'stillDirty',
  ],
  [
    /\bno better\b|\bnot (?:any )?better\b|\bno (?:change|difference)\b|\b(?:just )?the same\b|\bsame as before\b/,
    'same',
  ],
  [/\b(?:harmed|dulled|went dull|crazed|clouded|cloudy|went soft|softened|attacked)\b/, 'harmed'],
  [/\b(?:faintly |slightly |nicely )?tacky\b/, 'tacky'],
  [/\b(?:came |comes? |come )?(?:away |up |off )?(?:clean(?:ed)?|spotless)\b/, 'clean'],
  [/\b(?:better|freer|smoother|runs? (?:free|freely|well|smooth(?:ly)?|easily|light))\b/, 'better'],
];

export const DEED_WORDS: ReadonlyArray<readonly [RegExp, CleanDeed]> = [
  [/\bspot[- ]?test(?:ed)?\b|\btested\b|\btest(?:ed)? spot\b|\b(?:tried|tested) where it does not show\b/, 'spotTest'],
  [
    /\b(?:old|dried(?: up)?|hard(?:ened)?|caked) (?:grease|oil|lubricant)(?: (?:is|was|all))? (?:off|out|away|gone|removed|cleaned (?:off|out|away)|wiped (?:off|out|away))\b|\b(?:removed|took off|cleaned (?:off|out)|wiped off) (?:all )?(?:the )?old (?:(?:hardened|dried|caked) )?(?:grease|oil|lubricant)|\bold (?:(?:hardened|dried) )?(?:grease|oil|lubricant) (?:wiped|cleaned|taken|removed)(?: off| away)?(?= from\b)\b|\bdegreased\b/,
    'oldGreaseOff',
  ],
  [
    /\b(?:wiped (?:off )?(?:the |all )?(?:excess|surplus)|(?:excess|surplus)(?: (?:oil|grease|lubricant))?(?: was| is)? (?:all )?(?:wiped|off|taken off|removed)(?: off| away)?)\b/,
    'excessWiped',
  ],
  [/\b(?:worked in|run in|run (?:from )?end to end|spread(?: out)?|worked (?:it )?(?:in|end to end))\b/, 'workedIn'],
  [/\b(?:re-?)?(?:lubricated|lubed|greased|oiled)\b/, 'lubricate'],
  [/\b(?:soaked|soaking|soak|steeped)\b/, 'soak'],
  [/\b(?:washed|wash|rinsed|rinse)\b/, 'wash'],
  [/\b(?:picked(?: out)?|scraped|pick out)\b/, 'pick'],
  [
    /\b(?:wiped|wipe|rubbed|brushed|(?<=\b(?:hair|fluff|lint|dust|crumbs|dirt|bits|strands?|threads?|rubber)\b.*)pulled out|pulled (?:the |all )?(?:\w+ )?(?:hair|fluff|lint|dust|crumbs|dirt|strands?|threads?)(?: out)?|blown (?:out|off)|blew (?:out|off|the \w+ (?:out|off)|dust off)|vacuumed|hoovered|dusted|cleaned)\b/,
    'wipe',
  ],
];

export const WAY_WORDS =
  /\b(?:flattened |lint-?free |moist |damp |dry |cotton |fresh |foam |soft |stiff )*(?:swabs?|cloth|tissues?|tooth ?brush|brush|toothpick|wooden pick|pick|tweezers|card|paper|sponge|fingers?|spray|burst|air|stick)\b/;
export const AMOUNT_WORDS =
  /\b(?:(?:a|one|two|three|1|2|3|half a) (?:single |small |tiny )?(?:drops?|dabs?|beads?)|(?:a )?(?:thin |light )?films?|(?:just )?a (?:little|trace|touch|smear))\b/;
export const STROKES = /\b(?:x ?)?(\d{1,4}) ?(?:strokes?|times|x\b|×|sweeps?|turns?|passes)|\bx(\d{1,4})\b/;
export const MINUTES = /\b(?:for )?(\d{1,4}(?:[.,]\d)?) ?(min(?:ute)?s?|h(?:ours?|rs?)?)\b/;
export const OVERNIGHT = /\bover ?night\b/;
export const OVERNIGHT_MINUTES = 12 * 60;
export const SWAB_RUN =
  /\b(?:swabs?|wipes?)[ :]*(?:(?:came|come|comes|was|were)(?: away)? )?((?:black|gr[ea]y|clean)(?:(?:,? +(?:then |and (?:then )?)?|, ?)(?:black|gr[ea]y|clean))+)\b/;
export const SWAB_ONE = /\bswabs? (?:is |was |came away |comes away )?(black|gr[ea]y)\b/;
export const SWABS_TWICE = /\b(?:swabs? )?clean (?:twice|two times)\b|\b(?:two|2) clean swabs\b/;
export const swabOf = (word: string): Swab => (word === 'black' ? 'black' : word === 'clean' ? 'clean' : 'grey');

export const HANDS =
  /\b(?:hands?|fingers)(?: are| were)? (?:all )?(?:washed|clean(?:ed)?|degreased)\b|\bwash(?:ed)? (?:my |your )?hands?\b/;
export const DRIED = /\b(?:has dried|dried(?: off)?|is dry(?: now| again)?|dry (?:now|again|already))\b/;
export const DRY = /\b(?:bone |quite |rather |very |all )?dry\b|\bdried out\b|\bno (?:grease|oil|lubricant) left\b/;
/** The levers of a switch, out of its way and in again. */
export const LEVERS =
  /(?<!\b(?:main|mode|cam|eject|release|latch|sector|loading|brake|lock|slide|lift|clamp|feed|push|pull) )\blevers? (?:are )?(out|off|away|in|on|back)\b/;
export const DRIES = /\b(?:dries|drying|(?:left |laid )?to dry|let dry)\b/;
export const WARM =
  /\bwarm(?:ed)?(?: it)?(?: to shrink)?\b|\b(?:hot|boil(?:ed|ing)?) water\b|\bboiled\b|\bhair ?dr[iy]er\b|\bheat ?gun\b|\bshr[iu]nk\b/;
/** Warmed to shrink; a wash in warm water is none. */
export const WARM_CLAUSE = {
  test: (text: string): boolean =>
    WARM.test(text) && !/\b(?:warm|lukewarm) (?:soapy )?water\b|\bwash|\bsoap/.test(text),
};
export const HOLDS =
  /\b(?:does ?n[o’']t|do not|no longer|will not|won[’']?t|cannot|can[’']?t be made to) slips?\b|\bholds?\b|\bgrips?\b/;
export const SLIPS_HARD = /\bslips? (?:only )?(?:hard|when held hard|with (?:some )?effort|late|under load)\b/;
export const SLIPPED = /\bslips?\b|\bslipping\b/;
/** What cleaning does not mend: it goes to what is left. */
export const WORN =
  /\b(?:nicked|nicks?|scored|scratched|worn(?: through| out| in the middle)?|torn|bent|cracked|chipped|broken|pitted|perished|hazed|print gone)\b/;
export const LEFT =
  /\b(?:left (?:the )?(?:\w+ )?alone|leave(?: it)?(?: alone| be)?|leaving it|left as (?:it )?is|not touched|untouched|not cleaned(?! yet)|stays as it is|did(?:n[’']t| not) touch(?: it)?|nothing done(?: to)?)\b(?! yet)/;
