import { describe, expect, test } from 'vitest';
import type { Hold } from './tabs';
import { WritingRights } from './rights';

const hold = () => {
  const one = { released: 0, release: () => void (one.released += 1) };
  return one as typeof one & Hold;
};
/** A write that is under way until it is said to be over. */
const write = () => {
  let over: () => void = () => undefined;
  const kept = new Promise<void>((done) => (over = done));
  return { kept, over };
};

describe('the rights of one tab', () => {
  test('the ticket on screen is let go at once, and once', () => {
    const rights = new WritingRights();
    const held = hold();
    rights.set('t1', held);
    rights.release();
    rights.release();
    expect(held.released).toBe(1);
  });
  test('a ticket that left the screen is let go only when what was written is kept', async () => {
    const rights = new WritingRights();
    const held = hold();
    const { kept, over } = write();
    rights.set('t1', held);
    const gone = rights.releaseWhen('t1', kept);
    await Promise.resolve();
    expect(held.released).toBe(0);
    over();
    await gone;
    expect(held.released).toBe(1);
  });
  test('opened again before that, its hold goes on and is not let go behind its back', async () => {
    const rights = new WritingRights();
    const held = hold();
    const { kept, over } = write();
    rights.set('t1', held);
    const gone = rights.releaseWhen('t1', kept);
    expect(rights.takeLingering('t1')).toBe(held);
    expect(rights.takeLingering('t1')).toBeUndefined();
    over();
    await gone;
    expect(held.released).toBe(0);
  });
  test('the next ticket’s hold is not touched by what is still written of the last', async () => {
    const rights = new WritingRights();
    const [first, second] = [hold(), hold()];
    const { kept, over } = write();
    rights.set('t1', first);
    const gone = rights.releaseWhen('t1', kept);
    rights.set('t2', second);
    over();
    await gone;
    expect([first.released, second.released]).toEqual([1, 0]);
  });
  test('says whose ticket it may write, also while it lingers; taken by another tab, no more', () => {
    const rights = new WritingRights();
    rights.set('t1', hold());
    expect([rights.has('t1'), rights.has('t2')]).toEqual([true, false]);
    void rights.releaseWhen('t1', new Promise(() => undefined));
    expect(rights.has('t1')).toBe(true);
    rights.forget('t1');
    expect(rights.has('t1')).toBe(false);
  });
  test('nothing held, nothing to wait for', async () => {
    const rights = new WritingRights();
    await rights.releaseWhen('t1', new Promise(() => undefined));
    expect(rights.takeLingering('t1')).toBeUndefined();
  });
  test('a tab stands in one line at a time', () => {
    const rights = new WritingRights();
    const first = rights.beginWaiting();
    expect(first.aborted).toBe(false);
    const second = rights.beginWaiting();
    expect([first.aborted, second.aborted]).toEqual([true, false]);
    rights.stopWaiting();
    expect(second.aborted).toBe(true);
  });
});
