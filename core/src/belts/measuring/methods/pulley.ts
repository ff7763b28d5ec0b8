import { flanksPerDegree } from './vee';
import { ok, refuse } from '../../../base/units';
import { auxOr } from '../aux';
import type { Method } from '../types';
import type { Measurand } from '../schema';

const toApex = (pin: number, veeDeg: number | undefined): number =>
  veeDeg === undefined ? 2 * pin : pin + pin / Math.sin((veeDeg * Math.PI) / 360);

/** The four ways to a groove-bottom diameter, for the motor pulley or the drive pulley. */
export function pulleyMethods(measurand: Measurand & ('motorDiameter' | 'drivenDiameter')): readonly Method[] {
  const of = measurand === 'motorDiameter' ? 'motor' : 'driven';
  const shared = { measurand, min: 0.8, max: of === 'motor' ? 120 : 250 } as const;
  const words = of === 'motor' ? ['motor pulley', 'motor'] : ['driven pulley', 'driven', 'drive pulley', 'drive'];
  const jaws: Method = {
    ...shared,
    id: `${of}Jaws`,
    takes: 'length',
    guide: async () => (await import('./pulley.guide')).jaws,
    label: 'thin jaws',
    numberIs: 'diameter at the bottom of the groove',
    words,
    aux: [],
    readingStd: 0.1,
    convert: (reading) => ok({ value: reading, perReading: 1, perAux: {}, arithmetic: (w) => `Ø ${w(reading)}` }),
    invert: (value) => value,
  };
  const overPins: Method = {
    ...shared,
    id: `${of}OverPins`,
    takes: 'length',
    guide: async () => (await import('./pulley.guide')).overPins,
    label: 'over two pins',
    numberIs: 'distance X over pins laid in the groove on both sides',
    words: words.map((word) => `${word} over pins`),
    aux: ['pinDiameterMm'],
    optionalAux: ['veeAngleDeg'],
    max: shared.max + 60,
    readingStd: 0.08,
    convert(reading, aux) {
      const p = auxOr(aux, 'pinDiameterMm');
      const vee = aux.veeAngleDeg;
      const value = reading - toApex(p, vee);
      if (value <= 0) return refuse(`Read ${reading} mm over pins of ${p} mm: that leaves no pulley between them.`);
      return ok({
        value,
        perReading: 1,
        perAux: {
          pinDiameterMm: -toApex(1, vee),
          ...(vee !== undefined && { veeAngleDeg: p * flanksPerDegree(vee) }),
        },
        arithmetic: (w) =>
          vee === undefined
            ? `${w(reading)} − 2 × ${w(p)} = ${w(value)}`
            : `${w(reading)} − ${w(p)} − ${w(p)} / sin ${vee / 2}° = ${w(value)}`,
      });
    },
    invert: (value, aux) => value + toApex(auxOr(aux, 'pinDiameterMm'), aux.veeAngleDeg),
  };
  const woundThread: Method = {
    ...shared,
    id: `${of}Thread`,
    takes: 'length',
    guide: async () => (await import('./pulley.guide')).thread,
    label: 'wound thread',
    numberIs: 'length of thread that n turns took',
    words: words.map((word) => `${word} thread`),
    aux: ['turns', 'threadDiameterMm'],
    min: 3,
    max: 8000,
    readingStd: 1,
    convert(reading, aux) {
      const n = auxOr(aux, 'turns');
      const s = auxOr(aux, 'threadDiameterMm');
      const value = reading / (n * Math.PI) - s;
      if (value <= 0)
        return refuse(`${n} turns from ${reading} mm leave no pulley inside the thread. Check the count.`);
      return ok({
        value,
        perReading: 1 / (n * Math.PI),
        perAux: { threadDiameterMm: -1 },
        arithmetic: (w) => `${w(reading)} / (${n} × π) − ${w(s)} = ${w(value)}`,
      });
    },
    invert: (value, aux) => (value + auxOr(aux, 'threadDiameterMm')) * auxOr(aux, 'turns') * Math.PI,
  };
  const lessGroove: Method = {
    ...shared,
    id: `${of}LessGroove`,
    takes: 'length',
    guide: async () => (await import('./pulley.guide')).lessGroove,
    label: 'outside less groove',
    numberIs: 'outside diameter, over the rims',
    words: words.map((word) => `${word} outside`),
    aux: ['grooveDepthMm'],
    readingStd: 0.1,
    convert(reading, aux) {
      const h = auxOr(aux, 'grooveDepthMm');
      const value = reading - 2 * h;
      if (value <= 0) return refuse(`A groove ${h} mm deep goes right through a pulley of ${reading} mm.`);
      return ok({
        value,
        perReading: 1,
        perAux: { grooveDepthMm: -2 },
        arithmetic: (w) => `${w(reading)} − 2 × ${w(h)} = ${w(value)}`,
      });
    },
    invert: (value, aux) => value + 2 * auxOr(aux, 'grooveDepthMm'),
  };
  return [jaws, overPins, woundThread, lessGroove];
}
