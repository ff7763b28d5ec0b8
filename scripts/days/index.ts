import loadHighs from 'highs';
import { byDispatch, firstCome, planDay } from '../../core/src/shop/schedule';
import { programme } from './milp';
import { randomDay } from './random';

/** How long the solver may think about one day before it is left out, s. */
const PATIENCE_S = 120;

const percent = (value: number): string => `${(100 * value).toFixed(1)} %`;

/** Random days planned by the app, by the rule, in turn, and to the optimum by a general solver; as a table. */
export async function days(count: number): Promise<void> {
  const sums = { optimum: 0, plan: 0, rule: 0, turn: 0 };
  const above: number[] = [];
  let [solved, hit, worse, late, slowest] = [0, 0, 0, 0, 0];
  for (let n = 0; n < count; n += 1) {
    // A fresh one for each: it keeps what it was given.
    const highs = await loadHighs();
    const day = randomDay(1000 + n);
    const began = performance.now();
    const plan = planDay(day, { tries: 6000 });
    slowest = Math.max(slowest, performance.now() - began);
    const [rule, turn] = [byDispatch(day), firstCome(day)];
    if (plan.cost > turn.cost + 1e-6) worse += 1;
    const answer = highs.solve(programme(day), { time_limit: PATIENCE_S, output_flag: false });
    if (answer.Status !== 'Optimal') continue;
    const optimum = Math.round(answer.ObjectiveValue);
    if (plan.cost < optimum - 0.5)
      throw new Error(`Day ${n}: a plan of ${plan.cost} below the optimum of ${optimum}: one of the two is wrong.`);
    solved += 1;
    if (plan.cost <= optimum + 0.5) hit += 1;
    if (optimum > 0) {
      late += 1;
      above.push(plan.cost / optimum - 1);
    }
    sums.optimum += optimum;
    sums.plan += plan.cost;
    sums.rule += rule.cost;
    sums.turn += turn.cost;
    if ((n + 1) % 20 === 0) console.log(`${n + 1} days…`);
  }
  const over = (sum: number): string => percent(sum / sums.optimum - 1);
  const mean = above.reduce((sum, one) => sum + one, 0) / Math.max(1, above.length);
  console.log(`
Random days of two to eight tickets: ${count}, of which the solver proved ${solved} within ${PATIENCE_S} s each; late at best: ${late}
Weighted lateness above the optimum, all days together:
  the app's plan               ${over(sums.plan)}   (mean over the late days ${percent(mean)}, worst ${percent(Math.max(0, ...above))})
  dispatch rule alone          ${over(sums.rule)}
  first come, first served     ${over(sums.turn)}
The optimum itself: ${hit} of ${solved}.   Worse than first come, first served: ${worse}.   Slowest plan: ${Math.round(slowest)} ms`);
}
