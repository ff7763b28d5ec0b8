import type { TemporaryChangeKind } from '../strip';
import { echoOf } from './deeds';
import type { Deed, Way } from './types';

/* Whole lines that are orders rather than descriptions: a moment of the way back, a number again, the end of a change. */

const MOMENTS: ReadonlyArray<readonly [RegExp, Extract<Deed, { type: 'moment' }>['moment']]> = [
  [/^(?:power(?:ed)?(?: it)?(?: on| up)?|plug(?:ged)?(?: it)?(?: back)? in(?: again)?|mains on|switched on)$/, 'power'],
  [
    /^(?:unplug(?:ged)? (?:it|now|again|it again|it now)|unplugged (?:from|at) the (?:mains|wall)|power(?:ed)? (?:off|down)|mains (?:off|out)|plug pulled|switched off)$/,
    'unplugged',
  ],
  [/^(?:the )?(?:lid|cover|top)(?: is)? (?:back )?on(?: again)?$|^(?:lid|cover) (?:closed|refitted|back)$/, 'lid'],
  [/^hand(?:ed)? ?back$/, 'handBack'],
];
/** What a moment is answered with. */
export const MOMENT_SAID: Readonly<Record<string, string>> = {
  power: 'It is plugged in now.',
  unplugged: 'It is unplugged now.',
  lid: 'The lid is on now.',
  handBack: 'On to handing it back.',
};
const NUMBER = String.raw`(?:no\.? ?|number |nr ?|bag |#)?(\d{1,4})`;
const AGAIN = new RegExp(String.raw`^(?:again ${NUMBER}|${NUMBER}(?: off)? again)$`);
const BACK = new RegExp(String.raw`^(?:back ${NUMBER}|${NUMBER} (?:is |are )?back(?: in| on)?)$`);
const SAME = /^(?:the )?same(?: again)?(?: (?:on|for|at|in) (.+)|, (.+))?$/;
const CHANGE_ENDS: ReadonlyArray<readonly [RegExp, TemporaryChangeKind]> = [
  [/\bunbridged?\b|\b(?:pads?|laser) bridge (?:removed|off|opened)\b/, 'laserBridged'],
  [/\bstop pin (?:back|in|home|refitted)\b|\bpin back\b/, 'stopPinOut'],
  [/\b(?:transport )?lock (?:screw )?(?:back|on|refitted)\b/, 'transportLockOff'],
  [/\bstylus (?:back|in|refitted)\b/, 'stylusOut'],
  [/\bwound (?:back|home)\b|\bcarriage (?:back|home)\b/, 'axisMoved'],
  [/\b(?:switch )?levers? (?:back|on|refitted)\b/, 'switchLeversOff'],
  [/\bshield (?:folded )?(?:home|down|closed|back home)\b/, 'shieldFolded'],
  [/\bshade off\b|\bunshaded\b/, 'lampShaded'],
  [/\btray (?:back in|pushed in again)$/, 'trayLeftOut'],
];

/** A line that is an order of its own; undefined where it is none. @param text in lower case */
export function idiomOf(text: string): Way | undefined {
  const moment = MOMENTS.find(([pattern]) => pattern.test(text))?.[1];
  if (moment) return { echo: MOMENT_SAID[moment] ?? '', does: [{ type: 'moment', moment }] };
  const again = AGAIN.exec(text);
  const back = BACK.exec(text);
  const ends = CHANGE_ENDS.find(([pattern]) => pattern.test(text) && !/\bnot\b/.test(text))?.[1];
  const same = SAME.exec(text);
  if (same) {
    const where = (same[1] ?? same[2] ?? '').replace(/^the /, '');
    return { echo: echoOf({ type: 'same', where }), does: [{ type: 'same', where }] };
  }
  const deed: Deed | undefined = again
    ? { type: 'again', number: Number(again[1] ?? again[2]) }
    : back
      ? { type: 'back', number: Number(back[1] ?? back[2]) }
      : ends
        ? { type: 'changeEnds', kind: ends }
        : undefined;
  return deed && { echo: echoOf(deed), does: [deed] };
}
