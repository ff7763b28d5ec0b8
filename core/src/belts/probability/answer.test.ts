import { THRESHOLDS } from '../../base/thresholds';
import { describe, expect, test } from 'vitest';
import { BOOTH } from '../../../fixtures/booth';
import { CATALOGUE, SQUARE_BELTS, stockFor } from '../catalogue';
import { rank, type Situation } from '../sizing';
import {
  answerProbability,
  isOldSection,
  inHundred,
  measurableName,
  rankByProbability,
  REMEDIES,
  REMEDY_IDS,
  willDo,
  type ProbabilityAnswer,
  type ProbabilityQuestion,
} from '.';

const situation: Situation = { ...BOOTH, oldSection: { shape: 'square', thicknessMm: 1.2 } };
const ask = (more: Partial<ProbabilityQuestion> = {}, draws = 1500): ProbabilityAnswer =>
  answerProbability({ situation, belts: CATALOGUE, tries: [], seed: 4, ...more }, draws);
const worksOf = (answer: ProbabilityAnswer, id: string): number => answer.belts[id]?.works ?? NaN;
const plain = ask();

describe('the whole answer', () => {
  test('has a chance for every belt asked about, shares of one, the same for the same seed', () => {
    expect(Object.keys(plain.belts)).toHaveLength(CATALOGUE.length);
    for (const { works, drawStd, fails } of Object.values(plain.belts)) {
      for (const share of [works, ...Object.values(fails)]) {
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(1);
      }
      // Whatever does not work fails by something.
      expect(works + Object.values(fails).reduce((sum, share) => sum + share, 0)).toBeGreaterThan(0.999);
      expect(drawStd).toBeLessThan(0.023);
    }
    expect(ask()).toEqual(plain);
  });
  test('more draws tell the same, within what so few draws can tell', () => {
    const fine = ask({}, 6000);
    for (const id of ['square-1.2-112', 'square-1.2-116', 'square-1.2-120']) {
      const spread = Math.hypot(plain.belts[id]?.drawStd ?? NaN, fine.belts[id]?.drawStd ?? NaN);
      expect(Math.abs(worksOf(fine, id) - worksOf(plain, id)), id).toBeLessThan(4 * spread + 1e-9);
    }
  });
  test('a belt found too loose moves the chances towards shorter ones', () => {
    const loose = { shape: 'square', thicknessMm: 1.2, innerLengthMm: 116, innerLengthToleranceMm: 1 } as const;
    const after = ask({ tries: [{ belt: loose, verdict: 'tooLoose' }] });
    const shift = (id: string) => worksOf(after, id) - worksOf(plain, id);
    expect(shift('square-1.2-120')).toBeLessThan(-0.1);
    expect(shift('square-1.2-108')).toBeGreaterThan(shift('square-1.2-120'));
  });
  test('measuring is never worth less than nothing, and what is known already is not offered', () => {
    for (const { gain } of plain.values) expect(gain).toBeGreaterThanOrEqual(0);
    expect(plain.values.map(({ what }) => what)).not.toContain('motorDiameter');
    const pulled = ask({
      situation: { ...situation, trayPullN: { value: 1.4, std: 0.05 }, stallPullN: { value: 2.2, std: 0.05 } },
    });
    expect(pulled.values.map(({ what }) => what)).not.toContain('trayPull');
  });
});

test('where no belt can reach the speed, the one is shown that fails by nothing else', () => {
  const { requirements } = situation.demands;
  const demands = { requirements, speed: { motorRpm: 2400, targetRpm: 500, tolerance: 0.02 } };
  const hopeless = { ...situation, demands };
  const { best, nothingFits } = rankByProbability(rank(hopeless, CATALOGUE), ask({ situation: hopeless }).belts);
  expect(nothingFits).toBe(true);
  expect(ask({ situation: hopeless }).belts[best?.catalogueBelt.id ?? '']?.first).toBe('speed');
  expect(worksOf(plain, best?.catalogueBelt.id ?? '')).toBeGreaterThan(0.8);
});

