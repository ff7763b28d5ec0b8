import { ok, refuse } from '../../units';
import { auxOr } from '../aux';
import type { Method } from '../types';

/**
 * A string pulled tight round the pulleys, marked and laid flat: its centre line. P = reading − πs, or in a vee of
 * full angle γ, reading − πs/sin(γ/2).
 */
export const stringRound: Method = {
  id: 'stringRound',
  measurand: 'stringPath',
  label: 'string round the pulleys',
  numberIs: 'length of the string between the marks, laid flat',
  words: ['string', 'thread round'],
  aux: ['stringDiameterMm'],
  optionalAux: ['veeAngleDeg'],
  readingStd: 0.7,
  least: 15,
  most: 1200,
  convert(reading, aux) {
    const s = auxOr(aux, 'stringDiameterMm');
    const vee = aux.veeAngleDeg;
    const sine = vee === undefined ? 1 : Math.sin((vee * Math.PI) / 360);
    const value = reading - (Math.PI * s) / sine;
    if (value <= 0) return refuse(`A string of ${reading} mm is shorter than its own turn round the pulleys.`);
    return ok({
      value,
      perReading: 1,
      perAux: { stringDiameterMm: -Math.PI / sine },
      uncorrected: reading,
      arithmetic: (w) =>
        vee === undefined
          ? `${w(reading)} − π × ${w(s)} = ${w(value)}`
          : `${w(reading)} − π × ${w(s)} / sin ${vee / 2}° = ${w(value)}`,
    });
  },
  invert(value, aux) {
    const vee = aux.veeAngleDeg;
    const sine = vee === undefined ? 1 : Math.sin((vee * Math.PI) / 360);
    return value + (Math.PI * auxOr(aux, 'stringDiameterMm')) / sine;
  },
};
