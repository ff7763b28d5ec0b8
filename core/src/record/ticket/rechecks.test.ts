import { describe, expect, test } from 'vitest';
import { opening, recordOf } from '../../../fixtures/sample';
import { recheckTargets, type EventBody } from '.';

describe('after a treatment', () => {
  const treated: readonly EventBody[] = [
    opening,
    { type: 'driveAdded', driveId: 'drive-b', name: 'B' },
    { type: 'treatmentRecorded', treatment: { id: 'h1', at: '2026-01-12T10:00:00Z', what: 'belt A renewed' } },
  ];
  test('nothing is proposed before one, every complaint and every other belt after it', () => {
    expect(recheckTargets(recordOf(treated.slice(0, 2)).ticket)).toEqual([]);
    expect(recheckTargets(recordOf(treated).ticket).map(({ of }) => of)).toEqual(['k1', 'drive-a', 'drive-b']);
  });
  test('a second treatment asks all of it again', () => {
    const list: readonly EventBody[] = [
      ...treated,
      { type: 'recheckPut', recheck: { treatmentId: 'h1', of: 'drive-b', result: 'fine' } },
    ];
    const result = (bodies: readonly EventBody[]) =>
      recheckTargets(recordOf(bodies).ticket).find(({ of }) => of === 'drive-b')?.result;
    expect(result(list)).toBe('fine');
    expect(
      result([
        ...list,
        { type: 'treatmentRecorded', treatment: { id: 'h2', at: '2026-01-12T11:00:00Z', what: 'pulleys cleaned' } },
      ]),
    ).toBe('notLooked');
  });
});
