import type { BenchTest } from './schema';

/** No likelihood nearer 0 or 1 than this: a bench can always be mistaken. */
export const LEAST = 0.02;

/**
 * The chance of each outcome of a test for a machine with a set of causes.
 *
 * One cause: as the table has it. None: as a sound machine. Several: each shows itself by itself. The sound outcome
 * needs every one of them to be silent, so its chance is the sound machine's times each cause's share of it (a noisy
 * “or”, Pearl 1988); what is left goes to the other outcomes by how far each cause raises them above a sound machine.
 *
 * @param test figures in percent
 * @returns chances that add up to 1, none below `LEAST`
 * For instance outcomeChances(tapped, ['beltSlack']): [0.45, 0.55]
 */
export function outcomeChances(test: Pick<BenchTest, 'sound' | 'given'>, causeIds: readonly string[]): number[] {
  const tables = causeIds.flatMap((id) => {
    const own = test.given[id];
    return own ? [own.map((percent) => percent / 100)] : [];
  });
  return combine(
    test.sound.map((percent) => percent / 100),
    tables,
  );
}

/** The same, of rows laid out as chances already: those of the causes that the test knows. */
export function combine(sound: readonly number[], tables: ReadonlyArray<readonly number[]>): number[] {
  const [first] = tables;
  if (!first) return bounded(sound);
  if (tables.length === 1) return bounded(first);
  const soundFirst = sound[0] ?? 0;
  let normal = soundFirst;
  for (const own of tables) normal *= Math.min(1, (own[0] ?? 0) / soundFirst);
  const raised = sound.map((chance, outcome) => {
    if (outcome === 0) return 0;
    let sum = chance * 0.1;
    for (const own of tables) sum += Math.max(0, (own[outcome] ?? 0) - chance);
    return sum;
  });
  let total = 0;
  for (const part of raised) total += part;
  return bounded(raised.map((part, outcome) => (outcome === 0 ? normal : ((1 - normal) * part) / total)));
}

/** Lifts what is too near 0 and brings the sum back to 1. */
function bounded(chances: readonly number[]): number[] {
  let spare = -1;
  let free = 0;
  for (const chance of chances) {
    const lifted = Math.max(LEAST, chance);
    spare += lifted;
    free += lifted - LEAST;
  }
  const share = free > 0 ? spare / free : 0;
  return chances.map((chance) => {
    const lifted = Math.max(LEAST, chance);
    return lifted - share * (lifted - LEAST);
  });
}
