import { describe, expect, test } from 'vitest';
import { BOOTH_DRIVE } from '../../../fixtures/booth';
import fc from 'fast-check';
import { CATALOGUE } from '../catalogue';
import { centreLineAt, innerPath, type Drive } from '../../physics/drive';
import { evaluateBelt, FAILURE_BITS, FAILURES } from '../../physics/evaluation';
import { DEFAULT_PRIORS, DEFAULT_REQUIREMENTS, judge, type Sister, type Situation } from '../sizing';
import { drawSamples } from '../../../fixtures/draws';
import {
  believe,
  evenly,
  probabilitiesOf,
  playOutcomes,
  valueOfMeasuring,
  valuesOf,
  chosenAfter,
  type BeltVerdict,
  type JudgedBelt,
} from '.';

const drive = BOOTH_DRIVE;
const situation = (more: Partial<Situation> = {}): Situation => ({
  path: { value: 127.1, std: 0.5 },
  drive,
  motorDiameter: { value: 6, std: 0.05 },
  drivenDiameter: { value: 24.8, std: 0.1 },
  motorSurface: 'clean',
  drivenSurface: 'clean',
  oldSection: { shape: 'square', thicknessMm: 1.2 },
  driven: 'tray',
  priors: DEFAULT_PRIORS,
  demands: { requirements: DEFAULT_REQUIREMENTS },
  ...more,
});
const square = (innerLengthMm: number, thicknessMm = 1.2): JudgedBelt => ({
  shape: 'square',
  thicknessMm,
  innerLengthMm,
  innerLengthToleranceMm: 1,
});

describe('the tray held while the motor drives', () => {
  const pulled = { trayPullN: { value: 1.4, std: 0.1 } };
  /** What the motor has over the need, in the mean. */
  const stalls = (more: Partial<Situation>): number => {
    const { value, weights } = believe(situation({ ...pulled, ...more }), [], 2000, 3);
    return value.stallNmm.reduce((sum, stall, i) => sum + (stall / (value.needNmm[i] ?? 1)) * (weights[i] ?? 0), 0);
  };
  test('says what the motor has: (F + pull)/pull', () => {
    expect(stalls({ stallPullN: { value: 2.1, std: 0.15 } })).toBeCloseTo(2.5, 1);
    expect(stalls({ stallPullN: { value: 0.7, std: 0.15 } })).toBeCloseTo(1.5, 1);
  });
  test('by a slipping belt it makes motors that are too weak unlikely', () => {
    expect(stalls({ stallPullAtLeastN: 2.8 })).toBeGreaterThan(stalls({}) + 0.2);
  });
  test('a motor read as weak makes tight belts unlikelier', () => {
    const works = (more: Partial<Situation>) => {
      const of = situation({ ...pulled, ...more });
      const { value, weights } = believe(of, [], 2000, 3);
      return probabilitiesOf(playOutcomes(value, of, [square(112)]), weights)[0]?.works ?? NaN;
    };
    expect(works({ stallPullN: { value: 0.1, std: 0.1 } })).toBeLessThan(
      works({ stallPullN: { value: 2.8, std: 0.1 } }) - 0.2,
    );
  });
});

/** Drives of every make: open and crossed, flat and vee, with idlers on face and back, measured and by string alone. */
const anyDrive: fc.Arbitrary<Drive | undefined> = fc
  .record({
    motorMm: fc.double({ min: 3, max: 12, noNaN: true }),
    drivenMm: fc.double({ min: 10, max: 40, noNaN: true }),
    gapMm: fc.double({ min: 4, max: 60, noNaN: true }),
    crossed: fc.boolean(),
    vee: fc.boolean(),
    idler: fc.constantFrom('none', 'face', 'back', 'driven'),
    known: fc.integer({ min: 0, max: 4 }),
  })
  .map(({ motorMm, drivenMm, gapMm, crossed, vee, idler, known }) => {
    if (known === 0) return undefined;
    const apart = (motorMm + drivenMm) / 2 + gapMm;
    const one: Drive = {
      motorPulley: {
        bottomDiameterMm: motorMm,
        groove: vee ? { form: 'vee', angleRad: 1.05 } : { form: 'flat' },
      },
      drivenPulley: { bottomDiameterMm: drivenMm, groove: { form: 'flat' } },
      centreDistanceMm: apart,
      crossed: crossed && idler === 'none',
      idlers:
        idler === 'none'
          ? []
          : [
              {
                name: 'third',
                xMm: apart / 2,
                // At the back it presses the upper run in by some 2 mm; on the face it lifts it.
                yMm: idler === 'back' ? (motorMm + drivenMm) / 4 : drivenMm,
                bottomDiameterMm: 4,
                groove: { form: 'flat' },
                back: idler === 'back',
                driven: idler === 'driven',
                after: 'driven',
              },
            ],
    };
    // A belt that would go round a pulley the long way is no drive that anybody has.
    const [inner, line] = [innerPath(one), centreLineAt(one, 2.4)];
    return inner.ok && line.ok && line.value.wrapsRad.every((wrap) => wrap < 5.5) ? one : undefined;
  });

