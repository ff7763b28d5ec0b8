/** The kinds of loader, by what moves the disc. The same words as the ticket's. */
export const DIAGNOSED_LOADERS = ['tray', 'twinTray', 'carousel', 'slot', 'lift', 'diskDrive', 'wire'] as const;
export type DiagnosedLoader = (typeof DIAGNOSED_LOADERS)[number];

/** What a finding leads to: a station, the complaints (for another trade), or nothing but words. */
export const LEADS = ['measure', 'clean', 'strip', 'rebuild', 'complaints', 'none'] as const;
export type Lead = (typeof LEADS)[number];

/** What must be open for a test: nothing, the lid, or the mechanism taken apart. */
export const DEPTHS = ['lidOn', 'lidOff', 'deep'] as const;
export type Depth = (typeof DEPTHS)[number];

/** One thing that can be wrong. */
export interface Cause {
  readonly id: string;
  readonly name: string;
  /** Where the word follows the kind of machine. */
  readonly names?: Readonly<Partial<Record<DiagnosedLoader, string>>>;
  readonly leads: Lead;
  /** What to do about it, in a sentence. */
  readonly remedy: string;
  /** How often it is the cause, beside the others, by kind of loader; 0 where it cannot be. */
  readonly priors: Readonly<Record<DiagnosedLoader, number>>;
}

/** One thing a test may show. */
export interface Outcome {
  readonly id: string;
  readonly label: string;
}

/** One bench test: what it may show, what it shows of a sound machine and of each cause, and what it asks of the bench. */
export interface BenchTest {
  readonly id: string;
  readonly name: string;
  /** How to do it, in two sentences. `{tray}` and `{open}` follow the kind of machine. */
  readonly how: string;
  readonly caution: string;
  readonly loaders: readonly DiagnosedLoader[];
  readonly minutes: number;
  readonly depth: Depth;
  /** From 0, harmless, to 3: what can be hurt, people first. */
  readonly risk: number;
  /** Whether everything is afterwards as it was before. */
  readonly reversible: boolean;
  /** The first is what a sound machine shows. */
  readonly outcomes: readonly Outcome[];
  /** Percent by outcome for a sound machine, and for every cause that `given` does not name. */
  readonly sound: readonly number[];
  /** Percent by outcome for a machine with just that cause. */
  readonly given: Readonly<Record<string, readonly number[]>>;
}

/** All that the adviser knows. The figures are judgement; a bench may keep its own. */
export interface Knowledge {
  readonly name: string;
  /** Share of machines with two faults at once. */
  readonly pairShare: number;
  readonly causes: readonly Cause[];
  readonly tests: readonly BenchTest[];
}

/** Answers that say nothing: tried without a clear result, or passed over for now. */
export const SILENT_OUTCOMES = ['unclear', 'notTried'] as const;
export type SilentOutcome = (typeof SILENT_OUTCOMES)[number];

/** One answer to one test. */
export interface Observation {
  readonly testId: string;
  /** An outcome's id, or a silent one. */
  readonly outcome: string;
  /** How many causes had been cured when it was made: what it saw, they may have caused. */
  readonly cured: number;
}

/** A machine as the adviser sees it. */
export interface Case {
  readonly loader: DiagnosedLoader;
  readonly observations: readonly Observation[];
  /** Causes found and cured, in their order. */
  readonly cured: readonly string[];
  /** Causes that the technician has ruled out. */
  readonly ruledOut: readonly string[];
  /** Whether the lid is off already, so that opening costs nothing more. */
  readonly opened: Depth;
  /** Whether it is known that it still fails after the last cure. */
  readonly stillFails: boolean;
}