test('a spindle is not asked for its tray', () => {
  const spindle = ask({ situation: { ...situation, driven: 'spindle' } });
  expect(
    spindle.values.map(({ what }) => what).filter((what) => what.includes('tray') || what === 'stallPull'),
  ).toEqual([]);
  expect(measurableName('trayPull', 'drawer')).toBe('the pull of the drawer on a scale');
});

describe('remedies', () => {
  test('each says how, how long, and how little is known; its due day lies within the life hoped for', () => {
    for (const id of REMEDY_IDS) {
      const { how, known, monthsMin, monthsMax, dueMonths } = REMEDIES[id];
      expect(how.length).toBeGreaterThan(20);
      expect(known.length).toBeGreaterThan(20);
      expect(monthsMin).toBeLessThan(monthsMax);
      expect(dueMonths).toBeGreaterThanOrEqual(monthsMin);
      expect(dueMonths).toBeLessThanOrEqual(monthsMax);
    }
  });
  test('without an old belt there is nothing to keep or to warm; the next size down can be stretched all the same', () => {
    expect(Object.keys(plain.remedies)).toEqual(['stretch']);
  });
  test('a belt that hangs is not worth keeping; warming may help it, and never harms', () => {
    const slack = ask({ oldBelt: { value: 128.1, std: 0.6 } }).remedies;
    expect(slack.keep?.works).toBeLessThan(0.02);
    expect(slack.warm?.works).toBeGreaterThan(slack.keep?.works ?? NaN);
  });
  test('a belt that still measures as a new one would is worth keeping, more so than a new one: it has settled', () => {
    const good = ask({ oldBelt: { value: 114, std: 0.3 } });
    expect(good.remedies.keep?.works).toBeGreaterThan(0.85);
  });
  test('of an old belt whose section is not known nothing is said', () => {
    const { oldSection: _, ...unknown } = situation;
    expect(Object.keys(ask({ situation: unknown, oldBelt: { value: 120, std: 0.5 } }).remedies)).toEqual(['stretch']);
  });
});

describe('ranking by chances', () => {
  const square12 = SQUARE_BELTS.filter(({ thicknessMm }) => thicknessMm === 1.2);
  const ranking = rank(situation, square12);
  const withChances = (works: (lengthMm: number) => number): ProbabilityAnswer['belts'] =>
    Object.fromEntries(
      square12.map(({ id, innerLengthMm }) => [
        id,
        { works: works(innerLengthMm), drawStd: 0.01, fails: plain.belts[id]?.fails ?? ({} as never), first: 'grip' },
      ]),
    );
  test('the likeliest comes first, with its neighbours in size beside it', () => {
    const { best, down, up } = rankByProbability(
      ranking,
      withChances((mm) => 1 - Math.abs(mm - 116) / 60),
      { belts: square12 },
    );
    expect(best?.catalogueBelt.innerLengthMm).toBe(116);
    expect([down, up].map((one) => one?.catalogueBelt.innerLengthMm)).toEqual([112, 120]);
  });
  test('of belts alike in chances the one furthest from every limit is taken', () => {
    const tie = rankByProbability(
      ranking,
      withChances((mm) => (mm === 112 || mm === 116 ? 0.9 + (mm === 112 ? THRESHOLDS.tie / 2 : 0) : 0.2)),
      { belts: square12 },
    );
    const margin = (mm: number) =>
      ranking.candidates.find(({ catalogueBelt }) => catalogueBelt.innerLengthMm === mm)?.judgement.margin ?? NaN;
    expect(tie.best?.catalogueBelt.innerLengthMm).toBe(margin(112) > margin(116) ? 112 : 116);
  });
  test('where all are likelier to fail than to work, nothing fits', () => {
    expect(
      rankByProbability(
        ranking,
        withChances(() => 0.4),
        { belts: square12 },
      ).nothingFits,
    ).toBe(true);
    expect(
      rankByProbability(
        ranking,
        withChances(() => 0.6),
        { belts: square12 },
      ).nothingFits,
    ).toBe(false);
  });
  test('an empty catalogue is left as it is', () => {
    const none = rank(situation, []);
    expect(rankByProbability(none, {}, { belts: [] })).toEqual(none);
  });
});

