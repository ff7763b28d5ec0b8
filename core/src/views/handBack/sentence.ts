import type { StationId } from '../../record/stations';

/** Something that a sentence of a paper rests on. */
export interface Rest {
  readonly station: StationId;
  /** What it is, in a few words. */
  readonly words: string;
  /** When it was said, ISO 8601; empty where that was not kept. */
  readonly at: string;
}

/** A sentence of a paper, and all that it rests on: none stands on nothing. */
export interface Sentence {
  readonly text: string;
  readonly rests: readonly Rest[];
}
