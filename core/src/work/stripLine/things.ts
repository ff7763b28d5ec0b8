import { wordsOf, type Typed } from './figures';
import { correct } from './correct';
import { coloursTold, latchesTold, mergeBefore, withSharedFates } from './joined';
import { has, only, SIDE, type Part } from './parts';
import { startsThing } from './starts';
import { tell } from './tell';
import { thingOf, type Thing } from './thing';
import { FASTENERS } from './words';

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
      // “Upper deck: 2 ph0” says of which deck.
      const of =
        clause.bare && parts[at + 1]?.sep === ':' && /^(?:deck|deck unit|unit|side|mechanism)$/.test(clause.noun);
      if (
        !of &&
        clause.kind !== undefined &&
        clause.kind !== 'tool' &&
        sep !== 'when' &&
        !(
          only(clause, 'driver') &&
          parts
            .slice(at + 1)
            .some((later) => FASTENERS.has(later.clause.kind ?? 'part') && later.clause.count !== undefined)
        )
      ) {
        push(part);
        const [first] = things;
        mergeBefore(first, before);
        const side = before.at(-1)?.clause;
        // “The left and the right spring” are two.
        if (
          first &&
          sep === 'and' &&
          side &&
          only(side, 'where') &&
          SIDE.test(side.where) &&
          first.clause.count === undefined &&
          !first.clause.plural
        ) {
          first.clause = { ...first.clause, count: 2 };
          before.pop();
        }
        // “Ph1, 3 screws”: what drives them is said first.
        const driver = before.findLast(({ clause: told }) => only(told, 'driver'))?.clause.figures.driverType;
        if (first && driver !== undefined && first.clause.figures.driverType === '')
          first.clause = { ...first.clause, figures: { ...first.clause.figures, driverType: driver } };
        // “Earlier repair, wire cut”: it was so before any hand of ours.
        if (others)
          for (const thing of things)
            if (thing.clause.missing === 0)
              Object.assign(thing, { clause: { ...thing.clause, fate: 'noted' }, doubts: [] });
            else Object.assign(thing, { clause: { ...thing.clause, fate: 'off' }, doubts: [] });
        // “Underneath: four screws” says the place first; “right, four out” says nothing.
        for (const told of before)
          if (first && (has(told.clause, 'where') || told.clause.bare)) first.tells.unshift(told.clause.text);
      } else before.push(part);
      continue;
    }
    if (sep === 'correct') {
      correct(things, part, typed);
      continue;
    }
    if (
      (sep === ':' || (sep === ',' && last.clause.bare)) &&
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
      const side = last.clause.bits.find(({ is }) => is === 'each');
      const across = SIDE.test(where) && SIDE.test(last.clause.where);
      if (across) last.doubts = last.doubts.filter(({ about }) => about !== 'fate');
      if (alike && (sep === 'and' || last.tells.length === 0)) {
        last.clause = {
          ...last.clause,
          count: (last.clause.count ?? 0) + (clause.count ?? 0),
          where: [last.clause.where || (side ? wordsOf(typed, side) : ''), `${clause.count ?? ''} ${clause.where}`]
            .filter((words) => words !== '')
            .join(', '),
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
    // “Four feet, each with a screw”.
    const earlier = parts[at - 1]?.clause;
    if (sep === 'with' && earlier?.text === 'each' && clause.kind !== undefined && last.clause.count !== undefined) {
      push({ sep, clause: { ...clause, count: last.clause.count * (clause.count ?? 1) } });
      continue;
    }
    // “Screws: 3, clips: 2”.
    if (next?.sep === ':' && clause.bare && clause.kind !== undefined) {
      push(part);
      continue;
    }
    // “A screw and a clip on each side”: as many of either.
    const each = clause.bits.find(({ is, number }) => is === 'each' && number !== undefined)?.number;
    if (
      each !== undefined &&
      sep === 'and' &&
      clause.kind !== undefined &&
      last.clause.count === undefined &&
      !last.clause.plural
    )
      last.clause = { ...last.clause, count: each };
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
