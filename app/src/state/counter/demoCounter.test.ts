import { afterEach, expect, test, vi } from 'vitest';
import { demoCounter } from './demoCounter';
import { MAY_BE_ORDERED, type Asked } from './port';

const lines: readonly Asked[] = [
  { lineId: 'l1', belt: { shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm: 116 }, quantity: 2 },
];
const answers = (body: BodyInit, init: ResponseInit = {}): void =>
  void vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, init)));
const json = (body: unknown): string => JSON.stringify(body);
afterEach(() => vi.unstubAllGlobals());

test('an order that was answered is what the counter says that it ordered', async () => {
  const placed = { reference: 'CB-1', expectedOn: '2026-12-04', lines };
  answers(json(placed));
  expect(await demoCounter.order('o1', lines)).toEqual({ ok: true, value: placed });
});

// Nobody knows then whether it was taken, so nobody says that it was not.
test.each([
  ['a connection that broke', () => vi.stubGlobal('fetch', () => Promise.reject(new TypeError('broken')))],
  ['a gateway’s own page', () => answers('<html>', { status: 502, headers: { 'Content-Type': 'text/html' } })],
  ['half an answer', () => answers('{"reference":')],
  ['an answer that is none of ours', () => answers(json({ ok: true }))],
  [
    'an answer without what was ordered',
    () => answers(json({ reference: 'CB-1', expectedOn: '2026-12-04', lines: [] })),
  ],
] as const)('%s: it may have been ordered', async (_, happens) => {
  happens();
  expect(await demoCounter.order('o1', lines)).toEqual({ ok: false, problem: MAY_BE_ORDERED });
});

test('what the counter refuses is said in its own words', async () => {
  answers('Sold out. Nothing was ordered.\n', { status: 409, headers: { 'Content-Type': 'text/plain' } });
  expect(await demoCounter.order('o1', lines)).toEqual({ ok: false, problem: 'Sold out. Nothing was ordered.' });
});
