import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import {
  addOrder,
  applyStrip,
  bookedIn,
  countsOf,
  EMPTY_STRIP,
  forbidding,
  goneBack,
  layersOf,
  leftOvers,
  mirrored,
  newStep,
  offAgain,
  orderBack,
  readLine,
  rebuildOf,
  stepWords,
  type TemporaryChange,
  type Order,
  type Step,
  type Strip,
  type StripEventBody,
} from '.';

const AT = '2026-01-12T09:00:00Z';
const apply = (strip: Strip, event: StripEventBody): Strip => {
  const next = applyStrip(strip, event);
  if (!next.ok) throw new Error(next.problem);
  return next.value;
};
/** A strip made of typed lines, as the page makes it. */
const typed = (...lines: string[]): Strip =>
  lines.reduce((strip, line, index) => {
    const read = readLine(line);
    if (read?.type === 'step')
      return apply(strip, { type: 'stepPut', step: newStep(strip, read.step, `s${index}`, AT) });
    if (read?.type === 'change') {
      const change: TemporaryChange = {
        id: `l${index}`,
        kind: read.kind,
        words: read.words,
        closes: '',
        before: read.kind === 'laserBridged' ? 'power' : 'lid',
        openedAt: AT,
        closedAt: null,
        afterStepId: null,
        afterChangeId: null,
      };
      return apply(strip, { type: 'temporaryChangePut', change });
    }
    return strip;
  }, EMPTY_STRIP);
const order = (firstId: string, thenId: string): Order => ({ id: `${firstId}<${thenId}`, firstId, thenId, why: '' });

describe('one line, one step', () => {
  test.each([
    ['4 ph1 underside', { kind: 'fasteners', count: 4, driverType: 'PH1', where: 'underside', missing: 0 }],
    [
      '2 hex8 pinned rear corners, one short',
      { kind: 'fasteners', count: 3, missing: 1, driverType: 'T8 pinned', where: 'rear corners' },
    ],
    ['2x ph0 6mm clamp bridge', { kind: 'fasteners', count: 2, driverType: 'PH0', lengthMm: 6, where: 'clamp bridge' }],
    [
      'plug 6 grey, stripe to the left',
      { kind: 'connector', what: 'plug 6 grey', orientation: 'stripe to the left', count: 1 },
    ],
    ['lid', { kind: 'cover', what: 'lid' }],
    ['tray out', { kind: 'part', what: 'tray' }],
    [
      'tray out, clear the switch on the left',
      { kind: 'part', what: 'tray', orientation: 'clear the switch on the left' },
    ],
    ['2 tabs front', { kind: 'tabs', count: 2, what: 'tabs front' }],
    ['belt off, two turns on the motor', { kind: 'belt', orientation: 'two turns on the motor' }],
    ['1 ph2 heat sink clamp, leave alone', { kind: 'fasteners', leaveAlone: 'leave alone', what: 'screw' }],
    ['mumble', { kind: 'note', what: 'mumble' }],
  ])('%s', (line, step) => expect(readLine(line)).toMatchObject({ type: 'step', step }));
  test('temporary changes, moments, things found, and what comes off again', () => {
    expect(readLine('laser pads bridged')).toMatchObject({ type: 'change', kind: 'laserBridged' });
    expect(readLine('stop pin out')).toMatchObject({ type: 'change', kind: 'stopPinOut' });
    expect(readLine('power')).toMatchObject({ type: 'moment', moment: 'power' });
    expect(readLine('lid on')).toMatchObject({ type: 'moment', moment: 'lid' });
    expect(readLine('found spring under the tray')).toMatchObject({
      type: 'found',
      what: 'spring',
      where: 'under the tray',
    });
    expect(readLine('again 3')).toMatchObject({ type: 'again', number: 3 });
    expect(readLine('   ')).toBeUndefined();
  });
  test('what was understood is said in words; what was not is said too', () => {
    expect(readLine('2 hex8 pinned rear corners, one short')?.echo).toBe(
      '2 screws, hexalobular 8, pinned, from rear corners, 1 missing on arrival.',
    );
    expect(readLine('mumble')?.echo).toContain('Kept as a note');
  });
  test('any text is read without a fault, and nothing typed is lost', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        const read = readLine(text);
        if (text.trim() === '') expect(read).toBeUndefined();
        else if (read?.type === 'step') {
          expect(read.step.line).toBe(text.trim().slice(0, 400));
          expect(read.step.count).toBeGreaterThanOrEqual(1);
          expect(stepWords(read.step)).not.toContain('undefined');
        }
      }),
    );
  });
});

