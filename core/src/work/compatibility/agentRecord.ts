import type { StatementCode } from './statements';
import type { Dirt, Grade, KnownMaterial } from './schema';

/** Kinds of material that an agent harms in one way. */
export type MaterialGroup = 'metal' | 'plastic' | 'clear' | 'rubber' | 'lens' | 'paint' | 'glass';

/** All that an agent brings with it. Without its hazards, or a material that it may meet, it does not compile. */
export interface AgentRecord {
  /** The words by which a typed line names it and nothing else; null where none do. */
  readonly said: RegExp | null;
  /** Names that are matched with one letter wrong, and asked about. */
  readonly spelt: readonly string[];
  readonly grades: Readonly<Record<KnownMaterial, Grade>>;
  /** What it does where it does harm, by what is harmed; nothing where it may harm and nobody can say how. */
  readonly harm: Readonly<{ readonly [G in MaterialGroup]?: string }>;
  /** The dirts that it takes off, and those that it only loosens. Common practice, no source. */
  readonly takes: readonly Dirt[];
  readonly loosens: readonly Dirt[];
  /** Minutes until dry, in still air of a room. From memory, no source. */
  readonly dryMinutes: number;
  /** Its hazard statements; empty only where it carries none. */
  readonly statements: readonly StatementCode[];
}

/** A cleaner brings what it is for. */
export interface CleanerRecord extends AgentRecord {
  /** A plain wipe is with the first; what is for a reason is only proposed for one. */
  readonly use: 'wipe' | 'forAReason';
}
