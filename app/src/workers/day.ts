import type { DayPlan, DayQuestion } from '@loose-pulley/core/shop/day';
import type { DayAnswered } from './day.worker';
import { isLifeSign, watchLife } from './life';

/** A planner beside the page: asked again, it answers the newest question only. */
export interface Planner {
  ask(question: DayQuestion): void;
  stop(): void;
}

/** Begins a planner. One that ends before its time is begun again, once, with the newest question. */
export function beginPlanner(onPlan: (plan: DayPlan, tookMs: number) => void, onStopped: () => void): Planner {
  let turn = 0;
  let last: DayQuestion | null = null;
  let worker: Worker;
  let stopLife = (): void => undefined;
  let begun: Promise<unknown> = Promise.resolve();
  const start = (onEnd: () => void): void => {
    worker = new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<DayAnswered>) => {
      if (!isLifeSign(data) && data.turn === turn) onPlan(data.plan, data.tookMs);
    });
    const life = watchLife(worker, onEnd);
    ({ stop: stopLife } = life);
    begun = life.begun;
  };
  const post = (): void => {
    const asked = { turn, question: last };
    void begun.then(() => asked.turn === turn && worker.postMessage(asked));
  };
  start(() => {
    start(onStopped);
    if (last) post();
  });
  return {
    ask(question) {
      turn += 1;
      last = question;
      post();
    },
    stop: () => stopLife(),
  };
}
