import type { ShapeRecord } from './record';

export const square = {
  sign: '□',
  outline: 'M1.5 1.5h17v17h-17z',
  name: 'square',
  short: 'square',
  inShop: 'square section',
  said: ['square', 'sq'],
  soldBy: 'length',
  soldAs: 'belts',
  seat: 'narrow',
  hasWidth: false,
  areaMm2: (thicknessMm) => thicknessMm * thicknessMm,
  inWords: (thickness) => `square belt, section ${thickness} mm`,
  knownByMm: [],
  rareMm: { below: 50, above: Infinity },
  // From memory of the trade, no source.
  hardness: { key: 'squareShoreA', of: 'square belts', best: 60, std: 3 },
} as const satisfies ShapeRecord;
