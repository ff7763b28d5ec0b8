import { describe, expect, test } from 'vitest';
import { complaint, cycle, opening, reading, recordOf, tried } from '../../../fixtures/sample';
import { believe, KNOWLEDGE, machineOf, nextStep, rankCauses, suggest } from '../../work/diagnosis';
import type { EventBody } from '../../record/ticket';
import { answersOf, caseOf, impossibleTests, offeredAnswers, sameTestElsewhere, takenFrom } from '.';
import { blankStep, newStep, EMPTY_STRIP } from '../../work/strip';
import { readLine } from '../../work/stripLine';

const ticketOf = (list: readonly EventBody[]) => recordOf([opening, ...list]).ticket;
const taken = (list: readonly EventBody[]) =>
  takenFrom(ticketOf(list)).map(({ testId, outcome }) => `${testId} ${outcome}`);
const observed = (
  id: string,
  testId: string,
  outcome: string,
  at: string,
  driveId: string | null = null,
): EventBody => ({
  type: 'observed',
  observation: { id, testId, outcome, at, driveId },
});

describe('what other stations saw counts at once', () => {
  test('sounds, evidence on arrival, the try after unplugging', () => {
    expect(
      taken([
        { type: 'complaintPut', complaint: { ...complaint('k1', 'dead drawer'), sounds: ['runsFree', 'rattle'] } },
        { type: 'complaintPut', complaint: { ...complaint('k2', 'hums'), sounds: ['growl'], drivetrain: false } },
        { type: 'evidencePut', evidence: { id: 'v1', kind: 'screwsMissing', words: '', age: '' } },
        { type: 'triedAgain', afterUnplugging: { result: 'works', at: '2026-01-12T09:10:00Z' } },
      ]),
    ).toEqual(['sound runsFree', 'rattle rattles', 'unplug works', 'signs signs']);
  });
  test('the counted cycles, empty against loaded, once chance alone would hardly part them so', () => {
    const run = (n: number, failures: number, loaded: boolean): EventBody[] =>
      Array.from({ length: n }, (_, i) => ({
        type: 'cycleLogged',
        cycle: { ...cycle(`${loaded}${i}`, i < failures ? 'bad' : 'good'), loaded, disc: loaded ? 'junk' : 'none' },
      }));
    expect(taken([...run(12, 5, false), ...run(12, 0, true)])).toEqual(['emptyLoaded failsEmpty']);
    expect(taken([...run(12, 3, false), ...run(12, 3, true)])).toEqual(['emptyLoaded alike']);
    expect(taken([...run(3, 1, false), ...run(2, 0, true)])).toEqual([]);
  });
  const typed = (line: string): EventBody[] =>
    (readLine(line)?.ways[0]?.does ?? []).flatMap((deed, index): EventBody[] =>
      deed.type === 'step'
        ? [{ type: 'stepPut', step: newStep(EMPTY_STRIP, deed.step, `st${index}`, '2026-01-12T09:30:00Z') }]
        : deed.type === 'found'
          ? [
              {
                type: 'foundPut',
                found: {
                  id: 'f',
                  kind: deed.kind,
                  what: deed.what,
                  where: deed.where,
                  guess: '',
                  homed: false,
                  pictureIds: [],
                },
              },
            ]
          : [],
    );
  test('what the strip saw: a belt in crumbs is dissolved, dirt is dirt, an object is an object', () => {
    expect(taken(typed('belt in crumbs'))).toEqual(['beltLook dissolved']);
    expect(taken(typed('fluff under the tray'))).toEqual([]);
    expect(taken(typed('found a coin in the slot'))).toEqual(['path part']);
    expect(taken(typed('belt off'))).toEqual([]);
  });
  test('how the old belt was found counts once, by its length where that is measured', () => {
    const hanging: EventBody = { type: 'driveChanged', driveId: 'drive-a', changes: { oldState: 'hanging' } };
    expect(taken([hanging])).toEqual(['beltFeel slack']);
    const broken: EventBody = { type: 'driveChanged', driveId: 'drive-a', changes: { oldState: 'broken' } };
    expect(taken([broken])).toEqual(['beltLook broken']);
    // Nobody presses a belt that is broken.
    expect(impossibleTests(ticketOf([broken]))).toEqual(['beltFeel', 'holdEject', 'turnHand']);
    expect(impossibleTests(ticketOf(typed('belt off')))).toContain('beltFeel');
    // The one that is in since can be.
    const fitted: EventBody = { type: 'tryLogged', driveId: 'drive-a', try: tried('t1', 116) };
    expect(impossibleTests(ticketOf([broken, fitted]))).toEqual([]);
  });
  test('counted cycles answer by direction and by what helped; trials answer nothing', () => {
    const run = (n: number, changes: Partial<ReturnType<typeof cycle>>): EventBody[] =>
      Array.from({ length: n }, (_, i) => ({
        type: 'cycleLogged',
        cycle: { ...cycle(`${changes.action}${changes.result}${i}`, 'good'), conditions: [], ...changes },
      }));
    expect(taken(run(8, { action: 'close' }))).toEqual(['closing works']);
    expect(taken(run(1, { action: 'open', result: 'helped' }))).toEqual(['pull comes']);
    expect(taken(run(8, { action: 'open', result: 'slow' }))).toEqual(['behaviour slow']);
    // Three clean openings say that opening is well where closing was seen to fail.
    expect(taken([...run(3, { action: 'open' }), ...run(1, { action: 'close', result: 'bad' })])).toEqual([
      'behaviour works',
    ]);
    expect(taken(run(3, { action: 'open' }))).toEqual([]);
    expect(taken(run(8, { action: 'close', trial: 'no belt' }))).toEqual([]);
  });
  test('a fault in closing is first asked about as it closes, by word or by count; one in opening, or either, is not', () => {
    const failing = (...list: EventBody[]) => {
      const given = caseOf(ticketOf(list), KNOWLEDGE);
      const machine = machineOf(KNOWLEDGE, given.loader);
      const order = suggest(machine, believe(machine, given), given).map(({ testId }) => testId);
      return { first: order[0], last: order.slice(-3).sort() };
    };
    const told = (words: string): EventBody => ({ type: 'complaintPut', complaint: complaint('k9', words) });
    const later = { first: 'closing', last: ['behaviour', 'holdEject', 'sound'] };
    const shut: EventBody = { type: 'cycleLogged', cycle: { ...cycle('c1', 'bad'), action: 'close' } };
    expect(failing(told('tray won’t close'))).toEqual(later);
    expect(failing(shut)).toEqual(later);
    expect(failing(told('will not open')).first).not.toBe('closing');
    expect(failing(told('will not open and does not close')).last).not.toEqual(later.last);
  });
  test('after a cure nothing more is asked, until it fails again', () => {
    const cured: EventBody = {
      type: 'verdictGiven',
      verdict: { causeId: 'beltSlack', state: 'cured', words: 'Belt slack', at: '2026-01-12T09:30:00Z' },
    };
    const next = (...list: EventBody[]) => {
      const given = caseOf(ticketOf(list), KNOWLEDGE);
      const machine = machineOf(KNOWLEDGE, given.loader);
      const belief = believe(machine, given);
      return nextStep(machine, belief, given.opened, suggest(machine, belief, given)).do;
    };
    const slack = observed('b1', 'sound', 'runsFree', '2026-01-12T09:20:00Z');
    expect(next(slack)).not.toBe('prove');
    expect(next(slack, cured)).toBe('prove');
    const again: EventBody = { type: 'cycleLogged', cycle: { ...cycle('c1', 'bad'), at: '2026-01-12T09:50:00Z' } };
    expect(next(slack, cured, again)).not.toBe('prove');
  });
  test('what the owner said is offered, never taken, and not once it is answered', () => {
    const told: EventBody = {
      type: 'complaintPut',
      complaint: complaint('k9', 'pulls to the right and crackles, needs an align'),
    };
    const words = (list: readonly EventBody[]) =>
      offeredAnswers(ticketOf(list), KNOWLEDGE).map(({ testId, outcome, quote }) => `${testId} ${outcome} ${quote}`);
    expect(words([told])).toEqual(expect.arrayContaining(['track drifts pulls to the right', 'sound growl crackles']));
    expect(taken([told])).toEqual([]);
    expect(words([told, observed('b', 'track', 'straight', '2026-01-12T09:40:00Z')]).join()).not.toContain('track');
  });
  test('the old belt against its path, and the pulleys as they were found', () => {
    const measured: EventBody[] = [
      { type: 'driveChanged', driveId: 'drive-a', changes: { motorSurface: 'oily' } },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r1', 'section', 'sectionJaws', 1.2) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r2', 'oldBelt', 'doubledOuter', 66.4) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r3', 'motorDiameter', 'motorJaws', 6) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r4', 'drivenDiameter', 'drivenJaws', 24.8) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r5', 'centreDistance', 'shaftToShaft', 38.2) },
    ];
    expect(taken(measured)).toEqual(['beltFeel oily', 'beltMeasured slack']);
    // Nobody measures pulleys with the lid on.
    expect(caseOf(ticketOf(measured), KNOWLEDGE).opened).toBe('lidOff');
    expect(
      caseOf(
        ticketOf([...measured, { type: 'lidSaid', lid: { state: 'on', since: '2026-01-12T10:00:00Z' } }]),
        KNOWLEDGE,
      ).opened,
    ).toBe('lidOn');
  });
});

