import type { Layer } from '@loose-pulley/core/work/strip';

/** A slab of the exploded stack, with the balloons of what frees it. */
export interface Slab {
  readonly name: string;
  /** Top left of its front edge, and its size on paper. */
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
  readonly depthPx: number;
  readonly heightPx: number;
  readonly balloons: readonly Balloon[];
}

/** A number in a circle with a leader to its place on the slab. */
export interface Balloon {
  readonly stepId: string;
  readonly number: number;
  readonly kind: string;
  readonly x: number;
  readonly y: number;
  /** Where its leader ends. */
  readonly toX: number;
  readonly toY: number;
}

export interface Stack {
  readonly slabs: readonly Slab[];
  readonly widthPx: number;
  readonly heightPx: number;
}

export const BALLOON_PX = 15;
const STEP_PX = 36;
const GAP_PX = 34;
const SKEW_PX = 44;

/**
 * The exploded stack of a strip: a slab a layer, what came off first on top, balloons in two columns beside each, so
 * that none can lie on another however many there are.
 *
 * @param widthPx of the drawing, 240 at least
 */
export function stackLayout(layers: readonly Layer[], widthPx: number): Stack {
  const width = Math.max(240, widthPx);
  const slabWidth = width - 4 * BALLOON_PX - SKEW_PX - 48;
  const x = 2 * BALLOON_PX + 24;
  let y = 12;
  const slabs = layers.map((layer, index): Slab => {
    const steps = layer.steps.filter(({ number }) => number > 0);
    const rows = Math.ceil(steps.length / 2);
    const last = index === layers.length - 1;
    const thick = last ? 30 : 14;
    const room = Math.max(thick + SKEW_PX * 0.6 + GAP_PX, rows * STEP_PX + 8);
    const top = y + (room - thick) / 2;
    const balloons = steps.map((step, place): Balloon => {
      // The first half to the left, the rest to the right, so that leaders do not cross.
      const left = place < rows;
      const row = left ? place : place - rows;
      const along = (place + 1) / (steps.length + 1);
      return {
        stepId: step.id,
        number: step.number,
        kind: step.kind,
        x: left ? BALLOON_PX + 2 : width - BALLOON_PX - 2,
        y: y + 4 + BALLOON_PX + row * STEP_PX,
        toX: x + slabWidth * along + SKEW_PX * 0.25,
        toY: top - SKEW_PX * 0.15,
      };
    });
    y += room;
    return { name: layer.name, x, y: top, widthPx: slabWidth, depthPx: SKEW_PX, heightPx: thick, balloons };
  });
  return { slabs, widthPx: width, heightPx: y + 12 };
}
