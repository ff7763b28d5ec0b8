import { expect, test } from 'vitest';
import { KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import { deal } from '../hidden';
import { playRepairs, repair, TECHNICIANS } from '.';

const machine = (number: number) => {
  const made = deal(KNOWLEDGE, 'tray', number);
  if (!made.ok) throw new Error(made.problem);
  return made.value;
};

test('the oracle treats what is there and nothing else; every repair is the same played again', () => {
  for (let n = 1; n <= 3; n++) {
    const one = machine(n);
    const known = repair(KNOWLEDGE, one, 'oracle');
    expect(known.wrongCauses).toBe(0);
    expect(known.wrongBelts).toBe(0);
    for (const technician of TECHNICIANS)
      expect(repair(KNOWLEDGE, one, technician)).toEqual(repair(KNOWLEDGE, one, technician));
  }
});
test('as the app proposes cures more than the usual order, and no more than the oracle does', () => {
  const records = playRepairs(KNOWLEDGE, 'tray', 20);
  const cured = Object.fromEntries(records.map((one) => [one.technician, one.cured]));
  expect(cured['perMinute']).toBeGreaterThan(cured['usual'] ?? 1);
  expect(cured['perMinute']).toBeLessThanOrEqual(cured['oracle'] ?? 0);
  const app = records.find(({ technician }) => technician === 'perMinute');
  expect(app?.bands.reduce((sum, { cases }) => sum + cases, 0)).toBeGreaterThan(20);
});
