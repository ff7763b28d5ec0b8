import { describe, expect, test } from 'vitest';
import { complaint, cycle, opening, recordOf, tried } from '../../../fixtures/sample';
import type { EventBody } from '../../record/ticket';
import { letter } from '.';

const parts = (list: readonly EventBody[]) =>
  new Map(
    letter(recordOf([opening, ...list]).ticket, 'mm').map(({ heading, sentences }) => [
      heading,
      sentences.map(({ text }) => text),
    ]),
  );
const cleanRun: EventBody = { type: 'cleanRunBegun', cleanRun: { id: 'p1', startedAt: '2026-01-12T10:10:00Z' } };

describe('the letter to the owner', () => {
  test('answers each complaint in its own words', () => {
    const told = parts([
      {
        type: 'complaintPut',
        complaint: { ...complaint('k1', 'shy on cold mornings'), state: 'cured', after: 'opens at once' },
      },
      { type: 'complaintPut', complaint: { ...complaint('k2', 'clock is wrong'), state: 'anotherTrade' } },
      { type: 'complaintPut', complaint: { ...complaint('k3', 'clicks at night'), state: 'notReproduced' } },
    ]).get('What you told us');
    expect(told).toEqual([
      '“shy on cold mornings”. This is cured. opens at once.',
      '“clock is wrong”. This needs another specialist; it was not touched.',
      '“clicks at night”. It did not show itself here, so it cannot be said to be cured.',
    ]);
  });
  test('says how often it failed before, and how often it ran since', () => {
    const saw = parts([
      { type: 'cycleLogged', cycle: cycle('c1', 'bad') },
      { type: 'cycleLogged', cycle: cycle('c2', 'good') },
      cleanRun,
      { type: 'cycleLogged', cycle: cycle('c3', 'good', 'p1') },
      { type: 'cycleLogged', cycle: cycle('c4', 'slow', 'p1') },
    ]).get('What we saw it do');
    expect(saw).toEqual([
      'As it came, opening it failed 1 time out of 2 (with no disc in, cold).',
      'Since the repair it opened so 2 times without failing.',
    ]);
  });
  test('one of each is said as one, and a day as it is written out', () => {
    const told = parts([
      { type: 'cycleLogged', cycle: cycle('c1', 'bad') },
      cleanRun,
      { type: 'cycleLogged', cycle: cycle('c2', 'good', 'p1') },
      { type: 'handBackWritten', changes: { minutes: 1, provisional: 'The belt is a stopgap', dueOn: '2027-05-01' } },
    ]);
    expect(told.get('What we saw it do')).toEqual([
      'As it came, opening it failed 1 time out of 1 (with no disc in, cold).',
      'Since the repair it opened so 1 time without failing.',
    ]);
    expect(told.get('Time and cost')).toEqual(['1 minute at the bench.']);
    expect(told.get('What will not last')).toEqual(['The belt is a stopgap.', 'Please bring it back by 1 May 2027.']);
  });
  test('what ran otherwise is told beside, and never as the proof', () => {
    const saw = parts([
      { type: 'cycleLogged', cycle: cycle('c1', 'bad') },
      cleanRun,
      ...[1, 2, 3].map((n): EventBody => ({
        type: 'cycleLogged',
        cycle: { ...cycle(`d${n}`, 'good', 'p1'), action: 'close', loaded: true },
      })),
    ]).get('What we saw it do');
    expect(saw?.slice(1)).toEqual([
      'Since the repair opening it so was not tried.',
      'Besides, it ran 3 times in other ways without failing.',
    ]);
  });
  test('says what was offered and who declined it, and the time it took', () => {
    const told = parts([
      { type: 'offerPut', offer: { id: 'o1', what: 'both decks', answer: 'declined', by: 'you' } },
      { type: 'handBackWritten', changes: { minutes: 45, cost: '30' } },
    ]);
    expect(told.get('What we offered')).toEqual(['both decks: declined (you).']);
    expect(told.get('Time and cost')).toEqual(['45 minutes at the bench.', 'It costs 30.']);
  });
  test('never calls cured what failed again', () => {
    const saw = parts([cleanRun, { type: 'cycleLogged', cycle: cycle('c1', 'bad', 'p1') }]).get('What we saw it do');
    expect(saw).toEqual(['Since the repair it failed again, at try 1. It is not cured.']);
  });
  test('names the belt that was judged right, the last one only, and leaves out what there is nothing to say of', () => {
    const logged = (
      id: string,
      innerLengthMm: number,
      verdict: 'right' | 'tooLoose',
      source = 'own stock',
    ): EventBody => ({
      type: 'tryLogged',
      driveId: 'drive-a',
      try: tried(id, innerLengthMm, verdict, source),
    });
    const all = parts([
      logged('t1', 120, 'tooLoose'),
      logged('t2', 116, 'right'),
      { type: 'handBackWritten', changes: { done: 'Belt renewed' } },
    ]);
    expect(all.get('What is in it now')).toEqual(['The belt: square 1.2 mm, 116.0 mm inner length, own stock.']);
    // A belt of which nobody wrote where it came from ends its sentence all the same.
    expect(parts([logged('t3', 116, 'right', '')]).get('What is in it now')).toEqual([
      'The belt: square 1.2 mm, 116.0 mm inner length.',
    ]);
    expect(all.get('What we did')).toEqual(['Belt renewed.']);
    expect(all.has('What we noticed and left')).toBe(false);
  });
});
