import { describe, expect, test } from 'vitest';
import { conflictWords, driveFacts, type DriveSetting, type Reading } from '.';

const FLAT: DriveSetting = { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } };
let next = 0;
const read = (measurand: Reading['measurand'], method: string, amount: number, aux = {}): Reading => ({
  id: `r${next++}`,
  measurand,
  method,
  typed: String(amount),
  amount,
  aux,
  ownStd: null,
});
/** Pulleys of 6 and 24 mm, so far apart that a belt of 130.4 mm goes round them. */
const PULLEYS = [
  read('motorDiameter', 'motorJaws', 6),
  read('drivenDiameter', 'drivenJaws', 24),
  read('centreDistance', 'shaftToShaft', 40.65),
];
const string = (amount: number): Reading => read('stringPath', 'stringRound', amount);
const old = (amount: number): Reading => read('oldBelt', 'doubledOuter', amount, { sectionMm: 1.2 });
const facts = (...more: readonly Reading[]) => driveFacts([...PULLEYS, ...more], FLAT);

describe('a path that is told twice', () => {
  test('told alike it is one, and surer than either', () => {
    const { path, pathConflict, geometricPath, stringPath } = facts(string(132.9));
    expect(pathConflict).toBeUndefined();
    expect(path?.std).toBeLessThan(Math.min(geometricPath?.std ?? 0, stringPath?.std ?? 0));
  });
  test('told so that both cannot be true it is either, never their mean; and both are said', () => {
    const { path, pathModes, pathConflict } = facts(string(100));
    expect(pathModes?.map(({ misread }) => misread).sort()).toEqual(['pulleys', 'string']);
    expect(pathModes?.every(({ value }) => Math.abs(value - 121.8) > 5)).toBe(true);
    expect(path?.std).toBeGreaterThan(15);
    expect(pathConflict?.alone).toBeUndefined();
    const said = conflictWords(facts(string(100)), 'mm');
    expect(said?.said).toContain('the string to 97.5 mm: both cannot be true');
    expect(said?.settle).toContain('or measure the old belt');
  });
  test('the old belt, or a string that is read again, says which stands alone', () => {
    // Doubled flat 66.4 is a belt of 128 mm.
    const byOld = facts(string(100), old(66.4));
    expect(byOld.pathConflict).toMatchObject({ alone: 'string' });
    expect(Math.abs((byOld.path?.value ?? 0) - (byOld.geometricPath?.value ?? 0))).toBeLessThan(1);
    const again = facts(string(100), string(100.4));
    expect(again.pathConflict).toMatchObject({ alone: 'pulleys' });
    const third = facts(string(100), string(133), string(132.6));
    expect(third.pathConflict).toBeUndefined();
    expect(third.path?.value).toBeGreaterThan(129);
  });
  test('a usual slip is asked by its name', () => {
    expect(facts(string(66.5)).pathConflict?.question).toBe('Half of it read, doubled flat?');
    const gap = driveFacts(
      [PULLEYS[0] as Reading, PULLEYS[1] as Reading, read('centreDistance', 'shaftToShaft', 25.65), string(132.9)],
      FLAT,
    );
    expect(gap.pathConflict?.question).toBe('The gap between the pulleys read instead of shaft to shaft?');
  });
  test('two readings of one pulley that lie apart are as unsure as they are, until a third says which', () => {
    const two = driveFacts([read('motorDiameter', 'motorJaws', 6), read('motorDiameter', 'motorJaws', 9)], FLAT);
    expect(two.apart).toEqual(['motorDiameter']);
    expect(two.motorDiameter?.std).toBeGreaterThan(1.4);
    const three = driveFacts(
      [...two.results.map(({ reading }) => reading), read('motorDiameter', 'motorJaws', 6.05)],
      FLAT,
    );
    expect(three.apart).toBeUndefined();
    expect(three.motorDiameter?.value).toBeCloseTo(6.03, 1);
  });
  test('what the hand reads of an old belt stands above its label', () => {
    const labelled = driveFacts([old(68.4), read('oldBelt', 'printedLength', 124)], FLAT);
    expect(labelled.oldBelt?.value).toBeCloseTo(132, 6);
    expect(driveFacts([read('oldBelt', 'printedLength', 124)], FLAT).oldBelt?.value).toBeCloseTo(124, 6);
  });
});
