import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { findMethod } from '../../core/src/belts/measuring';
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

const GUIDE = readdirSync(join(ROOT, 'docs/guide')).filter((file) => file.endsWith('.md'));
/** What stands in backquotes on a page of the guide, or in one paragraph of it. */
const typedIn = (text: string): readonly string[] => [...text.matchAll(/`([^`]+)`/g)].map(([, line = '']) => line);

test('every page of the guide is one task of at most 400 words', () => {
  for (const file of GUIDE) {
    const words = doc(`docs/guide/${file}`).split(/\s+/).filter(Boolean).length;
    expect(words, file).toBeLessThanOrEqual(400);
    expect(doc(`docs/guide/${file}`), file).toMatch(/^# \S/);
  }
});

test('the lines that the guide types are understood as it says', () => {
  const paragraphs = (file: string): readonly string[] => doc(`docs/guide/${file}`).split('\n\n');
  const strip = paragraphs('7-strip-lines.md');
  const steps = strip
    .filter((one) => /^\*\*(Off it came|Takes nothing off|Something altered)/.test(one))
    .flatMap(typedIn);
  expect(steps.length).toBeGreaterThan(12);
  for (const line of steps) {
    const read = readLine(line);
    expect(read?.unread, line).toBe(false);
    expect(read?.ways.length, line).toBeGreaterThan(0);
  }
  const { places } = cleanView(firstTicket());
  const lines = paragraphs('8-clean-lines.md')
    .filter((one) => one.startsWith('**Lines:**'))
    .flatMap(typedIn);
  expect(lines.length).toBeGreaterThan(8);
  for (const line of lines) {
    const read = readTreatment(line, { map: places, chosenId: null });
    expect(read?.unread, line).toBe(false);
    expect(read?.ways.length, line).toBe(1);
  }
  // What may be said at either station is read surely at both.
  const either = strip.filter((one) => one.startsWith('**A line means the same')).flatMap(typedIn);
  expect(either.length).toBeGreaterThan(4);
  for (const line of either)
    for (const at of ['strip', 'clean'] as const)
      expect(readSaid(line, at, { map: places, chosenId: null })?.ways.length, `${at}: ${line}`).toBe(1);
  const figures = paragraphs('6-figures.md');
  const readings = figures.find((one) => one.startsWith('- `doubled')) ?? '';
  expect(typedIn(readings).length).toBeGreaterThan(4);
  for (const line of typedIn(readings))
    expect(takeLine(line, 'doubledOuter', 1.2, { unit: 'mm' }).state, line).toBe('reading');
  const sizes = typedIn(figures.find((one) => one.startsWith('- `1.2x118`')) ?? '');
  for (const size of ['1.2x118', '1.78x28.3', '4x0.6x208']) {
    expect(sizes).toContain(size);
    expect(parseBeltSize(size).ok, size).toBe(true);
  }
  expect(takeLine('118 round', 'doubledOuter', 1.2, { unit: 'mm' }).state).toBe('question');
  expect(readFirst('booth deck opens only when helped', 'tray').machine).toBe('booth deck');
  const belt = takeLine('66.4 square 1.2', 'doubledOuter', undefined, { unit: 'mm' });
  const read = belt.state === 'reading' ? belt.read : undefined;
  expect(read?.value.toFixed(1)).toBe('128.0');
  expect(doc('docs/guide/1-first-belt.md')).toContain('128.0 mm');
});

test('the pictures of how in the guide are those of the app', async () => {
  const drawn = readdirSync(join(ROOT, 'docs/guide/drawings')).filter((file) => file.startsWith('how-'));
  expect(drawn.length).toBeGreaterThan(4);
  for (const file of drawn) {
    const method = findMethod(file.replace(/^how-|\.svg$/g, ''));
    const { drawing } = (await method?.guide()) ?? {};
    const svg = doc(`docs/guide/drawings/${file}`);
    for (const path of [drawing?.belt, drawing?.thing]) if (path) expect(svg, file).toContain(path);
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
    'CONTRIBUTING.md',
    ...GUIDE.map((one) => `docs/guide/${one}`),
  ]) {
    for (const [, link = ''] of doc(page).matchAll(/\]\((?!https?:)([^)#]+)\)/g)) {
      expect(() => readFileSync(join(ROOT, page, '..', link)), `${page}: ${link}`).not.toThrow();
    }
  }
});
