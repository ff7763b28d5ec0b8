import type { Hold } from './tabs';

/** The rights to write tickets that this tab has: of the one on screen, of those that left it, and its place in line. */
export class WritingRights {
  #held: { readonly id: string; readonly hold: Hold } | undefined;
  #waiting: AbortController | undefined;
  /** Holds of tickets that left the screen with something still to be written: nobody else may write them before. */
  readonly #lingering = new Map<string, Hold>();

  /** The hold on the ticket on screen, where this tab has it. */
  set(id: string, hold: Hold | undefined): void {
    this.#held = hold && { id, hold };
  }

  /** Whether this tab may write a ticket. */
  has(id: string): boolean {
    return this.#held?.id === id || this.#lingering.has(id);
  }

  /** Forgets a hold that another tab took. */
  forget(id: string): void {
    if (this.#held?.id === id) this.#held = undefined;
    this.#lingering.delete(id);
  }

  /** Lets go of the ticket on screen at once. */
  release(): void {
    this.#held?.hold.release();
    this.#held = undefined;
  }

  /** Lets go of the ticket on screen once what was written under it is in the store. */
  async releaseWhen(id: string, kept: Promise<void>): Promise<void> {
    const held = this.#held?.hold;
    this.#held = undefined;
    if (!held) return;
    this.#lingering.set(id, held);
    await kept;
    if (this.#lingering.get(id) !== held) return;
    this.#lingering.delete(id);
    held.release();
  }

  /** A hold of this tab that still lingers, to go on with. */
  takeLingering(id: string): Hold | undefined {
    const held = this.#lingering.get(id);
    this.#lingering.delete(id);
    return held;
  }

  /** Stands in line; whoever stood there before for another ticket leaves it. */
  beginWaiting(): AbortSignal {
    this.stopWaiting();
    this.#waiting = new AbortController();
    return this.#waiting.signal;
  }

  stopWaiting(): void {
    this.#waiting?.abort();
    this.#waiting = undefined;
  }
}
