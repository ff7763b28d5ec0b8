import { openCore } from '../core.mjs';
import { crash, lookInside, pause, storedBook, storedDemoBook } from './stage.mjs';

/*
 * The bench book under three tabs, killed in the middle, and its counter and its lists: what the foot called saved is
 * there, nothing is counted twice, and the book is what its events give.
 */

/** Puts sizes in the drawer by their list, and one of them on the list of a supplier. @returns nothing; the book has them */
export async function stockBook(context, url) {
  const page = await context.newPage();
  await page.goto(`${url}/drawer`);
  await page.getByLabel('Open a list').setInputFiles({
    name: 'begin.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('size,quantity,label\n1.2x112,100,counted\n1.2x120,3,typed\n'),
  });
  await page.getByRole('button', { name: 'Put all of it in the drawer' }).click();
  await page.getByRole('button', { name: /1\.2 × 112\.0, 100/ }).click();
  await page.getByRole('button', { name: 'Put it on the order' }).click();
  await page.getByText('1 on the order.').waitFor();
  await page.getByText('Saved on this computer').waitFor();
  const { book } = await lookInside(context, url, storedBook);
  await page.close();
  return Object.fromEntries(book.items.map(({ label, id }) => [label, id]));
}

const saved = (page) =>
  page
    .locator('footer [role=status]')
    .filter({ hasText: /^Saved/ })
    .waitFor({ timeout: 20_000 });

/** Presses at once: of three tabs two are behind, where a browser draws so seldom that a hand's click would wait. */
const press = (button, timeout) => button.evaluate((one) => one.click(), undefined, { timeout });

/** Counts and undoes in one tab until told to stop. @returns how much of what was pressed the foot called saved */
async function count(page, random, until) {
  const done = { more: 0, fewer: 0, pressed: 0, undone: 0, asked: 0 };
  const panel = page.getByRole('region', { name: 'This size' });
  try {
    while (Date.now() < until()) {
      const dice = random();
      if (dice < 0.85) {
        const more = dice < 0.5;
        done.pressed += 1;
        await press(panel.getByRole('button', { name: more ? 'One more' : 'One fewer' }), 5000);
        await saved(page);
        done[more ? 'more' : 'fewer'] += 1;
      } else {
        await press(page.getByRole('button', { name: /^Undo: / }), 2000);
        await pause(300);
        const asks = page.getByRole('button', { name: 'Leave it' });
        if ((await asks.count()) > 0) {
          await press(asks, 2000);
          done.asked += 1;
        } else done.undone += 1;
        await saved(page);
      }
    }
  } catch (error) {
    // The tab was killed in the middle of it; anything else is told.
    if (!/crashed|closed|Timeout/.test(String(error))) throw error;
  }
  return done;
}

/** Three tabs over one drawer and one list, one of them killed; then the store is held against what they were told. */
export const threeTabs = (random, replayBook) => async (context, url, at) => {
  const sizeId = at.counted;
  const before = await lookInside(context, url, storedBook);
  const [one, two, three] = await Promise.all([context.newPage(), context.newPage(), context.newPage()]);
  await Promise.all([
    one.goto(`${url}/drawer?size=${sizeId}`),
    two.goto(`${url}/drawer?size=${sizeId}`),
    three.goto(`${url}/orders`),
  ]);
  const panel = (page) => page.getByRole('region', { name: 'This size' }).waitFor();
  await Promise.all([panel(one), panel(two), three.getByLabel(/^Note to them/).waitFor()]);
  const ends = Date.now() + 2000 + random() * 2000;
  const kills = Date.now() + 500 + random() * 1500;
  let typed = '';
  const typing = (async () => {
    const note = three.getByLabel(/^Note to them/);
    const word = `n${Math.floor(random() * 1e9)}`;
    await note.fill(word);
    await note.blur();
    await saved(three);
    typed = word;
  })();
  const killing = (async () => {
    await pause(Math.max(0, kills - Date.now()));
    await crash(context, two);
  })();
  const [first, second] = await Promise.all([
    count(one, random, () => ends),
    count(two, random, () => ends),
    typing,
    killing,
  ]);
  await saved(one);
  const { book, events } = await lookInside(context, url, storedBook);
  await Promise.all([one.close(), three.close()]);
  const fresh = events.slice(before.events.length);
  const changes = fresh.filter(({ type, itemId }) => type === 'quantityChanged' && itemId === sizeId);
  const kept = (by) => changes.filter((event) => event.by === by).length;
  const told = { more: first.more + second.more, fewer: first.fewer + second.fewer };
  const pressed = first.pressed + second.pressed;
  const replayed = replayBook(events);
  const ids = new Set(events.map(({ id }) => id));
  return {
    'rounds of three tabs': 1,
    'pieces counted': told.more + told.fewer,
    undone: first.undone + second.undone,
    'asked, since another tab did it': first.asked + second.asked,
    'called saved and gone': Math.max(0, told.more - kept(1)) + Math.max(0, told.fewer - kept(-1)),
    'counted twice': Math.max(0, changes.length - pressed) + (events.length - ids.size),
    'a note called saved and gone': fresh.some(({ type, note }) => type === 'orderNoted' && note === typed) ? 0 : 1,
    'a book that its events do not give':
      replayed.ok && JSON.stringify(replayed.value) === JSON.stringify(book) ? 0 : 1,
  };
};

