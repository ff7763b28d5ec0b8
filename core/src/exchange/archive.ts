import { strFromU8, strToU8, zipSync, type Zippable } from 'fflate';
import type { TicketRecord } from '../ticket';
import { id as idField, list, number, pictureId, shape, text, time, type ValueOf } from '../schema';
import { listed, ok, refuse, type Result } from '../units';
import { sha256OfAll } from './sha256';
import { readTicketFile, TICKET_FILE_MOST_BYTES } from './ticketFile';
import { toYup } from './toYup';
import { unzip } from './zip';

export const ARCHIVE_FORMAT = 'loose-pulley/archive';
export const ARCHIVE_VERSION = 2;
const MANIFEST = 'archive.json';
/** What an archive may unpack to: some hundred full pictures for each of a bench's busiest tickets. */
export const ARCHIVE_MAX_BYTES = 1_000_000_000;

/** Pictures by their names. All are JPEG, since that is what the bench makes of them. */
export type PictureBytes = Readonly<Record<string, Uint8Array>>;

/** What an archive holds. */
export interface Archive {
  readonly records: readonly TicketRecord[];
  readonly pictures: PictureBytes;
  /** What is damaged in it, a few words each: the rest can be imported without. */
  readonly damaged: readonly string[];
}

const file = { bytes: number(0, ARCHIVE_MAX_BYTES), sha256: pictureId() };
/** The list of what belongs into an archive, with the checksum and size of each. */
const manifestShape = shape({
  format: text(40),
  version: number(0, 1000),
  madeAt: time(),
  /** The name is for people: number and machine. */
  tickets: list(shape({ id: idField(), name: text(200), ...file }), 65_000),
  pictures: list(shape(file), 65_000),
});
type Manifest = ValueOf<typeof manifestShape>;
const manifestSchema = toYup(manifestShape);

const TICKET_PATH = /^tickets\/[\w-][\w.-]{0,63}\.json$/;
const PICTURE_PATH = /^pictures\/([0-9a-f]{64})\.jpg$/;
const ticketPath = (id: string): string => `tickets/${id}.json`;
const picturePath = (name: string): string => `pictures/${name}.jpg`;
const wanted = (path: string): boolean => path === MANIFEST || TICKET_PATH.test(path) || PICTURE_PATH.test(path);

/**
 * The whole archive as a zip: a manifest with the SHA-256 and size of everything, each ticket as a file that could be
 * imported alone, and the pictures.
 *
 * @param madeAt ISO time, for the manifest
 * @returns the zip's bytes; the same tickets give the same content
 */
export async function writeArchive(
  records: readonly TicketRecord[],
  madeAt: string,
  pictures: PictureBytes = {},
): Promise<Uint8Array> {
  const tickets = records.map((record) => ({
    id: record.ticket.id,
    name: `${record.ticket.number} ${record.ticket.machine}`.trim(),
    // Without the line breaks of a ticket exported alone: a third less to pack, to check and to read.
    content: strToU8(JSON.stringify(record)),
  }));
  const sums = await sha256OfAll(tickets.map(({ content }) => content));
  const manifest: Manifest = {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    madeAt,
    tickets: tickets.map(({ id, name, content }, index) => ({
      id,
      name,
      bytes: content.length,
      sha256: sums[index] as string,
    })),
    pictures: Object.entries(pictures).map(([name, content]) => ({ bytes: content.length, sha256: name })),
  };
  const files: Zippable = { [MANIFEST]: strToU8(`${JSON.stringify(manifest, null, 1)}\n`) };
  for (const { id, content } of tickets) files[ticketPath(id)] = content;
  // A JPEG is packed already.
  for (const [name, bytes] of Object.entries(pictures)) files[picturePath(name)] = [bytes, { level: 0 }];
  return zipSync(files, { level: 6, mtime: madeAt });
}

/** The manifest of an archive; one of version 1 lists the tickets' ids alone, with nothing to check them by. */
function readManifest(content: Uint8Array, pictures: readonly string[]): Result<Manifest> {
  let read: unknown;
  try {
    read = JSON.parse(strFromU8(content));
  } catch {
    return refuse(`its ${MANIFEST} is broken`);
  }
  const manifest = read as { format?: unknown; version?: unknown; madeAt?: unknown; tickets?: unknown } | null;
  if (manifest?.format !== ARCHIVE_FORMAT) return refuse('it is not a Loose Pulley archive');
  if (typeof manifest.version === 'number' && manifest.version > ARCHIVE_VERSION)
    return refuse('it was written by a newer Loose Pulley: update this bench first');
  const current =
    manifest.version === 1 && Array.isArray(manifest.tickets)
      ? {
          ...manifest,
          tickets: manifest.tickets.map((id: unknown) => ({ id, name: '', bytes: 0, sha256: UNKNOWN })),
          pictures: pictures.map((name) => ({ bytes: 0, sha256: name })),
        }
      : manifest;
  if (!manifestSchema.isValidSync(current, { strict: true }))
    return refuse(`its ${MANIFEST} does not list tickets and pictures as an archive does`);
  return ok(current as Manifest);
}
/** Stands for a checksum that an archive of version 1 does not have. */
const UNKNOWN = '0'.repeat(64);

