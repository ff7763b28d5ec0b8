import { transfer } from 'comlink';
import { picturesNamed, type TicketRecord } from '@loose-pulley/core/record/ticket';
import {
  joinArchive,
  packTickets,
  readArchive,
  readBookFile,
  readTicketFile,
  verifyArchive,
  writeBookFile,
  type BenchTexts,
  type BookFile,
  type PackedTickets,
} from '@loose-pulley/core/files/exchange';
import type { BookRecord } from '@loose-pulley/core/shop/book';
import { counted, ok, refuse, type Result } from '@loose-pulley/core/base/units';
import { isPractice } from '../boot';
import { loadAllTickets, saveAll } from '../persistence/archive';
import { Stale } from '../persistence/commit';
import { asCopy } from '../persistence/copy';
import { loadPictures, savePicture, whilePicturesStay } from '../persistence/pictures';
import { storeProblem, ticketTable } from '../persistence/storage';
import { loadTicket } from '../persistence/tickets';
import { conflictWords, type ConflictWords, type Keep } from './conflict';

/*
 * The way in and out of files, from the store to the file and back, all of it beside the page: tickets are never
 * carried through the page, which would stand still meanwhile.
 */

/** How many tickets of the picked files are whole, and what is damaged, a few words each. */
export interface ReadFiles {
  readonly whole: number;
  readonly damaged: readonly string[];
  /** The bench's own files that came along. */
  readonly bench: BenchTexts;
}

/** A ticket that is here already and comes in differently. */
export interface Conflict {
  readonly id: string;
  readonly number: string;
  readonly machine: string;
  readonly words: ConflictWords;
}

/** How what was read stands to what is here. */
export interface Compared {
  readonly fresh: number;
  readonly conflicts: readonly Conflict[];
}

/** Which of how many shares of the work. */
export type Share = readonly [share: number, of: number];

/** A share of the tickets, packed; the pictures they name, and how many records could not be read. */
export interface PackedShare {
  readonly tickets: PackedTickets;
  readonly pictures: readonly string[];
  readonly setAside: number;
}

/** How much an archive holds. */
export interface Counts {
  readonly tickets: number;
  readonly pictures: number;
}

/** An archive, put together. */
export interface Joined {
  /** By reference: the page hands it on and never carries it. */
  readonly zip: Blob;
  /** Records that could not be read and are not in it. */
  readonly setAside: number;
}

/** Tickets that are at home on another bench: what was only practised must never count as done. */
const OTHERS: readonly [string, string] = isPractice
  ? [
      'ticket of a real machine, which belongs in the Log of the bench',
      'tickets of real machines, which belong in the Log of the bench',
    ]
  : [
      'practice ticket, of a machine that is made up: it may be imported in Practice',
      'practice tickets, of machines that are made up: they may be imported in Practice',
    ];
