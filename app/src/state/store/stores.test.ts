import { describe, expect, test } from 'vitest';
import { DEFAULT_PRIORS, DEFAULT_REQUIREMENTS } from '@loose-pulley/core/belts/sizing';
import { summarise, type TicketSummary } from '@loose-pulley/core/record/ticket';
import { opening, recordOf } from '../../../../core/fixtures/sample';
import { assumptionsOf } from './assumptions';
import { benchReducer, newestLoaded, summaryChanged, summariesFailed, summariesLoaded, summaryRemoved } from './bench';
import {
  accessChanged,
  drafted,
  momentAsked,
  openTicketReducer,
  recordChanged,
  savingChanged,
  ticketStatus,
  type OpenTicket,
} from './openTicket';
import {
  DEFAULT_KEYS,
  keyBound,
  priorsSet,
  requirementsSet,
  askBySet,
  lubricantSet,
  bandsSwitched,
  toBeHadSet,
  benchNamed,
  copySaved,
  printScaleSet,
  settingsLoaded,
  checkSettings,
  DEFAULT_SETTINGS,
  settingsReducer,
  singleKeysSwitched,
  themeChosen,
  unitChosen,
} from './settings';

const NOTHING = { type: 'nothing' };

describe('settings', () => {
  const first = settingsReducer(undefined, NOTHING);
  test('what an older Loose Pulley kept is taken, and what it did not know is filled in', () => {
    const old = { unit: 'in', keys: { jump: 'j' }, limits: { gripLeast: 1.3, driveDiameterMm: { best: 30, std: 5 } } };
    const now = settingsReducer(first, settingsLoaded(old));
    expect(now.unit).toBe('in');
    expect(now.keys).toEqual({ ...DEFAULT_KEYS, jump: 'j' });
    expect(assumptionsOf(now)).toEqual({
      requirements: { ...DEFAULT_REQUIREMENTS, gripMin: 1.3 },
      priors: { ...DEFAULT_PRIORS, drivenDiameterMm: { best: 30, std: 5 } },
    });
    expect(settingsReducer(first, settingsLoaded({ theme: 'lamp' })).theme).toBe('dark');
    expect(now.printScale).toBe(1);
  });
  test('are merged figure by figure: one friction that was changed leaves the others and its own spread', () => {
    const own = { priors: { friction: { oily: { best: 0.15 } }, trayPullN: { best: 900 } }, keys: { fit: 'too long' } };
    const now = checkSettings(own);
    const { friction } = DEFAULT_PRIORS;
    const { priors } = assumptionsOf(now);
    expect(priors.friction).toEqual({ ...friction, oily: { ...friction.oily, best: 0.15 } });
    // Out of bounds, so that no belt could be judged by it: the app's own stands in.
    expect(priors.trayPullN).toEqual(DEFAULT_PRIORS.trayPullN);
    expect(now.keys).toEqual(DEFAULT_KEYS);
    for (const broken of [null, 7, [], { priors: null, keys: [] }])
      expect([checkSettings(broken), assumptionsOf(checkSettings(broken))]).toEqual([
        DEFAULT_SETTINGS,
        assumptionsOf({}),
      ]);
    expect(assumptionsOf({})).toEqual({ priors: DEFAULT_PRIORS, requirements: DEFAULT_REQUIREMENTS });
    // What hangs on them is worked out anew only where they are other ones.
    expect(assumptionsOf(now).priors).toBe(priors);
  });
  test('each is set alone', () => {
    const after = [
      unitChosen('in'),
      themeChosen('dark'),
      singleKeysSwitched(false),
      keyBound({ action: 'fit', key: 'q' }),
      printScaleSet(1.02),
      benchNamed('Back room'),
      priorsSet({ ...DEFAULT_PRIORS, bushFriction: 0.2 }),
      requirementsSet({ ...DEFAULT_REQUIREMENTS, motorMin: 1.4 }),
      toBeHadSet('rings'),
      bandsSwitched(false),
      askBySet('test'),
      lubricantSet('grease'),
      copySaved('2026-02-01T10:00:00Z'),
    ].reduce(settingsReducer, first);
    expect(after).toEqual({
      unit: 'in',
      theme: 'dark',
      singleKeys: false,
      keys: { ...DEFAULT_KEYS, fit: 'q' },
      printScale: 1.02,
      benchName: 'Back room',
      priors: { ...DEFAULT_PRIORS, bushFriction: 0.2 },
      requirements: { ...DEFAULT_REQUIREMENTS, motorMin: 1.4 },
      toBeHad: 'rings',
      bands: false,
      askBy: 'test',
      lubricant: 'grease',
      copiedAt: '2026-02-01T10:00:00Z',
    });
  });
  test('no two actions share a key as it comes', () => {
    const keys = Object.values(DEFAULT_KEYS);
    expect(new Set(keys).size).toBe(keys.length);
  });
});

