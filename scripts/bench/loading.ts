import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root } from '../setup.mjs';
import { ms, type Row } from './report';
import { FIELD, type Stage } from './stage';

const kB = (bytes: number) => `${(bytes / 1000).toFixed(1)} kB`;

/** The scripts that the page has loaded, by what they weigh as gzip; and as they came, which is brotli. */
async function scripts({ page }: Stage) {
  const loaded = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter(({ name }) => name.endsWith('.js'))
      .map(({ name, encodedBodySize }) => [new URL(name).pathname, encodedBodySize] as const),
  );
  const weigh = (path: string) => gzipSync(readFileSync(join(root, 'app/dist', path)), { level: 9 }).length;
  return {
    gzip: kB(loaded.reduce((sum, [path]) => sum + weigh(path), 0)),
    sent: kB(loaded.reduce((sum, [, bytes]) => sum + bytes, 0)),
  };
}

/** What comes over the wire, and how long until it can be used. */
export async function benchLoading(row: Row, stage: Stage): Promise<void> {
  const { page, demoUrl, usable } = stage;
  await usable(`${demoUrl}/t/demo-0147/measure`, FIELD);
  await page.waitForTimeout(500);
  const measure = await scripts(stage);
  row('script on first load of a ticket (Measure), gzip', measure.gzip, `goal 165 kB; sent as brotli, ${measure.sent}`);
  await usable(`${demoUrl}/t/demo-0147/size`, '[role=slider]');
  await page.waitForTimeout(300);
  const size = await scripts(stage);
  row('the same, straight to Size', size.gzip, `sent as brotli, ${size.sent}`);
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
