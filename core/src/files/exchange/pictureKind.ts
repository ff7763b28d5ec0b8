import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { ok, refuse, type Result } from '../../base/units';

/** Kinds of picture that every browser here can read. */
export type PictureKind = 'jpeg' | 'png' | 'webp' | 'gif' | 'bmp' | 'avif';

/** Files above this are refused before they are even decoded. */
export const PICTURE_MAX_BYTES = 40_000_000;
/** How many pictures one ticket may carry. */
export const PICTURES_MAX = 400;

const starts = (head: Uint8Array, ...bytes: number[]): boolean => bytes.every((byte, at) => head[at] === byte);
const text = (head: Uint8Array, from: number, to: number): string => String.fromCharCode(...head.slice(from, to));

/** Brands of the ISO base media file format that a phone's own format goes by. Source: ISO/IEC 23008-12, from memory. */
const HEIF_BRANDS = ['heic', 'heix', 'hevc', 'hevx', 'heim', 'heis', 'mif1', 'msf1'];

/**
 * What kind of picture a file is, by its first bytes and never by its name.
 *
 * @param head the first 32 bytes or more
 * @param sizeBytes of the whole file
 * @param name for the sentences
 * @returns the kind, or a sentence that says what was read and what to do
 * For instance pictureKind(new Uint8Array([0xff, 0xd8, 0xff, …]), 2_000_000, 'a.jpg'): { ok: true, value: 'jpeg' }
 */
export function pictureKind(head: Uint8Array, sizeBytes: number, name: string): Result<PictureKind> {
  if (sizeBytes === 0) return refuse(`“${name}” is empty. Take the picture again.`);
  if (sizeBytes > PICTURE_MAX_BYTES) {
    return refuse(
      `“${name}” has ${Math.round(sizeBytes / 1e6)} MB; a picture may have ${PICTURE_MAX_BYTES / 1e6}. Make it smaller, or take it with the camera here.`,
    );
  }
  if (starts(head, 0xff, 0xd8, 0xff)) return ok('jpeg');
  if (starts(head, 0x89, 0x50, 0x4e, 0x47)) return ok('png');
  if (text(head, 0, 4) === 'GIF8') return ok('gif');
  if (starts(head, 0x42, 0x4d)) return ok('bmp');
  if (text(head, 0, 4) === 'RIFF' && text(head, 8, 12) === 'WEBP') return ok('webp');
  if (text(head, 4, 8) === 'ftyp') {
    const brand = text(head, 8, 12);
    if (brand === 'avif' || brand === 'avis') return ok('avif');
    if (HEIF_BRANDS.includes(brand)) {
      return refuse(
        `“${name}” is in a phone’s own format (HEIC), which browsers cannot read. Set the camera to JPEG (“most compatible”), or share the picture as JPEG.`,
      );
    }
    return refuse(`“${name}” is a video, not a picture. Take a still.`);
  }
  return refuse(`“${name}” is no picture that can be read here. JPEG, PNG and WebP can.`);
}

/**
 * The name of a picture: the SHA-256 of its bytes, in hex. Not by the browser's own, which is missing over plain http.
 *
 * @example pictureName(new Uint8Array([97, 98, 99])) // 'ba7816bf8f01cfea…'
 */
export const pictureName = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
