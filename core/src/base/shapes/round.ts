import { MM_PER_INCH } from '../units';
import type { ShapeRecord } from './record';

export const round = {
  sign: '○',
  outline: 'M1.5 10a8.5 8.5 0 1 0 17 0a8.5 8.5 0 1 0 -17 0z',
  name: 'O-ring',
  short: 'ring',
  inShop: 'round section (O-ring)',
  said: ['round', 'o-ring', 'oring', 'ring', 'o'],
  soldBy: 'diameter',
  soldAs: 'rings',
  seat: 'narrow',
  hasWidth: false,
  areaMm2: (thicknessMm) => (Math.PI * thicknessMm * thicknessMm) / 4,
  inWords: (thickness) => `O-ring, section ${thickness} mm`,
  // SAE AS568: 0.070 and 0.103 in.
  knownByMm: [0.07 * MM_PER_INCH, 0.103 * MM_PER_INCH],
  rareMm: { below: 0, above: 60 },
  // Rings as sold are harder. From memory of the trade, no source.
  hardness: { key: 'ringShoreA', of: 'rings', best: 70, std: 3 },
} as const satisfies ShapeRecord;
