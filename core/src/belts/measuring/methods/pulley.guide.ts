import { circle, jaws as jawsDrawn } from '../drawing';
import type { Guide } from '../types';

export const jaws: Guide = {
  how: 'Close the thin tips of the caliper jaws on the bottom of the groove, not on the rims.',
  goesWrong: 'On the groove’s bottom, not on its rims; thick jaws ride on the flanks.',
  drawing: { thing: `${circle(66, 30, 16)}${circle(66, 30, 22)}${jawsDrawn(50, 82, 30, 24)}`, read: [50, 58, 82, 58] },
};

export const overPins: Guide = {
  how: 'Lay two equal pins in the groove on opposite sides and read over them. Give the full angle if the groove is a vee.',
  goesWrong: 'Both pins must touch the bottom, or both flanks alike.',
  drawing: {
    thing: `${circle(66, 32, 14)}${circle(66, 32, 22)}${circle(66, 14, 4)}${circle(66, 50, 4)}`,
    read: [100, 10, 100, 54],
  },
};

export const thread: Guide = {
  how: 'Wind a thin thread side by side in the groove, count the turns, mark it, unwind it and lay it on a rule.',
  goesWrong: 'Turns that climb on one another read too small.',
  drawing: { belt: 'M40 26q8 -12 16 0t16 0t16 0', thing: circle(24, 26, 14), read: [40, 52, 112, 52] },
};

export const lessGroove: Guide = {
  how: 'Read over the rims, then the depth of the groove from rim to bottom.',
  goesWrong: 'Measure the depth on the same side; rims are seldom equal.',
  drawing: { thing: `${circle(52, 32, 14)}${circle(52, 32, 24)}M66 32h10`, read: [28, 60, 76, 60] },
};
