import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import type { TicketRecord } from '../ticket';
import { ok, refuse, type Result } from '../units';
import { pictureName } from './pictureKind';
import { readTicketFile, writeTicketFile } from './ticketFile';

export const ARCHIVE_FORMAT = 'loose-pulley/archive';
export const ARCHIVE_VERSION = 1;
const MANIFEST = 'archive.json';

/** Pictures by their names. All are JPEG, since that is what the bench makes of them. */
export type PictureBytes = Readonly<Record<string, Uint8Array>>;

/** What an archive holds. */
export interface Archive {
  readonly records: readonly TicketRecord[];
  readonly pictures: PictureBytes;
}

const PICTURE_PATH = /^pictures\/([0-9a-f]{64})\.jpg$/;

/**
 * The whole archive as a zip: a manifest, each ticket as the same file that it exports alone, and the pictures.
 *
 * @param madeAt ISO time, for the manifest
 * @returns the zip's bytes; the same tickets give the same content
 */
export function writeArchive(
  records: readonly TicketRecord[],
  madeAt: string,
  pictures: PictureBytes = {},
): Uint8Array {
  const manifest = {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    madeAt,
    tickets: records.map(({ ticket }) => ticket.id),
  };
  const files: Zippable = { [MANIFEST]: strToU8(`${JSON.stringify(manifest, null, 1)}\n`) };
  for (const record of records) files[`tickets/${record.ticket.id}.json`] = strToU8(writeTicketFile(record));
  // A JPEG is packed already.
  for (const [id, bytes] of Object.entries(pictures)) files[`pictures/${id}.jpg`] = [bytes, { level: 0 }];
  return zipSync(files, { level: 6, mtime: madeAt });
}

/**
 * Reads an archive, all or nothing: one unreadable ticket refuses the whole, by name.
 *
 * @returns the tickets and whatever pictures are with them, or a sentence
 */
export function readArchive(bytes: Uint8Array, name: string): Result<Archive> {
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
  const pictures = Object.fromEntries(
    Object.entries(files).flatMap(([path, content]) => {
      const id = PICTURE_PATH.exec(path)?.[1];
      return id === undefined ? [] : [[id, content]];
    }),
  );
  const damaged = Object.entries(pictures).find(([id, content]) => pictureName(content) !== id);
  if (damaged) return refuse(`“${name}”: picture ${damaged[0].slice(0, 8)}… is damaged. Nothing was changed.`);
  return ok({ records, pictures });
}
