import { describe, expect, test } from 'vitest';
import { BOOTH } from '../../../fixtures/booth';
import { ON_THE_BENCH, cycle, CYCLE_OUTCOMES } from '../../physics/cycle';
import { evaluateBelt } from '../../physics/evaluation';
import { bestValues } from '../sizing';
import { CATALOGUE } from '../catalogue';
import { believe } from '../probability';
import { bestBeliefs, bestMachine, changesFor, CyclePlay, machineOf, type Played } from '.';

const belt = (innerLengthMm: number) => ({ shape: 'square' as const, thicknessMm: 1.2, innerLengthMm });
const believed = believe(BOOTH, [], 1000, 1);
const play = (played: Played, tries: ConstructorParameters<typeof CyclePlay>[6] = []) =>
  new CyclePlay(BOOTH, believed, 60, {}, played, 1, tries).all();

describe('a machine from what is known', () => {
  test('its belt slips at evaluation’s own limit, to 1e-9, and it is moved by the drive’s own need', () => {
    const values = bestValues(BOOTH, 'square');
    const made = machineOf(BOOTH, values, belt(116), bestBeliefs(), 0, {});
    const evaluated = evaluateBelt(BOOTH.drive, belt(116), values, BOOTH.demands, BOOTH.oldSection);
    if (!made.ok || made.value.load.kind !== 'travel') throw new Error('the booth deck has a tray');
    const [one] = made.value.belts;
    expect(one?.limitN).toBeCloseTo(evaluated?.grip.beltPullN ?? 0, 9);
    const { guideN, efficiency, travelPerTurnMm } = made.value.load;
    const driver = (one?.driverRadiusMm ?? 0) / (one?.drivenRadiusMm ?? 1);
    expect((guideN * travelPerTurnMm * driver) / (2 * Math.PI * efficiency)).toBeCloseTo(values.needNmm, 9);
  });
  test('a belt that the sums at rest call good runs; one that hangs does not', () => {
    const outcome = (mm: number): string | undefined => {
      const made = bestMachine(BOOTH, { belt: belt(mm), on: ON_THE_BENCH }, {});
      const run = made.ok ? cycle(made.value, ON_THE_BENCH) : made;
      return run.ok ? run.value.outcome : run.problem;
    };
    expect(outcome(116)).toBe('opens');
    expect(outcome(132)).toBe('givesBack');
  });
});

describe('machines that fit what is known', () => {
  test('shares add up, and the same question has the same answer', () => {
    const once = play({ belt: belt(116), on: ON_THE_BENCH });
    expect(CYCLE_OUTCOMES.reduce((sum, one) => sum + once.shares[one], 0)).toBeCloseTo(1, 12);
    expect(play({ belt: belt(116), on: ON_THE_BENCH })).toEqual(once);
  });
  test('a slacker belt, a stiffer tray and a colder room let fewer arrive', () => {
    const arrives = (played: Played): number => 1 - play(played).shares.givesBack;
    const as = arrives({ belt: belt(116), on: ON_THE_BENCH });
    expect(arrives({ belt: belt(121), on: ON_THE_BENCH })).toBeLessThan(as);
    expect(arrives({ belt: belt(116), on: ON_THE_BENCH, pullTimes: 1.5 })).toBeLessThan(as);
    expect(arrives({ belt: belt(116), on: { ...ON_THE_BENCH, roomC: -5 } })).toBeLessThanOrEqual(as);
  });
  test('hardly any that fail at rest arrive, and what ran on the bench runs in every machine', () => {
    const { atRest, shares } = play({ belt: belt(116), on: ON_THE_BENCH });
    expect(1 - shares.givesBack).toBeLessThan(atRest + 0.05);
    const right = { belt: { ...belt(116), innerLengthToleranceMm: 1 }, verdict: 'right' as const };
    const told = play({ belt: belt(116), on: ON_THE_BENCH }, [right]);
    expect(told.shares.givesBack + told.shares.slips).toBe(0);
    expect(told.count).toBeLessThan(told.tried);
  });
});

describe('what was found beside the drive', () => {
  const made = (known: Parameters<typeof bestMachine>[2], played: Partial<Played> = {}) => {
    const machine = bestMachine(BOOTH, { belt: belt(116), on: ON_THE_BENCH, ...played }, known);
    if (!machine.ok || machine.value.load.kind !== 'travel') throw new Error('the booth deck has a tray');
    return { machine: machine.value, load: machine.value.load };
  };
  test('a place that nobody measured asks by its kind; a measured one as measured; a switch is put right', () => {
    const at = { name: 'it binds', kind: 'binds', fromMm: 70, toMm: 78 } as const;
    const { load } = made({
      places: [
        { ...at, forceN: null },
        { ...at, forceN: 2 },
      ],
    });
    expect(load.places.map(({ forceN }) => forceN)).toEqual([expect.closeTo(0.6 * load.guideN, 9), 2]);
    expect(made({ endSwitch: 'stuck' }).machine.endSwitch.state).toBe('stuck');
    expect(made({ endSwitch: 'stuck' }, { switchRight: true }).machine.endSwitch.state).toBe('clean');
  });
  test('belts in a row turn by the product of their ratios, and the load goes as far a turn of the motor as before', () => {
    const drive = { situation: BOOTH, belt: belt(116) };
    const alone = made({}).machine;
    const series = [
      { name: 'first', drive, driverTurns: 1 },
      { name: 'second', drive: null, driverTurns: 0.3 },
    ];
    const { machine, load } = made({ series });
    const [first, second] = machine.belts;
    if (!first || !second || alone.load.kind !== 'travel') throw new Error('two belts');
    const ratio = (of: typeof first): number => of.driverRadiusMm / of.drivenRadiusMm;
    expect(ratio(first) * ratio(second)).toBeCloseTo(0.3 * ratio(alone.belts[0] ?? first), 9);
    // A turn of the second small pulley moves the tray as far as it did alone.
    expect((load.travelPerTurnMm * ratio(first) * ratio(second)) / 0.3).toBeCloseTo(
      alone.load.travelPerTurnMm * ratio(alone.belts[0] ?? first),
      9,
    );
    expect(machine.motor.stallNmm).toBeCloseTo(0.3 * alone.motor.stallNmm, 9);
    expect(machine.belts.map(({ name }) => name)).toEqual(['first', 'second']);
  });
});

test('single changes: pulleys only where they are not clean, a warm room only in the cold, next sizes from what can be had', () => {
  const as = { clean: true, rollers: false, turned: false, switchBad: false };
  const ids = (roomC: number, of: Partial<typeof as> = {}): readonly string[] =>
    changesFor(belt(116), { ...ON_THE_BENCH, roomC }, CATALOGUE, { ...as, ...of }, 'mm').map(({ id }) => id);
  expect(ids(20)).toEqual(['oil', 'shorter', 'longer', 'thicker']);
  expect(ids(20, { switchBad: true })).toContain('switch');
  expect(ids(5, { clean: false })).toEqual(['clean', 'oil', 'shorter', 'longer', 'thicker', 'warm']);
});
