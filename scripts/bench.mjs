import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureBuilt, ensurePackages, root } from './setup.mjs';
import { openCore } from './core.mjs';
import { numpyTime } from './numpy.mjs';
import { launch, serve } from './stage.mjs';

/* npm run bench: what the user waits for, measured here and now, as a table. Nothing is asserted. */
ensurePackages();
const { ensureChromium } = await import('./chromium.mjs');
if (!ensureChromium()) process.exit(1);
ensureBuilt();
const vite = await import('vite');
const express = (await import('express')).default;
const compression = (await import('compression')).default;

const work = join(root, '.tmp/bench');
rmSync(work, { recursive: true, force: true });
mkdirSync(work, { recursive: true });
const rows = [];
const row = (what, figure, beside = '') => rows.push([what, figure, beside]);
const median = (list) => quantile(list, 0.5);
const quantile = (list, q) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(q * list.length))] ?? NaN;
const ms = (value) => `${value < 10 ? value.toFixed(1) : Math.round(value)} ms`;

// The reference page.
await vite.build({
  root: join(root, 'scripts/bare'),
  logLevel: 'silent',
  build: { outDir: join(work, 'bare'), emptyOutDir: true },
});
const bareServer = express()
  .use(compression())
  .use(express.static(join(work, 'bare')))
  .listen(4822, '127.0.0.1');
const BARE = 'http://127.0.0.1:4822/';

// The app, on the demo and on an empty bench.
const servers = [await serve(4820, '--demo'), await serve(4821)];
const [DEMO, BENCH] = servers.map(({ url }) => url);
const browser = await launch();
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
/** Ends once what was just changed is on the screen. */
await context.addInitScript(() => {
  window.painted = () =>
    new Promise((painted) => {
      requestAnimationFrame(() => {
        const channel = new MessageChannel();
        channel.port1.onmessage = painted;
        channel.port2.postMessage(0);
      });
    });
});
const page = await context.newPage();
const session = await context.newCDPSession(page);
await session.send('Network.enable');
const cold = () => session.send('Network.setCacheDisabled', { cacheDisabled: true });
await cold();

/** Time from navigation to an element that can be used, as the page's own clock has it. */
async function usable(url, selector) {
  await page.goto('about:blank');
  await page.goto(url, { waitUntil: 'commit' });
  return page.evaluate(
    (query) =>
      new Promise((done) => {
        const look = () =>
          document.querySelector(query)
            ? requestAnimationFrame(() => done(performance.now()))
            : requestAnimationFrame(look);
        look();
      }),
    selector,
  );
}
/** The scripts that the page has loaded, by what they weigh as gzip; and as they came, which is brotli. */
async function scripts() {
  const loaded = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter(({ name }) => name.endsWith('.js'))
      .map(({ name, encodedBodySize }) => [new URL(name).pathname, encodedBodySize]),
  );
  const weigh = (path) => gzipSync(readFileSync(join(root, 'app/dist', path)), { level: 9 }).length;
  const kB = (bytes) => `${(bytes / 1000).toFixed(1)} kB`;
  const gzip = loaded.reduce((sum, [path]) => sum + weigh(path), 0);
  const sent = loaded.reduce((sum, [, bytes]) => sum + bytes, 0);
  return { gzip: kB(gzip), sent: kB(sent) };
}
const runs = async (n, once) => {
  const list = [];
  for (let i = 0; i < n; i++) list.push(await once());
  return list;
};

const FIELD = 'aside[aria-label="Readings"] input:not(:disabled)';
await usable(`${DEMO}/t/demo-0147/measure`, FIELD);
await page.waitForTimeout(500);
const measure = await scripts();
row('script on first load of a ticket (Measure), gzip', measure.gzip, `goal 150 kB; sent as brotli, ${measure.sent}`);
await usable(`${DEMO}/t/demo-0147/size`, '[role=slider]');
await page.waitForTimeout(300);
const size = await scripts();
row('the same, straight to Size', size.gzip, `sent as brotli, ${size.sent}`);
const bare = median(await runs(9, () => usable(BARE, '#usable')));
const ticket = median(await runs(9, () => usable(`${DEMO}/t/demo-0147/measure`, FIELD)));
row('time to usable, bare React page', ms(bare), 'reference');
row('time to usable, a ticket', ms(ticket), `${(ticket / bare).toFixed(1)} × reference`);

