import { describe, expect, test } from 'vitest';
import { cycle, opening, recordOf, step, tried } from '../../../fixtures/sample';
import type { EventBody } from '../../record/ticket';
import { chosenBelt, countingNow, driveOfBelt, fittingOf, machineView } from '.';

const viewOf = (...bodies: EventBody[]) => machineView(recordOf([opening, ...bodies]));
const beltOf = (...bodies: EventBody[]) => viewOf(...bodies).drives.map(({ belt }) => belt.kind);
/** Steps are stamped by themselves; here later than what the record's own clock says first, and earlier than what follows. */
const at = (minute: number): string => `2026-01-12T09:${String(minute).padStart(2, '0')}:30Z`;
const beltStep = (id: string, number: number, line: string, minute: number): EventBody => ({
  type: 'stepPut',
  step: { ...step(id, number, 'belt', line), at: at(minute) },
});
const fit = (driveId: string, id: string): EventBody => ({
  type: 'tryLogged',
  driveId,
  try: tried(id, 116),
});

describe('the machine as it stands', () => {
  test('knows nothing of power and lid until it is said, and then the last word', () => {
    expect(viewOf()).toMatchObject({ mains: null, lid: null, off: [], discs: [], failedBefore: [], failedSince: [] });
    const said = viewOf(
      { type: 'mainsSaid', mains: { state: 'plugged', since: at(1) } },
      { type: 'mainsSaid', mains: { state: 'unplugged', since: at(2) } },
      { type: 'lidSaid', lid: { state: 'off', since: at(3) } },
    );
    expect([said.mains?.state, said.lid?.state]).toEqual(['unplugged', 'off']);
  });
  test('what is off is what came off and is not back; a note never is', () => {
    const lid = step('st2', 2, 'cover', 'lid');
    const view = viewOf(
      { type: 'stepPut', step: step('st1', 1, 'screws', '4 ph1 underside') },
      { type: 'stepPut', step: lid },
      { type: 'stepPut', step: { ...step('st3', 0, 'note', 'hm'), removals: [] } },
      { type: 'stepPut', step: { ...lid, removals: [{ opening: 1, off: 1, back: 1 }] } },
    );
    expect(view.off.map(({ id }) => id)).toEqual(['st1']);
  });
  test('a belt is as it came, off, and then the one that was fitted', () => {
    expect(beltOf()).toEqual(['asItCame']);
    const off = beltStep('st1', 1, 'belt off', 1);
    expect(beltOf(off)).toEqual(['none']);
    expect(beltOf(off, fit('drive-a', 't1'))).toEqual(['fitted']);
    // Taken off again later, in the same step's number or another.
    expect(beltOf(off, fit('drive-a', 't1'), beltStep('st2', 2, 'belt off again', 5))).toEqual(['none']);
  });
  test('of two belts only the one that is named is off', () => {
    const two: EventBody[] = [
      { type: 'driveChanged', driveId: 'drive-a', changes: { role: 'loading' } },
      { type: 'driveAdded', driveId: 'drive-b', name: 'B' },
      { type: 'driveChanged', driveId: 'drive-b', changes: { role: 'lift' } },
    ];
    expect(beltOf(...two, beltStep('st1', 1, 'belt lift off', 5))).toEqual(['asItCame', 'none']);
    expect(beltOf(...two, beltStep('st1', 1, 'belt of drive A off', 5))).toEqual(['none', 'asItCame']);
    // Nobody can tell which: none is said to be off.
    expect(beltOf(...two, beltStep('st1', 1, 'belt off', 5))).toEqual(['asItCame', 'asItCame']);
  });
  test('“no belt fitted” holds until a belt is fitted or it is reversed', () => {
    const change = {
      id: 'lo1',
      kind: 'noBelt',
      words: 'no belt fitted',
      closes: 'fit the belt',
      before: 'power',
      openedAt: at(1),
      closedAt: null,
      afterStepId: null,
      afterChangeId: null,
      beforeStepId: null,
    } as const;
    const open: EventBody = { type: 'temporaryChangePut', change };
    expect(viewOf(open).drives[0]?.belt).toEqual({ kind: 'none', because: 'no belt fitted' });
    expect(viewOf(open).changes.power.map(({ id }) => id)).toEqual(['lo1']);
    expect(beltOf(open, { type: 'temporaryChangePut', change: { ...change, closedAt: at(2) } })).toEqual(['asItCame']);
    expect(beltOf(open, fit('drive-a', 't1'))).toEqual(['fitted']);
  });
  test('surfaces are those of the pulleys now, idlers by name', () => {
    const view = viewOf({
      type: 'driveChanged',
      driveId: 'drive-a',
      changes: {
        motorSurface: 'oily',
        idlers: [
          {
            id: 'i1',
            name: 'guide',
            xMm: 1,
            yMm: 2,
            diameterMm: 5,
            groove: { form: 'flat', veeAngleDeg: null },
            back: true,
            driven: false,
            after: 'driven',
            surface: 'dusty',
          },
        ],
      },
    });
    expect(view.drives[0]).toMatchObject({
      motorSurface: 'oily',
      drivenSurface: 'clean',
      idlerSurfaces: [{ name: 'guide', surface: 'dusty' }],
    });
  });
  test('a disc is in custody until it went back', () => {
    const disc = { id: 'd1', whose: 'the owner', where: 'on the clamp', condition: '', out: '', returned: false };
    expect(viewOf({ type: 'discPut', disc }).discs).toHaveLength(1);
    expect(viewOf({ type: 'discPut', disc }, { type: 'discPut', disc: { ...disc, returned: true } }).discs).toEqual([]);
  });
  test('failures are told apart by direction and load, before and since the last treatment', () => {
    const log = (id: string, more: Partial<ReturnType<typeof cycle>>): EventBody => ({
      type: 'cycleLogged',
      cycle: { ...cycle(id, 'good'), ...more },
    });
    const view = viewOf(
      log('c1', { action: 'open', result: 'bad' }),
      log('c2', { action: 'open', result: 'good' }),
      log('c3', { action: 'close', result: 'good', loaded: true }),
      { type: 'treatmentRecorded', treatment: { id: 'h1', at: '2026-01-12T11:00:00Z', what: 'belt renewed' } },
      { type: 'cleanRunBegun', cleanRun: { id: 'p1', startedAt: '2026-01-12T11:05:00Z' } },
      log('c4', { action: 'open', result: 'helped', at: '2026-01-12T11:06:00.000Z', cleanRunId: 'p1' }),
    );
    expect(view.failedBefore).toEqual([
      { action: 'open', loaded: false, place: '', cycles: 2, failures: 1 },
      { action: 'close', loaded: true, place: '', cycles: 1, failures: 0 },
    ]);
    expect(view.failedSince).toEqual([{ action: 'open', loaded: false, place: '', cycles: 1, failures: 1 }]);
  });
  test('undoing takes the view back with it', () => {
    const record = recordOf([opening, fit('drive-a', 't1'), { type: 'undone', eventId: 'e2' }]);
    expect(machineView(record).drives[0]?.belt.kind).toBe('asItCame');
  });
});

