import { goesBack, type StepDraft } from '../strip';
import { clauseOf, wordsOf, type Clause, type Typed } from './clause';
import { factsFrom } from './steps';
import { keyOf } from './rules';
import type { Said } from './said';
import type { Doubt } from './types';
import { FASTENERS, LIES, ORDERED, PARTS_WITHIN, type NounKind } from './words';

/** More of one kind than any machine has: asked about once. */
const MANY = 60;

/** A thing of a line: its clause, what later clauses add, and what is in doubt. */
export interface Thing {
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

export interface Part {
  /** What parts it from the clause before. */
  readonly sep: string;
  readonly clause: Clause;
}

function clauseAmong(typed: Typed, bits: readonly Said[]): Clause {
  const key = bits.map(keyOf).join(' ');
  const known = typed.clauses.get(key);
  if (known) return known;
  const clause = clauseOf(typed, bits);
  typed.clauses.set(key, clause);
  return clause;
}

/** The clauses of a line that was read. */
export function partsOf(typed: Typed, bits: readonly Said[]): readonly Part[] {
  const parts: Array<{ sep: string; bits: Said[] }> = [{ sep: '', bits: [] }];
  for (const bit of bits) {
    if (bit.is === 'separator') parts.push({ sep: bit.noun ?? ',', bits: [] });
    else {
      const open = parts.at(-1) as { sep: string; bits: Said[] };
      // “Lid straight up seven screws”: what is counted after a deed is said anew.
      const anew =
        bit.is === 'thing' &&
        bit.count !== undefined &&
        open.bits.some(({ is }) => is === 'thing') &&
        open.bits.some(({ is }) => is === 'done' || is === 'toward');
      if (anew) parts.push({ sep: ',', bits: [bit] });
      else open.bits.push(bit);
    }
  }
  // “, with a hook”: the word says more than the comma before it.
  return parts.flatMap(({ sep, bits: own }, at) => {
    const before = parts[at - 1];
    const said = (sep === ',' || sep === ':') && before?.bits.length === 0 ? before.sep || sep : sep;
    return own.length === 0 ? [] : [{ sep: said, clause: clauseAmong(typed, own) }];
  });
}

const PARTLESS: ReadonlySet<NounKind> = new Set(['dirt', 'disc', 'object', 'power']);
const CERTAIN: ReadonlySet<NounKind> = new Set(['dirt', 'object']);

function thingOf(clause: Clause, sep: string): Thing {
  const { kind, figures } = clause;
  const doubts = kind !== undefined && CERTAIN.has(kind) ? [] : [...clause.doubts];
  const counted = clause.count !== undefined || figures.ofMany !== null;
  let { fate } = clause;
  if (kind !== undefined && !PARTLESS.has(kind)) {
    if (
      !counted &&
      (clause.plural || clause.vague) &&
      !doubts.some(({ about }) => about === 'count') &&
      goesBack(fate ?? 'off')
    )
      doubts.push({ about: 'count', counts: [2, 3, 4] });
    if ((clause.count ?? 0) > MANY) doubts.push({ about: 'fate', fates: ['off', 'noted'] });
    if (kind === 'cable' && (fate === 'off' || fate === undefined || fate === 'pulled'))
      doubts.push({ about: 'kind', kinds: ['connector', 'cable'] });
    if (figures.ofMany) doubts.push({ about: 'count', counts: [] });
    if (figures.turns !== '' && FASTENERS.has(kind) && (fate === undefined || fate === 'off')) fate = 'loosened';
    else if (figures.turns !== '' && fate === undefined && kind !== 'belt' && kind !== 'wire') fate = 'turned';
  }
  return {
    clause: { ...clause, fate },
    sep,
    tells: [],
    missing: 0,
    leaveAlone: '',
    doubts,
    facts: {},
    ownFate: clause.fate !== undefined,
  };
}

const has = ({ bits }: Clause, ...of: ReadonlyArray<Said['is']>): boolean => bits.some(({ is }) => of.includes(is));
const only = ({ bits }: Clause, ...of: ReadonlyArray<Said['is']>): boolean =>
  bits.every(({ is }) => is === 'idle' || is === 'pronoun' || of.includes(is));
const SIDE = /^(?:left|right|front|rear|back|top|bottom)$/;
const JOINED = ['and', 'then', 'but', 'with'];
/** What may be a tool as well as a part. */
const MAY_BE_TOOL = /^(?:hook|card|magnet|key|pin|pen|pencil|shim)$/;
/** Held out of the way while something else comes off: it is no step. */
const HANDLES = /^(?:latch|catch|lever|hook|tab|claw|tongue|lug|pin|button|bar)$/;

/** “Push up”, “slide the latch”: how it is got out. */
const isOrder = ({ bits }: Clause): boolean => {
  const first = bits.find(({ is }) => is !== 'idle');
  return (
    (first?.is === 'done' && ORDERED.has(first.verb ?? '')) ||
    (first?.is === 'toward' && bits[1]?.is === 'thing' && first.noun === 'aside')
  );
};

/** Whether a later clause is a thing of its own rather than a word about the one before. */
function startsThing(clause: Clause, sep: string, last: Thing): 'yes' | 'maybe' | 'no' {
  const { kind, noun } = clause;
  if (kind === undefined || kind === 'tool' || kind === 'look' || sep === 'when') return 'no';
  if (isOrder(clause) || clause.none) return 'no';
  if (has(clause, 'turns') && !has(clause, 'thing')) return 'no';
  // “Wires up”, “pin 1 left”: how the plug lay.
  const lay = has(clause, 'toward', 'where') && !has(clause, 'done') && clause.fate !== 'off';
  if (
    LIES.test(noun) &&
    clause.count === undefined &&
    last.clause.kind === 'connector' &&
    (lay || (noun === 'pin' && !has(clause, 'done', 'toward')))
  )
    return 'no';
  if (
    PARTS_WITHIN.test(noun) &&
    clause.count !== undefined &&
    (last.clause.kind === 'connector' || last.clause.kind === 'gear') &&
    !has(clause, 'done')
  )
    return sep === 'with' && noun !== 'wire' ? 'no' : 'maybe';
  const counted = (clause.count ?? 0) > 0;
  const handled =
    HANDLES.test(noun) &&
    !counted &&
    clause.bits.some(
      ({ is, done }) =>
        is === 'done' &&
        (done === 'off' || done === 'free' || done === 'movedAside' || done === 'lift' || done === 'turned'),
    );
  if (handled && clause.bits[0]?.is === 'done') return 'no';
  // “Latch flips up”: how the ribbon is let go.
  if (handled && last.clause.kind === 'connector' && sep === ',') return 'no';
  if (has(clause, 'mind')) return 'no';
  if (has(clause, 'how') && clause.fate === 'noted') return counted ? 'yes' : 'maybe';
  if (sep === 'with') {
    if (MAY_BE_TOOL.test(noun) && !counted) return 'no';
    return counted
      ? 'yes'
      : /^(?:its|the|a|an) /.test(clause.text)
        ? last.clause.fate === undefined
          ? 'yes'
          : 'maybe'
        : 'no';
  }
  if (sep === 'and' || sep === 'then') return last.clause.kind === undefined ? 'no' : 'yes';
  if (clause.guessed && !counted) return 'no';
  if (counted || clause.figures.driverType !== '' || clause.fate !== undefined || clause.leave) return 'yes';
  return clause.bare || FASTENERS.has(kind) || kind === 'springs' ? 'maybe' : 'no';
}

/** A later clause that is no thing: what it adds to the one before. */
function tell(last: Thing, { sep, clause }: Part, typed: Typed): void {
  const { text, figures } = clause;
  if (only(clause, 'missing')) {
    const { missing } = clause;
    const looks = last.clause.heads.includes('long') || /\blong\b/.test(last.tells.join(' '));
    if (!looks) last.missing += missing;
    else last.tells.push(text);
    return;
  }
  if (sep === 'when') {
    last.tells.push(
      wordsOf(typed, { from: (clause.bits[0] as Said).from - 1, to: (clause.bits.at(-1) as Said).to }).toLowerCase(),
    );
    return;
  }
  if (only(clause, 'leave', 'deny', 'toward', 'done') && (clause.leave || has(clause, 'deny'))) {
    const slack = last.clause.fate === 'loosened' || last.clause.kind === 'cable';
    const undone =
      last.clause.bits.some(({ is, done }) => is === 'done' && done === 'off') &&
      FASTENERS.has(last.clause.kind ?? 'part') &&
      /^left/.test(text);
    if (slack || undone) {
      last.tells.push(text);
      last.doubts = last.doubts.filter(({ about }) => about !== 'kind');
      if (last.clause.fate === undefined || last.clause.fate === 'off')
        last.clause = { ...last.clause, fate: 'loosened' };
    } else if (last.clause.fate !== undefined && last.clause.fate !== 'off' && last.clause.fate !== 'noted')
      last.tells.push(text);
    else if (/plugged|attached/.test(text)) {
      last.tells.push(text);
      last.doubts = [{ about: 'fate', fates: ['movedAside', 'off'] }];
    } else if (last.ownFate && last.clause.fate === 'off') {
      last.tells.push(text);
      last.doubts.push({ about: 'fate', fates: ['leftAlone', 'off'] });
    } else {
      last.leaveAlone = text;
      last.doubts = last.doubts.filter(({ about }) => about !== 'fate');
    }
    return;
  }
  if (
    only(clause, 'driver', 'length', 'thread', 'look') &&
    has(clause, 'driver', 'length', 'thread') &&
    FASTENERS.has(last.clause.kind ?? 'part')
  ) {
    const own = last.clause.figures;
    last.clause = {
      ...last.clause,
      figures: {
        ...own,
        driverType: own.driverType || figures.driverType,
        lengthMm: own.lengthMm ?? figures.lengthMm,
        thread: own.thread || figures.thread,
      },
    };
    return;
  }
  if (only(clause, 'count') && last.clause.count === undefined && clause.count !== undefined) {
    last.clause = { ...last.clause, count: clause.count };
    last.doubts = last.doubts.filter(({ about }) => about !== 'count');
    return;
  }
  if (only(clause, 'ways') && figures.ways !== '') {
    last.facts = { ...last.facts, ways: figures.ways };
    return;
  }
  // “Up and over”, “unlatched and out”, “four screws, out”: what was done is said of the same thing.
  if (isOrder(clause)) {
    last.tells.push(text);
    last.facts = { ...last.facts, ...factsFrom(clause, []) };
    return;
  }
  if (only(clause, 'deny', 'how') && has(clause, 'deny') && has(clause, 'how')) {
    last.tells.push(text);
    return;
  }
  if (only(clause, 'how') && last.leaveAlone !== '' && /^(?:loose|slack)$/.test(text)) {
    last.leaveAlone = '';
    last.tells.push(text);
    last.clause = { ...last.clause, fate: 'loosened' };
    return;
  }
  if (only(clause, 'how') && last.clause.leave && /^(?:loose|slack)$/.test(text)) {
    last.tells.push(text);
    last.clause = { ...last.clause, fate: 'loosened', leave: false };
    return;
  }
  if (sep === 'with' && clause.leave) {
    last.leaveAlone = text;
    last.doubts = last.doubts.filter(({ about }) => about !== 'fate');
    return;
  }
  if (
    only(clause, 'done', 'toward', 'where', 'turns', 'direction', 'viewedFrom', 'parkedAt') &&
    has(clause, 'done', 'toward')
  ) {
    // “Long end up” is how it lay.
    const lay =
      clause.bits[0]?.is === 'where' &&
      !has(clause, 'done') &&
      !clause.bits.some(({ is, away }) => is === 'toward' && away);
    if (!lay && (JOINED.includes(sep) || last.clause.fate === undefined || has(last.clause, 'how'))) {
      const whole = thingOf(clauseOf(typed, [...last.clause.bits, ...clause.bits]), last.sep);
      last.clause = {
        ...whole.clause,
        count: last.clause.count ?? whole.clause.count,
        figures: {
          ...whole.clause.figures,
          driverType: last.clause.figures.driverType || whole.clause.figures.driverType,
        },
      };
      last.doubts =
        last.clause.count === undefined ? whole.doubts : whole.doubts.filter(({ about }) => about !== 'count');
      return;
    }
  }
  // “Bracket with motor off”: what is said of both.
  if (sep === 'with' && has(clause, 'done', 'toward') && last.clause.fate === undefined)
    last.clause = { ...last.clause, fate: clause.fate };
  // “Not off, only bent up”: what was done instead.
  if (has(last.clause, 'deny') && clause.fate !== undefined && clause.kind === undefined) {
    last.clause = { ...last.clause, fate: clause.fate };
    last.tells.push(text);
    return;
  }
  const { count } = clause;
  if (count !== undefined && clause.kind === undefined && figures.turns === '') {
    const told = Number(last.facts.head ?? 0) + count;
    const all = last.clause.count ?? 1;
    last.facts = { ...last.facts, head: String(told) };
    if (told > all) last.doubts.push({ about: 'count', counts: [all, all + count] });
  } else if (clause.bits.some(({ is, number = 0 }) => is === 'count' && number > 1) && clause.kind !== undefined)
    last.doubts.push({ about: 'fate', fates: ['off', 'noted'] });
  if (has(clause, 'toCome')) last.doubts.push({ about: 'fate', fates: ['off', 'noted'] });
  if (has(clause, 'mind') && last.clause.fate === undefined)
    last.doubts.push({ about: 'fate', fates: ['off', 'noted'] });
  if (has(clause, 'leave', 'deny', 'others') && clause.kind === undefined)
    last.doubts.push({ about: 'fate', fates: ['off', 'leftAlone'] });
  last.tells.push(text);
  last.facts = { ...last.facts, ...factsFrom(clause, []) };
}

/**
 * The clauses of a line gathered into things: what is a thing of its own, and what only tells more of the one before.
 *
 * @returns the things, and clauses before any of them that say no more than where or how
 */
export function thingsOf(
  typed: Typed,
  parts: readonly Part[],
): { readonly things: Thing[]; readonly before: readonly Part[] } {
  const things: Thing[] = [];
  const before: Part[] = [];
  const push = (part: Part): void => {
    things.push(thingOf(part.clause, part.sep), ...part.clause.beside.map((clause) => thingOf(clause, 'and')));
  };
  for (const [at, part] of parts.entries()) {
    const { clause, sep } = part;
    if (only(clause)) continue;
    const others = before.some(({ clause: told }) => has(told, 'others'));
    const last = things.at(-1);
    if (!last) {
      if (clause.kind !== undefined && clause.kind !== 'tool') {
        push(part);
        const [first] = things;
        mergeBefore(first, before);
        // “Earlier repair, wire cut”: it was so before any hand of ours.
        if (others)
          for (const thing of things)
            if (thing.clause.missing === 0)
              Object.assign(thing, { clause: { ...thing.clause, fate: 'noted' }, doubts: [] });
            else Object.assign(thing, { clause: { ...thing.clause, fate: 'off' }, doubts: [] });
        // “Underneath: four screws” says the place first; “right, four out” says nothing.
        for (const told of before) if (first && has(told.clause, 'where')) first.tells.unshift(told.clause.text);
      } else before.push(part);
      continue;
    }
    if (sep === 'correct') {
      correct(things, part, typed);
      continue;
    }
    if (
      sep === ':' &&
      clause.kind === last.clause.kind &&
      last.clause.count === undefined &&
      clause.count !== undefined
    ) {
      last.clause = { ...last.clause, count: clause.count };
      last.doubts = last.doubts.filter(({ about }) => about !== 'count');
      continue;
    }
    // “2 short front, 4 long rear”: four more of the same kind.
    const more =
      clause.kind === undefined &&
      clause.count !== undefined &&
      clause.count > 0 &&
      FASTENERS.has(last.clause.kind ?? 'part') &&
      last.clause.count !== undefined &&
      has(clause, 'where') &&
      !has(clause, 'strange', 'mind') &&
      (sep === 'and' ||
        Number(last.facts.head ?? 0) + clause.count > last.clause.count ||
        (SIDE.test(clause.where) && SIDE.test(last.clause.where)));
    if (more) {
      const { kind, noun } = last.clause;
      const where = clause.where.replace(/^(?:at|on|in) (?:the )?/, '');
      const alike = clause.heads.length === 0 && last.clause.heads.length === 0 && clause.figures.driverType === '';
      const across = SIDE.test(where) && SIDE.test(last.clause.where);
      if (across) last.doubts = last.doubts.filter(({ about }) => about !== 'fate');
      if (alike && (sep === 'and' || last.tells.length === 0)) {
        last.clause = {
          ...last.clause,
          count: (last.clause.count ?? 0) + (clause.count ?? 0),
          where: `${last.clause.where}, ${clause.count ?? ''} ${where}`.replace(/^, /, ''),
        };
        if (sep !== 'and' && !across)
          last.doubts.push({
            about: 'count',
            counts: [last.clause.count ?? 1, (last.clause.count ?? 1) - (clause.count ?? 0)],
          });
        continue;
      }
      if (sep === 'and' || !/^(?:below|above)/.test(where)) {
        things.push(
          thingOf(
            {
              ...clause,
              kind,
              noun,
              what: noun,
              where: [...clause.heads, where].join(' ').trim(),
              fate: last.clause.fate,
              doubts: [],
            },
            sep,
          ),
        );
        continue;
      }
    }
    // “Screws: 2 left, 2 right, 1 top”, “springs, 2 blue 2 black”: so many of what was named without a number.
    const counts = clause.bits.flatMap((bit) => (bit.is === 'count' && bit.number !== undefined ? [bit.number] : []));
    if (
      clause.kind === undefined &&
      counts.length > 0 &&
      last.clause.plural &&
      (last.clause.count === undefined || last.facts.head === 'sum') &&
      has(clause, 'where', 'look') &&
      !has(clause, 'strange')
    ) {
      last.clause = { ...last.clause, count: counts.reduce((all, one) => all + one, last.clause.count ?? 0) };
      last.facts = { ...last.facts, head: 'sum' };
      last.tells.push(clause.text);
      last.doubts = last.doubts.filter(({ about }) => about !== 'count');
      continue;
    }
    const figured =
      only(clause, 'driver', 'length', 'thread', 'look') &&
      FASTENERS.has(last.clause.kind ?? 'part') &&
      last.clause.figures.driverType === '';
    // “Lid, shield and bridge off”: a list, joined at its end.
    const next = parts[at + 1];
    if (clause.bare && last.clause.bare && sep === ',' && next?.sep === 'and' && next.clause.kind !== undefined) {
      push({ ...part, sep: 'and' });
      continue;
    }
    const starts = figured ? 'no' : startsThing(clause, sep, last);
    if (starts === 'yes') {
      push(part);
      continue;
    }
    if (starts === 'maybe' && clause.kind !== undefined)
      last.doubts.push({
        about: 'both',
        thing: clause.kind,
        ...(clause.count !== undefined && { count: clause.count }),
      });
    tell(last, part, typed);
  }
  for (const thing of things)
    if (/^(?:\d+|sum)$/.test(thing.facts.head ?? '')) thing.facts = { ...thing.facts, head: '' };
  return { things: withSharedFates(latchesTold(coloursTold(things, before))), before };
}

/** What is said anew: how many, the thing of the same kind, or what was done with the last. */
function correct(things: Thing[], { sep, clause }: Part, typed: Typed): void {
  const at = Math.max(
    0,
    things.findLastIndex((thing) => clause.kind !== undefined && thing.clause.kind === clause.kind),
  );
  const old =
    clause.kind === undefined
      ? (things.findLast((thing) => clause.count === undefined || thing.clause.count !== undefined) ?? things.at(-1))
      : things[at];
  if (!old) return;
  if (clause.kind !== undefined) {
    const same = old.clause.kind === clause.kind;
    const where = clause.where || (same ? old.clause.where : '');
    const thing = thingOf({ ...clause, where, fate: clause.fate ?? (same ? old.clause.fate : undefined) }, sep);
    things[same ? at : things.length - 1] = { ...thing, sep: old.sep };
    return;
  }
  if (clause.count !== undefined && !has(clause, 'done', 'toward', 'leave')) {
    old.clause = { ...old.clause, count: clause.count };
    old.doubts = old.doubts.filter(({ about }) => about !== 'count');
    return;
  }
  const kept = old.clause.bits.filter(({ is }) => !['done', 'toward', 'leave', 'deny', 'how'].includes(is));
  const loose = clause.bits.map((bit): Said =>
    bit.is === 'how' && /^(?:loose|slack)$/.test(bit.verb ?? '') ? { ...bit, is: 'done', done: 'loosened' } : bit,
  );
  const whole = thingOf(clauseOf(typed, [...kept, ...loose]), old.sep);
  old.clause = whole.clause;
  old.doubts = whole.doubts;
}

/** “Unscrewed 2 from the bracket, ph0”: how many, where and what was done are said before what of. */
function mergeBefore(first: Thing | undefined, before: Part[]): void {
  const last = before.at(-1);
  if (
    !first ||
    !last ||
    first.clause.count !== undefined ||
    last.clause.count === undefined ||
    !FASTENERS.has(first.clause.kind ?? 'part')
  )
    return;
  const { count, where, fate } = last.clause;
  first.clause = {
    ...first.clause,
    count,
    where: [first.clause.where, where.replace(/^from (?:the )?/, '')].filter(Boolean).join(' '),
    fate: first.clause.fate ?? fate,
  };
  first.doubts = first.doubts.filter(({ about }) => about !== 'count');
  before.pop();
}

/** “2 gold, 2 black screws”: what the last is called, they all are. */
function coloursTold(things: Thing[], before: readonly Part[]): Thing[] {
  const named = things.find(({ clause }) => FASTENERS.has(clause.kind ?? 'part'));
  if (!named) return things;
  const { kind, noun } = named.clause;
  const [at] = before.flatMap(({ clause }, i) =>
    clause.count !== undefined &&
    (has(clause, 'look') || has(clause, 'where')) &&
    named.sep === 'and' &&
    i === before.length - 1
      ? [clause]
      : [],
  );
  // “4 outer and 2 inner screws” are six.
  if (at?.count !== undefined && named.clause.count !== undefined) {
    named.clause = {
      ...named.clause,
      count: at.count + named.clause.count,
      where: [at.text, named.clause.where].filter(Boolean).join(' and '),
    };
    return things;
  }
  const more = before.flatMap(({ clause, sep }) =>
    clause.count !== undefined && (has(clause, 'look') || has(clause, 'where'))
      ? [thingOf({ ...clause, kind, noun, what: noun, fate: named.clause.fate }, sep)]
      : [],
  );
  return [...more, ...things];
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
    if (one && next && one.clause.fate === undefined && next.sep === 'and' && next.clause.fate !== undefined)
      one.clause = { ...one.clause, fate: next.clause.fate };
  }
  for (let i = 1; i < things.length; i++) {
    const [before, one] = [things[i - 1], things[i]];
    if (before && one && one.clause.fate === undefined && one.sep === 'and' && before.clause.fate !== undefined)
      one.clause = { ...one.clause, fate: before.clause.fate };
  }
  return things;
}
