import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { CATALOGUE } from '../catalogue';
import { fitBelt, shaftLoadN, type Drive } from '../drive';
import { sectionAreaMm2, strandPullN } from '../rubber';
import { DEFAULT_LIMITS, judge, type Situation } from '../sizing';
import {
  drawSamples,
  evenly,
  FAILS,
  probabilitiesOf,
  playOutcomes,
  valueOfMeasuring,
  weighed,
  type JudgedBelt,
} from '.';

const drive: Drive = {
  motorPulley: { bottomDiameterMm: 6, groove: { form: 'flat' } },
  drivenPulley: { bottomDiameterMm: 24.8, groove: { form: 'flat' } },
  centreDistanceMm: 38.2,
  crossed: false,
};
const situation = (more: Partial<Situation> = {}): Situation => ({
  path: { value: 127.1, std: 0.5 },
  drive,
  motorDiameter: { value: 6, std: 0.05 },
  drivenDiameter: { value: 24.8, std: 0.1 },
  motorSurface: 'clean',
  drivenSurface: 'clean',
  oldSection: { shape: 'square', thicknessMm: 1.2 },
  limits: DEFAULT_LIMITS,
  ...more,
});
const square = (innerLengthMm: number, thicknessMm = 1.2): JudgedBelt => ({
  shape: 'square',
  thicknessMm,
  innerLengthMm,
  innerLengthToleranceMm: 1,
});

describe('the tray held while the motor drives', () => {
  const stalls = (more: Partial<Situation>) => {
    const samples = drawSamples(situation({ trayPullN: { value: 1.4, std: 0.1 }, ...more }), 2000, 3);
    return Array.from(samples.stallTorqueNmm, (stall, i) => {
      // What the bushes took under the belt that it was held through is added back to what was read.
      const bushesNmm = more.stallPullN ? DEFAULT_LIMITS.heldThroughN.best * (samples.dragMm[i] ?? 0) : 0;
      return (stall - bushesNmm) / (samples.needTorqueNmm[i] ?? 1);
    });
  };
  const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / list.length;
  test('narrows what the motor is taken to have to what was read: (F + pull)/pull', () => {
    const read = stalls({ stallPullN: { value: 2.1, std: 0.15 } });
    expect(mean(read)).toBeCloseTo(2.5, 1);
    expect(Math.max(...read)).toBeLessThan(Math.max(...stalls({})));
  });
  test('by a slipping belt it takes away only the motors that are too weak', () => {
    const least = stalls({ stallPullAtLeastN: 2.8 });
    // Each world’s own need is drawn about 1.4 N, and 2.8 N more must be there.
    expect(Math.min(...least)).toBeGreaterThan(2.5);
    expect(mean(least)).toBeGreaterThan(mean(stalls({})));
  });
  test('a motor read as weak makes tight belts unlikelier', () => {
    const works = (more: Partial<Situation>) => {
      const of = situation({ trayPullN: { value: 1.4, std: 0.1 }, ...more });
      return probabilitiesOf(playOutcomes(drawSamples(of, 2000, 3), of, [square(112)]), evenly(2000))[0]?.works ?? NaN;
    };
    expect(works({ stallPullN: { value: 0.1, std: 0.1 } })).toBeLessThan(
      works({ stallPullN: { value: 2.8, std: 0.1 } }) - 0.2,
    );
  });
});

