import { useEffect, useState } from 'react';
import type { Population } from '@loose-pulley/core/population';
import type { PlayNews, PlayOrder } from '../workers/population.worker';

export interface Play {
  readonly population: Population | null;
  /** Drives played so far of those ordered; null while nothing is under way. */
  readonly done: number | null;
  readonly problem: string;
}

/** Plays a population beside the page; a new order ends the old one. */
export function usePopulation(order: PlayOrder): Play {
  const [play, setPlay] = useState<Play>({ population: null, done: 0, problem: '' });
  const { kind, drives, seed, limits } = order;
  useEffect(() => {
    const worker = new Worker(new URL('../workers/population.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<PlayNews>) =>
      setPlay((before) =>
        data.type === 'played'
          ? { population: data.population, done: null, problem: '' }
          : { ...before, done: data.done },
      ),
    );
    worker.addEventListener('error', () =>
      setPlay((before) => ({ ...before, done: null, problem: 'The playing stopped. Draw the drives once more.' })),
    );
    setPlay((before) => ({ ...before, done: 0, problem: '' }));
    worker.postMessage({ kind, drives, seed, limits } satisfies PlayOrder);
    return () => worker.terminate();
  }, [kind, drives, seed, limits]);
  return play;
}
