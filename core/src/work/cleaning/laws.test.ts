import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { AGENTS, COMPATIBILITY, DIRTS, isLubricant, MATERIALS, type Dirt } from '../compatibility';
import { LOADERS } from '../../base/loaders';
import type { Timer } from '../../base/timers';
import {
  agentsFor,
  applyCleaning,
  CLEAN_SWABS,
  crumbsFinding,
  crumbsWords,
  DEEDS,
  dropMl,
  dropsFor,
  dryMinutesOf,
  EMPTY_CLEANING,
  feelChange,
  FEELS,
  filmOnRodMl,
  handsDirty,
  heldBelt,
  heldPower,
  lubricantFor,
  mayTreat,
  newPlace,
  nextLubrication,
  OUTCOMES,
  PLACE_KINDS,
  placesOf,
  placeState,
  pullChange,
  SLIPS,
  slipChange,
  SWABS,
  surfaceOf,
  treatmentSaid,
  treatmentWords,
  type Place,
  type PlaceTreatment,
} from '.';

const START = Date.parse('2026-01-12T09:00:00.000Z');
const at = (minute: number): string => new Date(START + minute * 60_000).toISOString();
const kind = fc.constantFrom(...PLACE_KINDS);
const dirt = fc.constantFrom(...DIRTS);

/** A treatment that may stand anywhere, about one of three places. */
const treatment = (minute: number, id: string): fc.Arbitrary<PlaceTreatment> =>
  fc.record({
    id: fc.constant(id),
    at: fc.constant(at(minute)),
    placeId: fc.constantFrom('one', 'two', null),
    deed: fc.constantFrom(...DEEDS),
    agent: fc.option(fc.constantFrom(...AGENTS)),
    way: fc.constantFrom('', 'swab', 'cloth'),
    strokes: fc.integer({ min: 0, max: 40 }),
    amount: fc.constantFrom('', 'one drop'),
    swabs: fc.array(fc.constantFrom(...SWABS), { maxLength: 4 }),
    outcome: fc.constantFrom(...OUTCOMES),
    line: fc.constant(''),
  });
const treatments = fc
  .integer({ min: 0, max: 7 })
  .chain((many) => fc.tuple(...Array.from({ length: many }, (_, n) => treatment(n * 10, `t${n}`))));
const placeWith = (id: string, of: Place['kind'], seen: readonly Dirt[], minute = -5): Place => ({
  ...newPlace(id, of),
  seen: seen.map((one) => ({ dirt: one, at: at(minute) })),
});

