import { expect, test } from 'vitest';
import { dueMonthsOf, livesOf } from '@loose-pulley/core/shop/lifetimes';
import { isOut } from '@loose-pulley/core/shop/orders';
import { summarise } from '@loose-pulley/core/record/ticket';
import { readBookFile, readTicketDocument, writeBookFile } from '@loose-pulley/core/files/exchange';
import { demoBook } from './book';
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

test('about forty tickets over three years, each with its own number; what returns says how long remedies last', () => {
  const summaries = WRACKLINE.map((ticket) => summarise(buildTicket(ticket)));
  expect(summaries.length).toBeGreaterThanOrEqual(35);
  expect(new Set(summaries.map(({ number }) => number)).size).toBe(summaries.length);
  const opened = summaries.map(({ openedAt }) => openedAt).sort();
  expect(Date.parse(opened.at(-1) ?? '') - Date.parse(opened[0] ?? '')).toBeGreaterThan(2.8 * 365 * 86_400_000);
  const lives = livesOf(summaries, Date.parse('2026-11-27T09:00:00Z'));
  expect(dueMonthsOf(lives, 'cleaned')).toBeDefined();
});

test('the bench book is one that an import would take: belts, two kits, orders in every state, one of them arrived wrong', () => {
  const record = readBookFile(writeBookFile(demoBook()), 'demo');
  if (!record.ok) throw new Error(record.problem);
  const { items, kits, orders } = record.value.record.book;
  expect(items.length).toBeGreaterThan(30);
  expect(kits.map(({ quantity }) => quantity)).toEqual([1, 0]);
  expect(orders.filter(isOut)).toHaveLength(1);
  expect(orders.some(({ lines }) => lines.some(({ wrong }) => wrong > 0))).toBe(true);
});
