import { describe, expect, test } from 'vitest';
import { pictureKind, pictureName } from '.';

const head = (...parts: Array<number | string>): Uint8Array => {
  const bytes = parts.flatMap((part) =>
    typeof part === 'number' ? [part] : [...part].map((sign) => sign.charCodeAt(0)),
  );
  return new Uint8Array([...bytes, ...new Array<number>(32).fill(0)]);
};
const kind = (bytes: Uint8Array, size = 1000) => {
  const result = pictureKind(bytes, size, 'a.jpg');
  return result.ok ? result.value : result.problem;
};

// First bytes: ISO/IEC 10918-5 (JPEG), ISO/IEC 15948 (PNG), ISO/IEC 14496-12 (ftyp); from memory.
describe('a picture is known by its first bytes, whatever its name', () => {
  test.each([
    ['jpeg', head(0xff, 0xd8, 0xff, 0xe0)],
    ['png', head(0x89, 'PNG')],
    ['gif', head('GIF89a')],
    ['webp', head('RIFF', 0, 0, 0, 0, 'WEBP')],
    ['avif', head(0, 0, 0, 28, 'ftypavif')],
  ])('%s', (expected, bytes) => expect(kind(bytes)).toBe(expected));
  test.each([
    ['a phone’s own format', head(0, 0, 0, 24, 'ftypheic'), 'HEIC'],
    ['the same by its other brand', head(0, 0, 0, 24, 'ftypmif1'), 'JPEG'],
    ['a film', head(0, 0, 0, 24, 'ftypisom'), 'video'],
    ['a page', head('<svg xmlns'), 'no picture that can be read'],
  ])('refuses %s in words', (_, bytes, words) => expect(kind(bytes)).toContain(words));
  test('refuses an empty file and one of 50 MB before reading it', () => {
    expect(kind(head(0xff, 0xd8, 0xff), 0)).toContain('empty');
    expect(kind(head(0xff, 0xd8, 0xff), 50_000_000)).toContain('has 50 MB; a picture may have 40');
  });
});

// Source: FIPS 180-4's example for “abc”.
test('a picture is named by the SHA-256 of its bytes', () =>
  expect(pictureName(new TextEncoder().encode('abc'))).toBe(
    'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad',
  ));
