import { figure, figureSpread, figureUnit } from './figure';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { innerPath, type Drive } from '../../physics/drive';
import {
  auxRefusal,
  doubtOf,
  driveFacts,
  findMethod,
  inHand,
  METHODS,
  oddReason,
  otherThanLabelled,
  parseAmount,
  readAmount,
  sameWay,
  suspectLength,
  suspectPulley,
  type Aux,
  type DriveSetting,
  type Method,
  type Reading,
  unlikelySize,
  takeInHand,
} from '.';

const method = (id: string): Method => {
  const found = findMethod(id);
  if (!found) throw new Error(`no method ${id}`);
  return found;
};
const read = (id: string, amount: number, aux: Aux = {}) => {
  const result = readAmount(method(id), amount, aux);
  if (!result.ok) throw new Error(result.problem);
  return result.value;
};
const take = (measurand: Reading['measurand'], id: string, amount: number, aux: Aux = {}): Reading => ({
  id: `${measurand}-${id}-${amount}`,
  measurand,
  method: id,
  typed: String(amount),
  amount,
  aux,
  ownStd: null,
});
const flat = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } } as const;
const boothDeck = [
  take('motorDiameter', 'motorJaws', 6),
  take('drivenDiameter', 'drivenJaws', 24.8),
  take('centreDistance', 'shaftToShaft', 38.2),
];

describe('every method', () => {
  const aux: Aux = {
    sectionMm: 1.2,
    pinDiameterMm: 3,
    nextCapMm: 60,
    secondDiameterMm: 38,
    stringDiameterMm: 0.8,
    threadDiameterMm: 0.3,
    turns: 10,
    grooveDepthMm: 1,
    motorOutsideMm: 8,
    drivenOutsideMm: 27,
  };
  /** Where a method may read a vee, its laws must hold there too: the full angle enters the arithmetic. */
  const ways = METHODS.flatMap((one) =>
    one.aux.includes('veeAngleDeg')
      ? ([
          [one.id, one, aux],
          [`${one.id} in a vee`, one, { ...aux, veeAngleDeg: 60 }],
        ] as const)
      : ([[one.id, one, aux]] as const),
  );
  test.each(ways)('%s, inverted, gives its reading back', (_, one, aux) => {
    fc.assert(
      fc.property(fc.double({ min: Math.min(20, one.min), max: Math.min(55, one.max), noNaN: true }), (amount) => {
        fc.pre(amount >= one.min);
        const converted = one.convert(amount, aux);
        fc.pre(converted.ok);
        if (converted.ok) expect(one.invert(converted.value.value, aux)).toBeCloseTo(amount, 6);
      }),
    );
  });
  test.each(ways)('%s states its true sensitivities', (_, one, aux) => {
    const amount = Math.min(Math.max(40, one.min), one.max);
    const at = (a: number, x: Aux) => {
      const result = one.convert(a, x);
      return result.ok ? result.value : undefined;
    };
    const here = at(amount, aux);
    if (!here) return;
    const step = 1e-5;
    expect(((at(amount + step, aux)?.value ?? 0) - here.value) / step).toBeCloseTo(here.perReading, 2);
    for (const [key, sensitivity] of Object.entries(here.perAux)) {
      const moved = { ...aux, [key]: (aux[key as keyof Aux] ?? 0) + step };
      expect(((at(amount, moved)?.value ?? 0) - here.value) / step).toBeCloseTo(sensitivity ?? 0, 2);
    }
  });
});

