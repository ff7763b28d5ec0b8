import type { Knowledge } from '../../work/diagnosis';
import { findingsOf, rowOf } from '../../record/findings';
import type { Ticket } from '../../record/ticket';
import { answersOf } from './caseOf';
import { readOwner } from '../../work/ownerLine';

/** An answer that words seem to give: offered, and one key takes it. */
export interface OfferedAnswer {
  readonly testId: string;
  readonly outcome: string;
  /** The words themselves. */
  readonly quote: string;
  readonly from: string;
}

/**
 * What the complaints and the error codes seem to answer: never taken by itself, since owners mean many things. Tests
 * that are answered are not offered.
 *
 * @example offeredAnswers({ ...ticket, observations: [] }, KNOWLEDGE) // []
 */
export function offeredAnswers(ticket: Ticket, knowledge: Knowledge): readonly OfferedAnswer[] {
  const answered = new Set(answersOf(ticket).map(({ testId }) => testId));
  const texts = [
    ...ticket.complaints
      .filter(({ drivetrain, state }) => drivetrain && state !== 'anotherTrade')
      .map(({ words, before }) => ({ text: `${words}. ${before}`, from: `“${words}”` })),
    ...(ticket.story.trim() === '' ? [] : [{ text: ticket.story, from: 'the story' }]),
    ...ticket.drives.flatMap(({ codes }) =>
      codes.map(({ code, meaning }) => ({ text: meaning, from: `code ${code}` })),
    ),
  ];
  // What the owner told of the inside is known as told: it is asked about like the rest.
  const told = findingsOf(ticket).flatMap(({ kind, thing, how, from }): OfferedAnswer[] => {
    const answer = how === 'told' ? rowOf(kind).answers[thing] : undefined;
    return answer ? [{ testId: answer[0], outcome: answer[1], quote: rowOf(kind).name, from }] : [];
  });
  const said = texts.flatMap(({ text, from }) =>
    readOwner(text, ticket.loader).answers.map(({ testId, outcome, quote }) => ({ testId, outcome, quote, from })),
  );
  const offers = [...said, ...told];
  return offers.filter(
    ({ testId, outcome }, index) =>
      !answered.has(testId) &&
      offers.findIndex((one) => one.testId === testId) === index &&
      knowledge.tests.some(
        ({ id, loaders, outcomes }) =>
          id === testId && loaders.includes(ticket.loader) && outcomes.some((one) => one.id === outcome),
      ),
  );
}
