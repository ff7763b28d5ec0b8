import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CATALOGUE } from '@loose-pulley/core/belts/catalogue';
import { KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import {
  broughtIn,
  CLEANED,
  dealWith,
  lay,
  mayLay,
  PREPARED,
  PREPARED_VERSION,
  prepared,
  verdictNow,
  withinYear,
  type Doing,
  type Hand,
  type OnBench,
} from '.';

function brought(causes: readonly string[], number = 1): OnBench {
  const made = dealWith('tray', causes, number);
  if (!made.ok) throw new Error(made.problem);
  return broughtIn(made.value);
}
const hand = (what: Doing, which = ''): Hand => ({ do: what, what: which });
/** All hands, one after the other. */
const after = (on: OnBench, ...hands: readonly Hand[]): OnBench =>
  hands.reduce((now, one) => lay(KNOWLEDGE, now, one).on, on);
const INSIDE = [hand('power', 'off'), hand('open', 'lidOff')];
/** The longest that is right: a tighter one may hold even on oil. */
const rightFor = (on: OnBench): string =>
  CATALOGUE.filter((belt) => verdictNow(on, belt) === 'right').sort((a, b) => b.innerLengthMm - a.innerLengthMm)[0]
    ?.id ?? '';
const looseFor = (on: OnBench): string => CATALOGUE.find((belt) => verdictNow(on, belt) === 'tooLoose')?.id ?? '';

const HANDS: readonly Hand[] = [
  hand('eject'),
  hand('force'),
  hand('power', 'off'),
  hand('power', 'on'),
  hand('open', 'lidOff'),
  hand('close'),
  hand('wait'),
  hand('cycles'),
  hand('test', 'beltFeel'),
  hand('test', 'behaviour'),
  hand('measure', 'motorJaws'),
  hand('cure', 'toothOut'),
  hand('fit', CATALOGUE[40]?.id ?? ''),
  ...CLEANED.flatMap((place) => [hand('swab', place), hand('clean', place)]),
];

describe('hands on a hidden machine', () => {
  test('come to the same in the same order, cost no less than nothing, and what is refused changes nothing', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('beltOily', 'toothOut', 'guidesDry', 'operator'),
        fc.array(fc.constantFrom(...HANDS), { maxLength: 8 }),
        (cause, hands) => {
          let on = brought([cause]);
          for (const one of hands) {
            const laid = lay(KNOWLEDGE, on, one);
            expect(laid).toEqual(lay(KNOWLEDGE, on, one));
            expect(laid.on.minutes - on.minutes).toBeCloseTo(laid.minutes, 9);
            expect(laid.minutes).toBeGreaterThanOrEqual(0);
            expect(laid.words).not.toBe('');
            if (mayLay(KNOWLEDGE, on, one) !== null) expect(laid.on).toBe(on);
            on = laid.on;
          }
        },
      ),
      { numRuns: 25 },
    ));
  test.each([
    ['test', 'nobody', 'There is no test'],
    ['test', 'rollers', 'for this kind of loader'],
    ['cure', 'nobody', 'There is no cause'],
    ['open', 'everything', 'It may be lidOff, deep'],
    ['power', 'half', 'It may be on, off'],
    ['swab', 'sleeve', 'It may be pulleys, guides'],
    ['swab', 'pulleys', 'Take the lid off first'],
  ] as const)('%s %s is refused, and said why', (what, which, why) => {
    const on = brought(['toothOut']);
    expect(lay(KNOWLEDGE, on, hand(what, which)).words).toContain(why);
    expect(lay(KNOWLEDGE, on, hand(what, which)).minutes).toBe(0);
  });
  test('nothing runs unplugged, and nothing is done to what went back', () => {
    expect(mayLay(KNOWLEDGE, after(brought(['beltOily']), hand('power', 'off')), hand('eject'))).toBe(
      'It is unplugged.',
    );
    expect(mayLay(KNOWLEDGE, after(brought(['beltOily']), hand('handBack')), hand('eject'))).toBe('It has gone back.');
  });
  test('clean pulleys cure an oily belt, and no part is bought; cleaned elsewhere it goes on failing', () => {
    const on = after(brought(['beltOily']), ...INSIDE);
    const wiped = after(on, hand('clean', 'pulleys'));
    expect(lay(KNOWLEDGE, on, hand('swab', 'pulleys')).words).toContain('oily');
    expect(lay(KNOWLEDGE, wiped, hand('swab', 'pulleys')).words).toContain('clean');
    const tried = (now: OnBench) =>
      lay(KNOWLEDGE, after(now, hand('close'), hand('power', 'on')), hand('cycles')).cycles;
    expect(tried(wiped)?.every(Boolean)).toBe(true);
    expect(tried(after(on, hand('clean', 'switch')))?.every(Boolean)).toBe(false);
  });
  test('a belt that would be right slips on oily pulleys, and holds on clean ones', () => {
    const on = after(brought(['beltSlack', 'beltOily']), ...INSIDE);
    const dry = after(on, hand('clean', 'pulleys'), hand('wait'));
    const belt = hand('fit', rightFor(dry));
    expect(lay(KNOWLEDGE, on, belt).verdict).toBe('tooLoose');
    expect(lay(KNOWLEDGE, dry, belt).verdict).toBe('right');
    expect(lay(KNOWLEDGE, dry, belt).on.left).toEqual([]);
    const loose = lay(KNOWLEDGE, dry, hand('fit', looseFor(dry)));
    expect([loose.verdict, loose.on.left]).toEqual(['tooLoose', ['beltWrong']]);
  });
  test('a second fault shows itself in the cycles after the first is cured', () => {
    const on = after(brought(['beltSlack', 'switchTorn']), ...INSIDE, hand('clean', 'pulleys'), hand('wait'));
    const fitted = after(on, hand('fit', rightFor(on)), hand('close'), hand('power', 'on'));
    expect(fitted.left).toEqual(['switchTorn']);
    expect(lay(KNOWLEDGE, fitted, hand('cycles')).cycles?.some((good) => !good)).toBe(true);
  });
  test('a part bought for what was not there is counted in vain', () => {
    const on = after(brought(['switchDirty']), ...INSIDE, hand('cure', 'gearCracked'));
    expect([on.parts, on.partsInVain, on.inVain]).toEqual([['gearCracked'], ['gearCracked'], ['gearCracked']]);
  });
  test('of a belt that fell apart nothing is left to be measured', () => {
    const on = after(brought(['beltDissolved']), ...INSIDE);
    expect(lay(KNOWLEDGE, on, hand('measure', 'overCap')).readings).toEqual([]);
    expect(lay(KNOWLEDGE, on, hand('measure', 'motorJaws')).readings?.length).toBeGreaterThan(0);
  });
});

