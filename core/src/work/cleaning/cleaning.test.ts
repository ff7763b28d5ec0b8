import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { step } from '../../../fixtures/sample';
import { AGENTS, COMPATIBILITY, DIRTS, MATERIALS } from '../compatibility';
import { LOADERS } from '../../base/loaders';
import type { Timer } from '../../base/timers';
import {
  applyCleaning,
  crumbsFinding,
  crumbsWords,
  dropMl,
  dropsFor,
  dryMinutesOf,
  EMPTY_CLEANING,
  feelChange,
  filmOnRodMl,
  handsDirty,
  heldBelt,
  heldPower,
  kindNamed,
  lubricantFor,
  mayTreat,
  newPlace,
  nextLubrication,
  nextPlaceNumber,
  numbered,
  PLACE_KINDS,
  PLACE_KNOWN,
  placesOf,
  placeState,
  pullChange,
  pullChangeWords,
  slipChange,
  STARTING_MAP,
  surfaceOf,
  SURFACE_OF,
  treatmentSaid,
  treatmentWords,
  type Cleaning,
  type Place,
  type PlaceTreatment,
} from '.';

const AT = '2026-01-12T09:00:00.000Z';
const minute = (m: number): string => new Date(Date.parse(AT) + m * 60_000).toISOString();
const pulley: Place = { ...newPlace('a-driven', 'drivenPulley'), number: 4, driveId: 'a' };
const rods: Place = { ...newPlace('rods', 'rod'), number: 5 };
let count = 0;
const done = (over: Partial<PlaceTreatment> = {}): PlaceTreatment => ({
  id: `h${++count}`,
  at: minute(count),
  placeId: pulley.id,
  deed: 'wipe',
  agent: 'isopropanol',
  way: 'swab',
  strokes: 0,
  amount: '',
  swabs: [],
  outcome: 'unknown',
  line: '',
  ...over,
});
const drive = (name: string, role = '') => ({
  id: name,
  name,
  role,
  motorSurface: 'clean' as const,
  drivenSurface: 'clean' as const,
  idlers: [],
});
const NONE = { steps: [], lastNumber: 0 };

describe('the map', () => {
  test.each(LOADERS)('of a %s starts with its drive, and each place is of a known kind', (loader) => {
    const map = placesOf({ cleaning: EMPTY_CLEANING, drives: [drive('A')], strip: NONE, loader });
    expect(map.slice(0, 3).map(({ place }) => place.name)).toEqual(['motor pulley', 'belt', 'drive pulley']);
    expect(map.every(({ suggested, place }) => suggested && place.number === 0)).toBe(true);
    expect(new Set(map.map(({ place }) => place.id)).size).toBe(map.length);
    expect(STARTING_MAP[loader].length).toBeGreaterThan(4);
  });
  test('what came off at Strip is on it under its own number, in place of what was suggested', () => {
    const strip = {
      steps: [step('s1', 3, 'gear', 'worm'), step('s2', 4, 'belt', 'belt'), step('s3', 5, 'screws', '4 ph1')],
      lastNumber: 5,
    };
    const map = placesOf({ cleaning: EMPTY_CLEANING, drives: [drive('A')], strip, loader: 'tray' });
    expect(map.filter(({ place }) => place.kind === 'gear').map(({ place }) => [place.name, place.number])).toEqual([
      ['worm', 3],
    ]);
    expect(map.find(({ place }) => place.kind === 'belt')?.place.number).toBe(4);
    expect(nextPlaceNumber({ cleaning: EMPTY_CLEANING, strip })).toBe(6);
  });
  test('one said stays itself, and takes no number twice', () => {
    const cleaning = {
      ...EMPTY_CLEANING,
      places: [numbered({ ...newPlace('A-driven', 'drivenPulley'), driveId: 'A' }, 7)],
    };
    const map = placesOf({ cleaning, drives: [drive('A')], strip: { steps: [], lastNumber: 7 }, loader: 'tray' });
    expect(map.filter(({ place }) => place.kind === 'drivenPulley')).toHaveLength(1);
    expect(map.find(({ place }) => place.id === 'A-driven')).toMatchObject({ suggested: false, place: { number: 7 } });
    expect(nextPlaceNumber({ cleaning, strip: NONE })).toBe(8);
    const again = applyCleaning(cleaning, { type: 'placePut', place: { ...newPlace('x', 'lens'), number: 7 } });
    expect(again.ok ? '' : again.problem).toBe('Number 7 is the drive pulley already.');
  });
  test('a belt of several is named by its drive, and its step found by it', () => {
    const strip = { steps: [{ ...step('s1', 9, 'belt', 'lift belt'), what: 'lift belt' }], lastNumber: 9 };
    const map = placesOf({
      cleaning: EMPTY_CLEANING,
      drives: [drive('A', 'loading'), drive('B', 'lift')],
      strip,
      loader: 'carousel',
    });
    expect(map.filter(({ place }) => place.kind === 'belt').map(({ place }) => [place.name, place.number])).toEqual([
      ['belt A, loading', 0],
      ['belt B, lift', 9],
    ]);
  });
  test.each([
    ['both guide rods', 'rod'],
    ['loading pulley', 'drivenPulley'],
    ['micro switch', undefined],
    ['microswitch', 'switch'],
    ['following roller', 'roller'],
    ['lid', undefined],
  ])('“%s” names %s', (words, kind) => expect(kindNamed(words)).toBe(words === 'micro switch' ? 'switch' : kind));
});