describe('the bench', () => {
  const base = summarise(recordOf([opening]));
  const summary = (id: string, number: string, openedAt = base.openedAt): TicketSummary => ({
    ...base,
    id,
    number,
    openedAt,
  });
  const ids = (state: ReturnType<typeof benchReducer>) => state.summaries.map(({ id }) => id);
  const loaded = benchReducer(
    undefined,
    summariesLoaded({ summaries: [summary('a', '9'), summary('b', '0147'), summary('c', '10')], setAside: [] }),
  );
  test('newest number first, by number and not by letter', () => expect(ids(loaded)).toEqual(['b', 'c', 'a']));
  test('the newest stand while the rest is read, and never in place of it', () => {
    const newest = newestLoaded([summary('a', '9'), summary('b', '0147')]);
    const early = benchReducer(undefined, newest);
    expect([early.status, ids(early)]).toEqual(['loading', ['b', 'a']]);
    expect(benchReducer(loaded, newest)).toBe(loaded);
  });
  test('a summary that changes takes its place; one taken away is gone', () => {
    const changed = benchReducer(loaded, summaryChanged(summary('a', '200')));
    expect(ids(changed)).toEqual(['a', 'b', 'c']);
    expect(ids(benchReducer(changed, summaryRemoved('b')))).toEqual(['a', 'c']);
  });
  test('what the store refused is said', () => {
    const failed = benchReducer(undefined, summariesFailed({ kind: 'refused', sentence: 'no' }));
    expect([failed.status, failed.problem?.sentence]).toEqual(['failed', 'no']);
  });
});

describe('the ticket on screen', () => {
  const record = recordOf([opening]);
  const open: OpenTicket = { status: 'open', id: 'a', record, access: 'writer', saving: 'kept', problem: null };
  const shown = openTicketReducer(undefined, ticketStatus(open));
  test('saving and access are said of an open ticket, and of nothing else', () => {
    const saving = openTicketReducer(shown, savingChanged({ saving: 'failed', problem: null }));
    expect(saving.ticket).toMatchObject({ saving: 'failed', access: 'writer' });
    expect(openTicketReducer(shown, accessChanged('reader')).ticket).toMatchObject({ access: 'reader' });
    const none = openTicketReducer(undefined, NOTHING);
    for (const action of [
      savingChanged({ saving: 'kept', problem: null }),
      accessChanged('writer'),
      recordChanged(record),
    ])
      expect(openTicketReducer(none, action).ticket).toEqual({ status: 'none' });
  });
  test('what was typed stays while the ticket goes on, until it is taken', () => {
    const typed = openTicketReducer(shown, drafted({ field: 'f', draft: { text: '4,', refusal: 'no' } }));
    const later = openTicketReducer(typed, recordChanged(record));
    expect(later.drafts).toEqual({ f: { text: '4,', refusal: 'no' } });
    expect(openTicketReducer(later, drafted({ field: 'f', draft: null })).drafts).toEqual({});
  });
  test('another ticket is not asked what was asked of this one', () => {
    const asked = openTicketReducer(shown, momentAsked('lid'));
    expect(asked.asked).toBe('lid');
    expect(openTicketReducer(asked, ticketStatus({ status: 'loading', id: 'b' })).asked).toBeNull();
  });
});
