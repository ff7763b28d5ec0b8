import { launch, serve } from '../stage.mjs';
import { openCore } from '../core.mjs';
import { counter, csvKilled, replayOfCore, stockBook, threeTabs } from './book.mjs';
import { typing } from './fields.mjs';
import { crash, inLanes, lookInside, newTicket, pause } from './stage.mjs';

const PORT = 4840;
const DEMO_PORT = 4841;

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
  'counted twice',
  'a note called saved and gone',
  'a book that its events do not give',
  'not whole, or twice, when done again',
  'ordered more than once',
  'ordered and not written down',
  'not said that it may be ordered',
  'put on the list meanwhile and gone, or ordered unasked',
  'turns that came to no end',
];
/** Sizes of a list whose import is killed. */
const LIST = 300;

/** Kills, takes over, refuses. @returns how much went wrong */
export async function attackBrowser({ kills, takeovers, imports, rounds, counters, lists }, seed) {
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
  const replay = await replayOfCore();
  const { url, stop } = await serve(PORT);
  const demo = await serve(DEMO_PORT, '--demo');
  const browser = await launch();
  const errors = [];
  const ticket = (context, of) => newTicket(context, of, 'Pennerley T9 booth deck');
  const both = async (context, of) => ({ ticketAddress: await ticket(context, of), ...(await stockBook(context, of)) });
  const none = () => Promise.resolve({});
  let wrong = 0;
  for (const [many, of, begin, turn] of [
    [kills, url, both, typing(random)],
    [takeovers, url, ticket, takeover(random)],
    [imports, url, ticket, importing(random, (number) => archives[number], SIZE)],
    [rounds, url, stockBook, threeTabs(random, replay.replayBook)],
    [lists, url, none, csvKilled(random, LIST)],
    [counters, demo.url, none, counter(random)],
  ]) {
    if (many === 0) continue;
    const tally = await inLanes(browser, many, of, errors, begin, turn);
    console.table(tally);
    wrong += BAD.reduce((sum, what) => sum + (tally[what] ?? 0), 0);
  }
  console.log(`Errors that nobody caught: ${errors.length}`, errors.slice(0, 5));
  await browser.close();
  await replay.close();
  stop();
  demo.stop();
  return wrong + errors.length;
}