/** A list of many sizes, its tab killed while it is written: all of it or nothing; done again, all of it once. */
export const csvKilled = (random, size) => async (context, url, _at, number) => {
  const rows = Array.from({ length: size }, (__, n) => `1.5x${60 + n * 0.4},2,list ${number}-${n}`);
  const file = {
    name: 'list.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`size,quantity,label\n${rows.join('\n')}\n`),
  };
  const here = async () =>
    ((await lookInside(context, url, storedBook))?.book.items ?? []).filter(({ label }) =>
      label.startsWith(`list ${number}-`),
    );
  const put = async (page) => {
    await page.goto(`${url}/drawer`);
    await page.getByLabel('Open a list').setInputFiles(file);
    return page.getByRole('button', { name: /^(Put all of it in the drawer|Count the drawer by it)$/ });
  };
  const page = await context.newPage();
  const button = await put(page);
  await button.waitFor();
  // The press, and a kill at some moment of the write behind it.
  await press(button, 15_000);
  await pause(random() * 160);
  await crash(context, page);
  const again = await context.newPage();
  const second = await put(again);
  await second.waitFor();
  // Looked at once the second tab shows its list: what a dead tab had asked for may land a moment after its death.
  const before = (await here()).length;
  if (before > 0)
    await again.getByRole('radiogroup', { name: 'The list’s figures are' }).getByText('what hangs there').click();
  await second.click();
  await again.getByText(/from “list.csv”|says just what hangs/).waitFor();
  await saved(again);
  const after = await here();
  const whole = after.length === size && after.every(({ quantity }) => quantity === 2);
  if (!whole)
    console.log(
      `List ${number}: ${before} before, ${after.length} after, ${after.map(({ quantity }) => quantity).join('')}`,
    );
  await again.close();
  // Away with all of it, so that the next list is as fast.
  await lookInside(context, url, (page) =>
    page.evaluate(
      () =>
        new Promise((done) => {
          const gone = indexedDB.deleteDatabase('loose-pulley');
          gone.onsuccess = gone.onerror = gone.onblocked = () => done();
        }),
    ),
  );
  return {
    'lists killed': 1,
    'of them whole already': before === size ? 1 : 0,
    'left in part': before === 0 || before === size ? 0 : 1,
    'not whole, or twice, when done again': whole ? 0 : 1,
  };
};

/** Takes what is left of every list off it. */
async function emptied(page) {
  const remove = page.getByRole('article', { name: /^List for/ }).getByRole('button', { name: /^Remove/ });
  for (let left = await remove.count(); left > 0; left = await remove.count()) {
    await remove.first().click();
    await saved(page);
  }
}

