import { describe, expect, test } from 'vitest';
import { TRAY } from '../../../fixtures/cycleMachine';
import { opening, recordOf } from '../../../fixtures/sample';
import { ON_THE_BENCH, cycle } from '../../physics/cycle';
import type { Ticket } from '../../record/ticket';
import { coldOf, complaintConditions } from '../evidence';
import { againstWatch, eventWords, headlineOf, inHundredOf, toCsv, whyApart } from '.';

const { ticket } = recordOf([opening]);
const said = (words: string): Ticket => ({
  ...ticket,
  complaints: [{ ...(ticket.complaints[0] as Ticket['complaints'][number]), words, state: 'open', drivetrain: true }],
});

describe('in the cold', () => {
  test.each(['does not open on cold mornings', 'not only in the cold', 'it is not the cold'])(
    '“%s” is an owner who speaks of it, and nothing that was found',
    (words) => {
      expect(coldOf(said(words))).toBe('told');
      expect(complaintConditions(said(words)).roomC).toBe(20);
    },
  );
  test.each(['does not open', 'works in the cold, stalls when warm'])('“%s” is none', (words) =>
    expect(coldOf(said(words))).toBeNull(),
  );
  test('a test at Find finds it, and stands above the words', () => {
    const answered = (outcome: string): Ticket => ({
      ...said('does not open on cold mornings'),
      observations: [{ id: 'o', at: '2026-01-01T10:00:00Z', testId: 'warm', outcome, driveId: null }],
    });
    expect(complaintConditions(answered('betterWarm')).roomC).toBe(8);
    expect(coldOf(answered('alike'))).toBeNull();
  });
});

describe('a cycle in words', () => {
  const made = cycle(TRAY, ON_THE_BENCH);
  if (!made.ok) throw new Error(made.problem);
  test('its headline, its events, its table', () => {
    expect(headlineOf(made.value, 'tray')).toBe('Goes cleanly');
    expect(headlineOf({ ...made.value, outcome: 'slips', slipS: 0.4 }, 'tray')).toBe('Arrives, slipping for 0.4 s');
    expect(headlineOf({ ...made.value, outcome: 'givesBack', whereMm: 74 }, 'tray')).toBe(
      'Stands at 74 mm, and goes back',
    );
    expect(made.value.events.map((one) => eventWords(one, 'tray'))).toEqual([
      'The tray starts',
      'guide: it binds at 70 mm, with 0.30 N more',
      'The switch says enough at 118 mm',
      'All rests',
    ]);
    const lines = toCsv(made.value.trace, false).trim().split('\r\n');
    expect(lines).toHaveLength(made.value.trace.timeS.length + 1);
    expect(lines[0]).toContain('belt 1 pull N');
  });
  test('no chance is surer than what it rests on', () => {
    expect(inHundredOf(1)).toBe('99 in 100');
    expect(inHundredOf(0)).toBe('none in 100');
    expect(inHundredOf(0.61)).toBe('61 in 100');
  });
  test('a watch beside it: slower, quicker, as it should', () => {
    const timeS = [1.5, 1.7, 1.9] as const;
    expect(againstWatch([2.4], { timeS })).toContain('something still binds, or the belt slips for about 0.7 s');
    expect(againstWatch([1.8], { timeS })).toContain('as it should');
    expect(againstWatch([0.9], { timeS })).toContain('quicker');
    expect(againstWatch([], { timeS })).toBe('');
  });
  test('where the movement says otherwise than the sums at rest, why', () => {
    const shares = { opens: 0.7, slips: 0.05, stalls: 0, givesBack: 0.2, overruns: 0.05 };
    expect(whyApart({ atRest: 0.95, shares })).toContain('95 in 100');
    expect(whyApart({ atRest: 0.81, shares })).toBe('');
  });
});
