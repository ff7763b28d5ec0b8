import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { anyBody } from '../../../fixtures/anyEvent';
import { opening, recordOf } from '../../../fixtures/sample';
import { LOADERS } from '../../base/loaders';
import { believe, checkKnowledge, KNOWLEDGE, machineOf, rankCauses } from '../../work/diagnosis';
import { appendAny, type EventBody, type Ticket, type TicketRecord } from '../../record/ticket';
import { answersOf, caseOf, impossibleTests, offeredAnswers, putRight, sameTestElsewhere, takenFrom } from '.';

/** A ticket to which anything has happened that can be followed; what cannot is left out, as the app would refuse it. */
function happened(bodies: readonly EventBody[]): TicketRecord {
  let record = recordOf([opening]);
  for (const [n, body] of bodies.entries()) {
    const next = appendAny(record, { ...body, id: `x${n}`, at: new Date(Date.UTC(2026, 0, 13, 9, n)).toISOString() });
    if (next.ok) record = next.value;
  }
  return record;
}
const anyTicket = fc.array(anyBody, { maxLength: 25 }).map((bodies): Ticket => happened(bodies as EventBody[]).ticket);
const outcomesOf = (testId: string): readonly string[] =>
  KNOWLEDGE.tests.find(({ id }) => id === testId)?.outcomes.map(({ id }) => id) ?? [];

describe('whatever has happened to a ticket', () => {
  test('what other stations saw answers a test that there is, with an outcome that it has, and says where', () => {
    fc.assert(
      fc.property(anyTicket, (ticket) => {
        const taken = takenFrom(ticket);
        expect(new Set(taken.map(({ testId }) => testId)).size).toBe(taken.length);
        for (const { testId, outcome, from } of taken) {
          expect(outcomesOf(testId), testId).toContain(outcome);
          expect(from).not.toMatch(/undefined|NaN/);
          expect(from.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: 200 },
    );
  });
  test('an answer of the bench stands above what was taken from elsewhere; one a test', () => {
    fc.assert(
      fc.property(anyTicket, (ticket) => {
        const answers = answersOf(ticket);
        const told = new Map(ticket.observations.map((one) => [one.testId, one]));
        for (const { testId, outcome } of answers) {
          const own = ticket.observations.filter((one) => one.testId === testId);
          if (own.length > 0 && told.has(testId) && own.every(({ outcome: said }) => said === own[0]?.outcome))
            expect(outcome, testId).toBe(own[0]?.outcome);
        }
      }),
      { numRuns: 150 },
    );
  });
  test('the adviser can always be asked, and its chances are chances', () => {
    const machines = new Map(LOADERS.map((loader) => [loader, machineOf(KNOWLEDGE, loader)]));
    fc.assert(
      fc.property(anyTicket, (ticket) => {
        const machine = machines.get(ticket.loader);
        if (!machine) throw new Error(`No machine for ${ticket.loader}.`);
        const ranked = rankCauses(machine, believe(machine, caseOf(ticket, KNOWLEDGE)));
        const sum = ranked.reduce((all, { chance }) => all + chance, 0);
        expect(sum).toBeGreaterThan(0);
        for (const { chance } of ranked) {
          expect(chance).toBeGreaterThanOrEqual(0);
          expect(chance).toBeLessThanOrEqual(1 + 1e-9);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('what is offered is never what is answered already, and can be answered on this machine', () => {
    fc.assert(
      fc.property(anyTicket, (ticket) => {
        const answered = new Set(answersOf(ticket).map(({ testId }) => testId));
        for (const { testId, outcome, quote } of offeredAnswers(ticket, KNOWLEDGE)) {
          expect(answered.has(testId)).toBe(false);
          expect(outcomesOf(testId)).toContain(outcome);
          expect(quote.length).toBeGreaterThan(0);
          expect(KNOWLEDGE.tests.find(({ id }) => id === testId)?.loaders).toContain(ticket.loader);
        }
      }),
      { numRuns: 150 },
    );
  });
  test('a cause is seemingly put right once, names a cause that there is, and not one that was ruled upon', () => {
    const causes = new Set(KNOWLEDGE.causes.map(({ id }) => id));
    fc.assert(
      fc.property(anyTicket, (ticket) => {
        const right = putRight(ticket);
        expect(new Set(right.map(({ causeId }) => causeId)).size).toBe(right.length);
        for (const { causeId, because } of right) {
          expect(causes.has(causeId), causeId).toBe(true);
          expect(ticket.verdicts.some((one) => one.causeId === causeId)).toBe(false);
          expect(because).not.toMatch(/undefined|NaN/);
        }
      }),
      { numRuns: 150 },
    );
  });
  test('tests that cannot be made, or are proposed elsewhere, are tests that there are', () => {
    fc.assert(
      fc.property(anyTicket, (ticket) => {
        for (const testId of impossibleTests(ticket)) expect(outcomesOf(testId).length, testId).toBeGreaterThan(0);
        for (const { testId, driveName } of sameTestElsewhere(ticket)) {
          expect(outcomesOf(testId).length).toBeGreaterThan(0);
          expect(ticket.drives.map(({ name }) => name)).toContain(driveName);
        }
      }),
      { numRuns: 150 },
    );
  });
  test('and our own knowledge passes the check that a bench’s own has to', () =>
    expect(checkKnowledge(KNOWLEDGE).ok).toBe(true));
});
