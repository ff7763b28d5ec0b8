import crc32 from 'crc-32';
import { deflateSync, strFromU8, strToU8, Zip, type ZipInputFile } from 'fflate';
import type { TicketRecord } from '../../record/ticket';
import {
  id as idField,
  list,
  number,
  one as oneOf,
  pictureId,
  shape,
  text,
  time,
  type ValueOf,
} from '../../base/schema';
import { listed, ok, refuse, type Result } from '../../base/units';
import { sha256OfAll } from './sha256';
import { readTicketFile, TICKET_FILE_MOST_BYTES } from './ticketFile';
import { toYup } from './toYup';
import { unzip, zipEntries } from './zip';

export const ARCHIVE_FORMAT = 'loose-pulley/archive';
export const ARCHIVE_VERSION = 3;
const MANIFEST = 'archive.json';
/** What an archive may unpack to: some hundred full pictures for each of a bench's busiest tickets. */
export const ARCHIVE_MAX_BYTES = 1_000_000_000;

/** Pictures by their names. All are JPEG, since that is what the bench makes of them. */
export type PictureBytes = Readonly<Record<string, Uint8Array>>;

/** What a bench is besides its tickets: each a file of its own, as it could be handed on alone. */
export const BENCH_PARTS = ['book', 'settings', 'adviser', 'compatibility'] as const;
export type BenchPart = (typeof BENCH_PARTS)[number];
/** Their texts, where there are any. */
export type BenchTexts = Readonly<Partial<Record<BenchPart, string>>>;
const BENCH_PART_NAMES: Readonly<Record<BenchPart, string>> = {
  book: 'the bench book',
  settings: 'the file of settings',
  adviser: 'what the adviser knows',
  compatibility: 'what may touch what',
};

/** What an archive holds. */
export interface Archive {
  readonly records: readonly TicketRecord[];
  readonly pictures: PictureBytes;
  /** Unread: each is held to its own rules by what reads it. */
  readonly bench: BenchTexts;
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
  bench: list(shape({ part: oneOf(BENCH_PARTS), ...file }), BENCH_PARTS.length),
});
type Manifest = ValueOf<typeof manifestShape>;
const manifestSchema = toYup(manifestShape);

const TICKET_PATH = /^tickets\/[\w-][\w.-]{0,63}\.json$/;
const PICTURE_PATH = /^pictures\/([0-9a-f]{64})\.jpg$/;
const ticketPath = (id: string): string => `tickets/${id}.json`;
const picturePath = (name: string): string => `pictures/${name}.jpg`;
const BENCH_PATH = /^bench\/[a-z]{1,20}\.json$/;
const benchPath = (part: BenchPart): string => `bench/${part}.json`;
const wanted = (path: string): boolean =>
  path === MANIFEST || BENCH_PATH.test(path) || TICKET_PATH.test(path) || PICTURE_PATH.test(path);

/** Tickets as they lie in an archive: what its list says of each, and how many bytes each takes there. */
export interface PackedTickets {
  readonly listed: ReadonlyArray<
    Manifest['tickets'][number] & {
      /** CRC-32 of the unpacked bytes. */
      readonly crc: number;
      readonly packedBytes: number;
    }
  >;
  /** All of them, packed, one after the other. */
  readonly packed: Uint8Array;
}

/** More would be a third slower for a fortieth less. */
const LEVEL = 3;

/** Packs tickets for an archive: the long part of writing one, which may be done in several places at once. */
export async function packTickets(records: readonly TicketRecord[]): Promise<PackedTickets> {
  // Without the line breaks of a ticket exported alone: a third less to pack, to check and to read.
  const contents = records.map((record) => strToU8(JSON.stringify(record)));
  const sums = await sha256OfAll(contents);
  const packed = contents.map((content) => deflateSync(content, { level: LEVEL }));
  const listed = records.map(({ ticket }, index) => {
    const content = contents[index] as Uint8Array;
    return {
      id: ticket.id,
      name: `${ticket.number} ${ticket.machine}`.trim(),
      bytes: content.length,
      sha256: sums[index] as string,
      crc: crc32.buf(content) >>> 0,
      packedBytes: (packed[index] as Uint8Array).length,
    };
  });
  return { listed, packed: chained(packed) };
}

/** Several runs of bytes as one. */
function chained(parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}

/**
 * The whole archive as a zip: a manifest with the SHA-256 and size of everything, each ticket as a file that could be
 * imported alone, the pictures, and the bench's own files.
 *
 * @param madeAt ISO time, for the manifest
 * @returns the zip's bytes; the same tickets give the same content
 */
