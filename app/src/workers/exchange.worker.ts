import './living';
import { expose, transfer } from 'comlink';
import {
  readArchive,
  readTicketFile,
  verifyArchive,
  writeArchive,
  type PictureBytes,
} from '@loose-pulley/core/exchange';
import { ok, refuse, type Result } from '@loose-pulley/core/units';
import type { TicketRecord } from '@loose-pulley/core/ticket';

/** A file as picked: its name and its bytes. */
export interface PickedFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** What picked files hold. */
export interface ReadFiles {
  readonly records: readonly TicketRecord[];
  readonly pictures: PictureBytes;
  /** What of them is damaged, a few words each. */
  readonly damaged: readonly string[];
}

const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

const api = {
  /** Reads tickets and archives, all or nothing. */
  async readFiles(files: readonly PickedFile[]): Promise<Result<ReadFiles>> {
    const records: TicketRecord[] = [];
    const pictures: Record<string, Uint8Array> = {};
    const damaged: string[] = [];
    for (const { name, bytes } of files) {
      if (bytes.length === 0) return refuse(`“${name}” is empty. Nothing was changed.`);
      if (isZip(bytes)) {
        const archive = await readArchive(bytes, name);
        if (!archive.ok) return archive;
        records.push(...archive.value.records);
        Object.assign(pictures, archive.value.pictures);
        damaged.push(...archive.value.damaged);
      } else {
        const ticket = readTicketFile(new TextDecoder().decode(bytes), name);
        if (!ticket.ok) return ticket;
        records.push(ticket.value);
      }
    }
    return ok({ records, pictures, damaged });
  },
  /** Packs tickets with their pictures, and reads the archive back before it is called packed. */
  async pack(records: readonly TicketRecord[], madeAt: string, pictures: PictureBytes): Promise<Result<Uint8Array>> {
    const bytes = await writeArchive(records, madeAt, pictures);
    const whole = await verifyArchive(bytes);
    return whole.ok ? transfer(ok(bytes), [bytes.buffer]) : whole;
  },
};

export type ExchangeApi = typeof api;
expose(api);
