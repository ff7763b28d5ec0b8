import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';

vi.mock('./storage', () => ({ databaseName: 'test' }));

/** A small lock manager by the letter of the standard, as far as it is used: if available, wait, steal, abort. */
class FakeLocks {
  private readonly held = new Map<string, (reason: unknown) => void>();
  private readonly waiting = new Map<string, Array<() => void>>();

  request(name: string, options: LockOptions, work: (lock: unknown) => unknown): Promise<unknown> {
    const run = (): Promise<unknown> =>
      new Promise((resolve, reject) => {
        const lose = (reason: unknown): void => reject(reason as Error);
        this.held.set(name, lose);
        void Promise.resolve(work({ name })).then((value) => {
          if (this.held.get(name) === lose) this.free(name);
          resolve(value);
        });
      });
    if (!this.held.has(name)) return run();
    if (options.steal) {
      this.held.get(name)?.(new DOMException('stolen', 'AbortError'));
      return run();
    }
    if (options.ifAvailable) return Promise.resolve(work(null));
    return new Promise((resolve, reject) => {
      const line = this.waiting.get(name) ?? [];
      const turn = (): void => resolve(run());
      this.waiting.set(name, [...line, turn]);
      options.signal?.addEventListener('abort', () => {
        this.waiting.set(
          name,
          (this.waiting.get(name) ?? []).filter((one) => one !== turn),
        );
        reject(new DOMException('given up', 'AbortError'));
      });
    });
  }
  private free(name: string): void {
    this.held.delete(name);
    const [next, ...rest] = this.waiting.get(name) ?? [];
    this.waiting.set(name, rest);
    next?.();
  }
}

beforeEach(() => {
  vi.stubGlobal('navigator', { locks: new FakeLocks() });
});
afterEach(() => vi.unstubAllGlobals());
vi.stubGlobal('navigator', { locks: new FakeLocks() });
const { holdTicket, onTabMessage, tellTabs, withHolds } = await import('./tabs');
const nothing = (): void => undefined;
const soon = () => new Promise((go) => setTimeout(go, 5));

describe('one writer for each ticket', () => {
  test('the second tab is refused at once, another ticket is not', async () => {
    expect(await holdTicket('a', nothing, 'try')).toBeDefined();
    expect(await holdTicket('a', nothing, 'try')).toBeUndefined();
    expect(await holdTicket('b', nothing, 'try')).toBeDefined();
  });
  test('let go, it is free for the one that waits', async () => {
    const first = await holdTicket('a', nothing, 'try');
    const waiting = holdTicket('a', nothing, 'wait');
    first?.release();
    expect(await waiting).toBeDefined();
  });
  test('who stops waiting gets nothing, and does not hold it later', async () => {
    const first = await holdTicket('a', nothing, 'try');
    const stop = new AbortController();
    const waiting = holdTicket('a', nothing, 'wait', stop.signal);
    stop.abort();
    expect(await waiting).toBeUndefined();
    first?.release();
    await soon();
    expect(await holdTicket('a', nothing, 'try')).toBeDefined();
  });
  test('a tab that does not let go by itself loses it, and is told once', async () => {
    const lost = vi.fn();
    const first = await holdTicket('a', lost, 'try');
    vi.spyOn(AbortSignal, 'timeout').mockReturnValue(AbortSignal.abort());
    const patience = new AbortController();
    vi.mocked(AbortSignal.timeout).mockReturnValue(patience.signal);
    const taking = holdTicket('a', nothing, 'take');
    await soon();
    patience.abort();
    expect(await taking).toBeDefined();
    await soon();
    expect(lost).toHaveBeenCalledTimes(1);
    first?.release();
    vi.restoreAllMocks();
  });
  test('a tab that lets go when asked loses nothing', async () => {
    const lost = vi.fn();
    const first = await holdTicket('a', lost, 'try');
    const taking = holdTicket('a', nothing, 'take');
    await soon();
    first?.release();
    expect(await taking).toBeDefined();
    await soon();
    expect(lost).not.toHaveBeenCalled();
  });
  test('without locks, as over plain http, everybody may write', async () => {
    vi.stubGlobal('navigator', {});
    expect(await holdTicket('a', nothing, 'try')).toBeDefined();
    expect(await holdTicket('a', nothing, 'try')).toBeDefined();
  });
});

describe('work on several tickets', () => {
  test('holds them all the while, and lets go however it ends', async () => {
    await withHolds(['a', 'b'], async () => {
      expect(await holdTicket('a', nothing, 'try')).toBeUndefined();
      expect(await holdTicket('b', nothing, 'try')).toBeUndefined();
    });
    expect(await holdTicket('a', nothing, 'try')).toBeDefined();
    await expect(withHolds(['b'], () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await holdTicket('b', nothing, 'try')).toBeDefined();
  });
});

test('what one tab tells, the others hear, until they stop listening', async () => {
  const other = new BroadcastChannel('test');
  const heard = vi.fn();
  const stop = onTabMessage(heard);
  other.postMessage({ type: 'saved', id: 'a' });
  await vi.waitFor(() => expect(heard).toHaveBeenCalledWith({ type: 'saved', id: 'a' }));
  const from = new Promise((hear) => other.addEventListener('message', ({ data }) => hear(data), { once: true }));
  tellTabs({ type: 'removed', id: 'b' });
  expect(await from).toEqual({ type: 'removed', id: 'b' });
  stop();
  other.postMessage({ type: 'saved', id: 'c' });
  await soon();
  expect(heard).toHaveBeenCalledTimes(1);
  other.close();
});
