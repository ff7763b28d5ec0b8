import type { Loop, LoopLimit } from './types';

export const isOpen = ({ closedAt }: Pick<Loop, 'closedAt'>): boolean => closedAt === null;

const REACH: Readonly<Record<LoopLimit, readonly LoopLimit[]>> = {
  power: ['power'],
  lid: ['power', 'lid'],
  handBack: ['power', 'lid', 'handBack'],
};

/**
 * The open loops that forbid a moment: what must end before power forbids the lid and handing back as well.
 *
 * @example forbidding(loops, 'power').map(({ words }) => words) // ['Laser pads bridged']
 */
export const forbidding = (loops: readonly Loop[], moment: LoopLimit): readonly Loop[] =>
  loops.filter((loop) => isOpen(loop) && REACH[moment].includes(loop.before));
