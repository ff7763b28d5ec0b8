import { transfer } from 'comlink';
import { picturesNamed, type TicketRecord } from '@loose-pulley/core/ticket';
import { readArchive, readTicketFile, verifyArchive, writeArchive } from '@loose-pulley/core/exchange';
import { ok, refuse, type Result } from '@loose-pulley/core/units';
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

/** An archive, packed and read back. */
export interface Packed {
  readonly bytes: Uint8Array;
  readonly tickets: number;
  readonly pictures: number;
  /** Records that could not be read and are not in it. */
  readonly setAside: number;
}

const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** One import or export. What was read stays here between its steps. */
export function beginWork() {
  let records: readonly TicketRecord[] = [];
  let pictures: Readonly<Record<string, Uint8Array>> = {};
  let fresh: readonly TicketRecord[] = [];
  let differing = new Map<string, { readonly theirs: TicketRecord; readonly revision: number }>();
  return {
    /** Reads tickets and archives; what is no archive or ticket at all is refused in words. */
    async read(files: readonly File[]): Promise<Result<ReadFiles>> {
      const byId = new Map<string, TicketRecord>();
      const found: Record<string, Uint8Array> = {};
      const damaged: string[] = [];
      for (const file of files) {
        const { name } = file;
        const bytes = new Uint8Array(await file.arrayBuffer());
        if (bytes.length === 0) return refuse(`“${name}” is empty. Nothing was changed.`);
        if (isZip(bytes)) {
          const archive = await readArchive(bytes, name);
          if (!archive.ok) return archive;
          archive.value.records.forEach((record) => byId.set(record.ticket.id, record));
          Object.assign(found, archive.value.pictures);
          damaged.push(...archive.value.damaged);
        } else {
          const ticket = readTicketFile(new TextDecoder().decode(bytes), name);
          if (!ticket.ok) return ticket;
          byId.set(ticket.value.ticket.id, ticket.value);
        }
      }
      records = [...byId.values()];
      pictures = found;
      return ok({ whole: records.length, damaged });
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

    /** Packs every ticket of the store with its pictures, and reads the archive back before it is called packed. */
    async packAll(madeAt: string): Promise<Result<Packed>> {
      const all = await loadAllTickets();
      const found = await loadPictures(all.records.flatMap(picturesNamed));
      const bytes = await writeArchive(all.records, madeAt, found);
      const whole = await verifyArchive(bytes);
      if (!whole.ok) return whole;
      const packed: Packed = { bytes, ...whole.value, setAside: all.setAside.length };
      return transfer(ok(packed), [bytes.buffer]);
    },
  };
}
export type ExchangeWork = ReturnType<typeof beginWork>;
