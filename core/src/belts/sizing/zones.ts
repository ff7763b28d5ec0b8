import type { BeltSection } from '../../physics/rubber';
import { crossing } from '../../base/statistics';
import { judge, type Zone } from './judge';
import type { Situation } from './situation';

/** One stretch of the ruler: inner lengths from `fromMm` to `toMm`. */
export interface RulerZone {
  readonly zone: Zone;
  readonly fromMm: number;
  readonly toMm: number;
}

/**
 * The zones of the stretch ruler for one section, bounded by the limits themselves: where the judgement changes.
 * Each zone is one interval because every limit is monotone in the length; the bounds are found by halving.
 *
 * @param fromMm, toMm the ruler's ends, inner length
 * @returns neighbouring zones covering the ruler, from short to long
 * @example zones(situation, { shape: 'square', thicknessMm: 1.2 }, 100, 135).map((z) => z.zone) // ['tooTight', 'firm', 'snug', 'easy', 'slips']
 * // ['tooTight', 'firm', 'snug', 'easy', 'slips']
 */
export function zones(situation: Situation, section: BeltSection, fromMm: number, toMm: number): RulerZone[] {
  const at = (innerLengthMm: number): Zone =>
    judge(situation, { ...section, innerLengthMm })?.zone ??
    (innerLengthMm < situation.path.value ? 'tooTight' : 'slips');
  const STEPS = 80;
  const found: RulerZone[] = [];
  let startMm = fromMm;
  let current = at(fromMm);
  for (let step = 1; step <= STEPS; step++) {
    const nextMm = fromMm + ((toMm - fromMm) * step) / STEPS;
    const next = at(nextMm);
    if (next === current) continue;
    const before = current;
    const boundMm = crossing(nextMm - (toMm - fromMm) / STEPS, nextMm, (mm) => at(mm) === before, 12);
    found.push({ zone: current, fromMm: startMm, toMm: boundMm });
    startMm = boundMm;
    current = next;
  }
  return [...found, { zone: current, fromMm: startMm, toMm }];
}
