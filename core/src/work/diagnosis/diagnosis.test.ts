import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import {
  believe,
  NO_BLUR,
  causeChances,
  checkKnowledge,
  evidenceOn,
  expectedBits,
  fitOf,
  inWords,
  KNOWLEDGE,
  LEAST,
  machineOf,
  nextStep,
  seenCause,
  outcomeChances,
  rankCauses,
  suggest,
  wouldLead,
  type Case,
  type Knowledge,
  type Observation,
} from '.';
import { LOADERS, loaderOf } from '../../base/loaders';

const given = (observations: Case['observations'], more: Partial<Case> = {}): Case => ({
  loader: 'tray',
  observations,
  cured: [],
  ruledOut: [],
  opened: 'lidOn',
  stillFails: false,
  ...more,
});
const saw = (testId: string, outcome: string, cured = 0): Observation => ({ testId, outcome, cured });

/** Two causes and one test, small enough for paper. */
const zeros = Object.fromEntries(LOADERS.map((loader) => [loader, 0])) as Record<'tray', number>;
const priors = (tray: number) => ({ ...zeros, tray }) as never;
const SMALL: Knowledge = {
  name: 'paper',
  pairShare: 0.1,
  causes: [
    { id: 'a', name: 'a', leads: 'none', remedy: '', priors: priors(60) },
    { id: 'b', name: 'b', leads: 'none', remedy: '', priors: priors(40) },
  ],
  tests: [
    {
      id: 't',
      name: 't',
      how: '',
      caution: '',
      loaders: ['tray'],
      minutes: 2,
      depth: 'lidOn',
      risk: 0,
      reversible: true,
      outcomes: [
        { id: 'fine', label: 'fine' },
        { id: 'bad', label: 'bad' },
      ],
      sound: [90, 10],
      given: { a: [20, 80], b: [80, 20] },
    },
  ],
};

describe('Bayes’ rule, worked by hand', () => {
  // a alone 0.6 × 0.9 = 0.54, b alone 0.4 × 0.9 = 0.36, both 2 × 0.6 × 0.4 × 0.1 = 0.048.
  // “bad”: 0.8 with a, 0.2 with b; both: 1 − 0.9 × (0.2/0.9) × (0.8/0.9) = 0.8222.
  // Joint 0.432, 0.072, 0.03947; sum 0.54347.
  test('two causes, alone and together', () => {
    const machine = machineOf(SMALL, 'tray');
    const [a = 0, b = 0] = causeChances(machine, believe(machine, given([saw('t', 'bad')])));
    expect(a).toBeCloseTo((0.432 + 0.03947) / 0.54347, 4);
    expect(b).toBeCloseTo((0.072 + 0.03947) / 0.54347, 4);
  });
  test('silent answers say nothing', () => {
    const machine = machineOf(SMALL, 'tray');
    expect(believe(machine, given([saw('t', 'unclear'), saw('t', 'notTried')]))).toEqual(believe(machine, given([])));
  });
});

describe('the knowledge as it comes', () => {
  test('can be reasoned with', () => expect(checkKnowledge(KNOWLEDGE)).toEqual({ ok: true, value: KNOWLEDGE }));
  test('speaks in the words of each machine', () => {
    const disk = KNOWLEDGE.tests.filter(({ loaders }) => loaders.includes('diskDrive'));
    for (const { how, name } of disk) expect(inWords(`${name} ${how}`, 'diskDrive')).not.toMatch(/\btray\b|\bdrawer\b/);
  });
  test('chances of any set of causes add up and are never certain', () => {
    const ids = KNOWLEDGE.causes.map(({ id }) => id);
    fc.assert(
      fc.property(
        fc.constantFrom(...KNOWLEDGE.tests),
        fc.uniqueArray(fc.constantFrom(...ids), { maxLength: 3 }),
        (one, causes) => {
          const chances = outcomeChances(one, causes);
          expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
          for (const chance of chances) expect(chance).toBeGreaterThanOrEqual(LEAST - 1e-12);
        },
      ),
    );
  });
  test('a second cause that a test does not know changes nothing much', () => {
    const feel = KNOWLEDGE.tests.find(({ id }) => id === 'beltFeel');
    if (!feel) throw new Error('no beltFeel');
    const alone = outcomeChances(feel, ['beltSlack']);
    outcomeChances(feel, ['beltSlack', 'switchDirty']).forEach((chance, i) =>
      expect(Math.abs(chance - (alone[i] ?? 0))).toBeLessThan(0.03),
    );
  });
});

