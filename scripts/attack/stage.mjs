/* What the attacks on the browser share: looking into a store without the app, killing a tab, lanes side by side. */

/** How many browsers work side by side; each has a store of its own. */
const LANES = 3;
export const pause = (ms) => new Promise((done) => setTimeout(done, ms));

/** What the store of a page's origin holds. */
export const stored = (page) =>
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
      ticket,
      events: events.length,
    }));
  });

/** The bench book that the store of a page's origin holds; of the demo where that is the one. */
export const storedBook = (page, demo = false) =>
  page.evaluate(
    async (name) => {
      const open = indexedDB.open(name);
      await new Promise((done, failed) => {
        open.onsuccess = done;
        open.onerror = failed;
      });
      const db = open.result;
      const record = await new Promise((done) => {
        const asked = db.transaction('settings').objectStore('settings').get('bench-book');
        asked.onsuccess = () => done(asked.result);
      });
      db.close();
      return record;
    },
    demo ? 'loose-pulley-demo' : 'loose-pulley',
  );
export const storedDemoBook = (page) => storedBook(page, true);

/** A page of the origin without the app, to look into the store with. */
export async function lookInside(context, url, look = stored) {
  const page = await context.newPage();
  await page.goto(`${url}/health`);
  const seen = await look(page);
  await page.close();
  return seen;
}

export async function crash(context, page) {
  const session = await context.newCDPSession(page);
  await Promise.race([session.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')]);
  await page.close().catch(() => undefined);
}

/** A ticket of its own in a fresh browser. @returns its address */
export async function newTicket(context, url, machine) {
  const page = await context.newPage();
  await page.goto(url);
  await page.getByLabel('What is on the bench?').fill(machine);
  await page.getByRole('button', { name: 'Start a full repair' }).click();
  await page.getByRole('navigation', { name: 'Stations' }).waitFor();
  const address = page.url().replace(/\/(takeIn|measure)$/, '/find');
  await page.getByText('Saved on this computer').waitFor();
  await page.close();
  return address;
}

/** Runs turns of an attack in several browsers at once, and adds up what they tell. */
export async function inLanes(browser, count, url, errors, begin, turn) {
  let next = 0;
  const tally = {};
  const lane = async () => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    context.on('weberror', (error) => errors.push(error.error().message));
    const at = await begin(context, url);
    while (next < count) {
      const number = next++;
      try {
        const told = await turn(context, url, at, number);
        for (const [what, many] of Object.entries(told)) tally[what] = (tally[what] ?? 0) + many;
      } catch (error) {
        tally['turns that came to no end'] = (tally['turns that came to no end'] ?? 0) + 1;
        console.error(`turn ${number}:`, String(error).split('\n').slice(0, 6).join(' '));
        for (const page of context.pages()) await page.close().catch(() => undefined);
      }
    }
    await context.close();
  };
  await Promise.all(Array.from({ length: Math.min(LANES, count) }, lane));
  return tally;
}
