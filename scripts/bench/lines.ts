import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { EMPTY_CLEANING, placesOf } from '../../core/src/work/cleaning';
import { accountOf, readLine } from '../../core/src/work/stripLine';
import { takeLine } from '../../core/src/belts/readingLine';
import { readSaid } from '../../core/src/views/said';
import { readOwner } from '../../core/src/work/ownerLine';
import { readTreatment } from '../../core/src/work/treatmentLine';
import { root } from '../setup.mjs';
import { spread, times, type Row } from './report';

const corpus = (file: string): readonly string[] =>
  readFileSync(join(root, 'core/fixtures', file), 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('#'))
    .map((line) => line.split(' => ')[0] ?? '');

/** What a typed line costs to be read, at every letter of it: the usual ones, long ones, and what is far too long. */
export async function benchLines(row: Row): Promise<void> {
  const strip = [...corpus('stripLines.txt'), ...corpus('hardLines.txt')];
  const map = placesOf({ cleaning: EMPTY_CLEANING, drives: [], strip: { steps: [], lastNumber: 0 }, loader: 'tray' });
  let at = 0;
  const next = (): string => strip[(at += 1) % strip.length] ?? '';
  const long = (): string => {
    let line = next();
    while (line.length < 200) line = `${line}, ${next()}`;
    return line.slice(0, 200);
  };
  const from = (lines: readonly string[]) => (): string => lines[(at += 1) % lines.length] ?? '';
  const reading = from(corpus('readingLines.txt'));
  const complaint = from(corpus('ownerLines.txt'));
  row('a line of Strip, read and accounted for', spread(await times(500, () => [readLine(next()), accountOf(next())])));
  row('a line of Strip of 200 letters', spread(await times(300, () => readLine(long()))), 'asked: under 5 ms');
  row('a line of Clean of 200 letters', spread(await times(300, () => readTreatment(long(), { map, chosenId: null }))));
  row(
    'a line of 200 letters, by both grammars, with what its words are',
    spread(await times(200, () => readSaid(long(), 'strip', { map, chosenId: null }))),
  );
  row(
    'a reading of 60 letters',
    spread(await times(300, () => takeLine(reading(), 'overCap', undefined, { unit: 'mm' }))),
  );
  row('an owner’s complaint', spread(await times(300, () => readOwner(complaint(), 'tray'))));
  row('100 kB at Strip, refused', spread(await times(20, () => readLine('x '.repeat(50_000)))), 'at once');
}
