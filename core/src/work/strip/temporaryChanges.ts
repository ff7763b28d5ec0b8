import { TEMPORARY_CHANGES } from './temporaryChangeKinds';
import { lidStep } from './lid';
import { openRemoval } from './removals';
import {
  CHANGE_LIMITS,
  type TemporaryChange,
  type ChangeLimit,
  type Step,
  type Strip,
  type TemporaryChangeKind,
} from './schema';
import { isAway } from './words';

export const isOpen = ({ closedAt }: Pick<TemporaryChange, 'closedAt'>): boolean => closedAt === null;

/** The changes that are not reversed yet. */
export const openChanges = (changes: readonly TemporaryChange[]): readonly TemporaryChange[] => changes.filter(isOpen);

const REACH: Readonly<Record<ChangeLimit, readonly ChangeLimit[]>> = {
  power: ['power'],
  lid: ['power', 'lid'],
  handBack: ['power', 'lid', 'handBack'],
};

/**
 * The temporary changes that forbid a moment: what must end before power forbids the lid and handing back as well.
 *
 * @example forbidding(strip.temporaryChanges, 'lid').map(({ words }) => words) // ['stop pin out']
 */
export const forbidding = (
  temporaryChanges: readonly TemporaryChange[],
  moment: ChangeLimit,
): readonly TemporaryChange[] =>
  temporaryChanges.filter((change) => isOpen(change) && REACH[moment].includes(change.before));

/**
 * The step that will cover a change's place on the way back, where its kind lies covered: the last cover or part that
 * came off before it.
 *
 * @example coveringStep('laserBridged', steps)?.what // undefined
 */
export const coveringStep = (kind: TemporaryChangeKind, steps: readonly Step[]): Step | undefined =>
  TEMPORARY_CHANGES[kind].covered &&
  steps.findLast(
    (step) =>
      // The lid asks for itself.
      step !== lidStep(steps) &&
      (step.kind === 'cover' || step.kind === 'part') &&
      isAway(step.fate) &&
      openRemoval(step) !== undefined,
  );

/**
 * A temporary change of a kind as it begins, with what its kind says of its end and of what covers it.
 *
 * @param words the bench's own; empty for the kind's name
 * @example newChange('stopPinOut', '', strip, 'c1', at).before // 'lid'
 */
export function newChange(
  kind: TemporaryChangeKind,
  words: string,
  { steps }: Pick<Strip, 'steps'>,
  id: string,
  at: string,
): TemporaryChange {
  const { name, closes, before } = TEMPORARY_CHANGES[kind];
  return {
    id,
    kind,
    words: words || name,
    closes,
    before,
    openedAt: at,
    closedAt: null,
    afterStepId: null,
    afterChangeId: null,
    beforeStepId: coveringStep(kind, steps)?.id ?? null,
  };
}

/** The limits of temporary changes in words. */
export const LIMIT_WORDS: Readonly<Record<ChangeLimit, string>> = {
  power: 'power',
  lid: 'the lid',
  handBack: 'handing back',
};

/**
 * Why a change can end only after the very thing that it forbids, where that is so: it, or what must end before it,
 * waits for power, and it must have ended before power.
 *
 * @returns a sentence, or undefined
 * For instance cannotEnd({ …levers, before: 'power', afterChangeId: stopPin.id }, [stopPin])
 */
export function cannotEnd(change: TemporaryChange, others: readonly TemporaryChange[]): string | undefined {
  const order = (limit: ChangeLimit): number => CHANGE_LIMITS.indexOf(limit);
  let at: TemporaryChange | undefined = change;
  for (let left = others.length + 1; at && left > 0; left--) {
    const needs: ChangeLimit | undefined = TEMPORARY_CHANGES[at.kind].endsAfter;
    if (needs !== undefined && order(change.before) <= order(needs)) {
      const who = at === change ? 'it' : `“${at.words}”, which must end first,`;
      return `“${change.words}” must end before ${LIMIT_WORDS[change.before]}, and ${who} can end only after ${LIMIT_WORDS[needs]}. Say another order, or another limit.`;
    }
    const after: string | null = at.afterChangeId;
    at = others.find(({ id, closedAt }) => id === after && closedAt === null);
  }
  return undefined;
}
