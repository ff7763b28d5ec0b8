import { needTimes } from '@loose-pulley/core/physics/cycle';
import { evaluateBelt, FAILURE_BITS } from '@loose-pulley/core/physics/evaluation';
import { DEFAULT_REQUIREMENTS } from '@loose-pulley/core/belts/sizing';
import { truthOf } from '../population';
import { drawFor } from './deal';
import { driveNow, type OnBench } from './onBench';

/** Whether it comes back within a year, and why. */
export interface Year {
  readonly comesBack: boolean;
  readonly why: 'notCured' | 'loose' | 'tight' | 'lasts';
}

/** Of its pull a belt keeps this much more over a year, beside what it lost in its first days. From memory, no source. */
const KEPT = [0.86, 0.97] as const;
const COLD = { roomC: 8, idleHours: 12 };
const SHARES = { greaseShare: 0.12, restShare: 0.07 };
/** It comes back where it fails, and not where it only has less to spare than a bench would like. */
const JUST = { requirements: { ...DEFAULT_REQUIREMENTS, gripMin: 1, motorMin: 1 } };

/**
 * How a machine that is handed back gets through a year: a fault that is left comes back; a belt loses pull by set and
 * ageing (MODEL §2), and meets its coldest night.
 *
 * For instance withinYear(broughtIn(machine)).why: notCured
 */
export function withinYear(on: OnBench): Year {
  if (on.left.length > 0) return { comesBack: true, why: 'notCured' };
  const { machine, belt } = on;
  const drive = driveNow(on);
  const random = drawFor(machine.seed, 'year');
  const kept = KEPT[0] + (KEPT[1] - KEPT[0]) * random();
  const now = truthOf(drive, (belt ?? machine.oldBelt).shape);
  const aged = { ...now, relaxedShare: now.relaxedShare * kept, needNmm: now.needNmm * needTimes(COLD, SHARES) };
  // The one it came with is settled by now, and was made for this drive.
  const fails = evaluateBelt(drive.drive, belt ?? machine.oldBelt, aged, JUST, drive.section)?.fails ?? 0;
  if (fails & (FAILURE_BITS.slack | FAILURE_BITS.grip)) return { comesBack: true, why: 'loose' };
  return fails & FAILURE_BITS.motor ? { comesBack: true, why: 'tight' } : { comesBack: false, why: 'lasts' };
}
