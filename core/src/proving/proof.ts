import { isFailure, type Cycle } from './cycles';

/** What was done about a fault: only after one may a new proof begin. */
export interface Treatment {
  readonly id: string;
  readonly at: string;
  readonly what: string;
}

/** A proof begun: from here clean cycles count, and the first failure ends it. */
export interface Proof {
  readonly id: string;
  readonly startedAt: string;
}

/** How a proof stands. */
export interface ProofState {
  readonly proof: Proof;
  /** Clean cycles in a row since it began. */
  readonly clean: number;
  readonly slow: number;
  /** The number of the cycle that failed, counted from 1; undefined while none has. */
  readonly failedAt?: number;
}

/**
 * How a proof stands by its cycles: a failure ends it, whatever comes after.
 *
 * @example proofState(proof, eight clean and one bad) // { clean: 8, failedAt: 9 }
 */
export function proofState(proof: Proof, cycles: readonly Cycle[]): ProofState {
  const own = cycles.filter(({ proofId }) => proofId === proof.id);
  const failed = own.findIndex(isFailure);
  const counted = failed < 0 ? own : own.slice(0, failed);
  return {
    proof,
    clean: counted.length,
    slow: counted.filter(({ result }) => result === 'slow').length,
    ...(failed >= 0 && { failedAt: failed + 1 }),
  };
}

/**
 * Whether a new proof may begin: the first at any time, a later one only after a treatment recorded since the last
 * began. Free restarts would pass an uncured fault of one in four a third of the time.
 */
export function mayBeginProof(proofs: readonly Proof[], treatments: readonly Treatment[]): boolean {
  const last = proofs[proofs.length - 1];
  return !last || treatments.some(({ at }) => at > last.startedAt);
}
