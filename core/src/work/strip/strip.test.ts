import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import {
  addOrder,
  applyStrip,
  bookedIn,
  cannotEnd,
  cautionFor,
  coveringStep,
  leftOverOf,
  lidNow,
  placedLate,
  withFate,
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
  rebuildOf,
  type TemporaryChange,
  type Order,
  type Step,
  type Strip,
  type StripEventBody,
} from '.';
import { readLine } from '../stripLine';

const AT = '2026-01-12T09:00:00Z';
const apply = (strip: Strip, event: StripEventBody): Strip => {
  const next = applyStrip(strip, event);
  if (!next.ok) throw new Error(next.problem);
  return next.value;
};
/** A strip made of typed lines, as the page makes it. */
const typed = (...lines: string[]): Strip =>
  lines.reduce((strip, line, index) => {
    const [deed] = readLine(line)?.ways[0]?.does ?? [];
    if (deed?.type === 'step')
      return apply(strip, { type: 'stepPut', step: newStep(strip, deed.step, `s${index}`, AT) });
    if (deed?.type === 'change') {
      const read = deed;
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
        beforeStepId: null,
      };
      return apply(strip, { type: 'temporaryChangePut', change });
    }
    return strip;
  }, EMPTY_STRIP);
const stepFrom = (line: string) => {
  const [deed] = readLine(line)?.ways[0]?.does ?? [];
  if (deed?.type !== 'step') throw new Error('not a step');
  return deed.step;
};
const order = (firstId: string, thenId: string): Order => ({ id: `${firstId}<${thenId}`, firstId, thenId, why: '' });

describe('numbers and layers', () => {
  test('numbers are given once and never again, to what was not read too', () => {
    const strip = typed('3 ph1 back', 'a mumble', 'lid');
    expect(strip.steps.map(({ number }) => number)).toEqual([1, 2, 3]);
    const after = apply(strip, { type: 'stepRemoved', stepId: 's2' });
    const read = { step: stepFrom('tray') };
    expect(newStep(after, read.step, 'x', AT).number).toBe(4);
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
    const read = { step: stepFrom('1 ph1 in the lid') };
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
    const [first] = rebuildOf(apply(waiting, { type: 'stepPut', step: goneBack(plug, 1, AT) }));
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
        const wanted = [...strip.steps, ...strip.temporaryChanges].map(({ id }) => id);
        expect([...ids].sort()).toEqual([...wanted].sort());
        const first = items.findIndex((item) => item.type === 'try');
        const power = items.findLastIndex((item) => item.type === 'change' && item.change.before === 'power');
        if (first >= 0 && power >= 0) expect(power).toBeLessThan(first);
      }),
      { numRuns: 60 },
    );
  });
});

