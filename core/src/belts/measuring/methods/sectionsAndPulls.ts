import { ok } from '../../../base/units';
import { auxOr } from '../aux';
import type { Method } from '../types';

/** Section across the bend, with calipers that barely touch. */
export const sectionJaws: Method = {
  id: 'sectionJaws',
  takes: 'length',
  guide: async () => (await import('./sectionsAndPulls.guide')).sectionJaws,
  measurand: 'section',
  label: 'section',
  numberIs: 'thickness of the belt across its bend',
  words: ['section', 'thickness', 'thick'],
  aux: [],
  readingStd: 0.05,
  min: 0.3,
  max: 8,
  convert: (reading) => ok({ value: reading, perReading: 1, perAux: {}, arithmetic: (w) => `section ${w(reading)}` }),
  invert: (value) => value,
};

/** Section by likeness, where there is no caliper: about as thick as something known. Its spread is from memory, no source. */
export const sectionAsThickAs: Method = {
  ...sectionJaws,
  id: 'sectionAsThickAs',
  nominal: true,
  guide: async () => (await import('./sectionsAndPulls.guide')).sectionAsThickAs,
  label: 'section, by likeness',
  numberIs: 'thickness of what it looks as thick as',
  words: ['as thick as'],
  readingStd: 0.2,
};

/** Nobody looked: the section that such belts most often have. Common practice, no source. */
export const sectionAsUsual: Method = {
  ...sectionAsThickAs,
  id: 'sectionAsUsual',
  guide: async () => (await import('./sectionsAndPulls.guide')).sectionAsUsual,
  label: 'section, as usual',
  numberIs: 'section that such belts mostly have, not measured',
  words: [],
  readingStd: 0.25,
};

/** Width of a flat belt, along its bend. */
export const widthJaws: Method = {
  ...sectionJaws,
  id: 'widthJaws',
  takes: 'length',
  guide: async () => (await import('./sectionsAndPulls.guide')).widthJaws,
  measurand: 'width',
  label: 'width',
  numberIs: 'width of the flat belt, along its bend',
  words: ['width'],
  max: 20,
};

/** Width of the groove where the belt lay, for when the belt is gone. */
export const grooveWidthJaws: Method = {
  ...sectionJaws,
  id: 'grooveWidthJaws',
  takes: 'length',
  guide: async () => (await import('./sectionsAndPulls.guide')).grooveWidthJaws,
  measurand: 'grooveWidth',
  label: 'groove width',
  numberIs: 'width of the groove at its bottom',
  words: ['groove width'],
  readingStd: 0.1,
  max: 20,
  convert: (reading) =>
    ok({ value: reading, perReading: 1, perAux: {}, arithmetic: (w) => `groove ${w(reading)} wide` }),
};

/** Its depth, by the depth rod or a pin. */
export const grooveDepthRod: Method = {
  ...grooveWidthJaws,
  id: 'grooveDepthRod',
  takes: 'length',
  guide: async () => (await import('./sectionsAndPulls.guide')).grooveDepthRod,
  measurand: 'grooveDepth',
  label: 'groove depth',
  numberIs: 'depth of the groove from the rim',
  words: ['groove depth'],
  max: 8,
  convert: (reading) =>
    ok({ value: reading, perReading: 1, perAux: {}, arithmetic: (w) => `groove ${w(reading)} deep` }),
};

/** Tray travel counted over n turns of the motor pulley by hand. */
export const countedTravel: Method = {
  id: 'countedTravel',
  takes: 'length',
  guide: async () => (await import('./sectionsAndPulls.guide')).countedTravel,
  measurand: 'trayTravel',
  label: 'tray travel over ten turns',
  numberIs: 'how far the tray moved',
  words: ['tray travel', 'travel'],
  aux: ['turns'],
  readingStd: 0.5,
  min: 0.5,
  max: 400,
  convert(reading, aux) {
    const n = auxOr(aux, 'turns');
    return ok({
      value: reading / n,
      perReading: 1 / n,
      perAux: {},
      arithmetic: (w) => `${w(reading)} / ${n} turns = ${w(reading / n)} a turn`,
    });
  },
  invert: (value, aux) => value * auxOr(aux, 'turns'),
};

/** The tray held back on a scale while the motor drives, and the motor pulley stands: all that the motor has. */
export const stalledMotor: Method = {
  id: 'stalledMotor',
  takes: 'force',
  guide: async () => (await import('./sectionsAndPulls.guide')).stalledMotor,
  measurand: 'stallPull',
  label: 'held, the motor stands',
  numberIs: 'pull that holds the tray while the motor stands still',
  words: ['stalled', 'stall pull'],
  aux: [],
  readingStd: 0.15,
  min: 0.05,
  max: 60,
  convert: (reading) =>
    ok({
      value: reading,
      perReading: 1,
      perAux: {},
      arithmetic: () => `${reading.toFixed(2)} N with the motor standing`,
    }),
  invert: (value) => value,
};

/** The same while the belt slips: the motor has that much and more, how much more is not known. */
export const stalledSlipping: Method = {
  ...stalledMotor,
  id: 'stalledSlipping',
  takes: 'force',
  guide: async () => (await import('./sectionsAndPulls.guide')).stalledSlipping,
  label: 'held, the belt slips',
  numberIs: 'pull that holds the tray while the motor turns and the belt slips',
  words: ['stalled slipping', 'slip pull'],
  convert: (reading) =>
    ok({
      value: reading,
      perReading: 1,
      perAux: {},
      lowerBound: true,
      arithmetic: () => `the motor has at least ${reading.toFixed(2)} N: the belt slipped first`,
    }),
};

/** Pull that moves the tray, on a scale, belt off and unpowered. */
export const scalePull: Method = {
  id: 'scalePull',
  takes: 'force',
  guide: async () => (await import('./sectionsAndPulls.guide')).scalePull,
  measurand: 'trayPull',
  label: 'tray pull on a scale',
  numberIs: 'pull that keeps the tray moving, unpowered',
  words: ['tray pull', 'pull'],
  aux: [],
  readingStd: 0.1,
  min: 0.05,
  max: 40,
  convert: (reading) =>
    ok({ value: reading, perReading: 1, perAux: {}, arithmetic: () => `${reading.toFixed(2)} N on the scale` }),
  invert: (value) => value,
};