/** A counter that is slow, dead, broken on the way back, or asked twice: what it took is ordered once, and nothing of the list is lost. */
export const counter = (random) => async (context, url, _at, number) => {
  const page = await context.newPage();
  let taken = new Map();
  const ways = ['slow', 'dead before', 'dead after', 'broken after', 'nonsense after', 'twice'];
  const way = ways[Math.floor(random() * ways.length)];
  let turns = 0;
  await page.route('**/counter/orders', async (route) => {
    turns += 1;
    const first = turns === 1;
    if (first && way === 'dead before') return route.abort();
    // A connection that the server just let go is tried again, as a browser does.
    const response = await route.fetch().catch(() => route.fetch());
    const answer = await response.json().catch(() => null);
    const { number: own } = route.request().postDataJSON();
    if (response.ok()) taken.set(own, new Set([...(taken.get(own) ?? []), answer.reference]));
    if (first && way === 'slow') await pause(500 + random() * 1500);
    if (first && way === 'twice') await route.fetch().catch(() => undefined);
    if (first && way === 'dead after') return route.abort();
    if (first && way === 'broken after') return route.fulfill({ status: 502, body: '<html>gateway</html>' });
    if (first && way === 'nonsense after')
      return route.fulfill({ status: 200, contentType: 'application/json', body: '{"ok":true}' });
    return route.fulfill({ response });
  });
  // Sizes that the counter has, each once: what is on its way is not put on a list again.
  const size = `${number % 60 < 30 ? '1.2' : '1.5'}x${(130 + (number % 30) * 4).toFixed(0)}`;
  await page.goto(`${url}/drawer`);
  const add = async (line) => {
    await page.getByLabel(/^Put in:/).fill(line);
    await page.getByRole('button', { name: 'Put in', exact: true }).click();
    const panel = page.getByRole('region', { name: 'This size' });
    await panel.getByRole('button', { name: 'Put it on the order' }).click();
    await panel.getByText(/on the order\./).waitFor();
  };
  await add(size);
  const supplierless = page.getByRole('article', { name: 'List for a supplier' });
  await page.goto(`${url}/orders`);
  await supplierless.first().getByRole('button', { name: 'Ask the parts counter' }).click();
  const place = page.getByRole('button', { name: /Order this at the counter|Ask again: it is ordered once/ });
  const sold = page.getByRole('button', { name: 'Take that one' });
  await place.or(sold).first().waitFor({ timeout: 15_000 });
  if ((await sold.count()) > 0) {
    await sold.first().click();
    await page.getByRole('button', { name: 'Ask the parts counter' }).first().click();
    await place.waitFor();
  }
  // What the counter has none of cannot be ordered there, and the page says so.
  if (await place.isDisabled()) {
    await emptied(page);
    await page.close();
    return { 'the counter has none of it': 1 };
  }
  const placedBefore = await page.getByText(/CB-/).count();
  await place.click();
  // Meanwhile another tab puts a belt on the same list.
  const other = await context.newPage();
  await other.goto(`${url}/drawer`);
  await other.getByLabel(/^Put in:/).fill(`${size}.5`);
  await other.getByRole('button', { name: 'Put in', exact: true }).click();
  const panel = other.getByRole('region', { name: 'This size' });
  await panel.getByRole('button', { name: 'Put it on the order' }).click();
  await panel.getByText(/on the order\./).waitFor();
  await saved(other);
  await other.close();
  let told = 1;
  for (let tries = 0; tries < 6; tries++) {
    const again = page.getByRole('button', { name: 'Ask again: it is ordered once' });
    // Orders of earlier turns stand there too.
    const done = page.getByText(/CB-/).nth(placedBefore);
    await again.or(done).first().waitFor({ timeout: 15_000 });
    if ((await done.count()) > 0) break;
    told = (await page.getByText(/It may have been ordered/).count()) > 0 ? told : 0;
    await again.click();
    await pause(1200);
  }
  await saved(page);
  const { book, events } = await lookInside(context, url, storedDemoBook);
  const placings = events.filter(({ type, byCounter }) => type === 'orderPlaced' && byCounter);
  const mine = book.orders.filter(
    ({ reference, placedAt }) => placedAt !== null && [...taken.values()].some((of) => of.has(reference)),
  );
  const late = book.orders
    .flatMap(({ placedAt, lines }) => (placedAt === null ? lines : []))
    .some(({ innerLengthMm }) => innerLengthMm === Number(size.slice(4)) + 0.5);
  const early = mine
    .flatMap(({ lines }) => lines)
    .some(({ innerLengthMm }) => innerLengthMm === Number(size.slice(4)) + 0.5);
  // What is left of the list is taken off, so that the next turn begins anew.
  await emptied(page);
  await page.close();
  return {
    [`counters: ${way}`]: 1,
    'ordered more than once':
      [...taken.values()].some((of) => of.size > 1) ||
      new Set(placings.map(({ orderId }) => orderId)).size !== placings.length
        ? 1
        : 0,
    'ordered and not written down': mine.length === taken.size ? 0 : 1,
    'not said that it may be ordered': told === 1 ? 0 : 1,
    'put on the list meanwhile and gone, or ordered unasked': late || (early && way === 'dead before') ? 0 : 1,
  };
};

/** The replay of core, for what the store holds. */
export async function replayOfCore() {
  const core = await openCore();
  const { replayBook } = await core.room('shop/book');
  return { replayBook, close: () => core.close() };
}
