import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { EMPTY_CLEANING, placesOf, type MapPlace } from '../cleaning';
import type { Loader } from '../../base/loaders';
import { readTreatment, TREATMENT_LINE_MAX } from '.';

const drive = (name: string, role: string) => ({
  id: name,
  name,
  role,
  motorSurface: 'clean' as const,
  drivenSurface: 'clean' as const,
  idlers: [],
});
const mapOf = (loader: Loader, ...drives: ReturnType<typeof drive>[]): readonly MapPlace[] =>
  placesOf({ cleaning: EMPTY_CLEANING, drives, strip: { steps: [], lastNumber: 0 }, loader });
const MAPS: Readonly<Record<string, readonly MapPlace[]>> = {
  T: mapOf('tray', drive('A', 'loading')),
  C: mapOf('carousel', drive('A', 'loading'), drive('B', 'lift'), drive('C', 'table')),
  S: mapOf('slot', drive('A', 'loading')),
};
const said = (line: string, map = MAPS.T ?? [], chosenId: string | null = null): string => {
  const read = readTreatment(line, { map, chosenId });
  if (!read) return '';
  if (read.unread) return 'UNREAD';
  if (read.ways.length === 0) return 'REFUSED';
  return `${read.asks ? `${read.asks} ` : ''}${read.ways.map(({ echo }) => echo).join(' | ')}`;
};

describe('a typed line of cleaning', () => {
  // Invented lines, each read through by hand: kind of loader, line, and what is understood.
  const corpus = readFileSync(join(import.meta.dirname, '../../../fixtures/treatmentLines.txt'), 'utf8')
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => /^([TCS]) (.*) => (.*)$/.exec(line)?.slice(1) as [string, string, string]);
  test.each(corpus)('%s: %s', (map, line, wanted) => expect(said(line, MAPS[map])).toBe(wanted));

  test('a line that names no place is about the chosen one', () => {
    expect(said('acetone swab clean')).toBe('UNREAD');
    expect(said('acetone swab clean', MAPS.T, 'A-driven')).toBe('Drive pulley: wiped, acetone, swab, clean.');
  });
  test('a number names its place', () => {
    const [first, ...others] = MAPS.T ?? [];
    const map = first ? [{ ...first, place: { ...first.place, number: 4 } }, ...others] : [];
    expect(said('4: acetone', map)).toBe('Motor pulley: wiped, acetone.');
    expect(said('4 strokes', map)).toBe('UNREAD');
  });
  test('a belt is named by what it drives, though that be a place too', () => {
    const map = mapOf('carousel', drive('A', 'loading'), drive('B', 'clamp'));
    expect(said('clamp belt slips', map)).toBe('Belt B, clamp slips at once.');
    expect(said('clamp sticky', map)).toBe('Clamp found sticky.');
  });
  test('a word that is nowhere on the map adds a place', () => {
    const [way] = readTreatment('heads alcohol', { map: MAPS.T ?? [], chosenId: null })?.ways ?? [];
    expect(way?.does[0]).toMatchObject({ place: { id: null, kind: 'head', name: 'heads' } });
  });
  test('the same agent by another spelling is the same agent', () => {
    for (const name of ['acetone', 'ACETONE', 'propanone', 'dimethyl ketone', 'nail polish remover', '2-propanone'])
      expect(said(`drive pulley ${name}`), name).toBe('Drive pulley: wiped, acetone.');
  });
  test('too long a line is not read, and nothing of it is lost', () =>
    expect(said('a'.repeat(TREATMENT_LINE_MAX + 1))).toBe('REFUSED'));
  test('no line breaks it, and what is sure does something', () => {
    const words = fc.constantFrom(
      'drive pulley',
      'rods',
      'acetone',
      'swab',
      'clean',
      'oily',
      'not',
      '20',
      'strokes',
      ',',
      'and',
      'rollers',
      'belt',
      'spirit',
      '"',
      '∅',
      '1.2',
      'old grease off',
    );
    fc.assert(
      fc.property(fc.array(words, { maxLength: 12 }), (list) => {
        const read = readTreatment(list.join(' '), { map: MAPS.C ?? [], chosenId: null });
        if (!read) return;
        expect(read.ways.length).toBeLessThanOrEqual(5);
        for (const { does, echo } of read.ways) {
          expect(does.length).toBeGreaterThan(0);
          expect(echo).not.toContain('undefined');
        }
        // More than one way is always a question.
        if (read.ways.length > 1) expect(read.asks).not.toBe('');
      }),
    );
  });
});
