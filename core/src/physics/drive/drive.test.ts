import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { strandPullN, youngModulusMpa } from '../rubber';
import {
  bushShare,
  fitBelt,
  gripShare,
  innerPath,
  motorTorqueNmm,
  seatedRadiusMm,
  shaftLoadN,
  slipGrip,
  strokeTimeS,
  trayForceN,
  type Drive,
} from '.';

const worked: Drive = {
  motorPulley: { bottomDiameterMm: 6, groove: { form: 'flat' } },
  drivenPulley: { bottomDiameterMm: 25, groove: { form: 'flat' } },
  centreDistanceMm: 40,
  crossed: false,
};
const fitted = (innerLengthMm: number, drive = worked) => {
  const fit = fitBelt(drive, { shape: 'square', thicknessMm: 1.2, innerLengthMm });
  if (!fit.ok) throw new Error(fit.problem);
  return fit.value;
};

describe('a belt in its drive', () => {
  test('as long as its path it is neither stretched nor slack', () => {
    expect(fitted(130.962).strain).toBeCloseTo(0, 5);
  });
  test('stretch grows as the belt gets shorter, and thins it', () => {
    fc.assert(
      fc.property(fc.double({ min: 90, max: 129, noNaN: true }), (length) => {
        expect(fitted(length).strain).toBeGreaterThan(fitted(length + 1).strain);
        expect(fitted(length).thicknessMm).toBeLessThan(1.2);
      }),
    );
  });
  test('a hanging belt keeps its thickness', () => expect(fitted(140).thicknessMm).toBe(1.2));
  test('a round section in a 60° vee rides at (d/2)/sin 30° from the apex', () => {
    expect(seatedRadiusMm({ bottomDiameterMm: 10, groove: { form: 'vee', angleRad: Math.PI / 3 } }, 2)).toBeCloseTo(
      7,
      9,
    );
    expect(seatedRadiusMm({ bottomDiameterMm: 10, groove: { form: 'round' } }, 2)).toBe(6);
  });
});

test('wraps of idlers stand in the order in which they were put in, not in which the belt meets them', () => {
  const wheel = (name: string, yMm: number, after: 'motor' | 'driven') =>
    ({ name, xMm: 18, yMm, bottomDiameterMm: 6, groove: { form: 'flat' }, back: false, driven: true, after }) as const;
  const upper = wheel('upper', 30, 'driven');
  const lower = wheel('lower', -18, 'motor');
  const wraps = (...idlers: (typeof upper)[]) => {
    const path = innerPath({ ...worked, idlers });
    if (!path.ok) throw new Error(path.problem);
    return path.value.wrapsRad;
  };
  const [motor, drive, first = NaN, second = NaN] = wraps(upper, lower);
  expect(first).toBeGreaterThan(second + 0.1);
  expect(wraps(lower, upper)).toEqual([motor, drive, second, first]);
});

describe('bushes', () => {
  test('every shaft bears 2·sin(θ/2) of the pull; at the motor it counts by the pulleys’ ratio', () => {
    expect(bushShare([3, 12], [Math.PI, Math.PI])).toBeCloseTo(2.5, 12);
    expect(bushShare([3, 12, 3], [Math.PI, Math.PI, Math.PI / 3])).toBeCloseTo(3.5, 12);
  });
  test('the work of all bushes is the same seen at any shaft', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 20, noNaN: true }), fc.double({ min: 2, max: 20, noNaN: true }), (a, b) => {
        expect(bushShare([a, b], [2.6, 3.6]) / a).toBeCloseTo(bushShare([b, a], [3.6, 2.6]) / b, 9);
      }),
    );
  });
});