describe('what each way of measuring reads', () => {
  test('doubled flat 66.4, section 1.2 is 128.0 inside, not 132.8', () => {
    const doubled = read('doubledOuter', 66.4, { sectionMm: 1.2 });
    expect(doubled.value).toBeCloseTo(128, 9);
    expect(doubled.uncorrected).toBeCloseTo(132.8, 9);
    expect(doubled.arithmetic((mm) => mm.toFixed(1))).toBe('2 × 66.4 − 4 × 1.2 = 128.0');
    expect(doubled.std).toBeCloseTo(Math.hypot(2 * 0.4, 4 * 0.05), 9);
  });
  test('on a 90 mm belt of 1.2 mm common practice errs by +4.8, +3.8 and +2.5 mm', () => {
    const error = (id: string, aux: Aux) => {
      const amount = method(id).invert(90, aux);
      return (read(id, amount, aux).uncorrected ?? 0) - 90;
    };
    expect(error('doubledOuter', { sectionMm: 1.2 })).toBeCloseTo(4.8, 6);
    expect(error('laidStraight', { sectionMm: 1.2 })).toBeCloseTo(3.77, 2);
    expect(error('stringRound', { stringDiameterMm: 0.8 })).toBeCloseTo(2.51, 2);
  });
  test('one belt of 1.2 mm and 128 mm, measured six ways, is the same belt', () => {
    const values = [
      read('doubledOuter', 66.4, { sectionMm: 1.2 }),
      read('doubledInner', 64),
      read('overCap', 128 / Math.PI),
      read('onPins', 62.2876, { pinDiameterMm: 3 }),
      read('laidStraight', 131.77, { sectionMm: 1.2 }),
      read('printedLength', 128),
    ];
    for (const { value } of values) expect(value).toBeCloseTo(128, 2);
  });
  test('pieces are a lower bound, and may be typed as a sum', () => {
    const sum = parseAmount(method('inPieces'), '40 + 52,5 + 31', 'mm');
    expect(sum.ok && sum.value).toBe(123.5);
    expect(read('inPieces', 123.5, { sectionMm: 1.2 }).lowerBound).toBe(true);
  });
  test('two caps give an interval: its half-width over √3 (JCGM 100:2008, 4.3.7)', () => {
    const caps = read('twoCaps', 40, { nextCapMm: 42 });
    expect(caps.value).toBeCloseTo(Math.PI * 41, 9);
    expect(caps.std).toBeGreaterThan(Math.PI / Math.sqrt(3));
  });
  test('pins in a 60° vee reach the apex: X − p − p/sin 30°', () => {
    expect(read('motorOverPins', 12, { pinDiameterMm: 2, veeAngleDeg: 60 }).value).toBeCloseTo(6, 9);
    expect(read('motorOverPins', 10, { pinDiameterMm: 2 }).value).toBeCloseTo(6, 9);
  });
});

