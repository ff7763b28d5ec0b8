import { scaleLinear } from 'd3-scale';

/** Chances that the axis names, from hardly to almost surely. */
const NAMED: ReadonlyArray<readonly [chance: number, label: string]> = [
  [0.001, '0.1 %'],
  [0.01, '1 %'],
  [0.1, '10 %'],
  [0.5, 'even'],
  [0.9, '90 %'],
  [0.99, '99 %'],
];
const LEAST = 0.0005;
const EDGE_PX = 10;
/** Names nearer than this to one another are left out, the outer ones first. */
const LABEL_PX = 46;

const logit = (chance: number): number => {
  const inside = Math.min(1 - LEAST, Math.max(LEAST, chance));
  return Math.log(inside / (1 - inside));
};

/** Where chances lie across a row: evenly by the logarithm of p/(1−p), so that one observation moves every cause by the same length. */
export function driftScale(widthPx: number): (chance: number) => number {
  const scale = scaleLinear()
    .domain([logit(LEAST), logit(1 - LEAST)])
    .range([EDGE_PX, Math.max(EDGE_PX + 1, widthPx - EDGE_PX)]);
  return (chance) => scale(logit(chance));
}

/** The axis: every named chance as a tick, and its name where there is room. */
export function driftAxis(widthPx: number): ReadonlyArray<{ readonly x: number; readonly label: string | null }> {
  const x = driftScale(widthPx);
  let last = -Infinity;
  return NAMED.map(([chance, label]) => {
    const at = x(chance);
    if (at - last < LABEL_PX) return { x: at, label: null };
    last = at;
    return { x: at, label };
  });
}
