import crc32 from 'crc-32';
import { strFromU8, unzipSync } from 'fflate';
import { ok, refuse, type Result } from '../../base/units';

/** What a zip declares of one of its files, before anything is unpacked. */
export interface ZipEntry {
  readonly path: string;
  readonly unpackedBytes: number;
  /** CRC-32 (ISO 3309) of the unpacked bytes. */
  readonly crc: number;
}

const END = 0x06054b50;
const ENTRY = 0x02014b50;
const END_BYTES = 22;
const ENTRY_BYTES = 46;
const COMMENT_MAX_BYTES = 65_535;

/**
 * The list of files at a zip's end, without unpacking one.
 *
 * Source: .ZIP File Format Specification 6.3.10 (APPNOTE), 4.3.12 and 4.3.16. Archives of more than 65,535 files or
 * 4 GB (ZIP64) are refused.
 *
 * @returns the entries, or a sentence
 */
export function zipEntries(bytes: Uint8Array): Result<readonly ZipEntry[]> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let end = bytes.length - END_BYTES;
  const least = Math.max(0, end - COMMENT_MAX_BYTES);
  while (end >= least && view.getUint32(end, true) !== END) end -= 1;
  if (end < least) return refuse('is not a zip, or was cut short');
  const count = view.getUint16(end + 10, true);
  if (count === 0xffff) return refuse('holds more files than can be read here');
  const entries: ZipEntry[] = [];
  let at = view.getUint32(end + 16, true);
  for (let index = 0; index < count; index++) {
    if (at + ENTRY_BYTES > end || view.getUint32(at, true) !== ENTRY) return refuse('has a broken list of files');
    const nameBytes = view.getUint16(at + 28, true);
    const path = strFromU8(bytes.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + nameBytes));
    entries.push({ path, unpackedBytes: view.getUint32(at + 24, true), crc: view.getUint32(at + 16, true) });
    at += ENTRY_BYTES + nameBytes + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  return ok(entries);
}

/** Files of a zip: those that are whole, and the paths of those that are not. */
export interface Unzipped {
  readonly files: ReadonlyMap<string, Uint8Array>;
  readonly damaged: readonly string[];
}

/**
 * Unpacks the wanted files of a zip, one by one, and checks each against its CRC-32: a damaged one spoils no other.
 *
 * @returns the files with what of them is damaged; or a sentence where it is no zip, or would unpack to more
 * @param maxBytes what all of them together may unpack to; judged by what the zip declares, before anything is unpacked
 */
export function unzip(bytes: Uint8Array, wanted: (path: string) => boolean, maxBytes: number): Result<Unzipped> {
  const listed = zipEntries(bytes);
  if (!listed.ok) return listed;
  const entries = listed.value.filter(({ path }) => wanted(path));
  const total = entries.reduce((sum, { unpackedBytes }) => sum + unpackedBytes, 0);
  if (total > maxBytes)
    return refuse(`would unpack to ${Math.round(total / 1e6)} MB; ${maxBytes / 1e6} MB are allowed`);
  if (new Set(entries.map(({ path }) => path)).size < entries.length) return refuse('names a file twice');
  const files = new Map<string, Uint8Array>();
  const damaged: string[] = [];
  const unpack = (paths: ReadonlySet<string>): Record<string, Uint8Array> =>
    unzipSync(bytes, { filter: ({ name }) => paths.has(name) });
  let all: Record<string, Uint8Array> = {};
  try {
    all = unpack(new Set(entries.map(({ path }) => path)));
  } catch {
    // One of them cannot be unpacked: each by itself, to find out which.
    for (const { path } of entries) {
      try {
        Object.assign(all, unpack(new Set([path])));
      } catch {
        /* Named as damaged below, since it is missing. */
      }
    }
  }
  for (const { path, unpackedBytes, crc } of entries) {
    const content = all[path];
    if (content?.length === unpackedBytes && crc32.buf(content) >>> 0 === crc) files.set(path, content);
    else damaged.push(path);
  }
  return ok({ files, damaged });
}