describe('numbers and layers', () => {
  test('numbers are given once and never again, notes have none', () => {
    const strip = typed('3 ph1 back', 'a mumble', 'lid');
    expect(strip.steps.map(({ number }) => number)).toEqual([1, 0, 2]);
    const after = apply(strip, { type: 'stepRemoved', stepId: 's2' });
    const read = readLine('tray');
    if (read?.type !== 'step') throw new Error('not a step');
    expect(newStep(after, read.step, 'x', AT).number).toBe(3);
    expect(applyStrip(after, { type: 'stepPut', step: { ...newStep(after, read.step, 'x', AT), number: 2 } }).ok).toBe(
      false,
    );
  });
  test('what comes free names its layer', () =>
    expect(
      layersOf(typed('3 ph1 back', 'lid', '2 ph0 clamp bridge', 'plug 8', 'tray', 'belt').steps).map(
        ({ name, steps }) => `${name} ${steps.length}`,
      ),
    ).toEqual(['lid 2', 'tray 3', 'still to come free 1']));
  test('the other deck is the same mirrored, and has numbers of its own', () => {
    const strip = typed('plug 6 grey, stripe to the left');
    const other = newStep(strip, mirrored(strip.steps[0] as Step), 'x', AT);
    expect(other).toMatchObject({ number: 2, orientation: 'stripe to the right', where: 'other deck', missing: 0 });
  });
  test('a screw that was never logged is booked in: it is back, and nothing is left over', () => {
    const strip = typed('4 ph1 case');
    const read = readLine('1 ph1 found in the lid');
    if (read?.type !== 'step') throw new Error('not a step');
    const after = apply(strip, { type: 'stepPut', step: bookedIn(newStep(strip, read.step, 'x', AT)) });
    expect(countsOf(after)).toMatchObject({ out: 4, leftOver: 0 });
  });
  test('the next layer begins anew', () =>
    expect(layersOf(typed('lid', 'front panel').steps).map(({ name }) => name)).toEqual(['lid', 'front panel']));
});

