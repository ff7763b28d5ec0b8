import { has, type Part } from './parts';
import { thingOf, type Thing } from './thing';
import { FASTENERS } from './words';

/* What is said once for several things: how many, a colour, what was done. */

/** “Unscrewed 2 from the bracket, ph0”: how many, where and what was done are said before what of. */
export function mergeBefore(first: Thing | undefined, before: Part[]): void {
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
export function coloursTold(things: Thing[], before: readonly Part[]): Thing[] {
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
  // “One left, one right, both screws out”: they are told, and counted once.
  const told = before
    .flatMap(({ clause }) => clause.bits.flatMap(({ is, number = 0 }) => (is === 'count' ? [number] : [])))
    .reduce((sum, one) => sum + one, 0);
  if (told > 0 && told === named.clause.count && /^(?:both|all)\b/.test(named.clause.text)) return things;
  const more = before.flatMap(({ clause, sep }) =>
    clause.count !== undefined && (has(clause, 'look') || has(clause, 'where'))
      ? [thingOf({ ...clause, kind, noun, what: noun, fate: named.clause.fate }, sep)]
      : [],
  );
  return [...more, ...things];
}

/** “Latch up, ribbon out”: the latch is how the ribbon is held, and comes off by no hand. */
export function latchesTold(things: Thing[]): Thing[] {
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
export function withSharedFates(things: Thing[]): Thing[] {
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
