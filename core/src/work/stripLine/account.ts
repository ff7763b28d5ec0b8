import { tokensOf, wordsTaken, type Accounted, type WordRole } from '../../base/spoken';
import { bitsRead } from './readings';
import type { Said } from './said';
import { isKnown } from './senses';

const ROLE_OF: Readonly<Partial<Record<Said['is'], WordRole>>> = {
  thing: 'thing',
  count: 'count',
  vague: 'count',
  missing: 'count',
  each: 'count',
  turns: 'count',
  figure: 'how',
  where: 'place',
  viewedFrom: 'place',
  parkedAt: 'place',
  done: 'done',
  toward: 'done',
  leave: 'done',
  driver: 'driver',
  thread: 'driver',
  length: 'driver',
  ways: 'how',
  direction: 'how',
  how: 'how',
  look: 'how',
  mind: 'minded',
  deny: 'denied',
  others: 'others',
  toCome: 'minded',
  strange: 'notKnown',
};

/** What the tokens of one bit are taken for, each. */
function* rolesOf(bit: Said): Generator<readonly [token: number, role: WordRole]> {
  const role: WordRole = bit.kind === 'power' ? 'power' : (ROLE_OF[bit.is] ?? 'idle');
  for (let at = bit.from; at < bit.to; at++) yield [at, role];
  if (bit.count) yield* rolesOf(bit.count);
  for (const look of bit.looks ?? []) yield* rolesOf(look);
}

const DETERMINER = /^(?:the|an?|its|their|this|that|these|those|of|x|×|\*)$/;

/**
 * Every word of a line with what it is taken for in the likeliest reading: none is left out. What is not known stands marked,
 * and may be the name of a part or a place.
 *
 * @example accountOf('4 ph1 underside').map(({ role }) => role) // ['count', 'driver', 'place']
 */
export function accountOf(line: string): readonly Accounted[] {
  const tokens = tokensOf(line);
  const roles = new Map<number, WordRole>();
  for (const bit of bitsRead(line).all[0]?.bits ?? []) for (const [at, role] of rolesOf(bit)) roles.set(at, role);
  tokens.forEach(({ word }, at) => {
    if (DETERMINER.test(word) && roles.get(at) !== 'count') roles.set(at, 'idle');
    if (/\p{L}/u.test(word) && !isKnown(word)) roles.set(at, 'notKnown');
  });
  return wordsTaken(
    line,
    tokens.map(({ from, to }, at) => ({ from, to, role: roles.get(at) ?? 'idle' })),
  );
}