/** Notes, for each key-press from now on, how long the next painted frame took. */
const watchRepaints = () =>
  page.evaluate(() => {
    window.repaints = [];
    addEventListener(
      'keydown',
      () => {
        const start = performance.now();
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => window.repaints.push(performance.now() - start);
          channel.port2.postMessage(0);
        });
      },
      true,
    );
  });

// Key-press to repaint, typing into a reading.
await usable(`${DEMO}/t/demo-0147/measure`, FIELD);
await watchRepaints();
const field = page.locator(FIELD).first();
await field.focus();
for (let i = 0; i < 40; i++) {
  await page.keyboard.press(String(i % 10));
  await page.waitForTimeout(15);
  if (i % 4 === 3) for (let back = 0; back < 4; back++) await page.keyboard.press('Backspace');
}
const typing = await page.evaluate(() => window.repaints);
row(
  'key-press to repaint, typing a reading',
  `${ms(median(typing))}, 95th ${ms(quantile(typing, 0.95))}`,
  'one frame is 16.7 ms',
);
await page.keyboard.press('Escape');
await page.goto(`${DEMO}/t/demo-0147/size`);
await page.locator('[role=slider]').focus();
await watchRepaints();
for (let i = 0; i < 40; i++) {
  await page.keyboard.press(i % 8 < 4 ? 'ArrowLeft' : 'ArrowRight');
  await page.waitForTimeout(20);
}
const walking = await page.evaluate(() => window.repaints);
// What if: a drag step to repaint; and the longest task while Size opens and its odds are worked out.
await page.getByText('What if: drag and see').click();
await page.getByLabel('Hardness').waitFor();
const dragging = await page.evaluate(async () => {
  const slider = [...document.querySelectorAll('input[type=range]')][2];
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const times = [];
  for (let i = 0; i < 60; i++) {
    const start = performance.now();
    set.call(slider, String(40 + (i % 30)));
    slider.dispatchEvent(new Event('input', { bubbles: true }));
    await window.painted();
    times.push(performance.now() - start);
  }
  return times;
});
// A size typed into the drawing: everything is worked out anew, the odds beside the page.
await page.evaluate(() => {
  window.tasks = [];
  new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
    type: 'longtask',
  });
});
for (const size of ['38.4', '38.0', '38.2']) {
  const drawn = page.getByRole('textbox', { name: /^Centre distance on the drawing/ });
  await drawn.fill(size);
  await drawn.press('Enter');
  await page.waitForTimeout(1200);
}
const tasks = await page.evaluate(() => window.tasks);
row(
  'tasks over 50 ms on the page, a size typed and all worked out, three times',
  tasks.length === 0 ? 'none' : `${tasks.length}, longest ${ms(Math.max(...tasks))}`,
  'goal none',
);
row(
  'drag step to repaint, what if',
  `${ms(median(dragging))}, 95th ${ms(quantile(dragging, 0.95))}`,
  'one frame is 16.7 ms',
);
row('key-press to repaint, walking the ruler', `${ms(median(walking))}, 95th ${ms(quantile(walking, 0.95))}`);

// Open and save.
const open = await runs(9, async () => {
  await page.goto(`${DEMO}/`);
  await page.locator('a[href="/t/demo-0147/size"]').first().waitFor();
  return page.evaluate(
    () =>
      new Promise((done) => {
        const start = performance.now();
        const look = () =>
          document.querySelector('[role=slider]')
            ? requestAnimationFrame(() => done(performance.now() - start))
            : requestAnimationFrame(look);
        document.querySelector('a[href="/t/demo-0147/size"]').click();
        look();
      }),
  );
});
row('open a ticket from the Bench, at Size', ms(median(open)));
const save = await runs(9, async () => {
  await page.goto(`${DEMO}/t/demo-0147/measure`);
  await page.locator(FIELD).first().waitFor();
  await page
    .locator(FIELD)
    .first()
    .fill(String(6 + Math.round(Math.random() * 50) / 100));
  const measured = page.evaluate(
    () =>
      new Promise((done) => {
        const status = document.querySelector('footer [role=status]');
        let start;
        new MutationObserver(() => {
          if (status.textContent.startsWith('Keeping')) start = performance.now();
          else if (start) done(performance.now() - start);
        }).observe(status, { characterData: true, childList: true, subtree: true });
        setTimeout(() => done(NaN), 3000);
      }),
  );
  await page.locator(FIELD).first().press('Enter');
  return measured;
});
row('save a ticket, from Enter to kept', ms(median(save)));

