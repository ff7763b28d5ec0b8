import { describe, expect, test } from 'vitest';
import { opening, reading, recordOf, step, tried } from '../../../fixtures/sample';
import { COMPATIBILITY, type Material } from '../../work/compatibility';
import { handBackText, openEnds } from '../handBack';
import { workedBefore } from '../knownBefore';
import { putRight, takenFrom } from '../evidence';
import { driveFactsOf, marksOf, type EventBody, type Ticket } from '../../record/ticket';
import { readTreatment } from '../../work/treatmentLine';
import { beltHeld, cleanView, cleanEventsOf, powerHeld, type CleanOutcome } from '.';

const NOW = '2026-01-12T12:00:00.000Z';
let ids = 0;
/** The bodies of a ticket after lines, each said as the page says it; where one is not done, what came instead. */
function saying(
  start: readonly EventBody[],
  ...lines: ReadonlyArray<string | EventBody>
): { readonly ticket: Ticket; readonly bodies: readonly EventBody[]; readonly stopped: CleanOutcome | undefined } {
  let bodies = [...start];
  let stopped: CleanOutcome | undefined;
  lines.forEach((line, minute) => {
    if (typeof line !== 'string') {
      bodies.push(line);
      return;
    }
    const { ticket } = recordOf(bodies);
    const way = readTreatment(line, { map: cleanView(ticket).places, chosenId: null })?.ways[0];
    if (!way) throw new Error(line);
    const at = new Date(Date.parse(NOW) + minute * 60_000).toISOString();
    const done = cleanEventsOf(ticket, way.does, { table: COMPATIBILITY, newId: () => `n${++ids}`, at, line });
    if (done.kind === 'bodies') bodies = [...bodies, ...done.bodies];
    else stopped = done;
  });
  return { ticket: recordOf(bodies).ticket, bodies, stopped };
}
const material = (ticket: Ticket, name: string, of: Material): EventBody => {
  const place = ticket.cleaning.places.find((one) => one.name === name);
  if (!place) throw new Error(name);
  return { type: 'placePut', place: { ...place, material: of } };
};
const stateOf = (ticket: Ticket, name: string) => cleanView(ticket).places.find(({ place }) => place.name === name);

