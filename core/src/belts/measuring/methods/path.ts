import { flanksPerDegree } from './vee';
import { ok, refuse } from '../../../base/units';
import { auxOr } from '../aux';
import type { Aux, Method, Wraps } from '../types';

/** An open loop touched by one face: what a string lies round until more is known. */
const ONE_TURN: Wraps = { sumRad: 2 * Math.PI, std: 0 };
const sineOf = (aux: Aux): number => (aux.veeAngleDeg === undefined ? 1 : Math.sin((aux.veeAngleDeg * Math.PI) / 360));

/**
 * A string of diameter s pulled tight round the pulleys, marked and laid flat: its centre line, s/2 further out on every
 * pulley. P = reading − (s/2)·Σθ, which is πs for an open loop touched by one face; in a vee of full angle γ that is
 * divided by sin(γ/2). Removal a crossed drive, or one with a pulley at the belt's back, Σθ is more than a turn.
 */
export const stringRound: Method = {
  id: 'stringRound',
  quickLabel: 'string',
  takes: 'length',
  slips: ({ value, othersMm, aux }) => [
    {
      question: 'The string’s thickness taken off twice?',
      wouldBeMm: value + Math.PI * auxOr(aux, 'stringDiameterMm'),
    },
    {
      question: 'Half of it read, doubled flat?',
      wouldBeMm: 2 * value + Math.PI * auxOr(aux, 'stringDiameterMm'),
    },
    ...(value > othersMm ? [{ question: 'The string not tight, or thicker than it was said to be?' }] : []),
  ],
  guide: async () => (await import('./path.guide')).stringRound,
  measurand: 'stringPath',
  label: 'string round the pulleys',
  numberIs: 'length of the string between the marks, laid flat',
  words: ['string', 'thread round'],
  aux: ['stringDiameterMm'],
  optionalAux: ['veeAngleDeg'],
  readingStd: 1,
  min: 15,
  max: 1200,
  convert(reading, aux, wraps = ONE_TURN) {
    const s = auxOr(aux, 'stringDiameterMm');
    const sine = sineOf(aux);
    const turns = wraps.sumRad / 2;
    const value = reading - (turns * s) / sine;
    if (value <= 0) return refuse(`A string of ${reading} mm is shorter than its own turn round the pulleys.`);
    const oneTurn = Math.abs(turns - Math.PI) < 1e-6;
    return ok({
      value,
      perReading: 1,
      perAux: {
        stringDiameterMm: -turns / sine,
        ...(aux.veeAngleDeg !== undefined && { veeAngleDeg: turns * s * flanksPerDegree(aux.veeAngleDeg) }),
      },
      ownStd: (wraps.std * s) / 2 / sine,
      uncorrected: reading,
      arithmetic: (w) => {
        const vee = aux.veeAngleDeg === undefined ? '' : ` / sin ${aux.veeAngleDeg / 2}°`;
        return `${w(reading)} − ${oneTurn ? 'π' : turns.toFixed(2)} × ${w(s)}${vee} = ${w(value)}`;
      },
    });
  },
  invert: (value, aux) => value + (Math.PI * auxOr(aux, 'stringDiameterMm')) / sineOf(aux),
};