describe('nonsense is refused by saying why', () => {
  const problem = (id: string, amount: number, aux: Aux = {}) => {
    const result = readAmount(method(id), amount, aux);
    return result.ok ? '' : result.problem;
  };
  test('zero, negative, absurd, and what needs a section first', () => {
    expect(problem('motorJaws', 0)).toContain('Read 0');
    expect(problem('motorJaws', -6)).toContain('cannot be negative');
    expect(problem('drivenJaws', 900)).toContain('Allowed here: 0.8 to 250');
    expect(problem('doubledOuter', 66.4)).toContain('section');
    expect(problem('doubledOuter', Number.NaN)).toContain('not a number');
  });
  test('a 90 mm inner diameter is plainly a length', () => {
    expect(problem('overCap', 90)).toContain('looks like a length');
    expect(suspectLength(method('overCap'), 80, Math.PI * 80, 90)).toContain('looks like an inner length');
  });
  test('a length typed where its half, its double or its π-th belongs', () => {
    expect(suspectLength(method('doubledOuter'), 128, 251, 127)).toContain('whole length');
    expect(suspectLength(method('laidStraight'), 64, 60.2, 127)).toContain('doubled length');
    expect(suspectLength(method('laidStraight'), 41, 37.2, 127)).toContain('looks like a diameter');
    expect(suspectLength(method('doubledOuter'), 66.4, 128, 127)).toBeUndefined();
  });
  test('a reading is held against what else is known, and never against itself', () => {
    const known = (value: number) => ({ value, std: 0.5 });
    const told = { path: known(127), oldBelt: known(128) };
    const nothing = {};
    expect(doubtOf(method('motorJaws'), 60, { value: 60 }, told)).toContain('Check the decimal point');
    expect(doubtOf(method('drivenJaws'), 24.8, { value: 24.8 }, told)).toBeUndefined();
    expect(doubtOf(method('doubledOuter'), 128, { value: 251.2 }, told)).toContain('whole length');
    expect(doubtOf(method('stringRound'), 400, { value: 397.5 }, { ...nothing, oldBelt: known(128) })).toContain(
      'π times',
    );
    // The pulleys decide where there are pulleys, whatever the old belt says.
    expect(
      doubtOf(method('stringRound'), 130, { value: 127.5 }, { ...told, geometricPath: known(127) }),
    ).toBeUndefined();
    expect(doubtOf(method('inPieces'), 20, { value: 16, lowerBound: true }, told)).toBeUndefined();
    // By themselves only sizes that are hardly ever so are asked about.
    for (const one of METHODS.filter(({ measurand }) => unlikelySize(measurand, 400) === undefined))
      expect(doubtOf(one, 40, { value: 400 }, nothing), one.id).toBeUndefined();
  });
  test('a vee known to two degrees is known no better: the angle’s error counts (central difference)', () => {
    for (const [id, amount, aux] of [
      ['motorOverPins', 14, { pinDiameterMm: 2, veeAngleDeg: 60 }],
      ['stringRound', 130, { stringDiameterMm: 0.8, veeAngleDeg: 60 }],
    ] as const) {
      const at = (veeAngleDeg: number) => {
        const read = method(id).convert(amount, { ...aux, veeAngleDeg });
        return read.ok ? read.value : { value: NaN, perAux: {} as { veeAngleDeg?: number } };
      };
      expect(at(60).perAux.veeAngleDeg, id).toBeCloseTo((at(60.5).value - at(59.5).value) / 1, 4);
      const [known, not] = [aux, { ...aux, veeAngleDeg: undefined }].map((tools) => {
        const read = readAmount(method(id), amount, tools as never);
        return read.ok ? read.value.std : NaN;
      });
      expect(known, id).toBeGreaterThan(not ?? NaN);
    }
  });
  test('a size that is hardly ever so is asked about: ten times, a tenth, or far outside', () => {
    expect(unlikelySize('centreDistance', 385)).toBe('Read 385.0 mm: ten times what such drives have. Is it 38.5 mm?');
    expect(unlikelySize('section', 0.12)).toContain('Is it 1.2 mm?');
    expect(unlikelySize('motorDiameter', 60)).toContain('Is it 6.0 mm?');
    expect(unlikelySize('centreDistance', 38.5)).toBeUndefined();
  });
  test('where the belt is gone the groove says what section lay in it', () => {
    const setting = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } } as const;
    const groove = (measurand: 'grooveWidth' | 'grooveDepth', method: string, amount: number) =>
      ({ id: method, measurand, method, typed: '', amount, aux: {}, ownStd: null }) as const;
    const facts = driveFacts(
      [groove('grooveWidth', 'grooveWidthJaws', 1.4), groove('grooveDepth', 'grooveDepthRod', 1.1)],
      setting,
    );
    expect(facts.grooveSection?.value).toBeCloseTo(1.2, 6);
    expect(facts.grooveSection?.std).toBeGreaterThan(0.15);
  });
  test('a new belt in the hand: what it should read as the old one was read, and whether it is another one', () => {
    const belt = { innerLengthMm: 108, thicknessMm: 1.2 };
    const way = inHand([], belt);
    expect(way).toMatchObject({ method: 'doubledOuter', asTheOld: false });
    expect(way.shouldReadMm).toBeCloseTo(56.4, 9);
    const taken = takeInHand(way, '2x56.4', belt, [], 'mm', false);
    expect(taken.state === 'reading' && taken.read?.value).toBeCloseTo(108, 9);
    expect(takeInHand(way, 'six', belt, [], 'mm', false).state).toBe('refusal');
    // Twice what its label says is a question, and a reading once it is kept.
    expect(takeInHand(way, '112.8', belt, [], 'mm', false)).toMatchObject({ state: 'doubt' });
    expect(takeInHand(way, '112.8', belt, [], 'mm', true)).toMatchObject({ state: 'reading' });
    expect(otherThanLabelled(116, 124, 'mm')).toContain('not the 116.0 mm of its label');
    expect(otherThanLabelled(116, 117, 'mm')).toBeUndefined();
  });
  test('a pulley that no such belt goes round: its decimal point was lost', () => {
    expect(suspectPulley(60, 128)).toBe(
      'Read Ø 60.0 mm: that is 188.5 mm round, and the old belt is 128.0 mm. Check the decimal point and the old belt.',
    );
    expect(suspectPulley(6, 128)).toBeUndefined();
  });
  test('no pulley of a drive that can be, with a belt stretched as belts are, is doubted', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 40, noNaN: true }),
        fc.double({ min: 2, max: 120, noNaN: true }),
        fc.double({ min: 0.6, max: 4, noNaN: true }),
        fc.double({ min: -0.1, max: 0.3, noNaN: true }),
        (motor, driven, apart, strain) => {
          const path = innerPath({
            motorPulley: { bottomDiameterMm: motor, groove: { form: 'flat' } },
            drivenPulley: { bottomDiameterMm: driven, groove: { form: 'flat' } },
            centreDistanceMm: apart * (motor + driven),
            crossed: false,
          });
          fc.pre(path.ok);
          if (!path.ok) return;
          const beltMm = path.value.lengthMm / (1 + strain);
          expect(suspectPulley(motor, beltMm)).toBeUndefined();
          expect(suspectPulley(driven, beltMm)).toBeUndefined();
        },
      ),
    );
  });
});