// Ranking, in Node: the same code without the screen.
const core = await openCore();
const load = core.room;
const [{ CATALOGUE }, { driveFacts }, sizing, exchange, { recordOf, everything, opening }] = [
  await load('catalogue'),
  await load('measuring'),
  await load('sizing'),
  await load('exchange'),
  await core.file('/core/fixtures/sample.ts'),
];
const reading = (measurand, method, amount) => ({
  id: measurand,
  measurand,
  method,
  typed: '',
  amount,
  aux: {},
  ownStd: null,
});
const facts = driveFacts(
  [
    reading('section', 'sectionJaws', 1.2),
    reading('motorDiameter', 'motorJaws', 6),
    reading('drivenDiameter', 'drivenJaws', 24.8),
    reading('centreDistance', 'shaftToShaft', 38.2),
  ],
  { crossed: false, motorGroove: { form: 'flat' }, drivenGroove: { form: 'flat' } },
);
const situation = sizing.situationOf(facts, {
  motorSurface: 'clean',
  drivenSurface: 'clean',
  oldShape: 'square',
}).value;
for (let i = 0; i < 20; i++) sizing.rank(situation, CATALOGUE);
const ranking = await runs(30, async () => {
  const start = performance.now();
  sizing.rank(situation, CATALOGUE);
  return performance.now() - start;
});
row(
  `ranking of every catalogue belt (${CATALOGUE.length})`,
  ms(median(ranking)),
  `${((1000 * median(ranking)) / CATALOGUE.length).toFixed(1)} µs a belt`,
);

// The odds of 500 belts: a first look, all 4,000 draws, and NumPy at the same work.
const odds = await load('odds');
const { CATALOGUE: known } = await load('catalogue');
const { sectionAreaMm2 } = await load('rubber');
const fiveHundred = [...known, ...known].slice(0, 500);
const timed = async (draws) =>
  median(
    await runs(9, async () => {
      const start = performance.now();
      const samples = odds.drawSamples(situation, draws, 1);
      odds.probabilitiesOf(odds.playOutcomes(samples, situation, fiveHundred), odds.evenly(draws));
      return performance.now() - start;
    }),
  );
row('odds of 500 belts, first estimate (250 draws)', ms(await timed(250)), 'goal 50 ms');
row('odds of 500 belts, 4,000 draws', ms(await timed(4000)), 'goal 1.5 s');
const samples = odds.drawSamples(situation, 4000, 1);
const outcomes = await runs(9, async () => {
  const start = performance.now();
  odds.playOutcomes(samples, situation, fiveHundred);
  return performance.now() - start;
});
const numpy = numpyTime({
  samples: Object.fromEntries(
    Object.entries(samples).flatMap(([key, list]) => (key === 'count' ? [] : [[key, [...list]]])),
  ),
  limits: situation.limits,
  belts: fiveHundred.map((belt) => ({
    thicknessMm: belt.thicknessMm,
    innerLengthMm: belt.innerLengthMm,
    toleranceMm: belt.innerLengthToleranceMm,
    areaMm2: sectionAreaMm2(belt),
    growth: Math.PI,
    grooveLog: situation.oldSection ? Math.abs(Math.log(belt.thicknessMm / situation.oldSection.thicknessMm)) : 0,
  })),
});
const ours = odds
  .playOutcomes(samples, situation, fiveHundred)
  .reduce((sum, outcome) => sum + (outcome === 0 ? 1 : 0), 0);
row(
  'every belt in every world, drawn already',
  ms(Math.min(...outcomes)),
  numpy ? `NumPy ${ms(numpy.ms)}; ${ours} works, NumPy ${numpy.works}` : 'NumPy could not be installed',
);

