import { nanoid } from 'nanoid';
import {
  appendBook,
  bookRedoTarget,
  bookUndoTarget,
  emptyBook,
  replayBook,
  sayBook,
  sayBookEvent,
  type Book,
  type BookBody,
  type BookEvent,
  type BookRecord,
} from '@loose-pulley/core/shop/book';
import type { BenchStock } from '@loose-pulley/core/belts/catalogue';
import { benchStock, movedBy } from '@loose-pulley/core/shop/drawer';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { Stale } from './commit';
import { commitBook, loadBookBefore, loadBookRecord, whyUnreadable } from './bookStore';
import { storeProblem, type StoreProblem } from './storage';

export interface BookNews {
  readonly status?: 'ready' | 'failed' | 'newer' | 'setAside';
  /** Why what lies in the store cannot be read. */
  readonly why?: string;
  readonly record?: BookRecord | null;
  readonly stock?: BenchStock | undefined;
  readonly saving?: 'kept' | 'saving' | 'failed';
  readonly problem?: StoreProblem | null;
  readonly said?: string;
}

/** What came of undo or redo: done, or asked first since another tab did that. */
export interface Stepped {
  readonly said: string;
  readonly asked?: string;
}

/** What a book makes a bench choose among; the same for the same drawer, so that nothing is ranked anew without need. */
let stocked: { readonly book: Book; readonly stock: BenchStock | undefined } | undefined;
function stockOf(book: Book): BenchStock | undefined {
  if (stocked?.book.items === book.items && stocked.book.switchedSeries === book.switchedSeries) return stocked.stock;
  const plain = book.items.length === 0 && book.switchedSeries.length === 0;
  const next = plain ? undefined : benchStock(book);
  // One fewer of a size is no other choice.
  const before = stocked?.stock;
  const stock = before && next && JSON.stringify(before) === JSON.stringify(next) ? before : next;
  stocked = { book, stock };
  return stock;
}

/** Follows a long history some at a time while nobody waits, so that the first undo has not to. */
async function followBeforehand(events: readonly BookEvent[]): Promise<void> {
  for (let most = AT_A_TIME; most < events.length; most += AT_A_TIME) {
    await new Promise((go) => setTimeout(go, REST_MS));
    if (!replayBook(events, most).ok) return;
  }
}
const AT_A_TIME = 800;
const REST_MS = 30;

const UNREAD =
  'The bench book could not be read just now, so the drawer, the orders and the day are not shown. Nothing in it was changed.';
const RETRY_MS = 4000;
/** Other tabs may write in between, but not for ever. */
const TURNS = 20;

/**
 * Keeps the bench book: what happens is on the screen at once and written one after the other. Where another tab has
 * written meanwhile, its book is read and what happened here is put upon it: nothing of either is lost. What cannot be put
 * upon it, since the last belt of a size is gone, is said.
 */
export class BookKeeper {
  #kept: BookRecord | null = null;
  #revision = 0;
  #newer = false;
  /** What happened here and is not in the store yet. */
  #pending: readonly BookEvent[] = [];
  /** Events that other tabs put in since this one began: undo of one of them is asked. */
  readonly #theirs = new Set<string>();
  readonly #mine = new Set<string>();
  #writing = false;
  #retry: ReturnType<typeof setTimeout> | undefined;
  readonly #news: (news: BookNews) => void;
  readonly #saved: () => void;

  constructor(news: (news: BookNews) => void, saved: () => void) {
    this.#news = (of) => news(of.record ? { ...of, stock: stockOf(of.record.book) } : of);
    this.#saved = saved;
  }

  /** The book as this tab has it: what is kept, with what happened here upon it. */
  #view(): BookRecord | null {
    if (!this.#kept) return null;
    let record = this.#kept;
    for (const event of this.#pending) {
      const next = appendBook(record, event);
      if (next.ok) record = next.value;
    }
    return record;
  }

