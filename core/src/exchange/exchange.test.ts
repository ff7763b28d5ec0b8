import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import Ajv from 'ajv';
import { strToU8, zipSync } from 'fflate';
import { everything, opening, recordOf } from '../../fixtures/sample';
import { picturesNamed } from '../ticket';
import {
  differences,
  pictureName,
  readArchive,
  readTicketFile,
  recordSchema,
  upcast,
  writeArchive,
  writeTicketFile,
} from '.';

const record = recordOf(everything);
const file = (name: string) => readFileSync(new URL(`../../${name}`, import.meta.url), 'utf8');
const copy = () => JSON.parse(JSON.stringify(record)) as Record<string, never>;
const problem = (content: string) => {
  const result = readTicketFile(content, 'a.json');
  return result.ok ? '' : result.problem;
};
/** The document with the value at a path replaced, or taken away where it is undefined. */
const changed = (path: string, value: unknown): unknown => {
  const document: unknown = copy();
  const keys = path.split('.');
  const last = keys.pop() ?? '';
  const parent = keys.reduce((at, key) => (at as Record<string, unknown>)[key], document) as Record<string, unknown>;
  if (value === undefined) delete parent[last];
  else parent[last] = value;
  return document;
};

describe('a ticket as a file', () => {
  test('comes back as it went out', () =>
    expect(readTicketFile(writeTicketFile(record), 'a.json')).toEqual({ ok: true, value: record }));
  test('of version 1, frozen when it was the newest, is still read', () => {
    const frozen = readTicketFile(file('fixtures/ticket-v1.json'), 'ticket-v1.json');
    expect(frozen.ok && frozen.value.ticket.machine).toBe('Pennerley T9 booth deck');
  });
  test('of version 2 too: all of it, with nothing yet said of a idler’s surface', () => {
    const frozen = readTicketFile(file('fixtures/ticket-v2.json'), 'ticket-v2.json');
    expect(frozen.ok && frozen.value.events.length).toBeGreaterThan(60);
    expect(frozen.ok && frozen.value.ticket.drives[0]?.idlers.map(({ name, surface }) => [name, surface])).toEqual([
      ['guide', null],
    ]);
  });
  test.each([
    ['{"format": "loose', 'broken or cut short'],
    ['[]', 'not a Loose Pulley ticket'],
    ['{"format":"other/thing","version":1}', 'not a Loose Pulley ticket'],
    [JSON.stringify(changed('version', 9)), 'newer Loose Pulley (format 9; this one reads up to 3)'],
    [JSON.stringify(changed('version', 0)), 'format 0 is not known'],
    [
      JSON.stringify(changed('ticket.drives.0.readings.0.amount', 'wide')),
      'ticket.drives[0].readings[0].amount, read "wide"; a number',
    ],
    [JSON.stringify(changed('ticket.loader', 'toaster')), 'ticket.loader, read "toaster"; allowed: tray'],
    [JSON.stringify(changed('ticket.machine', undefined)), 'ticket.machine'],
    [JSON.stringify(changed('ticket.colour', 'red')), 'something unknown: colour'],
    [JSON.stringify(changed('events.3.type', 'exploded')), 'events[3].type, read "exploded"'],
    [JSON.stringify(changed('events.0.at', 'yesterday')), 'a time such as'],
    [
      JSON.stringify(changed('ticket.drives.0.readings.0.amount', 1.3)),
      'contradicts itself at ticket.drives[0].readings[0].amount: it states 1.3, but its events give 1.2',
    ],
    [JSON.stringify(changed('events.16.driveId', 'nowhere')), 'Event 17 (readingTaken)'],
  ])('refuses %.40s… saying what and where', (content, words) => {
    expect(problem(content)).toContain(words);
  });
});