// An archive of 2,000 tickets: taken in, and opened.
const records = Array.from({ length: 2000 }, (_, i) =>
  recordOf([
    { ...opening, ticketId: `bench-${i}`, details: { ...opening.details, number: String(i + 1).padStart(4, '0') } },
    ...everything.slice(1),
  ]),
);
const counted = everything.find(({ type }) => type === 'cycleLogged');
const long = recordOf([
  opening,
  ...Array.from({ length: 1000 }, (_, i) => ({
    type: 'cycleLogged',
    cycle: {
      ...counted.cycle,
      id: `c${i}`,
      cleanRunId: null,
      seconds: 1.2 + (i % 9) / 10,
      action: i % 2 ? 'close' : 'open',
    },
  })),
]);
writeFileSync(join(work, 'long.json'), exchange.writeTicketFile(long));
const offStep = everything.find(({ type }) => type === 'stepPut').step;
// Sixty pictures of noise, so that none is the same and none is small.
const shots = await page.evaluate(() =>
  Array.from({ length: 60 }, (_, shot) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1600, 1200];
    const pen = canvas.getContext('2d');
    for (let i = 0; i < 3000; i++) {
      pen.fillStyle = `hsl(${(i * 37 + shot * 61) % 360} 60% 50%)`;
      pen.fillRect((i * 131 + shot * 17) % 1600, (i * 71) % 1200, 90, 60);
    }
    return canvas.toDataURL('image/jpeg', 0.85).split(',')[1];
  }),
);
const pictures = Object.fromEntries(
  shots.map((base64) => {
    const bytes = new Uint8Array(Buffer.from(base64, 'base64'));
    return [exchange.pictureName(bytes), bytes];
  }),
);
const pictureIds = Object.keys(pictures);
const deep = recordOf([
  { ...opening, ticketId: 'bench-strip' },
  ...pictureIds.map((id) => ({
    type: 'picturePut',
    picture: { ...everything.find(({ type }) => type === 'picturePut').picture, id, bytes: pictures[id].length },
  })),
  ...Array.from({ length: 400 }, (_, i) => ({
    type: 'stepPut',
    step: {
      ...offStep,
      id: `s${i}`,
      number: i + 1,
      kind: i % 9 === 8 ? 'cover' : 'fasteners',
      what: i % 9 === 8 ? `cover ${i}` : 'screws',
      pictureIds: i < pictureIds.length ? [pictureIds[i]] : [],
    },
  })),
]);
writeFileSync(join(work, 'deep.zip'), exchange.writeArchive([deep], '2026-01-31T09:00:00.000Z', pictures));
writeFileSync(join(work, 'archive.zip'), exchange.writeArchive(records, '2026-01-31T09:00:00.000Z'));
const diagnosis = await load('diagnosis');
const machine = diagnosis.machineOf(diagnosis.KNOWLEDGE, 'carousel');
const answered = {
  loader: 'carousel',
  observations: machine.tests.slice(1).map((test) => ({ testId: test.id, outcome: test.outcomes[0].id, cured: 0 })),
  cured: [],
  ruledOut: [],
  opened: 'lidOn',
  stillFails: false,
};
const advising = await runs(30, async () => {
  const start = performance.now();
  diagnosis.suggest(machine, diagnosis.believe(machine, answered), answered);
  return performance.now() - start;
});
row(
  'next test, everything else answered',
  ms(median(advising)),
  `goal 50 ms; ${machine.hypotheses.length} hypotheses, ${machine.tests.length} tests`,
);
await core.close();
await page.goto(`${BENCH}/log`);
await page.locator('input[type=file]').setInputFiles(join(work, 'long.json'));
await page.getByText('1 ticket taken in.').waitFor();
await page.goto(`${BENCH}/t/${long.ticket.id}/takeIn`);
await page.getByText('of 1000 failed').waitFor();
// By the big key on the screen: a key of the keyboard waits first to see whether a caliper is typing.
const pressed = (counts) =>
  page.evaluate(async (logs) => {
    const good = [...document.querySelectorAll('button')].find(({ textContent }) => textContent.startsWith('Good'));
    const times = [];
    for (let i = 0; i < 30; i++) {
      const start = performance.now();
      if (logs) good.click();
      else document.querySelector('h2').dataset.turn = String(i);
      await window.painted();
      times.push(performance.now() - start);
      if (logs && !document.body.innerText.includes(`of ${1001 + i} failed`))
        throw new Error('painted before it was counted');
      await new Promise((rest) => setTimeout(rest, 80));
    }
    return times;
  }, counts);
