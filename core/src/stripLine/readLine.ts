import {
  changeNamed,
  goesBack,
  LIMIT_WORDS,
  stepWords,
  blankStep,
  TEMPORARY_CHANGE,
  TEMPORARY_CHANGES,
  type Fate,
  type StepDraft,
  type TemporaryChangeKind,
} from '../strip';
import { capital } from '../units';
import {
  asRead,
  countOf,
  factsFrom,
  isInstruction,
  isOnlyLeave,
  isTool,
  readClause,
  stepOf,
  type Clause,
  type Doubt,
} from './clause';
import { CONDITIONS, MINDING, nounOf, type NounKind } from './vocabulary';
import type { Deed, ReadLine, Way } from './types';

/** The longest line that a step keeps. */
export const LINE_MAX = 400;
/** More of one kind than any machine has: asked about once. */
const MANY = 60;
const WAYS_MAX = 3;

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
const BELT_FOUND =
  /\b(?:in (?:crumbs|pieces|bits|shreds)|crumbled|dissolved|melted|gone|gooey|sticky mess|turned to|snapped|broken|perished|to tar|to goo)\b/;
const OBSERVED = new RegExp(
  String.raw`\b(?:${[...CONDITIONS].join('|')}|missing|off its|jumped|slipped off|crooked|misaligned|out of line)\b`,
);

const splitAt = /(?<!\d),|,(?!\d)|;|\.\s+(?=\S)|:\s|\s[–—-]\s|\s(?:and|then|&|\+|plus|with|but|(?:held|fixed|secured) by)\s/gi;

interface Piece {
  readonly sep: string;
  readonly text: string;
}
function pieces(typed: string): Piece[] {
  // What stands in brackets with a number of its own is said beside.
  const line = typed
    .replace(/\b(pcs|nos?|approx|ca|incl|min|max)\./gi, '$1')
    .replace(/ of (?:them|these|those)\b/gi, '')
    .replace(/\((\d+ [a-z]{3}[^)]*)\)/gi, ', $1, ')
    // What follows only says when or why.
    .replace(/,? (?=(?:once|when|till|until|while|because|unless|so that|if) )/gi, ' ; ');
  const out: Piece[] = [];
  let at = 0;
  let sep = '';
  for (const match of line.matchAll(splitAt)) {
    out.push({ sep, text: line.slice(at, match.index).trim() });
    const said = match[0].trim().toLowerCase();
    sep = said.endsWith(' by') ? 'with' : said;
    at = match.index + match[0].length;
  }
  out.push({ sep, text: line.slice(at).trim() });
  return out.filter(({ text }) => text !== '');
}

/** A thing of a line: its clause, what later clauses add, and what is in doubt. */
interface Thing {
  clause: Clause;
  readonly sep: string;
  tells: string[];
  missing: number;
  leaveAlone: string;
  doubts: Doubt[];
  facts: StepDraft['facts'];
  /** It says itself what was done, so that it stands where it was said. */
  readonly ownFate: boolean;
}

const PARTLESS: ReadonlySet<NounKind> = new Set(['dirt', 'disc', 'object']);

function thingOf(clause: Clause, sep: string): Thing {
  const doubts = clause.kind !== undefined && PARTLESS.has(clause.kind) ? [] : [...clause.doubts];
  const counted = clause.count !== undefined || clause.figures.ofMany !== null;
  if (clause.kind !== undefined && !PARTLESS.has(clause.kind)) {
    if (
      !counted &&
      (clause.plural || clause.vague) &&
      !doubts.some(({ about }) => about === 'count') &&
      goesBack(clause.fate ?? 'off')
    )
      doubts.push({ about: 'count', counts: [2, 3, 4] });
    if ((clause.count ?? 0) > MANY) doubts.push({ about: 'fate', fates: ['off', 'noted'] });
    if (
      clause.kind === 'belt' &&
      BELT_FOUND.test(clause.text) &&
      (clause.fate === undefined || clause.fate === 'turned')
    )
      doubts.push({ about: 'fate', fates: ['off', 'noted'] });
    if (clause.kind === 'cable' && (clause.fate === 'off' || clause.fate === undefined || clause.fate === 'pulled'))
      doubts.push({ about: 'kind', kinds: ['connector', 'cable'] });
    if (clause.figures.ofMany) doubts.push({ about: 'count', counts: [] });
    if (
      clause.figures.turns !== '' &&
      FASTENERS.has(clause.kind) &&
      (clause.fate === undefined || clause.fate === 'off')
    )
      clause = { ...clause, fate: 'loosened' };
    else if (
      clause.figures.turns !== '' &&
      clause.fate === undefined &&
      clause.kind !== 'belt' &&
      clause.kind !== 'wire'
    )
      clause = { ...clause, fate: 'turned' };
  }
  return { clause, sep, tells: [], missing: 0, leaveAlone: '', doubts, facts: {}, ownFate: clause.fate !== undefined };
}
const FASTENERS: ReadonlySet<NounKind> = new Set(['screws', 'nuts', 'clips']);

