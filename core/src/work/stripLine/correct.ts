import { clauseOf } from './clause';
import { type Typed } from './figures';
import { has, only, type Part } from './parts';
import type { Said } from './said';
import { thingOf, type Thing } from './thing';

/** What is said anew: how many, the thing of the same kind, or what was done with the last. */
export function correct(things: Thing[], { sep, clause }: Part, typed: Typed): void {
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
  if (clause.count === undefined && only(clause, 'where', 'look') && has(clause, 'where')) {
    old.clause = { ...old.clause, where: clause.where };
    return;
  }
  if (clause.count !== undefined && !has(clause, 'done', 'toward', 'leave')) {
    old.clause =
      old.clause.missing > 0 ? { ...old.clause, missing: clause.count } : { ...old.clause, count: clause.count };
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
