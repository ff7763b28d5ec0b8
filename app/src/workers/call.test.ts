import { expect, test, vi } from 'vitest';
import { expose } from 'comlink';
import { withWorker } from './call';

interface Api {
  double(value: number): number;
  fail(): never;
  hang(): Promise<never>;
}
const api: Api = {
  double: (value) => 2 * value,
  fail: () => {
    throw new RangeError('the file is empty');
  },
  hang: () => new Promise<never>(() => undefined),
};

/** A worker in this realm: its own end of a message channel, which gives a sign of life and can be told to die. */
function worker() {
  const { port1, port2 } = new MessageChannel();
  expose(api, port2);
  port2.postMessage({ life: null });
  let ended = false;
  const events = new EventTarget();
  const one = {
    postMessage: port1.postMessage.bind(port1),
    addEventListener: (type: string, listener: EventListener) =>
      type === 'message' ? port1.addEventListener(type, listener) : events.addEventListener(type, listener),
    removeEventListener: port1.removeEventListener.bind(port1),
    terminate() {
      ended = true;
      port1.close();
      port2.close();
    },
  };
  port1.start();
  return {
    one: one as unknown as Worker,
    ended: () => ended,
    die: (message?: string) =>
      events.dispatchEvent(Object.assign(new Event(message === undefined ? 'messageerror' : 'error'), { message })),
  };
}

test('the answer comes back, and the worker is ended', async () => {
  const { one, ended } = worker();
  expect(
    await withWorker<Api, number>(
      () => one,
      (remote) => remote.double(21),
    ),
  ).toBe(42);
  expect(ended()).toBe(true);
});
test('what the worker throws is thrown here, with its words, is not asked again, and the worker is ended', async () => {
  const { one, ended } = worker();
  const make = vi.fn(() => one);
  await expect(withWorker<Api, never>(make, (remote) => remote.fail())).rejects.toThrow('the file is empty');
  expect([ended(), make.mock.calls.length]).toEqual([true, 1]);
});
test('a worker that ends is begun again, and the second one answers', async () => {
  const workers = [worker(), worker()];
  const made = [...workers];
  const call = withWorker<Api, number>(
    () => made.shift()?.one as Worker,
    (remote) => (made.length === 1 ? remote.hang() : remote.double(21)),
  );
  await Promise.resolve();
  workers[0]?.die('out of memory');
  expect(await call).toBe(42);
  expect(workers.map(({ ended }) => ended())).toEqual([true, true]);
});
test.each([
  ['out of memory', 'out of memory'],
  ['', 'The background work stopped.'],
  [undefined, 'The background work sent something unreadable.'],
])('one that ends twice (%s) ends the call in words instead of leaving it pending', async (message, words) => {
  const call = withWorker<Api, never>(
    () => {
      const { one, die } = worker();
      setTimeout(() => die(message));
      return one;
    },
    (remote) => remote.hang(),
  );
  await expect(call).rejects.toThrow(words);
});
