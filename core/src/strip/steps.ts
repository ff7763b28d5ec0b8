import { ok, refuse, type Result } from '../units';
import type { Step, Strip } from './schema';

/** A step from a draft, with the next number and its first time off. Notes have no number and are never off. */
export function newStep(
  strip: Pick<Strip, 'lastNumber' | 'opening'>,
  draft: Omit<Step, 'id' | 'at' | 'number' | 'notNextTime' | 'pictureIds' | 'removals'>,
  id: string,
  at: string,
): Step {
  const note = draft.kind === 'note';
  const stays = note || draft.leaveAlone !== '';
  return {
    ...draft,
    id,
    at,
    number: note ? 0 : strip.lastNumber + 1,
    notNextTime: '',
    pictureIds: [],
    removals: stays ? [] : [{ opening: strip.opening, off: draft.count - draft.missing, back: null }],
  };
}

/** A step that comes off once more, in this opening, under its old number. Refused while it is off. */
export function offAgain(strip: Pick<Strip, 'opening'>, step: Step): Result<Step> {
  const last = step.removals[step.removals.length - 1];
  if (last?.back === null) return refuse(`Number ${step.number} is off already.`);
  const off = last ? (last.back ?? last.off) : step.count - step.missing;
  return ok({ ...step, removals: [...step.removals, { opening: strip.opening, off, back: null }] });
}

/** A step that went back, with how many. */
export const goneBack = (step: Step, count: number): Step => ({
  ...step,
  removals: step.removals.map((round, index) =>
    index === step.removals.length - 1 ? { ...round, back: count } : round,
  ),
});

/** The same step on the other deck, mirrored. @example mirrored(step).where // 'front left, other deck' */
export const mirrored = (
  step: Step,
): Omit<Step, 'id' | 'at' | 'number' | 'notNextTime' | 'pictureIds' | 'removals'> => ({
  kind: step.kind,
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
  removals: step.removals.map((round) => ({ ...round, back: round.off })),
});