describe('what a line makes happen', () => {
  test('the place gets a number that Strip does not give again, the surface reaches Measure, drying runs', () => {
    const { ticket } = saying(
      [opening, { type: 'stepPut', step: step('s1', 1, 'cover', 'lid') }],
      'drive pulley oily',
      'drive pulley ipa, clean twice',
    );
    expect(ticket.cleaning.places.map(({ name, number }) => [name, number])).toEqual([['drive pulley', 2]]);
    expect(ticket.strip.lastNumber).toBe(2);
    expect(ticket.drives[0]?.drivenSurface).toBe('clean');
    expect(stateOf(ticket, 'drive pulley')?.state).toMatchObject({ clean: 'twice', standing: [] });
    const wetAt = Date.parse(NOW) + 90_000;
    expect(beltHeld(ticket, 'drive-a', wetAt)[0]?.words).toBe('the drive pulley dries another 1:30');
    expect(powerHeld(ticket, wetAt)).toHaveLength(1);
    expect(beltHeld(ticket, 'drive-a', wetAt + 120_000)).toEqual([]);
  });
  test('found oily, it is oily at Measure too; cleaned, it is clean; the proof hears of it', () => {
    const oily = saying([opening], 'drive pulley oily');
    expect(oily.ticket.drives[0]?.drivenSurface).toBe('oily');
    const done = saying(oily.bodies, 'drive pulley soap, clean');
    expect(done.ticket.drives[0]?.drivenSurface).toBe('clean');
    expect(done.ticket.treatments.map(({ what }) => what)).toEqual(['Drive pulley washed']);
  });
  test('a harmful pair does nothing, says why, and goes on once its spot test is clean', () => {
    const first = saying([opening], 'drive pulley oily');
    const abs = [...first.bodies, material(first.ticket, 'drive pulley', 'abs')];
    const refused = saying(abs, 'drive pulley nail polish remover swab clean');
    expect(refused.stopped).toMatchObject({
      kind: 'blocked',
      blocked: { agent: 'acetone', leave: { ask: 'spotTest' } },
    });
    expect(refused.bodies).toHaveLength(abs.length);
    const tried = saying(abs, 'spot test drive pulley acetone clean', 'drive pulley acetone swab clean');
    expect(tried.stopped).toBeUndefined();
    expect(stateOf(tried.ticket, 'drive pulley')?.state.clean).toBe('said');
    const black = saying(abs, 'spot test drive pulley acetone black', 'drive pulley acetone swab clean');
    expect(black.stopped).toMatchObject({ blocked: { leave: { ask: null } } });
    // What was harmed already is written down, not refused.
    const harmed = saying(abs, 'drive pulley acetone, went dull');
    expect(handBackText(harmed.ticket, 'left')).toContain('marked by the cleaning');
  });
  test('a place without a material is asked about, and nothing is lost meanwhile', () => {
    const asked = saying([opening], 'drive pulley acetone');
    expect(asked.stopped).toMatchObject({ blocked: { leave: { ask: 'material' } } });
    expect(asked.ticket.cleaning.places).toEqual([]);
  });
  test('the same place said twice is one place, and two lines of it are two treatments', () => {
    const { ticket } = saying([opening], 'rods ipa', 'rods ipa', 'rods old grease off');
    expect(ticket.cleaning.places).toHaveLength(1);
    expect(ticket.cleaning.treatments).toHaveLength(3);
    // A word that is nowhere on the map, twice in one line.
    expect(saying([opening], 'rods old grease off, lithium').ticket.cleaning.places).toHaveLength(1);
  });
  test('what is off is cleaned on the bench under its own number', () => {
    const { ticket } = saying(
      [opening, { type: 'stepPut', step: { ...step('s1', 7, 'gear', 'worm'), what: 'worm' } }],
      'worm brushed, petroleum spirit',
    );
    const worm = stateOf(ticket, 'worm');
    expect(worm).toMatchObject({ off: true, suggested: false, place: { number: 7, stepId: 's1' } });
  });
  test('forty places each keep what was done', () => {
    const lines = Array.from({ length: 40 }, (_, i) => ({
      type: 'placePut' as const,
      place: {
        id: `p${i}`,
        number: 100 + i,
        kind: 'part' as const,
        name: `post ${i}`,
        material: 'steel' as const,
        driveId: null,
        stepId: null,
        seen: [],
        left: '',
        nearBelt: null,
      },
    }));
    const { ticket } = saying([opening, ...lines], 'post 7 ipa clean', 'post 37 ipa clean');
    expect(stateOf(ticket, 'post 7')?.state.clean).toBe('said');
    expect(stateOf(ticket, 'post 37')?.state.clean).toBe('said');
    expect(stateOf(ticket, 'post 3')?.state.clean).toBeNull();
  });
  test('levers out are a temporary change until they are in; in without out is refused in words', () => {
    const out = saying([opening], 'switch levers out, contact cleaner, 20 strokes');
    expect(out.ticket.strip.temporaryChanges.map(({ kind, closedAt }) => [kind, closedAt])).toEqual([
      ['switchLeversOff', null],
    ]);
    expect(saying(out.bodies, 'levers in').ticket.strip.temporaryChanges[0]?.closedAt).not.toBeNull();
    expect(saying([opening], 'levers in').stopped).toMatchObject({ kind: 'refused' });
  });
  test('warming asks for the length first, then keeps it and runs a timer', () => {
    expect(saying([opening], 'belt in hot water').stopped).toMatchObject({ kind: 'refused' });
    const measured: EventBody[] = [
      opening,
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r1', 'section', 'sectionJaws', 1.2) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r2', 'oldBelt', 'doubledOuter', 66.4) },
    ];
    const warm = saying(measured, 'belt in hot water');
    expect(warm.ticket.cleaning.shrinks[0]?.beforeMm).toBeCloseTo(128, 0);
    expect(warm.ticket.timers[0]?.what).toBe('belt warms');
    // Cold, it is kept at what it measures; what it was as it came still tells of the path.
    const cold: EventBody = {
      type: 'readingTaken',
      driveId: 'drive-a',
      reading: { ...reading('r3', 'oldBelt', 'doubledOuter', 64), round: 1 },
    };
    const [drive] = recordOf([...warm.bodies, cold]).ticket.drives;
    if (!drive) throw new Error('no drive');
    const facts = driveFactsOf(drive);
    expect([facts.oldBelt?.value, facts.warmedBelt?.value].map((mm) => Math.round(mm ?? 0))).toEqual([128, 123]);
  });
});

