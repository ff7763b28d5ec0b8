import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeArchive, writeBookFile, pictureName } from '../../core/src/files/exchange';
import { emptyBook, replayBook, type BookBody, type BookEvent } from '../../core/src/shop/book';
import { newItem } from '../../core/src/shop/drawer';
import { writeTicketFile, type EventBody, type TicketRecord } from '../../core/src/record/ticket';
import { cycle, everything, opening, picture, recordOf, step } from '../../core/fixtures/sample';
import { median, ms, runs, spread, type Row } from './report';
import type { Stage } from './stage';

const MADE_AT = '2026-01-31T09:00:00.000Z';
const opened = (ticketId: string, number = '0001'): EventBody =>
  opening.type === 'ticketOpened' ? { ...opening, ticketId, details: { ...opening.details, number } } : opening;

const longTasks = (tasks: readonly number[]): string =>
  tasks.length === 0 ? 'none' : `${tasks.length}, longest ${ms(Math.max(...tasks))}`;

/** A ticket with a thousand cycles. */
const long = (): TicketRecord =>
  recordOf([
    opening,
    ...Array.from({ length: 1000 }, (_, i): EventBody => ({
      type: 'cycleLogged',
      cycle: { ...cycle(`c${i}`, 'good'), seconds: 1.2 + (i % 9) / 10, action: i % 2 ? 'close' : 'open' },
    })),
  ]);

/** A strip of 400 steps and sixty pictures of noise, so that none is the same and none is small. */
async function deep({ page }: Stage) {
  const shots = await page.evaluate(() =>
    Array.from({ length: 60 }, (_, shot) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [1600, 1200];
      const pen = canvas.getContext('2d');
      if (!pen) throw new Error('nothing to draw on');
      for (let i = 0; i < 3000; i++) {
        pen.fillStyle = `hsl(${(i * 37 + shot * 61) % 360} 60% 50%)`;
        pen.fillRect((i * 131 + shot * 17) % 1600, (i * 71) % 1200, 90, 60);
      }
      return canvas.toDataURL('image/jpeg', 0.85).split(',')[1] ?? '';
    }),
  );
  const pictures = Object.fromEntries(
    shots.map((base64) => {
      const bytes = new Uint8Array(Buffer.from(base64, 'base64'));
      return [pictureName(bytes), bytes];
    }),
  );
  const ids = Object.keys(pictures);
  const record = recordOf([
    opened('bench-strip'),
    ...ids.map((id): EventBody => ({
      type: 'picturePut',
      picture: { ...picture(id, ''), bytes: pictures[id]?.length ?? 0 },
    })),
    ...Array.from({ length: 400 }, (_, i): EventBody => {
      const cover = i % 9 === 8;
      return {
        type: 'stepPut',
        step: {
          ...step(`s${i}`, i + 1, cover ? 'cover' : 'screws', cover ? `cover ${i}` : 'screws'),
          what: cover ? `cover ${i}` : 'screws',
          pictureIds: ids.slice(i, i + 1),
        },
      };
    }),
  ]);
  return { record, pictures };
}

async function importFile({ page, benchUrl, work }: Stage, file: string, said: string, timeout = 30_000) {
  await page.goto(`${benchUrl}/log`);
  await page.getByText('Choose files').waitFor();
  await page.waitForTimeout(1000);
  // By the page's own clock, from the moment it has the file.
  await page.evaluate((words) => {
    window.tasks = [];
    const observer = new PerformanceObserver((list) =>
      window.tasks.push(...list.getEntries().map(({ duration }) => duration)),
    );
    observer.observe({ type: 'longtask' });
    addEventListener(
      'change',
      () => {
        const start = performance.now();
        new MutationObserver(() => {
          if (document.body.textContent?.includes(words)) window.seconds ??= (performance.now() - start) / 1000;
        }).observe(document.body, { subtree: true, childList: true, characterData: true });
      },
      { capture: true, once: true },
    );
  }, said);
  await page.locator('input[type=file]').setInputFiles(join(work, file));
  await page.getByText(said).waitFor({ timeout });
  return page.evaluate(() => window.seconds ?? NaN);
}

/** A cycle at a thousand. By the big key on the screen: the keyboard's waits first to see whether a caliper types. */
async function benchCycles(row: Row, stage: Stage) {
  const { page, benchUrl, work } = stage;
  const record = long();
  writeFileSync(join(work, 'long.json'), writeTicketFile(record));
  await importFile(stage, 'long.json', '1 ticket imported.');
  await page.goto(`${benchUrl}/t/${record.ticket.id}/takeIn`);
  await page.getByText('of 1000 failed').waitFor();
  const pressed = (logs: boolean) =>
    page.evaluate(async (counts) => {
      const good = [...document.querySelectorAll('button')].find(({ textContent }) => textContent?.startsWith('Good'));
      const taken: number[] = [];
      for (let i = 0; i < 30; i++) {
        const start = performance.now();
        if (counts) good?.click();
        else document.querySelector('h2')?.setAttribute('data-turn', String(i));
        await window.painted();
        taken.push(performance.now() - start);
        if (counts && !document.body.innerText.includes(`of ${1001 + i} failed`))
          throw new Error('painted before it was counted');
        await new Promise((rest) => setTimeout(rest, 80));
      }
      return taken;
    }, logs);
  const nothing = median(await pressed(false));
  const counting = await pressed(true);
  row(
    'press to repaint, a cycle logged at 1,000',
    spread(counting),
    `${ms(median(counting) - nothing)} over a press that changes nothing; one frame is 16.7 ms`,
  );
}

