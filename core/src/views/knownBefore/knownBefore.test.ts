import { describe, expect, test } from 'vitest';
import { opening, reading, recordOf } from '../../../fixtures/sample';
import { appendAny, openRecord, type EventBody, type Ticket } from '../../record/ticket';
import { carryOver, knownFrom, perhapsSame, rightBefore } from '.';

const mechanism = (driveId: string, name: string): EventBody => ({
  type: 'driveChanged',
  driveId,
  changes: { mechanism: name, normal: 'says “no disc” when empty', codes: [{ code: 'E3', meaning: 'not home' }] },
});
const past = recordOf([
  opening,
  mechanism('drive-a', 'T9 loader'),
  { type: 'readingTaken', driveId: 'drive-a', reading: reading('r1', 'motorDiameter', 'motorJaws', 6) },
  { type: 'readingTaken', driveId: 'drive-a', reading: reading('r2', 'oldBelt', 'doubledOuter', 66.4) },
]).ticket;
const carried = (list: readonly EventBody[]): Ticket => {
  const opened = openRecord({ ...(opening as object), ticketId: 'new', id: 'e0', at: '2026-02-01T09:00:00Z' } as never);
  if (!opened.ok) throw new Error(opened.problem);
  let count = 0;
  const first = list.reduce((record, one, index) => {
    const next = appendAny(record, { ...one, id: `x${index}`, at: '2026-02-01T09:00:00Z' });
    if (!next.ok) throw new Error(next.problem);
    return next.value;
  }, opened.value);
  return carryOver(past, first.ticket, () => `n${(count += 1)}`).reduce((record, one, index) => {
    const next = appendAny(record, { ...one, id: `y${index}`, at: '2026-02-01T09:01:00Z' });
    if (!next.ok) throw new Error(next.problem);
    return next.value;
  }, first).ticket;
};

describe('starting from a past ticket', () => {
  test('carries what belongs to the mechanism, marked with where it came from; the belt is measured anew', () => {
    const [drive] = carried([]).drives;
    expect(drive).toMatchObject({ mechanism: 'T9 loader', normal: 'says “no disc” when empty' });
    expect(drive?.readings).toEqual([{ ...reading('n1', 'motorDiameter', 'motorJaws', 6), from: '0147' }]);
  });
  test('touches nothing that is there already', () => {
    const [drive] = carried([
      { type: 'driveChanged', driveId: 'drive-a', changes: { normal: 'my own words' } },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('q', 'motorDiameter', 'motorJaws', 6.2) },
    ]).drives;
    expect(drive?.normal).toBe('my own words');
    expect(drive?.readings.map(({ amount }) => amount)).toEqual([6.2]);
  });
  test('another mechanism under the same letter gets a drive of its own, with a free letter', () => {
    const { drives } = carried([{ type: 'driveChanged', driveId: 'drive-a', changes: { mechanism: 'C5 drawer' } }]);
    expect(drives.map(({ name, mechanism: own }) => [name, own])).toEqual([
      ['A', 'C5 drawer'],
      ['B', 'T9 loader'],
    ]);
  });
  test('a ticket that knows nothing offers nothing', () => {
    const blank = recordOf([opening]).ticket;
    expect(knownFrom(blank).words).toEqual([]);
    expect(carryOver(blank, past, () => 'n')).toEqual([]);
  });
});

describe('whether a machine came back is asked, never assumed', () => {
  const back: Ticket = { ...past, id: 'before', closedAt: '2026-01-20T10:00:00Z', serial: '', owner: '' };
  const now: Ticket = { ...past, id: 'now', openedAt: '2026-02-01T09:00:00Z', serial: '', owner: '' };
  const asked = (changes: Partial<Ticket>, earlier: Partial<Ticket> = {}) =>
    perhapsSame({ ...now, ...changes }, [{ ...back, ...earlier }])?.id;
  test('of one of the same name that went back before, and of no other', () => {
    expect(asked({})).toBe('before');
    expect(asked({ machine: ` ${past.machine.toUpperCase()} ` })).toBe('before');
    expect(asked({ machine: 'another player' })).toBeUndefined();
    expect(asked({ machine: '' }, { machine: '' })).toBeUndefined();
    expect(asked({}, { closedAt: null })).toBeUndefined();
    expect(asked({}, { closedAt: '2026-03-01T10:00:00Z' })).toBeUndefined();
  });
  test('once it is answered, or told by serial numbers or owners, it is asked no more', () => {
    expect(asked({ sameAs: null })).toBeUndefined();
    expect(asked({ sameAs: 'before' })).toBeUndefined();
    expect(asked({ serial: '7' }, { serial: '8' })).toBeUndefined();
    expect(asked({ owner: 'Ms Tregear' }, { owner: 'Booth 2' })).toBeUndefined();
    expect(asked({ serial: '7' })).toBe('before');
  });
});

test('the belts that were right on machines of a name, the oftenest first; another name, or a belt too tight, says nothing', () => {
  const belt = (innerLengthMm: number) => ({ shape: 'square', thicknessMm: 1.2, widthMm: 1.2, innerLengthMm }) as const;
  const of = (number: string, machine: string, innerLengthMm: number, right: boolean) => ({
    number,
    machine,
    judged: [{ mechanism: '', belt: belt(innerLengthMm), right }],
  });
  const all = [
    of('0001', 'Booth deck', 120, true),
    of('0002', 'booth  deck', 116, true),
    of('0003', 'booth deck ', 116, true),
    of('0004', 'booth deck', 112, false),
    of('0005', 'booth deck two', 116, true),
  ];
  expect(rightBefore(all, 'Booth Deck').map((one) => [one.belt.innerLengthMm, one.numbers])).toEqual([
    [116, ['0002', '0003']],
    [120, ['0001']],
  ]);
  expect(rightBefore(all, 'b')).toEqual([]);
});