describe('a drive’s readings together', () => {
  test('the booth deck’s path is 127.1, with the uncertainty of its parts', () => {
    const facts = driveFacts(boothDeck, flat);
    expect(facts.path?.value).toBeCloseTo(127.1, 1);
    // By hand: wraps 2.642 and 3.641 rad times 0.05 mm of radius, and 2·cos α = 1.938 times 0.3 mm.
    expect(facts.path?.std).toBeCloseTo(Math.hypot(2.642 * 0.05, 3.641 * 0.05, 1.938 * 0.3), 2);
  });
  test('old belt and path stay apart, and the section is shared', () => {
    const facts = driveFacts(
      [
        ...boothDeck,
        take('section', 'sectionJaws', 1.2),
        take('oldBelt', 'doubledOuter', 66.4),
        take('oldBelt', 'overCap', 40.8),
      ],
      flat,
    );
    expect(facts.oldBelt?.value).toBeCloseTo(128.1, 1);
    expect(facts.path?.value).toBeCloseTo(127.1, 1);
    expect(facts.results.filter(({ odd }) => odd)).toEqual([]);
  });
  test('a string and the pulleys give one path, nearer the better known', () => {
    const facts = driveFacts([...boothDeck, take('stringPath', 'stringRound', 131.6)], flat);
    const { geometricPath, stringPath, path } = facts;
    expect(path?.value).toBeGreaterThan(geometricPath?.value ?? 0);
    expect(path?.value).toBeLessThan(stringPath?.value ?? 0);
    expect(path?.std).toBeLessThan(geometricPath?.std ?? 0);
  });
  test('a belt reading waits for its section and says so', () => {
    const facts = driveFacts([take('oldBelt', 'doubledOuter', 66.4)], flat);
    expect(facts.oldBelt).toBeUndefined();
    expect(facts.results[0]?.problem).toContain('section');
  });
  test('overlapping pulleys keep their readings and say what is wrong', () => {
    const facts = driveFacts([...boothDeck.slice(0, 2), take('centreDistance', 'shaftToShaft', 12)], flat);
    expect(facts.drive).toBeDefined();
    expect(facts.path).toBeUndefined();
    expect(facts.driveProblem).toContain('overlap');
  });
  test('the reading that was read at the outer ends is named', () => {
    const facts = driveFacts(
      [
        take('section', 'sectionJaws', 1.2),
        take('oldBelt', 'doubledOuter', 66.4),
        take('oldBelt', 'overCap', 40.8),
        take('oldBelt', 'doubledInner', 66.4),
      ],
      flat,
    );
    expect(facts.results.filter(({ odd }) => odd).map(({ reading }) => reading.method)).toEqual(['doubledInner']);
  });
});

