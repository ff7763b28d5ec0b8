import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { CATALOGUE, sameSection } from '../catalogue';
import { driveFacts, type Reading } from '../measuring';
import { DEFAULT_REQUIREMENTS, judge, rank, reasons, situationOf, zones, type Situation } from '.';
import type { Surface } from '../../physics/drive';

/** Drives of every size a loader has, with their readings taken straight. */
const situations: fc.Arbitrary<Situation> = fc
  .record({
    motor: fc.double({ min: 3, max: 14, noNaN: true }),
    drive: fc.double({ min: 8, max: 60, noNaN: true }),
    gap: fc.double({ min: 1, max: 90, noNaN: true }),
    section: fc.constantFrom(0.8, 1, 1.2, 1.5, 1.8, 2),
    surface: fc.constantFrom<Surface>('clean', 'glazed', 'dusty'),
  })
  .map(({ motor, drive, gap, section, surface }) => {
    const take = (measurand: Reading['measurand'], method: string, amount: number): Reading => ({
      id: measurand,
      measurand,
      method,
      typed: '',
      amount,
      aux: {},
      ownStd: null,
    });
    const facts = driveFacts(
      [
        take('section', 'sectionJaws', section),
        take('motorDiameter', 'motorJaws', motor),
        take('drivenDiameter', 'drivenJaws', drive),
        take('centreDistance', 'shaftToShaft', (motor + drive) / 2 + gap),
      ],
      { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } },
    );
    const situation = situationOf(facts, { motorSurface: surface, drivenSurface: 'clean', oldShape: 'square' });
    if (!situation.ok) throw new Error(situation.problem);
    return situation.value;
  });
const square = (innerLengthMm: number) => ({ shape: 'square', thicknessMm: 1.2, innerLengthMm }) as const;

describe('on any drive', () => {
  test('a shorter belt stretches, pulls, grips and loads more, and leaves the motor less', () => {
    fc.assert(
      fc.property(situations, fc.double({ min: 0.8, max: 0.97, noNaN: true }), (situation, share) => {
        const length = situation.path.value * share;
        const [short, long] = [judge(situation, square(length)), judge(situation, square(length * 1.01))];
        expect(short?.strain).toBeGreaterThan(long?.strain ?? 0);
        expect(short?.running?.freshPullN).toBeGreaterThan(long?.running?.freshPullN ?? 0);
        expect(short?.running?.gripRatio).toBeGreaterThan(long?.running?.gripRatio ?? 0);
        expect(short?.running?.motorLeftRatio).toBeLessThan(long?.running?.motorLeftRatio ?? 0);
      }),
    );
  });
  test('oil on either pulley never helps', () => {
    fc.assert(
      fc.property(situations, (situation) => {
        const belt = square(situation.path.value * 0.92);
        const clean = judge({ ...situation, motorSurface: 'clean', drivenSurface: 'clean' }, belt)?.running;
        for (const side of ['motorSurface', 'drivenSurface'] as const) {
          const oily = judge(
            { ...situation, motorSurface: 'clean', drivenSurface: 'clean', [side]: 'oily' },
            belt,
          )?.running;
          expect(oily?.gripRatio).toBeLessThanOrEqual((clean?.gripRatio ?? 0) + 1e-9);
        }
      }),
    );
  });
  test('the zones cover the ruler without gap or overlap, no zone comes twice, and each holds what its name says', () => {
    fc.assert(
      fc.property(situations, (situation) => {
        const [from, to] = [situation.path.value * 0.75, situation.path.value * 1.1];
        const found = zones(situation, { shape: 'square', thicknessMm: 1.2 }, from, to);
        expect(found[0]?.fromMm).toBe(from);
        expect(found[found.length - 1]?.toMm).toBe(to);
        expect(new Set(found.map(({ zone }) => zone)).size).toBe(found.length);
        for (const { zone, fromMm, toMm } of found) {
          expect(toMm).toBeGreaterThan(fromMm);
          expect(judge(situation, square((fromMm + toMm) / 2))?.zone).toBe(zone);
        }
      }),
      { numRuns: 40 },
    );
  });
  test('the recommended belt is no worse than its neighbours, and is recommended only inside every limit', () => {
    fc.assert(
      fc.property(situations, (situation) => {
        const { best, up, down, nothingFits } = rank(situation, CATALOGUE);
        if (!best) throw new Error('the catalogue is not empty');
        for (const other of [up, down]) {
          if (other) expect(sameSection(other.catalogueBelt, best.catalogueBelt)).toBe(true);
          expect(other?.judgement.margin ?? -9).toBeLessThanOrEqual(best.judgement.margin);
        }
        expect(nothingFits).toBe(best.judgement.margin < 0);
        if (!nothingFits) {
          expect(best.judgement.strain).toBeGreaterThan(0);
          expect(best.judgement.strain).toBeLessThan(DEFAULT_REQUIREMENTS.strainMax);
          expect(best.judgement.running?.fails).toBe(0);
          expect(best.judgement.running?.gripRatio).toBeGreaterThanOrEqual(DEFAULT_REQUIREMENTS.gripMin);
          expect(best.judgement.running?.motorLeftRatio).toBeGreaterThanOrEqual(DEFAULT_REQUIREMENTS.motorMin);
        }
        expect(reasons(best.judgement, situation).length).toBeGreaterThanOrEqual(3);
      }),
      { numRuns: 60 },
    );
  });
  test('knowing less never raises the margin: a less certain path brings every belt nearer its limits', () => {
    fc.assert(
      fc.property(situations, (situation) => {
        const belt = square(situation.path.value * 0.93);
        const sure = judge(situation, belt);
        const unsure = judge({ ...situation, path: { ...situation.path, std: situation.path.std * 5 } }, belt);
        if (!sure || !unsure) throw new Error('these drives are possible');
        // Where a limit is already passed, doubt is on the belt's side.
        for (const [name, margin] of Object.entries(sure.margins)) {
          const doubted = unsure.margins[name as keyof typeof unsure.margins] ?? 0;
          if (margin > 0) expect(doubted).toBeLessThanOrEqual(margin + 1e-9);
        }
      }),
    );
  });
});

test('stretch and pull agree with the tensile spring for a barely stretched belt: EA·ε', () => {
  fc.assert(
    fc.property(situations, (situation) => {
      const path = situation.path.value;
      // The section's own π·t is grown by so little that inner and centre-line strain agree to the second order.
      const judged = judge(situation, { shape: 'square', thicknessMm: 0.3, innerLengthMm: path / 1.002 });
      expect(judged?.running?.freshPullN).toBeCloseTo(3.605 * 0.09 * (judged?.strain ?? 0), 4);
    }),
    { numRuns: 30 },
  );
});
