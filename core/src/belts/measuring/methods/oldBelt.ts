import { ovalPerimeterMm } from '../../../physics/geometry';
import { crossing } from '../../../base/statistics';
import { ok, refuse } from '../../../base/units';
import { auxOr } from '../aux';
import type { Method } from '../types';

const f = (n: number) => n;

/** Doubled flat on a rule, outer end to outer end: two strands and two pressed folds, Li = 2F − 4t. */
export const doubledOuter: Method = {
  id: 'doubledOuter',
  quickLabel: 'doubled flat',
  takes: 'doubledLength',
  comparable: true,
  ruleReading: 'doubled',
  slips: ({ value, sectionMm }) =>
    sectionMm > 0 ? [{ question: 'Read at the inner ends?', wouldBeMm: value + 4 * sectionMm }] : [],
  guide: async () => (await import('./oldBelt.guide')).doubledOuter,
  measurand: 'oldBelt',
  label: 'doubled flat',
  numberIs: 'folded length, outer end to outer end',
  words: ['doubled flat', 'doubled', 'flat', 'folded'],
  aux: ['sectionMm'],
  readingStd: 0.4,
  min: 5,
  max: 600,
  convert(reading, aux) {
    const t = auxOr(aux, 'sectionMm');
    const value = 2 * reading - 4 * t;
    if (value <= 0) return refuse(`Doubled flat at ${f(reading)} mm leaves nothing inside a section of ${t} mm.`);
    return ok({
      value,
      perReading: 2,
      perAux: { sectionMm: -4 },
      uncorrected: 2 * reading,
      arithmetic: (w) => `2 × ${w(reading)} − 4 × ${w(t)} = ${w(value)}`,
    });
  },
  invert: (value, aux) => (value + 4 * auxOr(aux, 'sectionMm')) / 2,
};

/** Doubled flat, read at the inner ends of the loop: Li = 2F. */
export const doubledInner: Method = {
  id: 'doubledInner',
  takes: 'doubledLength',
  comparable: true,
  slips: ({ value, sectionMm }) =>
    sectionMm > 0 ? [{ question: 'Read at the outer ends?', wouldBeMm: value - 4 * sectionMm }] : [],
  guide: async () => (await import('./oldBelt.guide')).doubledInner,
  measurand: 'oldBelt',
  label: 'doubled, inner ends',
  numberIs: 'half the inner length, read inside the folds',
  words: ['inner ends', 'inside ends', 'inside folds'],
  aux: [],
  readingStd: 0.5,
  min: 5,
  max: 600,
  convert: (reading) =>
    ok({ value: 2 * reading, perReading: 2, perAux: {}, arithmetic: (w) => `2 × ${w(reading)} = ${w(2 * reading)}` }),
  invert: (value) => value / 2,
};

/** On two pins of one diameter, just straight, outside to outside of the pins: Li = 2(X − p) + πp. */
export const onPins: Method = {
  id: 'onPins',
  takes: 'length',
  comparable: true,
  guide: async () => (await import('./oldBelt.guide')).onPins,
  measurand: 'oldBelt',
  label: 'on two pins',
  numberIs: 'distance X over the two pins',
  words: ['on two pins', 'two pins', 'pins'],
  aux: ['pinDiameterMm'],
  readingStd: 0.3,
  min: 5,
  max: 600,
  convert(reading, aux) {
    const p = auxOr(aux, 'pinDiameterMm');
    if (reading <= p) return refuse(`Read ${reading} mm over pins of ${p} mm. Read across the outsides of both pins.`);
    const value = 2 * (reading - p) + Math.PI * p;
    return ok({
      value,
      perReading: 2,
      perAux: { pinDiameterMm: Math.PI - 2 },
      uncorrected: 2 * reading,
      arithmetic: (w) => `2 × (${w(reading)} − ${w(p)}) + π × ${w(p)} = ${w(value)}`,
    });
  },
  invert: (value, aux) => {
    const p = auxOr(aux, 'pinDiameterMm');
    return (value - Math.PI * p) / 2 + p;
  },
};

/** Over a round cap that it just hugs: Li = πD. */
export const overCap: Method = {
  id: 'overCap',
  quickLabel: 'over a cap',
  takes: 'length',
  across: true,
  comparable: true,
  ruleReading: 'cap',
  guide: async () => (await import('./oldBelt.guide')).overCap,
  measurand: 'oldBelt',
  label: 'over a cap',
  numberIs: 'inner diameter: the cap that it just hugs',
  words: ['over a cap', 'over cap', 'cap', 'inner diameter', 'id'],
  aux: [],
  readingStd: 0.3,
  min: 3,
  max: 85,
  convert: (reading) =>
    ok({
      value: Math.PI * reading,
      perReading: Math.PI,
      perAux: {},
      arithmetic: (w) => `π × ${w(reading)} = ${w(Math.PI * reading)}`,
    }),
  invert: (value) => value / Math.PI,
};

