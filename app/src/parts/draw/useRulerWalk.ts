import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import type { RulerLayout } from './rulerLayout';

/** What Shift and an arrow key move by, between the belts. */
const FREE_STEP_MM = 0.5;
/** A tap that trembles by less than this still means the belt. */
const DRAG_PX = 5;

interface Walked {
  /** The belts on the ruler, the shortest first. */
  readonly inside: readonly CatalogueBelt[];
  readonly layout: Pick<RulerLayout, 'scale' | 'left' | 'right'>;
  readonly picked: CatalogueBelt | undefined;
  readonly pathMm: number;
  readonly freeMm: number | null;
  readonly onPick: (belt: CatalogueBelt) => void;
  readonly onFree: (lengthMm: number | null) => void;
}

/** How the ruler is walked: arrows from belt to belt, with Shift or a drag through every length between. */
export function useRulerWalk({ inside, layout, picked, pathMm, freeMm, onPick, onFree }: Walked) {
  const { scale, left, right } = layout;
  const index = inside.findIndex(({ id }) => id === picked?.id);
  const downX = useRef(0);
  const pick = (at: number): void => {
    const belt = inside[Math.max(0, Math.min(inside.length - 1, at))];
    if (belt) onPick(belt);
  };
  const nearest = (mm: number): number => {
    const distances = inside.map(({ innerLengthMm }) => Math.abs(innerLengthMm - mm));
    return distances.indexOf(Math.min(...distances));
  };
  const free = (mm: number): void => {
    const within = Math.max(scale.invert(left), Math.min(scale.invert(right), mm));
    onFree(Math.round(within * 10) / 10);
    pick(nearest(within));
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: -FREE_STEP_MM, ArrowRight: FREE_STEP_MM }[event.key];
    if (event.shiftKey && by !== undefined) {
      event.preventDefault();
      return free((freeMm ?? picked?.innerLengthMm ?? pathMm) + by);
    }
    if (event.key === 'Escape') return onFree(null);
    const to = {
      ArrowLeft: index - 1,
      ArrowDown: index - 1,
      ArrowRight: index + 1,
      ArrowUp: index + 1,
      Home: 0,
      End: inside.length - 1,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    onFree(null);
    pick(to);
  };
  const onPointer = (event: PointerEvent<HTMLDivElement>): void => {
    const mm = scale.invert(event.clientX - event.currentTarget.getBoundingClientRect().left);
    if (event.type === 'pointerdown') {
      downX.current = event.clientX;
      onFree(null);
      pick(nearest(mm));
    } else if (event.buttons === 1 && (freeMm !== null || Math.abs(event.clientX - downX.current) > DRAG_PX)) free(mm);
  };
  return { onKeyDown, onPointerDown: onPointer, onPointerMove: onPointer };
}