/** Whether a later clause is a thing of its own rather than a word about the one before. */
function startsThing(clause: Clause, sep: string, last: Thing): 'yes' | 'maybe' | 'no' {
  if (clause.kind === undefined || isInstruction(clause)) return 'no';
  const said = clause.count !== undefined && clause.count > 0;
  if (sep === 'with') {
    if (isTool(clause.text)) return 'no';
    return said
      ? 'yes'
      : /^(?:its|the|a|an)\b/.test(clause.text)
        ? last.clause.fate === undefined
          ? 'yes'
          : 'maybe'
        : 'no';
  }
  if (sep === 'and' || sep === '&' || sep === '+' || sep === 'plus' || sep === 'then')
    return last.clause.kind === undefined || /\bbetween\b[^,]*$/.test(last.clause.text) ? 'no' : 'yes';
  if (clause.guessed && !said) return 'no';
  if (said || clause.figures.driverType !== '' || clause.fate !== undefined || clause.leave) return 'yes';
  if (clause.plural && clause.bare) return 'maybe';
  return clause.bare ? 'maybe' : 'no';
}

/** The clauses of a line gathered into things. */
function thingsOf(line: string): Thing[] {
  const things: Thing[] = [];
  // “2 long, 2 short” tells of lengths, not of what is missing.
  const short = !/\blong(?:er)?\b/i.test(line);
  for (const { sep, text } of pieces(line)) {
    const clause = readClause(text, short);
    const last = things[things.length - 1];
    if (!last) {
      things.push(thingOf(clause, sep));
      continue;
    }
    if (clause.missing > 0 && clause.kind === undefined) {
      last.missing += clause.missing;
      continue;
    }
    if (isOnlyLeave(clause)) {
      last.leaveAlone = text;
      last.doubts = last.doubts.filter(({ about }) => about !== 'fate');
      continue;
    }
    // “…, ph2”, “…, 6 mm”: the driver or the length of what was named before.
    const figured = clause.figures.driverType !== '' || clause.figures.lengthMm !== null;
    if (
      figured &&
      clause.count === undefined &&
      clause.noun === (clause.figures.driverType ? 'screw' : '') &&
      FASTENERS.has(last.clause.kind ?? 'part') &&
      last.clause.figures.driverType === ''
    ) {
      const { driverType, lengthMm } = clause.figures;
      last.clause = {
        ...last.clause,
        figures: {
          ...last.clause.figures,
          driverType: driverType || last.clause.figures.driverType,
          lengthMm: lengthMm ?? last.clause.figures.lengthMm,
        },
      };
      continue;
    }
    if (/^(?:once|when|till|until|while|because|unless|so that|if) /.test(clause.text)) {
      last.tells.push(text);
      continue;
    }
    if (/^(?:mind|careful|watch|beware)\b/.test(clause.text) && last.clause.fate === undefined)
      last.doubts.push({ about: 'fate', fates: ['off', 'noted'] });
    if (
      /^still plugged/.test(clause.text) &&
      last.clause.kind !== 'cable' &&
      (last.clause.fate === undefined || last.clause.fate === 'off')
    ) {
      last.tells.push(text);
      last.doubts = [{ about: 'fate', fates: ['movedAside', 'off'] }];
      continue;
    }
    if (
      /^(?:they are |it is |it |is )?still plugged|^not (?:out|off|removed|unplugged)$|^only loosened$/.test(
        clause.text,
      ) &&
      (last.clause.kind === 'cable' || (last.clause.fate !== undefined && last.clause.fate !== 'off'))
    ) {
      last.tells.push(text);
      last.doubts = last.doubts.filter(({ about }) => about !== 'kind');
      if (last.clause.fate === undefined) last.clause = { ...last.clause, fate: 'loosened' };
      continue;
    }
    if (
      clause.count !== undefined &&
      clause.kind === undefined &&
      countOf(clause.text) === clause.count &&
      last.clause.count === undefined
    ) {
      last.clause = { ...last.clause, count: clause.count };
      last.doubts = last.doubts.filter(({ about }) => about !== 'count');
      continue;
    }
    if (clause.figures.ways !== '' && clause.count === undefined && /^\d+\S* ?\w*$/.test(clause.text)) {
      last.facts = { ...last.facts, ways: clause.figures.ways };
      continue;
    }
    // “The stack out: three gears” counts what was named.
    if (
      sep === ':' &&
      clause.kind === last.clause.kind &&
      last.clause.count === undefined &&
      clause.count !== undefined
    ) {
      last.clause = { ...last.clause, count: clause.count };
      continue;
    }
    const starts = startsThing(clause, sep, last);
    if (starts === 'yes') {
      things.push(thingOf(clause, sep));
      continue;
    }
    if (starts === 'no' && ['and', '&', '+', 'plus', 'with', 'then', 'but'].includes(sep) && last.tells.length === 0) {
      const whole = thingOf(readClause(`${last.clause.text} ${sep} ${text}`), last.sep);
      things[things.length - 1] = { ...whole, missing: last.missing, leaveAlone: last.leaveAlone };
      continue;
    }
    if (starts === 'maybe' && clause.kind !== undefined) last.doubts.push({ about: 'both', thing: clause.kind });
    // A number and no noun: so many of the same, or more of them.
    const { count } = clause;
    if (count !== undefined && clause.kind === undefined && !isInstruction(clause) && !clause.figures.turns) {
      const told = Number(last.facts.head ?? 0) + count;
      const whole = last.clause.count ?? 1;
      // “2 short front, 4 long rear”: four more of the same kind.
      if (
        told > whole &&
        last.facts.head === undefined &&
        last.clause.count !== undefined &&
        FASTENERS.has(last.clause.kind ?? 'part')
      ) {
        const { kind, noun } = last.clause;
        things.push(
          thingOf({ ...clause, kind, noun, what: noun, where: clause.text.replace(/^\S+ /, ''), doubts: [] }, sep),
        );
        continue;
      }
      last.facts = { ...last.facts, head: String(told) };
      if (told > whole) last.doubts.push({ about: 'count', counts: [whole, whole + count] });
    }
    if (clause.leave && clause.kind === undefined) last.doubts.push({ about: 'fate', fates: ['off', 'leftAlone'] });
    last.tells.push(text);
    last.facts = { ...last.facts, ...factsFrom(clause, []) };
    // “four screws, out” and “lid, folded back” say what was done.
    if (
      last.clause.fate === undefined &&
      clause.fate !== undefined &&
      clause.kind === undefined &&
      !isInstruction(clause)
    )
      last.clause = { ...last.clause, fate: clause.fate };
    else if (
      clause.kind === undefined &&
      clause.fate === undefined &&
      /\b(?:next|later|still to come)\b/.test(clause.text)
    )
      last.doubts.push({ about: 'fate', fates: ['off', 'noted'] });
  }
  for (const thing of things) {
    // A running sum of “2 long, 2 short” was kept there.
    if (/^\d+$/.test(thing.facts.head ?? '')) thing.facts = { ...thing.facts, head: '' };
  }
  return withSharedFates(latchesTold(coloursTold(things)));
}

