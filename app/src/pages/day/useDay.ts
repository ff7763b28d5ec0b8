import { useEffect, useMemo, useRef, useState } from 'react';
import {
  durationsOf,
  jobOf,
  riskOfBench,
  type DayJob,
  type DayPlan,
  type DayState,
  type Durations,
} from '@loose-pulley/core/shop/day';
import { useNow } from '../../parts/clock/useNow';
import { selectOrders, selectSummaries, useAppSelector } from '../../state/store/hooks';
import { beginPlanner, type Planner } from '../../workers/day';

/** Planned again as the clock goes on, and at once when anything happens. */
const STEP_MS = 60_000;
const NO_PINS: DayState['pins'] = [];
const NO_HOURS: DayState['hours'] = [];
const NO_MINUTES: DayState['minutes'] = {};

export interface DayView {
  readonly nowMs: number;
  readonly jobs: readonly DayJob[];
  readonly durations: Durations;
  readonly state: Pick<DayState, 'hours' | 'benches' | 'dryingPlaces' | 'pins' | 'minutes'>;
  /** Null until the first plan has come. */
  readonly plan: DayPlan | null;
  readonly tookMs: number;
  readonly trouble: boolean;
}

/** The day as it stands: every open ticket’s steps and waits, and the plan of them. */
export function useDay(): DayView {
  const summaries = useAppSelector(selectSummaries);
  const orders = useAppSelector(selectOrders);
  const book = useAppSelector(({ book: of }) => of.record?.book);
  const ready = useAppSelector(({ bench, book: of }) => bench.status === 'ready' && of.status !== 'loading');
  const nowMs = Math.floor(useNow() / STEP_MS) * STEP_MS;
  const hours = book?.hours ?? NO_HOURS;
  const pins = book?.pins ?? NO_PINS;
  const minutes = book?.minutes ?? NO_MINUTES;
  const benches = book?.benches ?? 3;
  const dryingPlaces = book?.dryingPlaces ?? 2;
  const state = useMemo(
    () => ({ hours, benches, dryingPlaces, pins, minutes }),
    [hours, benches, dryingPlaces, pins, minutes],
  );
  const durations = useMemo(() => durationsOf(summaries, minutes), [summaries, minutes]);
  const past = useMemo(() => riskOfBench(summaries), [summaries]);
  const jobs = useMemo(
    () =>
      summaries
        .filter(({ closedAt }) => closedAt === null)
        .map((one) => jobOf(one, durations, orders, nowMs, past))
        .reverse(),
    [summaries, durations, orders, nowMs, past],
  );
  const [found, setFound] = useState<{ readonly plan: DayPlan; readonly tookMs: number } | null>(null);
  const [trouble, setTrouble] = useState(false);
  const planner = useRef<Planner | null>(null);
  useEffect(() => {
    const begun = beginPlanner(
      (plan, tookMs) => setFound({ plan, tookMs }),
      () => setTrouble(true),
    );
    planner.current = begun;
    return () => {
      planner.current = null;
      begun.stop();
    };
  }, []);
  useEffect(() => {
    if (ready) planner.current?.ask({ nowMs, jobs, state, orders });
  }, [ready, nowMs, jobs, state, orders]);
  return { nowMs, jobs, durations, state, plan: found?.plan ?? null, tookMs: found?.tookMs ?? 0, trouble };
}
