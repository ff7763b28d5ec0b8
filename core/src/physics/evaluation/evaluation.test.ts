import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BOOTH_DRIVE } from '../../../fixtures/booth';
import { innerPath, type Drive, type Idler } from '../drive';
import { sectionAreaMm2 } from '../rubber';
import {
  evaluateBelt,
  FAILURE_BITS,
  FAILURES,
  seatAt,
  wrapsOfPath,
  type Demands,
  type DriveValues,
  type EvaluatedBelt,
  type Failure,
} from '.';

/** The booth deck. */
const drive = BOOTH_DRIVE;
const pathMm = ((path) => (path.ok ? path.value.lengthMm : NaN))(innerPath(drive));
const values: DriveValues = {
  pathMm,
  motorRadiusMm: 3,
  drivenRadiusMm: 12.4,
  motorFriction: 0.8,
  drivenFriction: 0.8,
  idlerFrictions: [],
  modulusMpa: 3.6,
  relaxedShare: 0.8,
  strainMax: 0.18,
  grooveLogRatio: 0.25,
  bushMm: 0.11,
  needNmm: 0.8,
  stallNmm: 2,
  heldThroughN: 0,
};
const demands: Demands = {
  requirements: {
    gripMin: 1.1,
    gripWanted: 1.5,
    motorMin: 1.1,
    motorWanted: 1.25,
    strainComfortable: 0.15,
    strainMax: 0.2,
    bendMin: 6,
  },
};
const belt = (innerLengthMm: number, thicknessMm = 1.2): EvaluatedBelt => ({
  shape: 'square',
  thicknessMm,
  innerLengthMm,
});
const evaluated = (
  one: EvaluatedBelt,
  changed: Partial<DriveValues> = {},
  asked: Demands = demands,
  round: Drive | undefined = drive,
) => {
  const evaluation = evaluateBelt(round, one, { ...values, ...changed }, asked, belt(128));
  if (!evaluation) throw new Error('no belt can run there');
  return evaluation;
};
const failed = ({ fails }: { readonly fails: number }): Failure[] =>
  FAILURES.filter((one) => (fails & FAILURE_BITS[one]) !== 0);

describe('one belt, by hand', () => {
  test('pull by the neo-Hookean strand (Treloar), grip by Euler and Eytelwein, torque at the motor', () => {
    const one = evaluated(belt(116));
    const stretch = 1 + one.strain;
    expect(one.freshPullN).toBeCloseTo((3.6 / 3) * 1.44 * (stretch - 1 / stretch ** 2), 9);
    expect(one.relaxedPullN).toBeCloseTo(0.8 * one.freshPullN, 12);
    // The motor pulley has the lesser wrap: π − 2·asin((R − r)/C), at the belt's centre line.
    const wrapRad = Math.PI - 2 * Math.asin((12.4 - 3) / 38.2);
    const ratio = Math.exp(0.8 * wrapRad);
    expect(one.grip.weaker).toBe('motor pulley');
    expect(one.grip.share).toBeCloseTo((ratio - 1) / (ratio + 1), 6);
    expect(one.gripRatio).toBeCloseTo((2 * one.relaxedPullN * one.grip.share * one.motorRadiusMm) / 0.8, 9);
    // 2T·sin(θ/2) on the motor's shaft.
    expect(one.motorLoadN).toBeCloseTo(2 * one.freshPullN * Math.sin(wrapRad / 2), 5);
    expect(one.bendRatio).toBeCloseTo(6 / 1.2, 12);
    expect(failed(one)).toEqual([]);
  });
  test('a rubber strand keeps its volume: stretched by λ it is thinner by √λ, and rides nearer the pulley', () => {
    const one = evaluated(belt(116));
    expect(one.thicknessMm).toBeCloseTo(1.2 / Math.sqrt(1 + one.strain), 6);
    expect(one.motorRadiusMm).toBeCloseTo(3 + one.thicknessMm / 2, 6);
  });
  test('a belt as long as its path is slack by nothing: on the centre line both grow by π·t', () => {
    expect(evaluated(belt(pathMm)).strain).toBeCloseTo(0, 6);
    expect(failed(evaluated(belt(pathMm + 1)))).toContain('slack');
  });
});

