import { expect, test } from 'vitest';
import { KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import { tableAgainstCycles } from '.';

test('a belt that is off turns nothing when it is held, and answers of one test add up', () => {
  const all = tableAgainstCycles(KNOWLEDGE, 12, 1);
  const off = all.find(
    ({ cause, test: of, outcome }) => cause === 'beltOff' && of === 'holdEject' && outcome === 'slips',
  );
  expect(off?.simulated).toBe(1);
  for (const { cause, test: of } of all) {
    const answers = all.filter((one) => one.cause === cause && one.test === of);
    expect(answers.reduce((sum, one) => sum + one.simulated, 0)).toBeCloseTo(1, 9);
    expect(answers.reduce((sum, one) => sum + one.table, 0)).toBeCloseTo(1, 9);
  }
});
