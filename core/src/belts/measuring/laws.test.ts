import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { AUX, needAux } from './aux';
import {
  checkAmount,
  driveFacts,
  findMethod,
  MEASURANDS,
  METHODS,
  methodsFor,
  parseAmount,
  readAmount,
  sameWay,
  suspectLength,
  unlikelySize,
  type Aux,
  type DriveSetting,
  type Method,
  type Reading,
} from '.';

const TOOLS: Aux = {
  sectionMm: 1.2,
  pinDiameterMm: 3,
  nextCapMm: 90,
  secondDiameterMm: 38,
  stringDiameterMm: 0.8,
  threadDiameterMm: 0.3,
  turns: 10,
  grooveDepthMm: 1,
  motorOutsideMm: 8,
  drivenOutsideMm: 27,
};
const FLAT: DriveSetting = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } };
const anyMethod = fc.constantFrom(...METHODS);
/** An amount that a way of measuring takes, in the middle of what drives have. */
const amountOf = (method: Method) =>
  fc.double({ min: Math.max(method.min, Math.min(20, method.max / 2)), max: Math.min(method.max, 80), noNaN: true });
const readingOf = (id: string, measurand: Reading['measurand'], method: string, amount: number): Reading => ({
  id,
  measurand,
  method,
  typed: String(amount),
  amount,
  aux: {},
  ownStd: null,
});

describe('laws of every way of measuring', () => {
  test('each is found by its name, under what it measures, and no two share a name or a word', () => {
    expect(new Set(METHODS.map(({ id }) => id)).size).toBe(METHODS.length);
    for (const method of METHODS) {
      expect(findMethod(method.id)).toBe(method);
      expect(methodsFor(method.measurand)).toContain(method);
      expect(method.min).toBeLessThan(method.max);
      expect(method.readingStd).toBeGreaterThan(0);
    }
    for (const measurand of MEASURANDS) {
      const labels = methodsFor(measurand).map(({ label }) => label);
      expect(new Set(labels).size, measurand).toBe(labels.length);
    }
    const words = METHODS.filter(({ measurand }) => measurand === 'oldBelt').flatMap((one) => one.words);
    expect(new Set(words).size).toBe(words.length);
  });
  test('a greater reading of a belt, a path or a pulley is never a smaller one', () => {
    fc.assert(
      fc.property(
        anyMethod.chain((method) => fc.tuple(fc.constant(method), amountOf(method), amountOf(method))),
        ([method, a, b]) => {
          const [less, more] = [readAmount(method, Math.min(a, b), TOOLS), readAmount(method, Math.max(a, b), TOOLS)];
          fc.pre(less.ok && more.ok);
          if (less.ok && more.ok) expect(more.value.value).toBeGreaterThanOrEqual(less.value.value - 1e-9);
        },
      ),
    );
  });
  test('a hand that is less sure never makes a surer figure, and what it shares it shares', () => {
    fc.assert(
      fc.property(
        anyMethod.chain((method) => fc.tuple(fc.constant(method), amountOf(method))),
        fc.double({ min: 0.01, max: 2, noNaN: true }),
        fc.double({ min: 1, max: 4, noNaN: true }),
        ([method, amount], std, times) => {
          const sure = readAmount(method, amount, TOOLS, std);
          const vague = readAmount(method, amount, TOOLS, std * times);
          fc.pre(sure.ok && vague.ok);
          if (!sure.ok || !vague.ok) return;
          expect(vague.value.std).toBeGreaterThanOrEqual(sure.value.std);
          expect(vague.value.value).toBe(sure.value.value);
          expect(vague.value.estimate.shared).toEqual(sure.value.estimate.shared);
          expect(sure.value.std).toBeGreaterThanOrEqual(sure.value.estimate.ownStd);
        },
      ),
    );
  });
  test('what it needs and has not is asked for by its name; a tool beyond its bounds is refused', () => {
    for (const method of METHODS) {
      for (const key of method.aux.filter(
        (one) => AUX[one].usual === undefined && !method.optionalAux?.includes(one),
      )) {
        const amount = Math.min(Math.max(40, method.min), method.max);
        const without = Object.fromEntries(Object.entries(TOOLS).filter(([one]) => one !== key));
        const read = readAmount(method, amount, without);
        expect(read.ok, `${method.id} without ${key}`).toBe(false);
        if (!read.ok) expect(read.problem).toContain(AUX[key].label);
        for (const beyond of [AUX[key].min / 2 - 0.01, AUX[key].max * 2]) {
          const odd = needAux({ ...TOOLS, [key]: beyond }, [key]);
          expect(odd.ok).toBe(false);
          if (!odd.ok) expect(odd.problem).toMatch(/Allowed: /);
        }
      }
    }
  });
  test('beyond its bounds it is refused and says them; within, an inch is an inch', () => {
    fc.assert(
      fc.property(anyMethod, fc.double({ min: -50, max: 5000, noNaN: true }), (method, amount) => {
        const checked = checkAmount(method, amount);
        expect(checked.ok).toBe(amount >= method.min && amount <= method.max);
        if (!checked.ok) expect(checked.problem).toContain(`${method.min} to ${method.max}`);
      }),
    );
    for (const method of METHODS.filter(({ takes }) => takes !== 'force')) {
      const inches = parseAmount(method, '2 in', 'mm');
      const bare = parseAmount(method, '2', 'in');
      expect(inches).toEqual(bare);
      expect(inches.ok && inches.value).toBeCloseTo(50.8, 9);
    }
  });
  test('a comma is a point, blanks are nothing, and a unit stands with or without a blank', () => {
    fc.assert(
      fc.property(
        anyMethod,
        fc.integer({ min: 1, max: 99 }),
        fc.integer({ min: 1, max: 99 }),
        (method, whole, part) => {
          fc.pre(method.takes !== 'force');
          const plain = parseAmount(method, `${whole}.${part}`, 'mm');
          for (const typed of [`${whole},${part}`, ` ${whole}.${part} `, `${whole}.${part}mm`, `${whole}.${part} mm`])
            expect(parseAmount(method, typed, 'mm'), typed).toEqual(plain);
        },
      ),
    );
  });
});

