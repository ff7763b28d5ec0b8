import 'fake-indexeddb/auto';
import localforage from 'localforage';
import { expect, test } from 'vitest';
import {
  answerOf,
  databaseName,
  recordsOf,
  settingsTable,
  summaryTable,
  ticketTable,
  transactionOver,
} from './storage';

/* Transactions stand on a connection of our own: what would take it away is tried here. */

const put = async (key: string, value: unknown): Promise<void> => {
  const transaction = await transactionOver([ticketTable, summaryTable], 'readwrite');
  await Promise.all(['tickets', 'summaries'].map((name) => answerOf(transaction.objectStore(name).put(value, key))));
};

test('what a transaction writes, localForage reads, and the other way round', async () => {
  await put('a', { number: '0147' });
  expect(await ticketTable.getItem('a')).toEqual({ number: '0147' });
  expect(await summaryTable.getItem('a')).toEqual({ number: '0147' });
  await ticketTable.setItem('b', 1);
  const all: unknown[] = [];
  for await (const some of recordsOf(ticketTable)) all.push(...some);
  expect(all).toEqual([
    ['a', { number: '0147' }],
    ['b', 1],
  ]);
});

test('a table that is made later is reached, and the connection does not stand in its way', async () => {
  await put('c', 1);
  const later = localforage.createInstance({ name: databaseName, storeName: 'later', driver: localforage.INDEXEDDB });
  await later.setItem('x', 2);
  const transaction = await transactionOver([later, settingsTable], 'readonly');
  expect(await answerOf(transaction.objectStore('later').get('x'))).toBe(2);
});

test('a connection that the browser closed is opened anew, and nothing is lost', async () => {
  await put('d', 'before');
  // As a browser does that clears or compacts: the next call meets a closed connection.
  (await transactionOver([ticketTable], 'readonly')).db.close();
  await put('d', 'after');
  expect(await ticketTable.getItem('d')).toBe('after');
});

test('a transaction that is given up leaves both tables as they were', async () => {
  await put('e', 'old');
  const transaction = await transactionOver([ticketTable, summaryTable], 'readwrite');
  const ended = new Promise((done) => (transaction.onabort = done));
  transaction.objectStore('tickets').put('new', 'e');
  transaction.abort();
  await ended;
  expect(await ticketTable.getItem('e')).toBe('old');
});
