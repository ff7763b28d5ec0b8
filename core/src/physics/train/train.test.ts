import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import {
  againstCounted,
  applyTrain,
  clickEveryMm,
  clicksFrom,
  clicksOnWay,
  disagreement,
  drift,
  EMPTY_TRAIN,
  homeByHand,
  linkOff,
  looksRight,
  memberWords,
  nextTrial,
  placeOf,
  playAtEndMm,
  readTrain,
  sleeveMm,
  squareWords,
  taperMm,
  tiltRad,
  timed,
  toothMm,
  tractionWords,
  trainFigures,
  type Member,
  type Train,
} from '.';

/** A train as it is typed, with ids by place. */
function trainOf(line: string, over: Partial<Train> = {}): Train {
  const read = readTrain(line);
  if (!read.ok) throw new Error(read.problem);
  return {
    ...EMPTY_TRAIN,
    members: read.value.map((one, at): Member => ({ ...one, id: `m${at}`, number: at + 1 })),
    ...over,
  };
}
const figures = (train: Train) => {
  const result = trainFigures(train, {});
  if (!result.ok) throw new Error(result.problem.words);
  return result.value;
};
const problem = (line: string): string => {
  const read = readTrain(line);
  return read.ok ? '' : read.problem;
};

describe('a train as it is typed', () => {
  test('is read member by member, and called by its figures', () =>
    expect(trainOf('motor 8T, gear 32/10, gear 28, rack 0.8').members.map(memberWords)).toEqual([
      'motor, 8 teeth',
      'double gear 32/10',
      'gear 28',
      'rack, module 0.8',
    ]));
  test('worm, cam, belt, rollers, drum and modules', () => {
    const [motor, worm, gear, cam] = trainOf('motor, worm 2, gear 30 m0.5, mode gear 40').members;
    expect([motor?.kind, worm?.teeth, gear?.moduleMm, cam?.kind]).toEqual(['motor', 2, 0.5, 'cam']);
    expect(
      trainOf('motor, belt 12T, gear 30, rollers 8,5').members.map(({ kind, second, diameterMm }) => [
        kind,
        second,
        diameterMm,
      ]),
    ).toEqual([
      ['motor', 0, null],
      ['beltDrive', 12, null],
      ['gear', 0, null],
      ['rollers', 0, 8.5],
    ]);
  });
  test('without commas each member begins with its own word; “32 on 10” is a double gear', () => {
    expect(trainOf('motor 8T gear 32/10 mode gear 28 rack 0.8').members.map(memberWords)).toEqual([
      'motor, 8 teeth',
      'double gear 32/10',
      'mode gear 28',
      'rack, module 0.8',
    ]);
    expect(trainOf('motor, big gear 32 on 10, rack m0.8').members.map(memberWords)[1]).toBe('double gear 32/10');
  });
  test.each([
    ['8/32/10/28', 'more figures than one member'],
    ['motor 8 32/10', 'more figures than one member'],
    ['motor, worm gear 30', 'Type: worm, gear 30'],
    ['motor 8T, gear 32, gear', 'how many teeth'],
    ['motor 8T, gear 28 m0.01', 'Read module 0.01'],
    ['motor 8T, gear 900', 'Read 900 teeth'],
    ['motor 8T, banana', 'Read “banana”'],
    ['', 'from the motor on'],
  ])('%s: refused in words', (line, words) => expect(problem(line)).toContain(words));
});

