import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { LOADERS, type Loader } from '../../base/loaders';
import { EMPTY_CLEANING, kindNamed, PLACE_KINDS, PLACE_KNOWN, placesOf, type MapPlace } from '../cleaning';
import { AGENT_NAMES, AGENTS, DIRTS } from '../compatibility';
import { readTreatment, type TreatmentDeed } from '.';

const drive = (name: string, role: string) => ({
  id: name,
  name,
  role,
  motorSurface: 'clean' as const,
  drivenSurface: 'clean' as const,
  idlers: [],
});
const mapOf = (loader: Loader): readonly MapPlace[] =>
  placesOf({
    cleaning: EMPTY_CLEANING,
    drives: [drive('A', 'loading')],
    strip: { steps: [], lastNumber: 0 },
    loader,
  });
const TRAY = mapOf('tray');
const read = (line: string, map = TRAY, chosenId: string | null = null) => readTreatment(line, { map, chosenId });
/** What a sure line does; undefined where it asks or is not read. */
const sure = (line: string, map = TRAY): readonly TreatmentDeed[] | undefined => {
  const said = read(line, map);
  return said && !said.unread && said.ways.length === 1 ? said.ways[0]?.does : undefined;
};
const place = fc.constantFrom('motor pulley', 'drive pulley', 'guides', 'rack', 'lens', 'limit switch');
const agent = fc.constantFrom('acetone', 'isopropyl alcohol', 'soapy water', 'contact cleaner');
const strokes = fc.integer({ min: 2, max: 60 });

describe('one line of Clean', () => {
  test('is the same in capitals, with blanks, with a stop or a mark at its end', () => {
    fc.assert(
      fc.property(place, agent, (where, by) => {
        const plain = sure(`${where} ${by}`);
        expect(plain).toBeDefined();
        for (const other of [
          `${where} ${by}`.toUpperCase(),
          `  ${where}   ${by} `,
          `${where} ${by}.`,
          `${where} ${by}!`,
          `${where}: ${by}`,
          `${where}, ${by}`,
        ])
          expect(sure(other), other).toEqual(plain);
      }),
    );
  });
  test('of two places is the two, one after the other', () => {
    fc.assert(
      fc.property(place, agent, place, agent, (one, by, other, with_) => {
        fc.pre(one !== other);
        expect(sure(`${one} ${by}, ${other} ${with_}`)).toEqual([
          ...(sure(`${one} ${by}`) ?? []),
          ...(sure(`${other} ${with_}`) ?? []),
        ]);
      }),
    );
  });
  test('counts as many strokes as are said, however a bench writes it', () => {
    fc.assert(
      fc.property(strokes, (many) => {
        for (const said of [`${many} strokes`, `${many} times`, `x${many}`, `${many}x`]) {
          const [deed] = sure(`limit switch contact cleaner ${said}`) ?? [];
          expect(deed?.type === 'treat' && deed.told.strokes, said).toBe(many);
        }
      }),
    );
  });
  test('keeps the swabs in their order', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('black', 'grey', 'clean'), { minLength: 2, maxLength: 5 }), (swabs) => {
        const [deed] = sure(`drive pulley alcohol, swab ${swabs.join(', ')}`) ?? [];
        expect(deed?.type === 'treat' && deed.told.swabs).toEqual(swabs);
      }),
    );
  });
  test('that was not done does nothing, whatever it names', () => {
    fc.assert(
      fc.property(place, agent, (where, by) => {
        for (const line of [`did not clean the ${where} with ${by}`, `${where} not cleaned with ${by}`])
          for (const { does } of read(line)?.ways ?? [])
            for (const deed of does)
              if (deed.type === 'treat' && deed.place !== null) expect(deed.told.outcome, line).not.toBe('clean');
      }),
    );
  });
  test('that names no place of the map, with none chosen, treats nothing', () => {
    fc.assert(
      fc.property(agent, strokes, (by, many) => {
        const said = read(`${by} ${many} strokes`);
        for (const { does } of said?.ways ?? [])
          for (const deed of does) if (deed.type === 'treat') expect(deed.place).toBeNull();
      }),
    );
  });
  test('about the chosen place is what the line with its name is', () => {
    fc.assert(
      fc.property(agent, (by) => {
        const chosen = TRAY.find(({ place: { kind } }) => kind === 'drivenPulley')?.place;
        expect(read(by, TRAY, chosen?.id ?? null)?.ways[0]?.does).toEqual(sure(`drive pulley ${by}`));
      }),
    );
  });
  test('is never lost: it does something, asks, or is kept as it was', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 80 }), fc.constantFrom(...LOADERS), (line, loader) => {
        const said = read(line, mapOf(loader));
        if (!said) {
          // Blanks and marks of direction say nothing.
          expect(line.replace(/[\u200e\u200f\u202a-\u202e\u2066-\u2069\s]/g, '')).toBe('');
          return;
        }
        expect(said.ways.length).toBeGreaterThan(0);
        expect(said.ways.length > 1).toBe(said.asks !== '');
        for (const { echo, does } of said.ways) {
          expect(echo).not.toBe('');
          expect(does.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: 400 },
    );
  });
  test('ways that are asked about differ, and each can be told from the others by its words', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('pulley', 'alcohol', 'dry', 'spirit', 'clean', 'oil', 'belt', 'roller', ',', '20'), {
          minLength: 2,
          maxLength: 8,
        }),
        (words) => {
          const ways = read(words.join(' '))?.ways ?? [];
          expect(new Set(ways.map(({ echo }) => echo)).size).toBe(ways.length);
        },
      ),
    );
  });
});