describe('grip', () => {
  const grip = (motorFriction: number, drivenFriction: number, motorRadiusMm: number) => {
    const [motorWrapRad = 0, drivenWrapRad = 0] = fitted(120.68).centreLine.wrapsRad;
    return slipGrip({
      strandPullN: 0.385,
      motorRadiusMm,
      pulleys: [
        { name: 'motor pulley', friction: motorFriction, wrapRad: motorWrapRad },
        { name: 'driven pulley', friction: drivenFriction, wrapRad: drivenWrapRad },
      ],
    });
  };
  test('tight over slack is e^{μθ}: e^{0.8·3.0165} = 11.17 (Shigley, flat-belt example; from memory)', () => {
    const share = gripShare(0.8, 3.0165);
    expect((1 + share) / (1 - share)).toBeCloseTo(11.17, 2);
  });
  test('a handbook’s crossed belt: length, wrap, tensions and power (Khurmi and Gupta, belt drives; from memory)', () => {
    // Pulleys of 450 and 200 mm, shafts 1.95 m apart, μ 0.25, 1 kN at most, the large one at 200 rpm; the book’s own
    // figures are 4.975 m, 3.477 rad, 2.387 and 2.74 kW, its length by the usual series.
    const path = innerPath({
      motorPulley: { bottomDiameterMm: 200, groove: { form: 'flat' } },
      drivenPulley: { bottomDiameterMm: 450, groove: { form: 'flat' } },
      centreDistanceMm: 1950,
      crossed: true,
    });
    if (!path.ok) throw new Error(path.problem);
    const wrapRad = path.value.wrapsRad[0] ?? NaN;
    expect(path.value.lengthMm / 1000).toBeCloseTo(4.975, 2);
    expect(wrapRad).toBeCloseTo(3.477, 2);
    const share = gripShare(0.25, wrapRad);
    const ratio = (1 + share) / (1 - share);
    expect(ratio).toBeCloseTo(2.387, 2);
    const speed = (Math.PI * 0.45 * 200) / 60;
    expect(((1000 - 1000 / ratio) * speed) / 1000).toBeCloseTo(2.74, 2);
  });
  test('the working paper’s case, 6/25/40 at T = 0.385: 2.18 N·mm, and 0.96 with an oily driven pulley', () => {
    // The paper takes the pitch radius with the section unthinned, 3.6 mm; thinned, as fitBelt has it, it is 2.17.
    expect(grip(0.8, 0.8, 3.6).slipTorqueNmm).toBeCloseTo(2.18, 2);
    expect(grip(0.8, 0.2, 3.6).slipTorqueNmm).toBeCloseTo(0.96, 2);
    expect(grip(0.8, 0.8, fitted(120.68).motorRadiusMm).slipTorqueNmm).toBeCloseTo(2.17, 2);
    expect(grip(0.8, 0.2, 3.6).weaker).toBe('driven pulley');
    expect(grip(0.8, 0.8, 3.6).weaker).toBe('motor pulley');
  });
  test('rises with wrap and with friction, and never passes the whole of 2T', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1.5, noNaN: true }),
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        (mu, wrap) => {
          expect(gripShare(mu + 0.05, wrap)).toBeGreaterThan(gripShare(mu, wrap));
          expect(gripShare(mu, wrap + 0.1)).toBeGreaterThan(gripShare(mu, wrap));
          expect(gripShare(mu, wrap)).toBeLessThan(1);
        },
      ),
    );
  });
  test('the pulley with the smaller μθ slips first, whatever its radius', () => {
    fc.assert(
      fc.property(
        fc.record({
          a: fc.double({ min: 0.1, max: 1, noNaN: true }),
          b: fc.double({ min: 0.1, max: 1, noNaN: true }),
          r: fc.double({ min: 1, max: 30, noNaN: true }),
        }),
        ({ a, b, r }) => {
          fc.pre(Math.abs(a * 2.8 - b * 3.5) > 1e-6);
          const { weaker } = slipGrip({
            strandPullN: 1,
            motorRadiusMm: r,
            pulleys: [
              { name: 'motor', friction: a, wrapRad: 2.8 },
              { name: 'driven', friction: b, wrapRad: 3.5 },
            ],
          });
          expect(weaker).toBe(a * 2.8 < b * 3.5 ? 'motor' : 'driven');
        },
      ),
    );
  });
});