describe('the old section', () => {
  const works = (byId: Readonly<Record<string, number>>): ProbabilityAnswer['belts'] =>
    Object.fromEntries(
      CATALOGUE.map(({ id }) => [
        id,
        { works: byId[id] ?? 0, drawStd: 0.01, fails: plain.belts[id]?.fails ?? ({} as never), first: 'grip' },
      ]),
    );
  const chosen = (other: number) =>
    rankByProbability(rank(situation, CATALOGUE), works({ 'square-1.2-116': 0.8, 'square-1.5-116': other }), {
      oldSection: { shape: 'square', thicknessMm: 1.18 },
    }).best?.catalogueBelt.id;
  test('is kept unless another gains five points', () => {
    expect(chosen(0.84)).toBe('square-1.2-116');
    expect(chosen(0.86)).toBe('square-1.5-116');
  });
  test('of a flat drive only flat belts are proposed', () => {
    expect(stockFor('flat').every(({ shape }) => shape === 'flat')).toBe(true);
    expect(stockFor('square').some(({ shape }) => shape === 'flat')).toBe(false);
    const flat = { shape: 'flat', thicknessMm: 0.6, widthMm: 4 } as const;
    expect(stockFor('flat').filter((belt) => isOldSection(belt, flat))).toHaveLength(76);
  });
});

test('a verdict that was not expected is said, with what would explain it', () => {
  const held: Situation = { ...situation, trayPullN: { value: 1.4, std: 0.05 } };
  const tried = { belt: { shape: 'square', thicknessMm: 1.2, innerLengthMm: 120, innerLengthToleranceMm: 1 } as const };
  const { surprises, belts } = ask({ situation: held, tries: [{ ...tried, verdict: 'tooTight' }] });
  expect(surprises[0]?.expected).toBeLessThan(0.2);
  expect(surprises[0]?.explained[0]).toMatchObject({ what: 'motor' });
  expect(surprises[0]?.explained[0]?.change).toBeLessThan(-0.1);
  expect(Object.values(belts).every(({ works }) => works <= 0.99)).toBe(true);
  expect(ask({ situation: held, tries: [{ ...tried, verdict: 'right' }] }).surprises).toEqual([]);
});

describe('what will do at the shop', () => {
  const best = SQUARE_BELTS.find(({ id }) => id === 'square-1.2-112');
  if (!best) throw new Error('no such belt');
  const { sameSection, otherSections } = willDo(best, plain.belts, CATALOGUE);
  test('the best and its like, by length; every one likelier to work than not, and not much worse', () => {
    const lengths = sameSection.map(({ innerLengthMm }) => innerLengthMm);
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
    expect(sameSection).toContain(best);
    for (const { id } of [...sameSection, ...otherSections])
      expect(worksOf(plain, id)).toBeGreaterThanOrEqual(Math.max(0.5, worksOf(plain, best.id) - 0.15));
  });
  test('other sections are a few, likeliest first', () => {
    const works = otherSections.map(({ id }) => worksOf(plain, id));
    expect(works.length).toBeLessThanOrEqual(4);
    expect(works).toEqual([...works].sort((a, b) => b - a));
  });
  test('where nothing is likely to work the best alone stands on the slip', () => {
    const poor = Object.fromEntries(
      Object.entries(plain.belts).map(([id, chances]) => [id, { ...chances, works: 0.3 }]),
    );
    expect(willDo(best, poor, CATALOGUE)).toEqual({ sameSection: [best], otherSections: [] });
  });
});

test.each([
  [0.934, '93 in 100'],
  [0.996, 'over 99 in 100'],
  [1, 'over 99 in 100'],
  [0.004, 'under 1 in 100'],
  [0, 'under 1 in 100'],
  [0.5, '50 in 100'],
])('chances of %f are said as “%s”: never certain, never impossible', (share, words) => {
  expect(inHundred(share)).toBe(words);
});
