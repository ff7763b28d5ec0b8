import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { CATALOGUE, SQUARE_BELTS } from '../catalogue';
import { driveFacts, type Reading } from '../measuring';
import {
  cannotGoOn,
  DEFAULT_PRIORS,
  DEFAULT_REQUIREMENTS,
  healthyPullN,
  judge,
  oldBeltFinding,
  rank,
  reasons,
  rulesOfThumb,
  situationOf,
  zones,
  type Situation,
} from '.';

const flat = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } } as const;
const take = (measurand: Reading['measurand'], method: string, amount: number): Reading => ({
  id: `${measurand}-${method}`,
  measurand,
  method,
  typed: String(amount),
  amount,
  aux: {},
  ownStd: null,
});
const readings = [
  take('section', 'sectionJaws', 1.2),
  take('oldBelt', 'doubledOuter', 66.4),
  take('motorDiameter', 'motorJaws', 6),
  take('drivenDiameter', 'drivenJaws', 24.8),
  take('centreDistance', 'shaftToShaft', 38.2),
];
const facts = driveFacts(readings, flat);
const situation = (list = readings, motorSurface: Situation['motorSurface'] = 'clean'): Situation => {
  const result = situationOf(driveFacts(list, flat), { motorSurface, drivenSurface: 'clean', oldShape: 'square' });
  if (!result.ok) throw new Error(result.problem);
  return result.value;
};
const square12 = SQUARE_BELTS.filter(({ thicknessMm }) => thicknessMm === 1.2);
const at = (innerLengthMm: number, where = situation()) =>
  judge(where, { shape: 'square', thicknessMm: 1.2, innerLengthMm });

describe('what the motor has', () => {
  const pulled = [...readings, take('trayPull', 'scalePull', 2)];
  const left = (list: readonly Reading[]) => at(116, situation([...list]))?.running?.motorLeftRatio ?? NaN;
  test('held at 2 N while 2 N move the tray, it has twice the need, but for what the bushes take under either belt', () => {
    const ratio = left([...pulled, take('stallPull', 'stalledMotor', 2)]);
    expect(ratio).toBeLessThan(2.2);
    expect(ratio).toBeGreaterThan(1.8);
    // A belt that pulls as hard as the one it was held through leaves just that.
    const judged = at(116, situation([...pulled, take('stallPull', 'stalledMotor', 2)]))?.running;
    const bushes = (judged?.motorLeftRatio ?? NaN) - 2;
    expect(Math.sign(bushes)).toBe(Math.sign(DEFAULT_PRIORS.heldThroughN.best - (judged?.freshPullN ?? NaN)));
  });
  test('a stronger motor leaves more; a slipping belt only says that it has at least so much', () => {
    expect(left([...pulled, take('stallPull', 'stalledMotor', 3)])).toBeGreaterThan(
      left([...pulled, take('stallPull', 'stalledMotor', 2)]),
    );
    expect(left([...pulled, take('stallPull', 'stalledSlipping', 0.2)])).toBe(left(pulled));
    expect(left([...pulled, take('stallPull', 'stalledSlipping', 9)])).toBeGreaterThan(left(pulled));
  });
});

describe('idlers', () => {
  const cam = {
    id: 'o',
    name: 'cam',
    xMm: 18,
    yMm: 22,
    bottomDiameterMm: 8,
    groove: { form: 'flat' },
    back: false,
    driven: true,
    after: 'driven',
  } as const;
  const withCam = (surface: 'oily' | null, more: Partial<typeof cam> = {}) => {
    const result = situationOf(driveFacts(readings, { ...flat, idlers: [{ ...cam, ...more }] }), {
      motorSurface: 'clean',
      drivenSurface: 'clean',
      oldShape: 'square',
      idlers: [{ surface }],
    });
    if (!result.ok) throw new Error(result.problem);
    const judged = judge(result.value, {
      shape: 'square',
      thicknessMm: 1.2,
      innerLengthMm: 0.92 * result.value.path.value,
    });
    if (!judged?.running) throw new Error('not judged');
    return judged.running;
  };
  test('an oily one that drives something slips first, and is named', () => {
    expect(withCam('oily').gripRatio).toBeLessThan(0.5 * withCam(null).gripRatio);
    expect(withCam('oily').grip.weaker).toBe('cam');
    expect(withCam('oily', { driven: false as true }).gripRatio).toBe(
      withCam(null, { driven: false as true }).gripRatio,
    );
  });
  test('its bush takes its part of the motor, a small pulley more', () => {
    expect(withCam(null, { bottomDiameterMm: 4 as 8 }).motorLeftRatio).toBeLessThan(withCam(null).motorLeftRatio);
  });
});