describe('the JSON Schema in docs/', () => {
  const schema = new Ajv({ allErrors: false, strict: true }).compile(JSON.parse(file('../docs/ticket.schema.json')));
  const both = (document: unknown) => [recordSchema.isValidSync(document, { strict: true }), schema(document)];
  test('takes one of everything, as Yup does', () => expect(both(record)).toEqual([true, true]));

  /** Every place in a document, as paths. */
  const places = (value: unknown, path: string[] = []): string[][] =>
    typeof value === 'object' && value !== null
      ? [
          ...(path.length ? [path] : []),
          ...Object.entries(value).flatMap(([key, below]) => places(below, [...path, key])),
        ]
      : [path];
  test('agrees with Yup on every place changed to something odd, or taken away', () => {
    const oddities = [undefined, null, 0, -1, 1e9, '', 'x', 'x'.repeat(9000), true, [], {}, '2026-01-12T09:00:00Z'];
    fc.assert(
      fc.property(fc.constantFrom(...places(record)), fc.constantFrom(...oddities), (path, odd) => {
        const [byYup, bySchema] = both(changed(path.join('.'), odd));
        if (byYup !== bySchema)
          throw new Error(`${path.join('.')} = ${JSON.stringify(odd)?.slice(0, 40)}: Yup ${byYup}, schema ${bySchema}`);
      }),
      { numRuns: 800 },
    );
  }, 60_000);
});

describe('the whole archive', () => {
  const second = recordOf([{ ...opening, ticketId: 'ticket-2' } as typeof opening]);
  test('comes back as it went out', () => {
    const archive = readArchive(writeArchive([record, second], '2026-02-01T10:00:00Z'), 'a.zip');
    expect(archive).toEqual({ ok: true, value: { records: [record, second], pictures: {} } });
  });
  test('carries its pictures by name, those taken out included', () => {
    expect(picturesNamed(record)).toEqual(['a'.repeat(64), 'b'.repeat(64)]);
    const bytes = { [pictureName(strToU8('a picture'))]: strToU8('a picture') };
    const archive = readArchive(writeArchive([record], '2026-02-01T10:00:00Z', bytes), 'a.zip');
    expect(archive.ok && archive.value.pictures).toEqual(bytes);
    const damaged = readArchive(
      writeArchive([record], '2026-02-01T10:00:00Z', { ['a'.repeat(64)]: strToU8('x') }),
      'a.zip',
    );
    expect(!damaged.ok && damaged.problem).toContain('picture aaaaaaaa… is damaged');
  });
  test.each([
    ['not a zip', strToU8('hello'), 'not a zip'],
    ['another zip', zipSync({ 'readme.txt': strToU8('x') }), 'no archive.json'],
    ['a broken manifest', zipSync({ 'archive.json': strToU8('{') }), 'is broken'],
    [
      'a newer archive',
      zipSync({ 'archive.json': strToU8('{"format":"loose-pulley/archive","version":5,"tickets":[]}') }),
      'newer',
    ],
    [
      'a missing ticket',
      zipSync({ 'archive.json': strToU8('{"format":"loose-pulley/archive","version":1,"tickets":["q"]}') }),
      'does not hold it',
    ],
  ])('refuses %s', (_, bytes, words) => {
    const result = readArchive(bytes, 'a.zip');
    expect(!result.ok && result.problem).toContain(words);
  });
  test('is all or nothing: one bad ticket refuses it by name', () => {
    const manifest = '{"format":"loose-pulley/archive","version":1,"tickets":["ticket-1","ticket-2"]}';
    const result = readArchive(
      zipSync({
        'archive.json': strToU8(manifest),
        'tickets/ticket-1.json': strToU8(writeTicketFile(record)),
        'tickets/ticket-2.json': strToU8('{'),
      }),
      'a.zip',
    );
    expect(!result.ok && result.problem).toContain('tickets/ticket-2.json');
  });
});

test('upcasters run one after another, and a missing one is said', () => {
  const steps = { 1: (d: object) => ({ ...d, two: true }), 2: (d: object) => ({ ...d, three: true }) };
  expect(upcast({ version: 1 }, steps, 3)).toEqual({ ok: true, value: { version: 3, two: true, three: true } });
  expect(upcast({ version: 1 }, { 2: steps[2] }, 3).ok).toBe(false);
});

test('differences name the place, the order of keys aside', () => {
  expect(differences({ a: [1, { b: 2 }], c: 3 }, { c: 3, a: [1, { b: 4 }] })).toEqual([
    { path: 'a[1].b', mine: 2, theirs: 4 },
  ]);
  expect(differences({ a: 1 }, {})).toEqual([{ path: 'a', mine: 1, theirs: undefined }]);
  expect(differences([1, 2, 3], [4, 5, 6], 2)).toHaveLength(2);
});