const nothing = median(await pressed(false));
const counting = await pressed(true);
row(
  'press to repaint, a cycle logged at 1,000',
  `${ms(median(counting))}, 95th ${ms(quantile(counting, 0.95))}`,
  `${ms(median(counting) - nothing)} over a press that changes nothing; one frame is 16.7 ms`,
);
// A strip of 400 steps: one more line, and a balloon pressed.
await page.goto(`${BENCH}/log`);
await page.locator('input[type=file]').setInputFiles(join(work, 'deep.zip'));
await page.getByText('1 ticket taken in.').waitFor();
const openDeep = await usable(`${BENCH}/t/bench-strip/strip`, 'svg [role=button]');
row('Strip of 400 steps and 60 pictures opened', ms(openDeep), `${(openDeep / bare).toFixed(1)} × reference`);
const adding = await page.evaluate(async () => {
  const field = document.querySelector('input[placeholder="4 ph1 underside"]');
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const times = [];
  for (let i = 0; i < 12; i++) {
    set.call(field, `2 ph0 place ${i}`);
    field.dispatchEvent(new Event('input', { bubbles: true }));
    await new Promise((rest) => setTimeout(rest, 200));
    const start = performance.now();
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
    await window.painted();
    times.push(performance.now() - start);
    await new Promise((rest) => setTimeout(rest, 200));
  }
  if (!document.body.innerText.includes('place 11')) throw new Error('the lines were not taken');
  return times;
});
row('Enter to repaint, one more step at 400', `${ms(median(adding))}, 95th ${ms(quantile(adding, 0.95))}`);
// The way back shows every picture: frames while it is scrolled from end to end.
const openBack = await usable(`${BENCH}/t/bench-strip/rebuild`, 'main ol li');
const frames = await page.evaluate(async () => {
  const times = [];
  let last = performance.now();
  for (let i = 0; i < 120; i++) {
    scrollBy(0, 400);
    await new Promise(requestAnimationFrame);
    const now = performance.now();
    times.push(now - last);
    last = now;
  }
  return times;
});
row('Rebuild of 400 steps and 60 pictures opened', ms(openBack), `${(openBack / bare).toFixed(1)} × reference`);
row(
  'a frame while it is scrolled',
  `${ms(median(frames))}, 95th ${ms(quantile(frames, 0.95))}`,
  'one frame is 16.7 ms',
);
await page.goto(`${BENCH}/log`);
const started = Date.now();
await page.locator('input[type=file]').setInputFiles(join(work, 'archive.zip'));
await page.getByText('2000 tickets taken in.').waitFor({ timeout: 300_000 });
row(
  'archive of 2,000 tickets taken in, each checked',
  `${((Date.now() - started) / 1000).toFixed(1)} s`,
  'in a worker',
);
const openAll = await runs(5, () => usable(`${BENCH}/`, 'main ul li a'));
row('Bench opened with 2,000 tickets', ms(median(openAll)), `${(median(openAll) / bare).toFixed(1)} × reference`);
const openLog = await runs(5, () => usable(`${BENCH}/log`, 'main ul li a'));
row('Log opened with 2,000 tickets', ms(median(openLog)));

// How the adviser does beside a fixed order.
const { playAdviser } = await import('./adviser.mjs');
const played = await playAdviser(60);
for (const [loader, player, first, , , tests, minutes, , , ofCeiling, saved] of played.slice(1)) {
  if (player === 'adviser')
    row(
      `adviser, ${loader}: right after 5 tests, minutes to certain`,
      `${first}, ${minutes} min`,
      `${ofCeiling} of the ceiling, ${saved} fewer minutes than the fixed order; ${tests} tests; 60 machines, docs/ADVISER.md has more`,
    );
}

await browser.close();
bareServer.close();
servers.forEach(({ stop }) => stop());
const widths = [0, 1, 2].map((column) => Math.max(...rows.map((cells) => cells[column].length)));
console.log(
  `\n${rows
    .map((cells) =>
      cells
        .map((cell, column) => cell.padEnd(widths[column]))
        .join('  ')
        .trimEnd(),
    )
    .join('\n')}\n`,
);
console.log(
  `Node ${process.versions.node}, Chromium ${browser.version()}, ${(await import('node:os')).cpus().length} cores.`,
);
process.exit(0);
