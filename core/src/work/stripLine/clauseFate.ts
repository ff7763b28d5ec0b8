import type { Fate } from '../strip';
import type { SortedWords } from './sortWords';
import type { Subject } from './subject';
import type { Doubt } from './types';

export const LEAVE =
  /\b(?:leave|leaving)\b|\bleft (?:alone|in place|untouched|fitted|attached|plugged|as (?:is|it is)|where|be)\b|\b(?:do not|not to be|never|no need to|need not|needn[’']?t|must not|mustn[’']?t|should not|shouldn[’']?t)\b|\bnot (?:touched|removed|undone|taken|off|out|unplugged|loosened|disturbed|needed)\b|\bun?touched\b|\b(?:stays?|staying|stayed|remains?)\b|\bkept (?:on|in place|fitted|where)\b|\bin place\b|\bstill (?:on|in|fitted|attached|plugged|there)\b|\balone\b/;
export const LOOKED = /\b(?:diagram|drawing|sketch|photos?|pictures?|pics?|shot|snapshot)\b/;
export const MARKED = /\bmarked\b|\bscribed\b|\bwitness marks?\b|^(?:a |the )?(?:\w+ )?marks? \w/;
const UNABLE =
  /\b(?:can[’']?t|cannot|can not|won[’']?t|will not|would not|wouldn[’']?t|did not|didn[’']?t|does not|refuses?|unable)\b/;
const TO_COME =
  /\b(?:to come|must come|have to|has to|had to|going to|will|later|next|still to|yet|needs? to|should|says|said|expected|supposed|according|claims|hole|wrong|manual)\b|\?/;
const BACK_ON =
  /\b(?:back (?:in|on|together|home)|refitted|replaced|refit|again)\b|\b(?:screwed|clipped|put) (?:in|on|down|back)\b|\bplugged in\b|(?<!\b(?:the|from|at|its|left|pressed|pushed)) (?:in|on|back|fitted)$/;

/**
 * What was done to the thing that a clause is about, by all of its words; what they leave open is asked.
 *
 * @param leave it says to leave something as it is
 * @param missing so many were not there on arrival
 * @param doubts what is in doubt about it is put there
 */
export function clauseFate(
  text: string,
  sorted: SortedWords,
  { away, driven }: Pick<Subject, 'away' | 'driven'>,
  { leave, looked, missing }: { readonly leave: boolean; readonly looked: boolean; readonly missing: number },
  doubts: Doubt[],
): Fate | undefined {
  let { fate } = away;
  const taken = sorted.verbs.some((verb) => verb === 'off');
  // Slackened and left in is not left alone: a turn brings it back.
  if (leave && sorted.verbs.some((verb) => verb === 'loosened')) fate = 'loosened';
  else if (leave && !/\bleft out\b/.test(text)) fate = 'leftAlone';
  else if (looked) fate = 'noted';
  else if (MARKED.test(text) && !taken) fate = 'marked';
  else if (UNABLE.test(text)) doubts.push({ about: 'fate', fates: ['leftAlone', 'off', 'noted'] });
  else if (away.doubt && /\bcame\b/.test(text) && taken) fate = 'off';
  else if (TO_COME.test(text)) doubts.push({ about: 'fate', fates: ['off', 'noted'] });
  else if (BACK_ON.test(text) && fate === undefined && !driven) doubts.push({ about: 'fate', fates: ['noted', 'off'] });
  else if (/\bleft (?:in|on)\b/.test(text)) doubts.push({ about: 'fate', fates: ['leftAlone', 'off'] });
  else if (away.doubt) doubts.push({ about: 'fate', fates: away.doubt });
  else if ((sorted.conditionAfter || sorted.unknownVerb) && fate === undefined)
    doubts.push({ about: 'fate', fates: ['noted', 'off'] });
  if (leave && /\b(?:except|but|apart from|other than|all the others?|rest)\b/.test(text))
    doubts.push({ about: 'fate', fates: ['leftAlone', 'off'] });
  if (
    leave &&
    /\b(?:off|out|removed|undone)\b/.test(text) &&
    !/\bnot\b|\bnever\b|\bno need\b|\bn[’']t\b|\bneed/.test(text)
  )
    doubts.push({ about: 'fate', fates: ['leftAlone', 'off'] });
  if (
    /^(?:\w+ ){1,3}left$/.test(text) &&
    !/\b(?:front|rear|back|top|bottom|side|deck|upper|lower) left$/.test(text) &&
    fate === undefined &&
    !driven
  )
    doubts.push({ about: 'fate', fates: ['off', 'leftAlone'] });
  if (/\binside$/.test(text) && fate === undefined) doubts.push({ about: 'fate', fates: ['noted', 'off'] });
  if (/\bmissing\b|\babsent\b/.test(text) && missing === 0 && fate === undefined)
    doubts.push({ about: 'fate', fates: ['noted', 'off'] });
  return fate;
}
