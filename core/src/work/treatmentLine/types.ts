import type { CleanDeed, Outcome, PlaceKind, Slip, Swab } from '../cleaning';
import type { Agent, Dirt } from '../compatibility';

/** A place that a line speaks of: one of the map, or one that it adds. */
export type PlaceNamed =
  | { readonly id: string; readonly kind: PlaceKind; readonly name: string }
  | { readonly id: null; readonly kind: PlaceKind; readonly name: string };

/** A treatment as a line tells it. */
export interface TreatmentTold {
  readonly deed: CleanDeed;
  readonly agent: Agent | null;
  readonly way: string;
  readonly strokes: number;
  readonly amount: string;
  readonly swabs: readonly Swab[];
  readonly outcome: Outcome;
  /** Minutes that were said: of a soak its time, else hands on it. */
  readonly minutes?: number;
  /** Minutes until it is dry, where the bench says otherwise than the table. */
  readonly dryMinutes?: number;
}

/** What one line makes happen. */
export type TreatmentDeed =
  | { readonly type: 'treat'; readonly place: PlaceNamed | null; readonly told: TreatmentTold }
  | { readonly type: 'seen'; readonly place: PlaceNamed; readonly dirt: Dirt }
  | { readonly type: 'left'; readonly place: PlaceNamed; readonly words: string }
  | { readonly type: 'slip'; readonly place: PlaceNamed; readonly slip: Slip }
  | { readonly type: 'warm'; readonly place: PlaceNamed }
  | { readonly type: 'swab'; readonly place: PlaceNamed; readonly swab: Swab }
  | { readonly type: 'levers'; readonly out: boolean }
  | { readonly type: 'place'; readonly place: PlaceNamed };

/** One way to understand a line. */
export interface TreatmentWay {
  readonly echo: string;
  readonly does: readonly TreatmentDeed[];
}

/** A line as it was read: sure with one way, asked about with several, kept as typed where it was not read. */
export interface TreatmentRead {
  readonly ways: readonly TreatmentWay[];
  readonly asks: string;
  readonly unread: boolean;
}