describe('each thing that may go wrong is told by itself', () => {
  test.each<readonly [Failure, Partial<DriveValues>, EvaluatedBelt, Demands]>([
    ['grip', { needNmm: 2.5, stallNmm: 9 }, belt(116), demands],
    ['motor', { stallNmm: 0.9 }, belt(116), demands],
    ['stretch', { strainMax: 0.05 }, belt(116), demands],
    ['groove', { grooveLogRatio: 0.25 }, belt(116, 1.6), demands],
    ['slack', {}, belt(140), demands],
    ['speed', {}, belt(116), { ...demands, speed: { motorRpm: 2400, targetRpm: 900, tolerance: 0.02 } }],
  ])('%s', (what, changed, one, asked) => {
    // A stiff motor for a stout section, so that only its groove is asked about.
    const evaluation = evaluated(one, { ...(what === 'groove' && { stallNmm: 20 }), ...changed }, asked);
    expect(failed(evaluation)).toEqual([what]);
    expect(evaluation.first).toBe(what);
    expect(evaluation.safety[what]).toBeLessThan(1);
  });
  test('just on a requirement is 1, and a hair to either side decides', () => {
    const { gripRatio, motorLeftRatio } = evaluated(belt(116), { stallNmm: 9 });
    const at = (gripMin: number, motorMin: number) =>
      failed(evaluated(belt(116), { stallNmm: 9 }, { requirements: { ...demands.requirements, gripMin, motorMin } }));
    expect(at(gripRatio * 0.999999, motorLeftRatio * 0.999999)).toEqual([]);
    expect(at(gripRatio * 1.000001, motorLeftRatio * 0.999999)).toEqual(['grip']);
    expect(at(gripRatio * 0.999999, motorLeftRatio * 1.000001)).toEqual(['motor']);
  });
  test('a hanging belt fails by hanging, and is not counted as slipping or torn besides', () => {
    const one = evaluated(belt(150));
    expect(failed(one)).toEqual(['slack']);
    expect(one.first).toBe('slack');
    expect(one.freshPullN).toBe(0);
  });
  test('a settled belt gives nothing back any more, a new one does', () => {
    expect(evaluated({ ...belt(116), settled: true }).gripRatio).toBeCloseTo(evaluated(belt(116)).gripRatio / 0.8, 9);
  });
  test('what was read of the motor through a belt had that belt’s load on its bushes already', () => {
    const plain = evaluated(belt(116));
    const through = evaluated(belt(116), { heldThroughN: plain.freshPullN });
    expect(through.motorLeftRatio).toBeCloseTo(2 / 0.8, 9);
    expect(plain.motorLeftRatio).toBeLessThan(through.motorLeftRatio);
  });
  test('without an old section every section lies in the groove', () => {
    const thick = evaluateBelt(drive, belt(116, 2), { ...values, stallNmm: 99 }, demands);
    expect(thick && failed(thick)).not.toContain('groove');
  });
});

describe('further pulleys', () => {
  const idler = (driven: boolean, xMm = 20, yMm = -3): Idler => ({
    name: 'lift wheel',
    xMm,
    yMm,
    bottomDiameterMm: 8,
    groove: { form: 'flat' },
    back: true,
    driven,
    after: 'motor',
  });
  const withIdler = (driven: boolean): Drive => ({ ...drive, idlers: [idler(driven)] });
  const laid = (driven: boolean, friction: number) => {
    const round = withIdler(driven);
    const path = innerPath(round);
    if (!path.ok) throw new Error(path.problem);
    const length = path.value.lengthMm;
    return evaluated(belt(length / 1.1), { pathMm: length, idlerFrictions: [friction] }, demands, round);
  };
  test('one that takes power may be where it slips; one that only guides cannot', () => {
    expect(laid(true, 0.2).grip.weaker).toBe('lift wheel');
    expect(laid(false, 0.2).grip.weaker).toBe('motor pulley');
    expect(laid(true, 0.2).gripRatio).toBeLessThan(laid(false, 0.2).gripRatio);
  });
  test('each one loads a bush more', () => {
    const bare = evaluated(belt(pathMm / 1.1));
    const more = laid(false, 0.8);
    const perNewton = (one: typeof bare) => (2 - one.motorLeftRatio * 0.8) / one.freshPullN;
    expect(perNewton(more)).toBeGreaterThan(perNewton(bare));
  });
  test('where no belt can run there is no evaluation', () => {
    const overlapping: Drive = { ...drive, centreDistanceMm: 5 };
    expect(evaluateBelt(overlapping, belt(116), values, demands)).toBeUndefined();
  });
});

