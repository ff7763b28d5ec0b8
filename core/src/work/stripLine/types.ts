import type { ChangeLimit, Fate, StepDraft, TemporaryChangeKind } from '../strip';
import type { NounKind } from './words';

/** One thing that a typed line makes happen. */
export type Deed =
  | { readonly type: 'step'; readonly step: StepDraft }
  | { readonly type: 'change'; readonly kind: TemporaryChangeKind; readonly words: string }
  | { readonly type: 'changeEnds'; readonly kind: TemporaryChangeKind }
  | { readonly type: 'moment'; readonly moment: ChangeLimit | 'unplugged' | 'lidOff' }
  | { readonly type: 'found'; readonly kind: 'object' | 'dirt'; readonly what: string; readonly where: string }
  | { readonly type: 'disc'; readonly where: string; readonly condition: string }
  | { readonly type: 'again'; readonly number: number }
  /** What the last line said, once more, on another side or deck. */
  | { readonly type: 'same'; readonly where: string }
  | { readonly type: 'back'; readonly number: number };

/** One way to understand a line: what it would do, and that in words. */
export interface Way {
  readonly echo: string;
  readonly does: readonly Deed[];
}

/** What a typed line means: sure, with one way; or in doubt, with two or three of which one key chooses. */
export interface ReadLine {
  readonly ways: readonly Way[];
  /** What is asked where there is more than one way; empty where it is sure. */
  readonly asks: string;
  /** Kept as typed, since nothing was read in it. */
  readonly unread: boolean;
}

/** Why a clause is not taken without asking. */
export type Doubt =
  | { readonly about: 'count'; readonly counts: readonly number[] }
  | { readonly about: 'fate'; readonly fates: readonly Fate[] }
  | { readonly about: 'kind'; readonly kinds: readonly NounKind[] }
  | { readonly about: 'slip'; readonly meant: string }
  | { readonly about: 'both'; readonly thing: NounKind; readonly count?: number };
