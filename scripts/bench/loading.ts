import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root } from '../setup.mjs';
import { ms, type Row } from './report';
import { FIELD, type Stage } from './stage';

const kB = (bytes: number) => `${(bytes / 1000).toFixed(1)} kB`;

const gzipped = (file: string) => gzipSync(readFileSync(join(root, 'app/dist', file)), { level: 9 }).length;

/** A file of the build, by the source it was made from; and what it cannot run without. */
type Manifest = Readonly<
  Record<string, { readonly file: string; readonly isEntry?: boolean; readonly imports?: readonly string[] }>
>;

/** What must have come before a page can be drawn: its own file, the app's, and all that they import. */
function neededBy(page: string): ReadonlyMap<string, number> {
  const manifest = JSON.parse(readFileSync(join(root, 'app/dist/.vite/manifest.json'), 'utf8')) as Manifest;
  const files = new Map<string, number>();
  const add = (source: string): void => {
    const chunk = manifest[source];
    if (!chunk || files.has(chunk.file)) return;
    files.set(chunk.file, gzipped(chunk.file));
    chunk.imports?.forEach(add);
  };
  for (const [source, { isEntry }] of Object.entries(manifest)) if (isEntry || source.endsWith(page)) add(source);
  return files;
}

/** The scripts that the page has loaded, by what they weigh as gzip; and as they came, which is brotli. */
async function scripts({ page }: Stage) {
  const loaded = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter(({ name }) => name.endsWith('.js'))
      .map(({ name, encodedBodySize }) => [new URL(name).pathname, encodedBodySize] as const),
  );
  return {
    gzip: kB(loaded.reduce((sum, [path]) => sum + gzipped(path), 0)),
    sent: kB(loaded.reduce((sum, [, bytes]) => sum + bytes, 0)),
  };
}

/** What comes over the wire, and how long until it can be used. */
export async function benchLoading(row: Row, stage: Stage): Promise<void> {
  const { page, demoUrl, usable } = stage;
  await usable(`${demoUrl}/t/demo-0147/measure`, FIELD);
  await page.waitForTimeout(500);
  const measure = await scripts(stage);
  const needed = neededBy('/MeasurePage.tsx');
  const sum = [...needed.values()].reduce((all, bytes) => all + bytes, 0);
  row('script that a ticket needs before its first paint (Measure), gzip', kB(sum), 'goal 165 kB');
  for (const [file, bytes] of [...needed].sort(([, a], [, b]) => b - a))
    row(`  of it ${file.replace(/^assets\/|-[^-]+\.js$/g, '')}`, kB(bytes), '');
  row('with all that came within half a second of it', measure.gzip, `sent as brotli, ${measure.sent}`);
  await usable(`${demoUrl}/t/demo-0147/size`, '[role=slider]');
  await page.waitForTimeout(300);
  const size = await scripts(stage);
  row('the same of Size, opened at once', size.gzip, `sent as brotli, ${size.sent}`);
  // What the Bench shows is kept a moment after it is seen.
  await usable(`${demoUrl}/`, 'main ul li a');
  await page.waitForTimeout(2000);
  const { bareMs, opened } = await stage.besideBare([
    [`${demoUrl}/t/demo-0147/measure`, FIELD],
    [`${demoUrl}/`, 'main ul li a'],
  ]);
  const [ticket, bench] = opened;
  row('time to usable, bare React page', ms(bareMs), 'reference, opened in turn with each of the others');
  row('time to usable, a ticket', ms(ticket?.openMs ?? NaN), ticket?.by);
  row('time to usable, the Bench with 10 tickets', ms(bench?.openMs ?? NaN), bench?.by);
}
