import { describe, expect, test } from 'vitest';
import { guessedMember, membersOf, ofSister, readTrain, type Member } from '.';

let made = 0;
const newId = (): string => `new${++made}`;
const drafts = (line: string) => {
  const read = readTrain(line);
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};
const membersAs = (line: string, standing: readonly Member[] = [], driveIds: readonly string[] = []) =>
  membersOf(drafts(line), { standing, driveIds, newId });

describe('a train that is typed again', () => {
  const standing = membersAs('motor 8T, gear 32/10, gear 28, rack 0.8').map((one) =>
    one.teeth === 28
      ? { ...one, number: 17, stepId: 's4', faults: ['cracked' as const], reference: 'dot to dot' }
      : one,
  );
  const gear = standing[2];
  test('keeps what was said of the members that stand already', () =>
    expect(membersAs('motor 8T, gear 32/10, gear 28, rack 0.8', standing)).toEqual(standing));
  test('one put in between moves the others on and loses nothing of them', () => {
    const now = membersAs('motor 8T, gear 20, gear 32/10, gear 28, rack 0.8', standing);
    expect(now[3]).toEqual(gear);
    expect(now.map(({ id }) => id).filter((id) => standing.some((one) => one.id === id))).toHaveLength(4);
  });
  test('one left out takes nothing else with it', () =>
    expect(membersAs('motor 8T, gear 28, rack 0.8', standing)[1]).toEqual(gear));
  test('other teeth are another gear: nothing is carried over to it', () =>
    expect(membersAs('motor 8T, gear 32/10, gear 29, rack 0.8', standing)[2]).toMatchObject({
      teeth: 29,
      number: 3,
      stepId: null,
      faults: [],
      reference: '',
    }));
  test('the same gear twice is two members', () => {
    const two = membersAs('motor 8T, gear 28, gear 28', standing);
    expect(new Set(two.map(({ id }) => id)).size).toBe(3);
  });
  test('a module that is typed is taken; one that is not stays', () => {
    const told = membersAs('motor 8T, gear 30 m0.5', []);
    expect(membersAs('motor 8T, gear 30', told)[1]).toEqual(told[1]);
    expect(membersAs('motor 8T, gear 30 m0.6', told)[1]?.id).not.toBe(told[1]?.id);
  });
});

test('belts have the drives of the ticket in their order, and none beyond', () => {
  const drivesOf = (members: readonly Member[]) => members.map(({ driveId }) => driveId);
  const two = membersAs('motor, belt, gear 30, belt, belt', [], ['a', 'b']);
  expect(drivesOf(two)).toEqual([null, 'a', null, 'b', null]);
  expect(drivesOf(ofSister(two, ['z']))).toEqual([null, 'z', null, null, null]);
});

test('of a sister machine come its gears, and neither its faults nor its numbers on Strip', () => {
  const sister = membersAs('motor 8T, gear 28').map((one) => ({ ...one, stepId: 's1', faults: ['worn' as const] }));
  expect(ofSister(sister, []).map(({ teeth, stepId, faults }) => ({ teeth, stepId, faults }))).toEqual([
    { teeth: 8, stepId: null, faults: [] },
    { teeth: 28, stepId: null, faults: [] },
  ]);
});

test('a member chosen by touch can be drawn at once, and only a belt has a drive', () => {
  expect([guessedMember('gear', 'a').driveId, guessedMember('beltDrive', 'a').driveId]).toEqual([null, 'a']);
  expect(guessedMember('doubleGear', null)).toMatchObject({ teeth: 24, second: 10 });
});
