import { describe, expect, test } from 'vitest';
import { opening, reading, recordOf, tried } from '../../../fixtures/sample';
import { THRESHOLDS } from '../../base/thresholds';
import { sameSection } from '../../belts/catalogue';
import { answerProbability } from '../../belts/probability';
import { DEFAULT_PRIORS, DEFAULT_REQUIREMENTS, torqueWords } from '../../belts/sizing';
import type { Try } from '../../record/stations';
import type { EventBody } from '../../record/ticket';
import {
  candidateOf,
  chanceOf,
  chanceOnBench,
  driveView,
  judgedFitted,
  questionOf,
  recommend,
  remedyBeltWords,
  remedyTry,
  withProvisional,
  type Bench,
} from '.';

const DRIVE = 'drive-a';
const BENCH: Bench = { priors: DEFAULT_PRIORS, requirements: DEFAULT_REQUIREMENTS };
const taken = (...list: Parameters<typeof reading>[]): EventBody[] =>
  list.map((one) => ({ type: 'readingTaken', driveId: DRIVE, reading: reading(...one) }));
const BOOTH = taken(
  ['s', 'section', 'sectionJaws', 1.2],
  ['m', 'motorDiameter', 'motorJaws', 6],
  ['d', 'drivenDiameter', 'drivenJaws', 24.8],
  ['c', 'centreDistance', 'shaftToShaft', 38.2],
);
const fitted = (id: string, innerLengthMm: number, verdict: Try['verdict']): EventBody => ({
  type: 'tryLogged',
  driveId: DRIVE,
  try: tried(id, innerLengthMm, verdict),
});
const viewOf = (bodies: readonly EventBody[], bench = BENCH) => {
  const { ticket } = recordOf([opening, ...bodies]);
  const [drive] = ticket.drives;
  if (!drive) throw new Error('no drive');
  return driveView(ticket, drive, bench);
};
const slipNmm = (bodies: readonly EventBody[], bench = BENCH) =>
  judgedFitted(viewOf(bodies, bench))?.running?.grip.slipTorqueNmm ?? NaN;

describe('one view of a drive', () => {
  test('is the same object while nothing changed, and another once the bench thinks otherwise', () => {
    const { ticket } = recordOf([opening, ...BOOTH]);
    const [drive] = ticket.drives;
    if (!drive) throw new Error('no drive');
    expect(driveView(ticket, drive, { ...BENCH })).toBe(driveView(ticket, drive, BENCH));
    const own = { ...BENCH, priors: { ...DEFAULT_PRIORS, stiffnessLogStd: 0.5 } };
    expect(driveView(ticket, drive, own)).not.toBe(driveView(ticket, drive, BENCH));
  });
  test('the fitted belt slips at what the bench’s own friction says; a shorter one holds harder', () => {
    const bodies = [...BOOTH, fitted('t1', 116, 'right')];
    expect(slipNmm([...BOOTH, fitted('t1', 112, 'right')])).toBeGreaterThan(slipNmm(bodies));
    const { friction } = DEFAULT_PRIORS;
    const oily = { ...BENCH, priors: { ...DEFAULT_PRIORS, friction: { ...friction, clean: friction.oily } } };
    expect(slipNmm(bodies, oily)).toBeLessThan(0.6 * slipNmm(bodies));
  });
  test('of several belts the last that was right counts, else the last that was tried', () => {
    const tries = [fitted('t1', 112, 'right'), fitted('t2', 116, 'right'), fitted('t3', 108, 'tooTight')];
    expect(viewOf([...BOOTH, ...tries]).fitted?.id).toBe('t2');
    expect(viewOf([...BOOTH, fitted('t1', 112, 'tooTight'), fitted('t2', 116, 'untried')]).fitted?.id).toBe('t2');
    expect(viewOf(BOOTH).fitted).toBeUndefined();
  });
  test('counted tray travel is not assumed any more, and halving it doubles the pull', () => {
    const at = (mm: number) =>
      judgedFitted(viewOf([...BOOTH, ...taken(['t', 'trayTravel', 'countedTravel', mm]), fitted('t1', 116, 'right')]))
        ?.running;
    const newtons = (mm: number) => parseFloat(torqueWords(at(mm)?.grip.slipTorqueNmm ?? NaN, at(mm)?.gearing));
    expect(at(22)?.travelAssumed).toBe(false);
    expect(newtons(11) / newtons(22)).toBeCloseTo(2, 0);
  });
});

