import { blankStep, severalOf, type Facts, type StepDraft } from '../strip';
import type { Clause } from './clause';
import { STEP_KINDS_SAID } from './words';

/** What a clause adds to the facts of a thing. */
export function factsFrom({ figures, text }: Clause, heads: readonly string[]): Facts {
  const latch =
    /\b(?:latch|catch|lock|tab|lever)\b/.test(text) &&
    /\b(?:slide|slid|flip|lift|push|press|pull|squeeze|pinch|release|open|turn)\w*\b/.test(text);
  return {
    ...(heads.length > 0 && { head: heads.join(' ') }),
    ...(figures.thread !== '' && { thread: figures.thread }),
    ...(figures.turns !== '' && { turns: figures.turns }),
    ...(figures.direction !== '' && { direction: figures.direction }),
    ...(figures.viewedFrom !== '' && { viewedFrom: figures.viewedFrom }),
    ...(figures.parkedAt !== '' && { parkedAt: figures.parkedAt }),
    ...(figures.ways !== '' && { ways: figures.ways }),
    ...(latch && { latch: text.slice(0, 200) }),
  };
}

/** A step of a clause that is about something of the machine. */
export function stepOf(clause: Clause, line: string, more: Partial<StepDraft> = {}): StepDraft {
  const kind =
    clause.kind !== undefined && STEP_KINDS_SAID.has(clause.kind) ? (clause.kind as StepDraft['kind']) : 'note';
  const count = clause.count ?? 1;
  const [of, all] = clause.figures.ofMany ?? [count, count];
  const named =
    clause.noun !== '' && clause.what === clause.noun && Math.max(all, of) + clause.missing !== 1
      ? clause.what.slice(0, clause.what.length - clause.noun.length) + severalOf(clause.noun)
      : clause.what;
  return blankStep(kind, line, {
    what: named,
    fate: clause.fate ?? 'off',
    count: Math.max(all, of) + clause.missing,
    missing: clause.missing + Math.max(0, all - of),
    driverType: clause.figures.driverType,
    lengthMm: clause.figures.lengthMm,
    where: clause.where,
    facts: factsFrom(clause, clause.heads),
    ...more,
  });
}