describe('answers of the ticket', () => {
  test('the last answer to a test counts, and an answer wins over what another station saw', () => {
    const answers = answersOf(
      ticketOf([
        { type: 'triedAgain', afterUnplugging: { result: 'same', at: '2026-01-12T09:10:00Z' } },
        observed('b1', 'tapped', 'noHelp', '2026-01-12T09:20:00Z'),
        observed('b2', 'tapped', 'helps', '2026-01-12T09:21:00Z'),
        observed('b3', 'unplug', 'works', '2026-01-12T09:22:00Z'),
      ]),
    );
    expect(answers.map(({ testId, outcome }) => `${testId} ${outcome}`)).toEqual(['tapped helps', 'unplug works']);
  });
  test('another drive’s belt answers for the other belts', () => {
    const answers = answersOf(
      ticketOf([
        { type: 'driveAdded', driveId: 'drive-b', name: 'B' },
        observed('b1', 'beltFeel', 'firm', '2026-01-12T09:20:00Z', 'drive-a'),
        observed('b2', 'beltFeel', 'slack', '2026-01-12T09:21:00Z', 'drive-b'),
      ]),
    );
    expect(answers.map(({ testId, outcome }) => `${testId} ${outcome}`)).toEqual(['beltFeel firm', 'otherBelts bad']);
  });
  test('after one bad belt the others are proposed for the same test, until they have had it', () => {
    const list: EventBody[] = [
      { type: 'driveAdded', driveId: 'drive-b', name: 'B' },
      observed('b1', 'beltFeel', 'slack', '2026-01-12T09:20:00Z', 'drive-a'),
    ];
    expect(sameTestElsewhere(ticketOf(list))).toEqual([{ testId: 'beltFeel', driveName: 'B' }]);
    expect(
      sameTestElsewhere(ticketOf([...list, observed('b2', 'beltFeel', 'firm', '2026-01-12T09:21:00Z', 'drive-b')])),
    ).toEqual([]);
    expect(
      sameTestElsewhere(ticketOf([observed('b1', 'beltFeel', 'firm', '2026-01-12T09:20:00Z', 'drive-a')])),
    ).toEqual([]);
  });
  test('a cure sets its cause aside, what was seen before it stays before it, and a failure after it is known', () => {
    const list: EventBody[] = [
      observed('b1', 'sound', 'runsFree', '2026-01-12T09:20:00Z'),
      {
        type: 'verdictGiven',
        verdict: { causeId: 'beltSlack', state: 'cured', words: 'Belt slack', at: '2026-01-12T09:30:00Z' },
      },
      observed('b2', 'sound', 'usual', '2026-01-12T09:40:00Z'),
    ];
    expect(caseOf(ticketOf(list), KNOWLEDGE)).toMatchObject({
      cured: ['beltSlack'],
      stillFails: false,
      observations: [
        { testId: 'sound', outcome: 'runsFree', cured: 0 },
        { testId: 'sound', outcome: 'usual', cured: 1 },
      ],
    });
    const failing: EventBody = { type: 'cycleLogged', cycle: { ...cycle('c1', 'bad'), at: '2026-01-12T09:50:00Z' } };
    expect(caseOf(ticketOf([...list, failing]), KNOWLEDGE).stillFails).toBe(true);
  });
});

