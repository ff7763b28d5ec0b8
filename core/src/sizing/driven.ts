import type { Driven } from '../loaders';
import { formatForce, formatNewton } from '../units';
import type { Limits } from './limits';

/**
 * The bench's limits for what the belt moves. A spindle has no travel: its need is a torque, carried as the pull at a
 * radius of 1 mm (s = 2πη, so that M = F·s/2πη is the same figure in N·mm).
 *
 * @example limitsFor(DEFAULT_LIMITS, 'lift').trayPullN.best // 2.8
 */
export function limitsFor(limits: Limits, driven: Driven): Limits {
  if (driven === 'spindle') {
    const efficiency = { best: 0.95, std: 0 };
    return {
      ...limits,
      trayPullN: limits.spindleTorqueNmm,
      efficiency,
      travelPerTurnMm: { best: 2 * Math.PI * efficiency.best, std: 0 },
    };
  }
  const times = { tray: 1, drawer: 1, lift: limits.liftTimes, disc: limits.rollerTimes }[driven];
  const { best, std } = limits.trayPullN;
  return { ...limits, trayPullN: { best: best * times, std: std * times } };
}

/**
 * A need, or what answers it, in words: newtons at a tray, newton millimetres at a spindle.
 *
 * @param long as a scale shows it too
 * @example formatNeed(0.55, 'spindle') // '0.55 N·mm'
 */
export function formatNeed(value: number, driven: Driven, long = false): string {
  if (driven === 'spindle') return Number.isFinite(value) ? `${value.toFixed(2)} N·mm` : '–';
  return long ? formatForce(value) : formatNewton(value);
}
