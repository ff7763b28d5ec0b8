import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { innerPath, type Drive } from '../drive';
import { drivenSpeed, readPulses, strobePath, strobeRing } from '.';

const drive: Drive = {
  motorPulley: { bottomDiameterMm: 6, groove: { form: 'flat' } },
  drivenPulley: { bottomDiameterMm: 24.8, groove: { form: 'flat' } },
  centreDistanceMm: 38.2,
  crossed: false,
};
const rubber = { hardnessShoreA: 60, loadTorqueNmm: 0.5 };
const belt = (innerLengthMm: number, thicknessMm = 1.2) =>
  ({ shape: 'flat', thicknessMm, widthMm: 3, innerLengthMm }) as const;
const speed = (length: number, thicknessMm?: number) => {
  const found = drivenSpeed(drive, belt(length, thicknessMm), 2400, rubber);
  if (!found.ok) throw new Error(found.problem);
  return found.value;
};

describe('speed of the driven pulley', () => {
  test('by hand: 6 and 24.8 with a belt of 1.2 thinned to 1.148 turn 2,400 into 661 rpm, less creep', () => {
    const { ratio, creep, rpm } = speed(116);
    expect(ratio).toBeCloseTo((6 + 1.148) / (24.8 + 1.148), 3);
    // E 3.605, A 3.6, λ 1.092: stiffness 10.97 N; 0.5/12.97 = 0.03855 N over 1.092 × 10.97.
    expect(creep).toBeCloseTo(0.0032, 4);
    expect(rpm).toBeCloseTo(2400 * ratio * (1 - creep), 9);
  });
  /** Two flat pulleys with an unloaded belt that is just not slack, so that nothing thins and nothing creeps. */
  const unloaded = (motorMm: number, driveMm: number, thicknessMm: number, motorRpm: number): number => {
    const pulley = (bottomDiameterMm: number) => ({ bottomDiameterMm, groove: { form: 'flat' } as const });
    const of = { motorPulley: pulley(motorMm), drivenPulley: pulley(driveMm), centreDistanceMm: 2000, crossed: false };
    const path = innerPath(of);
    if (!path.ok) throw new Error(path.problem);
    const found = drivenSpeed(of, belt(path.value.lengthMm * (1 - 1e-6), thicknessMm), motorRpm, {
      hardnessShoreA: 60,
      loadTorqueNmm: 0,
    });
    if (!found.ok) throw new Error(found.problem);
    return found.value.rpm;
  };
  test('a handbook’s line shaft: 150 rpm by 750 on 450 mm, then 900 on 150 mm, is 1,500 rpm (Khurmi and Gupta; from memory)', () => {
    expect(unloaded(900, 150, 1e-3, unloaded(750, 450, 1e-3, 150))).toBeCloseTo(1500, 0);
  });
  test('a handbook’s thick belt: 200 rpm by 600 mm and 5 mm of belt is 300 rpm on 398 mm, not on 400 (as above)', () => {
    // (600 + 5)·200/300 − 5 = 398.3; left out, the thickness would give 400.
    expect(unloaded(600, 398.33, 5, 200)).toBeCloseTo(300, 1);
    expect(unloaded(600, 400, 5, 200)).toBeLessThan(299);
  });
  test('a thicker belt turns it faster, a heavier load slower, and a hanging one is refused', () => {
    expect(speed(116, 1.5).rpm).toBeGreaterThan(speed(116).rpm);
    const loaded = drivenSpeed(drive, belt(116), 2400, { ...rubber, loadTorqueNmm: 2 });
    expect(loaded.ok && loaded.value.rpm).toBeLessThan(speed(116).rpm);
    expect(drivenSpeed(drive, belt(140), 2400, rubber).ok).toBe(false);
  });
});

describe('strobe bars: 120·f/rpm', () => {
  // The bars of published discs for record speeds; common knowledge of the trade, from memory.
  test.each([
    [100 / 3, 50, 180, 100 / 3],
    [100 / 3, 60, 216, 100 / 3],
    [45, 60, 160, 45],
    [45, 50, 133, 45.1128],
    [78, 50, 77, 77.9221],
    [78, 60, 92, 78.2609],
    [300, 50, 20, 300],
    [360, 60, 20, 360],
  ] as const)('%f rpm at %i Hz: %i bars, which stand still at %f', (rpm, hz, bars, really) => {
    const ring = strobeRing(rpm, hz);
    expect(ring.ok && ring.value.bars).toBe(bars);
    expect(ring.ok && ring.value.rpm).toBeCloseTo(really, 3);
  });
  test('a speed that would want no bars, or thousands, is refused in words', () => {
    for (const rpm of [0, -3, 6000, 1]) {
      const ring = strobeRing(rpm, 50);
      expect(ring.ok).toBe(false);
    }
    const ring = strobeRing(300, 50);
    expect(ring.ok && strobePath(ring.value, 20, 30).match(/M/g)).toHaveLength(20);
  });
});