describe('one criterion', () => {
  test('the fast form agrees with the scalar evaluation on 100,000 random cases, but for a hair beside a requirement', () => {
    const surfaces = fc.constantFrom('clean' as const, 'glazed' as const, 'oily' as const);
    const made = fc.sample(
      fc.record({
        drive: anyDrive,
        motorSurface: surfaces,
        drivenSurface: surfaces,
        driven: fc.constantFrom('tray' as const, 'lift' as const, 'spindle' as const),
        held: fc.boolean(),
        speed: fc.boolean(),
        share: fc.array(fc.double({ min: 0.8, max: 1.02, noNaN: true }), { minLength: 10, maxLength: 10 }),
        thicknessMm: fc.constantFrom(0.8, 1, 1.2, 1.5, 1.78, 2.4),
        round: fc.boolean(),
        settled: fc.boolean(),
        seed: fc.nat(1e6),
      }),
      { numRuns: 400, seed: 20261126 },
    );
    const SAMPLES = 25;
    let cases = 0;
    let differ = 0;
    let worst = 0;
    for (const one of made) {
      const inner = one.drive && innerPath(one.drive);
      const of = situation({
        drive: one.drive,
        path: { value: inner?.ok ? inner.value.lengthMm : 127.1, std: 0.5 },
        motorDiameter: one.drive && { value: one.drive.motorPulley.bottomDiameterMm, std: 0.05 },
        drivenDiameter: one.drive && { value: one.drive.drivenPulley.bottomDiameterMm, std: 0.1 },
        motorSurface: one.motorSurface,
        drivenSurface: one.drivenSurface,
        driven: one.driven,
        ...(one.held && one.driven !== 'spindle' && { stallPullN: { value: 2, std: 0.2 } }),
        demands: {
          requirements: DEFAULT_REQUIREMENTS,
          speed: one.speed ? { motorRpm: 2400, targetRpm: 640, tolerance: 0.1 } : undefined,
        },
      });
      const belts = one.share.map((share): JudgedBelt => ({
        shape: one.round ? 'round' : 'square',
        thicknessMm: one.thicknessMm,
        innerLengthMm: of.path.value * share,
        innerLengthToleranceMm: 1,
        settled: one.settled,
      }));
      const samples = drawSamples(of, SAMPLES, one.seed);
      const outcomes = playOutcomes(samples, of, belts);
      for (const [row, belt] of belts.entries()) {
        for (let i = 0; i < SAMPLES; i++) {
          const innerLengthMm = belt.innerLengthMm + belt.innerLengthToleranceMm * (samples.lengthWithin[i] ?? 0);
          const done = evaluateBelt(
            of.drive,
            { ...belt, innerLengthMm },
            valuesOf(samples, i, belt.shape),
            of.demands,
            of.oldSection,
          );
          if (!done) throw new Error('these drives are possible');
          cases += 1;
          const fast = outcomes[row * SAMPLES + i] ?? -1;
          if (fast === done.fails) continue;
          differ += 1;
          // Where they part, what parts them lies so near its requirement that neither could be told from the other.
          // A belt stretched by next to nothing pulls next to nothing, in whichever form.
          if (Math.abs(done.strain) < 0.01) continue;
          for (const failure of FAILURES) {
            if (((fast ^ done.fails) & FAILURE_BITS[failure]) === 0) continue;
            worst = Math.max(worst, Math.abs(Math.log(done.safety[failure])));
          }
        }
      }
    }
    expect(cases).toBe(100_000);
    expect(differ / cases).toBeLessThan(0.002);
    expect(worst).toBeLessThan(0.04);
  });
  test('the same seed gives the same chance; another gives others that agree within their draws', () => {
    const chances = (seed: number) => {
      const samples = drawSamples(situation(), 4000, seed);
      return probabilitiesOf(playOutcomes(samples, situation(), [square(116)]), evenly(4000))[0];
    };
    expect(chances(1)).toEqual(chances(1));
    expect(Math.abs((chances(1)?.works ?? 0) - (chances(2)?.works ?? 1))).toBeLessThan(5 * (chances(1)?.drawStd ?? 0));
  });
  test('a shorter belt never slips more and never loads the motor less; chances stay between 0 and 1', () => {
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
    const chances = probabilitiesOf(
      playOutcomes(
        samples,
        string,
        lengths.map((length) => square(length)),
      ),
      evenly(2000),
    );
    const best = chances.reduce((most, one, index) => (one.works > (chances[most]?.works ?? 0) ? index : most), 0);
    expect([112, 116]).toContain(lengths[best]);
  });
  test('a thin flat belt’s speed is no surer than its thickness, the old one’s reading included', () => {
    const thin = { shape: 'flat', thicknessMm: 0.6, widthMm: 4 } as const;
    const flatDrive: Drive = {
      motorPulley: { bottomDiameterMm: 4, groove: { form: 'flat' } },
      drivenPulley: { bottomDiameterMm: 30, groove: { form: 'flat' } },
      centreDistanceMm: 50,
      crossed: false,
    };
    const path = innerPath(flatDrive);
    if (!path.ok) throw new Error(path.problem);
    const failsBySpeed = (oldSectionStdMm: number): number => {
      const of = situation({
        drive: flatDrive,
        path: { value: path.value.lengthMm, std: 0.3 },
        motorDiameter: { value: 4, std: 0.03 },
        drivenDiameter: { value: 30, std: 0.03 },
        oldSection: thin,
        oldSectionStdMm,
        demands: { requirements: DEFAULT_REQUIREMENTS, speed: { tolerance: 0.015 } },
      });
      const samples = drawSamples(of, 4000, 7);
      const belt = { ...thin, innerLengthMm: path.value.lengthMm / 1.08, innerLengthToleranceMm: 1 };
      return probabilitiesOf(playOutcomes(samples, of, [belt]), evenly(4000))[0]?.fails.speed ?? NaN;
    };
    expect(failsBySpeed(0.05)).toBeGreaterThan(0.08);
    expect(failsBySpeed(0.05)).toBeLessThan(0.3);
    expect(failsBySpeed(0.1)).toBeGreaterThan(failsBySpeed(0.05));
    expect(failsBySpeed(0)).toBeLessThan(0.08);
  });
  test('where speed matters a belt that turns it too fast or slow fails by that alone', () => {
    const wanted = (targetRpm: number) =>
      situation({
        demands: { requirements: DEFAULT_REQUIREMENTS, speed: { motorRpm: 1200, targetRpm, tolerance: 0.01 } },
      });
    const motorOverDrive = (6 + 1.2 * 0.96) / (24.8 + 1.2 * 0.96);
    const chances = (targetRpm: number) =>
      probabilitiesOf(
        playOutcomes(drawSamples(wanted(targetRpm), 500, 2), wanted(targetRpm), [square(116)]),
        evenly(500),
      )[0];
    expect(chances(1200 * motorOverDrive)?.fails.speed).toBeLessThan(0.3);
    expect(chances(1320 * motorOverDrive)?.fails.speed).toBe(1);
  });
});

