import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { WORD_ROLES } from '../../base/spoken';
import { accountOf, readLine, type Deed } from '.';

const COUNTS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'] as const;
const things = fc.constantFrom('screws', 'clips', 'tabs', 'springs', 'nuts');
const places = fc.constantFrom('rear', 'front', 'underside', 'rear corners', 'top');
const many = fc.integer({ min: 2, max: 8 });

/** What a sure line makes happen, without the line itself. */
function sure(line: string): readonly object[] | undefined {
  const read = readLine(line);
  if (read?.ways.length !== 1 || read.unread) return undefined;
  return read.ways[0]?.does.map(plain);
}
function plain(deed: Deed): object {
  if (deed.type !== 'step') return deed;
  const { line: _line, ...step } = deed.step;
  return { type: 'step', step };
}
const counted = (line: string): number | undefined => {
  const [deed] = readLine(line)?.ways[0]?.does ?? [];
  return deed?.type === 'step' ? deed.step.count : undefined;
};

describe('one line of Strip', () => {
  test('reads a number as it reads its word, in whatever case', () => {
    fc.assert(
      fc.property(many, things, places, (count, thing, place) => {
        const digits = sure(`${count} ${thing} ${place}`);
        expect(digits).toBeDefined();
        expect(sure(`${COUNTS[count - 1]} ${thing} ${place}`)).toEqual(digits);
        // A place keeps the letters that it was written in.
        const loud = sure(`${count} ${thing} ${place}`.toUpperCase());
        expect(JSON.stringify(loud).toLowerCase()).toBe(JSON.stringify(digits).toLowerCase());
        expect(sure(`  ${count}   ${thing}  ${place} `)).toEqual(digits);
      }),
    );
  });
  test('counts as many as are said, whichever way a bench writes how many', () => {
    fc.assert(
      fc.property(many, things, (count, thing) => {
        for (const said of [`${count} ${thing}`, `${count}x ${thing}`, `${thing} x${count}`, `${thing} (${count})`])
          expect(counted(said), said).toBe(count);
      }),
    );
  });
  test('with “off” or “out” is what it is without', () => {
    fc.assert(
      fc.property(many, things, (count, thing) => {
        const bare = sure(`${count} ${thing}`);
        expect(sure(`${count} ${thing} out`)).toEqual(bare);
        expect(sure(`${count} ${thing} removed`)).toEqual(bare);
        expect(sure(`removed ${count} ${thing}`)).toEqual(bare);
      }),
    );
  });
  test('that says to leave takes nothing off, whatever it names', () => {
    fc.assert(
      fc.property(fc.option(many), things, places, (count, thing, place) => {
        const read = readLine(`leave ${count === null ? 'the' : count} ${thing} ${place}`);
        for (const { does } of read?.ways ?? [])
          for (const deed of does) if (deed.type === 'step') expect(deed.step.fate).not.toBe('off');
      }),
    );
  });
  test('of two things is the two, one after the other', () => {
    fc.assert(
      fc.property(many, things, many, things, (first, a, second, b) => {
        fc.pre(a !== b);
        const both = sure(`${first} ${a}, ${second} ${b}`);
        const apart = [...(sure(`${first} ${a}`) ?? []), ...(sure(`${second} ${b}`) ?? [])];
        if (both) expect(both).toEqual(apart);
      }),
    );
  });
  test('is never lost: whatever is typed is read, asked about, or kept as it was', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 60 }), (line) => {
        const read = readLine(line);
        if (line.trim() === '' || read === undefined) return;
        expect(read.ways.length).toBeGreaterThan(0);
        expect(read.ways.length > 1).toBe(read.asks !== '');
        for (const { echo, does } of read.ways) {
          expect(echo).not.toBe('');
          expect(does.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: 500 },
    );
  });
});

describe('what each word is taken for', () => {
  test('no word is left out, in whatever line', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (line) => {
        const account = accountOf(line);
        expect(account.map(({ word }) => word).join('')).toBe(line.replace(/\s+/g, ''));
        for (const { role } of account) expect(WORD_ROLES).toContain(role);
      }),
    );
  });
  test('of a plain line every word is known, and a strange one is marked wherever it stands', () => {
    fc.assert(
      fc.property(many, things, places, fc.constantFrom('florbs', 'zwick', 'qqq'), (count, thing, place, strange) => {
        const known = accountOf(`${count} ${thing} ${place}`);
        expect(known.map(({ role }) => role)).not.toContain('notKnown');
        const marked = accountOf(`${count} ${strange} ${thing} ${place}`).filter(({ role }) => role === 'notKnown');
        expect(marked.map(({ word }) => word)).toEqual([strange]);
      }),
    );
  });
  test.each([
    ['4 ph1 underside', 'count driver place'],
    ['mains lead out', 'power power done'],
    ['okay so four screws out', 'idle idle count thing done'],
    ['28 tooth gear, cracked', 'how how thing how'],
    ['J12 and J14 unplugged', 'thing thing thing done'],
    ['M3x6 rear', 'driver place'],
  ])('“%s”: %s', (line, roles) =>
    expect(
      accountOf(line)
        .map(({ role }) => role)
        .join(' '),
    ).toBe(roles),
  );
});