describe('how a place stands', () => {
  const seen = (...dirts: Place['seen'][number]['dirt'][]): Place => ({
    ...pulley,
    seen: dirts.map((dirt) => ({ dirt, at: AT })),
  });
  test('two clean swabs in a row make it clean; one does not, and a grey one begins anew', () => {
    const after = (...swabs: PlaceTreatment['swabs'][number][]) => placeState(seen('sludge'), [done({ swabs })], null);
    expect(after('black', 'clean')).toMatchObject({ clean: null, cleanSwabs: 1, standing: ['sludge'] });
    expect(after('black', 'clean', 'grey', 'clean')).toMatchObject({ clean: null, cleanSwabs: 1 });
    expect(after('black', 'clean', 'clean')).toMatchObject({ clean: 'twice', standing: [] });
    expect(placeState(seen('oily'), [done({ swabs: ['clean'] }), done({ swabs: ['clean'] })], null).clean).toBe(
      'twice',
    );
  });
  test('the bench’s word counts too, and what is seen afterwards counts again', () => {
    expect(placeState(seen('oily'), [done({ outcome: 'clean' })], null)).toMatchObject({ clean: 'said', standing: [] });
    const later = { ...pulley, seen: [{ dirt: 'oily' as const, at: minute(900) }] };
    expect(placeState(later, [done({ outcome: 'clean' })], null)).toMatchObject({ clean: null, standing: ['oily'] });
    expect(
      placeState(seen('oily'), [done({ outcome: 'clean' }), done({ outcome: 'stillDirty' })], null).clean,
    ).toBeNull();
  });
  test('dryness is not wiped off: it takes a lubricant', () => {
    const dry: Place = {
      ...rods,
      seen: [
        { dirt: 'dry', at: AT },
        { dirt: 'hardenedGrease', at: AT },
      ],
    };
    const at = { placeId: rods.id };
    expect(placeState(dry, [done({ ...at, deed: 'oldGreaseOff' })], null).standing).toEqual(['dry']);
    expect(placeState(dry, [done({ ...at, outcome: 'clean' })], null).standing).toEqual(['dry']);
    expect(placeState(dry, [done({ ...at, deed: 'lubricate', agent: 'lithiumGrease' })], null)).toMatchObject({
      standing: ['hardenedGrease'],
      lubricant: 'lithiumGrease',
    });
  });
  test('the surface at Measure is the same fact: the later word is true in both', () => {
    expect(placeState(pulley, [], 'oily').standing).toEqual(['oily']);
    expect(placeState(seen('oily'), [], 'clean').standing).toEqual([]);
    expect(placeState(seen('sludge'), [], 'oily').standing).toEqual(['sludge']);
    for (const dirt of DIRTS) expect(surfaceOf([dirt])).toBe(SURFACE_OF[dirt]);
  });
});

describe('whether an agent may go on a place', () => {
  const state = (over = {}) => ({ ...placeState(pulley, [], null), ...over });
  test('a harmful pair is refused with its reason until a spot test came away clean; black means stop', () => {
    const abs = { ...pulley, material: 'abs' as const };
    const refused = mayTreat(COMPATIBILITY, 'acetone', abs, state());
    expect(refused).toMatchObject({
      may: false,
      ask: 'spotTest',
      why: expect.stringContaining('dissolves it') as string,
    });
    expect(mayTreat(COMPATIBILITY, 'acetone', abs, state({ spots: { acetone: 'clean' } })).may).toBe(true);
    expect(mayTreat(COMPATIBILITY, 'acetone', abs, state({ spots: { acetone: 'black' } }))).toMatchObject({
      may: false,
      ask: null,
    });
    // Another agent's spot test says nothing of this one.
    expect(mayTreat(COMPATIBILITY, 'acetone', abs, state({ spots: { isopropanol: 'clean' } })).may).toBe(false);
  });
  test('a place without a material is asked about where the agent can harm it, and only there', () => {
    const ask = mayTreat(COMPATIBILITY, 'acetone', pulley, state());
    expect(ask).toMatchObject({ may: false, ask: 'material' });
    expect(mayTreat(COMPATIBILITY, 'isopropanol', pulley, state()).may).toBe(true);
    expect(mayTreat(COMPATIBILITY, 'acetone', pulley, state(), true)).toMatchObject({ may: false, ask: 'spotTest' });
  });
  test('nothing that lubricates goes on belt, pulley, roller, lens or switch', () => {
    for (const kind of ['belt', 'motorPulley', 'roller', 'lens', 'switch'] as const)
      for (const agent of ['fineOil', 'lithiumGrease', 'siliconeGrease'] as const)
        expect(mayTreat(COMPATIBILITY, agent, newPlace('x', kind), state()), kind).toMatchObject({
          may: false,
          ask: null,
        });
  });
  test('whatever the place, one of: yes, a question, or a reason', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...AGENTS),
        fc.constantFrom(...PLACE_KINDS),
        fc.constantFrom(...MATERIALS),
        (agent, kind, material) => {
          const leave = mayTreat(COMPATIBILITY, agent, { ...newPlace('x', kind), material }, state());
          if (!leave.may) expect(leave.why.length).toBeGreaterThan(10);
        },
      ),
    );
  });
});

