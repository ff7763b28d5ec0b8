import type { Deed } from '../../work/stripLine';
import type { TreatmentDeed } from '../../work/treatmentLine';
import type { Accounted } from '../../base/spoken';

/** What a line makes happen: to what comes off and goes back, and to places that are cleaned. */
export interface SaidWay {
  readonly echo: string;
  readonly strip: readonly Deed[];
  readonly clean: readonly TreatmentDeed[];
}

/** A line as it was read, wherever it was typed: sure with one way, asked about with several. */
export interface Said {
  readonly ways: readonly SaidWay[];
  readonly asks: string;
  /** Kept as typed, since nothing was read in it. */
  readonly unread: boolean;
  /** Every word, with what it is taken for. */
  readonly words: readonly Accounted[];
}

/** Where a line is typed: what either station would do with it is done, but in doubt this one's is meant. */
export type SaidAt = 'strip' | 'clean';