describe('ratio, travel and direction', () => {
  test('of a compound train, by hand: 8/32 · 10/28, and travel by the rack', () => {
    // A worked compound train: the product of drivers over that of driven wheels.
    const { turns, travelPerTurnMm, turnsEndToEnd, opensInS } = figures(
      trainOf('motor 8T, gear 32/10, gear 28, rack 0.8', { travelMm: 158, motorRpm: 3000 }),
    );
    expect(turns.map((one) => one.turns)).toEqual([1, -8 / 32, (8 / 32) * (10 / 28), (8 / 32) * (10 / 28)]);
    expect(travelPerTurnMm).toBeCloseTo(Math.PI * 0.8 * 28 * (8 / 32) * (10 / 28), 9);
    expect(turnsEndToEnd).toBeCloseTo(158 / (travelPerTurnMm ?? 1), 9);
    expect(opensInS).toBeCloseTo((60 * (turnsEndToEnd ?? 0)) / 3000, 9);
  });
  test('an idle gear between two changes the direction and nothing else', () => {
    const plain = figures(trainOf('motor 10T, gear 30, rack 0.5'));
    const idle = figures(trainOf('motor 10T, gear 17, gear 30, rack 0.5'));
    expect(idle.travelPerTurnMm).toBeCloseTo(plain.travelPerTurnMm ?? 0, 9);
    expect(Math.sign(idle.turns[2]?.turns ?? 0)).toBe(-Math.sign(plain.turns[1]?.turns ?? 0));
  });
  test('a belt turns as its pulleys say, the other way where it is crossed; without them it is asked for', () => {
    const train = trainOf('motor, belt 12T, gear 36, rack 0.8');
    const members = train.members.map((one) => (one.kind === 'beltDrive' ? { ...one, driveId: 'a' } : one));
    const ratio = (crossed: boolean) => trainFigures({ ...train, members }, { a: { ratio: 0.25, crossed } });
    const [open, crossed] = [ratio(false), ratio(true)];
    expect(open.ok && open.value.turns[1]?.turns).toBe(0.25);
    expect(crossed.ok && crossed.value.turns[1]?.turns).toBe(-0.25);
    expect(open.ok && open.value.travelPerTurnMm).toBeCloseTo((0.25 * 12 * Math.PI * 0.8 * 36) / 36, 9);
    const asked = trainFigures(train, {});
    expect(asked.ok ? '' : asked.problem.words).toContain('measure both of its pulleys');
  });
  test('run forward and back it is where it was: each ratio and its inverse undo each other', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 6, max: 60 }), { minLength: 2, maxLength: 10 }), (teeth) => {
        const line = (list: readonly number[]) =>
          `motor ${list[0]}T, ${list
            .slice(1)
            .map((z) => `gear ${z}`)
            .join(', ')}`;
        const there = figures(trainOf(line(teeth))).turns.at(-1)?.turns ?? 0;
        const back = figures(trainOf(line([...teeth].reverse()))).turns.at(-1)?.turns ?? 0;
        expect(there * back).toBeCloseTo(1, 9);
      }),
    );
  });
  test('two ways of different ratio lock it, and two of the same do not', () => {
    const train = trainOf('motor 10T, gear 20, gear 30, gear 40');
    const from = (members: readonly Member[]) =>
      members.map((one) =>
        one.id === 'm3' ? { ...one, from: ['m1', 'm2'] } : one.id === 'm2' ? { ...one, from: ['m0'] } : one,
      );
    // Plain gears of one pitch line: both ways give the same.
    expect(trainFigures({ ...train, members: from(train.members) }, {}).ok).toBe(true);
    const double = trainOf('motor 10T, gear 20/12, gear 30, gear 40');
    const locked = trainFigures({ ...double, members: from(double.members) }, {});
    expect(locked.ok ? '' : locked.problem.words).toContain('the train locks');
    expect(locked.ok ? '' : locked.problem.memberId).toBe('m3');
  });
  test.each([
    ['motor 2T, gear 30', 'a gear has 4 teeth or more; read 2'],
    ['motor 10T m0.5, gear 30 m0.8', 'different modules, 0.5 and 0.8'],
    ['motor, worm 1, gear 3', '6 teeth or more'],
  ])('%s: said at the member', (line, words) => {
    const result = trainFigures(trainOf(line), {});
    expect(result.ok ? '' : result.problem.words).toContain(words);
  });
});

describe('counted against computed', () => {
  const train = trainOf('motor 8T, gear 32/10, gear 28, rack 0.8');
  const truth = figures(train).travelPerTurnMm ?? 0;
  test('where they agree nothing is said; a tooth miscounted is named', () => {
    expect(againstCounted(train, {}, { value: truth, std: 0.01 })).toEqual({ agrees: true, explained: [] });
    const counted = figures(trainOf('motor 9T, gear 32/10, gear 28, rack 0.8')).travelPerTurnMm ?? 0;
    expect(againstCounted(train, {}, { value: counted, std: 0.005 })?.explained).toContain(
      'motor, 8 teeth counted 8, and it has 9',
    );
  });
  test('a member that was missed is told by how much it slows', () => {
    const counted = figures(trainOf('motor 8T, gear 32/10, gear 30/10, gear 28, rack 0.8')).travelPerTurnMm ?? 0;
    expect(againstCounted(train, {}, { value: counted, std: 0.005 })?.explained[0]).toContain(
      'a member is missing that slows it 3.00 times',
    );
  });
  test('so many clicks over the travel name the member that turns as often', () => {
    const long = figures({ ...train, travelMm: 158 });
    const clicks = Math.round((long.turnsEndToEnd ?? 0) * (8 / 32));
    expect(clicksFrom(long, clicks)[0]?.member.kind).toBe('doubleGear');
    expect(clicksFrom(figures(train), clicks)).toEqual([]);
  });
  test('places where it is heard name the member whose turn is as long, however late a hand stops', () => {
    const long = figures({ ...train, travelMm: 158 });
    const every = clickEveryMm(long, 'm2') ?? NaN;
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        fc.array(fc.double({ min: -0.08, max: 0.08, noNaN: true }), { minLength: 2, maxLength: 3 }),
        (phase, late) => {
          const heard = late.map((turns, i) => (phase + i + turns) * every);
          const found = clicksOnWay(long, heard, 158).find(({ member }) => member.id === 'm2');
          expect(found?.everyMm).toBeCloseTo(every, 9);
          expect(Math.abs((found?.atMm[0] ?? NaN) - phase * every)).toBeLessThanOrEqual(0.09 * every);
        },
      ),
    );
    expect(clicksOnWay(long, [12], 158)).toEqual([]);
    expect(clickEveryMm(long, 'nobody')).toBeUndefined();
  });
});