async function benchStrip(row: Row, stage: Stage) {
  const { page, benchUrl, work, usable } = stage;
  const { record, pictures } = await deep(stage);
  writeFileSync(join(work, 'deep.zip'), await writeArchive([record], MADE_AT, pictures));
  await importFile(stage, 'deep.zip', '1 ticket imported.');
  const { opened: shown } = await stage.besideBare([
    [`${benchUrl}/t/bench-strip/strip`, 'svg [role=button]'],
    [`${benchUrl}/t/bench-strip/rebuild`, 'main ol li'],
  ]);
  for (const [index, name] of ['Strip', 'Rebuild'].entries())
    row(`${name} of 400 steps and 60 pictures opened`, ms(shown[index]?.openMs ?? NaN), shown[index]?.by);
  await usable(`${benchUrl}/t/bench-strip/strip`, 'svg [role=button]');
  const adding = await page.evaluate(async () => {
    const field = document.querySelector<HTMLInputElement>('input[placeholder="4 ph1 underside"]');
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
    if (!field || !set) throw new Error('no field for a line');
    const taken: number[] = [];
    for (let i = 0; i < 12; i++) {
      set.call(field, '2 ph0 front');
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise((rest) => setTimeout(rest, 200));
      const start = performance.now();
      field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
      await window.painted();
      taken.push(performance.now() - start);
      await new Promise((rest) => setTimeout(rest, 200));
    }
    if (!/412 screws\b|step 412|412/.test(document.body.innerText))
      throw new Error(document.body.innerText.slice(0, 3000));
    return taken;
  });
  row('Enter to repaint, one more step at 400', spread(adding));
  await usable(`${benchUrl}/t/bench-strip/rebuild`, 'main ol li');
  const frames = await page.evaluate(async () => {
    const taken: number[] = [];
    let last = performance.now();
    for (let i = 0; i < 120; i++) {
      scrollBy(0, 400);
      await new Promise(requestAnimationFrame);
      const now = performance.now();
      taken.push(now - last);
      last = now;
    }
    return taken;
  });
  row('a frame while it is scrolled', spread(frames), 'one frame is 16.7 ms');
}

/** A history of twenty thousand events, and a strip of five thousand steps: more than anybody will have. */
async function benchVast(row: Row, stage: Stage) {
  const { page, benchUrl, work, usable } = stage;
  const vast = recordOf([
    opened('bench-history'),
    ...Array.from({ length: 20_000 }, (_, i): EventBody => ({
      type: 'noteWritten',
      station: 'find',
      text: `looked at it for the ${i}th time`,
    })),
  ]);
  const strip = recordOf([
    opened('bench-steps'),
    ...Array.from({ length: 5000 }, (_, i): EventBody => {
      const kind = i % 9 === 8 ? 'cover' : 'screws';
      return { type: 'stepPut', step: { ...step(`s${i}`, i + 1, kind, `${kind} ${i}`), what: `${kind} ${i}` } };
    }),
  ]);
  writeFileSync(join(work, 'vast.zip'), await writeArchive([vast, strip], MADE_AT));
  await importFile(stage, 'vast.zip', '2 tickets imported.', 120_000);
  const pages = [
    ['History of 20,000 events opened', 'bench-history/timeline', 'main ol li'],
    ['Strip of 5,000 steps opened', 'bench-steps/strip', 'svg [role=button]'],
    ['Rebuild of 5,000 steps opened', 'bench-steps/rebuild', 'main ol li'],
  ] as const;
  const { opened: shown } = await stage.besideBare(
    pages.map(([, path, selector]) => [`${benchUrl}/t/${path}`, selector]),
  );
  for (const [index, [what, path, selector]] of pages.entries()) {
    await usable(`${benchUrl}/t/${path}`, selector);
    const nodes = await page.evaluate(() => document.querySelectorAll('*').length);
    row(what, ms(shown[index]?.openMs ?? NaN), `${shown[index]?.by}, ${nodes} nodes`);
  }
  await usable(`${benchUrl}/t/bench-history/find`, 'main textarea');
  await page.waitForTimeout(3000);
  const undoing = await page.evaluate(async () => {
    const undo = () =>
      [...document.querySelectorAll('footer button')].find((one) => one.textContent?.startsWith('Undo'));
    const field = document.querySelector('main textarea') as HTMLTextAreaElement;
    const taken: number[] = [];
    for (let i = 0; i < 20; i++) {
      const before = field.value;
      const start = performance.now();
      (undo() as HTMLButtonElement).click();
      while (field.value === before && performance.now() - start < 2000) await new Promise((go) => setTimeout(go));
      await window.painted();
      taken.push(performance.now() - start);
      await new Promise((rest) => setTimeout(rest, 400));
    }
    return taken;
  });
  row('press to repaint, undo in a history of 20,000', spread(undoing), 'two frames are 33 ms');
}