describe('laws of doubt', () => {
  test('what lies within a third of what is expected is never doubted, what is far off always', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 400, noNaN: true }),
        fc.double({ min: 0.68, max: 1.49, noNaN: true }),
        fc.constantFrom(0.2, 0.25, 2.4, 3.5),
        (expectedMm, near, far) => {
          const method = findMethod('laidStraight') as Method;
          expect(suspectLength(method, near * expectedMm, near * expectedMm, expectedMm)).toBeUndefined();
          expect(suspectLength(method, far * expectedMm, far * expectedMm, expectedMm)).toMatch(/is expected\./);
        },
      ),
    );
  });
  test('ten times a usual size is asked about with the size itself', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('motorDiameter', 'drivenDiameter', 'centreDistance', 'oldBelt', 'section'),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        (measurand, within) => {
          const USUAL = {
            motorDiameter: [4.1, 40],
            drivenDiameter: [9.1, 90],
            centreDistance: [25.1, 250],
            oldBelt: [70.1, 700],
            section: [0.6, 5],
          } as const;
          const [least, most] = USUAL[measurand];
          const mm = least + within * (most - least);
          expect(unlikelySize(measurand, mm)).toBeUndefined();
          expect(unlikelySize(measurand, mm * 10)).toMatch(/ten times|such drives have/);
        },
      ),
    );
  });
});

