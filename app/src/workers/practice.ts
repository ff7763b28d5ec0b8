import { wrap, type Remote } from 'comlink';
import { watchLife, WorkerEnded, type Life } from './life';
import type { PracticeApi } from './practice.worker';

export type { Brought, Seen } from './practice.worker';

interface Running {
  readonly api: Remote<PracticeApi>;
  readonly life: Life;
  readonly ended: Promise<never>;
}
let running: Running | null = null;

/** One worker stays while the page does: it remembers the machine that hands were laid on last. */
function begin(): Running {
  const worker = new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module' });
  let giveUp: (why: WorkerEnded) => void = () => undefined;
  const ended = new Promise<never>((_, reject) => {
    giveUp = reject;
  });
  ended.catch(() => undefined);
  const life = watchLife(worker, (why) => {
    running = null;
    giveUp(why);
  });
  return { api: wrap<PracticeApi>(worker), life, ended };
}

/**
 * Asks the hidden machine. A worker that ends is begun again, once: the machine is the same everywhere.
 *
 * @returns what it answered
 * @throws WorkerEnded where the second ended too
 */
export async function askMachine<T>(call: (api: Remote<PracticeApi>) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    running ??= begin();
    const { api, life, ended } = running;
    try {
      return await Promise.race([life.begun.then(() => call(api)), ended]);
    } catch (error) {
      if (!(error instanceof WorkerEnded) || tries > 1) throw error;
    }
  }
}
