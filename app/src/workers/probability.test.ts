import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { ProbabilityAnswer, ProbabilityQuestion } from '@loose-pulley/core/belts/probability';
import { listenForProbability } from './probability';

type Asked = { readonly id: number; readonly question: ProbabilityQuestion };

/** A worker that answers when the test says so, and dies when the test says so. */
class FakeWorker extends EventTarget {
  static made: FakeWorker[] = [];
  readonly asked: Asked[] = [];
  ended = false;
  constructor() {
    super();
    FakeWorker.made.push(this);
    queueMicrotask(() => this.dispatchEvent(new MessageEvent('message', { data: { life: null } })));
  }
  postMessage(message: Asked): void {
    this.asked.push(message);
  }
  terminate(): void {
    this.ended = true;
  }
  answer(id: number, last = true): void {
    this.dispatchEvent(new MessageEvent('message', { data: { id, answer: { draws: id } as ProbabilityAnswer, last } }));
  }
  die(): void {
    this.dispatchEvent(new Event('error'));
  }
}
const question = (seed: number): ProbabilityQuestion => ({ seed }) as ProbabilityQuestion;
const newest = (): FakeWorker => FakeWorker.made[FakeWorker.made.length - 1] as FakeWorker;

beforeEach(() => {
  FakeWorker.made = [];
  vi.stubGlobal('Worker', FakeWorker);
});
afterEach(() => vi.unstubAllGlobals());

/** Long enough for a worker's sign of life. */
const begun = () => new Promise((go) => setTimeout(go));

async function listening() {
  const on = { onAnswer: vi.fn(), onRestart: vi.fn(), onGivenUp: vi.fn() };
  const listener = listenForProbability(on);
  await begun();
  return { ...on, ...listener };
}

test('one worker stays for all questions, each with a number of its own', async () => {
  const { ask } = await listening();
  ask(question(1));
  ask(question(2));
  expect(FakeWorker.made).toHaveLength(1);
  const [first, second] = newest().asked;
  expect(first?.id).not.toBe(second?.id);
});
test('an answer to an older question is dropped; the rough and the fine answer of the newest both come', async () => {
  const { ask, onAnswer } = await listening();
  ask(question(1));
  ask(question(2));
  const [stale, fresh] = newest().asked;
  newest().answer(stale?.id ?? NaN);
  expect(onAnswer).not.toHaveBeenCalled();
  newest().answer(fresh?.id ?? NaN, false);
  newest().answer(fresh?.id ?? NaN, true);
  expect(
    onAnswer.mock.calls.map(([, last, asked]) => ({
      last: last as boolean,
      seed: (asked as ProbabilityQuestion).seed,
    })),
  ).toEqual([
    { last: false, seed: 2 },
    { last: true, seed: 2 },
  ]);
});
test('a worker that dies is begun again with the last question, and that is said', async () => {
  const { ask, onAnswer, onRestart } = await listening();
  ask(question(1));
  ask(question(2));
  const dead = newest();
  dead.die();
  expect([dead.ended, FakeWorker.made.length]).toEqual([true, 2]);
  expect(onRestart).toHaveBeenCalledTimes(1);
  await begun();
  expect(newest().asked.map(({ question: of }) => of.seed)).toEqual([2]);
  newest().answer(newest().asked[0]?.id ?? NaN);
  expect(onAnswer).toHaveBeenCalledTimes(1);
});
test('what is asked before the worker lives is asked once it does', async () => {
  const { ask } = listenForProbability({ onAnswer: vi.fn(), onRestart: vi.fn(), onGivenUp: vi.fn() });
  ask(question(1));
  expect(newest().asked).toEqual([]);
  await begun();
  expect(newest().asked.map(({ question: of }) => of.seed)).toEqual([1]);
});
test('one that keeps dying is not begun for ever, and that is said', async () => {
  const { ask, onRestart, onGivenUp } = await listening();
  ask(question(1));
  for (let i = 0; i < 10; i++) newest().die();
  expect(FakeWorker.made.length).toBeLessThanOrEqual(3);
  expect([onRestart.mock.calls.length, onGivenUp.mock.calls.length]).toEqual([2, 1]);
});
test('who stops listening ends it', async () => {
  const { stop } = await listening();
  stop();
  expect(newest().ended).toBe(true);
});