describe('the way back', () => {
  const steps = (n: number): Step[] =>
    typed(...Array.from({ length: n }, (_, i) => `${i + 1} ph1 place ${i}`)).steps.slice();
  const pair = fc.tuple(fc.integer({ min: 0, max: 11 }), fc.integer({ min: 0, max: 11 }));
  test('respects every order that could be said, keeps every step, and is the plain reverse without any', () => {
    fc.assert(
      fc.property(fc.array(pair, { maxLength: 20 }), (pairs) => {
        const all = steps(12);
        let orders: readonly Order[] = [];
        for (const [a, b] of pairs) {
          const next = addOrder(orders, order(`s${a}`, `s${b}`), all);
          if (next.ok) orders = next.value;
        }
        const back = orderBack(all, orders).map(({ id }) => id);
        expect([...back].sort()).toEqual(all.map(({ id }) => id).sort());
        for (const { firstId, thenId } of orders) expect(back.indexOf(firstId)).toBeLessThan(back.indexOf(thenId));
        if (orders.length === 0) expect(back).toEqual(all.map(({ id }) => id).reverse());
      }),
      { numRuns: 60 },
    );
  });
  test('“first of all” draws a step to the front, and leaves the others where they were', () => {
    const all = steps(5);
    expect(orderBack(all, [order('s1', 's4')]).map(({ id }) => id)).toEqual(['s1', 's4', 's3', 's2', 's0']);
  });
  test('an order that would go round in a circle is refused, and the circle is named', () => {
    const all = steps(3);
    const said = [order('s0', 's1'), order('s1', 's2')];
    const refused = addOrder(said, order('s2', 's0'), all);
    expect(!refused.ok && refused.problem).toBe(
      'That goes round in a circle: 1 screw before 2 screws before 3 screws was said already, so 3 screws cannot go before 1 screw.',
    );
    expect(addOrder([], order('s1', 's1'), all).ok).toBe(false);
  });
  test('temporary changes are reversed on the way: power before the try, the pin after it, the lid last; a plug before its pads', () => {
    const strip = typed('4 ph1 case', 'lid', 'laser pads bridged', 'plug 8, stripe left', 'stop pin out', 'tray out');
    const plugged = apply(strip, {
      type: 'temporaryChangePut',
      change: { ...(strip.temporaryChanges[0] as TemporaryChange), afterStepId: 's3' },
    });
    const words = rebuildOf(plugged).map((item) =>
      item.type === 'step' ? item.step.what : item.type === 'change' ? item.change.words : 'TRY',
    );
    expect(words).toEqual(['tray', 'plug 8', 'laser pads bridged', 'TRY', 'stop pin out', 'lid', 'screws']);
  });
  test('what waited for a step is next once that step is back', () => {
    const strip = typed('lid', 'laser pads bridged', 'plug 8', '2 ph0 clamp bridge');
    const waiting = apply(strip, {
      type: 'temporaryChangePut',
      change: { ...(strip.temporaryChanges[0] as TemporaryChange), afterStepId: 's2' },
    });
    const plug = waiting.steps.find(({ id }) => id === 's2') as Step;
    const [first] = rebuildOf(apply(waiting, { type: 'stepPut', step: goneBack(plug, 1) }));
    expect(first?.type).toBe('change');
  });
  test('every open change and every step that is off is on the way back exactly once', () => {
    const lines = [
      '4 ph1 case',
      'lid',
      'front panel',
      'plug 6 grey',
      'laser bridged',
      'stop pin out',
      'tray',
      'belt',
      'mumble',
    ];
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...lines), { maxLength: 15 }), (list) => {
        const strip = typed(...list);
        const items = rebuildOf(strip);
        const ids = items.flatMap((item) =>
          item.type === 'step' ? [item.step.id] : item.type === 'change' ? [item.change.id] : [],
        );
        const wanted = [...strip.steps.filter(({ kind }) => kind !== 'note'), ...strip.temporaryChanges].map(
          ({ id }) => id,
        );
        expect([...ids].sort()).toEqual([...wanted].sort());
        const first = items.findIndex((item) => item.type === 'try');
        const power = items.findLastIndex((item) => item.type === 'change' && item.change.before === 'power');
        if (first >= 0 && power >= 0) expect(power).toBeLessThan(first);
      }),
      { numRuns: 60 },
    );
  });
});

