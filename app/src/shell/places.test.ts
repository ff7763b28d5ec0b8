import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { placeAt, PLACES, STATION_PLACES } from './places';

test('an address finds its page, and no other', () => {
  expect(placeAt('/')?.source).toBe('pages/bench/BenchPage');
  expect(placeAt('/orders')?.source).toBe('pages/orders/OrdersPage');
  expect(placeAt('/orders/o1/print')?.source).toBe('pages/print/OrderPage');
  expect(placeAt('/t/a/handBack')?.source).toBe('stations/handBack/HandBackPage');
  expect(placeAt('/t/a/slip')?.source).toBe('pages/print/SlipPage');
  expect(placeAt('/practice')?.source).toBe('pages/practice/PracticePage');
  expect(placeAt('/practice/t/a/measure')?.source).toBe('stations/measure/MeasurePage');
  expect(placeAt('/practice/log')?.source).toBe('pages/log/LogPage');
  for (const nowhere of ['/nowhere', '/log/more', '/orders/o1', '/t/a/nowhere', '/t/a'])
    expect(placeAt(nowhere), nowhere).toBeUndefined();
});

test('every place has its file', () => {
  for (const { source } of [...PLACES, ...Object.values(STATION_PLACES)])
    expect(existsSync(join(import.meta.dirname, '..', `${source}.tsx`)), source).toBe(true);
});