/** Answers drawn from the knowledge, each test at most once. */
const answers = (loader: Case['loader']) => {
  const { tests } = machineOf(KNOWLEDGE, loader);
  return fc
    .uniqueArray(fc.constantFrom(...tests), { maxLength: 8, selector: ({ id }) => id })
    .chain((chosen) =>
      fc.tuple(
        ...chosen.map(({ id, outcomes }) =>
          fc.constantFrom(...outcomes.map((one) => one.id), 'unclear').map((outcome) => saw(id, outcome)),
        ),
      ),
    );
};

describe('laws', () => {
  const machine = machineOf(KNOWLEDGE, 'slot');
  test('beliefs add up, and the order of answers does not matter', () => {
    fc.assert(
      fc.property(answers('slot'), (list) => {
        const forth = believe(machine, given(list, { loader: 'slot' }));
        const back = believe(machine, given([...list].reverse(), { loader: 'slot' }));
        expect(forth.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
        forth.forEach((chance, h) => expect(back[h]).toBeCloseTo(chance, 9));
      }),
      { numRuns: 30 },
    );
  });
  test('expected bits agree with plain enumeration of every outcome (mutual information), and never pass what is open', () => {
    fc.assert(
      fc.property(answers('slot'), (list) => {
        const belief = believe(machine, given(list, { loader: 'slot' }));
        const entropy = -belief.reduce((sum, p) => sum + (p > 0 ? p * Math.log2(p) : 0), 0);
        expectedBits(machine, belief).forEach((bits, t) => {
          let mutual = 0;
          for (const row of machine.chances[t] ?? []) {
            const outcome = belief.reduce((sum, p, h) => sum + p * (row[h] ?? 0), 0);
            belief.forEach((p, h) => {
              if (p > 0) mutual += p * (row[h] ?? 0) * Math.log2((row[h] ?? 0) / outcome);
            });
          }
          expect(bits).toBeCloseTo(mutual, 8);
          expect(bits).toBeLessThanOrEqual(entropy + 1e-9);
        });
      }),
      { numRuns: 10 },
    );
  });
});

describe('the adviser at work', () => {
  const machine = machineOf(KNOWLEDGE, 'tray');
  const first = (one: Case) => rankCauses(machine, believe(machine, one))[0]?.causeId;
  test.each<readonly [string, Case['loader'], Observation[]]>([
    ['beltSlack', 'tray', [saw('sound', 'runsFree'), saw('emptyLoaded', 'failsEmpty'), saw('beltFeel', 'slack')]],
    ['beltOily', 'tray', [saw('sound', 'runsFree'), saw('holdEject', 'slips'), saw('beltFeel', 'oily')]],
    ['switchDirty', 'tray', [saw('behaviour', 'reverses'), saw('switch', 'dirty')]],
    ['rollerLink', 'slot', [saw('behaviour', 'part'), saw('rattle', 'rattles')]],
    ['modeGear', 'slot', [saw('sound', 'silence'), saw('pull', 'blocked'), saw('unplug', 'same')]],
    ['lensDirty', 'lift', [saw('behaviour', 'works'), saw('reads', 'slow'), saw('spins', 'spins')]],
    ['latched', 'carousel', [saw('behaviour', 'nothing'), saw('unplug', 'works')]],
    ['operator', 'tray', [saw('use', 'wrong'), saw('behaviour', 'works')]],
  ])('%s leads on a %s', (causeId, loader, list) => {
    const own = machineOf(KNOWLEDGE, loader);
    expect(rankCauses(own, believe(own, given(list, { loader })))[0]?.causeId).toBe(causeId);
  });
  test('the lid stays on while there is something to ask outside', () => {
    const order = suggest(machine, believe(machine, given([])), given([]));
    const depth = (id: string | undefined) => machine.tests.find((one) => one.id === id)?.depth;
    expect(order.slice(0, 4).map(({ testId }) => depth(testId))).toEqual(['lidOn', 'lidOn', 'lidOn', 'lidOn']);
    const opened = suggest(machine, believe(machine, given([])), given([], { opened: 'lidOff' }));
    const place = (list: typeof order) => list.findIndex(({ testId }) => testId === 'beltFeel');
    expect(place(opened)).toBeLessThan(place(order));
  });
  test('what was answered is not asked again, what was passed over comes last', () => {
    const one = given([saw('sound', 'unclear'), saw('behaviour', 'notTried')]);
    const order = suggest(machine, believe(machine, one), one).map(({ testId }) => testId);
    expect(order).not.toContain('sound');
    expect(order[order.length - 1]).toBe('behaviour');
  });
  test('a cause that is ruled out is out, whatever speaks for it', () => {
    const list = [saw('sound', 'runsFree'), saw('beltFeel', 'slack')];
    expect(first(given(list))).toBe('beltSlack');
    const ranked = rankCauses(machine, believe(machine, given(list, { ruledOut: ['beltSlack'] })));
    expect(ranked.find(({ causeId }) => causeId === 'beltSlack')?.chance).toBe(0);
  });
  test('after a cure its evidence is spent: what it explained speaks for nothing else', () => {
    const before = [saw('sound', 'runsFree'), saw('beltFeel', 'slack'), saw('holdEject', 'slips')];
    const cured = given(before, { cured: ['beltSlack'] });
    const belief = believe(machine, cured);
    expect(belief[0]).toBeGreaterThan(0.7);
    const works = believe(machine, given([...before, saw('behaviour', 'works', 1)], { cured: ['beltSlack'] }));
    expect(works[0]).toBeGreaterThan(belief[0] ?? 1);
    const still = believe(
      machine,
      given([...before, saw('behaviour', 'reverses', 1)], { cured: ['beltSlack'], stillFails: true }),
    );
    expect(still[0]).toBe(0);
    expect(rankCauses(machine, still)[0]?.causeId).toBe('switchDirty');
    // The list runs again: what was asked before may be asked anew.
    expect(suggest(machine, belief, cured).map(({ testId }) => testId)).toContain('sound');
  });
  test('two faults at once are found as two', () => {
    const list = [
      saw('sound', 'runsFree'),
      saw('beltFeel', 'slack'),
      saw('holdEject', 'slips'),
      saw('switch', 'dirty'),
      saw('behaviour', 'reverses'),
    ];
    const top = rankCauses(machine, believe(machine, given(list))).slice(0, 2);
    expect(top.map(({ causeId }) => causeId).sort()).toEqual(['beltSlack', 'switchDirty']);
  });
  test('says what speaks for and against, and what would change the order', () => {
    const one = given([saw('sound', 'runsFree'), saw('tapped', 'noHelp')]);
    const evidence = evidenceOn(machine, one, 'beltSlack');
    expect(evidence[0]).toMatchObject({ observation: { testId: 'sound' } });
    expect(evidence[0]?.factor).toBeGreaterThan(2);
    expect(evidence[1]?.factor).toBeLessThan(1);
    const leads = wouldLead(machine, believe(machine, one), 'beltFeel');
    expect(leads.find(({ outcomeId }) => outcomeId === 'oily')?.causeId).toBe('beltOily');
    expect(leads.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 6);
  });
  test('what contradicts itself fits nothing, and the least expected is named first', () => {
    const one = given([
      saw('beltLook', 'broken'),
      saw('beltFeel', 'firm'),
      saw('holdEject', 'pushes'),
      saw('behaviour', 'works'),
      saw('sound', 'silence'),
      saw('lock', 'on'),
      saw('dark', 'works'),
    ]);
    const fit = fitOf(machine, one, believe(machine, one));
    expect(fit.fits).toBe(false);
    expect(fit.doubt.length).toBeGreaterThan(1);
    const plain = given([saw('sound', 'runsFree'), saw('beltFeel', 'slack'), saw('tapped', 'helps')]);
    expect(fitOf(machine, plain, believe(machine, plain)).fits).toBe(true);
  });
});

describe('how sure it may be', () => {
  const machine = machineOf(KNOWLEDGE, 'tray');
  const chanceOf = (list: Observation[], id: string, blurs?: typeof NO_BLUR) =>
    rankCauses(machine, believe(machine, given(list), blurs)).find(({ causeId }) => causeId === id)?.chance ?? 0;
  test('the odds are integrated over tables: less sure than the table at its word, and what was seen with the eye is not blurred', () => {
    const felt = [saw('sound', 'runsFree'), saw('beltFeel', 'slack'), saw('holdEject', 'slips')];
    expect(chanceOf(felt, 'beltSlack')).toBeLessThan(chanceOf(felt, 'beltSlack', NO_BLUR));
    const seen = [saw('lock', 'on')];
    expect(chanceOf(seen, 'transportLock')).toBeCloseTo(chanceOf(seen, 'transportLock', NO_BLUR), 9);
  });
  test('an answer is the sight of a cause where it hardly ever comes with another', () => {
    expect(seenCause(machineOf(KNOWLEDGE, 'slot'), 'link', 'off')).toBe('rollerLink');
    expect(seenCause(machine, 'beltLook', 'broken')).toBe('beltBroken');
    expect(seenCause(machine, 'sound', 'runsFree')).toBeUndefined();
    expect(seenCause(machine, 'link', 'home')).toBeUndefined();
  });
  test('a firm and dull belt never makes “broken” lead', () => {
    for (const loader of LOADERS) {
      const own = machineOf(KNOWLEDGE, loader);
      const first = (list: Observation[]) => rankCauses(own, believe(own, given(list, { loader })))[0]?.causeId;
      expect(first([saw('beltFeel', 'firm')])).not.toMatch(/beltBroken|beltDissolved|beltOff/);
    }
  });
});

describe('when to stop asking', () => {
  const step = (loader: Case['loader'], list: Observation[], more: Partial<Case> = {}, seen: string[] = []) => {
    const machine = machineOf(KNOWLEDGE, loader);
    const one = given(list, { loader, ...more });
    const belief = believe(machine, one);
    return nextStep(machine, belief, one.opened, suggest(machine, belief, one), seen);
  };
  test('nothing known: it asks; once whatever the answer it comes open, it says so', () => {
    expect(step('tray', []).do).toBe('ask');
    expect(step('tray', [saw('sound', 'runsFree'), saw('behaviour', 'nothing'), saw('pull', 'comes')])).toMatchObject({
      do: 'open',
    });
  });
  test('what was seen is gone to, without six questions that lead to the same', () => {
    expect(step('slot', [saw('link', 'off')], { opened: 'lidOff' }, ['rollerLink'])).toMatchObject({
      do: 'go',
      causeId: 'rollerLink',
      lead: 'train',
    });
  });
  test('no test is asked none of whose answers would change what is done (a law)', () => {
    const machine = machineOf(KNOWLEDGE, 'slot');
    fc.assert(
      fc.property(answers('slot'), fc.constantFrom('lidOn' as const, 'lidOff' as const), (list, opened) => {
        const one = given(list, { loader: 'slot', opened });
        const belief = believe(machine, one);
        const next = nextStep(machine, belief, opened, suggest(machine, belief, one));
        if (next.do !== 'ask') return;
        const lead = (causeId: string) => machine.causes.find(({ id }) => id === causeId)?.leads ?? '';
        const outside = (one: string) => one === 'none' || one === 'complaints';
        const plan = (causeId: string) => (opened === 'lidOn' && !outside(lead(causeId)) ? 'open' : lead(causeId));
        const now = plan(rankCauses(machine, belief)[0]?.causeId ?? '');
        expect(wouldLead(machine, belief, next.testId).some(({ causeId }) => plan(causeId) !== now)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  test('what the state of the machine makes impossible is not proposed', () => {
    const machine = machineOf(KNOWLEDGE, 'tray');
    const one = given([], { opened: 'lidOff', impossible: ['beltFeel', 'turnHand'] });
    const proposed = suggest(machine, believe(machine, one), one).map(({ testId }) => testId);
    expect(proposed).not.toContain('beltFeel');
    expect(proposed).toContain('beltLook');
  });
  test('the most for each test is another order than the most for each minute', () => {
    const machine = machineOf(KNOWLEDGE, 'tray');
    const one = given([]);
    const belief = believe(machine, one);
    const [perTest] = suggest(machine, belief, one, 'test');
    const bits = suggest(machine, belief, one).map((each) => each.bits);
    expect(perTest?.bits).toBe(Math.max(...bits));
  });
});

test('the weights and names of a loader’s record are of causes that there are', () => {
  const ids = new Set(KNOWLEDGE.causes.map(({ id }) => id));
  for (const loader of LOADERS) {
    const { causeWeights, causeNames } = loaderOf(loader);
    expect([...Object.keys(causeWeights), ...Object.keys(causeNames)].filter((id) => !ids.has(id))).toEqual([]);
  }
});
