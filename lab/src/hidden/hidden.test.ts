import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { LOADERS, type Loader } from '@loose-pulley/core/base/loaders';
import { driveFacts } from '@loose-pulley/core/belts/measuring';
import { stockFor } from '@loose-pulley/core/belts/catalogue';
import { KNOWLEDGE, type BenchTest } from '@loose-pulley/core/work/diagnosis';
import { readOwner } from '@loose-pulley/core/work/ownerLine';
import {
  answer,
  arrives,
  broughtIn,
  complaintOf,
  deal,
  eject,
  measure,
  ROOM,
  run,
  verdictNow,
  type HiddenMachine,
} from '.';

const COLD = { ...ROOM, roomC: 6, idleHours: 12 };
const testOf = (id: string): BenchTest => KNOWLEDGE.tests.find((one) => one.id === id) as BenchTest;
function dealt(loader: Loader, number: number): HiddenMachine {
  const made = deal(KNOWLEDGE, loader, number);
  if (!made.ok) throw new Error(made.problem);
  return made.value;
}

describe('a hidden machine', () => {
  test('of one number is the same everywhere, of another another; every kind of loader has them', () => {
    expect(dealt('tray', 4127)).toEqual(dealt('tray', 4127));
    expect(dealt('tray', 4127).drive).not.toEqual(dealt('tray', 4128).drive);
    for (const loader of LOADERS)
      for (let n = 1; n <= 4; n++) expect(dealt(loader, n).causes.length).toBeGreaterThan(0);
  });
  test.each([0, -1, 1.5, 1_000_000, Number.NaN])('%d is no number of one', (number) => {
    const refused = deal(KNOWLEDGE, 'tray', number);
    expect(!refused.ok && refused.problem).toContain('numbered 1 to 999999');
  });
  test('as it was made it runs; a cause that physics knows makes it fail, in the bench’s room or in the cold', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (number) => {
        const { sound, asFound, physical, soundS, seed } = dealt('tray', number);
        expect(arrives(run(sound, ROOM, seed))).toBe(true);
        if (!physical || asFound === sound) return;
        const room = run(asFound, ROOM, seed);
        const slow = (room?.timeS ?? 0) > 1.5 * soundS;
        expect(arrives(room) && !slow && arrives(run(asFound, COLD, seed))).toBe(false);
      }),
      { numRuns: 20 },
    ));
  test('its causes come as often as the adviser has them', () => {
    const causes = Array.from({ length: 120 }, (_, i) => dealt('tray', i + 1).causes[0]);
    const possible = KNOWLEDGE.causes.filter(({ priors }) => priors.tray > 0);
    const total = possible.reduce((sum, { priors }) => sum + priors.tray, 0);
    const slack = possible.find(({ id }) => id === 'beltSlack')?.priors.tray ?? 0;
    const share = causes.filter((one) => one === 'beltSlack').length / causes.length;
    expect(Math.abs(share - slack / total)).toBeLessThan(3 * Math.sqrt(((slack / total) * (1 - slack / total)) / 120));
  });
});

describe('what it is asked', () => {
  test('is answered alike whenever it is asked, by one of the test’s own answers', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999 }), fc.constantFrom(...LOADERS), (number, loader) => {
        const machine = dealt(loader, number);
        for (const one of KNOWLEDGE.tests.filter(({ loaders }) => loaders.includes(loader))) {
          const said = answer(broughtIn(machine), one);
          expect(one.outcomes.map(({ id }) => id)).toContain(said);
          expect(answer(broughtIn(machine), one)).toBe(said);
        }
      }),
      { numRuns: 10 },
    ));
  test.each(LOADERS)('the words of a %s’s owner are read, with no word that nobody knows', (loader) => {
    for (let n = 1; n <= 25; n++) {
      const machine = dealt(loader, n);
      const read = readOwner(complaintOf(broughtIn(machine), testOf('behaviour')), loader);
      expect(read.words.filter(({ role }) => role === 'notKnown')).toEqual([]);
      expect(read.answers.length).toBeGreaterThan(0);
    }
  });
  test('readings are near the truth; a belt that hangs is too loose, and one that fits its drive is right', () => {
    let right = 0;
    for (let n = 1; n <= 20; n++) {
      const machine = dealt('tray', n);
      const { pathMm, section } = machine.drive;
      const facts = driveFacts(measure(machine), {
        crossed: false,
        motorGroove: { form: 'flat' },
        drivenGroove: { form: 'flat' },
      });
      if (facts.path) expect(Math.abs(facts.path.value - pathMm)).toBeLessThan(8);
      const stock = stockFor(machine.drive.section.shape);
      const long = stock.find(
        ({ innerLengthMm, thicknessMm }) => thicknessMm === section.thicknessMm && innerLengthMm > 1.1 * pathMm,
      );
      if (long) expect(['tooLoose', 'twisted']).toContain(verdictNow(broughtIn(machine), long));
      if (stock.some((belt) => verdictNow(broughtIn(machine), belt) === 'right')) right += 1;
    }
    expect(right).toBeGreaterThan(10);
  });
  test('pressed, one whose belt is off moves nothing', () => {
    let off: HiddenMachine | undefined;
    for (let n = 1; n <= 300 && off?.causes[0] !== 'beltOff'; n++) off = dealt('tray', n);
    if (!off) throw new Error('of three hundred some have their belt off');
    expect(eject(broughtIn(off))?.seconds).toBeNull();
    expect(eject(broughtIn(off))?.movedMm).toBeLessThan(1);
  });
});