/** “2 gold, 2 black screws”: what the last is called, they all are. */
function coloursTold(things: Thing[]): Thing[] {
  const named = things.find(({ clause }) => clause.kind !== undefined);
  if (!named || !FASTENERS.has(named.clause.kind ?? 'part')) return things;
  return things.map((thing) => {
    const { clause } = thing;
    if (
      clause.kind !== undefined ||
      clause.count === undefined ||
      clause.where !== '' ||
      things.indexOf(thing) > things.indexOf(named)
    )
      return thing;
    const { kind, noun } = named.clause;
    return { ...thing, clause: { ...clause, kind, noun, what: noun } };
  });
}

/** “Latch up, ribbon out”: the latch is how the ribbon is held, and comes off by no hand. */
function latchesTold(things: Thing[]): Thing[] {
  const [first, second] = things;
  if (
    first?.clause.kind !== 'tabs' ||
    second?.clause.kind !== 'connector' ||
    first.clause.count !== undefined ||
    first.clause.plural
  )
    return things;
  second.facts = { ...second.facts, latch: first.clause.text.slice(0, 200) };
  return things.slice(1);
}

/** “Lid and panel off”, “loosened a screw and a nut”: what is said once counts for all that “and” joins. */
function withSharedFates(things: Thing[]): Thing[] {
  for (let i = things.length - 2; i >= 0; i--) {
    const [one, next] = [things[i], things[i + 1]];
    if (
      one &&
      next &&
      one.clause.fate === undefined &&
      next.sep !== ',' &&
      next.sep !== ';' &&
      next.sep !== '.' &&
      next.sep !== 'with' &&
      next.sep !== 'then' &&
      next.clause.fate !== undefined
    )
      one.clause = { ...one.clause, fate: next.clause.fate };
  }
  for (let i = 1; i < things.length; i++) {
    const [before, one] = [things[i - 1], things[i]];
    if (
      before &&
      one &&
      one.clause.fate === undefined &&
      ['and', '&', '+', 'plus'].includes(one.sep) &&
      before.clause.fate !== undefined
    )
      one.clause = { ...one.clause, fate: before.clause.fate };
  }
  return things;
}

