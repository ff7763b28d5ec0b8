import { useEffect, useRef, useState } from 'react';
import type { CycleShares, SingleChange } from '@loose-pulley/core/belts/cycling';
import type { Cycle, CycleMachine } from '@loose-pulley/core/physics/cycle';
import { cyclesBeside, type CycleNews, type CycleQuestion } from '../../workers/cycle';

/** All that has come of a question so far. */
export interface CycleAnswer {
  readonly machine: CycleMachine | null;
  readonly cycle: Cycle | null;
  /** One in a hundred of grip, motor or pull would make it come to something else. */
  readonly edge: boolean;
  readonly problem: string;
  readonly shares: CycleShares | null;
  readonly before: CycleShares | null;
  /** Of so many machines. */
  readonly of: number;
  readonly changes: Readonly<Partial<Record<SingleChange['id'], CycleShares>>>;
  readonly done: boolean;
}
const NOTHING: CycleAnswer = {
  machine: null,
  cycle: null,
  edge: false,
  problem: '',
  shares: null,
  before: null,
  of: 0,
  changes: {},
  done: false,
};

function withNews(now: CycleAnswer, news: CycleNews): CycleAnswer {
  switch (news.type) {
    case 'cycle':
      return { ...now, machine: news.machine, cycle: news.cycle, edge: false, problem: '', done: false };
    case 'edge':
      return { ...now, edge: news.edge };
    case 'refused':
      return { ...NOTHING, problem: news.problem };
    case 'shares':
      return { ...now, shares: news.shares, of: news.of };
    case 'before':
      return { ...now, before: news.shares };
    case 'change':
      return { ...now, changes: { ...now.changes, [news.id]: news.shares } };
    case 'done':
      return { ...now, done: true };
  }
}

/** A cycle and what machines that fit come to, worked out beside the page; what was known stays until newer comes. */
export function useCycle(question: CycleQuestion | null): CycleAnswer {
  const [{ answer, of }, setHeard] = useState<{ readonly answer: CycleAnswer; readonly of: CycleQuestion | null }>({
    answer: NOTHING,
    of: null,
  });
  const beside = useRef<ReturnType<typeof cyclesBeside> | null>(null);
  const asked = useRef<CycleQuestion | null>(null);
  useEffect(() => {
    const begun = cyclesBeside({
      news: (news) => setHeard((now) => ({ answer: withNews(now.answer, news), of: asked.current })),
      stopped: () =>
        setHeard((now) => ({
          ...now,
          answer: { ...now.answer, problem: 'The calculation stopped. Open the page anew.' },
        })),
    });
    beside.current = begun;
    return () => {
      beside.current = null;
      begun.stop();
    };
  }, []);
  useEffect(() => {
    asked.current = question;
    if (question) beside.current?.ask(question);
  }, [question]);
  // What another question came to is no answer to this one.
  return of === question ? answer : { ...answer, before: null, changes: {}, done: false };
}