describe('judging one belt', () => {
  test('stretch on the centre line: (127.1 + π·t′)/(116 + π·1.2) − 1, worked by hand', () => {
    const judged = at(116);
    const thinMm = 1.2 / Math.sqrt(1.0914);
    expect(judged?.strain).toBeCloseTo((127.1055 + Math.PI * thinMm) / (116 + Math.PI * 1.2) - 1, 3);
  });
  test('shorter belts pull, load and grip more', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 124, noNaN: true }), (length) => {
        const [short, long] = [at(length)?.running, at(length + 1)?.running];
        expect(short?.freshPullN).toBeGreaterThan(long?.freshPullN ?? 0);
        expect(short?.motorLoadN).toBeGreaterThan(long?.motorLoadN ?? 0);
        expect(short?.gripRatio).toBeGreaterThan(long?.gripRatio ?? 0);
      }),
    );
  });
  test('an oily motor pulley slips where a clean one holds', () => {
    expect(at(116)?.zone).toBe('snug');
    expect(at(116, situation(readings, 'oily'))?.zone).toBe('slips');
  });
  test('the old belt hangs: longer than its path, it pulls nothing', () => {
    const old = at(130);
    expect(old?.strain).toBeLessThan(0);
    expect(old?.zone).toBe('slips');
    expect(old?.running?.freshPullN).toBe(0);
    expect(oldBeltFinding(facts)?.slack).toBe(true);
  });
  test('a measured stiff tray raises the need; the motor is thought the stronger for it, but not in proportion', () => {
    const stiff = at(116, situation([...readings, take('trayPull', 'scalePull', 2.8)]))?.running;
    const usual = at(116)?.running;
    expect(stiff?.gripRatio).toBeCloseTo((usual?.gripRatio ?? 0) / 2, 6);
    expect(stiff?.motorLeftRatio).toBeLessThan(usual?.motorLeftRatio ?? 0);
    expect(stiff?.motorLeftRatio).toBeGreaterThan((usual?.motorLeftRatio ?? 0) / 2);
    // By hand: ln 2 of excess, of which 0.25²/(0.25² + 0.286²) = 0.434 is stiffness.
    expect(healthyPullN(2.8, DEFAULT_PRIORS)).toBeCloseTo(2.8 * 2 ** -0.4337, 3);
    expect(healthyPullN(1, DEFAULT_PRIORS)).toBe(1);
  });
});

test('a belt shorter than rubber can be stretched is refused in words', () => {
  const tiny = at(20);
  expect(tiny && cannotGoOn(tiny)).toContain('times its length');
  const tight = at(100);
  expect(tight && cannotGoOn(tight)).toBeUndefined();
});

describe('the ranking', () => {
  const ranking = rank(situation(), CATALOGUE);
  test('recommends the old section, snug, below the path', () => {
    expect(ranking.best?.catalogueBelt.id).toBe('square-1.2-112');
    expect(ranking.best?.judgement.zone).toBe('snug');
    expect(ranking.down?.catalogueBelt.id).toBe('square-1.2-108');
    expect(ranking.up?.catalogueBelt.id).toBe('square-1.2-116');
  });
  test('goes by the least margin', () => {
    const margins = ranking.candidates.map(({ judgement }) => judgement.margin);
    expect(margins).toEqual([...margins].sort((a, b) => b - a));
    for (const { judgement } of ranking.candidates)
      expect(judgement.margin).toBe(Math.min(...Object.values(judgement.margins)));
  });
  test('says so when nothing in the list can work', () => {
    expect(
      rank(
        situation(),
        SQUARE_BELTS.filter(({ innerLengthMm }) => innerLengthMm > 140),
      ).nothingFits,
    ).toBe(true);
    expect(rank(situation(), []).best).toBeUndefined();
  });
  test('works from a string alone, by stretch, and says what it cannot know', () => {
    const alone = rank(
      situation([take('section', 'sectionJaws', 1.2), take('stringPath', 'stringRound', 129.6)]),
      square12,
    );
    expect(alone.best?.judgement.running).toBeUndefined();
    expect(alone.best?.judgement.strain).toBeGreaterThan(0.04);
    expect(alone.best?.judgement.strain).toBeLessThan(0.13);
    expect(alone.best && reasons(alone.best.judgement, situation()).join(' ')).toContain('the grip for usual pulleys');
  });
});