describe('what is forgotten happens, once', () => {
  test('power with hands inside', () => {
    const on = after(brought(['beltOily']), hand('open', 'lidOff'));
    expect(lay(KNOWLEDGE, on, hand('swab', 'pulleys')).mishaps).toEqual(['powered']);
    const again = lay(KNOWLEDGE, after(on, hand('swab', 'pulleys')), hand('swab', 'guides'));
    expect(again.mishaps).toEqual([]);
    expect(lay(KNOWLEDGE, after(on, hand('power', 'off')), hand('swab', 'pulleys')).mishaps).toEqual([]);
  });
  test('a belt on wet pulleys costs its minutes; on dry ones none', () => {
    const wet = after(brought(['beltSlack']), ...INSIDE, hand('clean', 'pulleys'));
    const fit = hand('fit', rightFor(wet));
    const [on, dry] = [lay(KNOWLEDGE, wet, fit), lay(KNOWLEDGE, after(wet, hand('wait')), fit)];
    expect([on.mishaps, dry.mishaps]).toEqual([['wet'], []]);
    expect(on.minutes - dry.minutes).toBe(12);
  });
  test('force breaks a gear where something holds, and nothing where nothing does', () => {
    const held = lay(KNOWLEDGE, brought(['discJammed']), hand('force'));
    expect([held.mishaps, held.on.left]).toEqual([['forced'], ['discJammed', 'gearCracked']]);
    expect(lay(KNOWLEDGE, brought(['beltOily']), hand('force')).on.left).toEqual(['beltOily']);
  });
  test('it goes home with its lid off', () => {
    expect(lay(KNOWLEDGE, after(brought(['beltOily']), ...INSIDE), hand('handBack')).mishaps).toEqual(['leftOpen']);
  });
});

describe('a year', () => {
  test('what was not cured comes back, and a belt that only just hangs on does', () => {
    expect(withinYear(brought(['toothOut']))).toEqual({ comesBack: true, why: 'notCured' });
    const on = after(brought(['beltSlack']), ...INSIDE, hand('clean', 'pulleys'), hand('wait'));
    const slack = CATALOGUE.find(({ id }) => id === looseFor(on)) ?? null;
    expect(withinYear({ ...on, left: [], belt: slack }).why).toBe('loose');
  });
  test('of twenty with a right belt most last', () => {
    const last = Array.from({ length: 20 }, (_, i) => {
      const on = after(brought(['beltSlack'], i + 1), ...INSIDE, hand('clean', 'pulleys'), hand('wait'));
      return withinYear(after(on, hand('fit', rightFor(on)))).comesBack ? 0 : 1;
    }).reduce<number>((sum, one) => sum + one, 0);
    expect(last).toBeGreaterThan(14);
  });
});

describe('prepared machines', () => {
  test('are twelve, each with what it says, the same everywhere', () => {
    expect(PREPARED).toHaveLength(12);
    for (const { id, causes } of PREPARED) {
      const made = prepared(id);
      expect(made.ok && made.value.causes).toEqual(causes);
      expect(made).toEqual(prepared(id));
    }
  });
  test('the one that is too tight has a belt far shorter than its path; the sound one works', () => {
    const [tight, sound] = [prepared('tooTight'), prepared('sound')];
    if (!tight.ok || !sound.ok) throw new Error('both are prepared');
    expect(tight.value.oldBelt.innerLengthMm / tight.value.drive.pathMm).toBeLessThan(0.85);
    expect(lay(KNOWLEDGE, broughtIn(sound.value), hand('eject')).seconds).not.toBeNull();
  });
  test('one of a newer app is said to be that, and one of nobody’s is not', () => {
    const [newer, nobody] = [prepared('later', PREPARED_VERSION + 1), prepared('nobody')];
    expect(!newer.ok && newer.problem).toContain('A newer Loose Pulley');
    expect(!nobody.ok && nobody.problem).toContain('no prepared machine “nobody”');
  });
});
