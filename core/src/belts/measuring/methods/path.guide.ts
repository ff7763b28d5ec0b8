import { circle } from '../drawing';
import type { Guide } from '../types';

export const stringRound: Guide = {
  how: 'Pull a thin string tight round both pulleys in their grooves, mark where it meets, lay it flat and read mark to mark.',
  goesWrong: 'Its own thickness is taken off: say how thick it is. Pull it tight, all in the grooves.',
  drawing: {
    belt: 'M28 22L94 10A20 20 0 0 1 94 50L28 38A8 8 0 0 1 28 22',
    thing: `${circle(28, 30, 7)}${circle(94, 30, 18)}M58 12v10`,
    read: [16, 60, 116, 60],
  },
};
