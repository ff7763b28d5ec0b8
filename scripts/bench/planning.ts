import { planOf, type DayJob, type DayStep } from '../../core/src/shop/day';
import { planDay } from '../../core/src/shop/schedule';
import { problemOf } from '../../core/src/shop/day';
import { seeded } from '../../core/src/base/statistics';
import { median, ms, spread, times, type Row } from './report';
import type { Stage } from './stage';

const TICKETS = 30;
const SIZES = 2000;
const DRAWN = '[data-hung]';

/** Thirty open tickets, one to four steps each, a third of them promised. */
function fullBench(nowMs: number): readonly DayJob[] {
  const draw = seeded(30);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)] as T;
  return Array.from({ length: TICKETS }, (_, n): DayJob => ({
    ticketId: `t${n}`,
    number: String(n),
    machine: '',
    mechanism: '',
    promise: draw() < 0.33 ? { to: '', at: new Date(nowMs + (60 + draw() * 4000) * 60_000).toISOString() } : null,
    stopped: null,
    risk: { needsParts: 0.4, beltWorks: 0.88, orderAgain: 0.4 },
    waits: [],
    steps: (['look', 'open', 'size', 'fit', 'prove'] as const).slice(Math.floor(draw() * 4)).map((kind): DayStep => ({
      id: `t${n}/${kind}`,
      kind,
      label: kind,
      stations: [],
      medianMin: 5 + draw() * 30,
      logStd: 0.4,
      mayCut: kind === 'open',
      waitAfterMin: kind === 'open' ? pick([0, 10, 60]) : 0,
      waitsAt: kind === 'open' ? 'drying' : 'shelf',
      notBeforeMs: null,
      parcels: [],
    })),
  }));
}

/** The plan of thirty tickets; the drawer with two thousand sizes, and without any, beside the bare page. */
export async function benchPlanning(row: Row, { page, benchUrl, besideBare }: Stage): Promise<void> {
  const nowMs = new Date(2026, 10, 23, 9, 0).getTime();
  const question = {
    nowMs,
    jobs: fullBench(nowMs),
    orders: [],
    state: { hours: [], benches: 3, dryingPlaces: 2, pins: [] },
  };
  const day = problemOf(question);
  const steps = day.jobs.reduce((sum, job) => sum + job.steps.length, 0);
  const tries = Math.round(90_000 / steps);
  row(
    `a plan of ${TICKETS} tickets, ${steps} steps, the search`,
    spread(await times(15, () => planDay(day, { tries }))),
    'goal 200 ms, in a worker',
  );
  row('the same with every promise’s chance, 200 days played', spread(await times(9, () => planOf(question))), '');

  const { bareMs, opened } = await besideBare([[`${benchUrl}/drawer`, '#put-in']]);
  row('drawer, empty: open to usable', ms(opened[0]?.openMs ?? NaN), `${opened[0]?.by ?? ''}, bare ${ms(bareMs)}`);
  const lines = Array.from(
    { length: SIZES },
    (_, n) => `square ${(0.8 + 0.1 * (n % 20)).toFixed(1)}x${60 + Math.floor(n / 20) * 3},${n % 5},A${n % 30}`,
  );
  await page.goto(`${benchUrl}/drawer`);
  await page.getByLabel('Open a list').setInputFiles({
    name: 'many.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`size,quantity,place\n${lines.join('\n')}\n`),
  });
  await page.getByRole('button', { name: 'Put all of it in the drawer' }).click();
  await page.getByText(`, ${SIZES.toLocaleString('en-GB')} sizes`).waitFor();
  await page.waitForTimeout(500);
  const full = await besideBare([[`${benchUrl}/drawer`, DRAWN]]);
  const openMs = full.opened[0]?.openMs ?? NaN;
  row(
    `drawer of ${SIZES} sizes: open to drawn`,
    ms(openMs),
    `${Math.round(openMs - full.bareMs)} ms over the bare page (goal 100), ${full.opened[0]?.by ?? ''}`,
  );
  const drawn = await page.evaluate(async () => {
    const taken: number[] = [];
    for (let n = 0; n < 9; n += 1) {
      const start = performance.now();
      history.pushState(null, '', n % 2 ? '/drawer' : '/orders');
      dispatchEvent(new PopStateEvent('popstate'));
      await window.painted();
      if (n % 2) taken.push(performance.now() - start);
      await new Promise((done) => setTimeout(done, 120));
    }
    return taken;
  });
  row(`drawer of ${SIZES} sizes: from another page to drawn`, ms(median(drawn)), '');
}
