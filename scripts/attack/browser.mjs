import { launch, serve } from '../stage.mjs';
import { openCore } from '../core.mjs';

const PORT = 4840;
/** How many browsers work side by side; each has a store of its own. */
const LANES = 3;
const pause = (ms) => new Promise((done) => setTimeout(done, ms));

/** What the store of a page's origin holds. */
const stored = (page) =>
  page.evaluate(async () => {
    const open = indexedDB.open('loose-pulley');
    await new Promise((done, failed) => {
      open.onsuccess = done;
      open.onerror = failed;
    });
    const db = open.result;
    const all = db.objectStoreNames.contains('tickets')
      ? await new Promise((done) => {
          const asked = db.transaction('tickets').objectStore('tickets').getAll();
          asked.onsuccess = () => done(asked.result);
        })
      : [];
    db.close();
    return all.map(({ ticket, events }) => ({
      id: ticket.id,
      number: ticket.number,
      machine: ticket.machine,
      find: ticket.notes.find,
      events: events.length,
    }));
  });

/** A page of the origin without the app, to look into the store with. */
async function lookInside(context, url, look = stored) {
  const page = await context.newPage();
  await page.goto(`${url}/health`);
  const seen = await look(page);
  await page.close();
  return seen;
}

async function crash(context, page) {
  const session = await context.newCDPSession(page);
  await Promise.race([session.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')]);
  await page.close().catch(() => undefined);
}

/** A ticket of its own in a fresh browser. @returns its address */
async function newTicket(context, url, machine) {
  const page = await context.newPage();
  await page.goto(url);
  await page.getByRole('button', { name: /^Open a ticket/ }).click();
  await page.getByLabel('Machine').fill(machine);
  await page.getByRole('button', { name: 'Open the ticket' }).click();
  await page.getByRole('navigation', { name: 'Stations' }).waitFor();
  const address = page.url().replace(/\/(takeIn|measure)$/, '/find');
  await page.getByText('Saved on this computer').waitFor();
  await page.close();
  return address;
}

/** Runs turns of an attack in several browsers at once, and adds up what they tell. */
async function inLanes(browser, count, url, errors, begin, turn) {
  let next = 0;
  const tally = {};
  const lane = async () => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    context.on('weberror', (error) => errors.push(error.error().message));
    const at = await begin(context, url);
    while (next < count) {
      const number = next++;
      const told = await turn(context, url, at, number);
      for (const [what, many] of Object.entries(told)) tally[what] = (tally[what] ?? 0) + many;
    }
    await context.close();
  };
  await Promise.all(Array.from({ length: Math.min(LANES, count) }, lane));
  return tally;
}

/** Types into a note and kills the tab: what the foot called saved must be in the store. */
const typing = (random) => async (context, url, address) => {
  const page = await context.newPage();
  let said = '';
  let letters = [];
  await page.exposeBinding('saw', (_, text) => {
    said = text;
  });
  await page.exposeBinding('typed', (_, text) => letters.push([Date.now(), text]));
  await page.addInitScript(() => {
    const look = () => {
      const field = document.querySelector('main textarea');
      const status = document.querySelector('footer [role=status]')?.textContent ?? '';
      if (field && status.startsWith('Saved')) window.saw(field.value);
    };
    addEventListener('DOMContentLoaded', () =>
      new MutationObserver(look).observe(document, { subtree: true, childList: true, characterData: true }),
    );
    addEventListener('input', (event) => window.typed(event.target.value));
  });
  await page.goto(address);
  const field = page.getByLabel('Note on Find');
  await field.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
  letters = [];
  said = '';
  const untilMs = Date.now() + 200 + random() * 2500;
  const ways = [20, 60, 180];
  const delay = ways[Math.floor(random() * ways.length)];
  while (Date.now() < untilMs) {
    await page.keyboard.type('abcdefghij klmnop'[Math.floor(random() * 17)]);
    await pause(delay);
  }
  const killedAt = Date.now();
  await crash(context, page);
  const [ticket] = await lookInside(context, url);
  const old = letters.findLast(([at]) => at < killedAt - 2000)?.[1] ?? '';
  return {
    'tabs killed in typing': 1,
    'letters typed': letters.length,
    'called saved and gone': ticket.find.startsWith(said) ? 0 : 1,
    'typed two seconds before and gone': ticket.find.startsWith(old) ? 0 : 1,
  };
};

/** One tab cannot write, another takes its ticket over and writes: nothing of the second is written over. */
const takeover = (random) => async (context, url, address, number) => {
  const [first, second] = [await context.newPage(), await context.newPage()];
  await first.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...args) {
      if (window.refuses && this.name === 'tickets') throw new DOMException('The disk is full.', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await first.goto(address);
  const mine = first.getByLabel('Note on Find');
  await mine.click();
  await first.evaluate(() => (window.refuses = true));
  await mine.fill(`first ${number}`);
  if (random() < 0.5) await mine.blur();
  await pause(random() * 1500);
  await second.goto(address);
  await second.getByRole('button', { name: 'Take it over here' }).click();
  const theirs = second.getByLabel('Note on Find');
  await second.waitForFunction(() => document.querySelector('main textarea')?.disabled === false, undefined, {
    timeout: 15_000,
  });
  await theirs.fill(`second ${number}`);
  await theirs.blur();
  await second.getByText('Saved on this computer').waitFor();
  await first.evaluate(() => (window.refuses = false));
  // Longer than it waits before it tries again.
  await pause(4500);
  const offered = await first.getByRole('button', { name: 'Save it as a copy' }).count();
  const [ticket] = (await lookInside(context, url)).filter(({ id }) => address.includes(id));
  if (offered > 0) await first.getByRole('button', { name: 'Drop these changes' }).first().click();
  await first.close();
  await second.close();
  return {
    'takeovers from a tab that could not write': 1,
    'written over': ticket.find === `second ${number}` ? 0 : 1,
    'offered as a copy': offered > 0 ? 1 : 0,
    'neither saved nor offered': offered > 0 ? 0 : 1,
  };
};

/** An import is killed, work goes on, the import is done again: all of it or nothing, and the work stays. */
const importing = (random, archive, size) => async (context, url, address, number) => {
  const page = await context.newPage();
  await page.goto(`${url}/log`);
  await page.getByText('Choose files').waitFor();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'archive.zip', mimeType: 'application/zip', buffer: archive(number) });
  await pause(random() * 400);
  await crash(context, page);
  const count = async () =>
    (await lookInside(context, url)).filter(({ id }) => id.startsWith(`killed-${number}-`)).length;
  const before = await count();
  const again = await context.newPage();
  await again.goto(address);
  await again.getByLabel('Note on Find').fill(`work ${number}`);
  await again.getByLabel('Note on Find').blur();
  await again.getByText('Saved on this computer').waitFor();
  await again.goto(`${url}/log`);
  await again.getByText('Choose files').waitFor();
  await again
    .locator('input[type=file]')
    .setInputFiles({ name: 'archive.zip', mimeType: 'application/zip', buffer: archive(number) });
  await again.getByText(/tickets imported|Nothing new/).waitFor({ timeout: 30_000 });
  const after = await count();
  const work = (await lookInside(context, url)).find(({ id }) => address.includes(id));
  await again.close();
  return {
    'imports killed': 1,
    'of them whole already': before === size ? 1 : 0,
    'left in part': before === 0 || before === size ? 0 : 1,
    'not whole when done again': after === size ? 0 : 1,
    'work between them gone': work?.find === `work ${number}` ? 0 : 1,
  };
};

