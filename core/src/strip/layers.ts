import { openRemoval } from './removals';
import type { Step, Strip } from './schema';

/** Steps that belong together because they free one thing. */
export interface Layer {
  /** What comes free, or “still to come free”. */
  readonly name: string;
  readonly steps: readonly Step[];
}

const FREES = new Set(['cover', 'part']);
export const STILL_TO_COME = 'still to come free';

/**
 * The steps grouped by what comes free: a cover or a part ends its group, and names it. In the order of the strip.
 *
 * @example layersOf(strip.steps)[0] // { name: 'lid', steps: [screws, screws, lid] }
 */
export function layersOf(steps: readonly Step[]): Layer[] {
  const layers: Layer[] = [];
  let open: Step[] = [];
  for (const step of steps) {
    open.push(step);
    if (!FREES.has(step.kind)) continue;
    layers.push({ name: step.what, steps: open });
    open = [];
  }
  if (open.length > 0) layers.push({ name: STILL_TO_COME, steps: open });
  return layers;
}

/** How many fasteners are where. */
export interface Counts {
  /** Off now. */
  readonly out: number;
  /** What there should be of them. */
  readonly shouldBe: number;
  readonly missingOnArrival: number;
  /** Taken off once, said to be back, and fewer than came off. */
  readonly leftOver: number;
  readonly plugsOff: number;
}

/**
 * Counts over all openings. What is off is counted by its last time off; what is left over, by every time that came to
 * an end with fewer back than off.
 *
 * @example countsOf(strip).out // 7
 */
export function countsOf({ steps }: Pick<Strip, 'steps'>): Counts {
  const screws = steps.filter(({ kind }) => kind === 'fasteners');
  const sum = (list: readonly Step[], value: (step: Step) => number): number =>
    list.reduce((total, step) => total + value(step), 0);
  return {
    out: sum(screws, (step) => openRemoval(step)?.off ?? 0),
    shouldBe: sum(
      screws.filter((step) => openRemoval(step)),
      ({ count }) => count,
    ),
    missingOnArrival: sum(screws, ({ missing }) => missing),
    leftOver: sum(screws, ({ removals }) => {
      const last = removals[removals.length - 1];
      return last && last.back !== null ? Math.max(0, last.off - last.back) : 0;
    }),
    plugsOff: steps.filter((step) => step.kind === 'connector' && openRemoval(step)).length,
  };
}

/** Something that stands between a machine and its being whole, in a sentence. */
export function leftOvers({ steps, found }: Pick<Strip, 'steps' | 'found'>): string[] {
  return [
    ...steps.flatMap(({ removals, number, what }) => {
      const last = removals[removals.length - 1];
      return last && last.back !== null && last.back < last.off
        ? [
            `Of number ${number}, ${what}, ${last.off - last.back} ${last.off - last.back === 1 ? 'is' : 'are'} left over.`,
          ]
        : [];
    }),
    ...found.flatMap(({ homed, what, where }) =>
      homed ? [] : [`Found and not placed: ${what}${where === '' ? '' : `, ${where}`}.`],
    ),
  ];
}

/** How a layer stands on the way back. */
export interface LayerCount {
  readonly name: string;
  readonly off: number;
  readonly back: number;
}

/** Screws in and out by layer, of the last time that each came off. @example layerCounts(steps)[0] // { name: 'lid', off: 7, back: 6 } */
export const layerCounts = (steps: readonly Step[]): LayerCount[] =>
  layersOf(steps)
    .map(({ name, steps: own }) => {
      const removals = own
        .filter(({ kind }) => kind === 'fasteners')
        .flatMap(({ removals: all }) => {
          const last = all[all.length - 1];
          return last ? [last] : [];
        });
      return {
        name,
        off: removals.reduce((sum, { off }) => sum + off, 0),
        back: removals.reduce((sum, { back }) => sum + (back ?? 0), 0),
      };
    })
    .filter(({ off }) => off > 0);
