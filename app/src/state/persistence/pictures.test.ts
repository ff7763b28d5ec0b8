import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { FakeTable } from './fakeTable';

const seam = vi.hoisted(() => ({ databaseName: 'test' }) as { databaseName: string; pictureTable: never });
vi.mock('./storage', () => seam);
const table = new FakeTable();
Object.assign(seam, { pictureTable: table });
const { loadPicture, loadPictures, savePicture, sweepPictures, whilePicturesStay } = await import('./pictures');

const bytes = (...list: number[]) => Uint8Array.from(list);
const named =
  (...list: string[]) =>
  () =>
    Promise.resolve(new Set(list));
/** A lock manager of which another tab may hold the one lock. */
const locks = (held: boolean) => ({
  locks: {
    request: (_: string, options: LockOptions, work: (lock: unknown) => unknown) =>
      Promise.resolve(work(held && options.ifAvailable ? null : {})),
  },
});

beforeEach(() => table.kept.clear());
afterEach(() => vi.unstubAllGlobals());

test('a picture comes back byte for byte; one that is not here is null', async () => {
  await savePicture('a', bytes(1, 2, 3));
  expect(new Uint8Array((await (await loadPicture('a'))?.arrayBuffer()) ?? new ArrayBuffer())).toEqual(bytes(1, 2, 3));
  expect(await loadPicture('b')).toBeNull();
  expect(Object.keys(await loadPictures(['a', 'b']))).toEqual(['a']);
});
test('a view of a larger buffer is kept alone, not with its neighbours', async () => {
  await savePicture('a', new Uint8Array([9, 1, 2, 9]).subarray(1, 3));
  expect((await loadPictures(['a'])).a).toEqual(bytes(1, 2));
});
test('the same content is written once', async () => {
  await savePicture('a', bytes(1));
  table.allowed = 0;
  await savePicture('a', bytes(1));
  await expect(savePicture('b', bytes(2))).rejects.toThrow(/quota/);
  table.allowed = Infinity;
});
test('what no ticket names is swept, what one names stays', async () => {
  vi.stubGlobal('navigator', locks(false));
  await savePicture('a', bytes(1));
  await savePicture('b', bytes(2));
  expect(await sweepPictures(named('a'))).toBe(1);
  expect(await table.keys()).toEqual(['a']);
});
test('nothing is swept while another tab puts pictures in, nor where tabs cannot see each other', async () => {
  await savePicture('a', bytes(1));
  vi.stubGlobal('navigator', locks(true));
  expect(await sweepPictures(named())).toBe(0);
  vi.stubGlobal('navigator', {});
  expect(await sweepPictures(named())).toBe(0);
  expect(await table.keys()).toEqual(['a']);
});
test('the names are not even asked for where there are no pictures', async () => {
  vi.stubGlobal('navigator', locks(false));
  const asked = vi.fn(named());
  expect(await sweepPictures(asked)).toBe(0);
  expect(asked).not.toHaveBeenCalled();
});
test('what writes pictures goes on without locks too', async () => {
  vi.stubGlobal('navigator', {});
  expect(await whilePicturesStay(() => Promise.resolve(7))).toBe(7);
});