const BAD = [
  'called saved and gone',
  'typed two seconds before and gone',
  'written over',
  'neither saved nor offered',
  'left in part',
  'not whole when done again',
  'work between them gone',
];

/** Kills, takes over, refuses. @returns how much went wrong */
export async function attackBrowser({ kills, takeovers, imports }, seed) {
  const core = await openCore();
  const { seeded } = await core.room('base/statistics');
  const { writeArchive } = await core.room('files/exchange');
  const { everything, opening, recordOf } = await core.file('/core/fixtures/sample.ts');
  const random = seeded(seed);
  const SIZE = 60;
  const archives = await Promise.all(
    Array.from({ length: imports }, async (_, number) => {
      const records = Array.from({ length: SIZE }, (__, i) =>
        recordOf([{ ...opening, ticketId: `killed-${number}-${i}` }, ...everything.slice(1)]),
      );
      return Buffer.from(await writeArchive(records, '2026-02-01T10:00:00Z'));
    }),
  );
  await core.close();
  const { url, stop } = await serve(PORT);
  const browser = await launch();
  const errors = [];
  const begin = (context) => newTicket(context, url, 'Pennerley T9 booth deck');
  let wrong = 0;
  for (const [count, turn] of [
    [kills, typing(random)],
    [takeovers, takeover(random)],
    [imports, importing(random, (number) => archives[number], SIZE)],
  ]) {
    const tally = await inLanes(browser, count, url, errors, begin, turn);
    console.table(tally);
    wrong += BAD.reduce((sum, what) => sum + (tally[what] ?? 0), 0);
  }
  console.log(`Errors that nobody caught: ${errors.length}`, errors.slice(0, 5));
  await browser.close();
  stop();
  return wrong + errors.length;
}
