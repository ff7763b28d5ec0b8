/** Words that answer a test: what they say. */
interface Saying {
  readonly pattern: RegExp;
  readonly testId: string;
  readonly outcome: string;
}

const said = (pattern: RegExp, testId: string, outcome: string): Saying => ({ pattern, testId, outcome });

/** What owners say that answers a test with the lid on. Common practice, no source; offered, and taken only once confirmed. */
export const OWNERS_WORDS: readonly Saying[] = [
  said(
    /\b(?:does nothing|nothing happens|dead|no reaction|will not react|no response|lifeless)\b/i,
    'behaviour',
    'nothing',
  ),
  said(/\b(?:half ?way|part way|gets stuck|stops short|sticks|hangs up|jams)\b/i, 'behaviour', 'part'),
  said(/\b(?:slow|slowly|sluggish|takes ages|crawls)\b(?! to (?:read|load))/i, 'behaviour', 'slow'),
  said(
    /\b(?:opens again|closes again|comes back out|by itself|by its own|goes back|turns back|reverses)\b/i,
    'behaviour',
    'reverses',
  ),
  said(/\b(?:will not close|won[’']?t close|does not close|stays open)\b/i, 'closing', 'nothing'),
  said(
    /\b(?:pulls? to|drifts?|crooked|askew|slanted|skewed|out of square|not square|square|align|aligned|lopsided|one side)\b/i,
    'track',
    'drifts',
  ),
  said(/\b(?:whirrs?|whirs?|hums?|spins freely|motor runs|motor turns|buzzes)\b/i, 'sound', 'runsFree'),
  said(/\b(?:clicks?|clicking|ticks?|ticking)\b/i, 'sound', 'click'),
  said(/\b(?:squeals?|squeaks?|screech\w*|chirps?)\b/i, 'sound', 'screech'),
  said(/\b(?:grinds?|grinding|growls?|crackles?|crackling|crunch\w*|grates?|rumbles?)\b/i, 'sound', 'growl'),
  said(/\b(?:silent|no sound|no noise|quiet)\b/i, 'sound', 'silence'),
  said(/\b(?:rattles?|rattling|something loose)\b/i, 'rattle', 'rattles'),
  said(
    /\b(?:help(?:ed|ing)? (?:it )?(?:along|by hand)|helped|pull it|push it|by hand|with a finger)\b/i,
    'pull',
    'comes',
  ),
  said(/\b(?:tap(?:ped|ping)?|knock(?:ed)?|hit(?:ting)? it|thump it)\b/i, 'tapped', 'helps'),
  said(/\b(?:cold|mornings?|until it warms|once warm|when warm|warmed up)\b/i, 'warm', 'betterWarm'),
  said(/\b(?:after (?:an hour|a while|some time)|when hot|gets hot)\b/i, 'warm', 'worseWarm'),
  said(/\b(?:no disc|does not read|won[’']?t read|not recognis\w*|unreadable|cannot read)\b/i, 'reads', 'no'),
  said(/\b(?:skips?|skipping|slow to read|takes long to read|errors?)\b/i, 'reads', 'slow'),
  said(
    /\b(?:since (?:the|a|my|his|her) (?:repair|service|move)|after (?:the|a|my) (?:repair|service|belt)|somebody (?:repaired|opened)|repaired before)\b/i,
    'afterWork',
    'yes',
  ),
  said(/\b(?:only empty|when empty|without a disc)\b/i, 'emptyLoaded', 'failsEmpty'),
  said(/\b(?:only (?:loaded|with a disc)|with a disc in)\b/i, 'emptyLoaded', 'failsLoaded'),
];

/** What words say, the first saying for each test. @example sayings('clicks and stops half way', OWNERS_WORDS).map(({ outcome }) => outcome) // ['part', 'click'] */
export function sayings(words: string, list: readonly Saying[]): ReadonlyArray<Saying & { readonly quote: string }> {
  const seen = new Set<string>();
  return list.flatMap((one) => {
    const match = one.pattern.exec(words);
    if (!match || seen.has(one.testId)) return [];
    seen.add(one.testId);
    return [{ ...one, quote: match[0] }];
  });
}