describe('the recommendation', () => {
  const view = viewOf(BOOTH);
  const question = questionOf(view);
  if (!question) throw new Error('enough is measured');
  const answer = answerProbability(question, 1500);
  test('recommends nothing before any chance is known', () => {
    expect(recommend(view, null, false)).toMatchObject({ status: 'waiting', best: undefined, nothingFits: false });
  });
  test('is provisional until the whole calculation is in', () => {
    expect(recommend(view, answer, false).status).toBe('provisional');
    const settled = recommend(view, answer, true);
    expect(settled.status).toBe('settled');
    expect(chanceOf(settled, settled.best?.catalogueBelt)?.works).toBeGreaterThan(0.7);
    expect(candidateOf(settled, 'square-1.2-124')?.catalogueBelt.innerLengthMm).toBe(124);
  });
  test('what lies in the drawer is recommended, unless ordering gains more than it is worth (a law)', () => {
    const works = (id: string) => answer.belts[id]?.works ?? 0;
    const plain = recommend(view, answer, true).best?.catalogueBelt;
    if (!plain) throw new Error('a belt is recommended');
    const most = Math.max(...Object.keys(answer.belts).map(works));
    for (const { catalogueBelt } of recommend(view, answer, true).ranking.candidates.slice(0, 40)) {
      if (catalogueBelt.id === plain.id) continue;
      const owned = new Map([[catalogueBelt.id, {}]]);
      const best = recommend(view, answer, true, owned).best?.catalogueBelt.id;
      const near =
        sameSection(catalogueBelt, plain) &&
        works(catalogueBelt.id) >= Math.max(THRESHOLDS.recommend, works(plain.id) - THRESHOLDS.worthOrdering);
      expect(best, catalogueBelt.id).toBe(near ? catalogueBelt.id : plain.id);
      expect(works(best ?? '')).toBeGreaterThan(most - THRESHOLDS.leaveSection - THRESHOLDS.worthOrdering);
    }
  });
  test('a ring judged too tight is in hand: it is what would be stretched, by its own size', () => {
    const tight = viewOf([...BOOTH, fitted('t1', 108, 'tooTight')]);
    const asked = questionOf(tight);
    if (!asked) throw new Error('enough is measured');
    const done = recommend(tight, answerProbability(asked, 800), true);
    expect(done.answer?.stretched).toMatchObject({ inHand: true, belt: { innerLengthMm: 108 } });
    expect(remedyTry(tight, done, 'stretch')?.innerLengthMm).toBe(108);
    expect(remedyBeltWords(tight, done, 'stretch', 'mm')).toBe('the one that was too tight, 1.2 × 108.0');
    expect(remedyBeltWords(tight, done, 'band', 'mm')).toBe('');
  });
  test('nothing is asked while too little is measured', () => {
    expect(questionOf(viewOf([]))).toBeUndefined();
    expect(recommend(viewOf([]), null, false).ranking.candidates).toEqual([]);
  });
  test('stretching the next size down logs that size, not the old belt, and what was provisional stays', () => {
    const measured = viewOf([...BOOTH, ...taken(['o', 'oldBelt', 'doubledOuter', 66.4])]);
    const full = questionOf(measured);
    if (!full) throw new Error('enough is measured');
    const settled = recommend(measured, answerProbability(full, 800), true);
    const old = measured.facts.oldBelt?.value ?? NaN;
    const stretched = remedyTry(measured, settled, 'stretch');
    expect(stretched?.innerLengthMm).toBeLessThan(settled.best?.catalogueBelt.innerLengthMm ?? 0);
    expect(stretched?.thicknessMm).toBe(1.2);
    expect(remedyTry(measured, settled, 'keep')?.innerLengthMm).toBe(old);
    expect(remedyTry(measured, settled, 'band')).toBeUndefined();
    const once = withProvisional('Roller worn.', { role: '' }, 'stretch');
    expect(once).toBe('Roller worn.\nThe belt is a smaller one, stretched.');
    expect(withProvisional(once, { role: '' }, 'stretch')).toBe(once);
  });
  test('the same view asks the same question', () => expect(questionOf(view)).toBe(question));
});