describe('laws', () => {
  const length = fc.double({ min: 100, max: 127, noNaN: true });
  const thickness = fc.double({ min: 0.6, max: 2.5, noNaN: true });
  test('a shorter belt grips more, leaves the motor less and is stretched more', () => {
    fc.assert(
      fc.property(length, thickness, fc.double({ min: 0.2, max: 8, noNaN: true }), (long, thick, less) => {
        const [longer, shorter] = [evaluated(belt(long, thick)), evaluated(belt(long - less, thick))];
        expect(shorter.strain).toBeGreaterThan(longer.strain);
        expect(shorter.gripRatio).toBeGreaterThan(longer.gripRatio);
        expect(shorter.motorLeftRatio).toBeLessThan(longer.motorLeftRatio);
      }),
    );
  });
  test('a belt fails by something if and only if something is beyond its requirement, and the first is the least safe', () => {
    fc.assert(
      fc.property(length, thickness, fc.double({ min: 0.2, max: 3, noNaN: true }), (long, thick, needNmm) => {
        const one = evaluated(belt(long, thick), { needNmm });
        expect(one.fails !== 0).toBe(one.safety[one.first] < 1);
        for (const what of FAILURES) expect(one.safety[one.first]).toBeLessThanOrEqual(one.safety[what]);
      }),
    );
  });
  test('friction never harms the grip, the weaker surface decides', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 0.5, noNaN: true }),
        (mu, more) => {
          const plain = evaluated(belt(116), { motorFriction: mu, drivenFriction: mu });
          const better = evaluated(belt(116), { motorFriction: mu + more, drivenFriction: mu + more });
          const oily = evaluated(belt(116), { motorFriction: mu + more, drivenFriction: mu / 9 });
          expect(better.gripRatio).toBeGreaterThan(plain.gripRatio);
          expect(oily.grip.weaker).toBe('driven pulley');
        },
      ),
    );
  });
  test('the wraps that a path gives are the drive’s own', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 1.2, max: 4, noNaN: true }),
        (motorRadiusMm, more, apart) => {
          const drivenRadiusMm = motorRadiusMm + more;
          const centreDistanceMm = apart * (motorRadiusMm + drivenRadiusMm);
          const path = innerPath({
            motorPulley: { bottomDiameterMm: 2 * motorRadiusMm, groove: { form: 'flat' } },
            drivenPulley: { bottomDiameterMm: 2 * drivenRadiusMm, groove: { form: 'flat' } },
            centreDistanceMm,
            crossed: false,
          });
          if (!path.ok) throw new Error(path.problem);
          const [motorRad, drivenRad] = wrapsOfPath({ pathMm: path.value.lengthMm, motorRadiusMm, drivenRadiusMm });
          expect(motorRad).toBeCloseTo(path.value.wrapsRad[0] ?? NaN, 5);
          expect(motorRad + drivenRad).toBeCloseTo(2 * Math.PI, 9);
        },
      ),
    );
  });
  test('an open path grows by π for each mm of section, drive known or not', () => {
    for (const thick of [0.5, 1.2, 3]) {
      expect(seatAt(undefined, thick)?.pathMm).toBeCloseTo(Math.PI * thick, 12);
      expect(seatAt(drive, thick)?.pathMm).toBeCloseTo(Math.PI * thick, 6);
    }
  });
  test('pull goes with the area of the section, whatever its shape', () => {
    const flat: EvaluatedBelt = { shape: 'flat', thicknessMm: 0.8, widthMm: 5, innerLengthMm: 116 };
    const square: EvaluatedBelt = { shape: 'square', thicknessMm: 0.8, innerLengthMm: 116 };
    expect(sectionAreaMm2(flat) / sectionAreaMm2(square)).toBeCloseTo(6.25, 12);
    expect(evaluated(flat).freshPullN / evaluated(square).freshPullN).toBeCloseTo(6.25, 9);
  });
});