  /** Reads the book, as at the start or since another tab has written. */
  async load(): Promise<void> {
    try {
      const { record, revision, newer, why } = await loadBookRecord();
      this.#revision = revision;
      if (!record) {
        this.#kept = null;
        this.#news({ status: 'setAside', record: null, why, saving: 'kept' });
        return;
      }
      if (this.#kept) {
        const known = new Set(this.#kept.events.map(({ id }) => id));
        for (const { id } of record.events) if (!known.has(id) && !this.#mine.has(id)) this.#theirs.add(id);
      }
      this.#kept = record;
      this.#newer = newer;
      const pending: BookEvent[] = [];
      let view = record;
      for (const event of this.#pending) {
        const next = appendBook(view, event);
        if (next.ok) {
          view = next.value;
          pending.push(event);
        } else this.#news({ said: `Not kept, since another tab has changed the drawer: ${next.problem}` });
      }
      this.#pending = pending;
      this.#news({ status: newer ? 'newer' : 'ready', record: view });
      if (!newer) void followBeforehand(record.events);
    } catch (error) {
      const problem = storeProblem(error);
      this.#news({ status: 'failed', problem: { ...problem, sentence: UNREAD } });
    }
  }

  /** @returns '' where it happened, else why not */
  async record(bodies: readonly BookBody[], gesture?: string): Promise<string> {
    if (!this.#kept) await this.load();
    const view = this.#view();
    if (!view) return 'The bench book could not be read, so nothing was changed in it.';
    if (this.#newer) return 'A newer Loose Pulley wrote the bench book: this one can show it, not change it.';
    const together = bodies.length > 1 ? nanoid(10) : undefined;
    let record = view;
    const events = bodies.map((body): BookEvent => ({
      ...body,
      id: nanoid(12),
      at: new Date().toISOString(),
      ...(gesture !== undefined && { gesture }),
      ...(together !== undefined && { together }),
    }));
    for (const event of events) {
      const next = appendBook(record, event);
      if (!next.ok) return next.problem;
      record = next.value;
    }
    for (const { id } of events) this.#mine.add(id);
    this.#pending = [...this.#pending, ...events];
    this.#news({ record, said: '', saving: 'saving' });
    await this.#drain();
    return '';
  }

  /** Moves the belts that a change of a ticket moves. @returns '' where that happened, else why not */
  async follow(before: Ticket, after: Ticket): Promise<string> {
    if (!this.#kept) await this.load();
    const refusals: string[] = [];
    for (const body of movedBy(before, after, this.#view()?.book ?? emptyBook().book)) {
      const refused = await this.record([body]);
      if (refused) refusals.push(refused);
    }
    return refusals.join(' ');
  }

  async #drain(): Promise<void> {
    if (this.#writing) return;
    this.#writing = true;
    clearTimeout(this.#retry);
    for (let turn = 0; this.#pending.length > 0 && turn < TURNS; turn += 1) {
      const writing = this.#pending;
      const view = this.#view();
      if (!view) break;
      try {
        this.#revision = await commitBook(view, this.#revision);
        this.#kept = view;
        this.#pending = this.#pending.slice(writing.length);
        this.#saved();
      } catch (error) {
        if (error instanceof Stale) {
          await this.load();
          continue;
        }
        this.#writing = false;
        this.#news({ saving: 'failed', problem: storeProblem(error) });
        this.#retry = setTimeout(() => void this.#drain(), RETRY_MS);
        return;
      }
    }
    this.#writing = false;
    // Other tabs wrote in between, time and again: it is tried again, and not called kept.
    if (this.#pending.length > 0) {
      this.#news({ saving: 'saving' });
      this.#retry = setTimeout(() => void this.#drain(), RETRY_MS);
      return;
    }
    this.#news({ saving: 'kept', problem: null });
  }

  /**
   * Takes back what was done last, or does it again; what another tab did, only where that is meant.
   *
   * @returns what it was, or why not; or what is asked first
   */
  async step(way: 'undone' | 'redone', meant = false): Promise<Stepped> {
    if (!this.#kept) await this.load();
    const before = this.#view();
    const target = before && (way === 'undone' ? bookUndoTarget(before) : bookRedoTarget(before));
    if (!before || !target) return { said: way === 'undone' ? 'Nothing to undo.' : 'Nothing to redo.' };
    const said = sayBookEvent(target, before.book);
    // What was said in one breath is taken back in one, the last first.
    const ids = target.together
      ? before.events.filter(({ together }) => together === target.together).map(({ id }) => id)
      : [target.id];
    const lastOfIt = way === 'undone' ? target.id : before.events.findLast(({ type }) => type === 'undone')?.id;
    if (!meant && lastOfIt !== undefined && this.#theirs.has(lastOfIt)) return { said: '', asked: said };
    this.#theirs.clear();
    const refused = await this.record(
      (way === 'undone' ? ids.reverse() : ids).map((eventId) => ({ type: way, eventId })),
    );
    return { said: refused || `${way === 'undone' ? 'Undone' : 'Redone'}: ${said}.` };
  }

  /**
   * Puts another book in the place of this one, which is kept beside it and can be taken back.
   *
   * @returns what came of it, in words
   */
  async replace(record: BookRecord): Promise<string> {
    await this.#drain();
    if (this.isBusy) return 'What was changed here is not saved yet, so nothing was put in its place. Try again.';
    await this.load();
    if (this.#newer) return 'A newer Loose Pulley wrote the bench book here: it stays as it is.';
    const was = this.#kept;
    try {
      this.#revision = await commitBook(record, this.#revision, new Date().toISOString());
      this.#kept = record;
      this.#theirs.clear();
      this.#saved();
      this.#news({ status: 'ready', record, saving: 'kept', problem: null });
      return `It is this bench’s book now: ${sayBook(record)}. ${was ? `What was here before, ${sayBook(was)}, is kept` : 'What could not be read is kept'} beside it and can be taken back.`;
    } catch (error) {
      return error instanceof Stale ? 'Another tab has just written: try again.' : storeProblem(error).sentence;
    }
  }

  /** Takes back the book that another took the place of; that other is kept instead. @returns what came of it, in words */
  async takeBack(): Promise<string> {
    const before = await loadBookBefore();
    const why = before && whyUnreadable(before.stored);
    if (!before || why === null) return 'No other book is kept here.';
    if (why !== '') return `The book that was here before cannot be read: ${why} Save it as a file.`;
    return this.replace(before.stored as BookRecord);
  }

  /** Whether anything is left to be written. */
  get isBusy(): boolean {
    return this.#pending.length > 0;
  }
}
