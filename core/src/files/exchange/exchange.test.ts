import { findingsOf } from '../../record/findings';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, test, vi } from 'vitest';
import fc from 'fast-check';
import Ajv from 'ajv';
import { strFromU8, strToU8, zipSync, unzipSync } from 'fflate';
import { arbitraryFields } from '../../../fixtures/arbitrary';
import { everything, opening, reading, recordOf, stamp, place, trainMember } from '../../../fixtures/sample';
import { emptyBook } from '../../shop/book';
import { readBookFile, writeBookFile } from './bookFile';
import { BOOK_FORMAT, BOOK_VERSION } from '../../shop/book';
import { METHODS } from '../../belts/measuring';
import {
  appendAny,
  openRecord,
  picturesNamed,
  ticketEvents,
  type EventBody,
  type EventType,
  type TicketRecord,
  writeTicketFile,
  TICKET_VERSION,
} from '../../record/ticket';
import {
  differences,
  joinArchive,
  packTickets,
  pictureName,
  readArchive,
  verifyArchive,
  readTicketFile,
  recordJsonSchema,
  recordSchema,
  upcast,
  writeArchive,
} from '.';
import { sha256OfAll } from './sha256';
import { unzip, zipEntries } from './zip';
import { EMPTY_CLEANING } from '../../work/cleaning';
import { EMPTY_TRAIN } from '../../physics/train';

