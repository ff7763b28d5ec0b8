import { readFileSync } from 'node:fs';
import { openCore } from '../core.mjs';

/** One letter or figure of a file changed for another of its kind: the damage that is hardest to see. */
function nudged(text, below) {
  for (let tries = 0; tries < 50; tries++) {
    const at = below(text.length);
    const sign = text[at];
    if (/\d/.test(sign)) return text.slice(0, at) + ((Number(sign) + 1 + below(9)) % 10) + text.slice(at + 1);
    if (/[a-z]/i.test(sign)) return text.slice(0, at) + String.fromCharCode(97 + below(26)) + text.slice(at + 1);
  }
  return text;
}

/**
 * Damaged files against what reads them, seeded, with counts. Nothing that was flipped may be taken in changed, and
 * nothing may throw.
 *
 * @returns how much went wrong
 */
export async function attackFiles(most, seed) {
  const core = await openCore();
  const {
    pictureName,
    readAnswersFile,
    readArchive,
    readBookFile,
    readKnowledgeFile,
    readTicketFile,
    writeArchive,
    writeBookFile,
  } = await core.room('files/exchange');
  const { writeTicketFile } = await core.room('record/ticket');
  const { readPulses } = await core.room('physics/speed');
  const { seeded } = await core.room('base/statistics');
  const { everything, opening, recordOf } = await core.file('/core/fixtures/sample.ts');

  const random = seeded(seed);
  const below = (count) => Math.floor(random() * count);
  const records = [recordOf(everything), recordOf([{ ...opening, ticketId: 'ticket-2' }])];
  const picture = new TextEncoder().encode('a picture');
  const archive = await writeArchive(records, '2026-02-01T10:00:00Z', { [pictureName(picture)]: picture });
  const out = new Map(records.map((one) => [one.ticket.id, JSON.stringify(one)]));
  const counts = {
    refused: 0,
    'given in part, the damage named': 0,
    'given whole, as it went out': 0,
    changed: 0,
    threw: 0,
  };

  for (let turn = 0; turn < most; turn++) {
    const bytes = archive.slice();
    const bit = below(bytes.length * 8);
    bytes[bit >> 3] ^= 1 << (bit & 7);
    try {
      const read = await readArchive(bytes, 'a.zip');
      if (!read.ok) counts.refused += 1;
      else if (
        read.value.records.some((one) => JSON.stringify(one) !== out.get(one.ticket.id)) ||
        Object.entries(read.value.pictures).some(([name, content]) => pictureName(content) !== name)
      )
        counts.changed += 1;
      else
        counts[read.value.damaged.length > 0 ? 'given in part, the damage named' : 'given whole, as it went out'] += 1;
    } catch (error) {
      counts.threw += 1;
      console.error(`bit ${bit}:`, error);
    }
  }
  console.log(`${most} archives of ${archive.length} bytes with one bit flipped, seed ${seed}:`);
  console.table(counts);

  /* Files of every kind, mangled: cut, doubled, with letters changed, nested deep, or something else altogether. */
  const ticket = writeTicketFile(records[0]);
  const odd = [
    'null',
    '[]',
    '{}',
    '"',
    '\u0000',
    '\ud800',
    '1e999',
    '-0',
    '{"__proto__":{"a":1}}',
    '[['.repeat(50_000),
    `${'['.repeat(1e5)}${']'.repeat(1e5)}`,
  ];
  const manglers = [
    (text) => text.slice(0, below(text.length)),
    (text) => text.slice(below(text.length)),
    (text) => text + text,
    (text) => {
      const at = below(text.length);
      return text.slice(0, at) + odd[below(odd.length)] + text.slice(at + below(40));
    },
    (text) => {
      const at = below(text.length);
      return text.slice(0, at) + String.fromCharCode(below(0xffff)) + text.slice(at + 1);
    },
    (text) => text.replace(/"([a-zA-Z]+)":/g, (all) => (random() < 0.01 ? '"__proto__":' : all)),
    (text) => text.replace(/\d+/g, (all) => (random() < 0.02 ? odd[below(odd.length)] : all)),
    () => odd[below(odd.length)],
  ];
  const times = Array.from({ length: 40 }, (_, i) => (i * 0.2).toFixed(3)).join('\n');
  const readers = {
    ticket: [ticket, (text) => readTicketFile(text, 'a.json')],
    answers: [
      '{"format":"loose-pulley/answers","version":1}',
      (text) => readAnswersFile(text, 'a.json', records[0].ticket),
    ],
    knowledge: ['{"format":"loose-pulley/knowledge","version":1}', (text) => readKnowledgeFile(text, 'a.json')],
    pulses: [times, (text) => readPulses(text, { unit: 's' })],
  };
  const mangled = {};
  for (const [kind, [good, read]] of Object.entries(readers)) {
    const tally = { refused: 0, read: 0, threw: 0 };
    for (let turn = 0; turn < most / 8; turn++) {
      const text = manglers[below(manglers.length)](good);
      try {
        tally[read(text).ok ? 'read' : 'refused'] += 1;
      } catch (error) {
        tally.threw += 1;
        if (tally.threw < 3) console.error(`${kind}: ${text.slice(0, 80)}`, error);
      }
    }
    mangled[kind] = tally;
  }
  console.log(`${Math.floor(most / 8)} mangled files of each kind:`);
  console.table(mangled);

  /* Bench books, of this version and of those before: what is taken in is what went out, or is named. */
  const fixture = (name) => readFileSync(new URL(`../../core/fixtures/${name}`, import.meta.url), 'utf8');
  const books = Object.fromEntries(
    ['book-v1.json', 'book-v2.json'].map((name) => [name, fixture(name)]).concat([['this version', null]]),
  );
  const second = readBookFile(books['book-v2.json'], 'a.json');
  books['this version'] = writeBookFile(second.value.record);
  const told = {};
  for (const [version, good] of Object.entries(books)) {
    const out = readBookFile(good, 'a.json');
    const tally = {
      'read whole': out.ok ? 1 : 0,
      refused: 0,
      'the same': 0,
      'other, and named': 0,
      'other, unnamed': 0,
      threw: 0,
    };
    const whole = JSON.stringify(out.value.record);
    for (let turn = 0; turn < most / 10; turn++) {
      // A letter, a figure, a key: damage that leaves JSON standing, half of the times.
      const text = turn % 2 === 0 ? nudged(good, below) : manglers[below(manglers.length)](good);
      try {
        const read = readBookFile(text, 'a.json');
        if (!read.ok) tally.refused += 1;
        else if (JSON.stringify(read.value.record) === whole) tally['the same'] += 1;
        else tally[read.value.sealed ? 'other, unnamed' : 'other, and named'] += 1;
      } catch (error) {
        tally.threw += 1;
        console.error(`book: ${text.slice(0, 80)}`, error);
      }
    }
    told[version] = tally;
  }
  console.log(
    `${Math.floor(most / 10)} damaged bench books of each version; files of the first two carry no checksum, which is said:`,
  );
  console.table(told);
  const lost = Object.values(told).reduce(
    (sum, of) => sum + of['other, unnamed'] + of.threw + (of['read whole'] === 1 ? 0 : 1),
    0,
  );
  await core.close();
  return lost + counts.changed + counts.threw + Object.values(mangled).reduce((sum, { threw }) => sum + threw, 0);
}
