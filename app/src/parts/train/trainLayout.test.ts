import { expect, test } from 'vitest';
import fc from 'fast-check';
import { readTrain, type Member } from '@loose-pulley/core/physics/train';
import { BALLOON_PX, trainLabels } from './trainLabels';
import { trainLayout } from './trainLayout';

const membersOf = (line: string): readonly Member[] => {
  const read = readTrain(line);
  if (!read.ok) throw new Error(read.problem);
  return read.value.map((one, at) => ({ ...one, id: `m${at}`, number: at + 1 }));
};

test('wheels that mesh stand at the distance of their pitch circles, a tooth in a gap', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 6, max: 60 }), { minLength: 2, maxLength: 10 }), (teeth) => {
      const { placed } = trainLayout(
        membersOf(
          `motor ${teeth[0]}T, ${teeth
            .slice(1)
            .map((z) => `gear ${z}`)
            .join(', ')}`,
        ),
        {},
      );
      placed.slice(1).forEach((one, at) => {
        const driver = placed[at];
        if (!driver) throw new Error('no driver');
        expect(Math.hypot(one.x - driver.x, one.y - driver.y)).toBeCloseTo(driver.second + one.radius, 6);
        // Where the driver's tooth lies off the line of centres, the driven wheel has a gap as far off.
        const way = Math.atan2(one.y - driver.y, one.x - driver.x);
        const off = (phase: number, count: number, towards: number): number => {
          const pitch = (2 * Math.PI) / count;
          const part = (phase - towards) / pitch;
          return (part - Math.round(part)) * pitch;
        };
        const tooth = off(driver.secondPhase, driver.member.teeth, way) * driver.second;
        const pitchMm = Math.PI * one.moduleMm;
        const gap = -off(one.phase + Math.PI / one.member.teeth, one.member.teeth, way + Math.PI) * one.radius;
        const apart = (tooth - gap) / pitchMm;
        expect(Math.abs(apart - Math.round(apart))).toBeLessThan(1e-6);
      });
    }),
  );
});
test('an empty train takes no room, and a rack lies on its pinion', () => {
  expect(trainLayout([], {})).toMatchObject({ placed: [], left: 0, right: 0 });
  const { placed } = trainLayout(membersOf('motor 10T, gear 20, rack 0.8'), {});
  expect(placed[2]?.y).toBeCloseTo((placed[1]?.y ?? 0) + (placed[1]?.second ?? 0), 9);
});

test('no label lies over another, and none stands out to the side', () => {
  const label = fc.record({
    x: fc.integer({ min: 0, max: 600 }),
    y: fc.integer({ min: 0, max: 300 }),
    reachPx: fc.integer({ min: 4, max: 90 }),
    words: fc.string({ minLength: 4, maxLength: 30 }),
    low: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(label, { maxLength: 14 }), fc.integer({ min: 340, max: 900 }), (wanted, widthPx) => {
      const placed = trainLabels(wanted, widthPx);
      placed.forEach((a, i) => {
        const width = (at: number): number =>
          Math.min(2 * BALLOON_PX + 6 + 7 * (wanted[at]?.words.length ?? 0), widthPx);
        expect(a.x + width(i)).toBeLessThanOrEqual(widthPx + BALLOON_PX);
        placed.slice(i + 1).forEach((b, k) => {
          const j = i + 1 + k;
          const over = Math.abs(a.y - b.y) < 2 * BALLOON_PX && a.x < b.x + width(j) && b.x < a.x + width(i);
          expect(over).toBe(false);
        });
      });
    }),
  );
});
