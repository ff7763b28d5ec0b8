import { blankStep, severalOf, type Facts, type StepDraft } from '../strip';
import { spoken, type Clause } from './clause';
import { TOOLS } from './vocabulary';

/* What a clause comes to, once it is read: nothing but how, a thing to leave alone, a step with its facts. */

const ONLY_LEAVE =
  /^(?:(?:so |but |just |please )?(?:leave|left|leaving|alone|it|them|these|this|that|in|on|place|as|is|be|do|not|never|touch|touched|remove|removed|undo|undone|disturb|stays?|untouched|where|they|are|needed|there|fitted|turn|move)[ .!]*)+$/;
const INSTRUCTION = /^(?:then )?(?:slide|slid|push|press|pull|flip|lift|squeeze|pinch|release|open|turn|hold)\b/;
const HANDLES = /^(?:latch|catch|lever|hook|tab|claw|tongue|lug|pin|button)$/;

/** Whether a clause only tells how: the latch is slid, a tool is used. */
export const isInstruction = (clause: Clause): boolean =>
  (INSTRUCTION.test(clause.text) && (clause.kind === undefined || clause.guessed || HANDLES.test(clause.noun))) ||
  /^(?:off|out of) (?:the|its|their)\b/.test(clause.text) ||
  /^(?:mind|careful|watch|beware|note|see|no|clear|without|using|by|before|after|it|they|goes|runs?|looks?|same|like|marks?|arrow|stripe|as)\b/.test(
    clause.text,
  ) ||
  /^(?:\w+ )?(?:wires|contacts|side|text|label|stripe|arrow|teeth|marks?|writing|print) (?:up|down|left|right|outwards|inwards)$/.test(
    clause.text,
  );

/** Whether it only says to leave alone what came before. */
export const isOnlyLeave = ({ text }: Clause): boolean =>
  ONLY_LEAVE.test(text) &&
  /\b(?:leave|left (?:alone|in|on|as|where|be|it|them)|not|never|stays?|untouched|alone)\b/.test(text);

/** Whether “with …” names a tool rather than a thing. */
export const isTool = (text: string): boolean => TOOLS.test(text);

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
    clause.kind === undefined || ['dirt', 'disc', 'object'].includes(clause.kind)
      ? 'note'
      : (clause.kind as StepDraft['kind']);
  const count = clause.count ?? 1;
  const [of, all] = clause.figures.ofMany ?? [count, count];
  const named =
    clause.noun !== '' && clause.what === clause.noun && Math.max(all, of) + clause.missing !== 1
      ? clause.what.slice(0, clause.what.length - clause.noun.length) + severalOf(clause.noun)
      : clause.what;
  return blankStep(kind, line, {
    what: spoken(named),
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
