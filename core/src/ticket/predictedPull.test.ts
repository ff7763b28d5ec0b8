import { expect, test } from 'vitest';
import { opening, reading, recordOf } from '../../fixtures/sample';
import { predictedPull, type EventBody } from '.';
import type { Try } from '../stations';

const DRIVE = 'drive-a';
const taken = (...list: Parameters<typeof reading>[]): EventBody[] =>
  list.map((one) => ({ type: 'readingTaken', driveId: DRIVE, reading: reading(...one) }));
const BOOTH = taken(
  ['m', 'motorDiameter', 'motorJaws', 6],
  ['d', 'drivenDiameter', 'drivenJaws', 24.8],
  ['c', 'centreDistance', 'shaftToShaft', 38.2],
);
const fitted = (id: string, innerLengthMm: number, verdict: Try['verdict']): EventBody => ({
  type: 'tryLogged',
  driveId: DRIVE,
  try: {
    id,
    shape: 'square',
    thicknessMm: 1.2,
    widthMm: null,
    innerLengthMm,
    source: '',
    label: '',
    because: 'unknown',
    verdict,
    note: '',
  },
});
const predicted = (...bodies: EventBody[]) => predictedPull(recordOf([opening, ...bodies]).ticket);

test('the pull at which the fitted belt should let go; a shorter one holds harder', () => {
  const long = predicted(...BOOTH, fitted('t1', 116, 'right'));
  const short = predicted(...BOOTH, fitted('t1', 112, 'right'));
  expect(long?.trayPullN).toBeGreaterThan(1);
  expect(short?.trayPullN).toBeGreaterThan(long?.trayPullN ?? NaN);
  expect(long?.travelAssumed).toBe(true);
});
test('of several belts the last that was right counts', () => {
  const last = predicted(
    ...BOOTH,
    fitted('t1', 112, 'right'),
    fitted('t2', 116, 'right'),
    fitted('t3', 108, 'tooTight'),
  );
  expect(last).toEqual(predicted(...BOOTH, fitted('t2', 116, 'right')));
});
test('tray travel that was counted is not assumed any more, and halving it doubles the pull', () => {
  const at = (mm: number) =>
    predicted(...BOOTH, ...taken(['s', 'trayTravel', 'countedTravel', mm]), fitted('t1', 116, 'right'));
  expect(at(22)?.travelAssumed).toBe(false);
  expect((at(11)?.trayPullN ?? NaN) / (at(22)?.trayPullN ?? NaN)).toBeCloseTo(2, 9);
});
test('nothing is foretold without pulleys, without a belt that was right, or before anything', () => {
  expect(predicted()).toBeUndefined();
  expect(predicted(...BOOTH, fitted('t1', 116, 'tooLoose'))).toBeUndefined();
  expect(predicted(fitted('t1', 116, 'right'))).toBeUndefined();
});