describe('how a place stands', () => {
  test('what was done elsewhere changes nothing here', () => {
    fc.assert(
      fc.property(kind, fc.uniqueArray(dirt), treatments, (of, seen, all) => {
        const place = placeWith('one', of, seen);
        const own = all.filter(({ placeId }) => placeId === 'one');
        expect(placeState(place, all, null)).toEqual(placeState(place, own, null));
      }),
    );
  });
  test('in whatever order they are kept, things count as they happened', () => {
    fc.assert(
      fc.property(kind, fc.uniqueArray(dirt), treatments, (of, seen, all) => {
        const { treatments: _, ...state } = placeState(placeWith('one', of, seen), all, null);
        const { treatments: __, ...turned } = placeState(placeWith('one', of, seen), [...all].reverse(), null);
        expect(turned).toEqual(state);
      }),
    );
  });
  test('is never clean while dirt stands on it, and dirt seen after everything stands', () => {
    fc.assert(
      fc.property(kind, fc.uniqueArray(dirt), dirt, treatments, (of, seen, last, all) => {
        const place = placeWith('one', of, seen);
        const state = placeState(place, all, null);
        if (state.standing.some((one) => one !== 'dry')) expect(state.clean).toBeNull();
        const later = { ...place, seen: [...place.seen, { dirt: last, at: at(1000) }] };
        expect(placeState(later, all, null).standing).toContain(last);
      }),
    );
  });
  test('two clean swabs at the end make it clean, one does not, and a black one undoes them', () => {
    fc.assert(
      fc.property(kind, fc.uniqueArray(dirt), treatments, (of, seen, all) => {
        const place = placeWith('one', of, seen);
        const swabbed = (...swabs: PlaceTreatment['swabs']): PlaceTreatment => ({
          id: 'end',
          at: at(2000),
          placeId: 'one',
          deed: 'wipe',
          agent: 'isopropanol',
          way: 'swab',
          strokes: 0,
          amount: '',
          swabs,
          outcome: 'unknown',
          line: '',
        });
        const clean = placeState(place, [...all, swabbed('clean', 'clean')], null);
        expect(clean.clean).toBe('twice');
        expect(clean.cleanSwabs).toBeGreaterThanOrEqual(CLEAN_SWABS);
        expect(clean.standing.filter((one) => one !== 'dry')).toEqual([]);
        const black = placeState(place, [...all, swabbed('clean', 'clean', 'black')], null);
        expect(black.cleanSwabs).toBe(0);
        expect(black.lastSwab).toBe('black');
      }),
    );
  });
  test('a spot test is no cleaning: nothing that stood is gone by it', () => {
    fc.assert(
      fc.property(
        kind,
        fc.uniqueArray(dirt),
        fc.constantFrom(...AGENTS),
        fc.constantFrom(...SWABS),
        (of, seen, by, came) => {
          const place = placeWith('one', of, seen);
          const spot: PlaceTreatment = {
            id: 's',
            at: at(1),
            placeId: 'one',
            deed: 'spotTest',
            agent: by,
            way: '',
            strokes: 0,
            amount: '',
            swabs: [came],
            outcome: 'unknown',
            line: '',
          };
          const state = placeState(place, [spot], null);
          expect(state.standing).toEqual(placeState(place, [], null).standing);
          expect(state.spots[by]).toBe(came === 'black' ? 'black' : 'clean');
          expect(state.wettedBy).toBeNull();
        },
      ),
    );
  });
  test('the worst of what stands on a pulley makes its surface, whatever stands beside it', () => {
    const rank = ['clean', 'dusty', 'glazed', 'oily'];
    fc.assert(
      fc.property(fc.uniqueArray(dirt), dirt, (standing, more) => {
        const before = rank.indexOf(surfaceOf(standing));
        expect(rank.indexOf(surfaceOf([...standing, more]))).toBeGreaterThanOrEqual(before);
      }),
    );
  });
});

describe('what may go on a place', () => {
  const untouched = placeState(newPlace('one', 'drivenPulley'), [], null);
  test('nothing that harms goes on before a clean spot test; a spot test that took colour stops it for good', () => {
    fc.assert(
      fc.property(kind, fc.constantFrom(...MATERIALS), fc.constantFrom(...AGENTS), (of, material, by) => {
        const place = { ...newPlace('one', of), material };
        const grade = material === 'unknown' ? undefined : COMPATIBILITY.grades[by]?.[material];
        const plain = mayTreat(COMPATIBILITY, by, place, untouched, true);
        if (grade === 'no') expect(plain.may).toBe(false);
        const black = mayTreat(COMPATIBILITY, by, place, { spots: { [by]: 'black' } }, true);
        expect(black).toMatchObject({ may: false, ask: null });
        // A clean spot never forbids what was allowed.
        if (plain.may) expect(mayTreat(COMPATIBILITY, by, place, { spots: { [by]: 'clean' } }, true).may).toBe(true);
        if (!plain.may) expect(plain.why).toMatch(/\.$/);
      }),
    );
  });
  test('to be asked what it is of never allows more than to know that nobody knows', () => {
    fc.assert(
      fc.property(kind, fc.constantFrom(...AGENTS), (of, by) => {
        const place = newPlace('one', of);
        const asked = mayTreat(COMPATIBILITY, by, place, untouched, false);
        const known = mayTreat(COMPATIBILITY, by, place, untouched, true);
        expect(asked.may).toBe(known.may);
      }),
    );
  });
  test('the agents for a place of unknown make are no bolder than for any that it may be of', () => {
    fc.assert(
      fc.property(kind, fc.uniqueArray(dirt, { minLength: 1, maxLength: 2 }), (of, seen) => {
        for (const { agent, grade } of agentsFor(COMPATIBILITY, { kind: of, material: 'unknown' }, seen))
          if (grade === 'fine')
            for (const may of newPlace('x', of).material === 'unknown'
              ? agentsFor(COMPATIBILITY, { kind: of, material: 'unknown' }, seen)
              : [])
              if (may.agent === agent) expect(may.grade).toBe('fine');
      }),
    );
  });
  test('where nothing lubricates no school says otherwise, and what all agree on asks no school', () => {
    for (const of of PLACE_KINDS) {
      const place = newPlace('one', of);
      const all = (['unknown', 'oil', 'grease'] as const).map((school) => lubricantFor(place, school));
      if (nextLubrication(place, untouched, false) === undefined) expect(all).toEqual([null, null, null]);
      else {
        expect(all[1]).not.toBeNull();
        expect(all[2]).not.toBeNull();
        expect(all[0] === null).toBe(all[1] !== all[2]);
      }
    }
  });
});