describe('chains of orders and changes, invented', () => {
  const NAMES: readonly TemporaryChange['kind'][] = [
    'stopPinOut',
    'laserBridged',
    'switchLeversOff',
    'lampShaded',
    'own',
  ];
  const LIMITS = ['power', 'lid', 'handBack'] as const;
  const chain = fc.record({
    count: fc.integer({ min: 1, max: 7 }),
    away: fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }),
    orders: fc.array(fc.tuple(fc.nat(6), fc.nat(6)), { maxLength: 8 }),
    changes: fc.array(
      fc.record({
        kind: fc.constantFrom(...NAMES),
        before: fc.constantFrom(...LIMITS),
        afterStep: fc.option(fc.nat(6)),
        beforeStep: fc.option(fc.nat(6)),
        after: fc.option(fc.nat(4)),
      }),
      { maxLength: 5 },
    ),
  });
  const made = ({ count, away, orders, changes }: typeof chain extends fc.Arbitrary<infer T> ? T : never): Strip => {
    let strip = typed(...['lid', 'tray', 'plug 8', '2 ph0 clamp', 'belt', 'front panel', 'cam gear'].slice(0, count));
    for (const [n, step] of strip.steps.entries())
      if (!away[n]) strip = apply(strip, { type: 'stepPut', step: goneBack(step, 1, AT) });
    const stepAt = (n: number | null) => (n !== null && n < count ? `s${n}` : null);
    const tell = (event: StripEventBody): void => {
      const next = applyStrip(strip, event);
      if (next.ok) strip = next.value;
    };
    for (const [first, then] of orders)
      if (first < count && then < count)
        tell({
          type: 'orderSaid',
          order: { id: `${first}-${then}`, firstId: `s${first}`, thenId: `s${then}`, why: '' },
        });
    for (const [n, { kind, before, afterStep, beforeStep, after }] of changes.entries())
      tell({
        type: 'temporaryChangePut',
        change: {
          id: `c${n}`,
          kind,
          words: `${kind} ${n}`,
          closes: '',
          before,
          openedAt: AT,
          closedAt: null,
          afterStepId: stepAt(afterStep),
          beforeStepId: stepAt(beforeStep),
          afterChangeId: after !== null && after < n ? `c${after}` : null,
        },
      });
    return strip;
  };
  test('an order holds through what is not off; nothing that waits for the try ends before it; what passes its limit says so', () => {
    fc.assert(
      fc.property(chain, (drawn) => {
        const strip = made(drawn);
        const items = rebuildOf(strip);
        const at = (id: string): number =>
          items.findIndex((item) =>
            item.type === 'step' ? item.step.id === id : item.type === 'change' && item.change.id === id,
          );
        const off = strip.steps.filter(({ removals }) => removals.some(({ back }) => back === null));
        // Whoever follows the orders from one step comes to every step that has to go later.
        for (const { id } of off) {
          const later = new Set<string>();
          const open = [id];
          for (let from = open.pop(); from !== undefined; from = open.pop())
            for (const { firstId, thenId } of strip.orders)
              if (firstId === from && !later.has(thenId)) {
                later.add(thenId);
                open.push(thenId);
              }
          for (const one of off) if (later.has(one.id)) expect(at(id)).toBeLessThan(at(one.id));
        }
        const trial = items.findIndex(({ type }) => type === 'try');
        // The lid, or the first cover that is off where it is on.
        const lidBack = at(off.find(({ kind }) => kind === 'cover')?.id ?? '');
        for (const change of strip.temporaryChanges) {
          const when = at(change.id);
          expect(when).toBeGreaterThanOrEqual(0);
          if (change.kind === 'stopPinOut') expect(when).toBeGreaterThan(trial);
          if (change.afterStepId !== null) expect(when).toBeGreaterThan(at(change.afterStepId));
          if (change.afterChangeId !== null) expect(when).toBeGreaterThan(at(change.afterChangeId));
          const item = items[when];
          const limit =
            change.before === 'power' ? trial : change.before === 'lid' && lidBack >= 0 ? lidBack : Infinity;
          expect(item?.type === 'change' && item.late).toBe(when > limit ? change.before : undefined);
        }
        expect(items.filter(({ type }) => type === 'try').length).toBeLessThanOrEqual(1);
      }),
      { numRuns: 1200 },
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
              const again = offAgain(strip, step, AT);
              if (!again.ok) throw new Error(again.problem);
              strip = apply(strip, { type: 'stepPut', step: again.value });
            }
            expect(countsOf(strip).out).toBe(there);
            // What was left over once is left over until it is placed, however often it is opened again.
            expect(countsOf(strip).leftOver).toBe(9 - there);
            const went = Math.min(back, there);
            strip = apply(strip, { type: 'stepPut', step: goneBack(strip.steps[0] as Step, went, AT) });
            expect(countsOf(strip).out).toBe(0);
            expect(countsOf(strip).leftOver).toBe(9 - went);
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
    const five = applyStrip(strip, { type: 'stepPut', step: goneBack(strip.steps[0] as Step, 5, AT) });
    expect(!five.ok && five.problem).toContain('4 came off, so 5 cannot go back');
    const twice = offAgain(strip, strip.steps[0] as Step, AT);
    expect(!twice.ok && twice.problem).toBe('Number 1 is off already.');
  });
  test('missing on arrival is no left-over; what is left alone is not counted out', () => {
    const strip = typed('2 hex8 rear, one short', '1 ph2 heat sink, leave alone');
    expect(countsOf(strip)).toMatchObject({ out: 2, shouldBe: 3, missingOnArrival: 1, leftOver: 0 });
  });
  test('what is left over, and what was found and has no home, is said', () => {
    const strip = typed('4 ph1 case');
    const short = apply(strip, { type: 'stepPut', step: goneBack(strip.steps[0] as Step, 3, AT) });
    const found = apply(short, {
      type: 'foundPut',
      found: {
        id: 'f1',
        kind: 'object',
        what: 'spring',
        where: 'under the tray',
        guess: '',
        homed: false,
        pictureIds: [],
      },
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
    beforeStepId: null,
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
    const back = apply(strip, { type: 'stepPut', step: goneBack(strip.steps[0] as Step, 1, AT) });
    expect(applyStrip(back, { type: 'temporaryChangePut', change: { ...waiting, closedAt: AT } }).ok).toBe(true);
  });
});

test('a step put in late stands where it came off, under the next number', () => {
  const strip = typed('4 ph1 case', 'lid');
  const read = { step: stepFrom('felt, lifted') };
  const late = apply(strip, { type: 'stepPut', step: newStep(strip, read.step, 'late', AT), beforeId: 's1' });
  expect(late.steps.map(({ id, number }) => [id, number])).toEqual([
    ['s0', 1],
    ['late', 3],
    ['s1', 2],
  ]);
});