const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** One import or export. What was read stays here between its steps. */
export function beginWork() {
  let records: readonly TicketRecord[] = [];
  let pictures: Readonly<Record<string, Uint8Array>> = {};
  let fresh: readonly TicketRecord[] = [];
  let own: PackedShare | undefined;
  let differing = new Map<string, { readonly theirs: TicketRecord; readonly revision: number }>();
  return {
    /** Reads tickets and archives; what is no archive or ticket at all is refused in words. */
    async read(files: readonly File[]): Promise<Result<ReadFiles>> {
      const byId = new Map<string, TicketRecord>();
      const found: Record<string, Uint8Array> = {};
      const damaged: string[] = [];
      let bench: BenchTexts = {};
      for (const file of files) {
        const { name } = file;
        const bytes = new Uint8Array(await file.arrayBuffer());
        if (bytes.length === 0) return refuse(`“${name}” is empty. Nothing was changed.`);
        if (isZip(bytes)) {
          const archive = await readArchive(bytes, name);
          if (!archive.ok) return archive;
          archive.value.records.forEach((record) => byId.set(record.ticket.id, record));
          Object.assign(found, archive.value.pictures);
          bench = { ...bench, ...archive.value.bench };
          damaged.push(...archive.value.damaged);
        } else {
          const ticket = readTicketFile(new TextDecoder().decode(bytes), name);
          if (!ticket.ok) return ticket;
          byId.set(ticket.value.ticket.id, ticket.value);
        }
      }
      records = [...byId.values()].filter(({ ticket }) => Boolean(ticket.practice) === isPractice);
      const others = byId.size - records.length;
      if (others > 0 && records.length === 0) return refuse(`${counted(others, ...OTHERS)}. Nothing was changed.`);
      if (others > 0) damaged.push(counted(others, ...OTHERS));
      pictures = found;
      return ok({ whole: records.length, damaged, bench });
    },

    /** Holds what was read against what is here. */
    async compare(): Promise<Compared> {
      const conflicts: Conflict[] = [];
      const unknown: TicketRecord[] = [];
      differing = new Map();
      const here = new Set(await ticketTable.keys());
      for (const theirs of records) {
        const { id } = theirs.ticket;
        const mine = here.has(id) && (await loadTicket(id));
        if (!mine) unknown.push(theirs);
        else if (JSON.stringify(mine.record) !== JSON.stringify(theirs)) {
          differing.set(id, { theirs, revision: mine.revision });
          const { number, machine } = mine.record.ticket;
          conflicts.push({ id, number, machine, words: conflictWords(mine.record, theirs) });
        }
      }
      fresh = unknown;
      return { fresh: fresh.length, conflicts };
    },

    /**
     * Writes what is new, and of what differs what was chosen: all of it or nothing.
     *
     * @returns how many tickets were written; or why nothing was
     */
    async take(keep: Readonly<Record<string, Keep>>): Promise<Result<number>> {
      const chosen = (which: Keep) => [...differing].filter(([id]) => keep[id] === which).map(([, one]) => one);
      const replacing = chosen('theirs');
      const over = new Map(replacing.map(({ theirs, revision }) => [theirs.ticket.id, revision]));
      const all = [
        ...fresh,
        ...replacing.map(({ theirs }) => theirs),
        ...chosen('both').map(({ theirs }) => asCopy(theirs)),
      ];
      try {
        await whilePicturesStay(async () => {
          for (const id of all.flatMap(picturesNamed)) {
            const bytes = pictures[id];
            if (bytes) await savePicture(id, bytes);
          }
          await saveAll(all, (id) => over.get(id) ?? null);
        });
        return ok(all.length);
      } catch (error) {
        return refuse(
          error instanceof Stale
            ? 'A ticket was changed here after its file was compared. Choose the file again.'
            : storeProblem(error).sentence,
        );
      }
    },

    /** Reads a bench book out of a file. */
    readBook: async (file: File): Promise<Result<BookFile>> => readBookFile(await file.text(), file.name),

    /** The bench book as a file. */
    writeBook: (record: BookRecord): Promise<Blob> =>
      Promise.resolve(new Blob([writeBookFile(record)], { type: 'application/json' })),

    /** Packs a share of the store's tickets and keeps it here. */
    async packShare(share: Share): Promise<void> {
      const { records: mine, setAside } = await loadAllTickets(share);
      const tickets = await packTickets(mine);
      own = { tickets, pictures: mine.flatMap(picturesNamed), setAside: setAside.length };
    },

    /** Gives the share away that was packed here: another puts the archive together. */
    giveShare(): PackedShare | undefined {
      return own && transfer(own, [own.tickets.packed.buffer]);
    },

    /** Puts the archive together of the share kept here and of another, with the bench's own files. */
    async join(other: PackedShare | undefined, madeAt: string, bench: BenchTexts): Promise<Joined> {
      const shares = [own, other].filter((one) => one !== undefined);
      const found = await loadPictures(shares.flatMap(({ pictures: named }) => named));
      const bytes = await joinArchive(
        shares.map(({ tickets }) => tickets),
        madeAt,
        found,
        bench,
      );
      return {
        zip: new Blob([bytes], { type: 'application/zip' }),
        setAside: shares.reduce((sum, { setAside }) => sum + setAside, 0),
      };
    },

    /** Reads a share of an archive back. */
    verify: async (share: Share, zip: Blob): Promise<Result<Counts>> =>
      verifyArchive(new Uint8Array(await zip.arrayBuffer()), share),
  };
}
export type ExchangeWork = ReturnType<typeof beginWork>;
