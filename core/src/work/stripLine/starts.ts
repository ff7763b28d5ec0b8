import type { Clause } from './clause';
import { has } from './parts';
import type { Thing } from './thing';
import { FASTENERS, LIES, ORDERED, PARTS_WITHIN } from './words';

/** What may be a tool as well as a part. */
const MAY_BE_TOOL = /^(?:hook|card|magnet|key|pin|pen|pencil|shim)$/;
/** Held out of the way while something else comes off: it is no step. */
const HANDLES = /^(?:latch|catch|lever|hook|tab|claw|tongue|lug|pin|button|bar)$/;

/** “Push up”, “slide the latch”: how it is got out. */
export const isOrder = ({ bits }: Clause): boolean => {
  const first = bits.find(({ is }) => is !== 'idle');
  return (
    (first?.is === 'done' && ORDERED.has(first.verb ?? '')) ||
    (first?.is === 'toward' && bits[1]?.is === 'thing' && first.noun === 'aside')
  );
};

/** Whether a later clause is a thing of its own rather than a word about the one before. */
export function startsThing(clause: Clause, sep: string, last: Thing): 'yes' | 'maybe' | 'no' {
  const { kind, noun } = clause;
  if (kind === undefined || kind === 'tool' || kind === 'look' || sep === 'when') return 'no';
  if (sep === 'after') return clause.count !== undefined && FASTENERS.has(kind) ? 'yes' : 'no';
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
  // “Left hook up”: how the spring lay.
  if (
    HANDLES.test(noun) &&
    clause.count === undefined &&
    !has(clause, 'done') &&
    clause.bits.some(({ is, verb }) => is === 'toward' && /^(?:up|down|over)$/.test(verb ?? ''))
  )
    return 'no';
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
  // “Belt is a stopgap, a rubber band”: the same thing by another name.
  if (
    clause.bare &&
    clause.kind === last.clause.kind &&
    !clause.plural &&
    has(last.clause, 'how') &&
    last.clause.count === undefined
  )
    return 'no';
  if (has(clause, 'mind')) return 'no';
  if (has(clause, 'how') && clause.fate === 'noted') return counted ? 'yes' : 'maybe';
  if (sep === 'with') {
    if (MAY_BE_TOOL.test(noun) && !counted) return 'no';
    return counted
      ? 'yes'
      : /^(?:its|the|a|an) /.test(clause.text)
        ? last.clause.fate === undefined
          ? 'yes'
          : // “Lifted off with its pulley”: they stay together.
            /^its /.test(clause.text)
            ? 'no'
            : 'maybe'
        : 'no';
  }
  if (sep === 'and' || sep === 'then') return last.clause.kind === undefined ? 'no' : 'yes';
  if (clause.guessed && !counted) return 'no';
  if (counted || clause.figures.driverType !== '' || clause.fate !== undefined || clause.leave) return 'yes';
  return clause.bare || FASTENERS.has(kind) || kind === 'springs' ? 'maybe' : 'no';
}
