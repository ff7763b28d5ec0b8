import type { StepFact, StepKind } from './schema';

/** What is worth knowing of a kind of step beyond its line, to bring it back the right way. Common practice, no source. */
export const FACTS_OF: Readonly<Record<StepKind, readonly StepFact[]>> = {
  screws: ['head', 'thread', 'driverFitted'],
  nuts: ['head', 'thread', 'driverFitted'],
  clips: ['latch', 'lookAlikes'],
  springs: ['side', 'direction', 'lookAlikes'],
  tabs: ['latch'],
  adhesive: ['hides'],
  cover: ['latch', 'hides'],
  connector: ['ways', 'keyed', 'pinOne', 'latch', 'route'],
  cable: ['route', 'latch'],
  part: ['lookAlikes', 'side', 'turns', 'direction', 'viewedFrom', 'parkedAt', 'homes'],
  belt: ['turns', 'direction', 'leaves'],
  wire: ['turns', 'direction', 'route', 'leaves'],
  gear: ['parkedAt', 'mark', 'turns', 'direction', 'viewedFrom', 'lookAlikes'],
  note: [],
};

/** The kinds of step in words. */
export const KIND_NAMES: Readonly<Record<StepKind, string>> = {
  screws: 'screws',
  nuts: 'nuts',
  clips: 'clips and rings',
  springs: 'springs',
  tabs: 'moulded tabs and latches',
  adhesive: 'stuck on: felt, label, tape',
  cover: 'cover',
  connector: 'plug',
  cable: 'cable, still plugged',
  part: 'part',
  belt: 'belt',
  wire: 'wire or cord',
  gear: 'gear or mode part',
  note: 'as it was typed',
};

/** The facts in words, as they are asked. */
export const FACT_NAMES: Readonly<Record<StepFact, string>> = {
  head: 'Head, as it looks',
  thread: 'Thread',
  driverFitted: 'Which driver fitted',
  latch: 'How it latches',
  hides: 'What it hid',
  ways: 'Ways',
  keyed: 'Keyed, or fits both ways',
  pinOne: 'Side of pin 1 or of the stripe',
  route: 'How it runs',
  lookAlikes: 'What looks like it',
  side: 'Left or right of a pair',
  turns: 'Turns on each pulley or drum',
  direction: 'Which way it goes round',
  leaves: 'What it leaves before, or after',
  parkedAt: 'Parked where',
  mark: 'Its mark',
  viewedFrom: 'Viewed from where',
  homes: 'How it comes home',
};

/** The facts that are known of a step, in the order in which they are asked. @example stepFacts(step) // [] */
export const stepFacts = ({ kind, facts }: { readonly kind: StepKind; readonly facts: Facts }): [string, string][] =>
  FACTS_OF[kind].flatMap((fact) => (facts[fact] ? [[FACT_NAMES[fact], facts[fact]] as [string, string]] : []));

/** Facts by their name; one that is not known is not there. */
export type Facts = Readonly<Partial<Record<StepFact, string>>>;

/** Where pin 1 sits, where the words name a side. @example pinOneSide('stripe to the left') // 'left' */
export function pinOneSide(words: string): 'left' | 'right' | undefined {
  const side = /\b(left|right)\b/i.exec(words)?.[1]?.toLowerCase();
  return side === 'left' || side === 'right' ? side : undefined;
}