describe('screws in and out', () => {
  test('balance over several openings: off is what came off less what went back, and what is short is left over', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.nat(9)), { minLength: 1, maxLength: 5 }),
        (removals) => {
          let strip = typed('9 ph1 case');
          let there = 9;
          for (const [index, [, back]] of removals.entries()) {
            const step = strip.steps[0] as Step;
            if (index > 0) {
              strip = apply(strip, { type: 'openedAgain' });
              const again = offAgain(strip, step);
              if (!again.ok) throw new Error(again.problem);
              strip = apply(strip, { type: 'stepPut', step: again.value });
            }
            expect(countsOf(strip).out).toBe(there);
            expect(countsOf(strip).leftOver).toBe(0);
            const went = Math.min(back, there);
            strip = apply(strip, { type: 'stepPut', step: goneBack(strip.steps[0] as Step, went) });
            expect(countsOf(strip).out).toBe(0);
            expect(countsOf(strip).leftOver).toBe(there - went);
            there = went;
            if (there === 0) break;
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  test('impossible counts are refused in words', () => {
    const strip = typed('4 ph1 case');
    const five = applyStrip(strip, { type: 'stepPut', step: goneBack(strip.steps[0] as Step, 5) });
    expect(!five.ok && five.problem).toContain('4 came off, so 5 cannot go back');
    const twice = offAgain(strip, strip.steps[0] as Step);
    expect(!twice.ok && twice.problem).toBe('Number 1 is off already.');
  });
  test('missing on arrival is no left-over; what is left alone is not counted out', () => {
    const strip = typed('2 hex8 rear, one short', '1 ph2 heat sink, leave alone');
    expect(countsOf(strip)).toMatchObject({ out: 2, shouldBe: 3, missingOnArrival: 1, leftOver: 0 });
  });
  test('what is left over, and what was found and has no home, is said', () => {
    const strip = typed('4 ph1 case');
    const short = apply(strip, { type: 'stepPut', step: goneBack(strip.steps[0] as Step, 3) });
    const found = apply(short, {
      type: 'foundPut',
      found: { id: 'f1', what: 'spring', where: 'under the tray', guess: '', homed: false, pictureIds: [] },
    });
    expect(leftOvers(found)).toEqual([
      'Of number 1, screws, 1 is left over.',
      'Found and not placed: spring, under the tray.',
    ]);
  });
});

describe('temporary changes', () => {
  test('what must end before power forbids the lid and handing back as well', () => {
    const { temporaryChanges } = typed('laser bridged', 'stop pin out');
    const names = (moment: 'power' | 'lid' | 'handBack') =>
      forbidding(temporaryChanges, moment).map(({ words }) => words);
    expect(names('power')).toEqual(['laser bridged']);
    expect(names('lid')).toEqual(['laser bridged', 'stop pin out']);
    expect(names('handBack')).toEqual(['laser bridged', 'stop pin out']);
  });
  const open = (id: string, afterChangeId: string | null = null): TemporaryChange => ({
    id,
    kind: 'own',
    words: id,
    closes: '',
    before: 'handBack',
    openedAt: AT,
    closedAt: null,
    afterStepId: null,
    afterChangeId,
  });
  test('a temporary change is reversed once, whatever is said of it afterwards and in whatever order', () => {
    const said = fc.record({ id: fc.constantFrom('a', 'b', 'c'), ends: fc.boolean() });
    fc.assert(
      fc.property(fc.array(said, { maxLength: 20 }), (list) => {
        let strip = EMPTY_STRIP;
        const ended = new Set<string>();
        for (const { id, ends } of list) {
          const next = applyStrip(strip, {
            type: 'temporaryChangePut',
            change: { ...open(id), closedAt: ends ? AT : null },
          });
          expect(next.ok).toBe(!ended.has(id));
          if (next.ok) strip = next.value;
          else expect(next.problem).toBe(`“${id}” has ended. Open it anew.`);
          if (ends) ended.add(id);
        }
        expect(forbidding(strip.temporaryChanges, 'handBack').some(({ id }) => ended.has(id))).toBe(false);
      }),
    );
  });
  test('some end only in an order: the later one waits, on the way back too, and two never wait for each other', () => {
    let strip = apply(EMPTY_STRIP, { type: 'temporaryChangePut', change: open('levers') });
    strip = apply(strip, { type: 'temporaryChangePut', change: open('pin', 'levers') });
    const early = applyStrip(strip, { type: 'temporaryChangePut', change: { ...open('pin', 'levers'), closedAt: AT } });
    expect(!early.ok && early.problem).toBe('“pin” ends only after “levers”. End that first.');
    const circle = applyStrip(strip, { type: 'temporaryChangePut', change: open('levers', 'pin') });
    expect(!circle.ok && circle.problem).toContain('“levers” would wait for itself');
    const way = rebuildOf({ ...strip, temporaryChanges: [...strip.temporaryChanges].reverse() });
    expect(way.flatMap((item) => (item.type === 'change' ? [item.change.id] : []))).toEqual(['levers', 'pin']);
    strip = apply(strip, { type: 'temporaryChangePut', change: { ...open('levers'), closedAt: AT } });
    expect(
      applyStrip(strip, { type: 'temporaryChangePut', change: { ...open('pin', 'levers'), closedAt: AT } }).ok,
    ).toBe(true);
  });
  test('one that waits for a step cannot end while that step is off', () => {
    const strip = typed('plug 6 grey');
    const waiting = { ...open('pads'), afterStepId: 's0' };
    const early = applyStrip(strip, { type: 'temporaryChangePut', change: { ...waiting, closedAt: AT } });
    expect(!early.ok && early.problem).toContain('ends only when number 1, plug 6 grey, is back');
    const back = apply(strip, { type: 'stepPut', step: goneBack(strip.steps[0] as Step, 1) });
    expect(applyStrip(back, { type: 'temporaryChangePut', change: { ...waiting, closedAt: AT } }).ok).toBe(true);
  });
});

test('a step put in late stands where it came off, under the next number', () => {
  const strip = typed('4 ph1 case', 'lid');
  const read = readLine('felt, lifted');
  if (read?.type !== 'step') throw new Error('no step');
  const late = apply(strip, { type: 'stepPut', step: newStep(strip, read.step, 'late', AT), beforeId: 's1' });
  expect(late.steps.map(({ id, number }) => [id, number])).toEqual([
    ['s0', 1],
    ['late', 3],
    ['s1', 2],
  ]);
});
