import { circle } from '../drawing';
import type { Guide } from '../types';

export const shaftToShaft: Guide = {
  how: 'Read from the near side of one shaft to the far side of the other if they are equally thick, or centre to centre by eye.',
  goesWrong: 'Read across the shafts’ middles, not edge to edge of one side.',
  drawing: {
    thing: `${circle(30, 28, 10)}${circle(100, 28, 20)}${circle(30, 28, 2)}${circle(100, 28, 2)}`,
    read: [30, 58, 100, 58],
  },
};

export const outsideToOutside: Guide = {
  how: 'Read over the rims of both pulleys, the longest way, then the outside diameter of each.',
  goesWrong: 'Both outsides are over the rims; the diameters asked for are the rims’, not the grooves’.',
  drawing: { thing: `${circle(30, 28, 10)}${circle(100, 28, 20)}`, read: [20, 58, 120, 58] },
};

export const gapBetween: Guide = {
  how: 'Read the gap between the rims at their nearest, then the outside diameter of each pulley.',
  goesWrong: 'At their nearest, rim to rim; into a groove it reads too much.',
  drawing: {
    thing: `${circle(30, 28, 14)}${circle(100, 28, 20)}${circle(30, 28, 2)}${circle(100, 28, 2)}`,
    read: [44, 58, 80, 58],
  },
};
