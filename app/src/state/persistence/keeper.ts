import type { TicketRecord, TicketSummary } from '@loose-pulley/core/record/ticket';
import { Stale } from './commit';
import { storeProblem, type StoreProblem } from './storage';
import { tellTabs } from './tabs';
import { saveTicket } from './tickets';

const RETRY_MS = 4000;

export interface SavingStatus {
  readonly saving: 'kept' | 'saving' | 'failed';
  readonly problem: StoreProblem | null;
}

/** Told what came of keeping. */
export interface KeeperListener {
  saved(summary: TicketSummary): void;
  status(id: string, status: SavingStatus): void;
  /** Whether this tab holds the right to write a ticket: asked before every write. */
  mayWrite(id: string): boolean;
  /** What could not be written, since another tab has the ticket now: its last record here. */
  stranded(record: TicketRecord): void;
}

/**
 * Writes tickets after every change: at once, one write at a time, always the newest of each, and only over the
 * revision that this tab has read or written. A failed write is said and tried again with the next change or after a
 * while, as long as the ticket is this tab's to write. A ticket that leaves the screen is written to its end.
 */
export class Keeper {
  /** Records known to be in the store, by identity. */
  readonly #kept = new WeakSet<TicketRecord>();
  /** The newest record of each ticket that is not in the store yet. Outlives the ticket's being on screen. */
  readonly #unkept = new Map<string, TicketRecord>();
  /** The revision of each ticket that this tab has last read or written. */
  readonly #revisions = new Map<string, number>();
  readonly #waiters = new Map<string, Array<() => void>>();
  readonly #on: KeeperListener;
  /** The ticket whose write is under way. */
  #underWay: string | undefined;
  /** Tickets that were lost while a write of them was under way. */
  readonly #doomed = new Set<string>();
  #retry: ReturnType<typeof setTimeout> | undefined;

  constructor(on: KeeperListener) {
    this.#on = on;
  }

  /** Says that a record came out of the store under a revision, and needs no writing. */
  markKept(record: TicketRecord, revision: number): TicketRecord {
    this.#kept.add(record);
    this.#revisions.set(record.ticket.id, revision);
    return record;
  }

  /** Whether a record is known to be in the store as it is. */
  isKept(record: TicketRecord): boolean {
    return this.#kept.has(record);
  }

  /** Whether anything is left to be written, of any ticket. */
  get isBusy(): boolean {
    return this.#unkept.size > 0;
  }

  /**
   * Gives up what is left to be written of a ticket that another tab has now, and hands it over as stranded. A write
   * that is under way decides first whether anything is left.
   */
  giveUp(id: string): void {
    if (this.#underWay === id) {
      this.#doomed.add(id);
      return;
    }
    const record = this.#unkept.get(id);
    this.#unkept.delete(id);
    this.#wake(id);
    if (record) this.#on.stranded(record);
  }

  /** What of a ticket is still to be written, where it is. */
  unkeptRecord(id: string): TicketRecord | undefined {
    return this.#unkept.get(id);
  }

  /** Resolves once nothing of the ticket is left to be written. */
  whenKept(id: string): Promise<void> {
    if (!this.#unkept.has(id)) return Promise.resolve();
    return new Promise((resolve) => this.#waiters.set(id, [...(this.#waiters.get(id) ?? []), resolve]));
  }

  /** Keeps a record, unless it is known to be in the store or on its way there. */
  keep(record: TicketRecord): void {
    const { id } = record.ticket;
    if (this.#kept.has(record) || this.#unkept.get(id) === record) return;
    this.#unkept.set(id, record);
    void this.#drain();
  }

  async #drain(): Promise<void> {
    if (this.#underWay !== undefined) return;
    clearTimeout(this.#retry);
    // One that cannot be written holds up no other.
    const failed = new Set<TicketRecord>();
    const next = () => [...this.#unkept].find(([, record]) => !failed.has(record));
    for (let entry = next(); entry; entry = next()) {
      const [id, record] = entry;
      if (!this.#on.mayWrite(id)) {
        this.giveUp(id);
        continue;
      }
      this.#underWay = id;
      this.#on.status(id, { saving: 'saving', problem: null });
      const failure = await this.#write(id, record).then(
        () => null,
        (error: unknown) => ({ error }),
      );
      this.#underWay = undefined;
      if (!failure && this.#unkept.get(id) === record) {
        this.#unkept.delete(id);
        this.#on.status(id, { saving: 'kept', problem: null });
        this.#wake(id);
      }
      if (this.#doomed.delete(id) || failure?.error instanceof Stale) this.giveUp(id);
      else if (failure) {
        this.#on.status(id, { saving: 'failed', problem: storeProblem(failure.error) });
        failed.add(record);
      }
    }
    if (failed.size > 0) this.#retry = setTimeout(() => void this.#drain(), RETRY_MS);
  }

  #wake(id: string): void {
    this.#waiters.get(id)?.forEach((resolve) => resolve());
    this.#waiters.delete(id);
  }

  async #write(id: string, record: TicketRecord): Promise<void> {
    const { summary, revision } = await saveTicket(record, this.#revisions.get(id) ?? null);
    this.#revisions.set(id, revision);
    this.#kept.add(record);
    tellTabs({ type: 'saved', id });
    if (summary) this.#on.saved(summary);
  }
}