describe('timing', () => {
  const train = trainOf('motor 8T, gear 32/10, gear 28, rack 0.8', { travelMm: 158 });
  test('one tooth at the rack is π·m; further up as much, times the ratio onward', () => {
    expect(toothMm(train, {}, 'm3')).toBeCloseTo(Math.PI * 0.8, 9);
    expect(toothMm(train, {}, 'm2')).toBeCloseTo(Math.PI * 0.8, 9);
    // A tooth of the 32 turns the 10 by 10/32 of a tooth.
    expect(toothMm(train, {}, 'm1')).toBeCloseTo(Math.PI * 0.8 * (10 / 32), 9);
    expect(timed(train.members).map(({ id }) => id)).toEqual(['m1', 'm2', 'm3']);
  });
  test('play at the tray: of the last mesh whole, of earlier ones by the ratio onward', () => {
    const known = trainOf('motor 8T m0.5, gear 32/10 m0.5, gear 28 m0.8, rack 0.8');
    // At the rack and at the gear of 28 whole; at the 32 by 10/32 of a tooth, of a finer pitch.
    expect(playAtEndMm(known, {}, 0.1)).toBeCloseTo(0.1 + 0.1 + (0.1 * 0.8 * (10 / 32)) / 0.5, 9);
    expect(playAtEndMm(trainOf('motor 8T, gear 32/10, gear 28, rack 0.8'), {}, 0.1)).toBeUndefined();
  });
  test('the trials say how many teeth the next one is', () => {
    expect(nextTrial({ toothMm: 2.5, triedTeeth: 1, earlyMm: 2.4 })).toBe(0);
    expect(nextTrial({ toothMm: 2.5, triedTeeth: 0, earlyMm: -5.1 })).toBe(2);
    fc.assert(
      fc.property(fc.integer({ min: -9, max: 9 }), fc.double({ min: 0.2, max: 5, noNaN: true }), (teeth, per) => {
        // Whatever it was out by, the next trial is right.
        expect(nextTrial({ toothMm: per, triedTeeth: teeth, earlyMm: teeth * per })).toBe(0);
      }),
    );
  });
  test('offsets add: forward and back is none, and the order does not matter', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20, max: 20 }), fc.integer({ min: -20, max: 20 }), (a, b) => {
        const [x, y] = [
          { teeth: a, toothMm: 2.5 },
          { teeth: b, toothMm: 0.8 },
        ];
        expect(placeOf([x, y])).toBeCloseTo(placeOf([y, x]), 9);
        expect(placeOf([x, { ...x, teeth: -a }])).toBeCloseTo(0, 9);
      }),
    );
  });
  test('wrong meshings that look right are whole turns of every marked member', () => {
    const members = trainOf('motor 8T, gear 32/10, gear 28, rack 0.8').members;
    // Only the gear of 28 is marked: 28 teeth of it are a whole turn.
    expect(looksRight(members, 'm2', ['m2'])[0]).toBe(28);
    // At the double gear, seen by its own mark after 32 teeth; by both marks only after many turns.
    expect(looksRight(members, 'm1', ['m1'])[0]).toBe(32);
    expect(looksRight(members, 'm1', ['m1', 'm2'])[0]).toBe(448);
    expect(looksRight(members, 'm1', [])).toEqual([]);
  });
});