describe('what it feeds', () => {
  const pull = (id: string, amount: number, round?: number): EventBody => ({
    type: 'readingTaken',
    driveId: 'drive-a',
    reading: { ...reading(id, 'trayPull', 'scalePull', amount), ...(round !== undefined && { round }) },
  });
  const freed = saying([opening, pull('p1', 3.1)], 'rods old grease off, lithium', pull('p2', 1.2, 2));

  test('Size judges by the pull after, Find by the pull before', () => {
    const [drive] = freed.ticket.drives;
    if (!drive) throw new Error('no drive');
    expect(driveFactsOf(drive).trayPull?.value).toBeCloseTo(1.2);
    expect(driveFactsOf(drive).trayPullBefore?.value).toBeCloseTo(3.1);
    expect(takenFrom(freed.ticket).find(({ testId }) => testId === 'beltOffStiff')?.outcome).toBe('stiff');
  });
  test('a cause is offered as put right where a test can tell, and not before', () => {
    expect(putRight(freed.ticket)).toEqual([{ causeId: 'guidesDry', because: 'the pull went from 3.1 to 1.2 N' }]);
    expect(putRight(saying([opening, pull('p1', 3.1)], 'rods old grease off, lithium').ticket)).toEqual([]);
    const oily = saying([opening], 'belt oily', 'belt slips', 'belt soapy water, clean', 'belt holds').ticket;
    expect(putRight(oily).map(({ causeId }) => causeId)).toEqual(['beltOily']);
    expect(takenFrom(oily).find(({ testId }) => testId === 'beltFeel')?.outcome).toBe('oily');
    const given: EventBody = {
      type: 'verdictGiven',
      verdict: { causeId: 'guidesDry', state: 'cured', words: 'x', at: NOW },
    };
    expect(putRight(recordOf([...freed.bodies, given]).ticket)).toEqual([]);
  });
  test('Hand back says what was found, done and left, once, with no letter of a drive', () => {
    const two = saying(
      [
        opening,
        { type: 'driveChanged', driveId: 'drive-a', changes: { role: 'loading' } },
        { type: 'driveAdded', driveId: 'drive-b', name: 'B' },
      ],
      'belts oily',
      'belts soap clean',
      'rollers nicked',
      'rods old grease off, lithium',
    ).ticket;
    expect(handBackText(two, 'found')).toBe('Oil on loading belt and belt.');
    expect(handBackText(two, 'done')).toBe('Loading belt, belt and rods cleaned.\nNew lithium grease on rods.');
    expect(handBackText(two, 'left')).toBe('Rollers: nicked.');
  });
  test('what worked is said on the next one of its kind', () => {
    expect(workedBefore([freed.ticket])).toEqual([
      {
        number: '0147',
        line: 'rods old grease off, lithium grease',
        because: expect.stringContaining('better by 1.9') as string,
      },
    ]);
    expect(workedBefore([saying([opening], 'rods lithium').ticket])).toEqual([]);
  });
});

describe('what was found and is so still', () => {
  const still = (ticket: Ticket) =>
    openEnds(ticket).flatMap(({ words }) => (words.startsWith('Still as') ? words : []));
  test('leaves Clean open and is told at Hand back, until it is off', () => {
    const found = saying([opening], 'belt oily', 'guides dry, hardened grease on the rack');
    expect(marksOf(found.ticket).clean).toBe('open');
    expect(still(found.ticket)).toContain('Still as it was found: belt, oily.');
    const washed = saying(found.bodies, 'belt washed in soapy water, clean');
    expect(still(washed.ticket).some((words) => words.includes('belt'))).toBe(false);
  });
  test('a wipe that does not say how it came out takes nothing off', () => {
    const { ticket } = saying([opening], 'drive pulley oily', 'drive pulley ipa');
    expect(still(ticket)).toEqual(['Still as it was found: drive pulley, oily.']);
    expect(marksOf(ticket).clean).toBe('open');
  });
  test('what is left on purpose is answered, and a belt in whose stead another runs', () => {
    const left = saying([opening], 'lens fluff', 'lens left alone').ticket;
    expect([still(left), marksOf(left).clean]).toEqual([[], 'done']);
    const oily = saying([opening], 'belt oily').bodies;
    const { ticket } = recordOf([...oily, { type: 'tryLogged', driveId: 'drive-a', try: tried('t1', 116, 'right') }]);
    expect(still(ticket)).toEqual([]);
  });
});
