import type { TicketRecord, TicketSummary } from '@loose-pulley/core/ticket';
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
}

/**
 * Writes tickets after every change: at once, one write at a time, always the newest of each. A failed write is said
 * and tried again with the next change or after a while. A ticket that leaves the screen is written to its end.
 */
export class Keeper {
  /** Records known to be in the store, by identity. */
  readonly #kept = new WeakSet<TicketRecord>();
  /** The newest record of each ticket that is not in the store yet. Outlives the ticket's being on screen. */
  readonly #unkept = new Map<string, TicketRecord>();
  readonly #waiters = new Map<string, Array<() => void>>();
  readonly #on: KeeperListener;
  #writing = false;
  #retry: ReturnType<typeof setTimeout> | undefined;

  constructor(on: KeeperListener) {
    this.#on = on;
  }

  /** Says that a record came out of the store and needs no writing. */
  markKept(record: TicketRecord): TicketRecord {
    this.#kept.add(record);
    return record;
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
    if (this.#writing) return;
    this.#writing = true;
    clearTimeout(this.#retry);
    for (let next = this.#unkept.entries().next(); !next.done; next = this.#unkept.entries().next()) {
      const [id, record] = next.value;
      this.#on.status(id, { saving: 'saving', problem: null });
      try {
        this.#on.saved(await this.#write(id, record));
        if (this.#unkept.get(id) !== record) continue;
        this.#unkept.delete(id);
        this.#on.status(id, { saving: 'kept', problem: null });
        this.#waiters.get(id)?.forEach((resolve) => resolve());
        this.#waiters.delete(id);
      } catch (error) {
        this.#on.status(id, { saving: 'failed', problem: storeProblem(error) });
        this.#retry = setTimeout(() => void this.#drain(), RETRY_MS);
        break;
      }
    }
    this.#writing = false;
  }

  async #write(id: string, record: TicketRecord): Promise<TicketSummary> {
    const summary = await saveTicket(record);
    this.#kept.add(record);
    tellTabs({ type: 'saved', id });
    return summary;
  }
}
