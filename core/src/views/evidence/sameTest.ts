import type { Ticket } from '../../record/ticket';

/** Tests of one belt, and what a good belt shows. */
const GOOD_BELT: Readonly<Record<string, string>> = {
  beltLook: 'inPlace',
  beltFeel: 'firm',
  beltMeasured: 'right',
  turnHand: 'follows',
};

/** Whether a test is about one belt, so that another drive's answer is about the others. */
export const isBeltTest = (testId: string): boolean => testId in GOOD_BELT;

/** Whether an answer to a test of one belt says that the belt is good. */
export const isGoodBelt = (testId: string, outcome: string): boolean => GOOD_BELT[testId] === outcome;

/**
 * After one bad belt the same test on every other: which test, on which drives it was not made yet. Empty while every
 * belt tested is good.
 *
 * @example sameTestElsewhere(ticket) // []
 */
export function sameTestElsewhere(
  ticket: Ticket,
): ReadonlyArray<{ readonly testId: string; readonly driveName: string }> {
  const answers = ticket.observations.filter(({ testId, outcome }) => isBeltTest(testId) && outcome !== 'notTried');
  const bad = answers.findLast(({ testId, outcome }) => outcome !== 'unclear' && !isGoodBelt(testId, outcome));
  if (!bad) return [];
  return ticket.drives
    .filter(({ id }) => !answers.some(({ testId, driveId }) => testId === bad.testId && driveId === id))
    .map(({ name }) => ({ testId: bad.testId, driveName: name }));
}