export async function joinArchive(
  shares: readonly PackedTickets[],
  madeAt: string,
  pictures: PictureBytes = {},
  bench: BenchTexts = {},
): Promise<Uint8Array<ArrayBuffer>> {
  const parts = BENCH_PARTS.flatMap((part) => {
    const text = bench[part];
    return text === undefined ? [] : [{ part, content: strToU8(text) }];
  });
  const sums = await sha256OfAll(parts.map(({ content }) => content));
  const manifest: Manifest = {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    madeAt,
    tickets: shares.flatMap(({ listed }) => listed.map(({ id, name, bytes, sha256 }) => ({ id, name, bytes, sha256 }))),
    pictures: Object.entries(pictures).map(([name, content]) => ({ bytes: content.length, sha256: name })),
    bench: parts.map(({ part, content }, index) => ({ part, bytes: content.length, sha256: sums[index] as string })),
  };
  const chunks: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    chunks.push(chunk);
  });
  const add = (filename: string, size: number, crc: number, compression: number, content: Uint8Array): void => {
    const entry: ZipInputFile = { filename, size, crc, compression, mtime: madeAt };
    zip.add(entry);
    entry.ondata?.(null, content as Uint8Array<ArrayBuffer>, true);
  };
  const stored = (path: string, content: Uint8Array): void =>
    add(path, content.length, crc32.buf(content) >>> 0, 0, content);
  stored(MANIFEST, strToU8(`${JSON.stringify(manifest, null, 1)}\n`));
  for (const { part, content } of parts) stored(benchPath(part), content);
  for (const { listed, packed } of shares) {
    let at = 0;
    for (const { id, bytes, crc, packedBytes } of listed) {
      add(ticketPath(id), bytes, crc, DEFLATED, packed.subarray(at, at + packedBytes));
      at += packedBytes;
    }
  }
  // A JPEG is packed already.
  for (const [name, content] of Object.entries(pictures)) stored(picturePath(name), content);
  zip.end();
  return chained(chunks);
}
/** How a zip calls what deflate has packed. Source: APPNOTE 4.4.5. */
const DEFLATED = 8;

/** An archive of tickets in one go. For instance await writeArchive([record], '2026-02-01T10:00:00Z') */
export const writeArchive = async (
  records: readonly TicketRecord[],
  madeAt: string,
  pictures: PictureBytes = {},
  bench: BenchTexts = {},
): Promise<Uint8Array<ArrayBuffer>> => joinArchive([await packTickets(records)], madeAt, pictures, bench);

/**
 * The manifest of an archive; one of version 1 lists the tickets' ids alone, with nothing to check them by, and before
 * version 3 none held the bench's own files.
 */
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
          bench: [],
        }
      : manifest.version === 2
        ? { ...manifest, bench: [] }
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
  const bench: Partial<Record<BenchPart, string>> = {};
  for (const one of manifest.value.bench) {
    const there = whole(benchPath(one.part), one, BENCH_PART_NAMES[one.part]);
    if (there) bench[one.part] = strFromU8(there);
  }
  return ok({ records, pictures, bench, damaged });
}

/**
 * Reads an archive's files back after writing it: every one there, with its CRC-32 and SHA-256.
 *
 * @param share which of how many shares of the files is unpacked, so that several can read at once
 * @returns how many tickets and pictures it holds, or a sentence
 */
export async function verifyArchive(
  bytes: Uint8Array,
  [share, of]: readonly [share: number, of: number] = [0, 1],
): Promise<Result<{ readonly tickets: number; readonly pictures: number }>> {
  const entries = zipEntries(bytes);
  if (!entries.ok) return refuse(`The archive ${entries.problem}.`);
  const mine = new Set(entries.value.map(({ path }) => path).filter((_, index) => index % of === share));
  const unzipped = unzip(bytes, (path) => path === MANIFEST || (mine.has(path) && wanted(path)), ARCHIVE_MAX_BYTES);
  if (!unzipped.ok) return refuse(`The archive ${unzipped.problem}.`);
  const { files, damaged } = unzipped.value;
  const content = files.get(MANIFEST);
  const manifest = content && readManifest(content, []);
  if (!manifest?.ok) return refuse('The archive could not be read back.');
  const { tickets, pictures, bench } = manifest.value;
  const there = new Set(entries.value.map(({ path }) => path));
  const sums = await sumsOf(files);
  const wrong = [
    ...tickets.map((one) => [ticketPath(one.id), one.sha256] as const),
    ...pictures.map((one) => [picturePath(one.sha256), one.sha256] as const),
    ...bench.map((one) => [benchPath(one.part), one.sha256] as const),
  ].filter(([path, hash]) => (mine.has(path) ? sums.get(path) !== hash : !there.has(path)));
  if (wrong.length > 0 || damaged.length > 0)
    return refuse(`The archive could not be read back whole: ${listed(wrong.map(([path]) => path).slice(0, 3))}.`);
  return ok({ tickets: tickets.length, pictures: pictures.length });
}