describe('the bench outranks the model', () => {
  const OLD = taken(['o', 'oldBelt', 'doubledOuter', 66.4]);
  const settledOn = (bodies: readonly EventBody[]) => {
    const view = viewOf(bodies);
    const question = questionOf(view);
    if (!question) throw new Error('enough is measured');
    return recommend(view, answerProbability(question, 1500), true);
  };
  test('a belt judged right is the answer, before any chance is known, and whatever it would be', () => {
    const right = [...BOOTH, fitted('t', 124, 'right')];
    const before = recommend(viewOf(right), null, false);
    expect(before.status).toBe('settled');
    expect(before.best?.catalogueBelt.id).toBe('square-1.2-124');
    expect(settledOn(right).decided?.id).toBe('t');
    expect(settledOn([...right, fitted('u', 124, 'tooLoose')]).decided).toBeUndefined();
  });
  test('one that nobody sells is the answer too', () => {
    const { best, decided } = settledOn([...BOOTH, fitted('t', 117.3, 'right')]);
    expect(decided?.innerLengthMm).toBe(117.3);
    expect(best?.catalogueBelt).toMatchObject({ series: 'tried', innerLengthMm: 117.3 });
  });
  test('too tight is never recommended again, nor anything shorter of its section; withdrawn, it may be', () => {
    const first = settledOn([...BOOTH, ...OLD]).best?.catalogueBelt.innerLengthMm ?? NaN;
    const after = settledOn([...BOOTH, ...OLD, fitted('t', first, 'tooTight')]);
    const { best } = after;
    if (best?.catalogueBelt.thicknessMm === 1.2) expect(best.catalogueBelt.innerLengthMm).toBeGreaterThan(first);
    expect(after.ties.every(({ catalogueBelt }) => after.after.forbidden(catalogueBelt) === undefined)).toBe(true);
    expect(settledOn([...BOOTH, ...OLD, fitted('t', first, 'untried')]).best?.catalogueBelt.innerLengthMm).toBe(first);
  });
});

