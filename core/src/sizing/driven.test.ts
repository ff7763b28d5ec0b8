import { describe, expect, test } from 'vitest';
import { FLAT, take } from '../../fixtures/booth';
import { driveFacts } from '../measuring';
import { motorTorqueNmm } from '../drive';
import { DEFAULT_LIMITS, formatNeed, judge, limitsFor, reasons, situationOf } from '.';
import { DRIVEN_WORDS, type Driven } from '../loaders';

const facts = driveFacts(
  [
    take('motorDiameter', 'motorJaws', 6),
    take('drivenDiameter', 'drivenJaws', 24.8),
    take('centreDistance', 'shaftToShaft', 38.2),
    take('trayPull', 'scalePull', 2.5),
    take('trayTravel', 'countedTravel', 30),
  ],
  FLAT,
);
const situation = (driven: Driven) => {
  const result = situationOf(facts, { motorSurface: 'clean', drivenSurface: 'clean', oldShape: 'square', driven });
  if (!result.ok) throw new Error(result.problem);
  return result.value;
};

describe('what the belt moves', () => {
  test('a lift needs twice a tray, rollers 1.5 to 3 N; the spread goes along (from memory of the trade, no source)', () => {
    const tray = limitsFor(DEFAULT_LIMITS, 'tray').trayPullN;
    expect(tray).toEqual(DEFAULT_LIMITS.trayPullN);
    expect(limitsFor(DEFAULT_LIMITS, 'lift').trayPullN).toEqual({ best: 2 * tray.best, std: 2 * tray.std });
    const disc = limitsFor(DEFAULT_LIMITS, 'disc').trayPullN;
    expect(disc.best).toBeGreaterThan(1.5);
    expect(disc.best).toBeLessThan(3);
  });
  test('the bench’s own word on a tray holds for what is told by it', () => {
    const own = { ...DEFAULT_LIMITS, trayPullN: { best: 1, std: 0.2 } };
    expect(limitsFor(own, 'lift').trayPullN.best).toBe(2);
  });
  test('a spindle’s need is a torque of 0.3 to 0.8 N·mm, whatever the tray’s travel would be', () => {
    const { trayPullN, travelPerTurnMm, efficiency } = limitsFor(DEFAULT_LIMITS, 'spindle');
    const gearing = { travelPerTurnMm: travelPerTurnMm.best, efficiency: efficiency.best };
    expect(motorTorqueNmm(trayPullN.best - 2 * trayPullN.std, gearing)).toBeCloseTo(0.3, 6);
    expect(motorTorqueNmm(trayPullN.best + 2 * trayPullN.std, gearing)).toBeCloseTo(0.8, 6);
  });
  test('a spindle has no tray: pull and travel that were read are not its need', () => {
    expect(situation('tray').trayPullN?.value).toBe(2.5);
    expect(situation('spindle').trayPullN).toBeUndefined();
    const running = judge(situation('spindle'), { shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 })?.running;
    expect(running?.needTorqueNmm).toBeCloseTo(0.55, 6);
    // What it is held back with, in newtons at a millimetre, is the torque at which the belt slips.
    expect(running?.trayPullN).toBeCloseTo(running?.grip.slipTorqueNmm ?? NaN, 6);
  });
  test.each<readonly [Driven, string, string]>([
    ['tray', '1.4 N', 'tray'],
    ['drawer', '1.4 N', 'drawer'],
    ['lift', '1.4 N', 'drawer'],
    ['disc', '1.4 N', 'disc'],
    ['spindle', '1.40 N·mm', 'spindle'],
  ])('of a %s it is said as %s', (driven, need, word) => {
    expect(formatNeed(1.4, driven)).toBe(need);
    expect(DRIVEN_WORDS[driven]).toBe(word);
    const judged = judge(situation(driven), { shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 });
    expect(judged && reasons(judged, driven).join(' ')).toContain(`${word}’s need`);
  });
  test('a need that is not known is a dash', () => expect(formatNeed(Number.NaN, 'spindle')).toBe('–'));
});