describe('the tray held while the motor drives', () => {
  const facts = driveFacts(
    [
      take('trayPull', 'scalePull', 1.4),
      take('stallPull', 'stalledMotor', 2.6),
      take('stallPull', 'stalledSlipping', 1.9),
    ],
    flat,
  );
  test('is another pull than the tray’s own: the two are never put together', () => {
    expect(facts.trayPull).toEqual({ value: 1.4, std: 0.1 });
    expect(facts.stallPull).toEqual({ value: 2.6, std: 0.15 });
  });
  test('with the belt slipping it is only the least that the motor has', () => {
    expect(facts.stallPullAtLeastN).toBe(1.9);
    expect(facts.oldBeltAtLeastMm).toBeUndefined();
  });
  test('is read in newtons or grams, never in millimetres', () => {
    expect(parseAmount(method('stalledMotor'), '265 g', 'mm')).toMatchObject({
      ok: true,
      value: expect.closeTo(2.6, 2) as unknown,
    });
    expect(parseAmount(method('stalledMotor'), '40 mm', 'mm').ok).toBe(false);
    const nought = readAmount(method('stalledMotor'), 0, {});
    expect(nought.ok ? '' : nought.problem).toContain('N.');
  });
});

describe('a string’s own thickness', () => {
  // P(r + s/2) − P(r) by the path itself is what the string, s/2 further out everywhere, really adds.
  const adds = (drive: Drive, s: number): number => {
    const length = (by: number): number => {
      const grown = (d: number) => d + 2 * by;
      const path = innerPath({
        ...drive,
        motorPulley: { ...drive.motorPulley, bottomDiameterMm: grown(drive.motorPulley.bottomDiameterMm) },
        drivenPulley: { ...drive.drivenPulley, bottomDiameterMm: grown(drive.drivenPulley.bottomDiameterMm) },
        idlers: (drive.idlers ?? []).map((one) => ({ ...one, bottomDiameterMm: grown(one.bottomDiameterMm) })),
      });
      if (!path.ok) throw new Error(path.problem);
      return path.value.lengthMm;
    };
    return length(s / 2) - length(0);
  };
  const guide = {
    name: 'guide',
    xMm: 20,
    yMm: 9,
    bottomDiameterMm: 5,
    groove: { form: 'flat' },
    back: true,
    driven: false,
    after: 'driven',
  } as const;
  const string = take('stringPath', 'stringRound', 131.6, { stringDiameterMm: 0.8 });
  const takenOff = (setting: DriveSetting, measured = true): number =>
    131.6 - (driveFacts([...(measured ? boothDeck : []), string], setting).stringPath?.value ?? NaN);

  test.each([
    ['open', flat, Math.PI * 0.8],
    ['crossed', { ...flat, crossed: true }, null],
    ['touched by the belt’s back', { ...flat, others: [guide] }, null],
  ])('%s: what is taken off is what it adds', (_, setting, exactly) => {
    const drive = driveFacts(boothDeck, setting).drive;
    if (!drive) throw new Error('no drive');
    expect(takenOff(setting)).toBeCloseTo(exactly ?? adds(drive, 0.8), 2);
  });
  test('before the pulleys are measured a usual amount is taken off, and the uncertainty says so', () => {
    const crossed = driveFacts([string], { ...flat, crossed: true }).stringPath;
    const open = driveFacts([string], flat).stringPath;
    expect(takenOff({ ...flat, crossed: true }, false)).toBeGreaterThan(Math.PI * 0.8 + 0.3);
    expect(crossed?.std).toBeGreaterThan(open?.std ?? NaN);
  });
});