/** One belt in one world by the exact functions of the drive, one step at a time, with nothing in proportion. */
function exactFate(of: Situation, belt: JudgedBelt, samples: ReturnType<typeof drawSamples>, i: number): number {
  const at = (list: Float64Array): number => list[i] as number;
  const real = of.drive as Drive;
  const innerLengthMm = belt.innerLengthMm + belt.innerLengthToleranceMm * at(samples.lengthWithin);
  const fitted = fitBelt(real, { ...belt, innerLengthMm });
  if (!fitted.ok) throw new Error(fitted.problem);
  const { centreLine, motorRadiusMm, thicknessMm } = fitted.value;
  const inner = fitBelt(real, { ...belt, thicknessMm: 1e-6, innerLengthMm: 10 });
  if (!inner.ok) throw new Error(inner.problem);
  const shiftMm = at(samples.pathMm) - inner.value.centreLine.lengthMm;
  const stretch = (centreLine.lengthMm + shiftMm) / (innerLengthMm + Math.PI * belt.thicknessMm);
  const pullN = stretch > 1 ? strandPullN(at(samples.modulusMpa), sectionAreaMm2(belt), stretch) : 0;
  const pitchMm = motorRadiusMm - real.motorPulley.bottomDiameterMm / 2 + at(samples.motorRadiusMm);
  const slipNmm = 2 * pullN * at(samples.relaxedShare) * at(samples.grip) * pitchMm;
  const [motorWrap = 0, drivenWrap = 0] = inner.value.centreLine.wrapsRad;
  const dragNmm =
    DEFAULT_LIMITS.bushFriction *
    DEFAULT_LIMITS.shaftRadiusMm *
    (shaftLoadN(pullN, motorWrap) +
      (shaftLoadN(pullN, drivenWrap) * at(samples.motorRadiusMm)) / at(samples.drivenRadiusMm));
  const need = at(samples.needTorqueNmm);
  expect(thicknessMm).toBeLessThanOrEqual(belt.thicknessMm);
  return (
    (slipNmm < DEFAULT_LIMITS.gripLeast * need ? (stretch > 1 ? FAILS.grip : FAILS.slack) : 0) |
    (at(samples.stallTorqueNmm) - dragNmm < DEFAULT_LIMITS.motorLeast * need ? FAILS.motor : 0) |
    (stretch - 1 > at(samples.stretchMost) ? FAILS.stretch : 0) |
    (Math.abs(Math.log(belt.thicknessMm / 1.2)) > at(samples.grooveLogRatio) ? FAILS.groove : 0)
  );
}