describe('until it is dry', () => {
  const timer = (placeId: string, what: string, minutes: number): Timer => ({
    id: `t-${placeId}`,
    what,
    startedAt: AT,
    endsAt: minute(minutes),
    endedAt: null,
    placeId,
  });
  const by = (timers: readonly Timer[], cleaning: Cleaning = EMPTY_CLEANING) => ({
    cleaning,
    places: [pulley, rods, newPlace('keys', 'key')],
    timers,
  });
  const now = Date.parse(AT) + 40_000;
  test('the belt waits for its pulley and says how long; the power for all that is wet', () => {
    const timers = [timer(pulley.id, 'drive pulley dries', 2), timer('keys', 'keys dries', 1440)];
    expect(heldBelt(by(timers), 'a', now).map(({ words }) => words)).toEqual(['the drive pulley dries another 1:20']);
    expect(heldPower(by(timers), now)).toHaveLength(2);
    expect(heldBelt(by(timers), 'a', now + 120_000)).toEqual([]);
    // Of another drive it holds nothing back.
    expect(heldBelt(by(timers), 'b', now)).toEqual([]);
  });
  test('a closed page, a sleeping machine and a clock set back: never shorter than it was set', () => {
    const one = timer(pulley.id, 'drive pulley dries', 2);
    // Slept past its end: done, whatever ran meanwhile.
    expect(heldBelt(by([one]), 'a', now + 8 * 3600_000)).toEqual([]);
    // An hour back: it runs on, and says why.
    expect(heldBelt(by([one]), 'a', now - 3600_000)[0]?.words).toContain('set back');
    fc.assert(
      fc.property(fc.integer({ min: -86_400_000, max: 86_400_000 }), (offset) => {
        expect(heldBelt(by([one]), 'a', Date.parse(AT) + offset).length).toBe(offset < 120_000 ? 1 : 0);
      }),
    );
  });
  test('grease on the hands and an excess near the belt hold it back until they are seen to', () => {
    const bush: Place = { ...newPlace('bush', 'bushing'), number: 6 };
    const oil = done({ placeId: 'bush', deed: 'lubricate', agent: 'fineOil' });
    const held = (treatments: readonly PlaceTreatment[]) =>
      heldBelt({ cleaning: { ...EMPTY_CLEANING, treatments }, places: [bush], timers: [] }, 'a', now).map(
        ({ ends }) => ends,
      );
    expect(held([oil])).toEqual(['wipe', 'hands']);
    expect(held([oil, done({ placeId: 'bush', deed: 'excessWiped', agent: null })])).toEqual(['hands']);
    const clean = done({ placeId: null, deed: 'handsClean', agent: null });
    expect(held([oil, done({ placeId: 'bush', deed: 'excessWiped', agent: null }), clean])).toEqual([]);
    expect(handsDirty({ treatments: [clean, oil] })).toBe(true);
  });
  test.each([
    ['isopropanol', 'drivenPulley', 2],
    ['contactCleaner', 'switch', 5],
    ['soapyWater', 'belt', 10],
    ['soapyWater', 'key', 1440],
    ['fineOil', 'bushing', 0],
    ['dry', 'lens', 0],
  ] as const)('%s on a %s dries in %d minutes', (agent, kind, minutes) =>
    // Minutes of common practice, from memory; a day for keys.
    expect(dryMinutesOf(COMPATIBILITY, agent, kind, 'wipe')).toBe(minutes),
  );
});