/** The words of a line as they were typed, where reading had them in lower case. */
function asTyped(words: string, line: string): string {
  return words
    .split(' ')
    .map((word) => {
      if (word === '' || /[^\p{L}\p{N}-]/u.test(word)) return word;
      return new RegExp(`(?<![\\p{L}\\p{N}])${word}(?![\\p{L}\\p{N}])`, 'iu').exec(line)?.[0] ?? word;
    })
    .join(' ');
}

function deedOf(
  thing: Thing,
  line: string,
  changed: { readonly fate?: Fate; readonly count?: number; readonly kind?: NounKind },
): Deed {
  const clause = {
    ...thing.clause,
    ...(changed.fate && { fate: changed.fate }),
    ...(changed.count !== undefined && { count: changed.count, figures: { ...thing.clause.figures, ofMany: null } }),
    ...(changed.kind && { kind: changed.kind }),
  };
  // Several that stay where they are need no number: none is claimed.
  const uncounted =
    clause.plural && clause.count === undefined && changed.count === undefined && !goesBack(clause.fate ?? 'off');
  const what = asTyped(clause.what, line);
  const where = asTyped(clause.where, line);
  const tells = thing.tells.join(', ');
  if (clause.kind === 'dirt') return { type: 'found', kind: 'dirt', what: said(line), where: '' };
  if (clause.kind === 'object')
    return {
      type: 'found',
      kind: 'object',
      what: what || clause.noun,
      where: [where, tells].filter(Boolean).join(', '),
    };
  if (clause.kind === 'disc') return { type: 'disc', where, condition: [said(line), ''].filter(Boolean).join(', ') };
  const { head: _, ...facts } = thing.facts;
  const step = stepOf(clause, line, { ...(FASTENERS.has(clause.kind ?? 'part') ? {} : { what }), where });
  const leave = thing.leaveAlone !== '' || step.fate === 'leftAlone';
  return {
    type: 'step',
    step: {
      ...step,
      ...(leave && { fate: 'leftAlone', leaveAlone: thing.leaveAlone || 'left alone' }),
      count: uncounted ? 0 : step.count + thing.missing,
      missing: step.missing + thing.missing,
      where: FASTENERS.has(clause.kind ?? 'part') ? [where, tells].filter(Boolean).join(', ') : where,
      orientation: FASTENERS.has(clause.kind ?? 'part') ? '' : tells,
      facts: { ...step.facts, ...facts },
    },
  };
}
const said = (line: string): string => line.slice(0, LINE_MAX);