describe('every belt in every world', () => {
  const vee: Drive = {
    ...drive,
    motorPulley: { bottomDiameterMm: 6, groove: { form: 'vee', angleRad: 1.05 } },
    crossed: true,
  };
  test.each([
    ['open, flat grooves', situation()],
    ['crossed, a vee', situation({ drive: vee, path: { value: 131.8, std: 0.5 } })],
  ])('%s: the fast way agrees with the exact one, world for world, 997 times in 1,000', (_, of) => {
    const samples = drawSamples(of, 400, 3);
    const belts = [104, 112, 116, 120, 124, 132].flatMap((length) => [square(length), square(length, 1.5)]);
    const outcomes = playOutcomes(samples, of, belts);
    let differ = 0;
    for (const [row, belt] of belts.entries()) {
      for (let i = 0; i < samples.count; i++) {
        if (exactFate(of, belt, samples, i) !== outcomes[row * samples.count + i]) differ += 1;
      }
    }
    expect(differ / outcomes.length).toBeLessThan(0.003);
  });
  test('the same seed gives the same odds; another gives others that agree within their draws', () => {
    const odds = (seed: number) => {
      const samples = drawSamples(situation(), 4000, seed);
      return probabilitiesOf(playOutcomes(samples, situation(), [square(116)]), evenly(4000))[0];
    };
    expect(odds(1)).toEqual(odds(1));
    expect(Math.abs((odds(1)?.works ?? 0) - (odds(2)?.works ?? 1))).toBeLessThan(5 * (odds(1)?.drawStd ?? 0));
  });
  test('a shorter belt never slips more and never loads the motor less; odds stay between 0 and 1', () => {
    fc.assert(
      fc.property(fc.double({ min: 90, max: 130, noNaN: true }), fc.integer({ min: 1, max: 99 }), (length, seed) => {
        const samples = drawSamples(situation(), 200, seed);
        const [long, short] = probabilitiesOf(
          playOutcomes(samples, situation(), [square(length), square(length - 3)]),
          evenly(200),
        );
        const slips = (fails: { grip: number; slack: number } | undefined) => (fails?.grip ?? 0) + (fails?.slack ?? 0);
        expect(slips(short?.fails)).toBeLessThanOrEqual(slips(long?.fails) + 1e-12);
        expect(short?.fails.motor ?? 0).toBeGreaterThanOrEqual((long?.fails.motor ?? 0) - 1e-12);
        for (const share of [long?.works ?? -1, short?.works ?? -1]) expect(share >= 0 && share <= 1).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
  test('the first thing to fail is the one the linear judgement names, where that is clear', () => {
    const samples = drawSamples(situation(), 2000, 5);
    const [tight, loose] = probabilitiesOf(
      playOutcomes(samples, situation(), [square(100), square(126)]),
      evenly(2000),
    );
    expect(tight?.first).toBe('stretch');
    expect(loose?.first).toBe('grip');
    expect(judge(situation(), square(100))?.weakest).toBe('stretch');
  });
  test('from a string alone the pulleys are drawn too, and the middle of the range still comes out best', () => {
    const string = situation({ drive: undefined, motorDiameter: undefined, drivenDiameter: undefined });
    const samples = drawSamples(string, 2000, 5);
    const lengths = [100, 108, 112, 116, 120, 124, 128];
    const odds = probabilitiesOf(
      playOutcomes(
        samples,
        string,
        lengths.map((length) => square(length)),
      ),
      evenly(2000),
    );
    const best = odds.reduce((most, one, index) => (one.works > (odds[most]?.works ?? 0) ? index : most), 0);
    expect([112, 116]).toContain(lengths[best]);
    // Two shafts, the second slower: between a half and twice what one shaft takes by its full wrap.
    const one = 2 * DEFAULT_LIMITS.bushFriction * DEFAULT_LIMITS.shaftRadiusMm;
    expect(samples.dragMm.every((drag) => drag > one / 2 && drag < 2 * one)).toBe(true);
  });
  test('where speed matters a belt that turns it too fast or slow fails by that alone', () => {
    const wanted = (targetRpm: number) => situation({ speed: { motorRpm: 1200, targetRpm, tolerance: 0.01 } });
    const motorOverDrive = (6 + 1.2 * 0.96) / (24.8 + 1.2 * 0.96);
    const odds = (targetRpm: number) =>
      probabilitiesOf(
        playOutcomes(drawSamples(wanted(targetRpm), 500, 2), wanted(targetRpm), [square(116)]),
        evenly(500),
      )[0];
    expect(odds(1200 * motorOverDrive)?.fails.speed).toBeLessThan(0.3);
    expect(odds(1320 * motorOverDrive)?.fails.speed).toBe(1);
  });
});

describe('what the bench said of belts it tried', () => {
  const samples = drawSamples(situation(), 3000, 9);
  const belts = [square(112), square(116), square(120), square(124)];
  const outcomes = playOutcomes(samples, situation(), belts);
  const row = (index: number) => outcomes.subarray(index * 3000, (index + 1) * 3000);
  const works = (weights: Float64Array) => probabilitiesOf(outcomes, weights).map((one) => one.works);
  test('a belt that was too loose makes longer ones less likely and shorter ones no less', () => {
    const before = works(evenly(3000));
    const after = works(weighed(3000, [{ outcomes: row(2), verdict: 'tooLoose' }]));
    expect(after[2]).toBeLessThan(before[2] ?? 0);
    expect(after[3]).toBeLessThan(before[3] ?? 0);
    const tight = works(weighed(3000, [{ outcomes: row(1), verdict: 'tooTight' }]));
    expect(tight[0]).toBeLessThan(before[0] ?? 0);
  });
  test('one that was right is likelier to be; weights add up to 1 whatever is said', () => {
    const before = works(evenly(3000));
    expect(works(weighed(3000, [{ outcomes: row(1), verdict: 'right' }]))[1]).toBeGreaterThan(before[1] ?? 1);
    const said = fc.constantFrom('right', 'tooLoose', 'tooTight', 'twisted');
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(3), said), { maxLength: 6 }), (tried) => {
        const weights = weighed(
          3000,
          tried.map(([index, verdict]) => ({ outcomes: row(index), verdict })),
        );
        expect(weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 9);
      }),
      { numRuns: 20 },
    );
  });
});

test('the value of a measurement: none is below nothing, a known pull is worth no more, and an unknown one is worth most here', () => {
  const near = CATALOGUE.filter(({ innerLengthMm }) => innerLengthMm > 105 && innerLengthMm < 125);
  const value = (of: Situation) => {
    const samples = drawSamples(of, 4000, 4);
    return valueOfMeasuring(samples, of, playOutcomes(samples, of, near), evenly(4000));
  };
  const open = value(situation());
  expect(open.every(({ gain }) => gain >= 0)).toBe(true);
  expect(open.map(({ what }) => what)).not.toContain('path');
  const known = value(situation({ trayPullN: { value: 1.4, std: 0.1 } }));
  expect(known.map(({ what }) => what)).not.toContain('trayPull');
});
