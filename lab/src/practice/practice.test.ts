import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { LOADERS } from '@loose-pulley/core/base/loaders';
import { STATIONS } from '@loose-pulley/core/record/stations';
import { KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import { broughtIn, mayLay, PREPARED, PREPARED_VERSION, type Doing, type Hand } from '../hidden';
import { afterHands, alwaysAtHand, dealHard, ending, handName, handsAt, JUDGEMENTS, theMachine } from '.';

const hand = (what: Doing, which = ''): Hand => ({ do: what, what: which });
const INSIDE = [hand('power', 'off'), hand('open', 'lidOff')];
const PROVED = [hand('close'), hand('power', 'on'), hand('cycles'), hand('handBack')];
const which = (prepared: string | null, number = 1) =>
  ({ loader: 'tray', number, prepared, version: PREPARED_VERSION }) as const;
function machineOf(prepared: string) {
  const made = theMachine(KNOWLEDGE, which(prepared));
  if (!made.ok) throw new Error(made.problem);
  return made.value;
}
const endOf = (id: string, ...hands: readonly Hand[]) => ending(KNOWLEDGE, machineOf(id), id, hands);

describe('the machine of a ticket', () => {
  test.each([
    [which('newer'), 'There is no prepared machine'],
    [{ ...which('newer'), version: PREPARED_VERSION + 1 }, 'newer Loose Pulley'],
    [which(null, 0), 'Machines are numbered 1 to 999999'],
    [which(null, 1.5), 'Read 1.5'],
  ])('that is none is refused, and said why: %o', (one, words) => {
    const made = theMachine(KNOWLEDGE, one);
    expect(made.ok ? '' : made.problem).toContain(words);
  });
  test.each(['plain', 'seldom', 'two'] as const)(
    'as hard as asked for: %s, and the same from the same seed',
    (hard) => {
      const made = dealHard(KNOWLEDGE, 'tray', hard, 7);
      if (!made.ok) throw new Error(made.problem);
      expect(made.value.causes.length).toBe(hard === 'two' ? 2 : 1);
      const again = theMachine(KNOWLEDGE, which(null, made.value.number));
      expect(again.ok && again.value.causes).toEqual(made.value.causes);
    },
  );
});

describe('hands that are offered', () => {
  test.each(LOADERS)(
    'can all be laid on a %s that is open and unplugged, or plugged in, and have names of their own',
    (loader) => {
      const made = dealHard(KNOWLEDGE, loader, 'any', 3);
      if (!made.ok) throw new Error(made.problem);
      const offered = STATIONS.flatMap((station) => handsAt(station, loader));
      const closed = broughtIn(made.value);
      const { on: open } = afterHands(KNOWLEDGE, made.value, INSIDE);
      for (const one of [...offered, ...alwaysAtHand({ powered: true, lidOn: true })])
        expect(
          [mayLay(KNOWLEDGE, closed, one), mayLay(KNOWLEDGE, open, one)],
          handName(KNOWLEDGE, loader, one),
        ).toContain(null);
      const names = new Set(offered.map((one) => `${one.do} ${one.what}`));
      expect(
        new Set(
          [...names].map((one) =>
            handName(KNOWLEDGE, loader, { do: one.split(' ')[0] as Doing, what: one.split(' ')[1] ?? '' }),
          ),
        ).size,
      ).toBe(names.size);
    },
  );
});

describe('the end of a practice', () => {
  test('a belt on oil is saved by clean pulleys: right, and it says what it was', () => {
    const end = endOf(
      'oily',
      hand('test', 'behaviour'),
      ...INSIDE,
      hand('swab', 'pulleys'),
      hand('clean', 'pulleys'),
      ...PROVED,
    );
    expect(end).toMatchObject({ cured: true, right: true, belts: 0, judgement: 'oily', inVain: [], mishaps: [] });
    expect(end.truth).toEqual(['Belt or pulley oily']);
    expect(end.sentences[0]).toContain('a new one would have slipped as well');
    expect(end.sentences[1]).toContain('Nothing was done in vain');
    expect(end.honest?.steps.length).toBeGreaterThan(2);
  });
  test('what was there for nothing, what was forgotten, and what was never shown are said', () => {
    const vain = endOf(
      'oily',
      ...INSIDE,
      hand('cure', 'toothOut'),
      hand('clean', 'pulleys'),
      hand('close'),
      hand('handBack'),
    );
    expect(vain).toMatchObject({ cured: true, right: false });
    expect(vain.inVain.length).toBe(1);
    expect(vain.sentences[1]).toContain('was not there');
    expect(vain.sentences[2]).toContain('nobody could know');
    const hurt = endOf('oily', hand('open', 'lidOff'), hand('swab', 'pulleys'), hand('handBack'));
    expect(hurt.mishaps).toEqual(['powered', 'leftOpen']);
    expect(hurt.sentences[1]).toContain('Pull the plug first');
    expect(hurt.sentences[2]).toContain('without ten good cycles');
    expect(hurt.year).toEqual({ comesBack: true, why: 'notCured' });
  });
  test('a good proof of something that still hides is told as that', () => {
    const end = endOf('sound', hand('cycles'), hand('handBack'));
    expect(end.stillWrong.length).toBe(1);
    expect(end.sentences[2]).toContain('good');
  });
  test('its minutes are those of its hands, and what a question told is how much likelier it made the truth', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...PREPARED.slice(0, 3).map(({ id }) => id)),
        fc.subarray(
          [hand('test', 'behaviour'), ...INSIDE, hand('test', 'beltFeel'), hand('clean', 'pulleys'), hand('cycles')],
          { minLength: 1 },
        ),
        (id, hands) => {
          const { minutes, steps } = endOf(id, ...hands);
          expect(steps.reduce((sum, step) => sum + step.minutes, 0)).toBeCloseTo(minutes, 9);
          steps.forEach(({ bits }, at) => {
            expect(bits === null || Number.isFinite(bits)).toBe(true);
            if (hands[at]?.do !== 'test') expect(bits).toBeNull();
          });
        },
      ),
      { numRuns: 12 },
    ));
  test('every judgement has a name of its own, and each prepared machine is one', () => {
    expect(new Set(JUDGEMENTS.map(({ name }) => name)).size).toBe(JUDGEMENTS.length);
    expect(JUDGEMENTS.map(({ id }) => id)).toEqual([...PREPARED.map(({ id }) => id), 'other']);
  });
});
