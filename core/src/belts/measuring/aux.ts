import { formatLength, ok, refuse, type Result } from '../../base/units';
import type { Aux } from './types';
import type { AuxKey } from './schema';

/** What each tool size is called, how well it is known (k = 1, mm; common practice, from memory), and its bounds. */
export interface AuxFact {
  readonly label: string;
  readonly std: number;
  readonly min: number;
  readonly max: number;
  /** Taken until typed; undefined means it has to be typed. */
  readonly usual?: number;
  readonly unit: 'mm' | 'turns' | '°';
}

export const AUX: Readonly<Record<AuxKey, AuxFact>> = {
  sectionMm: { label: 'section', std: 0.05, min: 0.3, max: 8, unit: 'mm' },
  pinDiameterMm: { label: 'pin Ø', std: 0.02, min: 0.3, max: 30, unit: 'mm' },
  nextCapMm: { label: 'next cap, does not go in', std: 0.1, min: 3, max: 140, unit: 'mm' },
  secondDiameterMm: { label: 'across the other way', std: 0.5, min: 3, max: 140, unit: 'mm' },
  stringDiameterMm: { label: 'string Ø', std: 0.05, min: 0.05, max: 3, usual: 0.8, unit: 'mm' },
  threadDiameterMm: { label: 'thread Ø', std: 0.03, min: 0.02, max: 2, usual: 0.3, unit: 'mm' },
  turns: { label: 'turns', std: 0, min: 1, max: 100, usual: 10, unit: 'turns' },
  grooveDepthMm: { label: 'groove depth', std: 0.1, min: 0, max: 10, unit: 'mm' },
  motorOutsideMm: { label: 'motor pulley outside Ø', std: 0.1, min: 0.5, max: 200, unit: 'mm' },
  drivenOutsideMm: { label: 'driven pulley outside Ø', std: 0.1, min: 0.5, max: 300, unit: 'mm' },
  veeAngleDeg: { label: 'vee, full angle', std: 2, min: 20, max: 120, unit: '°' },
};

/** The named aux or its usual value. Misuse, asking for one a method did not list, cannot happen past `needAux`. */
export function auxOr(aux: Aux, key: AuxKey): number {
  return aux[key] ?? AUX[key].usual ?? Number.NaN;
}

/**
 * What is said of a tool size that cannot be: what was read, in millimetres as they are written, and what is allowed.
 *
 * @example auxRefusal('pinDiameterMm', 99) // 'Read pin Ø 99.0 mm. Allowed: 0.3 to 30 mm.'
 */
export function auxRefusal(key: AuxKey, value: number): string {
  const { label, min, max, unit } = AUX[key];
  const read = unit === 'mm' ? formatLength(value, 'mm') : String(Number(value.toFixed(2)));
  return `Read ${label} ${read} ${unit}. Allowed: ${min} to ${max} ${unit}.`;
}

/**
 * Checks that all of `keys` are there and within bounds.
 *
 * @returns the first thing wrong, in a sentence.
 * @example needAux({}, ['sectionMm']) // refuses: Type the section too…
 */
export function needAux(aux: Aux, keys: readonly AuxKey[]): Result<true> {
  for (const key of keys) {
    const fact = AUX[key];
    const value = auxOr(aux, key);
    if (Number.isNaN(value)) return refuse(`Type the ${fact.label} too: this way of measuring needs it.`);
    if (value < fact.min || value > fact.max) {
      return refuse(auxRefusal(key, value));
    }
  }
  return ok(true);
}
