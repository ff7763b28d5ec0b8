import { LOADERS, type Loader } from '../../base/loaders';
import {
  dictionary,
  flag,
  id,
  list,
  number,
  one,
  optional,
  shape,
  text,
  type ShapeValue,
  type ValueOf,
} from '../../base/schema';

/** What a finding leads to: a station, the complaints (for another trade), or nothing but words. */
export const LEADS = ['measure', 'clean', 'strip', 'rebuild', 'train', 'complaints', 'none'] as const;
export type Lead = (typeof LEADS)[number];

/** What must be open for a test: nothing, the lid, or the mechanism taken apart. */
export const DEPTHS = ['lidOn', 'lidOff', 'deep'] as const;
export type Depth = (typeof DEPTHS)[number];

const byLoader = <F>(field: F) => Object.fromEntries(LOADERS.map((loader) => [loader, field])) as Record<Loader, F>;
const percents = list(number(0, 100), 12);

/** One thing that can be wrong. */
const cause = shape({
  id: id(),
  name: text(80, 1),
  /** Where the word follows the kind of machine. */
  names: optional(shape(byLoader(optional(text(80))))),
  leads: one(LEADS),
  /** What to do about it, in a sentence. */
  remedy: text(400),
  /** How often it is the cause, beside the others, by kind of loader; 0 where it cannot be. */
  priors: shape(byLoader(number(0, 10_000))),
});
export interface Cause extends ValueOf<typeof cause> {}

/** One thing a test may show. */
const outcome = shape({ id: id(), label: text(80, 1) });
export interface Outcome extends ValueOf<typeof outcome> {}

/** One bench test: what it may show, what it shows of a sound machine and of each cause, and what it asks of the bench. */
const benchTest = shape({
  id: id(),
  name: text(120, 1),
  /** How to do it, in two sentences. `{tray}` and `{open}` follow the kind of machine. */
  how: text(600),
  caution: text(400),
  loaders: list(one(LOADERS), LOADERS.length),
  minutes: number(0.1, 600),
  depth: one(DEPTHS),
  /** From 0, harmless, to 3: what can be hurt, people first. */
  risk: number(0, 3),
  /** Whether everything is afterwards as it was before. */
  reversible: flag(),
  /** The first is what a sound machine shows. */
  outcomes: list(outcome, 6),
  /** Percent by outcome for a sound machine, and for every cause that `given` does not name. */
  sound: percents,
  /** Percent by outcome for a machine with just that cause. */
  given: dictionary(percents),
});
export interface BenchTest extends ValueOf<typeof benchTest> {}

/** All that the adviser knows. The figures are judgement; a bench may keep its own. */
export const knowledgeFields = {
  name: text(80),
  /** Share of machines with two faults at once. */
  pairShare: number(0, 1),
  causes: list(cause, 200),
  tests: list(benchTest, 200),
};
export interface Knowledge extends ShapeValue<typeof knowledgeFields> {}