describe('index pulses', () => {
  const csv = (times: readonly number[]) => times.map((time) => time.toFixed(6)).join('\n');
  test('an even 300 rpm has no drift and no flutter, whatever the unit and a head line', () => {
    const even = Array.from({ length: 50 }, (_, i) => i * 0.2);
    const read = readPulses(`time\n${csv(even)}\n`, { unit: 's' });
    expect(read.ok && read.value.meanRpm).toBeCloseTo(300, 6);
    expect(read.ok && read.value.flutterPercent).toBeLessThan(1e-4);
    const inMs = readPulses(csv(even.map((time) => time * 1000)), { unit: 'ms' });
    expect(inMs.ok && inMs.value.meanRpm).toBeCloseTo(300, 6);
    const two = readPulses(csv(even), { unit: 's', perTurn: 2 });
    expect(two.ok && two.value.meanRpm).toBeCloseTo(150, 6);
  });
  test('a drift put in comes out, and so does a flutter', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (drift, flutter) => {
          let time = 0;
          const times = [0];
          for (let i = 0; i < 600; i++) {
            const rpm = 300 * (1 + (drift / 100) * (time / 60) + (Math.SQRT2 * flutter * Math.sin(i * 1.7)) / 100);
            time += 60 / rpm;
            times.push(time);
          }
          const read = readPulses(csv(times), { unit: 's' });
          expect(read.ok && Math.abs(read.value.driftPercentPerMinute - drift)).toBeLessThan(0.05);
          expect(read.ok && Math.abs(read.value.flutterPercent - flutter)).toBeLessThan(0.03);
        },
      ),
      { numRuns: 30 },
    );
  });
  test('a comma before decimals gives what a point gives, whatever parts the columns', () => {
    const wobble = Array.from({ length: 80 }, (_, i) => 0.3 + i * 0.2 + 0.000_002 * Math.sin(i));
    const point = readPulses(csv(wobble), { unit: 's' });
    const withComma = csv(wobble).replaceAll('.', ',');
    for (const text of [
      withComma,
      withComma.replaceAll('\n', ';1\n'),
      withComma.replaceAll('\n', '\t1\n'),
      `Zeit\n${withComma}`,
    ]) {
      expect(readPulses(text, { unit: 's' })).toEqual(point);
    }
  });
  test('commas that can be read in two ways are asked about, and read as told', () => {
    const text = Array.from({ length: 8 }, (_, i) => `${i + 1},${500 + i}`).join('\n');
    expect(readPulses(text, { unit: 's' })).toMatchObject({ ok: false, asks: 'comma' });
    const column = readPulses(text, { unit: 's', comma: 'column' });
    expect(column.ok && column.value.meanRpm).toBeCloseTo(60, 9);
    const decimal = readPulses(text, { unit: 's', comma: 'decimal' });
    expect(decimal.ok && decimal.value.meanRpm).toBeCloseTo(60 / 1.001, 6);
  });
  test('times in the wrong unit are refused', () => {
    const read = readPulses(csv(Array.from({ length: 50 }, (_, i) => i * 0.2)), { unit: 'µs' });
    expect(!read.ok && read.problem).toContain('which no machine here turns at');
  });
  test.each([
    ['0\n0.2\n0.1\n0.4', 'Pulse 3 comes no later than pulse 2'],
    ['0\n0.2\n0.4\nsoon\n0.8', 'Line 4 reads “soon”'],
    ['0\n0.2', '2 times were read'],
    ['0\n0.2\n0.4\n0.6\n1.0\n1.2', 'Between pulses 4 and 5 it took 2.0 times as long as usual'],
    ['', '0 times were read'],
  ])('%j is refused: %s', (text, words) => {
    const read = readPulses(text, { unit: 's' });
    expect(!read.ok && read.problem).toContain(words);
  });
});
