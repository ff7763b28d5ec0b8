import { ok, refuse } from '../../../base/units';
import { auxOr } from '../aux';
import type { Method } from '../types';

const halves = (aux: Parameters<Method['convert']>[1]): number =>
  (auxOr(aux, 'motorOutsideMm') + auxOr(aux, 'drivenOutsideMm')) / 2;

/** Shaft to shaft, centre to centre. */
export const shaftToShaft: Method = {
  id: 'shaftToShaft',
  takes: 'length',
  guide: async () => (await import('./centre.guide')).shaftToShaft,
  measurand: 'centreDistance',
  label: 'shaft to shaft',
  numberIs: 'distance between the shaft centres',
  words: ['centre distance', 'center distance', 'centres', 'centers', 'shafts', 'shaft to shaft'],
  aux: [],
  readingStd: 0.3,
  min: 2,
  max: 600,
  convert: (reading) =>
    ok({ value: reading, perReading: 1, perAux: {}, arithmetic: (w) => `${w(reading)} centre to centre` }),
  invert: (value) => value,
};

/** Outside to outside of both pulleys, less half of both outside diameters. */
export const outsideToOutside: Method = {
  id: 'outsideToOutside',
  takes: 'length',
  guide: async () => (await import('./centre.guide')).outsideToOutside,
  measurand: 'centreDistance',
  label: 'outside to outside',
  numberIs: 'distance over both pulleys, outside to outside',
  words: ['outside to outside'],
  aux: ['motorOutsideMm', 'drivenOutsideMm'],
  readingStd: 0.15,
  min: 2,
  max: 900,
  convert(reading, aux) {
    const half = halves(aux);
    const value = reading - half;
    if (value <= 0) return refuse(`Read ${reading} mm over both pulleys; half of their diameters alone is ${half} mm.`);
    return ok({
      value,
      perReading: 1,
      perAux: { motorOutsideMm: -0.5, drivenOutsideMm: -0.5 },
      arithmetic: (w) =>
        `${w(reading)} − ½ × (${w(auxOr(aux, 'motorOutsideMm'))} + ${w(auxOr(aux, 'drivenOutsideMm'))}) = ${w(value)}`,
    });
  },
  invert: (value, aux) => value + halves(aux),
};

/** The gap between the rims, plus half of both outside diameters. */
export const gapBetween: Method = {
  id: 'gapBetween',
  takes: 'length',
  guide: async () => (await import('./centre.guide')).gapBetween,
  measurand: 'centreDistance',
  label: 'gap between',
  numberIs: 'gap between the two rims',
  words: ['gap'],
  aux: ['motorOutsideMm', 'drivenOutsideMm'],
  readingStd: 0.15,
  min: 0.1,
  max: 500,
  convert(reading, aux) {
    const value = reading + halves(aux);
    return ok({
      value,
      perReading: 1,
      perAux: { motorOutsideMm: 0.5, drivenOutsideMm: 0.5 },
      arithmetic: (w) =>
        `${w(reading)} + ½ × (${w(auxOr(aux, 'motorOutsideMm'))} + ${w(auxOr(aux, 'drivenOutsideMm'))}) = ${w(value)}`,
    });
  },
  invert: (value, aux) => value - halves(aux),
};