/** One cap goes in, the next does not: an interval, taken as its middle with the spread of an even chance. */
export const twoCaps: Method = {
  id: 'twoCaps',
  takes: 'length',
  across: true,
  ruleReading: 'cap',
  guide: async () => (await import('./oldBelt.guide')).twoCaps,
  measurand: 'oldBelt',
  label: 'two caps',
  numberIs: 'the larger cap that still goes in',
  words: ['two caps', 'goes in'],
  aux: ['nextCapMm'],
  readingStd: 0.1,
  min: 3,
  max: 85,
  convert(reading, aux) {
    const next = auxOr(aux, 'nextCapMm');
    if (next <= reading)
      return refuse(`The cap that does not go in (${next} mm) must be the larger; ${reading} mm went in.`);
    const value = (Math.PI * (reading + next)) / 2;
    return ok({
      value,
      perReading: Math.PI / 2,
      perAux: { nextCapMm: Math.PI / 2 },
      // Rectangular distribution of half-width a: a/√3 (JCGM 100:2008, 4.3.7).
      ownStd: (Math.PI * (next - reading)) / 2 / Math.sqrt(3),
      arithmetic: (w) => `between π × ${w(reading)} and π × ${w(next)}, middle ${w(value)}`,
    });
  },
  invert: (value, aux) => (2 * value) / Math.PI - auxOr(aux, 'nextCapMm'),
};

/** Lying free, two inside readings at right angles: an oval's perimeter. */
export const lyingFree: Method = {
  id: 'lyingFree',
  takes: 'length',
  comparable: true,
  slips: () => [{ question: 'Egg-shaped: lying free is not to be trusted then.' }],
  guide: async () => (await import('./oldBelt.guide')).lyingFree,
  measurand: 'oldBelt',
  label: 'lying free',
  numberIs: 'inside diameter, the longer way',
  words: ['lying free', 'free', 'oval', 'inside diameter', 'ø'],
  aux: ['secondDiameterMm'],
  readingStd: 0.6,
  min: 3,
  max: 140,
  convert(reading, aux) {
    const across = auxOr(aux, 'secondDiameterMm');
    const [long, short] = [Math.max(reading, across), Math.min(reading, across)];
    if (long > 2 * short)
      return refuse(`Read ${long} by ${short} mm. That is no oval any more; double it flat or lay it over a cap.`);
    const value = ovalPerimeterMm(long, short);
    const step = 1e-4;
    return ok({
      value,
      perReading: (ovalPerimeterMm(reading + step, across) - value) / step,
      perAux: { secondDiameterMm: (ovalPerimeterMm(reading, across + step) - value) / step },
      // The further from round, the less an ellipse describes a limp belt.
      ownStd: 0.1 * (long - short) + 0.5,
      arithmetic: (w) => `oval of ${w(long)} by ${w(short)}, perimeter ${w(value)}`,
    });
  },
  invert(value, aux) {
    const across = auxOr(aux, 'secondDiameterMm');
    return crossing(across / 2, across * 2, (diameter) => ovalPerimeterMm(diameter, across) < value);
  },
};

/** Parted and laid straight: the centre line, Li = ℓ − πt. */
export const laidStraight: Method = {
  id: 'laidStraight',
  quickLabel: 'laid straight',
  takes: 'length',
  comparable: true,
  guide: async () => (await import('./oldBelt.guide')).laidStraight,
  measurand: 'oldBelt',
  label: 'laid straight',
  numberIs: 'length of the parted belt, end to end',
  words: ['laid straight', 'straight', 'parted', 'cut'],
  aux: ['sectionMm'],
  readingStd: 0.6,
  min: 10,
  max: 1200,
  convert(reading, aux) {
    const t = auxOr(aux, 'sectionMm');
    const value = reading - Math.PI * t;
    if (value <= 0) return refuse(`A strip of ${reading} mm is too short to close round a section of ${t} mm.`);
    return ok({
      value,
      perReading: 1,
      perAux: { sectionMm: -Math.PI },
      uncorrected: reading,
      arithmetic: (w) => `${w(reading)} − π × ${w(t)} = ${w(value)}`,
    });
  },
  invert: (value, aux) => value + Math.PI * auxOr(aux, 'sectionMm'),
};

/** Parted in pieces: their sum, less what crumbled, is the least it can have been. */
export const inPieces: Method = {
  ...laidStraight,
  id: 'inPieces',
  quickLabel: undefined,
  comparable: false,
  takes: 'sum',
  guide: async () => (await import('./oldBelt.guide')).inPieces,
  label: 'in pieces',
  numberIs: 'sum of the pieces, end to end',
  words: ['in pieces', 'pieces'],
  readingStd: 1,
  convert(reading, aux) {
    const whole = laidStraight.convert(reading, aux);
    if (!whole.ok) return whole;
    const { value } = whole.value;
    const t = auxOr(aux, 'sectionMm');
    return ok({
      ...whole.value,
      lowerBound: true,
      arithmetic: (w) => `at least ${w(reading)} − π × ${w(t)} = ${w(value)}`,
    });
  },
};

/** A printed or sold size given as inner length. */
export const printedLength: Method = {
  id: 'printedLength',
  takes: 'length',
  nominal: true,
  guide: async () => (await import('./oldBelt.guide')).printedLength,
  measurand: 'oldBelt',
  label: 'printed, as length',
  numberIs: 'nominal inner length, from the bag or the label',
  words: ['printed length', 'printed', 'label', 'nominal'],
  aux: [],
  readingStd: 0.8,
  min: 10,
  max: 1200,
  convert: (reading) =>
    ok({ value: reading, perReading: 1, perAux: {}, arithmetic: (w) => `as printed, ${w(reading)}` }),
  invert: (value) => value,
};

/** A printed or sold size given as inner diameter: Li = πD. */
export const printedDiameter: Method = {
  ...overCap,
  id: 'printedDiameter',
  quickLabel: undefined,
  ruleReading: undefined,
  comparable: false,
  nominal: true,
  guide: async () => (await import('./oldBelt.guide')).printedDiameter,
  label: 'printed, as diameter',
  numberIs: 'nominal inner diameter, from the bag or the label',
  words: ['printed diameter', 'printed id'],
  readingStd: 0.25,
  max: 140,
};