const record = recordOf(everything);
const file = (name: string) => readFileSync(new URL(`../../../${name}`, import.meta.url), 'utf8');
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
  test('of version 2 too: all of it, with nothing yet said of an idler’s surface', () => {
    const frozen = readTicketFile(file('fixtures/ticket-v2.json'), 'ticket-v2.json');
    expect(frozen.ok && frozen.value.events.length).toBeGreaterThan(60);
    expect(frozen.ok && frozen.value.ticket.drives[0]?.idlers.map(({ name, surface }) => [name, surface])).toEqual([
      ['guide', null],
    ]);
  });
  test('of version 5 too: kinds and fates told apart, and what was written is the bench’s own', () => {
    const frozen = readTicketFile(file('fixtures/ticket-v5.json'), 'ticket-v5.json');
    if (!frozen.ok) throw new Error(frozen.problem);
    const { strip, handBack } = frozen.value.ticket;
    expect(strip.steps.map(({ kind, fate }) => `${kind} ${fate}`)).toEqual(['screws off', 'cover off']);
    expect(strip.found.map(({ kind }) => kind)).toEqual(strip.found.map(() => 'object'));
    expect(handBack).toMatchObject({ found: 'Belt slack.', own: ['found', 'done'] });
  });
  test('of version 6 too: nothing was cleaned yet, and its note on Clean is still there', () => {
    const frozen = readTicketFile(file('fixtures/ticket-v6.json'), 'ticket-v6.json');
    if (!frozen.ok) throw new Error(frozen.problem);
    expect(frozen.value.ticket.cleaning).toEqual(EMPTY_CLEANING);
    expect(frozen.value.ticket.train).toEqual(EMPTY_TRAIN);
    expect(frozen.value.ticket.stations.clean).toBe('notNeeded');
  });
  test('of version 7 too: nothing promised, nothing wanted', () => {
    const frozen = readTicketFile(file('fixtures/ticket-v7.json'), 'ticket-v7.json');
    if (!frozen.ok) throw new Error(frozen.problem);
    expect(frozen.value.ticket).toMatchObject({ promise: null, wants: [] });
    expect(frozen.value.ticket.cleaning.places.length).toBeGreaterThan(0);
  });
  test.each([
    [1, ['glazed motorPulley']],
    [2, ['partInPath path', 'glazed motorPulley']],
    [3, ['partInPath path', 'glazed motorPulley', 'oily drivenPulley']],
    [4, ['partInPath path', 'glazed motorPulley']],
    [5, ['partInPath path', 'glazed motorPulley', 'beltSlack belt']],
    [6, ['partInPath path', 'glazed motorPulley', 'beltSlack belt']],
  ])('of version %i: what was found is read of it as of a new one, with nothing rewritten', (version, found) => {
    const frozen = readTicketFile(file(`fixtures/ticket-v${version}.json`), 'old.json');
    if (!frozen.ok) throw new Error(frozen.problem);
    expect(findingsOf(frozen.value.ticket).map(({ kind, thing }) => `${kind} ${thing}`)).toEqual(found);
  });
  test('of version 4 too: nothing said of how the old belt was found, no belt measured in the hand', () => {
    const frozen = readTicketFile(file('fixtures/ticket-v4.json'), 'ticket-v4.json');
    if (!frozen.ok) throw new Error(frozen.problem);
    const [drive] = frozen.value.ticket.drives;
    expect(drive?.oldState).toBe('unknown');
    expect(drive?.tries.map(({ measuredMm }) => measuredMm)).toEqual(drive?.tries.map(() => null));
  });
  test('of version 3 too, under the words of this version', () => {
    const frozen = readTicketFile(file('fixtures/ticket-v3.json'), 'ticket-v3.json');
    if (!frozen.ok) throw new Error(frozen.problem);
    const { ticket, events } = frozen.value;
    expect(ticket.drives[0]).toMatchObject({ drivenSurface: 'oily', idlers: [{ after: 'driven' }] });
    expect(ticket.drives[0]?.readings.map(({ measurand, method }) => `${measurand} ${method}`)).toEqual(
      expect.arrayContaining(['drivenDiameter drivenJaws', 'drivenDiameter drivenThread']),
    );
    expect(ticket.drives[0]?.readings.find(({ id }) => id === 'r7')?.aux).toEqual({
      motorOutsideMm: 8,
      drivenOutsideMm: 27,
    });
    expect(ticket.strip).toMatchObject({
      temporaryChanges: [{ afterChangeId: 'lo2' }, {}],
      steps: [{ driverType: 'PH1' }, {}],
    });
    expect(ticket.waiting.for).toBe('parts');
    expect(ticket.cleanRuns).toHaveLength(1);
    // What was typed is never touched.
    expect(events.find(({ type }) => type === 'storyTold')).toMatchObject({ story: 'Stood unused over the winter.' });
  });
  test.each([
    ['{"format": "loose', 'broken or cut short'],
    ['[]', 'not a Loose Pulley ticket'],
    ['{"format":"other/thing","version":1}', 'not a Loose Pulley ticket'],
    [
      JSON.stringify(changed('version', TICKET_VERSION + 1)),
      `newer Loose Pulley (format ${TICKET_VERSION + 1}; this one reads up to ${TICKET_VERSION})`,
    ],
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

/** Any list of things that could happen, each as its own description allows. */
const anyBodies = fc.array(
  fc.oneof(
    ...(Object.keys(ticketEvents) as EventType[])
      .filter((type) => type !== 'ticketOpened')
      .map((type) => arbitraryFields(ticketEvents[type]).map((fields) => ({ type, ...fields }) as EventBody)),
  ),
  { maxLength: 40 },
);

describe('whatever the app can write, its own import reads back', () => {
  test('every event as its description draws it, in any order', () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(anyBodies, (bodies) => {
        // Half of them speak of the drive that is there, so that they are not all refused.
        const aimed = bodies.map((body, i) =>
          i % 2 !== 0
            ? body
            : body.type === 'stepPut'
              ? // A drawn place takes any number, and a step none below it; no more go back than came off.
                { ...body, step: { ...body.step, number: 0, missing: 0, removals: [] } }
              : body.type === 'placeRemoved'
                ? { ...body, placeId: 'pl1' }
                : body.type === 'cycleLogged'
                  ? { ...body, cycle: { ...body.cycle, cleanRunId: null } }
                  : body.type === 'wantPut'
                    ? { ...body, want: { ...body.want, driveId: 'drive-a' } }
                    : body.type === 'memberRemoved'
                      ? { ...body, memberId: 'tm1' }
                      : body.type === 'treated'
                        ? { ...body, treatment: { ...body.treatment, placeId: 'pl1' } }
                        : 'driveId' in body
                          ? { ...body, driveId: 'drive-a' }
                          : body,
        );
        const gear: EventBody = { type: 'memberPut', member: trainMember('tm1', 'gear') };
        const there: EventBody = { type: 'placePut', place: place('pl1', 9, 'rod', 'rods') };
        // A second drive, so that the first can go.
        const two: EventBody = { type: 'driveAdded', driveId: 'drive-b', name: 'B' };
        // A hidden machine, so that a hand can be laid on it.
        const dealt: EventBody = {
          type: 'machineDealt',
          dealt: { loader: 'tray', number: 1, prepared: null, version: 1, help: 'on' },
        };
        const written = stamp([opening, two, there, gear, dealt, ...aimed]).reduce<TicketRecord | undefined>(
          (record, event) => {
            const next = record ? appendAny(record, event) : openRecord(event);
            if (next.ok && record) seen.add(event.type);
            return next.ok ? next.value : record;
          },
          undefined,
        );
        if (!written) throw new Error('not opened');
        expect(readTicketFile(writeTicketFile(written), 'a.json')).toEqual({ ok: true, value: written });
      }),
      { numRuns: 150, seed: 20261126 },
    );
    // Redoing needs an undone event, and answers a sheet, of just the drawn ids.
    const rare = ['undone', 'redone', 'answersTaken'];
    expect(
      Object.keys(ticketEvents).filter((type) => type !== 'ticketOpened' && !rare.includes(type) && !seen.has(type)),
    ).toEqual([]);
  }, 60_000);
  test('the example of everything has every event', () =>
    expect(new Set(record.events.map(({ type }) => type))).toEqual(new Set(Object.keys(ticketEvents))));
  test.each(METHODS.map((method) => [method.id, method] as const))('a reading by %s', (id, method) => {
    const written = recordOf([
      opening,
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r1', method.measurand, id, method.min) },
    ]);
    expect(readTicketFile(writeTicketFile(written), 'a.json').ok).toBe(true);
  });
  test('a measurand that nobody described is refused, and named', () => {
    const written = JSON.stringify(record).replaceAll('"oldBelt"', '"beltColour"');
    expect(problem(written)).toContain('read "beltColour"');
  });
});

