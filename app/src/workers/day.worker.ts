import './living';
import { planOf, type DayPlan, type DayQuestion } from '@loose-pulley/core/shop/day';

export interface DayAsked {
  readonly turn: number;
  readonly question: DayQuestion;
}
export interface DayAnswered {
  readonly turn: number;
  readonly plan: DayPlan;
  /** What the search itself took. */
  readonly tookMs: number;
}

addEventListener('message', ({ data }: MessageEvent<DayAsked>) => {
  const begun = performance.now();
  const plan = planOf(data.question);
  postMessage({ turn: data.turn, plan, tookMs: performance.now() - begun } satisfies DayAnswered);
});
