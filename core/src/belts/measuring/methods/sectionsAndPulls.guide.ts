import { circle, jaws } from '../drawing';
import type { Guide } from '../types';

export const sectionJaws: Guide = {
  how: 'Close the jaws until they just hold the belt, no more: rubber gives. Read at three places and type the middle one.',
  goesWrong: 'Soft rubber gives: let the jaws only just touch, and turn the belt.',
  drawing: {
    belt: 'M20 30H56M76 30H112',
    thing: `M56 22h20v16h-20Z${jaws(56, 76, 30, 16)}`,
    read: [56, 56, 76, 56],
  },
};

export const sectionAsThickAs: Guide = {
  how: 'Lay the belt beside the thing, in good light, and look along both. Take the one that is as thick as the belt is across its bend.',
  goesWrong: 'A guess: good to two or three tenths. The printed scale tells better, a caliper best.',
  drawing: { belt: 'M16 24H116', thing: 'M16 38h100v3h-100Z', read: [128, 22, 128, 42] },
};

export const sectionAsUsual: Guide = {
  how: 'Taken as most such belts are, until somebody looks. Measure it, or hold it beside something known.',
  goesWrong: 'It is no measurement. One tenth of section is four tenths of a doubled length.',
  drawing: { belt: 'M20 30H112', read: [128, 24, 128, 36] },
};

export const widthJaws: Guide = {
  how: 'Lay the belt flat and close the jaws on its edges until they just touch. Its thickness goes into the section.',
  goesWrong: 'Across the face, not across the bend.',
  drawing: { thing: `M46 24h40v8h-40Z${jaws(46, 86, 28, 16)}`, read: [46, 54, 86, 54] },
};

export const grooveWidthJaws: Guide = {
  how: 'The small inside jaws between the flanks at the bottom of the groove, opened until they just touch. Residue off first.',
  goesWrong: 'Crumbs in the groove make it narrow: clean it, and measure at two places.',
  drawing: { thing: 'M20 16h32v26h28v-26h32v34H20Z', read: [52, 58, 80, 58] },
};

export const grooveDepthRod: Guide = {
  how: 'The depth rod of the caliper on the rim, let down to the bottom of the groove. A pin and a rule do as well.',
  goesWrong: 'Held askew it reads deep: rest the caliper’s end flat on the rim.',
  drawing: { thing: 'M20 16h32v26h28v-26h32v34H20ZM64 2v40', read: [96, 16, 96, 42] },
};

export const countedTravel: Guide = {
  how: 'Unplugged. Mark the motor pulley, turn it ten times by hand in the easy direction and read how far the tray came. Never force it.',
  goesWrong: 'Backlash eats the first turn: take it up before you count.',
  drawing: {
    thing: `M16 20h52v20h-52Z${circle(100, 30, 16)}M100 30v-16M112 14a20 20 0 0 1 6 12`,
    read: [16, 54, 68, 54],
  },
};

export const stalledMotor: Guide = {
  how: 'Hook the scale to the tray, let the motor drive it in and hold it for a second: read while the motor pulley stands. A tight band instead of the belt keeps it from slipping.',
  goesWrong:
    'A second at most: a standing motor gets hot. Fingers out of the tray and gears. If the pulley turned, the belt slipped: say so.',
  drawing: {
    belt: 'M44 30H62',
    thing: `M8 20h36v20h-36ZM62 22h34v16h-34ZM70 26v8M76 26v8M82 26v8${circle(114, 30, 10)}M107 23l14 14M121 23l-14 14`,
    read: [62, 56, 96, 56],
  },
};

export const stalledSlipping: Guide = {
  how: 'The same with the belt as it is: hold the tray on the scale while the motor pulley goes on turning, and read.',
  goesWrong:
    'It is the belt’s pull, not the motor’s: the motor has that much and more. Slipping polishes the belt, so be brief.',
  drawing: {
    belt: 'M44 30H62M100 22a16 16 0 0 1 26 0',
    thing: `M8 20h36v20h-36ZM62 22h34v16h-34ZM70 26v8M76 26v8M82 26v8${circle(114, 30, 10)}`,
    read: [62, 56, 96, 56],
  },
};

export const scalePull: Guide = {
  how: 'Unplugged, belt off. Hook a small scale to the tray and draw it out slowly; read while it moves, not when it starts.',
  goesWrong: 'Not the jerk at the start, and never with the motor driving: those are other pulls.',
  drawing: {
    belt: 'M56 30H78',
    thing: 'M10 20h46v20h-46ZM78 22h40v16h-40ZM86 26v8M92 26v8M98 26v8M104 26v8',
    read: [10, 56, 56, 56],
  },
};
