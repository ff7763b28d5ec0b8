import { describe, expect, test } from 'vitest';
import { opening, reading, recordOf, tried } from '../../fixtures/sample';
import { answerProbability } from '../probability';
import { DEFAULT_PRIORS, DEFAULT_REQUIREMENTS, torqueWords } from '../sizing';
import type { Try } from '../stations';
import type { EventBody } from '../ticket';
import {
  candidateOf,
  chanceOf,
  driveView,
  judgedFitted,
  questionOf,
  recommend,
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
    const once = withProvisional('Roller worn.', 'A', 'stretch');
    expect(once).toBe('Roller worn.\nDrive A: stretch the next size down.');
    expect(withProvisional(once, 'A', 'stretch')).toBe(once);
  });
  test('the same view asks the same question', () => expect(questionOf(view)).toBe(question));
});
