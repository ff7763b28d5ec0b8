import { DIRT_WORDS, type CleanDeed, type Outcome, type Swab } from '../cleaning';
import type { Agent, Dirt } from '../compatibility';
import { oneSlipApart } from '../../base/spoken';
import type { Choose } from './choices';
import {
  AGENT_WORDS,
  AMOUNT_WORDS,
  DEED_WORDS,
  DRIED,
  DRIES,
  DRY,
  MINUTES,
  OUTCOME_WORDS,
  OVERNIGHT,
  OVERNIGHT_MINUTES,
  SPELT,
  STROKES,
  SWAB_ONE,
  SWAB_RUN,
  swabOf,
  SWABS_TWICE,
  WAY_WORDS,
} from './vocabulary';

/** The words of a list that a text has, and the text without them. */
function taken<T>(text: string, words: ReadonlyArray<readonly [RegExp, T]>): readonly [T | undefined, string] {
  for (const [pattern, value] of words) {
    const match = pattern.exec(text);
    if (match) return [value, text.replace(match[0], ' ')];
  }
  return [undefined, text];
}

/** The agent that a clause names. One that is two things, or is spelt with a letter wrong, is asked about. */
function agentIn(text: string, choose: Choose): readonly [Agent | null, string] {
  const [agents, rest] = taken(text, AGENT_WORDS);
  if (agents) return [agents.length === 1 ? (agents[0] ?? null) : choose('Which is it?', agents), rest];
  for (const word of text.match(/[a-z]{6,}/g) ?? []) {
    const near = Object.keys(SPELT).find((one) => oneSlipApart(word, one));
    if (near) return [choose('Is this it?', [SPELT[near] as Agent, null]), text.replace(word, ' ')];
  }
  return [null, text];
}

/** What one clause says, its places apart. */
export interface Said {
  /** What is left of it: the places, and words that say nothing here. */
  readonly rest: string;
  /** Whether anything was read. */
  readonly says: boolean;
  /** Minutes until it is dry, where that was said. */
  readonly dryMinutes: number | undefined;
  readonly agent: Agent | null;
  readonly deed: CleanDeed | undefined;
  readonly way: string;
  readonly strokes: number;
  readonly amount: string;
  readonly swabs: readonly Swab[];
  readonly outcome: Outcome | undefined;
  readonly minutes: number | undefined;
  readonly dirt: Dirt | undefined;
  readonly dried: boolean;
  readonly dry: boolean;
}

/**
 * What one clause says: what was seen, done, with what, how often and to what end.
 *
 * @param clause in small letters
 * @param choose answers what is in doubt
 * For instance saidIn('acetone swab clean', choose).agent: 'acetone'
 */
export function saidIn(clause: string, choose: Choose): Said {
  let rest = clause;
  let swabs: Swab[] = [];
  const run = SWAB_RUN.exec(rest);
  if (run) {
    swabs = (run[1]?.match(/black|gr[ea]y|clean/g) ?? []).map(swabOf);
    rest = rest.replace(run[0], ' ');
  } else if (SWAB_ONE.test(rest)) {
    swabs = [swabOf(SWAB_ONE.exec(rest)?.[1] ?? '')];
    rest = rest.replace(SWAB_ONE, ' ');
  } else if (SWABS_TWICE.test(rest)) {
    swabs = ['clean', 'clean'];
    rest = rest.replace(SWABS_TWICE, ' ');
  }
  const dried = DRIED.test(rest) && !/\bdried(?:[- ]up|,? \w+)? grease\b/.test(rest);
  if (dried) rest = rest.replace(DRIED, ' ');
  let deed: CleanDeed | undefined;
  // Outcomes first: “came away clean” is no deed, and “not clean” no outcome of the other kind.
  const [outcome, after] = taken(rest, OUTCOME_WORDS);
  rest = after;
  const cleaned = /\bcleaned\b/.test(clause);
  [deed, rest] = taken(rest, DEED_WORDS);
  let dirt: Dirt | undefined;
  if (deed !== 'oldGreaseOff') [dirt, rest] = taken(rest, DIRT_WORDS);
  const dries = DRIES.test(rest);
  if (dries) rest = rest.replace(DRIES, ' ');
  let minutes: number | undefined;
  const time = MINUTES.exec(rest);
  if (time) {
    minutes = Number((time[1] ?? '').replace(',', '.')) * (time[2]?.startsWith('h') ? 60 : 1);
    rest = rest.replace(time[0], ' ');
  } else if (OVERNIGHT.test(rest)) {
    minutes = OVERNIGHT_MINUTES;
    rest = rest.replace(OVERNIGHT, ' ');
    if (!dries) deed ??= 'soak';
  }
  const dryMinutes = dries ? minutes : undefined;
  if (dries) minutes = undefined;
  const strokes = STROKES.exec(rest);
  if (strokes) rest = rest.replace(strokes[0], ' ');
  const amount = AMOUNT_WORDS.exec(rest)?.[0] ?? '';
  if (amount) rest = rest.replace(amount, ' ');
  let agent: Agent | null;
  const sought =
    deed === 'lubricate'
      ? `${rest} ${/\boiled\b/.test(clause) ? 'oil' : /greased\b/.test(clause) && !/\b(?:lithium|silicone?|white)\b/.test(rest) ? 'grease' : ''}`
      : rest;
  [agent, rest] = agentIn(sought, choose);
  const way = WAY_WORDS.exec(rest)?.[0] ?? '';
  if (way) rest = rest.replace(way, ' ');
  const dry = !dried && agent === null && DRY.test(rest) && !/\bdry (?:swab|brush|cloth)/.test(clause);
  if (agent === null && (/\bdry (?:swab|brush|cloth)/.test(clause) || (deed === 'pick' && outcome === undefined)))
    agent = 'dry';
  if (deed === 'spotTest' && swabs.length === 0)
    swabs =
      /\bblack\b|\bcolou?r\b|\bdirty\b/.test(rest) || outcome === 'harmed'
        ? ['black']
        : outcome === 'clean'
          ? ['clean']
          : [];
  const done = deed ?? (cleaned ? 'wipe' : undefined);
  return {
    rest,
    says: rest.trim() !== clause.trim(),
    dryMinutes,
    agent,
    deed: done,
    way,
    strokes: Number(strokes?.[1] ?? strokes?.[2] ?? 0),
    amount,
    swabs,
    outcome,
    minutes,
    dirt,
    dried,
    dry,
  };
}