describe('rollers and discs', () => {
  /** A disc driven at two contacts, step by step: each goes on by its own roller, and the disc turns by the difference. */
  const simulate = (travelMm: number, spacingMm: number, firstMm: number, secondMm: number) => {
    const STEPS = 20_000;
    const turn = travelMm / ((firstMm + secondMm) / 2) / STEPS;
    let [along, aside, angle] = [0, 0, 0];
    for (let i = 0; i < STEPS; i++) {
      const [one, two] = [turn * firstMm, turn * secondMm];
      const middle = (one + two) / 2;
      angle += (two - one) / spacingMm;
      along += middle * Math.cos(angle);
      aside += middle * Math.sin(angle);
    }
    return { along, aside, angle };
  };
  test.each([
    [100, 60, 8, 8.2],
    [72, 40, 9, 8.9],
    [110, 70, 10, 10.05],
  ])(
    'over %d mm, %d apart, Ø %f and %f: turned and carried as two contacts do it',
    (travelMm, spacingMm, firstMm, secondMm) => {
      const told = drift({ travelMm, spacingMm, firstMm, secondMm });
      const true_ = simulate(travelMm, spacingMm, firstMm, secondMm);
      expect(told.turnRad).toBeCloseTo(true_.angle, 6);
      expect(told.asideMm).toBeCloseTo(true_.aside, 2);
    },
  );
  test('taper, traction, sleeve and link', () => {
    expect(taperMm([8, 8.1, 8.2])).toBeCloseTo(0.2, 9);
    expect(tractionWords(1)).toContain('Too little');
    expect(tractionWords(4)).toBe('Enough.');
    const roller = (id: string, diametersMm: number[]) => ({
      id,
      name: id,
      diametersMm,
      surface: 'unknown' as const,
      driven: true,
    });
    expect(sleeveMm({ list: [roller('a', [8, 8, 8]), roller('b', [7.6, 7.6])] })).toEqual({ ok: true, value: 8 });
    expect(sleeveMm({ list: [roller('a', [8])] }).ok).toBe(false);
    expect([
      linkOff({ link: 'unknown', rattles: 'rattles' }),
      linkOff({ link: 'engaged', rattles: 'rattles' }),
      linkOff({ link: 'unknown', rattles: 'quiet' }),
    ]).toEqual([true, false, null]);
  });
});

describe('mode gear and square', () => {
  const states = [
    { id: 'e', name: 'empty', switches: 'S1 on', turnsToNext: 6 },
    { id: 't', name: 'taking in', switches: '', turnsToNext: 20 },
    { id: 'l', name: 'loaded', switches: 'S2 on', turnsToNext: 4 },
    { id: 'g', name: 'giving out', switches: '', turnsToNext: null },
  ];
  test('is brought home by hand, state by state; what is not counted is asked for', () => {
    expect(homeByHand({ states, at: 'e', home: 'l' })).toEqual({
      ok: true,
      value: { turns: 26, by: ['taking in', 'loaded'] },
    });
    expect(homeByHand({ states, at: 'e', home: 'e' })).toEqual({ ok: true, value: { turns: 0, by: [] } });
    const asked = homeByHand({ states, at: 'l', home: 'e' });
    expect(asked.ok ? '' : asked.problem).toContain('“giving out”');
    expect(homeByHand({ states, at: null, home: 'e' }).ok).toBe(false);
  });
  test('what it does while it is wrong', () => {
    expect(disagreement('disc', 'empty')).toContain('refuses');
    expect(disagreement('empty', 'disc')).toContain('second disc');
    expect(disagreement('empty', 'empty')).toBe('');
  });
  test('square or not, by the clearances', () => {
    expect(tiltRad({ leftMm: 1.2, rightMm: 0.4, spacingMm: 120 })).toBeCloseTo(0.00667, 5);
    expect(squareWords({ leftMm: 1, rightMm: 1.1, spacingMm: 100 })).toBe('It sits square.');
    expect(squareWords({ leftMm: 2, rightMm: 0.5, spacingMm: null })).toContain('the left guide is out of its groove');
  });
});

test('a member that goes is forgotten by those that it drove', () => {
  const train = trainOf('motor 10T, gear 20, gear 30');
  const put = { ...train, members: train.members.map((one) => (one.id === 'm2' ? { ...one, from: ['m1'] } : one)) };
  const after = applyTrain(put, { type: 'memberRemoved', memberId: 'm1' });
  expect(after.ok && after.value.members.map(({ id, from }) => [id, from])).toEqual([
    ['m0', []],
    ['m2', []],
  ]);
  expect(applyTrain(train, { type: 'memberRemoved', memberId: 'x' }).ok).toBe(false);
});