describe('the JSON Schema in docs/', () => {
  test('is what the stations describe: `npm run schema` writes it', () =>
    expect(JSON.parse(file('../docs/ticket.schema.json'))).toEqual(recordJsonSchema()));
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
      { numRuns: 800, seed: 20261126 },
    );
  }, 60_000);
});

const manifestOf = (tickets: readonly unknown[]) =>
  strToU8(JSON.stringify({ format: 'loose-pulley/archive', version: 1, madeAt: '2026-02-01T10:00:00Z', tickets }));

describe('the whole archive', () => {
  const second = recordOf([{ ...opening, ticketId: 'ticket-2' } as typeof opening]);
  test('comes back as it went out', async () => {
    const archive = await readArchive(await writeArchive([record, second], '2026-02-01T10:00:00Z'), 'a.zip');
    expect(archive).toEqual({ ok: true, value: { records: [record, second], pictures: {}, bench: {}, damaged: [] } });
  });
  test('carries its pictures by name, those taken out included', async () => {
    expect(picturesNamed(record)).toEqual(['a'.repeat(64), 'b'.repeat(64)]);
    const bytes = { [pictureName(strToU8('a picture'))]: strToU8('a picture') };
    const archive = await readArchive(await writeArchive([record], '2026-02-01T10:00:00Z', bytes), 'a.zip');
    expect(archive.ok && archive.value.pictures).toEqual(bytes);
    const damaged = await readArchive(
      await writeArchive([record], '2026-02-01T10:00:00Z', { ['a'.repeat(64)]: strToU8('x') }),
      'a.zip',
    );
    expect(damaged).toMatchObject({ ok: true, value: { damaged: ['picture aaaaaaaa… is damaged'] } });
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
    ['a manifest that is null', zipSync({ 'archive.json': strToU8('null') }), 'not a Loose Pulley archive'],
    ['a list of nonsense', zipSync({ 'archive.json': manifestOf(['..', 7]) }), 'does not list'],
    ['a ticket listed twice', zipSync({ 'archive.json': manifestOf(['q', 'q']) }), 'twice'],
  ])('refuses %s', async (_, bytes, words) => {
    const result = await readArchive(bytes, 'a.zip');
    expect(!result.ok && result.problem).toContain(words);
  });
  test('of version 1 is read too; what is damaged or missing in it is named, and the rest given', async () => {
    const result = await readArchive(
      zipSync({
        'archive.json': manifestOf(['ticket-1', 'ticket-2', 'ticket-3']),
        'tickets/ticket-1.json': strToU8(writeTicketFile(record)),
        'tickets/ticket-2.json': strToU8('{'),
      }),
      'a.zip',
    );
    expect(result.ok && result.value.records.map(({ ticket }) => ticket.id)).toEqual(['ticket-1']);
    expect(result.ok && result.value.damaged).toEqual([
      expect.stringContaining('tickets/ticket-2.json” is broken'),
      'ticket ticket-3 is listed but missing',
    ]);
  });
  test('a flipped bit is never taken in changed: what is given is what went out', async () => {
    const whole = await writeArchive([record, second], '2026-02-01T10:00:00Z', {
      [pictureName(strToU8('a picture'))]: strToU8('a picture'),
    });
    const out = new Map([record, second].map((one) => [one.ticket.id, JSON.stringify(one)]));
    await fc.assert(
      fc.asyncProperty(fc.nat(whole.length * 8 - 1), async (bit) => {
        const bytes = whole.slice();
        bytes[bit >> 3] = (bytes[bit >> 3] as number) ^ (1 << (bit & 7));
        const read = await readArchive(bytes, 'a.zip');
        if (!read.ok) return;
        for (const one of read.value.records) expect(JSON.stringify(one)).toBe(out.get(one.ticket.id));
        for (const [name, content] of Object.entries(read.value.pictures)) expect(pictureName(content)).toBe(name);
      }),
      { numRuns: 300, seed: 20261126 },
    );
  });
  test('is refused by what it declares, before anything is unpacked', async () => {
    const zip = zipSync({ 'archive.json': manifestOf([]), 'tickets/a.json': strToU8('x') });
    // The declared size of the last file of the list, made 2 GB.
    const at = zip.length - 22 - (46 + 'tickets/a.json'.length) + 24;
    new DataView(zip.buffer, zip.byteOffset).setUint32(at, 2_000_000_000, true);
    const result = await readArchive(zip, 'a.zip');
    expect(!result.ok && result.problem).toContain('would unpack to 2000 MB');
  });
  test('what was written is read back whole', async () => {
    const bytes = await writeArchive([record, second], '2026-02-01T10:00:00Z');
    expect(await verifyArchive(bytes)).toEqual({ ok: true, value: { tickets: 2, pictures: 0 } });
    bytes[60] = (bytes[60] as number) ^ 1;
    expect((await verifyArchive(bytes)).ok).toBe(false);
  });
  test('a damaged ticket is named as the bench names it', async () => {
    const bytes = await writeArchive([record, second], '2026-02-01T10:00:00Z');
    const at = strFromU8(bytes, true).indexOf('tickets/ticket-2.json') + 'tickets/ticket-2.json'.length + 20;
    bytes[at] = (bytes[at] as number) ^ 1;
    const read = await readArchive(bytes, 'a.zip');
    expect(read.ok && read.value.damaged).toEqual([
      `ticket ${second.ticket.number} ${second.ticket.machine} is damaged`,
    ]);
    expect(read.ok && read.value.records).toEqual([record]);
  });
  test('a zip written by another program is read: Python’s zipfile, deflated and stored', async () => {
    const theirs =
      'UEsDBBQAAAAIAABQQVyTPcChWAAAAGEAAAAMAAAAYXJjaGl2ZS5qc29uq1ZKyy/KTSxRslJQysnPL07VLSjNyUmt1E8sSs7ILEtV0lFQ' +
      'KkstKs7MzwMqMQTychNTUh3B6o0MjMx0DYx0DQxDDA2sDEAoCqS+JDM5O7WkGKgkOrYWAFBLAwQUAAAAAAAAUEFcI0e1aQgAAAAIAAAA' +
      'DwAAAG5vdGVzL2V4dHJhLnR4dG5vdCBvdXJzUEsBAhQDFAAAAAgAAFBBXJM9wKFYAAAAYQAAAAwAAAAAAAAAAAAAAIABAAAAAGFyY2hp' +
      'dmUuanNvblBLAQIUAxQAAAAAAABQQVwjR7VpCAAAAAgAAAAPAAAAAAAAAAAAAACAAYIAAABub3Rlcy9leHRyYS50eHRQSwUGAAAAAAIA' +
      'AgB3AAAAtwAAAAAA';
    const bytes = new Uint8Array(Buffer.from(theirs, 'base64'));
    const all = unzip(bytes, () => true, 1000);
    expect(all.ok && [...all.value.files].map(([path, content]) => [path, content.length])).toEqual([
      ['archive.json', 97],
      ['notes/extra.txt', 8],
    ]);
    expect(await readArchive(bytes, 'a.zip')).toEqual({
      ok: true,
      value: { records: [], pictures: {}, bench: {}, damaged: [] },
    });
    const refused = unzip(bytes, () => true, 100);
    expect(!refused.ok && refused.problem).toContain('would unpack');
  });
  test('CRC-32 and SHA-256 by their published vectors', () => {
    // CRC-32 (ISO 3309) check value of “123456789”; FIPS 180-4 example of “abc”.
    const entries = zipEntries(zipSync({ a: strToU8('123456789') }));
    expect(entries.ok && entries.value[0]?.crc).toBe(0xcbf43926);
    expect(pictureName(strToU8('abc'))).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
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

test('SHA-256 by the platform and by our library are the standard’s (FIPS 180-4; examples of NIST CSRC, from memory)', async () => {
  const known = [
    ['', 'e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855'],
    ['abc', 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad'],
    [
      'abcdbcdecdefdefgefghfghighijhijkijkljklmklmnlmnomnopnopq',
      '248d6a61d20638b8e5c026930c3e6039a33ce45964ff2167f6ecedd419db06c1',
    ],
  ] as const;
  const files = known.map(([text]) => strToU8(text));
  const sums = known.map(([, sum]) => sum);
  expect(await sha256OfAll(files)).toEqual(sums);
  vi.stubGlobal('crypto', undefined);
  expect(await sha256OfAll(files)).toEqual(sums);
  vi.unstubAllGlobals();
});

/** Another program that reads zips, where this machine has it. */
const PYTHON = spawnSync('python3', ['--version']).status === 0;
test.skipIf(!PYTHON)('an archive of ours is read by another program, Python’s zipfile and hashlib', async () => {
  const picture = strToU8('a picture');
  const second = recordOf([{ ...opening, ticketId: 'ticket-2' } as typeof opening]);
  const file = join(mkdtempSync(join(tmpdir(), 'pulley-')), 'a.zip');
  writeFileSync(
    file,
    await writeArchive([record, second], '2026-02-01T10:00:00Z', { [pictureName(picture)]: picture }),
  );
  const script = `
import zipfile, hashlib, json, sys
z = zipfile.ZipFile(sys.argv[1])
assert z.testzip() is None
m = json.loads(z.read('archive.json'))
listed = {'tickets/%s.json' % t['id']: t for t in m['tickets']}
listed.update({'pictures/%s.jpg' % p['sha256']: p for p in m['pictures']})
assert set(z.namelist()) == set(listed) | {'archive.json'}
for path, one in listed.items():
    data = z.read(path)
    assert len(data) == one['bytes'] and hashlib.sha256(data).hexdigest() == one['sha256'], path
print(len(listed), json.loads(z.read('tickets/ticket-2.json'))['ticket']['id'])
`;
  const { stdout, stderr } = spawnSync('python3', ['-c', script, file], { encoding: 'utf8' });
  expect(stderr).toBe('');
  expect(stdout.trim()).toBe('3 ticket-2');
});

test('an archive put together of two shares is the archive made in one go, and each share of it is read back', async () => {
  const more = Array.from({ length: 5 }, (_, i) =>
    recordOf([{ ...opening, ticketId: `ticket-${i + 2}` } as typeof opening]),
  );
  const all = [record, ...more];
  const shares = [await packTickets(all.slice(0, 2)), await packTickets(all.slice(2))];
  const joined = await joinArchive(shares, '2026-02-01T10:00:00Z');
  expect(joined).toEqual(await writeArchive(all, '2026-02-01T10:00:00Z'));
  const spoiled = joined.slice();
  const at = strFromU8(joined, true).indexOf('tickets/ticket-4.json') + 'tickets/ticket-4.json'.length + 20;
  spoiled[at] = (spoiled[at] as number) ^ 1;
  for (const share of [0, 1] as const) expect((await verifyArchive(joined, [share, 2])).ok).toBe(true);
  const held = await Promise.all(([0, 1] as const).map((share) => verifyArchive(spoiled, [share, 2])));
  expect(held.map(({ ok: whole }) => whole).sort()).toEqual([false, true]);
});

test.each(['book-v1.json', 'book-v2.json'])('%s is read whole, as it was, and written as this one', (name) => {
  const frozen = readFileSync(new URL(`../../../fixtures/${name}`, import.meta.url), 'utf8');
  const read = readBookFile(frozen, name);
  if (!read.ok) throw new Error(read.problem);
  const { record, sealed } = read.value;
  const { book, events } = JSON.parse(frozen) as { readonly book: unknown; readonly events: unknown };
  expect(record).toEqual({ format: BOOK_FORMAT, version: BOOK_VERSION, book, events });
  // Files of these versions carry no checksum, which is said.
  expect(sealed).toBe(false);
  expect(readBookFile(writeBookFile(record), 'again.json')).toEqual({ ok: true, value: { record, sealed: true } });
});

test('the bench’s own files come back as they went, and a damaged one is named', async () => {
  const bench = { settings: '{"format":"x"}\n', book: writeBookFile(emptyBook()) };
  const bytes = await writeArchive([record], '2026-02-01T10:00:00Z', {}, bench);
  const archive = await readArchive(bytes, 'a.zip');
  expect(archive.ok && archive.value.bench).toEqual(bench);
  expect((await verifyArchive(bytes)).ok).toBe(true);
  const spoiled = bytes.slice();
  const at = strFromU8(bytes, true).indexOf('"format":"x"') + 3;
  spoiled[at] = (spoiled[at] as number) ^ 1;
  const torn = await readArchive(spoiled, 'a.zip');
  expect(torn.ok && torn.value.damaged).toEqual(['the file of settings is damaged']);
  expect(torn.ok && torn.value.bench.settings).toBeUndefined();
});

test('an archive of version 2, without them, is read as before', async () => {
  const files = unzipSync(await writeArchive([record], '2026-02-01T10:00:00Z'));
  const { bench: _, ...manifest } = JSON.parse(strFromU8(files['archive.json'] as Uint8Array)) as Record<
    string,
    unknown
  >;
  const old = zipSync({ ...files, 'archive.json': strToU8(JSON.stringify({ ...manifest, version: 2 })) });
  const archive = await readArchive(old, 'old.zip');
  expect(archive.ok && [archive.value.records.length, archive.value.damaged, archive.value.bench]).toEqual([1, [], {}]);
});
