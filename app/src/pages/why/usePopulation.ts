import { useEffect, useState } from 'react';
import type { Population } from '@loose-pulley/lab/population';
import { playBeside } from '../../workers/population';
import type { PlayOrder } from '../../workers/population.worker';

export interface Play {
  readonly population: Population | null;
  /** Drives played so far of those ordered; null while nothing is under way. */
  readonly done: number | null;
  readonly problem: string;
}

interface Heard extends Play {
  /** The order that was heard of; another is under way as long as it differs. */
  readonly order: string;
}

/** Plays a population beside the page; a new order ends the old one. */
export function usePopulation({ kind, drives, seed, priors }: PlayOrder): Play {
  const order = JSON.stringify([kind, drives, seed, priors]);
  const [heard, setHeard] = useState<Heard>({ order: '', population: null, done: 0, problem: '' });
  useEffect(
    () =>
      playBeside(
        { kind, drives, seed, priors },
        {
          news: (news) =>
            setHeard((before) =>
              news.type === 'played'
                ? { order, population: news.population, done: null, problem: '' }
                : { ...before, order, done: news.done, problem: '' },
            ),
          stopped: () =>
            setHeard((before) => ({
              ...before,
              order,
              done: null,
              problem: 'The playing stopped. Draw the drives once more.',
            })),
        },
      ),
    [order, kind, drives, seed, priors],
  );
  return heard.order === order ? heard : { ...heard, done: 0, problem: '' };
}
