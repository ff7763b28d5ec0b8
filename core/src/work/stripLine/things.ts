import { goesBack, type StepDraft } from '../strip';
import { countOf, readClause, type Clause } from './clause';
import { factsFrom, isInstruction, isOnlyLeave, isTool } from './ofClause';
import type { Doubt } from './types';
import { FASTENER_KINDS, type NounKind } from './vocabulary';

/** More of one kind than any machine has: asked about once. */
const MANY = 60;

const BELT_FOUND =
  /\b(?:in (?:crumbs|pieces|bits|shreds)|crumbled|dissolved|melted|gone|gooey|sticky mess|turned to|snapped|broken|perished|to tar|to goo)\b/;
const splitAt =
  /(?<!\d),|,(?!\d)|;|\.\s+(?=\S)|:\s|\s[–—-]\s|\s(?:and|then|&|\+|plus|with|but|(?:held|fixed|secured) by)\s/gi;

interface Piece {
  readonly sep: string;
  readonly text: string;
}
export function pieces(typed: string): Piece[] {
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
      FASTENER_KINDS.has(clause.kind) &&
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
export function thingsOf(line: string): Thing[] {
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
    // Slackened and left in is no less slackened.
    if (isOnlyLeave(clause) && last.clause.fate === 'loosened') {
      last.tells.push(text);
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
      FASTENER_KINDS.has(last.clause.kind ?? 'part') &&
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
        FASTENER_KINDS.has(last.clause.kind ?? 'part')
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
  if (!named || !FASTENER_KINDS.has(named.clause.kind ?? 'part')) return things;
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
