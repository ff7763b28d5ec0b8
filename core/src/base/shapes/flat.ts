import type { ShapeRecord } from './record';

export const flat = {
  sign: '▭',
  outline: 'M1.5 6h17v8h-17z',
  name: 'flat',
  short: 'flat',
  inShop: 'flat section',
  said: ['flat'],
  soldBy: 'length',
  soldAs: 'belts',
  seat: 'wide',
  hasWidth: true,
  areaMm2: (thicknessMm, widthMm) => thicknessMm * widthMm,
  inWords: (thickness, width) => `flat belt, ${width} mm wide, ${thickness} mm thick`,
  knownByMm: [],
  rareMm: { below: 50, above: Infinity },
  // From memory of the trade, no source.
  hardness: { key: 'flatShoreA', of: 'flat belts', best: 60, std: 3 },
} as const satisfies ShapeRecord;
