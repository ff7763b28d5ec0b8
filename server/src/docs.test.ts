import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { takeLine } from '../../core/src/belts/readingLine';
import { cleanView } from '../../core/src/views/clean';
import { readSaid } from '../../core/src/views/said';
import { readFirst } from '../../core/src/work/ownerLine';
import { readLine } from '../../core/src/work/stripLine';
import { readTreatment } from '../../core/src/work/treatmentLine';
import { parseBeltSize } from '../../core/src/base/shapes';

import { opening, recordOf } from '../../core/fixtures/sample';

/* What the docs say is held to what is there. */

const ROOT = join(import.meta.dirname, '../..');
const doc = (name: string): string => readFileSync(join(ROOT, name), 'utf8');
const require = createRequire(import.meta.url);
const firstTicket = () => recordOf([opening]).ticket;
interface Wing {
  readonly wing: string;
  readonly rooms: Readonly<Record<string, unknown>>;
}

test('the list of wings names every room of core, and ARCHITECTURE tells them in their order', () => {
  const wings = require('../../core/wings.cjs') as readonly Wing[];
  const folders = (path: string): string[] =>
    readdirSync(join(ROOT, path), { withFileTypes: true }).flatMap((one) => (one.isDirectory() ? [one.name] : []));
  expect(folders('core/src').sort()).toEqual(wings.map(({ wing }) => wing).sort());
  for (const { wing, rooms } of wings) expect(folders(`core/src/${wing}`).sort()).toEqual(Object.keys(rooms).sort());
  const told = [...doc('docs/ARCHITECTURE.md').matchAll(/^\| `(\w+)` +\|/gm)].map(([, wing]) => wing);
  expect(told.slice(0, wings.length)).toEqual(wings.map(({ wing }) => wing));
});

test('the lines that the guide types are understood as it says', () => {
  const guide = doc('docs/GUIDE.md');
  const typed = (start: string): readonly string[] => {
    const paragraph = guide.split('\n\n').find((one) => one.startsWith(start));
    return [...(paragraph ?? '').matchAll(/`([^`]+)`/g)].map(([, line = '']) => line);
  };
  const steps = typed('**Strip**').filter((line) => !/^\/$|^\d{4}-/.test(line));
  expect(steps.length).toBeGreaterThan(5);
  for (const line of steps.filter((one) => !one.startsWith('again'))) {
    const read = readLine(line);
    expect(read?.unread, line).toBe(false);
    expect(read?.ways.length, line).toBeGreaterThan(0);
  }
  const { places } = cleanView(firstTicket());
  const lines = typed('**Clean**').filter((line) => line !== '/');
  expect(lines.length).toBeGreaterThan(8);
  for (const line of lines) {
    const read = readTreatment(line, { map: places, chosenId: null });
    expect(read?.unread, line).toBe(false);
    expect(read?.ways.length, line).toBe(1);
  }
  // What may be said at either station is read surely at both.
  const either = typed('**A line means the same');
  expect(either.length).toBeGreaterThan(4);
  for (const line of either)
    for (const at of ['strip', 'clean'] as const)
      expect(readSaid(line, at, { map: places, chosenId: null })?.ways.length, `${at}: ${line}`).toBe(1);
  for (const line of ['66.4 square 1.2 folded in half', 'string one hundred and thirty one', 'cap 40, sorry, 41']) {
    expect(guide).toContain(`\`${line}\``);
    expect(takeLine(line, 'laidStraight', undefined, { unit: 'mm' }).state, line).toBe('reading');
  }
  expect(readFirst('booth deck opens only when helped', 'tray').machine).toBe('booth deck');
  const belt = takeLine('doubled flat 66.4, section 1.2', 'overCap', undefined, { unit: 'mm' });
  expect(guide).toContain('`doubled flat 66.4, section 1.2`');
  const read = belt.state === 'reading' ? belt.read : undefined;
  expect([read?.value.toFixed(1), read?.uncorrected?.toFixed(1)]).toEqual(['128.0', '132.8']);
  for (const size of ['1.2x118', '1.78x28.3']) {
    expect(guide).toContain(`\`${size}\``);
    expect(parseBeltSize(size).ok, size).toBe(true);
  }
});

test('every picture is linked, and no link of the docs leads nowhere', () => {
  const shots = readdirSync(join(ROOT, 'docs/screenshots'));
  const readme = doc('README.md');
  for (const shot of shots) expect(readme, shot).toContain(`docs/screenshots/${shot}`);
  for (const page of [
    'README.md',
    ...readdirSync(join(ROOT, 'docs'))
      .filter((one) => one.endsWith('.md'))
      .map((one) => `docs/${one}`),
  ]) {
    for (const [, link = ''] of doc(page).matchAll(/\]\((?!https?:)([^)#]+)\)/g)) {
      expect(() => readFileSync(join(ROOT, page, '..', link)), `${page}: ${link}`).not.toThrow();
    }
  }
});