describe('lubrication', () => {
  test('old grease off, then the lubricant, worked in, and wiped where the belt is near', () => {
    const next = (inReach: boolean, ...treatments: PlaceTreatment[]) =>
      nextLubrication(rods, placeState(rods, treatments, null), inReach);
    const at = (over: Partial<PlaceTreatment>) => done({ placeId: rods.id, agent: null, ...over });
    const off = at({ deed: 'oldGreaseOff' });
    const film = at({ deed: 'lubricate', agent: 'lithiumGrease' });
    const worked = at({ deed: 'workedIn' });
    expect(next(true)).toBe('oldGreaseOff');
    expect(next(true, off)).toBe('lubricate');
    expect(next(true, off, film)).toBe('workIn');
    expect(next(true, off, film, worked)).toBe('wipeExcess');
    expect(next(false, off, film, worked)).toBe('done');
    expect(nextLubrication(pulley, placeState(pulley, [], null), true)).toBeUndefined();
  });
  test('all agree on a bushing; on rods the bench’s school decides, and is asked once', () => {
    expect(lubricantFor(newPlace('b', 'bushing'), 'grease')).toBe('oil');
    expect(lubricantFor(rods, 'unknown')).toBeNull();
    expect([lubricantFor(rods, 'oil'), lubricantFor(rods, 'grease'), lubricantFor(pulley, 'oil')]).toEqual([
      'oil',
      'grease',
      null,
    ]);
    for (const kind of PLACE_KINDS)
      if (PLACE_KNOWN[kind].lubrication) expect(PLACE_KNOWN[kind].keepFreeOfOil, kind).toBe(false);
  });
  test('a drop is a ball and a film a sleeve: 0.03 ml, and four of them to a rod of 6 by 120', () => {
    // Volume of a sphere, π·d³/6, and of a thin shell round a cylinder, π·d·l·t.
    expect(dropMl(3.86)).toBeCloseTo(0.0301, 4);
    expect(filmOnRodMl(6, 120)).toBeCloseTo(0.1131, 4);
    expect(dropsFor(filmOnRodMl(6, 120))).toBe(4);
    expect(dropsFor(0)).toBe(1);
  });
});

describe('before and after', () => {
  test('a pull is better only where the readings can tell', () => {
    expect(pullChange({ value: 3.1, std: 0.2 }, { value: 1.2, std: 0.2 }).change).toBe('better');
    expect(pullChange({ value: 1.5, std: 0.2 }, { value: 1.2, std: 0.2 }).change).toBe('notToldApart');
    expect(pullChange({ value: 1.2, std: 0.2 }, { value: 3.1, std: 0.2 }).change).toBe('worse');
    expect(pullChangeWords({ value: 1.5, std: 0.2 }, { value: 1.2, std: 0.2 })).toContain('not told apart');
  });
  test('by feel and by fingers a step is a step', () => {
    const feel = (stage: 'before' | 'after', feels: 'stiff' | 'free') => ({
      id: stage,
      at: AT,
      driveId: 'a',
      stage,
      feel: feels,
    });
    expect(feelChange([feel('before', 'stiff'), feel('after', 'free')])).toBe('better');
    expect(feelChange([feel('before', 'stiff')])).toBeUndefined();
    const slip = (stage: 'before' | 'after', how: 'slips' | 'holds') => ({
      id: stage,
      at: AT,
      driveId: 'a',
      stage,
      slip: how,
      forceN: null,
    });
    expect(slipChange([slip('before', 'holds'), slip('after', 'slips')])).toBe('worse');
  });
});

describe('every crumb', () => {
  test('is accounted for by length, or told how much is missing', () => {
    expect(crumbsFinding({ piecesMm: [60, 58], dissolved: false }, 127).kind).toBe('all');
    const missing = crumbsFinding({ piecesMm: [60], dissolved: false }, 127);
    expect(missing.kind).toBe('missing');
    expect(crumbsWords(missing, 'mm')).toContain('or more still lie in it');
    expect(crumbsFinding({ piecesMm: [60, 58, 100], dissolved: false }, 127).kind).toBe('tooMuch');
    expect(crumbsFinding({ piecesMm: [], dissolved: true }, 127).kind).toBe('dissolved');
    expect(crumbsWords(crumbsFinding({ piecesMm: [60], dissolved: false }, undefined), 'mm')).toContain(
      'once the path is measured',
    );
  });
});

test('a treatment in words, for the list and for the papers', () => {
  expect(treatmentWords(done({ agent: 'acetone', swabs: ['black', 'clean', 'clean'] }), 'drive pulley')).toBe(
    'drive pulley: wiped, acetone, swab, 3 swabs, 2 clean',
  );
  expect(treatmentSaid(done({ deed: 'oldGreaseOff' }), 'rods')).toBe('Rods: old grease off');
  expect(treatmentSaid(done({ deed: 'lubricate', agent: 'siliconeGrease' }), 'rods')).toBe('Rods: new silicone grease');
});
