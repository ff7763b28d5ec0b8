import type { ProbabilityAnswer, ProbabilityQuestion } from '@loose-pulley/core/belts/probability';
import { bench } from '../boot';

/*
 * Answers to the last sample, kept by their question: a drive that is looked at again, on paper say, or after the page
 * was loaded anew, is not worked out again. They can be had again at any time, so a store that is full or not lent loses
 * nothing. Another build may answer otherwise, and keeps its own.
 */
const PREFIX = `loose-pulley answer ${bench} `;
const ORDER = `${PREFIX}order`;
const MOST = 24;

interface Kept {
  readonly build: string;
  readonly question: number;
  readonly answer: ProbabilityAnswer;
}

const build = (): string => document.querySelector<HTMLScriptElement>('script[type=module]')?.src ?? '';

/** A text's number of 32 bits (FNV-1a, draft-eastlake-fnv), begun anywhere. */
function fnv1a(text: string, basis: number): number {
  let hash = basis;
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return hash >>> 0;
}

const inMemory = new Map<string, ProbabilityAnswer>();
const keys = new WeakMap<ProbabilityQuestion, { readonly key: string; readonly letters: number }>();

function keyOf(question: ProbabilityQuestion): { readonly key: string; readonly letters: number } {
  const known = keys.get(question);
  if (known) return known;
  const text = JSON.stringify(question);
  const made = { key: `${fnv1a(text, 0x811c9dc5)}-${fnv1a(text, 0x2f0b4c47)}`, letters: text.length };
  keys.set(question, made);
  return made;
}

/** The answer to the last sample, where this question was answered before. */
export function keptAnswer(question: ProbabilityQuestion): ProbabilityAnswer | undefined {
  const { key, letters } = keyOf(question);
  const known = inMemory.get(key);
  if (known) return known;
  try {
    const kept = JSON.parse(localStorage.getItem(PREFIX + key) ?? 'null') as Kept | null;
    if (!kept || kept.build !== build() || kept.question !== letters) return undefined;
    inMemory.set(key, kept.answer);
    return kept.answer;
  } catch {
    return undefined;
  }
}

/** Keeps an answer, and lets the oldest go. */
export function keepAnswer(question: ProbabilityQuestion, answer: ProbabilityAnswer): void {
  const { key, letters } = keyOf(question);
  inMemory.set(key, answer);
  try {
    const before = (JSON.parse(localStorage.getItem(ORDER) ?? '[]') as readonly string[]).filter((one) => one !== key);
    const order = [...before, key];
    for (const old of order.slice(0, -MOST)) localStorage.removeItem(PREFIX + old);
    localStorage.setItem(ORDER, JSON.stringify(order.slice(-MOST)));
    localStorage.setItem(PREFIX + key, JSON.stringify({ build: build(), question: letters, answer } satisfies Kept));
  } catch {
    // Full, or not lent: it is worked out again.
  }
}
