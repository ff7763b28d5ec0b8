import { describe, expect, test } from 'vitest';
import { append, type EventBody } from '@loose-pulley/core/record/ticket';
import { KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import { LOADERS, type Loader } from '@loose-pulley/core/base/loaders';
import { STATIONS, SAID_BY_HANDS } from '@loose-pulley/core/record/stations';
import { countingNow, machineView } from '@loose-pulley/core/views/machine';
import { opening, recordOf, stamp } from '../../../../core/fixtures/sample';
import { broughtIn, dealWith, lay, type Doing, type Hand } from '@loose-pulley/lab/hidden';
import { handsAt } from '@loose-pulley/lab/practice';
import { factsOf } from './facts';

const hand = (what: Doing, which = ''): Hand => ({ do: what, what: which });
const dealt = (loader: Loader): EventBody => ({
  type: 'machineDealt',
  dealt: { loader, number: 1, prepared: null, version: 1, help: 'on' },
});

/** A ticket after hands were laid on a machine with a fault, as the app keeps it. */
function played(loader: Loader, cause: string, hands: readonly Hand[]) {
  const made = dealWith(loader, [cause], 1);
  if (!made.ok) throw new Error(made.problem);
  let on = broughtIn(made.value);
  let record = recordOf([opening, { type: 'detailsChanged', changes: { loader } }, dealt(loader)]);
  let count = 0;
  const types: string[] = [];
  hands.forEach((one, times) => {
    const laid = lay(KNOWLEDGE, on, one, times);
    const seen = { ...laid, refused: laid.on === on };
    ({ on } = laid);
    if (seen.refused) return;
    const at = new Date(Date.UTC(2026, 0, 12, 10, times)).toISOString();
    const facts = factsOf(one, seen, record.ticket, { at, newId: () => `n${++count}` });
    for (const body of facts) {
      const [event] = stamp([body]).map((made) => ({ ...made, id: `e${++count}`, at }));
      const next = event && append(record, event);
      if (!next?.ok) throw new Error(`${body.type}: ${next ? next.problem : ''}`);
      record = next.value;
      types.push(body.type);
    }
  });
  return { record, ticket: record.ticket, types, on };
}

describe('what hands say', () => {
  test.each(LOADERS)('every hand of a %s is taken by the ticket, and counted as laid', (loader) => {
    const inside = [hand('power', 'off'), hand('open', 'lidOff'), hand('open', 'deep')];
    const all = STATIONS.flatMap((station) => handsAt(station, loader)).filter((one) => one.do !== 'handBack');
    const tests = KNOWLEDGE.tests.filter(({ loaders }) => loaders.includes(loader)).map(({ id }) => hand('test', id));
    const { ticket, types } = played(loader, 'guidesDry', [
      ...inside,
      ...tests,
      ...all,
      hand('close'),
      hand('power', 'on'),
      hand('eject'),
    ]);
    expect(ticket.practice?.hands.length).toBe(types.filter((one) => one === 'handLaid').length);
    expect(ticket.observations.length).toBeGreaterThan(tests.length / 2);
    expect(ticket.mains?.state).toBe('plugged');
    expect(ticket.lid?.state).toBe('on');
  });
  test('oil is seen on both pulleys and taken off both, and a clean run follows', () => {
    const { ticket, record } = played('tray', 'beltOily', [
      hand('eject'),
      hand('power', 'off'),
      hand('open', 'lidOff'),
      hand('swab', 'pulleys'),
      hand('clean', 'pulleys'),
      hand('wait'),
      hand('close'),
      hand('power', 'on'),
      hand('cycles'),
    ]);
    const { places, treatments } = ticket.cleaning;
    expect(places.map(({ kind, seen }) => [kind, seen.map(({ dirt }) => dirt)])).toEqual([
      ['motorPulley', ['oily']],
      ['drivenPulley', ['oily']],
    ]);
    expect(treatments.map(({ outcome }) => outcome)).toEqual(['clean', 'clean']);
    expect(ticket.cycles[0]).toMatchObject({ result: 'bad', loaded: false, cleanRunId: null });
    expect(ticket.cleanRuns.length).toBe(1);
    expect(
      ticket.cycles
        .slice(1)
        .every(({ cleanRunId, result }) => cleanRunId === ticket.cleanRuns[0]?.id && result === 'good'),
    ).toBe(true);
    expect(countingNow(machineView(record)).may).toBe('yes');
  });
  test('a cause put right is a verdict and a treatment; one that was not there is ruled out, and nothing was done', () => {
    const inside = [hand('power', 'off'), hand('open', 'lidOff')];
    const there = played('tray', 'toothOut', [...inside, hand('cure', 'toothOut')]).ticket;
    expect([there.verdicts[0]?.state, there.treatments.length]).toEqual(['cured', 1]);
    const vain = played('tray', 'beltOily', [...inside, hand('cure', 'toothOut')]).ticket;
    expect([vain.verdicts[0]?.state, vain.treatments.length]).toEqual(['ruledOut', 0]);
  });
  test('a method read again says nothing new, and figures are as an instrument shows them', () => {
    const inside = [hand('power', 'off'), hand('open', 'lidOff')];
    const { ticket } = played('tray', 'guidesDry', [
      ...inside,
      hand('measure', 'motorJaws'),
      hand('measure', 'motorJaws'),
    ]);
    const read = ticket.drives[0]?.readings ?? [];
    expect(new Set(read.map(({ method }) => method)).size).toBe(1);
    for (const { amount, typed } of read) expect(typed).toBe(amount.toFixed(2));
  });
  test('whatever a hand says cannot be typed', () => {
    const { types } = played('tray', 'beltOily', [
      hand('power', 'off'),
      hand('open', 'lidOff'),
      hand('test', 'beltFeel'),
      hand('measure', 'overCap'),
      hand('clean', 'guides'),
      hand('cure', 'toothOut'),
      hand('fit', 'square-1.2-70'),
      hand('close'),
      hand('power', 'on'),
      hand('cycles'),
    ]);
    const typed = new Set(['handLaid', 'driveChanged', 'placePut', 'verdictGiven', 'cleanRunBegun']);
    for (const type of types) expect(typed.has(type) || SAID_BY_HANDS.has(type), type).toBe(true);
  });
});
