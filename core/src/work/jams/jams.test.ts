import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { loaderOf, LOADERS } from '../../base/loaders';
import { TEMPORARY_CHANGES } from '../strip';
import { directionWords, handTurns, ladderOf, nextRung, otherWay, RUNGS, turnsWords, type RungResult } from '.';

describe('the ladder', () => {
  test.each(LOADERS)('of a %s is in order, each rung with how, harm and a stop', (loader) => {
    const ladder = ladderOf(loader);
    const order = ladder.map(({ rung }) => RUNGS.indexOf(rung));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(ladder.map(({ rung }) => rung)).toEqual(expect.arrayContaining(['look', 'reset', 'lid', 'strip']));
    for (const { name, how, hurts, stopWhen, leaves } of ladder) {
      for (const words of [name, how, hurts, stopWhen]) expect(words.length).toBeGreaterThan(3);
      if (leaves) expect(TEMPORARY_CHANGES[leaves]).toBeDefined();
    }
    // Whatever needs the lid off is done without the mains.
    for (const { lidOff, power } of ladder) if (lidOff) expect(power).toBe('unplugged');
    // Its record speaks of rungs that it has, and of nothing else.
    const { without, other } = loaderOf(loader).ladder;
    expect(without.filter((rung) => !RUNGS.some((one) => one === rung))).toEqual([]);
    expect(Object.keys(other).filter((rung) => !ladder.some((one) => one.rung === rung))).toEqual([]);
  });
  test('a slot has no tray’s release hole, a disk drive no pulley to wind a tray with', () => {
    expect(ladderOf('slot').map(({ rung }) => rung)).not.toContain('releaseHole');
    expect(ladderOf('diskDrive').map(({ rung }) => rung)).not.toContain('pulleyByHand');
  });
  test('goes up one rung at a time, stays where it moved, and ends when it is out', () => {
    const tried = (...list: ReadonlyArray<readonly [(typeof RUNGS)[number], RungResult]>) =>
      nextRung(
        'tray',
        list.map(([rung, result]) => ({ rung, result })),
      );
    expect(tried()).toBe('look');
    expect(tried(['look', 'nothing'])).toBe('reset');
    expect(tried(['look', 'nothing'], ['reset', 'moved'])).toBe('reset');
    expect(tried(['look', 'nothing'], ['reset', 'moved'], ['reset', 'stopped'])).toBe('ejectMotor');
    expect(tried(['look', 'nothing'], ['reset', 'out'])).toBeUndefined();
    expect(
      nextRung(
        'tray',
        RUNGS.map((rung) => ({ rung, result: 'nothing' })),
      ),
    ).toBeUndefined();
  });
});

describe('turns by hand', () => {
  /** Travel of a tray by counting: the motor pulley turned in small steps through belt, gears and rack, tooth by tooth. */
  const counted = (
    turns: number,
    of: {
      motorMm: number;
      drivenMm: number;
      beltMm: number;
      gears: readonly (readonly [number, number])[];
      pinion: number;
      moduleMm: number;
    },
  ): number => {
    const STEPS = 2000;
    let travel = 0;
    for (let i = 0; i < turns * STEPS; i++) {
      let turned = (1 / STEPS) * ((of.motorMm + of.beltMm) / (of.drivenMm + of.beltMm));
      for (const [driver, driven] of of.gears) turned *= driver / driven;
      // So many teeth of the pinion pass the rack, a pitch of π·m each.
      travel += turned * of.pinion * Math.PI * of.moduleMm;
    }
    return travel;
  };
  const train = {
    motorMm: 6,
    drivenMm: 24.8,
    beltMm: 1.2,
    gears: [
      [10, 32],
      [11, 28],
    ],
    pinion: 28,
    moduleMm: 0.8,
  } as const;
  // MODEL: s = π·m·z·(D + t)/(D′ + t)·Π(driver/driven).
  const perTurn =
    (Math.PI *
      train.moduleMm *
      train.pinion *
      ((train.motorMm + train.beltMm) / (train.drivenMm + train.beltMm)) *
      (10 / 32) *
      11) /
    28;

  test('what is worked out brings it as far as it has to come, counted tooth by tooth', () => {
    const turns = handTurns({ travelLeftMm: 80, travelPerTurnMm: { value: perTurn, std: 0.05 } });
    expect(turns.ok && counted(turns.value.turns, train)).toBeCloseTo(80, 0);
    expect(turns.ok && turns.value.fewest < turns.value.turns && turns.value.turns < turns.value.most).toBe(true);
  });
  test('twice as far is twice as many turns, and a finer train takes more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.double({ min: 0.2, max: 20, noNaN: true }),
        (leftMm, value) => {
          const turns = (travelLeftMm: number, per: number): number => {
            const result = handTurns({ travelLeftMm, travelPerTurnMm: { value: per, std: 0 } });
            return result.ok ? result.value.turns : Number.NaN;
          };
          expect(turns(2 * leftMm, value)).toBeCloseTo(2 * turns(leftMm, value), 6);
          expect(turns(leftMm, value / 2)).toBeGreaterThan(turns(leftMm, value));
        },
      ),
    );
  });
  test('what cannot be is said in words', () => {
    const no = handTurns({ travelLeftMm: 0, travelPerTurnMm: { value: 2, std: 0 } });
    expect(no.ok ? '' : no.problem).toContain('in millimetres');
    const unknown = handTurns({ travelLeftMm: 80, travelPerTurnMm: { value: 0, std: 0 } });
    expect(unknown.ok ? '' : unknown.problem).toContain('ten turns');
    // A travel that is hardly known gives a wide range, and no nonsense.
    const wide = handTurns({ travelLeftMm: 80, travelPerTurnMm: { value: 2, std: 1.5 } });
    expect(wide.ok && wide.value.most).toBe(160);
  });
  test('the way is told from a stated side; a crossed belt turns the driven pulley the other way', () => {
    expect(directionWords('clockwise', 'pulleySide', true)).toContain('turns anticlockwise, as its belt is crossed');
    expect(directionWords('unknown', 'above', false)).toBe('');
    expect(directionWords('clockwise', 'unknown', false)).toBe('');
    expect(otherWay(otherWay('clockwise'))).toBe('clockwise');
    expect([turnsWords(3.3), turnsWords(62.4)]).toEqual(['3.5 turns', '62 turns']);
  });
});