/** The SHA-256 of each file, by its path. */
async function sumsOf(files: ReadonlyMap<string, Uint8Array>): Promise<ReadonlyMap<string, string>> {
  const sums = await sha256OfAll([...files.values()]);
  return new Map([...files.keys()].map((path, index) => [path, sums[index] as string]));
}

/**
 * Reads an archive. What is damaged in it is named, and nothing of that is given: every file is held to its CRC-32,
 * its size and its SHA-256, every ticket to its own events.
 *
 * @returns the tickets and pictures that are whole, and what is not; or a sentence, where it is no archive at all
 */
export async function readArchive(bytes: Uint8Array, name: string): Promise<Result<Archive>> {
  const unzipped = unzip(bytes, wanted, ARCHIVE_MAX_BYTES);
  if (!unzipped.ok) return refuse(`“${name}” ${unzipped.problem}. Nothing was changed.`);
  const { files, damaged: torn } = unzipped.value;
  if (torn.includes(MANIFEST)) return refuse(`“${name}”: its ${MANIFEST} is damaged. Nothing was changed.`);
  const content = files.get(MANIFEST);
  if (!content) return refuse(`“${name}” is a zip, but not a Loose Pulley archive: it has no ${MANIFEST}.`);
  const found = [...files.keys()].flatMap((path) => PICTURE_PATH.exec(path)?.[1] ?? []);
  const manifest = readManifest(content, found);
  if (!manifest.ok) return refuse(`“${name}”: ${manifest.problem}. Nothing was changed.`);

  const sums = await sumsOf(files);
  const damaged: string[] = [];
  /** The bytes of a listed file, where they are all there and as they were written. */
  const whole = (path: string, listed: { readonly bytes: number; readonly sha256: string }, what: string) => {
    const bytesThere = files.get(path);
    const known = listed.sha256 !== UNKNOWN;
    if (bytesThere && (!known || sums.get(path) === listed.sha256)) return bytesThere;
    damaged.push(bytesThere || torn.includes(path) ? `${what} is damaged` : `${what} is listed but missing`);
    return undefined;
  };
  const records: TicketRecord[] = [];
  const seen = new Set<string>();
  for (const one of manifest.value.tickets) {
    if (seen.has(one.id)) return refuse(`“${name}” lists ticket ${one.id} twice. Nothing was changed.`);
    seen.add(one.id);
    const called = `ticket ${one.name || one.id}`;
    const there = whole(ticketPath(one.id), one, called);
    if (!there) continue;
    if (there.length > TICKET_FILE_MOST_BYTES) {
      damaged.push(`${called} is larger than 20 MB`);
      continue;
    }
    const record = readTicketFile(strFromU8(there), ticketPath(one.id));
    if (record.ok && record.value.ticket.id === one.id) records.push(record.value);
    else damaged.push(record.ok ? `${called} is another ticket inside` : record.problem);
  }
  const pictures: Record<string, Uint8Array> = {};
  for (const one of manifest.value.pictures) {
    const there = whole(picturePath(one.sha256), one, `picture ${one.sha256.slice(0, 8)}…`);
    if (there) pictures[one.sha256] = there;
  }
  return ok({ records, pictures, damaged });
}

/**
 * Reads an archive's files back after writing it: every one there, with its CRC-32 and SHA-256.
 *
 * @returns how many tickets and pictures it holds, or a sentence
 */
export async function verifyArchive(
  bytes: Uint8Array,
): Promise<Result<{ readonly tickets: number; readonly pictures: number }>> {
  const unzipped = unzip(bytes, wanted, ARCHIVE_MAX_BYTES);
  if (!unzipped.ok) return refuse(`The archive ${unzipped.problem}.`);
  const { files, damaged } = unzipped.value;
  const content = files.get(MANIFEST);
  const manifest = content && readManifest(content, []);
  if (!manifest?.ok) return refuse('The archive could not be read back.');
  const { tickets, pictures } = manifest.value;
  const paths = [
    ...tickets.map((one) => [ticketPath(one.id), one.sha256] as const),
    ...pictures.map((one) => [picturePath(one.sha256), one.sha256] as const),
  ];
  const sums = await sumsOf(files);
  const wrong = paths.filter(([path, hash]) => sums.get(path) !== hash);
  if (wrong.length > 0 || damaged.length > 0)
    return refuse(`The archive could not be read back whole: ${listed(wrong.map(([path]) => path).slice(0, 3))}.`);
  return ok({ tickets: tickets.length, pictures: pictures.length });
}
