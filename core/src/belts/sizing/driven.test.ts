import { describe, expect, test } from 'vitest';
import { FLAT, take } from '../../../fixtures/booth';
import { driveFacts } from '../measuring';
import { motorTorqueNmm, trayForceN } from '../../physics/drive';
import { DEFAULT_PRIORS, judge, needNmm, pullPrior, reasons, situationOf, torqueWords } from '.';
import { type Driven, DRIVEN } from '../../base/loaders';

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
    const tray = pullPrior('tray', DEFAULT_PRIORS);
    expect(tray).toEqual(DEFAULT_PRIORS.trayPullN);
    expect(pullPrior('lift', DEFAULT_PRIORS)).toEqual({ best: 2 * tray.best, std: 2 * tray.std });
    const disc = pullPrior('disc', DEFAULT_PRIORS);
    expect(disc.best).toBeGreaterThan(1.5);
    expect(disc.best).toBeLessThan(3);
  });
  test('the bench’s own word on a tray holds for what is told by it', () => {
    const own = { ...DEFAULT_PRIORS, trayPullN: { best: 1, std: 0.2 } };
    expect(pullPrior('lift', own).best).toBe(2);
  });
  test('a spindle’s need is a torque of 0.3 to 0.8 N·mm, whatever the tray’s travel would be', () => {
    const { best, std } = DEFAULT_PRIORS.spindleTorqueNmm;
    expect(best - 2 * std).toBeCloseTo(0.3, 6);
    expect(best + 2 * std).toBeCloseTo(0.8, 6);
    expect(needNmm(situation('spindle'))).toBe(best);
    // A tray's need is its measured pull through the gearing that was counted: 3 mm a turn.
    expect(needNmm(situation('tray'))).toBeCloseTo(motorTorqueNmm(2.5, { travelPerTurnMm: 3, efficiency: 0.6 }), 9);
  });
  test('a spindle has no tray: pull and travel that were read are not its need', () => {
    expect(situation('tray').trayPullN?.value).toBe(2.5);
    expect(situation('spindle').trayPullN).toBeUndefined();
    const running = judge(situation('spindle'), { shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 })?.running;
    expect(running?.needNmm).toBeCloseTo(0.55, 6);
    // It has no travel, so that nothing of it can be told in newtons at a tray.
    expect(running?.gearing).toBeUndefined();
  });
  test.each<readonly [Driven, string, string]>([
    ['tray', '1.4 N', 'tray'],
    ['drawer', '1.4 N', 'drawer'],
    ['lift', '1.4 N', 'drawer'],
    ['disc', '1.4 N', 'disc'],
    ['spindle', '1.40 N·mm', 'spindle'],
  ])('of a %s it is said as %s', (driven, need, word) => {
    const gearing = { travelPerTurnMm: 3, efficiency: 0.6 };
    expect(
      driven === 'spindle' ? torqueWords(1.4, undefined) : torqueWords(motorTorqueNmm(1.4, gearing), gearing),
    ).toBe(need);
    expect(trayForceN(motorTorqueNmm(1.4, gearing), gearing)).toBeCloseTo(1.4, 12);
    expect(DRIVEN[driven].word).toBe(word);
    const judged = judge(situation(driven), { shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 });
    expect(judged && reasons(judged, situation(driven)).join(' ')).toContain(`${word}’s need`);
  });
  test('a need that is not known is a dash', () => expect(torqueWords(Number.NaN, undefined)).toBe('–'));
});
