import { clauseOf } from './clause';
import { wordsOf, type Typed } from './figures';
import { has, only, type Part } from './parts';
import { isOrder } from './starts';
import { factsFrom } from './steps';
import { thingOf, type Thing } from './thing';
import { FASTENERS } from './words';
import type { Said } from './said';

const JOINED = ['and', 'then', 'but', 'with'];

/** A later clause that is no thing: what it adds to the one before. */
export function tell(last: Thing, { sep, clause }: Part, typed: Typed): void {
  const { text, figures } = clause;
  if (only(clause, 'missing')) {
    const { missing } = clause;
    const looks = last.clause.heads.includes('long') || /\blong\b/.test(last.tells.join(' '));
    if (!looks) last.missing += missing;
    else last.tells.push(text);
    return;
  }
  if (sep === 'when' || sep === 'after') {
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
  // “All but one”: of how many is not said.
  if (has(clause, 'vague') && clause.kind === undefined && last.clause.count === undefined && last.clause.plural) {
    last.tells.push(text);
    last.doubts = [...last.doubts.filter(({ about }) => about !== 'count'), { about: 'count', counts: [2, 3, 4] }];
    return;
  }
  // “2 each”: of so many as there are of what they hold.
  if (
    only(clause, 'count') &&
    /\b(?:each|apiece)$/.test(text) &&
    clause.count !== undefined &&
    last.clause.count === undefined
  ) {
    last.tells.push(text);
    last.doubts = [
      ...last.doubts.filter(({ about }) => about !== 'count'),
      { about: 'count', counts: [2 * clause.count, 4 * clause.count, clause.count] },
    ];
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
  // “Slides back, then up”: still how it is got out.
  const goesOn =
    sep === 'then' &&
    last.tells.length > 0 &&
    only(clause, 'toward', 'where') &&
    !clause.bits.some(({ is, away }) => is === 'toward' && away);
  if (isOrder(clause) || goesOn) {
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