/** A bench book of twenty thousand events over a thousand sizes: ten years of a busy bench. */
async function benchBook(row: Row, stage: Stage) {
  const { page, benchUrl, work, usable } = stage;
  const items = Array.from({ length: 1000 }, (_, i) =>
    newItem(`i${i}`, { shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm: 60 + i / 3 }, 5),
  );
  const events = [
    { type: 'itemsPut', items } as const,
    ...Array.from({ length: 20_000 }, (_, i): BookBody => ({ type: 'quantityChanged', itemId: `i${i % 1000}`, by: 1 })),
  ].map((body, n): BookEvent => ({ ...body, id: `e${n}`, at: MADE_AT }));
  const book = replayBook(events);
  if (!book.ok) throw new Error(book.problem);
  writeFileSync(join(work, 'book.json'), writeBookFile({ ...emptyBook(), book: book.value, events }));
  await usable(`${benchUrl}/drawer`, 'main h1');
  await page.getByLabel('Import a bench book').setInputFiles(join(work, 'book.json'));
  await page.getByRole('button', { name: 'Put it in place of mine' }).click();
  await page.getByText(/this bench’s book now/).waitFor();
  await usable(`${benchUrl}/orders`, 'footer button');
  await page.waitForTimeout(4000);
  const undoing = await page.evaluate(async () => {
    const undo = () =>
      [...document.querySelectorAll('footer button')].find((one) => /^Undo: /.test(one.textContent ?? ''));
    const taken: number[] = [];
    for (let i = 0; i < 20; i++) {
      const before = undo()?.textContent;
      const start = performance.now();
      (undo() as HTMLButtonElement).click();
      while (undo()?.textContent === before && performance.now() - start < 2000)
        await new Promise((go) => setTimeout(go));
      await window.painted();
      taken.push(performance.now() - start);
      await new Promise((rest) => setTimeout(rest, 400));
    }
    return taken;
  });
  row('press to repaint, undo in a bench book of 20,000 events', spread(undoing), 'two frames are 33 ms');
}

async function benchArchive(row: Row, stage: Stage) {
  const { page, benchUrl, work, usable } = stage;
  const records = Array.from({ length: 2000 }, (_, i) =>
    recordOf([opened(`bench-${i}`, String(i + 1).padStart(4, '0')), ...everything.slice(1)]),
  );
  writeFileSync(join(work, 'archive.zip'), await writeArchive(records, MADE_AT));
  const seconds = await importFile(stage, 'archive.zip', '2,000 tickets imported.', 300_000);
  await page.waitForTimeout(1500);
  row(
    'archive of 2,000 tickets imported, each checked',
    `${seconds.toFixed(1)} s`,
    `goal 3 s; tasks over 50 ms on the page: ${longTasks(await page.evaluate(() => window.tasks))}`,
  );
  for (let more = 1; more < 5; more++) {
    const others = Array.from({ length: 2000 }, (_, i) =>
      recordOf([opened(`bench-${more}-${i}`, String(2000 * more + i + 1).padStart(5, '0')), ...everything.slice(1)]),
    );
    writeFileSync(join(work, 'more.zip'), await writeArchive(others, MADE_AT));
    await importFile(stage, 'more.zip', '2,000 tickets imported.', 120_000);
  }
  await usable(`${benchUrl}/`, 'main ul li a');
  await page.waitForTimeout(3000);
  const { opened: shown } = await stage.besideBare(
    [
      [`${benchUrl}/`, 'main ul li a'],
      [`${benchUrl}/log`, 'main ul li a'],
    ],
    7,
  );
  row('Bench opened with 10,000 tickets', ms(shown[0]?.openMs ?? NaN), shown[0]?.by);
  row('Log opened with 10,000 tickets', ms(shown[1]?.openMs ?? NaN), shown[1]?.by);
  const unkept = await runs(5, async () => {
    await page.evaluate(() => localStorage.clear());
    return usable(`${benchUrl}/`, 'main ul li a');
  });
  row('the same Bench where nothing was kept of the last look', ms(median(unkept)));
  await page.goto(`${benchUrl}/log`);
  await page.waitForTimeout(3000);
  await page.evaluate(() => {
    window.tasks = [];
    new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
      type: 'longtask',
    });
  });
  const started = Date.now();
  const file = page.waitForEvent('download', { timeout: 180_000 });
  await page.getByRole('button', { name: 'Save a copy of everything' }).click();
  await file;
  row(
    'archive of 10,000 tickets exported, read back',
    `${((Date.now() - started) / 1000).toFixed(1)} s`,
    `goal 10 s; tasks over 50 ms on the page: ${longTasks(await page.evaluate(() => window.tasks))}`,
  );
}

/** A bench that has been worked at for years. */
export async function benchFull(row: Row, stage: Stage): Promise<void> {
  await benchCycles(row, stage);
  await benchStrip(row, stage);
  await benchVast(row, stage);
  await benchBook(row, stage);
  await benchArchive(row, stage);
}
