import { describe, expect, test } from 'vitest';
import { opening, recordOf, step, tried } from '../../../fixtures/sample';
import type { EventBody } from '../ticket';
import { asFound, conflictsOf, findingsOf, settlementOf } from '.';

const AT = '2026-01-12T09:30:00Z';
const line = (id: string, words: string, at = AT): EventBody => ({
  type: 'stepPut',
  step: { ...step(id, Number(id.slice(1)), 'note', words), at, fate: 'noted' },
});
const answered = (id: string, testId: string, outcome: string, at = AT): EventBody => ({
  type: 'observed',
  observation: { id, testId, outcome, at, driveId: 'drive-a' },
});
const conflicts = (...list: readonly EventBody[]) =>
  conflictsOf(recordOf([opening, ...list]).ticket).map(({ one, other }) => `${one.kind} / ${other.kind}`);
const oldState = (...list: readonly EventBody[]) => asFound(recordOf([opening, ...list]).ticket).drives[0]?.oldState;

describe('what cannot all be so', () => {
  test('stands together, whichever station said it, and makes nothing of the belt meanwhile', () => {
    expect(conflicts(line('s1', 'belt in crumbs'), answered('o', 'beltFeel', 'firm'))).toEqual([
      'beltDissolved / beltFirm',
    ]);
    expect(oldState(line('s1', 'belt in crumbs'), line('s2', 'belt snapped'))).toBe('unknown');
    expect(conflicts(line('s1', 'belt hangs slack'))).toEqual([]);
    expect(conflicts(line('s1', 'belt hangs slack'), answered('o', 'beltFeel', 'slack'))).toEqual([]);
  });
  test('is settled by one word, which counts everywhere and is taken back like any other', () => {
    const said = [line('s1', 'belt in crumbs'), line('s2', 'belt snapped')];
    const [conflict] = conflictsOf(recordOf([opening, ...said]).ticket);
    if (!conflict) throw new Error('There is no conflict.');
    const settle = (kept: typeof conflict.one, dropped: typeof conflict.one): EventBody => ({
      type: 'findingSettled',
      settlement: settlementOf(kept, dropped, AT),
    });
    const first = [...said, settle(conflict.one, conflict.other)];
    expect(conflicts(...first)).toEqual([]);
    expect(oldState(...first)).toBe('crumbs');
    expect(findingsOf(recordOf([opening, ...first]).ticket).map(({ kind }) => kind)).toEqual(['beltDissolved']);
    // Settled the other way later: the last word counts.
    expect(oldState(...first, settle(conflict.other, conflict.one))).toBe('broken');
  });
  test('is none once something was done between the two, or another belt is in', () => {
    expect(
      conflicts(line('s1', 'belt snapped'), answered('o', 'beltFeel', 'firm'), {
        type: 'tryLogged',
        driveId: 'drive-a',
        try: tried('t', 116),
      }),
    ).toEqual([]);
  });
  test('of two drives is none: each has its own belt', () => {
    expect(
      conflicts(
        { type: 'driveAdded', driveId: 'drive-b', name: 'B' },
        { type: 'driveChanged', driveId: 'drive-b', changes: { role: 'lift' } },
        { type: 'driveChanged', driveId: 'drive-a', changes: { role: 'loading' } },
        line('s1', 'loading belt in crumbs'),
        line('s2', 'lift belt firm'),
      ),
    ).toEqual([]);
  });
});