describe('what the bench said of belts it tried', () => {
  const belts = [square(112), square(116), square(120), square(124)];
  const after = (...tries: ReadonlyArray<readonly [JudgedBelt, BeltVerdict]>) => {
    const tried = tries.map(([belt, verdict]) => ({ belt, verdict }));
    const { value, weights, effective } = believe(situation(), tried, 3000, 9);
    return {
      works: probabilitiesOf(playOutcomes(value, situation(), belts), weights).map((one) => one.works),
      effective,
    };
  };
  const before = after().works;
  test('a belt that was too loose makes longer ones less likely and shorter ones no less; too tight the other way round', () => {
    const loose = after([square(120), 'tooLoose']).works;
    expect(loose[2]).toBeLessThan(before[2] ?? 0);
    expect(loose[3]).toBeLessThan(before[3] ?? 0);
    const tight = after([square(116), 'tooTight']).works;
    expect(tight[0]).toBeLessThan(before[0] ?? 0);
    expect(tight[2]).toBeGreaterThan(tight[1] ?? 1);
  });
  test('one that was right is likelier to be', () => {
    expect(after([square(116), 'right']).works[1]).toBeGreaterThan(before[1] ?? 1);
  });
  test('whatever is said, the answer rests on 500 effective samples and more', () => {
    const said = fc.constantFrom<BeltVerdict>('right', 'tooLoose', 'tooTight', 'twisted');
    const one = fc.tuple(
      fc.double({ min: 96, max: 130, noNaN: true }).map((mm) => square(mm)),
      said,
    );
    fc.assert(
      fc.property(fc.array(one, { maxLength: 4 }), (tried) => {
        const { effective, works } = after(...tried);
        expect(effective).toBeGreaterThanOrEqual(500);
        for (const share of works) expect(share >= 0 && share <= 1 + 1e-9).toBe(true);
      }),
      { numRuns: 12, seed: 4 },
    );
  });
});