const echoOf = (deed: Deed): string => {
  switch (deed.type) {
    case 'step':
      return `${stepWords(deed.step)}.`;
    case 'found':
      return deed.kind === 'dirt'
        ? `Dirt found: ${deed.what}. It needs no home.`
        : `Found: ${deed.what}${deed.where && `, ${deed.where}`}. It stays on the left-over list until it has a home.`;
    case 'disc':
      return 'A disc goes into custody: whose it is stands at Take in.';
    case 'change':
      return `${capital(TEMPORARY_CHANGE)}: ${TEMPORARY_CHANGES[deed.kind].name}. ${TEMPORARY_CHANGES[deed.kind].closes}, before ${LIMIT_WORDS[TEMPORARY_CHANGES[deed.kind].before]}.`;
    case 'changeEnds':
      return `Reversed: ${TEMPORARY_CHANGES[deed.kind].name}.`;
    case 'again':
      return `Number ${deed.number} comes off again.`;
    case 'back':
      return `Number ${deed.number} is back.`;
    case 'moment':
      return '';
  }
};
const wayOf = (does: readonly Deed[]): Way => ({
  echo:
    does.length > 1 && does.every(({ type }) => type === 'step')
      ? `${does.map((deed) => echoOf(deed).replace(/\.$/, '')).join(' · ')}.`
      : does.map(echoOf).join(' '),
  does,
});

/** The order of steps: what frees a thing comes before it, however it was said. */
function inOrder(deeds: readonly Deed[], things: readonly Thing[]): readonly Deed[] {
  const holds = (deed: Deed): boolean =>
    deed.type === 'step' &&
    ['screws', 'nuts', 'clips', 'tabs', 'connector', 'adhesive', 'springs'].includes(deed.step.kind) &&
    deed.step.fate !== 'leftAlone';
  const frees = (deed: Deed): boolean =>
    deed.type === 'step' && (deed.step.kind === 'cover' || deed.step.kind === 'part') && deed.step.fate === 'off';
  const [first, ...rest] = deeds;
  if (!first || !frees(first) || rest.some((deed) => !holds(deed)) || things.slice(1).some(({ ownFate }) => ownFate))
    return deeds;
  return [...rest, first];
}

/** The ways in which a doubtful thing may be meant. */
function variants(thing: Thing, line: string): Array<readonly Deed[]> {
  let list: Array<{
    readonly fate?: Fate;
    readonly count?: number;
    readonly kind?: NounKind;
    readonly two?: NounKind;
    readonly one?: true;
  }> = [{}];
  for (const doubt of thing.doubts) {
    const options =
      doubt.about === 'fate'
        ? doubt.fates.map((fate) => ({ fate }))
        : doubt.about === 'kind'
          ? doubt.kinds.map((kind) => ({ kind, ...(kind === 'cable' && { fate: 'loosened' as const }) }))
          : doubt.about === 'both'
            ? [{ two: doubt.thing }, { one: true as const }]
            : doubt.about === 'slip'
              ? [{}]
              : doubt.counts.length > 0
                ? doubt.counts.map((count) => ({ count }))
                : [{}, { count: thing.clause.figures.ofMany?.[0] ?? 1 }];
    list = list.flatMap((one) => options.map((option) => ({ ...one, ...option }))).slice(0, WAYS_MAX);
  }
  return list.map(({ two, one: _, ...changed }) => {
    const deed = deedOf(thing, line, changed);
    if (two === undefined) return [deed];
    const other =
      thing.clause.what.split(' ').find((word) => nounOf(word)?.kind === two) ??
      thing.clause.where.split(' ').find((word) => nounOf(word)?.kind === two);
    const late = thing.tells.find((text) => readClause(text).kind === two);
    const name = late ?? other ?? two;
    // The thing is a step of its own then, and no place.
    const alone: Deed =
      deed.type === 'step' && asRead(deed.step.where) === asRead(name)
        ? { ...deed, step: { ...deed.step, where: '' } }
        : deed;
    return [
      alone,
      {
        type: 'step',
        step: blankStep(two as StepDraft['kind'], line, {
          what: asTyped(name, line),
          fate: thing.clause.fate ?? 'off',
        }),
      },
    ];
  });
}

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
 * @example readLine('lens cover, 2 screws').ways[0].does.length // 2: two screws, and the cover
 */
export function readLine(typed: string): ReadLine | undefined {
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
    const later = /[,;].*\bfound\b/.test(text) ? readLine(line.split(/[,;]/)[0] ?? '') : undefined;
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
      FASTENERS.has(second.clause.kind ?? 'part') &&
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

const keptWay = (line: string): Way => ({
  echo: 'Neither: kept as typed, with a number.',
  does: [{ type: 'step', step: blankStep('note', line, { what: line, fate: 'off' }) }],
});
const distinct = (ways: readonly Way[]): Way[] =>
  ways.filter(({ echo }, at) => ways.findIndex((one) => one.echo === echo) === at);

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
