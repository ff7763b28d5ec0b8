import type { Page } from '@playwright/test';
import type { Row } from './report';
import type { Stage } from './stage';

/** Pages of a fresh ticket, and those of the bench. */
const OF_TICKET = [
  'swap',
  'takeIn',
  'find',
  'strip',
  'clean',
  'measure',
  'size',
  'rebuild',
  'prove',
  'handBack',
  'train',
  'timeline',
];
const OF_BENCH = [
  '/',
  '/log',
  '/drawer',
  '/orders',
  '/day',
  '/knowledge',
  '/compatibility',
  '/why',
  '/guide',
  '/scale',
];
const MOST = { words: 350, controls: 45, shift: 0.05 } as const;
/** Until a page has all that comes by itself. */
const SETTLED_MS = 2600;

/** Adds up what moves by itself on a page, as the browser tells it (Layout Instability API). */
const watchShifts = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    const all = window as unknown as { shifts: number };
    all.shifts = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as unknown as Array<{ value: number; hadRecentInput: boolean }>)
        if (!entry.hadRecentInput) all.shifts += entry.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });

/** Words and controls that stand on a page, folded ones left out; and what moved. */
const look = (page: Page) =>
  page.evaluate(() => {
    const main = document.querySelector('main') ?? document.body;
    const shown = (one: Element): boolean => {
      const { width, height } = one.getBoundingClientRect();
      return one.checkVisibility() && width > 1 && height > 1;
    };
    const controls = [...main.querySelectorAll('a, button, input, select, textarea, [role=button], [role=slider]')];
    return {
      words: main.innerText.split(/\s+/).filter(Boolean).length,
      controls: controls.filter(shown).length,
      shift: (window as unknown as { shifts: number }).shifts,
    };
  });

/** What a first look at every page shows, and how much of it moves by itself, wide and on a phone. */
export async function benchLooks(row: Row, { browser, benchUrl, demoUrl }: Stage): Promise<void> {
  const report = async (page: Page, name: string, path: string): Promise<void> => {
    await page.goto(path);
    await page.waitForTimeout(SETTLED_MS);
    const { words, controls, shift } = await look(page);
    const over = [
      ...(words > MOST.words ? [`words over ${MOST.words}`] : []),
      ...(controls > MOST.controls ? [`controls over ${MOST.controls}`] : []),
      ...(shift > MOST.shift ? [`shift over ${MOST.shift}`] : []),
    ];
    row(
      `first look: ${name}`,
      `${words} words, ${controls} controls, shift ${shift.toFixed(3)}`,
      over.join(', ') || 'within 350, 45, 0.05',
    );
  };
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ] as const) {
    const context = await browser.newContext({ viewport: { width, height }, hasTouch: width < 500 });
    const page = await context.newPage();
    await watchShifts(page);
    await page.goto(benchUrl);
    await page.locator('#line').fill('66.4 square 1.2');
    await page.getByLabel('What is on the bench?').fill('booth deck, will not open');
    await page.getByRole('button', { name: 'Keep it as a ticket' }).click();
    await page.getByRole('navigation', { name: 'Stations' }).waitFor();
    const ticket = new URL(page.url()).pathname.replace(/\/[^/]+$/, '');
    for (const name of OF_TICKET) await report(page, `${name}, ${width}`, `${benchUrl}${ticket}/${name}`);
    await page.goto(demoUrl);
    await page.waitForTimeout(SETTLED_MS);
    for (const path of OF_BENCH) await report(page, `demo ${path}, ${width}`, `${demoUrl}${path}`);
    await context.close();
  }
}
