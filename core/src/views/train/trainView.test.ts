import { describe, expect, test } from 'vitest';
import { opening, reading, recordOf, trainMember } from '../../../fixtures/sample';
import type { EventBody } from '../../record/ticket';
import { beltRatios, trainTravel, trainView } from '.';

const read = (...of: Parameters<typeof reading>): EventBody => ({
  type: 'readingTaken',
  driveId: 'drive-a',
  reading: reading(...of),
});
const PULLEYS = [
  read('r1', 'motorDiameter', 'motorJaws', 6),
  read('r2', 'drivenDiameter', 'drivenJaws', 24.8),
  read('r3', 'section', 'sectionJaws', 1.2),
];
const train: EventBody = {
  type: 'trainPut',
  members: [
    trainMember('tm0', 'motor', 0),
    // The pinion on the driven pulley's shaft belongs to the belt drive.
    { ...trainMember('tm1', 'beltDrive', 0), second: 10, driveId: 'drive-a' },
    trainMember('tm3', 'rack', 0),
  ],
};
const ticketOf = (...bodies: readonly EventBody[]) => recordOf([opening, ...bodies]).ticket;

describe('a train with the drive’s own pulleys', () => {
  test('turns by the belt’s centre line, whose thickness is assumed until it is measured', () => {
    expect(beltRatios(ticketOf(...PULLEYS))['drive-a']).toMatchObject({ ratio: 7.2 / 26, crossed: false });
    expect(beltRatios(ticketOf(...PULLEYS.slice(0, 2)))['drive-a']?.ratio).toBeCloseTo(7.2 / 26, 9);
    expect(beltRatios(ticketOf())).toEqual({});
  });
  test('moves the tray by π·m·z for a turn of the pinion (ISO 21771), times the belt’s ratio', () => {
    const travel = trainTravel(ticketOf(...PULLEYS, train), 'drive-a');
    expect(travel?.value).toBeCloseTo(Math.PI * 0.8 * 10 * (7.2 / 26), 6);
    expect(travel?.std).toBeGreaterThan(0);
  });
  test('says nothing of a drive that is no member, nor of one without pulleys', () => {
    expect(trainTravel(ticketOf(...PULLEYS, train), 'drive-b')).toBeUndefined();
    expect(trainTravel(ticketOf(train), 'drive-a')).toBeUndefined();
  });
  test('the same ticket gives the same view; without members it has neither figures nor a problem', () => {
    const ticket = ticketOf(...PULLEYS, train);
    expect(trainView(ticket)).toBe(trainView(ticket));
    expect(trainView(ticketOf())).toMatchObject({ figures: undefined, problem: undefined });
  });
});