describe('what the bench forbids', () => {
  test('too tight: that length and every shorter one of its section, and no other; too loose: the longer ones', () => {
    const { forbidden } = chosenAfter([
      { belt: square(112), verdict: 'tooTight' },
      { belt: square(124), verdict: 'tooLoose' },
    ]);
    const lengths = [104, 112, 116, 120, 124, 128];
    expect(lengths.filter((mm) => !forbidden(square(mm)))).toEqual([116, 120]);
    expect(forbidden(square(104))?.verdict).toBe('tooTight');
    expect(forbidden(square(104, 1.5))).toBeUndefined();
  });
  test('a later verdict on the same size takes the place of the earlier; withdrawn, it is as if it had not been', () => {
    const tight = { belt: square(112), verdict: 'tooTight' } as const;
    expect(chosenAfter([tight, { belt: square(112), verdict: 'right' }]).right?.innerLengthMm).toBe(112);
    expect(chosenAfter([{ belt: square(112), verdict: 'right' }, tight]).right).toBeUndefined();
    expect(chosenAfter([]).forbidden(square(100))).toBeUndefined();
  });
});

describe('machines with the same mechanism', () => {
  const sister = (verdict: BeltVerdict, more: Partial<Sister> = {}): Sister => ({
    number: '1',
    motorSurface: 'clean',
    drivenSurface: 'clean',
    tries: [{ belt: square(116), verdict: verdict }],
    ...more,
  });
  const works = (sisters: readonly Sister[]): number => {
    const of = situation({ sisters });
    const { value, weights } = believe(of, [], 3000, 5);
    return probabilitiesOf(playOutcomes(value, of, [square(116)]), weights)[0]?.works ?? NaN;
  };
  test('two on which a belt was right make it likelier, one with oil on its pulley hardly does, one too tight the less', () => {
    const alone = works([]);
    expect(works([sister('right'), sister('right')])).toBeGreaterThan(alone);
    expect(works([sister('tooTight'), sister('tooTight')])).toBeLessThan(alone - 0.1);
    const loose = alone - works([sister('tooLoose')]);
    const oily = alone - works([sister('tooLoose', { drivenSurface: 'oily' })]);
    expect(oily).toBeLessThan(0.6 * loose);
    // A tray that went stiffly there explains a belt that slipped.
    expect(alone - works([sister('tooLoose', { stiff: true })])).toBeLessThan(0.85 * loose);
  });
});

test('what sisters say is the same whatever the seed: an answer that differs by it rests on too little', () => {
  const ring = { ...square(118.8), shape: 'round' as const, thicknessMm: 1.78 };
  const of = situation({
    oldBelt: { value: 128.1, std: 0.6 },
    sisters: [
      [
        { belt: square(120), verdict: 'tooLoose' as const },
        { belt: square(116), verdict: 'right' as const },
      ],
      [],
      [],
      [],
      [
        { belt: ring, verdict: 'tooTight' as const },
        { belt: square(116), verdict: 'right' as const },
      ],
    ].map((tries, index) => ({
      number: String(index),
      path: { value: 127.2, std: 0.6 },
      motorSurface: 'clean',
      drivenSurface: 'clean',
      tries,
    })),
  });
  const said = [1, 2, 3, 4, 5, 6].map((seed) => {
    const { value, weights } = believe(of, [], 4000, 77 * seed);
    return probabilitiesOf(playOutcomes(value, of, [square(116)]), weights)[0]?.works ?? NaN;
  });
  expect(Math.max(...said) - Math.min(...said)).toBeLessThan(0.08);
});

test('a path that may be either of two is drawn as either, and reading it again is worth the most', () => {
  const either = situation({
    path: { value: 127.1, std: 12 },
    pathModes: [
      { value: 127.1, std: 0.5, weight: 0.6 },
      { value: 110, std: 1, weight: 0.4 },
    ],
  });
  const samples = drawSamples(either, 4000, 9);
  const short = samples.pathMm.filter((one) => one < 118).length / 4000;
  expect(short).toBeCloseTo(0.4, 1);
  // One drive in ten was misread, too, and lies a little further out.
  expect(samples.pathMm.filter((one) => one > 114 && one < 122).length / 4000).toBeLessThan(0.01);
  const near = CATALOGUE.filter(({ innerLengthMm }) => innerLengthMm > 90 && innerLengthMm < 125);
  const [first] = valueOfMeasuring(samples, either, playOutcomes(samples, either, near), evenly(4000));
  expect(first?.what).toBe('path');
  expect(first?.gain).toBeGreaterThan(0.2);
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
