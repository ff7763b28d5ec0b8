import { describe, expect, test } from 'vitest';
import { driveFacts, type Reading } from '../../belts/measuring';
import type { Sister } from '../../belts/sizing';
import { opening, reading, recordOf, tried } from '../../../fixtures/sample';
import { openEnds } from '../handBack';
import type { EventBody } from '../../record/ticket';
import { saidAgainst } from '.';

const FLAT = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } } as const;
const old = (id: string, method: string, amount: number): Reading => ({
  ...reading(id, 'oldBelt', method, amount),
  aux: { sectionMm: 1.2 },
});
const STRING = reading('s', 'stringPath', 'stringRound', 129.5);
const SECTION = reading('x', 'section', 'sectionJaws', 1.2);
const said = (readings: readonly Reading[], oldState: Parameters<typeof saidAgainst>[1]['oldState'] = 'unknown') =>
  saidAgainst(driveFacts(readings, FLAT), { oldState }, [], 'mm').map(({ said: words }) => words);

describe('what is said of a drive that cannot all be true', () => {
  test('nothing where all fits', () => {
    expect(said([SECTION, STRING, old('o', 'doubledOuter', 66.4)], 'hanging')).toEqual([]);
  });
  test('a belt that hangs is longer than its path, one that is taut shorter', () => {
    const short = [SECTION, STRING, old('o', 'doubledOuter', 62)];
    expect(said(short, 'hanging')[0]).toMatch(/^The old belt is said to hang, and measures \d+\.\d mm shorter/);
    expect(said(short, 'taut')).toEqual([]);
    expect(said([SECTION, STRING, old('o', 'doubledOuter', 69)], 'taut')[0]).toMatch(/said to be taut/);
  });
  test('a label that cannot be the belt’s; a used belt may be longer than its label', () => {
    const labelled = (mm: number) => said([SECTION, old('o', 'doubledOuter', 66.4), old('l', 'printedLength', mm)]);
    expect(labelled(124)).toEqual([]);
    expect(labelled(108)[0]).toContain('label says 108.0 mm, and in the hand it is 128.0 mm');
  });
  test('readings of one thing of which nobody knows the misreading', () => {
    const jaws = (id: string, mm: number) => reading(id, 'motorDiameter', 'motorJaws', mm);
    expect(said([jaws('a', 6), jaws('b', 9)])[0]).toContain('6.0 and 9.0 mm');
    expect(said([jaws('a', 6), jaws('b', 9), jaws('c', 6.05)])).toEqual([]);
  });
  test('machines alike that contradict one another, both clean', () => {
    const sister = (number: string, mm: number, verdict: 'right' | 'tooTight', surface: 'clean' | 'oily'): Sister => ({
      number,
      motorSurface: surface,
      drivenSurface: 'clean',
      tries: [{ belt: { shape: 'square', thicknessMm: 1.2, innerLengthMm: mm, innerLengthToleranceMm: 1 }, verdict }],
    });
    const of = (...sisters: Sister[]) => saidAgainst(driveFacts([], FLAT), { oldState: 'unknown' }, sisters, 'mm');
    const right = sister('0101', 112, 'right', 'clean');
    expect(of(right, sister('0102', 112, 'tooTight', 'clean'))[0]?.said).toContain('0102');
    expect(of(right, sister('0102', 112, 'tooTight', 'oily'))).toEqual([]);
    expect(of(right, sister('0102', 108, 'tooTight', 'clean'))).toEqual([]);
  });
  test('an open end of the ticket, until a belt is judged right', () => {
    const taken = [reading('m1', 'motorDiameter', 'motorJaws', 6), reading('m2', 'motorDiameter', 'motorJaws', 9)].map(
      (one): EventBody => ({ type: 'readingTaken', driveId: 'drive-a', reading: one }),
    );
    const ends = (more: readonly EventBody[]) =>
      openEnds(recordOf([opening, ...taken, ...more]).ticket).filter(({ words }) => words.includes('do not fit'));
    expect(ends([])).toMatchObject([{ station: 'measure', grave: false }]);
    expect(ends([{ type: 'tryLogged', driveId: 'drive-a', try: tried('t1', 116, 'right') }])).toEqual([]);
  });
});