describe('what was seen by eye or tried by hand wins over the table', () => {
  const chances = (line: string, loader: 'tray' | 'slot' = 'tray'): ReadonlyMap<string, number> => {
    const from: EventBody =
      opening.type === 'ticketOpened' ? { ...opening, details: { ...opening.details, loader } } : opening;
    const { ticket } = recordOf([
      from,
      {
        type: 'stepPut',
        step: {
          ...newStep(EMPTY_STRIP, blankStep('note', line, { what: line, fate: 'noted' }), 's', '2026-01-12T09:30:00Z'),
        },
      },
    ]);
    const machine = machineOf(KNOWLEDGE, loader);
    return new Map(
      rankCauses(machine, believe(machine, caseOf(ticket, KNOWLEDGE))).map(({ causeId, chance }) => [causeId, chance]),
    );
  };
  test('a pulley that turns under its belt: slack or slippery, at 80 in 100 and more', () => {
    const all = chances('motor pulley turns, belt slips');
    const slips = ['beltSlack', 'beltOily', 'beltGlazed', 'beltWrong'].reduce((sum, id) => sum + (all.get(id) ?? 0), 0);
    expect(slips).toBeGreaterThan(0.8);
  });
  test.each([
    ['belt is a stopgap, a rubber band', 'tray', 'beltWrong', 0.5],
    ['belt snapped', 'tray', 'beltBroken', 0.8],
    ['belt in crumbs', 'tray', 'beltDissolved', 0.8],
    ['belt was off its pulleys', 'tray', 'beltOff', 0.8],
    ['link had come off its pin', 'slot', 'rollerLink', 0.8],
  ] as const)('“%s” (%s) is %s', (line, loader, cause, least) =>
    expect(chances(line, loader).get(cause)).toBeGreaterThan(least),
  );
});