describe('the zones of the ruler', () => {
  test('run from too tight to slips without a gap, bounded by the limits', () => {
    const found = zones(situation(), { shape: 'square', thicknessMm: 1.2 }, 95, 135);
    expect(found.map(({ zone }) => zone)).toEqual(['tooTight', 'firm', 'snug', 'easy', 'slips']);
    found.slice(1).forEach((zone, i) => expect(zone.fromMm).toBeCloseTo(found[i]?.toMm ?? 0, 9));
    const bound = found.find(({ zone }) => zone === 'easy')?.toMm ?? 0;
    // The same least grip that the chances go by: a belt of 1.05 is not easy here and slipping there.
    expect(at(bound)?.running?.gripRatio).toBeCloseTo(DEFAULT_REQUIREMENTS.gripMin, 2);
    expect(at(found.find(({ zone }) => zone === 'firm')?.fromMm ?? 0)?.strain).toBeCloseTo(0.2, 3);
  });
  test('have no snug where a stiff tray and an oily pulley leave none', () => {
    const hopeless = situation([...readings, take('trayPull', 'scalePull', 4)], 'oily');
    expect(zones(hopeless, { shape: 'square', thicknessMm: 1.2 }, 95, 135).some(({ zone }) => zone === 'snug')).toBe(
      false,
    );
  });
});

describe('the rulesOfThumb', () => {
  const found = rulesOfThumb(facts, situation(), square12);
  const rule = (id: string) => found.find((one) => one.id === id);
  test('a tenth off buys what reads nine tenths of the old doubled length: 0.9 × 132.8 less the same 4.8', () => {
    expect(rule('tenthOff')?.aimMm).toBeCloseTo(114.72, 2);
    expect(rule('tenthOff')?.pick?.innerLengthMm).toBe(116);
  });
  test('one size under the old belt, as read, still slips here', () => {
    expect(rule('oneUnderBelt')?.pick?.innerLengthMm).toBe(128);
    expect(rule('oneUnderBelt')?.judgement?.zone).toBe('slips');
  });
  test('keeping the old belt is judged as the belt it is', () => {
    expect(rule('keepAndClean')?.judgement?.strain).toBeLessThan(0);
  });
  test('a rule without its reading says what it needs, and buys nothing', () => {
    expect(rule('oneUnderString')?.pick).toBeUndefined();
    expect(rule('oneUnderString')?.remark).toContain('string');
    expect(rulesOfThumb(driveFacts([], flat), undefined, square12).every(({ pick }) => pick === undefined)).toBe(true);
  });
});

test('a belt in pieces answers by the least it was; a stopgap tells nothing of the section', () => {
  const pieces = [take('section', 'sectionJaws', 1.2), take('oldBelt', 'inPieces', 120)];
  const known = situationOf(driveFacts(pieces, flat), {
    motorSurface: 'clean',
    drivenSurface: 'clean',
    oldShape: 'square',
    oldState: 'crumbs',
  });
  if (!known.ok) throw new Error(known.problem);
  const { oldAtLeastMm = 0, oldBelt, path, pathFromOldBelt } = known.value;
  expect(pathFromOldBelt).toBe(true);
  expect(oldBelt?.value).toBeGreaterThan(oldAtLeastMm);
  expect(path.value).toBeGreaterThan(oldAtLeastMm);
  const sectionOf = (oldState: 'taut' | 'stopgap', ...more: Reading[]) => {
    const found = situationOf(driveFacts([...readings, ...more], flat), {
      motorSurface: 'clean',
      drivenSurface: 'clean',
      oldShape: 'square',
      oldState,
    });
    return found.ok ? found.value.oldSection?.thicknessMm : undefined;
  };
  expect(sectionOf('taut')).toBeCloseTo(1.2, 6);
  expect(sectionOf('stopgap')).toBeUndefined();
  expect(sectionOf('stopgap', take('grooveWidth', 'grooveWidthJaws', 1.4))).toBeCloseTo(1.2, 6);
});

test('without a path there is no situation, and an impossible drive says why', () => {
  const none = situationOf(driveFacts([], flat), { motorSurface: 'clean', drivenSurface: 'clean', oldShape: 'square' });
  expect(!none.ok && none.problem).toContain('Measure the path first');
  const overlap = driveFacts(
    [
      take('motorDiameter', 'motorJaws', 20),
      take('drivenDiameter', 'drivenJaws', 24.8),
      take('centreDistance', 'shaftToShaft', 12),
    ],
    flat,
  );
  const refused = situationOf(overlap, { motorSurface: 'clean', drivenSurface: 'clean', oldShape: 'square' });
  expect(!refused.ok && refused.problem).toContain('overlap');
});
