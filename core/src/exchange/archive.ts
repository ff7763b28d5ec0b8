import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { TicketRecord } from '../ticket';
import { ok, refuse, type Result } from '../units';
import { readTicketFile, writeTicketFile } from './ticketFile';

export const ARCHIVE_FORMAT = 'loose-pulley/archive';
export const ARCHIVE_VERSION = 1;
const MANIFEST = 'archive.json';

/**
 * The whole archive as a zip: a manifest, and each ticket as the same file that it exports alone.
 *
 * @param madeAt ISO time, for the manifest
 * @returns the zip's bytes; the same tickets give the same content
 */
export function writeArchive(records: readonly TicketRecord[], madeAt: string): Uint8Array {
  const manifest = {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    madeAt,
    tickets: records.map(({ ticket }) => ticket.id),
  };
  const files: Record<string, Uint8Array> = { [MANIFEST]: strToU8(`${JSON.stringify(manifest, null, 1)}\n`) };
  for (const record of records) files[`tickets/${record.ticket.id}.json`] = strToU8(writeTicketFile(record));
  return zipSync(files, { level: 6, mtime: madeAt });
}

/**
 * Reads an archive, all or nothing: one unreadable ticket refuses the whole, by name.
 *
 * @returns the tickets, or a sentence
 */
export function readArchive(bytes: Uint8Array, name: string): Result<TicketRecord[]> {
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes);
  } catch {
    return refuse(`“${name}” is not a zip, or was cut short. Nothing was changed.`);
  }
  const manifestBytes = files[MANIFEST];
  if (!manifestBytes) return refuse(`“${name}” is a zip, but not a Loose Pulley archive: it has no ${MANIFEST}.`);
  let manifest: { format?: unknown; version?: unknown; tickets?: unknown };
  try {
    manifest = JSON.parse(strFromU8(manifestBytes)) as typeof manifest;
  } catch {
    return refuse(`“${name}”: its ${MANIFEST} is broken. Nothing was changed.`);
  }
  if (manifest.format !== ARCHIVE_FORMAT) return refuse(`“${name}” is not a Loose Pulley archive.`);
  if (typeof manifest.version === 'number' && manifest.version > ARCHIVE_VERSION) {
    return refuse(`“${name}” was written by a newer Loose Pulley. Update this bench first.`);
  }
  const ids = Array.isArray(manifest.tickets) ? manifest.tickets.map(String) : [];
  const records: TicketRecord[] = [];
  for (const id of ids) {
    const file = files[`tickets/${id}.json`];
    if (!file) return refuse(`“${name}” lists ticket ${id} but does not hold it. Nothing was changed.`);
    const record = readTicketFile(strFromU8(file), `${name}, tickets/${id}.json`);
    if (!record.ok) return record;
    records.push(record.value);
  }
  return ok(records);
}
