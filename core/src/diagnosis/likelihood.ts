import type { BenchTest } from './types';

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
 * @example outcomeChances(tapped, ['beltSlack']) // [0.45, 0.55]
 */
export function outcomeChances(test: Pick<BenchTest, 'sound' | 'given'>, causeIds: readonly string[]): number[] {
  const sound = test.sound.map((percent) => percent / 100);
  const tables = causeIds.flatMap((id) => {
    const own = test.given[id];
    return own ? [own.map((percent) => percent / 100)] : [];
  });
  const [first] = tables;
  if (!first) return bounded(sound);
  if (tables.length === 1) return bounded(first);
  const soundFirst = sound[0] ?? 0;
  const normal = tables.reduce((chance, own) => chance * Math.min(1, (own[0] ?? 0) / soundFirst), soundFirst);
  const raised = sound.map((chance, outcome) =>
    outcome === 0 ? 0 : tables.reduce((sum, own) => sum + Math.max(0, (own[outcome] ?? 0) - chance), chance * 0.1),
  );
  const total = raised.reduce((sum, part) => sum + part, 0);
  return bounded(raised.map((part, outcome) => (outcome === 0 ? normal : ((1 - normal) * part) / total)));
}

/** Lifts what is too near 0 and brings the sum back to 1. */
function bounded(chances: readonly number[]): number[] {
  const lifted = chances.map((chance) => Math.max(LEAST, chance));
  const spare = lifted.reduce((sum, chance) => sum + chance, 0) - 1;
  const free = lifted.reduce((sum, chance) => sum + (chance - LEAST), 0);
  return lifted.map((chance) => (free > 0 ? chance - (spare * (chance - LEAST)) / free : chance));
}