describe('laws of a drive’s readings', () => {
  const reads = fc
    .record({
      motor: fc.array(fc.double({ min: 5.8, max: 6.2, noNaN: true }), { minLength: 1, maxLength: 3 }),
      driven: fc.array(fc.double({ min: 24.4, max: 25.2, noNaN: true }), { minLength: 1, maxLength: 3 }),
      apart: fc.array(fc.double({ min: 37.8, max: 38.6, noNaN: true }), { minLength: 1, maxLength: 3 }),
      section: fc.array(fc.double({ min: 1.15, max: 1.25, noNaN: true }), { minLength: 1, maxLength: 2 }),
      old: fc.array(fc.double({ min: 66, max: 67, noNaN: true }), { maxLength: 3 }),
    })
    .map(({ motor, driven, apart, section, old }): readonly Reading[] => [
      ...motor.map((mm, n) => readingOf(`m${n}`, 'motorDiameter', 'motorJaws', mm)),
      ...driven.map((mm, n) => readingOf(`d${n}`, 'drivenDiameter', 'drivenJaws', mm)),
      ...apart.map((mm, n) => readingOf(`c${n}`, 'centreDistance', 'shaftToShaft', mm)),
      ...section.map((mm, n) => readingOf(`s${n}`, 'section', 'sectionJaws', mm)),
      ...old.map((mm, n) => readingOf(`o${n}`, 'oldBelt', 'doubledOuter', mm)),
    ]);
  test('the order in which they were taken is nothing', () => {
    fc.assert(
      fc.property(
        reads.chain((list) => fc.tuple(fc.constant(list), fc.shuffledSubarray([...list], { minLength: list.length }))),
        ([list, shuffled]) => {
          const [a, b] = [driveFacts(list, FLAT), driveFacts(shuffled, FLAT)];
          expect(b.path?.value).toBeCloseTo(a.path?.value ?? 0, 9);
          expect(b.path?.std).toBeCloseTo(a.path?.std ?? 0, 9);
          expect(b.oldBelt?.value ?? 0).toBeCloseTo(a.oldBelt?.value ?? 0, 9);
        },
      ),
    );
  });
  test('a mean lies between its readings, and another reading never makes it vaguer', () => {
    fc.assert(
      fc.property(reads, (list) => {
        const all = driveFacts(list, FLAT);
        for (const [measurand, combined] of [
          ['motorDiameter', all.motorDiameter],
          ['drivenDiameter', all.drivenDiameter],
          ['centreDistance', all.centreDistance],
        ] as const) {
          const own = list.filter((one) => one.measurand === measurand).map(({ amount }) => amount);
          expect(combined?.value).toBeGreaterThanOrEqual(Math.min(...own) - 1e-9);
          expect(combined?.value).toBeLessThanOrEqual(Math.max(...own) + 1e-9);
        }
        const [first] = list.filter(({ measurand }) => measurand === 'motorDiameter');
        if (!first) return;
        const more = driveFacts([...list, { ...first, id: 'again', amount: all.motorDiameter?.value ?? 6 }], FLAT);
        expect(more.motorDiameter?.std).toBeLessThanOrEqual((all.motorDiameter?.std ?? 0) + 1e-12);
      }),
    );
  });
  test('the belt that came off says nothing of the path, nor the path of the belt', () => {
    fc.assert(
      fc.property(reads, (list) => {
        const path = driveFacts(
          list.filter(({ measurand }) => measurand !== 'oldBelt'),
          FLAT,
        ).path;
        const belt = driveFacts(
          list.filter(({ measurand }) => measurand === 'oldBelt' || measurand === 'section'),
          FLAT,
        ).oldBelt;
        const all = driveFacts(list, FLAT);
        expect(all.path).toEqual(path);
        expect(all.oldBelt).toEqual(belt);
      }),
    );
  });
  test('a new belt should read what the old one would, had it been that long', () => {
    fc.assert(
      fc.property(reads, fc.double({ min: 90, max: 140, noNaN: true }), (list, innerLengthMm) => {
        const { results } = driveFacts(list, FLAT);
        for (const { newMm } of sameWay(results, { innerLengthMm, thicknessMm: 1.2 })) {
          const read = readAmount(findMethod('doubledOuter') as Method, newMm, { sectionMm: 1.2 });
          expect(read.ok && read.value.value).toBeCloseTo(innerLengthMm, 6);
        }
      }),
    );
  });
});