describe('temporary changes under what covers them, and in chains', () => {
  const change = (id: string, more: Partial<TemporaryChange> = {}): TemporaryChange => ({
    id,
    kind: 'own',
    words: id,
    closes: '',
    before: 'handBack',
    openedAt: AT,
    closedAt: null,
    afterStepId: null,
    afterChangeId: null,
    beforeStepId: null,
    ...more,
  });
  const wayOf = (strip: Strip): string[] =>
    rebuildOf(strip).map((item) =>
      item.type === 'step' ? item.step.what : item.type === 'change' ? item.change.words : 'TRY',
    );
  test('bridged pads stop before the mechanism that covers them goes back, not only before the lid', () => {
    const strip = typed('lid', 'mechanism out', 'laser pads bridged');
    const covers = coveringStep('laserBridged', strip.steps);
    expect(covers?.what).toBe('mechanism');
    const pads = strip.temporaryChanges[0] as TemporaryChange;
    const held = apply(strip, { type: 'temporaryChangePut', change: { ...pads, beforeStepId: covers?.id ?? null } });
    expect(wayOf(held)).toEqual(['laser pads bridged', 'mechanism', 'TRY', 'lid']);
    // The lid asks for itself, and a stop pin lies covered by nothing.
    expect(coveringStep('laserBridged', typed('lid').steps)).toBeUndefined();
    expect(coveringStep('stopPinOut', strip.steps)).toBeUndefined();
  });
  test('three in a row end in their order, whatever order they were said in, and wait together for a step', () => {
    const chain = [
      change('a', { afterChangeId: 'b' }),
      change('b', { afterChangeId: 'c' }),
      change('c', { afterStepId: 's1' }),
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(chain, { minLength: 3 }), (list) => {
        const strip = { ...typed('lid', 'plug 6 grey'), temporaryChanges: list };
        const way = wayOf(strip);
        expect(way.filter((words) => 'abc'.includes(words))).toEqual(['c', 'b', 'a']);
        expect(way.indexOf('c')).toBeGreaterThan(way.indexOf('plug 6 grey'));
      }),
    );
  });
  test('one that can only end after what it forbids is named, through a chain too', () => {
    const pin = change('pin', { kind: 'stopPinOut', before: 'lid' });
    const levers = change('levers', { kind: 'switchLeversOff', before: 'power', afterChangeId: 'pin' });
    expect(cannotEnd(pin, [])).toBeUndefined();
    expect(cannotEnd(levers, [pin])).toBe(
      '“levers” must end before power, and “pin”, which must end first, can end only after power. Say another order, or another limit.',
    );
    expect(cannotEnd({ ...levers, before: 'handBack' }, [pin])).toBeUndefined();
  });
});

describe('what is said once', () => {
  test('the lid is off while its step is, on once that is back, and the later word wins', () => {
    const strip = typed('4 ph1 case', 'lid');
    expect(lidNow(null, strip.steps)).toEqual({ state: 'off', since: AT });
    expect(lidNow({ state: 'on', since: '2026-01-12T10:00:00Z' }, strip.steps)?.state).toBe('on');
    const back = strip.steps.map((step) => goneBack(step, 1, '2026-01-12T11:00:00Z'));
    expect(lidNow({ state: 'off', since: '2026-01-12T10:00:00Z' }, back)).toEqual({
      state: 'on',
      since: '2026-01-12T11:00:00Z',
    });
    // A cover of something within is no lid.
    expect(lidNow(null, typed('lens cover').steps)).toBeNull();
    for (const line of ['lid straight up', 'top cover lifted off', 'the hood slid back'])
      expect(lidNow(null, typed(line).steps)?.state, line).toBe('off');
    // The top of something inside is no lid.
    expect(lidNow(null, typed('top of the drive slid off').steps)).toBeNull();
  });
  test('what is left over is carried until it is placed or explained', () => {
    let step = goneBack(typed('4 ph1 case').steps[0] as Step, 3, AT);
    expect(leftOverOf(step)).toBe(1);
    const again = offAgain({ opening: 2 }, step, AT);
    if (!again.ok) throw new Error(again.problem);
    expect(leftOverOf(again.value)).toBe(1);
    step = goneBack(again.value, 3, AT);
    expect(leftOverOf(step)).toBe(1);
    expect(leftOverOf(placedLate(step, 1))).toBe(0);
    expect(leftOverOf({ ...step, explained: 'thread stripped' })).toBe(0);
  });
  test('another fate is another place: left alone it never came off, off it is counted', () => {
    const strip = typed('4 ph1 case');
    const left = withFate(strip, strip.steps[0] as Step, 'leftAlone', AT);
    expect(countsOf({ steps: [left] }).out).toBe(0);
    expect(countsOf({ steps: [withFate(strip, left, 'off', AT)] }).out).toBe(4);
  });
  test('a caution is said once for each kind of step', () => {
    const plug = { kind: 'connector', fate: 'pulled' } as const;
    expect(cautionFor(plug, [], 'tray')).toContain('By its body');
    expect(cautionFor(plug, [plug], 'tray')).toBe('');
    expect(cautionFor({ kind: 'part', fate: 'off' }, [], 'diskDrive')).not.toMatch(/tray/i);
  });
});