describe('what holds back belt and power', () => {
  const timer = (of: Partial<Timer>): Timer => ({
    id: 'w',
    what: 'drive pulley dries',
    placeId: 'one',
    startedAt: at(0),
    endsAt: at(10),
    endedAt: null,
    ...of,
  });
  test('while it dries, no longer; whatever holds the belt by drying holds the power too', () => {
    const place = { ...newPlace('one', 'drivenPulley'), driveId: 'a' };
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.constantFrom('a', 'b', null), (minute, driveId) => {
        const by = { cleaning: EMPTY_CLEANING, places: [place], timers: [timer({})] };
        const belt = heldBelt(by, driveId, START + minute * 60_000);
        const power = heldPower(by, START + minute * 60_000);
        expect(power.length > 0).toBe(minute < 10);
        expect(belt.length).toBeLessThanOrEqual(power.length);
        if (driveId === 'b') expect(belt).toEqual([]);
      }),
    );
  });
  test('hands are dirty from grease until they are washed, however often', () => {
    fc.assert(
      fc.property(treatments, (all) => {
        const greasy = (one: PlaceTreatment): boolean =>
          one.deed === 'oldGreaseOff' || one.deed === 'lubricate' || (one.agent !== null && isLubricant(one.agent));
        const last = [...all].reverse().find((one) => greasy(one) || one.deed === 'handsClean');
        expect(handsDirty({ treatments: all })).toBe(last !== undefined && greasy(last));
      }),
    );
  });
  test('what lubricates does not dry, and keys washed with water dry longest', () => {
    fc.assert(
      fc.property(fc.constantFrom(...AGENTS), kind, fc.constantFrom(...DEEDS), (by, of, deed) => {
        const minutes = dryMinutesOf(COMPATIBILITY, by, of, deed);
        expect(minutes).toBeGreaterThanOrEqual(0);
        if (isLubricant(by)) expect(minutes).toBe(0);
        expect(minutes).toBeLessThanOrEqual(Math.max(minutes, dryMinutesOf(COMPATIBILITY, 'water', 'key', 'wash')));
      }),
    );
  });
});