describe('an answer from what there is', () => {
  const SECTION = taken(['s', 'section', 'sectionJaws', 1.2]);
  const OLD = taken(['o', 'oldBelt', 'doubledOuter', 66.4]);
  const chanceOfBest = (bodies: readonly EventBody[]) => {
    const view = viewOf(bodies);
    const question = questionOf(view);
    if (!question) throw new Error('enough is measured');
    const done = recommend(view, answerProbability(question, 2500), true);
    return chanceOf(done, done.best?.catalogueBelt)?.works ?? NaN;
  };
  test('the old belt alone names a belt; pulleys better the chance', () => {
    expect(viewOf([...SECTION, ...OLD]).situation).toMatchObject({ ok: true, value: { pathFromOldBelt: true } });
    const alone = chanceOfBest([...SECTION, ...OLD]);
    expect(alone).toBeGreaterThan(0.6);
    expect(chanceOfBest([...BOOTH, ...OLD])).toBeGreaterThan(alone - 0.02);
  });
  test('of crumbs no length is known: the path has to be measured', () => {
    const crumbs: EventBody = { type: 'driveChanged', driveId: DRIVE, changes: { oldState: 'crumbs' } };
    expect(viewOf([...SECTION, ...OLD, crumbs]).situation.ok).toBe(false);
    expect(viewOf([...BOOTH, ...OLD, crumbs]).situation).toMatchObject({ ok: true, value: { oldBelt: undefined } });
  });
  test('what Find says of stiffness is carried in', () => {
    const observation = { id: 'o1', testId: 'turnHand', outcome: 'stiff', driveId: null, by: 'hand', note: '' };
    const { ticket } = recordOf([opening, ...BOOTH]);
    const [drive] = ticket.drives;
    if (!drive) throw new Error('no drive');
    const view = driveView({ ...ticket, observations: [observation as never] }, drive, BENCH);
    expect(view.situation).toMatchObject({ ok: true, value: { stiff: true } });
  });
  test('found to fail in the cold it is judged for the cold, and every belt has both chances', () => {
    const warm = (outcome: string): EventBody => ({
      type: 'observed',
      observation: { id: 'w', at: '2026-01-12T09:00:00Z', testId: 'warm', outcome, driveId: null },
    });
    expect(viewOf([...BOOTH, warm('alike')]).situation).not.toHaveProperty('value.room');
    const view = viewOf([...BOOTH, warm('betterWarm')]);
    expect(view.situation).toMatchObject({ ok: true, value: { room: { roomC: 8 } } });
    const question = questionOf(view);
    if (!question) throw new Error('all is measured');
    const answer = answerProbability(question, 1000, true);
    for (const [id, { works }] of Object.entries(answer.belts))
      expect(works, id).toBeLessThanOrEqual(answer.onBench?.[id] ?? -1);
    const chosen = recommend(view, answer, true);
    const warmChosen = recommend(
      viewOf(BOOTH),
      answerProbability(questionOf(viewOf(BOOTH)) ?? question, 1000, true),
      true,
    );
    expect(chanceOf(chosen, chosen.best?.catalogueBelt)?.works).toBeLessThan(
      chanceOnBench(chosen, chosen.best?.catalogueBelt) ?? 0,
    );
    expect(chosen.best?.catalogueBelt.innerLengthMm).toBeLessThanOrEqual(
      warmChosen.best?.catalogueBelt.innerLengthMm ?? 0,
    );
  });
  test('three machines with the mechanism tell its path, before anything of the next one is measured', () => {
    const machine = (number: string, centreMm: number) => {
      const { ticket } = recordOf([
        opening,
        { type: 'driveChanged', driveId: DRIVE, changes: { mechanism: 'T9 loader' } },
        ...taken(
          ['s', 'section', 'sectionJaws', 1.2],
          ['m', 'motorDiameter', 'motorJaws', 6],
          ['d', 'drivenDiameter', 'drivenJaws', 24.8],
          ['c', 'centreDistance', 'shaftToShaft', centreMm],
        ),
        fitted('t', 116, 'right'),
      ]);
      return { ...ticket, number };
    };
    const past = [machine('1', 38.1), machine('2', 38.2), machine('3', 38.4)];
    const { ticket } = recordOf([
      opening,
      { type: 'driveChanged', driveId: DRIVE, changes: { mechanism: 'T9 loader' } },
    ]);
    const [drive] = ticket.drives;
    if (!drive) throw new Error('no drive');
    const few = driveView(ticket, drive, BENCH, past.slice(0, 2));
    expect(few.situation.ok).toBe(false);
    const view = driveView(ticket, drive, BENCH, past);
    expect(view.mechanism.path?.value).toBeCloseTo(127.2, 0);
    const question = questionOf(view);
    if (!question) throw new Error('the mechanism is known');
    const done = recommend(view, answerProbability(question, 2000), true);
    // What ran on all three is taken before what is only likelier by a little.
    expect(done.best?.catalogueBelt.id).toBe('square-1.2-116');
    expect(done.answer?.belts['square-1.2-116']?.works).toBeGreaterThan(0.85);
    expect(done.answer?.alone?.['square-1.2-116']).toBeLessThan(done.answer?.belts['square-1.2-116']?.works ?? 0);
  });
});