describe('one fact, said once', () => {
  const noBelt: EventBody = {
    type: 'temporaryChangePut',
    change: {
      id: 'nb',
      kind: 'noBelt',
      words: 'no belt fitted',
      closes: 'fit the belt',
      before: 'power',
      openedAt: at(2),
      closedAt: null,
      afterStepId: null,
      afterChangeId: null,
      beforeStepId: null,
    },
  };
  test('fitting a belt ends “no belt fitted” and brings its step back', () => {
    const bodies = [opening, beltStep('st1', 1, 'belt', 1), noBelt];
    const { ticket } = recordOf(bodies);
    const fitted = fittingOf(ticket, 'drive-a', tried('t1', 116), at(9));
    expect(fitted.map(({ type }) => type)).toEqual(['treatmentRecorded', 'tryLogged', 'temporaryChangePut', 'stepPut']);
    const after = recordOf([...bodies, ...fitted]);
    expect(machineView(after).drives[0]?.belt.kind).toBe('fitted');
    expect(machineView(after).off).toEqual([]);
    expect(machineView(after).changes.power).toEqual([]);
    expect(chosenBelt(after.ticket.drives[0] ?? { tries: [] })?.id).toBe('t1');
    // Said again at another station it is the same try, and one treatment; once it was judged it is another.
    const again = fittingOf(after.ticket, 'drive-a', tried('t2', 116), at(11));
    expect(recordOf([...bodies, ...fitted, ...again]).ticket).toMatchObject({
      drives: [{ tries: [{ id: 't1' }] }],
      treatments: [{ id: 't1', at: at(11) }],
    });
    const judged: EventBody = {
      type: 'tryJudged',
      driveId: 'drive-a',
      tryId: 't1',
      verdict: 'tooLoose',
      note: '',
    };
    const loose = recordOf([...bodies, ...fitted, judged]);
    expect(fittingOf(loose.ticket, 'drive-a', tried('t2', 116), at(12))[1]).toMatchObject({ try: { id: 't2' } });
  });
  test('a belt step belongs to the drive that it names, and to none where it names none of several', () => {
    const { ticket } = recordOf([opening, { type: 'driveAdded', driveId: 'drive-b', name: 'B' }]);
    const words = (what: string) => driveOfBelt(ticket, { what, where: '', line: what })?.name;
    expect([words('belt drive B'), words('belt')]).toEqual(['B', undefined]);
  });
  test('nothing is counted unplugged, and with a plug or a belt out only as a trial; screws and covers may be off', () => {
    const plug: EventBody = { type: 'stepPut', step: step('p1', 1, 'connector', 'motor plug') };
    const lid: EventBody = { type: 'stepPut', step: step('c1', 1, 'cover', 'lid') };
    const unplugged: EventBody = { type: 'mainsSaid', mains: { state: 'unplugged', since: at(3) } };
    expect(countingNow(viewOf())).toEqual({ may: 'yes' });
    expect(countingNow(viewOf(lid))).toEqual({ may: 'yes' });
    expect(countingNow(viewOf(plug))).toEqual({ may: 'trial', because: 'number 1, motor plug, is out' });
    expect(countingNow(viewOf(noBelt))).toEqual({ may: 'trial', because: 'drive A has no belt' });
    expect(countingNow(viewOf(plug, unplugged)).may).toBe('no');
  });
});