describe('what a bench says beside', () => {
  test('a word put right is what was meant; what is put right and not surely read is asked', () => {
    const said = read('drive pulley acetone, no, alcohol');
    expect(said?.ways.map(({ echo }) => echo)).toEqual(['Drive pulley: wiped, isopropyl alcohol.']);
    const unsure = read('drive pulley alcohol, no, spirit');
    expect(unsure?.asks).toBe('Which is it?');
    expect(unsure?.ways.at(-1)?.echo).toBe('Kept as typed: nothing counts as done.');
    expect(read('drive pulley acetone, sorry, scratch that')?.ways.length).toBeGreaterThan(0);
  });
  test('what others did is no treatment of ours until it is said to be', () => {
    for (const line of ['somebody greased the guides with lithium grease', 'guides oiled by the owner with fine oil']) {
      const said = read(line);
      // The first is what stands where no key is pressed: a note.
      expect(said?.ways[0]?.does, line).toEqual([expect.objectContaining({ type: 'treat', place: null })]);
    }
  });
  test('words that only begin a line say nothing', () => {
    fc.assert(
      fc.property(
        place,
        agent,
        fc.constantFrom('okay so ', 'er ', 'right then ', 'and now ', 'well '),
        (where, by, begun) => void expect(sure(`${begun}${where} ${by}`), begun).toEqual(sure(`${where} ${by}`)),
      ),
    );
  });
});

describe('words', () => {
  test('every agent is known by its own name', () => {
    for (const of of AGENTS.filter((one) => one !== 'dry')) {
      const said = read(`guides ${AGENT_NAMES[of]}`);
      const named = (said?.ways ?? []).flatMap(({ does }) =>
        does.flatMap((deed) => (deed.type === 'treat' ? [deed.told.agent] : [])),
      );
      expect(named, AGENT_NAMES[of]).toContain(of);
    }
  });
  test('every kind of place is known by its own name', () => {
    for (const kind of PLACE_KINDS.filter((one) => one !== 'part'))
      expect(kindNamed(PLACE_KNOWN[kind].name.toLowerCase()), PLACE_KNOWN[kind].name).toBe(kind);
  });
  test('every kind of dirt can be said of a place', () => {
    const SAID = {
      fluff: 'dusty',
      oily: 'oily',
      glazed: 'glazed',
      hardenedGrease: 'hardened grease',
      residue: 'belt residue',
      sludge: 'sludge',
      corroded: 'corroded',
      sticky: 'sticky',
      dry: 'found dry',
    } as const satisfies Record<(typeof DIRTS)[number], string>;
    for (const dirt of DIRTS) {
      const does = (read(`guides ${SAID[dirt]}`)?.ways ?? []).flatMap((way) => way.does);
      expect(does, dirt).toContainEqual(expect.objectContaining({ type: 'seen', dirt }));
    }
  });
});
