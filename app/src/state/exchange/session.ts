import { wrap, type Remote } from 'comlink';
import { bench } from '../boot';
import { watchLife, WorkerEnded } from '../../workers/life';
import type { ExchangeApi } from './exchange.worker';
import type { ExchangeWork } from './work';

/** One import or export, which its worker remembers from step to step. */
export interface ExchangeSession {
  /** @throws WorkerEnded where the worker ended; else what the step threw */
  readonly ask: <T>(step: (work: Remote<ExchangeWork>) => Promise<T>) => Promise<T>;
  readonly end: () => void;
}

/** Begins one beside the page. */
export function beginExchange(): ExchangeSession {
  const worker = new Worker(new URL('./exchange.worker.ts', import.meta.url), { type: 'module' });
  const api = wrap<ExchangeApi>(worker);
  let giveUp: (why: WorkerEnded) => void = () => undefined;
  const ended = new Promise<never>((_, reject) => {
    giveUp = reject;
  });
  const life = watchLife(worker, (why) => giveUp(why));
  const work = life.begun.then(() => api.begin(bench) as unknown as Promise<Remote<ExchangeWork>>);
  // Whoever asks hears of it.
  ended.catch(() => undefined);
  return {
    ask: (step) => Promise.race([work.then(step), ended]),
    end: life.stop,
  };
}

/** Does the first step of an exchange; where the worker ends meanwhile, once more with another. */
export async function beginWith<T>(
  step: (work: Remote<ExchangeWork>) => Promise<T>,
): Promise<{ readonly session: ExchangeSession; readonly answer: T }> {
  for (let tries = 1; ; tries++) {
    const session = beginExchange();
    try {
      return { session, answer: await session.ask(step) };
    } catch (error) {
      session.end();
      if (!(error instanceof WorkerEnded) || tries > 1) throw error;
    }
  }
}