describe('the odd one out', () => {
  const belt = (method: string, amount: number, aux = {}): Reading => ({
    id: `${method}-${amount}`,
    measurand: 'oldBelt',
    method,
    typed: '',
    amount,
    aux,
    ownStd: null,
  });
  const reasonOf = (odd: Reading) => {
    const section = { ...belt('sectionJaws', 1.2), measurand: 'section' as const };
    const facts = driveFacts([section, belt('overCap', 40.75), belt('overCap', 40.7), odd], {
      crossed: false,
      motorGroove: { form: 'flat' },
      drivenGroove: { form: 'flat' },
    });
    const result = facts.results.find(({ reading }) => reading.id === odd.id);
    if (!result?.odd) throw new Error('it is not odd');
    return oddReason(result, 128, 1.2);
  };
  test.each([
    ['Read at the outer ends?', belt('doubledInner', 66.4)],
    ['A diameter typed as a length?', belt('printedLength', 40.8)],
    ['Half of it read, doubled flat?', belt('printedLength', 64)],
    ['The whole length typed as the doubled one?', belt('doubledInner', 128)],
    ['Egg-shaped: lying free is not to be trusted then.', belt('lyingFree', 36, { secondDiameterMm: 38 })],
    [undefined, belt('printedLength', 119)],
  ])('%s', (reason, odd) => expect(reasonOf(odd)).toBe(reason));
  test('every method says how it goes and what goes wrong, and draws where the number is read', async () => {
    for (const { id, guide } of METHODS) {
      const { how, goesWrong, drawing } = await guide();
      expect(how, id).toMatch(/\.$/);
      expect(goesWrong, id).toMatch(/\.$/);
      const [x1, y1, x2, y2] = drawing.read;
      expect(Math.hypot(x2 - x1, y2 - y1), id).toBeGreaterThan(8);
      for (const [at, size] of [
        [x1, 132],
        [x2, 132],
        [y1, 66],
        [y2, 66],
      ] as const) {
        expect(at, id).toBeGreaterThanOrEqual(0);
        expect(at, id).toBeLessThanOrEqual(size);
      }
    }
  });
});

test('old against new by the same method: every way read forward gives back what it should read', () => {
  const section = take('section', 'sectionJaws', 1.2);
  const facts = driveFacts(
    [
      section,
      take('oldBelt', 'doubledOuter', 66.4),
      take('oldBelt', 'overCap', 40.8),
      take('oldBelt', 'inPieces', 100),
    ],
    { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } },
  );
  const ways = sameWay(facts.results, { innerLengthMm: 116, thicknessMm: 1.5 });
  expect(ways.map(({ label }) => label)).toEqual(['doubled flat', 'over a cap']);
  // 2F − 4t = 116 with t = 1.5: F = 61; a cap of 116/π.
  expect(ways[0]?.newMm).toBeCloseTo(61, 9);
  expect(ways[1]?.newMm).toBeCloseTo(116 / Math.PI, 9);
});

test('a force and its uncertainty are newtons in inches too', () => {
  expect(figure('trayPull', 2.5, 'in')).toBe('2.5');
  expect(figureSpread('trayPull', 0.2, 'in')).toBe('0.20');
  expect(figureSpread('stallPull', 0.3, 'mm')).toBe('0.30');
  expect(figureSpread('oldBelt', 0.9, 'in')).toBe('0.035');
  expect([figureUnit('trayPull', 'in'), figureUnit('oldBelt', 'in')]).toEqual(['N', 'in']);
});

test('a tool size that cannot be is refused in millimetres as they are written', () => {
  // 0.3 in, typed: 7.619999999999999 mm.
  expect(auxRefusal('threadDiameterMm', 0.3 * 25.4)).toBe('Read thread Ø 7.6 mm. Allowed: 0.02 to 2 mm.');
  expect(auxRefusal('veeAngleDeg', 7)).toBe('Read vee, full angle 7 °. Allowed: 20 to 120 °.');
  const over = findMethod('onPins');
  const read = over && readAmount(over, 60, { pinDiameterMm: 1.5 * 25.4 });
  expect(read && !read.ok && read.problem).toBe('Read pin Ø 38.1 mm. Allowed: 0.3 to 30 mm.');
});

describe('a section that was not measured', () => {
  const setting: DriveSetting = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } };
  const usual = take('section', 'sectionAsUsual', 1.2);
  const jaws = take('section', 'sectionJaws', 1.6);
  test('counts until somebody measures it, and not at all after', () => {
    expect(driveFacts([usual], setting).section).toMatchObject({ value: 1.2, std: 0.25 });
    const both = driveFacts([usual, jaws], setting);
    expect(both.section).toEqual(driveFacts([jaws], setting).section);
    expect(both.sectionUnmeasured).toBeUndefined();
    expect(driveFacts([usual], setting).sectionUnmeasured).toBe('as usual');
    const like = take('section', 'sectionAsThickAs', 1.52);
    expect(driveFacts([usual, like], setting).sectionUnmeasured).toBe('by likeness');
    expect(both.results.map(({ odd }) => odd)).toEqual([false, false]);
  });
});