describe('figures', () => {
  const figure = fc.record({
    value: fc.double({ min: 0.1, max: 20, noNaN: true }),
    std: fc.double({ min: 0.01, max: 2, noNaN: true }),
  });
  test('a pull told the other way round is the opposite; told against itself it is nothing', () => {
    const OPPOSITE = { better: 'worse', worse: 'better', notToldApart: 'notToldApart' } as const;
    fc.assert(
      fc.property(figure, figure, (before, after) => {
        const told = pullChange(before, after);
        const turned = pullChange(after, before);
        expect(turned.change).toBe(OPPOSITE[told.change]);
        expect(turned.differenceN).toBeCloseTo(-told.differenceN, 12);
        expect(pullChange(before, before).change).toBe('notToldApart');
        // Surer readings never make a difference doubtful.
        const surer = pullChange({ ...before, std: before.std / 2 }, { ...after, std: after.std / 2 });
        if (told.change !== 'notToldApart') expect(surer.change).toBe(told.change);
      }),
    );
  });
  test('before and after on a scale: further on it is better, and the last test of a stage counts', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FEELS), fc.constantFrom(...FEELS), fc.constantFrom(...FEELS), (was, once, now) => {
        const felt = (id: string, stage: 'before' | 'after', feel: (typeof FEELS)[number]) => ({
          id,
          at: at(0),
          driveId: 'a',
          stage,
          feel,
        });
        const steps = FEELS.indexOf(now) - FEELS.indexOf(was);
        expect(feelChange([felt('1', 'before', was), felt('2', 'after', once), felt('3', 'after', now)])).toBe(
          steps === 0 ? 'notToldApart' : steps > 0 ? 'better' : 'worse',
        );
        expect(feelChange([felt('1', 'before', was)])).toBeUndefined();
      }),
    );
    for (const slip of SLIPS)
      expect(
        slipChange([{ id: 's', at: at(0), driveId: 'a', stage: 'after', slip, line: '' } as never]),
      ).toBeUndefined();
  });
  test('more pieces are never fewer: found rises, and never from whole to missing', () => {
    const ORDER = { missing: 0, all: 1, tooMuch: 2 } as const;
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 1, max: 60, noNaN: true }), { minLength: 1, maxLength: 6 }),
        fc.double({ min: 60, max: 300, noNaN: true }),
        fc.double({ min: 20, max: 60, noNaN: true }),
        (piecesMm, pathMm, more) => {
          const before = crumbsFinding({ piecesMm, dissolved: false }, pathMm);
          const after = crumbsFinding({ piecesMm: [...piecesMm, more], dissolved: false }, pathMm);
          if (before.kind === 'dissolved' || after.kind === 'dissolved') throw new Error('Nothing was dissolved.');
          if (before.kind === 'noPath' || after.kind === 'noPath') throw new Error('The path is known.');
          expect(after.foundMm).toBeCloseTo(before.foundMm + more, 9);
          expect(ORDER[after.kind]).toBeGreaterThanOrEqual(ORDER[before.kind]);
          for (const unit of ['mm', 'in'] as const) expect(crumbsWords(after, unit)).not.toMatch(/NaN|undefined/);
        },
      ),
    );
  });
  test('a drop grows by the cube of its diameter, a film by each of its sides; a drop is the least', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.double({ min: 1, max: 300, noNaN: true }),
        (diameterMm, lengthMm) => {
          expect(dropMl(2 * diameterMm) / dropMl(diameterMm)).toBeCloseTo(8, 9);
          expect(filmOnRodMl(diameterMm, 2 * lengthMm)).toBeCloseTo(2 * filmOnRodMl(diameterMm, lengthMm), 12);
          expect(filmOnRodMl(2 * diameterMm, lengthMm)).toBeCloseTo(2 * filmOnRodMl(diameterMm, lengthMm), 12);
          expect(dropsFor(filmOnRodMl(diameterMm, lengthMm))).toBeGreaterThanOrEqual(1);
        },
      ),
    );
  });
});

describe('what Clean keeps', () => {
  test('said twice is once; a place taken away takes no other with it; what is not there is refused', () => {
    fc.assert(
      fc.property(fc.uniqueArray(kind, { minLength: 2, maxLength: 6 }), (kinds) => {
        let cleaning = EMPTY_CLEANING;
        const put = (event: Parameters<typeof applyCleaning>[1]) => {
          const next = applyCleaning(cleaning, event);
          if (!next.ok) throw new Error(next.problem);
          cleaning = next.value;
        };
        kinds.forEach((of, n) => put({ type: 'placePut', place: { ...newPlace(`p${n}`, of), number: n + 1 } }));
        kinds.forEach((of, n) => put({ type: 'placePut', place: { ...newPlace(`p${n}`, of), number: n + 1 } }));
        expect(cleaning.places.map(({ kind: is }) => is)).toEqual(kinds);
        expect(applyCleaning(cleaning, { type: 'placePut', place: { ...newPlace('new', 'part'), number: 1 } }).ok).toBe(
          false,
        );
        put({ type: 'placeRemoved', placeId: 'p0' });
        expect(cleaning.places).toHaveLength(kinds.length - 1);
        expect(applyCleaning(cleaning, { type: 'placeRemoved', placeId: 'p0' }).ok).toBe(false);
      }),
      { numRuns: 40 },
    );
  });
  test('what was done is said in words, for every deed and agent, on any kind of loader', () => {
    for (const loader of LOADERS) {
      const map = placesOf({ cleaning: EMPTY_CLEANING, drives: [], strip: { steps: [], lastNumber: 0 }, loader });
      expect(new Set(map.map(({ place }) => place.id)).size).toBe(map.length);
    }
    fc.assert(
      fc.property(treatment(0, 't'), (done) => {
        for (const words of [treatmentWords(done, 'drive pulley'), treatmentSaid(done, 'drive pulley')])
          expect(words).not.toMatch(/undefined|null|NaN| {2}/);
      }),
    );
  });
});
