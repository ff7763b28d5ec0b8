import { describe, expect, test } from 'vitest';
import { readPutIn } from '.';

const short = (line: string): string => {
  const read = readPutIn(line);
  if (!read.ok) return 'refused';
  const { count, belt, place, supplier, price } = read.value;
  if (!belt.ok) return 'refused';
  const { shape, thicknessMm, widthMm, innerLengthMm } = belt.value;
  return [count, shape, widthMm, thicknessMm, innerLengthMm.toFixed(1), place, supplier, price ?? '']
    .filter((one) => one !== undefined && one !== '')
    .join(' ');
};

describe('a belt put in by one line', () => {
  test.each([
    ['1.2x116', '1 square 1.2 116.0'],
    ['3 of 1.2x116 in A4', '3 square 1.2 116.0 A4'],
    ['3 x 1.2x116', '3 square 1.2 116.0'],
    ['3 × 1.2x116 in A4', '3 square 1.2 116.0 A4'],
    ['ring 1.78x28.3', '1 round 1.78 88.9'],
    ['two rings 1.78 by 28.3, bin C2', '2 round 1.78 88.9 C2'],
    ['a dozen of 1.2x116', '12 square 1.2 116.0'],
    ['okay so five square 1.2 by 116 in A4', '5 square 1.2 116.0 A4'],
    ['3 of 4x0.6x208 in A4', '3 flat 4 0.6 208.0 A4'],
    ['2 square belts 1.2 mm x 116 into drawer B1', '2 square 1.2 116.0 B1'],
    ['a ring 1.78x28.3', '1 round 1.78 88.9'],
    ['put in 4 pcs 1.2x116 at A2', '4 square 1.2 116.0 A2'],
    ['3 of 1.2x116, no, 1.2x118', '1 square 1.2 118.0'],
    ['3 of 1.2x116, make that 4', '4 square 1.2 116.0'],
    ['5 of 1.5x124 B2', '5 square 1.5 124.0 B2'],
    ['4 flat 4x0.6x208', '4 flat 4 0.6 208.0'],
    ['1.78x28.3 10 pieces C1', '10 round 1.78 88.9 C1'],
    ['1.2x116 in A2 from Mallow at 1.30', '1 square 1.2 116.0 A2 Mallow 1.3'],
    ['3 of 1.2x116 from Quayside Seals at 1,40 each in A2', '3 square 1.2 116.0 A2 Quayside Seals 1.4'],
    ['three off 1.2x116, shelf B', '3 square 1.2 116.0 shelf B'],
    ['got 6 of the 1.2 by 104, hook C3', '6 square 1.2 104.0 hook C3'],
    ['1.2x104 qty 6 in box 2', '6 square 1.2 104.0 box 2'],
    ['3 of 1.2x116 @ 1.30', '3 square 1.2 116.0 1.3'],
    ['2 old 1.2x116 in A4', 'refused'],
    ['not 3 but 4 of 1.2x116', 'refused'],
    ['about 5 of 1.2x116', 'refused'],
    ['3 of 1.2x116 10 pieces', 'refused'],
    ['3 off 1.2x116 qty 4', 'refused'],
    // What is not surely one belt is refused, and the line stays.
    ['1.2x116 in A4 and 1.2x118', 'refused'],
    ['1.2x116 blue', 'refused'],
    ['some 1.2x116', 'refused'],
    ['0 of 1.2x116', 'refused'],
    ['1.2x116 or 1.2x118', 'refused'],
    ['a few belts', 'refused'],
    // What is too long is refused before it is read.
    [`3 of 1.2x116 in ${'A'.repeat(200)}`, 'refused'],
  ])('“%s” is %s', (line, meant) => expect(short(line)).toBe(meant));
  test('two belts in one line are called that, wherever the second stands', () => {
    for (const line of ['5 of 1.5x124 B2 and 3 of 1.2x90', '1.2x116 in A4 and 1.2x118', '1.2x116, 4x0.6x208'])
      expect(readPutIn(line)).toMatchObject({ ok: false, problem: expect.stringContaining('two belts') as string });
  });
});
