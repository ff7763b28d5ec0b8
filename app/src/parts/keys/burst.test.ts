import { describe, expect, test } from 'vitest';
import { BURST_GAP_MS, BurstListener } from './burst';

const type = (listener: BurstListener, text: string, gapMs: number, startMs = 0) =>
  [...text].map((key, i) => listener.hear(key === '\n' ? 'Enter' : key, startMs + i * gapMs));

describe('a typing caliper', () => {
  test('is a reading when Enter ends its burst, letters and all', () => {
    expect(type(new BurstListener(), '+0024.80mm\n', 5).at(-1)).toEqual({ kind: 'reading', text: '+0024.80mm' });
  });
  test('without Enter is a reading after the silence', () => {
    const listener = new BurstListener();
    type(listener, '24.80', 5);
    expect(listener.settle()).toEqual({ kind: 'reading', text: '24.80' });
    expect(listener.settle()).toBeUndefined();
  });
});

describe('a hand', () => {
  test('presses one key, which comes back as a key', () => {
    const listener = new BurstListener();
    type(listener, 'f', 5);
    expect(listener.settle()).toEqual({ kind: 'key', key: 'f' });
  });
  test('typing slowly never becomes a reading', () => {
    const heard = type(new BurstListener(), '24.80\n', BURST_GAP_MS + 30);
    expect(heard.every(({ kind }) => kind === 'waiting')).toBe(true);
  });
  test('is over once no caliper would still be typing, however late it is settled', () => {
    const listener = new BurstListener();
    expect(listener.isOver(1000)).toBe(false);
    type(listener, 'g', 5, 1000);
    expect([listener.isOver(1000 + BURST_GAP_MS), listener.isOver(1001 + BURST_GAP_MS)]).toEqual([false, true]);
    // The page was busy: the next key comes first, and the one before it is given back all the same.
    expect(listener.settle()).toEqual({ kind: 'key', key: 'g' });
    type(listener, 'c', 5, 1200);
    expect(listener.settle()).toEqual({ kind: 'key', key: 'c' });
  });
  test('pressing Enter alone is nothing', () =>
    expect(type(new BurstListener(), '\n', 5)).toEqual([{ kind: 'waiting' }]));
});
