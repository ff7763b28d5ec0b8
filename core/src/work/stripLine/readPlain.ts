import { blankStep, changeNamed, type Fate, type TemporaryChangeKind } from '../strip';
import { asRead, readClause } from './clause';
import { stepOf } from './ofClause';
import {
  asTyped,
  deedOf,
  distinct,
  echoOf,
  inOrder,
  keptWay,
  LINE_MAX,
  said,
  variants,
  wayOf,
  WAYS_MAX,
} from './deeds';
import { pieces, thingsOf, type Thing } from './things';
import { CONDITIONS, FASTENER_KINDS, MINDING } from './vocabulary';
import type { Deed, Doubt, ReadLine, Way } from './types';

const sure = (echo: string, ...does: readonly Deed[]): ReadLine => ({
  ways: [{ echo, does }],
  asks: '',
  unread: false,
});
const asked = (asks: string, ways: readonly Way[]): ReadLine => ({
  ways: ways.slice(0, WAYS_MAX),
  asks,
  unread: false,
});

/** What brings the power: a plug in the wall, its lead, a brick on it, a battery. A board or a cartridge is none of them. */
const SOURCE = String.raw`(?:(?:the|its) )?(?:(?:mains|power|wall)(?: (?:plug|lead|cable|cord|flex|brick|adapter|adaptor))?|plug top|batter(?:y|ies))`;
const MAINS_OUT = new RegExp(
  String.raw`^${SOURCE}(?: (?:is|are|was|were))? (?:unplugged|disconnected|pulled(?: out)?|out|off|taken out|removed)(?: (?:now|first|of the wall|from the wall|at the wall))?$|^(?:unplugged|disconnected|pulled(?: out)?|took out|taken out|removed) ${SOURCE}(?: out)?$|^unplugged (?:from|at) the (?:mains|wall)$`,
  'i',
);
/** Words by which a bench takes back or denies what it has just said. */
const TAKEN_BACK = /\b(?:no|not|never|wait|sorry|scratch|still|actually|instead|wrong|rather|again|back in)\b|n[’']t\b/;
const UNPLUGGED: Deed = { type: 'moment', moment: 'unplugged' };

const MOMENTS: ReadonlyArray<readonly [RegExp, Extract<Deed, { type: 'moment' }>['moment'], string]> = [
  [
    /^(?:power(?:ed)?(?: it)?(?: on| up)?|plug(?:ged)?(?: it)?(?: back)? in|mains on|switched on)$/i,
    'power',
    'It is plugged in now.',
  ],
  [
    /^(?:unplug(?:ged)?(?: it)?(?: now| again)?|power(?:ed)? (?:off|down)|mains (?:off|out)|plug pulled|switched off)$/i,
    'unplugged',
    'It is unplugged now.',
  ],
  [
    /^(?:the )?(?:lid|cover|top)(?: is)? (?:back )?on(?: again)?$|^(?:lid|cover) (?:closed|refitted|back)$/i,
    'lid',
    'The lid is on now.',
  ],
  [/^hand(?:ed)? ?back$/i, 'handBack', 'On to handing it back.'],
];
const AGAIN = /^(?:again (?:no\.? ?|number |nr ?|#)?(\d{1,4})|(?:no\.? ?|number |nr ?|#)?(\d{1,4})(?: off)? again)$/i;
const BACK =
  /^(?:back (?:no\.? ?|number |#)?(\d{1,4})|(?:no\.? ?|number |nr ?|#|bag )?(\d{1,4}) (?:is |are )?back(?: in| on)?)$/i;
const FOUND =
  /^(?:i )?(?:found|discovered)\b|\bfound\b|\b(?:fell|fallen|dropped) out\b|\brattl(?:es|ing|ed)\b|\blying\b|\bloose (?:in|under|inside|behind|below|beneath)\b|^there(?:[’']?s| is| was| were| are)\b/;
const FOUND_WORDS =
  /\b(?:i|found|discovered|there(?:[’']?s)?|is|was|were|are|fell out|fallen out|dropped out|rattling(?: about| around)?|rattles(?: about)?|lying|loose)\b/g;
const CHANGE_ENDS: ReadonlyArray<readonly [RegExp, TemporaryChangeKind]> = [
  [/\bunbridged?\b|\b(?:pads?|laser) bridge (?:removed|off|opened)\b/, 'laserBridged'],
  [/\bstop pin (?:back|in|home|refitted)\b|\bpin back\b/, 'stopPinOut'],
  [/\b(?:transport )?lock (?:screw )?(?:back|on|refitted)\b/, 'transportLockOff'],
  [/\bstylus (?:back|in|refitted)\b/, 'stylusOut'],
  [/\bwound (?:back|home)\b|\bcarriage (?:back|home)\b/, 'axisMoved'],
  [/\b(?:switch )?levers? (?:back|on|refitted)\b/, 'switchLeversOff'],
  [/\bshield (?:folded )?(?:home|down|closed|back home)\b/, 'shieldFolded'],
  [/\bshade off\b|\bunshaded\b/, 'lampShaded'],
  [/\btray (?:back in|pushed in again)\b/, 'trayLeftOut'],
];
const NO_CHANGE =
  /\b(?:leave|not|never|marked|diagram|photo|picture|sketch|found|back in|refitted|careful|mind|halfway|cleaned|checked)\b/;
const OBSERVED = new RegExp(
  String.raw`\b(?:${[...CONDITIONS].join('|')}|missing|off its|jumped|slipped off|crooked|misaligned|out of line)\b`,
);

const ASKS: Readonly<Record<Doubt['about'], string>> = {
  count: 'How many?',
  fate: 'What was done?',
  kind: 'Which is it?',
  slip: 'Is this it?',
  both: 'One thing, or two?',
};

const kept = (line: string, fate: Fate, echo: string, unread: boolean): ReadLine => ({
  ways: [{ echo, does: [{ type: 'step', step: blankStep('note', line, { what: line, fate }) }] }],
  asks: '',
  unread,
});

/**
 * Reads one typed line: verb, how many, what, qualifiers, place, in whatever order. Certain: one way. In doubt: two or
 * three, to be answered by one key. Not read at all: kept as typed, as a step of its own.
 *
 * @param typed at most `LINE_MAX` letters; what is longer is not read, so that nothing of it is lost
 * @returns undefined for an empty line
 * @example readLine('lens cover, 2 screws').ways[0].does.length // 2
 */
export function readPlain(typed: string): ReadLine | undefined {
  const line = typed
    .replace(/[\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '')
    .replace(/\s+/g, ' ')
    .trim();
  if (line === '') return undefined;
  if (line.length > LINE_MAX)
    return {
      ways: [],
      asks: `A line has ${LINE_MAX} letters at most, and this has ${line.length}. Say it in several lines, or in the note below.`,
      unread: false,
    };
  const text = asRead(line).replace(/[.!]+$/, '');
  const moment = MOMENTS.find(([pattern]) => pattern.test(text));
  if (moment) return sure(moment[2], { type: 'moment', moment: moment[1] });
  // “Mains unplugged, lid off”: said in one breath, and the one is no part of the other.
  const parts = line.split(/[,;]\s*/);
  const pulled = parts.findIndex((part) => MAINS_OUT.test(asRead(part).replace(/[.!]+$/, '')));
  if (pulled >= 0) {
    const rest = readPlain(parts.filter((_, at) => at !== pulled).join(', '));
    const said = 'It is unplugged now.';
    if (!rest) return sure(said, UNPLUGGED);
    // A hand goes in by this: what is taken back or denied in the same breath is asked about.
    if (TAKEN_BACK.test(line.toLowerCase()))
      return asked('Is it unplugged?', [{ echo: said, does: [UNPLUGGED] }, keptWay(line)]);
    return {
      ...rest,
      ways: rest.ways.map(({ echo, does }) => ({ echo: `${said} ${echo}`, does: [UNPLUGGED, ...does] })),
    };
  }
  if (/^(?:not (?:yet )?unplugged(?: yet)?|still plugged(?: in)?|mains still (?:in|on))$/.test(text))
    return kept(line, 'noted', 'Noted: it is not said to be unplugged.', false);
  if (/^(?:keep|hands|stay|fingers) (?:off|away|clear|out)\b/.test(text))
    return kept(line, 'noted', 'Noted, as what to mind: nothing came off.', false);
  const again = AGAIN.exec(text);
  if (again) {
    const deed: Deed = { type: 'again', number: Number(again[1] ?? again[2]) };
    return sure(echoOf(deed), deed);
  }
  const back = BACK.exec(text);
  if (back) {
    const deed: Deed = { type: 'back', number: Number(back[1] ?? back[2]) };
    return sure(echoOf(deed), deed);
  }
  const ends = CHANGE_ENDS.find(([pattern]) => pattern.test(text) && !/\bnot\b/.test(text));
  if (ends) {
    const deed: Deed = { type: 'changeEnds', kind: ends[1] };
    return sure(echoOf(deed), deed);
  }
  if (
    MINDING.test(text) &&
    !/^(?:use|keep|hold|is|are|was)\b.*\b(?:off|out|removed)\b/.test(text) &&
    !/^mind you\b/.test(text)
  ) {
    return kept(line, 'noted', 'Noted, as what to mind: nothing came off.', false);
  }
  if (/^no (?!belt\b)\w+ (?:on|in|here|under|left|at|behind|there)\b/.test(text))
    return kept(line, 'noted', 'Noted: nothing came off.', false);
  const kind = NO_CHANGE.test(text) ? undefined : changeNamed(text);
  const head = readClause(pieces(line)[0]?.text ?? line);
  if (
    kind &&
    !(head.kind && ['connector', 'springs', 'nuts', 'clips', 'gear'].includes(head.kind)) &&
    !(head.kind === 'screws' && kind !== 'transportLockOff')
  ) {
    const deed: Deed = { type: 'change', kind, words: line };
    return sure(echoOf(deed), deed);
  }
  if (FOUND.test(text)) {
    const later = /[,;].*\bfound\b/.test(text) ? readPlain(line.split(/[,;]/)[0] ?? '') : undefined;
    const found = foundLine(line, text);
    if (!later || later.unread || later.ways.length === 0) return found;
    return asked('Off, or found loose?', distinct([...later.ways, ...found.ways]));
  }
  const things = thingsOf(line);
  const [first] = things;
  if (!first || (first.clause.kind === undefined && things.length === 1)) return nothingRead(line, first);
  if (first.clause.kind === undefined) {
    // “Underneath: four screws” says the place first.
    const [, second] = things;
    if (
      second &&
      FASTENER_KINDS.has(second.clause.kind ?? 'part') &&
      first.clause.fate === undefined &&
      first.clause.count === undefined
    ) {
      second.tells.unshift(first.clause.text);
      things.shift();
    } else return nothingRead(line, first);
  }
  const doubtful = things.find(({ doubts }) => doubts.length > 0);
  if (!doubtful)
    return {
      ways: [
        wayOf(
          inOrder(
            things.map((thing) => deedOf(thing, line, {})),
            things,
          ),
        ),
      ],
      asks: '',
      unread: false,
    };
  let lists: Array<readonly Deed[]> = [[]];
  for (const thing of things) {
    const options = variants(thing, line);
    lists = lists.flatMap((before) => options.map((option) => [...before, ...option])).slice(0, WAYS_MAX);
  }
  const ways = distinct(lists.map((deeds) => wayOf(inOrder(deeds, things))));
  const [doubt] = doubtful.doubts;
  if (ways.length === 1) ways.push(keptWay(line));
  return asked(doubt ? ASKS[doubt.about] : 'Which is meant?', ways);
}

/** Nothing of the machine was read in it: left alone and marked change nothing, and what is left goes back like any other. */
function nothingRead(line: string, first: Thing | undefined): ReadLine {
  const text = asRead(line);
  if (first?.clause.leave) return kept(line, 'leftAlone', 'Noted, and left alone.', false);
  if (/\b(?:diagram|sketch|drawing|photos?|pictures?)\b/.test(text))
    return kept(line, 'noted', 'Noted: nothing came off.', false);
  if (/\bmarked\b|\bscribed\b/.test(text)) return kept(line, 'marked', 'Noted as marked: nothing came off.', false);
  const { count = 0, where = '' } = first?.clause ?? {};
  if (count > 0 && where !== '') {
    const way = (kind: 'screws' | 'clips', what: string): Way =>
      wayOf([{ type: 'step', step: blankStep(kind, line, { what, count, where: asTyped(where, line) }) }]);
    return asked('Of what?', [way('screws', 'screw'), way('clips', 'clip'), keptWay(line)]);
  }
  if (first?.clause.fate === 'noted') return kept(line, 'noted', 'Noted: nothing came off.', false);
  if (first?.clause.figures.turns) return kept(line, 'turned', `${line}: it is turned back on the way.`, false);
  return kept(line, 'off', 'Not read: kept as typed, with a number, and asked for on the way back.', true);
}

/** What lay loose, dirt, a disc, or how something was found to be. */
function foundLine(line: string, text: string): ReadLine {
  const clause = readClause(text.replace(FOUND_WORDS, ' ').replace(/\s+/g, ' ').trim());
  const what = asTyped(
    text
      .replace(FOUND_WORDS, ' ')
      .replace(/\s+/g, ' ')
      .replace(/^[:,. ]+/, '')
      .trim(),
    line,
  );
  if (clause.kind === 'disc') {
    const deed: Deed = { type: 'disc', where: clause.where, condition: said(line) };
    return sure(echoOf(deed), deed);
  }
  if (clause.kind === 'dirt') {
    const deed: Deed = { type: 'found', kind: 'dirt', what: what || line, where: '' };
    return sure(echoOf(deed), deed);
  }
  const place =
    /^(.*?)(?:,? ?\b((?:under|underneath|in|on|behind|beside|near|between|inside|below|beneath|at)\b.*))?$/i.exec(what);
  const name = (place?.[1] ?? '').replace(/[,: ]+$/, '');
  const deed: Deed = {
    type: 'found',
    kind: 'object',
    what: name || what || line,
    where: name ? (place?.[2] ?? '') : '',
  };
  const observed: Deed = { type: 'step', step: { ...stepOf({ ...clause, fate: 'noted' }, line), what: what || line } };
  if (clause.kind !== undefined && OBSERVED.test(text) && !/\bloose (?:in|under|inside|behind|below)\b/.test(text)) {
    if (/\bloose\b/.test(text) && !/\b(?:lying|rattl\w+|fell|fallen|dropped)\b/.test(text))
      return asked('What was found?', [wayOf([deed]), wayOf([observed])]);
    if (!/\b(?:lying|rattl\w+|fell|fallen|dropped)\b/.test(text))
      return sure(`Noted: ${observed.step.what}.`, observed);
  }
  if (clause.kind === 'belt') return asked('What was found?', [wayOf([observed]), wayOf([deed])]);
  return sure(echoOf(deed), deed);
}
