/**
 * Where a statement changes between two places: it holds at `low` and not at `high`, and changes once in between. The
 * interval is halved `turns` times; 60 reach the last digit.
 *
 * @example crossing(0, 2, (x) => x * x < 2) // 1.41421356…
 */
export function crossing(low: number, high: number, holds: (x: number) => boolean, turns = 60): number {
  let [from, to] = [low, high];
  for (let turn = 0; turn < turns; turn++) {
    const middle = (from + to) / 2;
    if (holds(middle)) from = middle;
    else to = middle;
  }
  return (from + to) / 2;
}
