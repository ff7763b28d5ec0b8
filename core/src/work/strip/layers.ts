import { lastRemoval, openRemoval } from './removals';
import { isAway } from './words';
import type { FoundPart, Step, StepKind, Strip } from './schema';

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
 * @example layersOf(strip.steps)[0].steps.map(({ kind }) => kind) // ['screws', 'cover']
 */
export function layersOf(steps: readonly Step[]): Layer[] {
  const layers: Layer[] = [];
  let open: Step[] = [];
  for (const step of steps) {
    open.push(step);
    if (!FREES.has(step.kind) || !isAway(step.fate)) continue;
    layers.push({ name: step.what, steps: open });
    open = [];
  }
  if (open.length > 0) layers.push({ name: STILL_TO_COME, steps: open });
  return layers;
}

/** How many screws are where, and how many of the other kinds are off. */
export interface Counts {
  /** Screws off now. */
  readonly out: number;
  /** What there should be of them. */
  readonly shouldBe: number;
  readonly missingOnArrival: number;
  /** There once, and now neither back nor off. */
  readonly leftOver: number;
  readonly plugsOff: number;
  /** Nuts, clips, springs, gears and the like that are off now, by kind; only those of which there are any. */
  readonly others: ReadonlyArray<readonly [kind: StepKind, count: number]>;
}
/** Kinds that are small enough to be lost, beside screws and plugs. */
const SMALL: readonly StepKind[] = ['nuts', 'clips', 'springs', 'gear', 'wire', 'belt'];

/**
 * Counts over all openings. What is off is counted by its last time off; what is left over, from its first.
 *
 * @example countsOf(strip).out // 4
 */
export function countsOf({ steps }: Pick<Strip, 'steps'>): Counts {
  const screws = steps.filter(({ kind, fate }) => kind === 'screws' && isAway(fate));
  const sum = (list: readonly Step[], value: (step: Step) => number): number =>
    list.reduce((total, step) => total + value(step), 0);
  return {
    out: sum(screws, (step) => openRemoval(step)?.off ?? 0),
    shouldBe: sum(
      screws.filter((step) => openRemoval(step)),
      ({ count }) => count,
    ),
    missingOnArrival: sum(
      steps.filter(({ kind }) => kind === 'screws'),
      ({ missing }) => missing,
    ),
    leftOver: sum(screws, leftOverOf),
    plugsOff: sum(
      steps.filter((step) => step.kind === 'connector'),
      (step) => openRemoval(step)?.off ?? 0,
    ),
    others: SMALL.flatMap((kind) => {
      const off = sum(
        steps.filter((step) => step.kind === kind),
        (step) => openRemoval(step)?.off ?? 0,
      );
      return off > 0 ? [[kind, off] as const] : [];
    }),
  };
}

/**
 * How many of a step are nowhere: there once, taken off, and not among those that went back or are off now. Carried
 * through every later opening, until they are placed or explained.
 *
 * @example leftOverOf(step) // 0
 */
export function leftOverOf(step: Pick<Step, 'removals' | 'count' | 'missing' | 'explained'>): number {
  const last = lastRemoval(step);
  if (!last || step.explained) return 0;
  // What the first time took off is what there was; one that came off and was placed late counts as there.
  const first = step.removals[0]?.off ?? 0;
  return Math.max(0, first - (last.back ?? last.off));
}

/** What is left over, step by step and found by found. */
export interface LeftOver {
  readonly step?: Step;
  readonly found?: FoundPart;
  readonly count: number;
  readonly words: string;
}

/** Everything that stands between a machine and its being whole: left over of a step, or found and without a home. */
export const leftOverList = ({ steps, found }: Pick<Strip, 'steps' | 'found'>): LeftOver[] => [
  ...steps.flatMap((step) => {
    const count = leftOverOf(step);
    return count > 0
      ? [
          {
            step,
            count,
            words: `Of number ${step.number}, ${step.what}, ${count} ${count === 1 ? 'is' : 'are'} left over.`,
          },
        ]
      : [];
  }),
  ...found.flatMap((one) =>
    one.homed || one.kind === 'dirt'
      ? []
      : [
          {
            found: one,
            count: 1,
            words: `Found and not placed: ${one.what}${one.where === '' ? '' : `, ${one.where}`}.`,
          },
        ],
  ),
];

/** The same as sentences. @example leftOvers(strip) // ['Found and not placed: a spring, under the tray.'] */
export const leftOvers = (strip: Pick<Strip, 'steps' | 'found'>): string[] =>
  leftOverList(strip).map(({ words }) => words);

/** How a layer stands on the way back. */
export interface LayerCount {
  readonly name: string;
  readonly off: number;
  readonly back: number;
}

/** Screws in and out by layer, of the last time that each came off. @example layerCounts(steps)[0] // { name: 'lid', off: 4, back: 0 } */
export const layerCounts = (steps: readonly Step[]): LayerCount[] =>
  layersOf(steps)
    .map(({ name, steps: own }) => {
      const removals = own
        .filter(({ kind, fate }) => kind === 'screws' && isAway(fate))
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
