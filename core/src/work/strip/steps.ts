import { ok, refuse, type Result } from '../../base/units';
import type { StepDraft } from './blank';
import { lastRemoval, openRemoval } from './removals';
import type { Fate, Step, Strip } from './schema';
import { goesBack } from './words';

/** A step from a draft, with the next number; off from now on, where what was done with it has to be brought back. */
export function newStep(strip: Pick<Strip, 'lastNumber' | 'opening'>, draft: StepDraft, id: string, at: string): Step {
  return {
    ...draft,
    id,
    at,
    number: strip.lastNumber + 1,
    notNextTime: '',
    pictureIds: [],
    removals: goesBack(draft.fate)
      ? [{ opening: strip.opening, off: draft.count - draft.missing, back: null, offAt: at }]
      : [],
  };
}

/** A step that comes off once more, in this opening, under its old number. Refused while it is off. */
export function offAgain(strip: Pick<Strip, 'opening'>, step: Step, at: string): Result<Step> {
  if (openRemoval(step)) return refuse(`Number ${step.number} is off already.`);
  const last = lastRemoval(step);
  const off = last ? (last.back ?? last.off) : step.count - step.missing;
  return ok({
    ...step,
    ...(!goesBack(step.fate) && { fate: 'off', leaveAlone: '' }),
    removals: [...step.removals, { opening: strip.opening, off, back: null, offAt: at }],
  });
}

/** A step that went back, with how many. */
export const goneBack = (step: Step, count: number, at: string): Step => ({
  ...step,
  removals: step.removals.map((round, index) =>
    index === step.removals.length - 1 ? { ...round, back: count, backAt: at } : round,
  ),
});

/**
 * Some of what was left over of a step, placed after all: among those that went back, or among those that are off again.
 *
 * @example placedLate(step, 1).id // 's1'
 */
export const placedLate = (step: Step, count: number): Step => ({
  ...step,
  removals: step.removals.map((round, index) =>
    index < step.removals.length - 1
      ? round
      : round.back === null
        ? { ...round, off: round.off + count }
        : { ...round, back: round.back + count, off: Math.max(round.off, round.back + count) },
  ),
});

/**
 * The same step with another fate: what now has to come back is off from now on, and what has not is not off any more.
 *
 * @example withFate(strip, step, 'leftAlone', at).removals // []
 */
export function withFate(strip: Pick<Strip, 'opening'>, step: Step, fate: Fate, at: string): Step {
  const open = openRemoval(step);
  const leaveAlone = fate === 'leftAlone' ? step.leaveAlone || 'left alone' : '';
  if (goesBack(fate) === (open !== undefined)) return { ...step, fate, leaveAlone };
  if (open) return { ...step, fate, leaveAlone, removals: step.removals.slice(0, -1) };
  return {
    ...step,
    fate,
    leaveAlone,
    removals: [...step.removals, { opening: strip.opening, off: step.count - step.missing, back: null, offAt: at }],
  };
}

/** The same step on the other deck, mirrored. @example mirrored(step).where // 'other deck' */
export const mirrored = (step: Step): StepDraft => ({
  kind: step.kind,
  fate: step.fate,
  what: step.what,
  line: `${step.line}, other deck`.slice(0, 400),
  count: step.count,
  missing: 0,
  driverType: step.driverType,
  lengthMm: step.lengthMm,
  where: [swapSides(step.where), 'other deck'].filter(Boolean).join(', ').slice(0, 400),
  orientation: swapSides(step.orientation),
  facts: Object.fromEntries(Object.entries(step.facts).map(([fact, words]) => [fact, swapSides(words)])),
  leaveAlone: step.leaveAlone,
});

/** Left and right, changed for one another: the two decks mirror each other. */
const swapSides = (words: string): string =>
  words.replace(/\b(left|right)\b/gi, (side) => (side.toLowerCase() === 'left' ? 'right' : 'left'));

/** A fastener that was never logged, booked in as it goes back. */
export const bookedIn = (step: Step): Step => ({
  ...step,
  removals: step.removals.map((round) => ({ ...round, back: round.off, backAt: step.at })),
});
