import { expect, test } from 'vitest';
import { readTicketDocument } from '@loose-pulley/core/exchange';
import { summarise } from '@loose-pulley/core/ticket';
import { buildTicket } from './build';
import { WRACKLINE } from './wrackline';

test('every demo ticket is one that an import would take', () => {
  for (const ticket of WRACKLINE) {
    const record = readTicketDocument(buildTicket(ticket), ticket.details.number);
    expect(record.ok ? '' : record.problem).toBe('');
  }
});

test('there are at least eight, in different states', () => {
  const summaries = WRACKLINE.map((ticket) => summarise(buildTicket(ticket)));
  expect(summaries.length).toBeGreaterThanOrEqual(8);
  expect(new Set(summaries.map(({ waiting }) => waiting.for))).toEqual(new Set(['nothing', 'parts', 'owner']));
  expect(summaries.some(({ closedAt }) => closedAt !== null)).toBe(true);
  expect(new Set(summaries.map(({ next }) => next)).size).toBeGreaterThanOrEqual(5);
  expect(summaries.some(({ driveCount }) => driveCount === 3)).toBe(true);
});
