import { ok, refuse, type Result } from '../../base/units';
import { LEAST } from './likelihood';
import { SILENT_OUTCOMES } from './types';
import { LOADERS } from '../../base/loaders';
import type { Knowledge } from './schema';

/** How far a row may be off 100, for rounding. */
const TOLERANCE = 0.51;

const twice = (ids: readonly string[]): string | undefined => ids.find((id, index) => ids.indexOf(id) !== index);

/** What is wrong with a row of percentages, or undefined. */
function rowProblem(row: readonly number[], outcomes: number): string | undefined {
  if (row.length !== outcomes) return `has ${row.length} figures for ${outcomes} outcomes`;
  const low = row.find((percent) => percent < LEAST * 100 || percent > 100 - LEAST * 100);
  if (low !== undefined) return `has ${low}; no figure may be nearer 0 or 100 than ${LEAST * 100}`;
  const sum = row.reduce((total, percent) => total + percent, 0);
  if (Math.abs(sum - 100) > TOLERANCE) return `adds up to ${Math.round(sum * 10) / 10}, not to 100`;
  return undefined;
}

/**
 * Whether knowledge can be reasoned with: names used once, every row complete and adding up, every cause testable,
 * nothing spoken of that is not there.
 *
 * @returns the knowledge itself, or one sentence that says where and what
 * @example checkKnowledge(KNOWLEDGE).ok // true
 */
export function checkKnowledge(knowledge: Knowledge): Result<Knowledge> {
  const { causes, tests, pairShare } = knowledge;
  if (!(pairShare >= 0.01 && pairShare <= 0.5)) {
    return refuse(`The share of machines with two faults is ${pairShare}; it must lie between 0.01 and 0.5.`);
  }
  const causeIds = causes.map(({ id }) => id);
  const sameCause = twice(causeIds) ?? twice(causes.map(({ name }) => name));
  if (sameCause !== undefined) return refuse(`Two causes are called “${sameCause}”. Each needs a name of its own.`);
  const sameTest = twice(tests.map(({ id }) => id)) ?? twice(tests.map(({ name }) => name));
  if (sameTest !== undefined) return refuse(`Two tests are called “${sameTest}”. Each needs a name of its own.`);
  for (const loader of LOADERS) {
    if (!causes.some(({ priors }) => priors[loader] > 0))
      return refuse(`Nothing can be wrong with a ${loader}: all its shares are 0.`);
  }
  for (const { name, outcomes, sound, given } of tests) {
    const where = `Test “${name}”`;
    if (outcomes.length < 2) return refuse(`${where} has ${outcomes.length} outcome; a test needs two at least.`);
    const outcomeIds = outcomes.map(({ id }) => id);
    const sameOutcome = twice(outcomeIds);
    if (sameOutcome !== undefined) return refuse(`${where}: two outcomes are called “${sameOutcome}”.`);
    const silent = outcomeIds.find((id) => (SILENT_OUTCOMES as readonly string[]).includes(id));
    if (silent !== undefined) return refuse(`${where}: “${silent}” is the word for an answer that says nothing.`);
    const soundProblem = rowProblem(sound, outcomes.length);
    if (soundProblem) return refuse(`${where}, a sound machine: the row ${soundProblem}.`);
    for (const [causeId, row] of Object.entries(given)) {
      if (!causeIds.includes(causeId)) return refuse(`${where} speaks of “${causeId}”, which is no cause here.`);
      const problem = rowProblem(row, outcomes.length);
      if (problem) return refuse(`${where}, cause “${causeId}”: the row ${problem}.`);
    }
  }
  for (const { id, name, priors } of causes) {
    for (const loader of LOADERS) {
      if (priors[loader] === 0) continue;
      if (!tests.some(({ given, loaders }) => loaders.includes(loader) && given[id])) {
        return refuse(
          `No test tells “${name}” from a sound machine for a ${loader}. Name it in a test, or set its share to 0.`,
        );
      }
    }
  }
  return ok(knowledge);
}