test('half a turn of wrap loads the shaft with both strands', () =>
  expect(shaftLoadN(0.385, Math.PI)).toBeCloseTo(0.77, 9));

test('8 % stretch of 1.2 mm square at Shore A 60 pulls 0.385 N a strand', () => {
  const modulus = youngModulusMpa(60);
  expect(modulus.ok && strandPullN(modulus.value, 1.44, 1.08)).toBeCloseTo(0.385, 3);
});

test('motor torque and tray force are each other’s inverse: work in times η is work out', () => {
  const gearing = { travelPerTurnMm: 2.2, efficiency: 0.6 };
  expect(trayForceN(motorTorqueNmm(1.4, gearing), gearing)).toBeCloseTo(1.4, 9);
  expect(motorTorqueNmm(1.4, gearing) * 2 * Math.PI * 0.6).toBeCloseTo(1.4 * 2.2, 9);
});

test('140 mm of travel at 2.2 mm a turn and 3,000 rpm takes 1.27 s (by hand)', () => {
  expect(strokeTimeS(140, 2.2, 3000)).toBeCloseTo(140 / 110, 9);
});

describe('a path that no belt can take is refused by the name of the pulley', () => {
  const withGuide = (yMm: number, back = true): Drive => ({
    motorPulley: { bottomDiameterMm: 6, groove: { form: 'flat' } },
    drivenPulley: { bottomDiameterMm: 24, groove: { form: 'flat' } },
    centreDistanceMm: 50,
    crossed: false,
    idlers: [
      {
        name: 'guide',
        xMm: 25,
        yMm,
        bottomDiameterMm: 6,
        groove: { form: 'flat' },
        back,
        driven: false,
        after: 'driven',
      },
    ],
  });
  test('a guide at the back at 25, 6 presses the upper run in; mistyped to 25, 20 it is not reached', () => {
    expect(innerPath(withGuide(6)).ok).toBe(true);
    const wrong = innerPath(withGuide(20));
    expect(wrong.ok ? '' : wrong.problem).toContain('No belt can run so: the guide (at 25.0, 20.0 mm');
  });
  test('one on the face out of reach of the run is refused too; open and crossed drives are not', () => {
    expect(innerPath(withGuide(20, false)).ok).toBe(true);
    expect(innerPath(withGuide(3, false)).ok).toBe(false);
    expect(innerPath(worked).ok).toBe(true);
    expect(innerPath({ ...worked, crossed: true }).ok).toBe(true);
  });
});

test('design tension: the pull that just carries a torque is a handbook’s (Shigley’s Mechanical Engineering Design, flat belts: Fi = (T/d)·(e^{fφ}+1)/(e^{fφ}−1))', () => {
  // The book's example of a polyamide belt, figures from memory: d 6 in, D 18 in, 8 ft apart, f 0.8, T 742.8 lbf·in.
  const wrapRad = Math.PI - 2 * Math.asin((18 - 6) / (2 * 96));
  expect(wrapRad).toBeCloseTo(3.0165, 3);
  expect(Math.exp(0.8 * wrapRad)).toBeCloseTo(11.17, 2);
  const tensionLbf = (742.8 / 6) * ((11.17 + 1) / (11.17 - 1));
  expect(tensionLbf).toBeCloseTo(148.1, 1);
  // Ours the other way round: at that pull of a strand the belt slips at just that torque.
  const grip = slipGrip({
    strandPullN: tensionLbf,
    motorRadiusMm: 3,
    pulleys: [{ name: 'motor pulley', friction: 0.8, wrapRad }],
  });
  expect(grip.slipTorqueNmm).toBeCloseTo(742.8, 0);
});
