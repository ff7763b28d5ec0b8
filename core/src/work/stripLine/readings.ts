import { readings, tokensOf } from '../../base/spoken';
import type { Typed } from './figures';
import { meant } from './meaning';
import { bitsOf, GRAMMAR } from './rules';
import type { Said } from './said';
import { sensesOf } from './senses';
import { partsOf } from './parts';
import type { ReadLine } from './types';

/** One reading of a line, and what it makes happen. */
export interface Reading {
  readonly bits: readonly Said[];
  readonly cost: number;
  readonly read: ReadLine;
}
/** Readings that cost so much more than the best are not made out. */
const WORTH_MAKING_OUT = 0.8;

/**
 * Lines and clauses read of late: each is asked for what it does, what its words are, what it found, and at the next letter
 * its clauses are the same but one.
 */
const lately = new Map<string, ReturnType<typeof bitsOnce>>();
const MOST_KEPT = 60;

/** A line as it is read, and its likely readings, the likeliest first; its bits alone do for an account of its words. */
export function bitsRead(line: string): ReturnType<typeof bitsOnce> {
  const known = lately.get(line);
  if (known) return known;
  const read = bitsOnce(line);
  const [oldest] = lately.keys();
  if (lately.size >= MOST_KEPT && oldest !== undefined) lately.delete(oldest);
  lately.set(line, read);
  return read;
}

function bitsOnce(line: string): { readonly typed: Typed; readonly all: ReadonlyArray<Omit<Reading, 'read'>> } {
  const tokens = tokensOf(line);
  const typed: Typed = { line, tokens };
  const all = readings(tokens.length, sensesOf(tokens), GRAMMAR).map(({ value, cost }) => {
    const bits = bitsOf(value);
    return { bits, cost: partsOf(typed, bits).reduce((sum, { clause }) => sum + clause.oddness, cost) };
  });
  return { typed, all: all.sort((a, b) => a.cost - b.cost) };
}

/** The likely readings of a line with what they make happen, the likeliest first. */
export function readingsOf(line: string): { readonly typed: Typed; readonly all: readonly Reading[] } {
  const { typed, all } = bitsRead(line);
  const best = all[0]?.cost ?? 0;
  return {
    typed,
    all: all
      .filter(({ cost }) => cost - best < WORTH_MAKING_OUT)
      .map((one): Reading => ({ ...one, read: meant(typed, one.bits) })),
  };
}
