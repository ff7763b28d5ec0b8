import { clauseOf, type Clause } from './clause';
import { type Typed } from './figures';
import { keyOf } from './rules';
import type { Said } from './said';

export interface Part {
  /** What parts it from the clause before. */
  readonly sep: string;
  readonly clause: Clause;
}

/** Clauses that were made out already: readings of one line share most of theirs. */
const madeOut = new WeakMap<Typed, Map<string, Clause>>();

function clauseAmong(typed: Typed, bits: readonly Said[]): Clause {
  const key = bits.map(keyOf).join(' ');
  const of = madeOut.get(typed) ?? new Map<string, Clause>();
  madeOut.set(typed, of);
  const known = of.get(key);
  if (known) return known;
  const clause = clauseOf(typed, bits);
  of.set(key, clause);
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

/** Whether something is said in a clause. */
export const has = (clause: Clause | undefined, ...of: ReadonlyArray<Said['is']>): boolean =>
  clause?.bits.some(({ is }) => of.includes(is)) ?? false;
/** Whether nothing else is said in it. */
export const only = ({ bits }: Clause, ...of: ReadonlyArray<Said['is']>): boolean =>
  bits.every(({ is }) => is === 'idle' || is === 'pronoun' || of.includes(is));

/** A side of the machine, and nothing else. */
export const SIDE = /^(?:left|right|front|rear|back|top|bottom)(?: side)?$/;
