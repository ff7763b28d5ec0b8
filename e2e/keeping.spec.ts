import type { Page } from '@playwright/test';
import { chance, expect, kept, measureBoothDeck, openTicket, reading, take, test, stored, worksIn } from './bench';
import type { TicketRecord } from '@loose-pulley/core/record/ticket';

test('a tab that dies in mid-work loses nothing that was taken', async ({ page, context }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await take(page, 'Motor pulley', '6.0');
  await take(page, 'Driven pulley', '24.8');
  await kept(page);
  const address = page.url();
  const session = await context.newCDPSession(page);
  await Promise.race([session.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')]);
  const again = await context.newPage();
  await again.goto(address);
  await expect(reading(again, 'Motor pulley')).toHaveValue('6.0');
  await expect(reading(again, 'Driven pulley')).toHaveValue('24.8');
  await expect(again.getByText('Read only')).toHaveCount(0);
});

test('words being typed are kept within a second, without leaving the field', async ({ page, context }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  const address = page.url().replace('/measure', '/find');
  await page.goto(address);
  await page.getByLabel('Note on Find').pressSequentially('Motor heard, tray still.');
  await expect
    .poll(() => stored(page, 'tickets').then(([kept]) => (kept as TicketRecord | undefined)?.ticket.notes.find))
    .toBe('Motor heard, tray still.');
  const session = await context.newCDPSession(page);
  await Promise.race([session.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')]);
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByLabel('Note on Find')).toHaveValue('Motor heard, tray still.');
  await expect(again.getByRole('button', { name: 'Undo: note on Find' })).toBeVisible();
});

test('a summary that a dying tab left out is made anew', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await kept(page);
  await page.evaluate(async () => {
    const open = indexedDB.open('loose-pulley');
    await new Promise((done) => (open.onsuccess = done));
    const work = open.result.transaction('summaries', 'readwrite');
    work.objectStore('summaries').clear();
    await new Promise((done) => (work.oncomplete = done));
    open.result.close();
  });
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Pennerley T9 booth deck/ }).first()).toBeVisible();
});

test('a full disk is said in words, the work goes on, and it is kept once there is room', async ({ page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: Parameters<typeof put>) {
      if ((window as unknown as { full?: boolean }).full)
        throw new DOMException('The disk is full.', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await openTicket(page, 'Pennerley T9 booth deck');
  await page.evaluate(() => ((window as unknown as { full: boolean }).full = true));
  await take(page, 'Motor pulley', '6.0');
  await expect(page.getByRole('alert').filter({ hasText: 'The disk is full' })).toBeVisible();
  await expect(page.getByText('Not saved', { exact: true })).toBeVisible();
  await take(page, 'Driven pulley', '24.8');
  await expect(reading(page, 'Driven pulley')).toHaveValue('24.8');
  await page.evaluate(() => ((window as unknown as { full: boolean }).full = false));
  await kept(page);
  await page.reload();
  await expect(reading(page, 'Driven pulley')).toHaveValue('24.8');
});

test('a browser that refuses to keep anything is said in words, and the work can be exported', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('Access is denied.', 'SecurityError');
    };
  });
  await page.goto('/');
  await expect(page.getByRole('alert').filter({ hasText: 'refuses to keep data' })).toBeVisible();
  await page.getByLabel(/As you would say it/).fill('doubled flat 66.4, section 1.2');
  await page.getByLabel('What is on the bench?').fill('Pennerley T9 booth deck');
  await page.getByRole('button', { name: 'Keep it as a ticket' }).click();
  await page.getByRole('link', { name: /^5 Measure/ }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'refuses to keep data' })).toBeVisible();
  await measureless(page);
  await page.getByRole('link', { name: /^9 Hand back/ }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export the ticket as a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toContain('pennerley');
});

/** Takes one reading without waiting for it to be kept. */
async function measureless(page: Parameters<typeof take>[0]): Promise<void> {
  await take(page, 'Motor pulley', '6.0');
  await expect(reading(page, 'Motor pulley')).toHaveValue('6.0');
}

test('undo takes back step by step to the opening, forward again, and the history keeps it all', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  for (let step = 0; step < 5; step++) await page.keyboard.press('Control+z');
  for (const label of ['Motor pulley', 'Shafts', 'Belt section', 'Old belt'])
    await expect(reading(page, label)).toHaveValue('');
  // Before them it was only begun, as a swap.
  for (let step = 0; step < 2; step++) await page.keyboard.press('Control+z');
  await expect(page.getByText('Nothing to undo.')).toBeVisible();
  for (let step = 0; step < 6; step++) await page.getByRole('button', { name: 'Redo' }).click();
  await expect(reading(page, 'Shafts')).toHaveValue('38.2');
  await page.keyboard.press('Control+z');
  await page.getByRole('link', { name: /its history/ }).click();
  await expect(page.locator('del')).toHaveText('centre distance, shaft to shaft 38.2 mm');
});

test('a ticket that is not here says where it may be', async ({ page }) => {
  await page.goto('/t/never-heard-of/measure');
  await expect(page.getByRole('heading', { name: 'No such ticket on this bench' })).toBeVisible();
});

test('a change made in the last moment before another ticket is opened is kept', async ({ page }) => {
  await openTicket(page, 'Sallowfield S1 slot player');
  await openTicket(page, 'Pennerley T9 booth deck');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await page.getByRole('link', { name: /0002/ }).click();
  await page.getByRole('link', { name: /^5 Measure/ }).click();
  // Writes are made slow, so that changes are still waiting when the ticket leaves the screen.
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: Parameters<typeof put>) {
      const until = performance.now() + 60;
      while (performance.now() < until);
      return put.apply(this, args);
    };
  });
  for (const [label, text] of [
    ['Motor pulley', '6.0'],
    ['Driven pulley', '24.8'],
    ['Shafts', '38.2'],
  ] as const)
    await take(page, label, text);
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Jump to' }).fill('0001');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Sallowfield');
  await page.goBack();
  await expect(reading(page, 'Shafts')).toHaveValue('38.2');
  await expect(reading(page, 'Shafts')).toBeEnabled();
  await kept(page);
  await page.reload();
  await expect(reading(page, 'Shafts')).toHaveValue('38.2');
});

test('typed on and on without a rest, a tab that dies loses the last second at most, and the foot never says saved', async ({
  page,
  context,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  const address = page.url().replace('/measure', '/find');
  await page.goto(address);
  const note = page.getByLabel('Note on Find');
  const words = 'motor heard, tray still, belt shiny on one side, old grease at the rack';
  await note.focus();
  // What the foot says at each frame that shows another letter: “Saved” may stand only over what was there before.
  await note.evaluate((field) => {
    const seen: string[] = [];
    Object.assign(window, { seen });
    let before = 0;
    const look = (): void => {
      const { length } = (field as HTMLTextAreaElement).value;
      if (length > before) seen.push(document.querySelector('footer [role=status]')?.textContent ?? '');
      before = length;
      requestAnimationFrame(look);
    };
    look();
  });
  for (const letter of words) {
    await page.keyboard.type(letter);
    await new Promise((rest) => setTimeout(rest, 90));
  }
  const seen = await page.evaluate(() => (window as unknown as { seen: readonly string[] }).seen);
  // Two letters may come in one frame.
  expect(seen.length).toBeGreaterThan(words.length / 2);
  expect([...new Set(seen)]).toEqual(['Saving…']);
  const session = await context.newCDPSession(page);
  await Promise.race([session.send('Page.crash').catch(() => undefined), page.waitForEvent('crash')]);
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByLabel('Note on Find')).not.toHaveValue('');
  const found = await again.getByLabel('Note on Find').inputValue();
  expect(words.startsWith(found)).toBe(true);
  // A second holds some ten letters at this pace.
  expect(words.length - found.length).toBeLessThanOrEqual(14);
});

test('Ctrl+Z undoes letters in their field, elsewhere the last gesture, and nothing comes back by leaving', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await take(page, 'Motor pulley', '6.0');
  await page.getByRole('link', { name: /^2 Find/ }).click();
  const note = page.getByLabel('Note on Find');
  await note.fill('one');
  await note.blur();
  await kept(page);
  await note.focus();
  await note.press('End');
  await page.keyboard.type(' two');
  await page.keyboard.press('Control+z');
  await expect(note).not.toHaveValue('one two');
  // The reading is untouched: the letters were undone, not the last gesture.
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/^Undone: /)).toBeVisible();
  const left = await note.inputValue();
  await page.getByRole('link', { name: /^5 Measure/ }).click();
  await expect(reading(page, 'Motor pulley')).toHaveValue('6.0');
  await page.getByRole('link', { name: /^2 Find/ }).click();
  await expect(page.getByLabel('Note on Find')).toHaveValue(left);
});

test('one record that cannot be read hides no other: it is set aside, saved raw, removed', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await kept(page);
  await page.evaluate(async () => {
    const open = indexedDB.open('loose-pulley');
    await new Promise((done) => (open.onsuccess = done));
    const work = open.result.transaction('tickets', 'readwrite');
    work.objectStore('tickets').put({ format: 'loose-pulley/ticket', version: 4, ticket: { id: 'torn' } }, 'torn');
    await new Promise((done) => (work.oncomplete = done));
    open.result.close();
  });
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Pennerley T9 booth deck/ }).first()).toBeVisible();
  const aside = page.getByRole('region', { name: 'Set aside' });
  await expect(aside).toContainText('Record torn');
  const [raw] = await Promise.all([
    page.waitForEvent('download'),
    aside.getByRole('button', { name: 'Save it raw' }).click(),
  ]);
  expect(raw.suggestedFilename()).toBe('raw-torn.json');
  await aside.getByRole('button', { name: 'Try again' }).click();
  await expect(aside).toContainText('Record torn');
  await aside.getByRole('button', { name: 'Remove', exact: true }).click();
  await aside.getByRole('button', { name: 'Remove it for good' }).click();
  await expect(aside).toHaveCount(0);
});

test('a ticket is deleted, put back, and deleted for good', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await kept(page);
  await page.getByRole('link', { name: /its history/ }).click();
  const remove = async () => {
    await page.getByRole('button', { name: 'Delete this ticket' }).click();
    await page.getByRole('button', { name: 'Delete 0001' }).click();
    await expect(page.getByText('0 of 0 tickets')).toBeVisible();
  };
  await remove();
  await page.getByRole('button', { name: 'Put it back on the Bench' }).click();
  await expect(page.getByText('1 of 1 tickets')).toBeVisible();
  await page.getByRole('link', { name: /0001/ }).click();
  await page.getByRole('link', { name: /its history/ }).click();
  await remove();
  await page.getByRole('button', { name: 'Delete for good, pictures too' }).click();
  await expect(page.getByRole('heading', { name: 'Deleted' })).toHaveCount(0);
});

declare global {
  interface Window {
    readonly begunWorkers: Worker[];
  }
}
/** Lets the test end the page's workers as a browser that runs short of memory does: without a word. */
const holdWorkers = (page: Page) =>
  page.addInitScript(() => {
    const begun: Worker[] = [];
    Object.assign(window, { begunWorkers: begun });
    window.Worker = class extends Worker {
      constructor(...args: ConstructorParameters<typeof Worker>) {
        super(...args);
        begun.push(this);
      }
    };
  });

test('a worker that is ended without a word is begun again; one that ends for ever is left, in words', async ({
  page,
}) => {
  await holdWorkers(page);
  await openTicket(page, 'Pennerley T9 booth deck');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+6');
  expect(await worksIn(page)).toBeGreaterThan(0);
  const end = () => page.evaluate(() => window.begunWorkers.at(-1)?.terminate());
  await end();
  await expect(chance(page)).toContainText('The calculation was restarted.');
  // The new one answers: another drive is worked out.
  await page.keyboard.press('Alt+5');
  await take(page, 'Shafts', '48');
  await page.keyboard.press('Alt+6');
  expect(await worksIn(page)).toBeGreaterThan(0);
  const begun = await page.evaluate(() => window.begunWorkers.length);
  // Each holds a lock as long as it lives.
  const living = () =>
    page.evaluate(async () => {
      const { held } = await navigator.locks.query();
      return held?.filter(({ name }) => name?.startsWith('loose-pulley-worker/')).length;
    });
  for (let tries = 0; tries < 3; tries++) {
    await expect.poll(living).toBe(1);
    await end();
    if (tries < 2) await expect.poll(() => page.evaluate(() => window.begunWorkers.length)).toBe(begun + tries + 1);
  }
  await expect(chance(page)).toContainText('The browser keeps ending the calculation.');
});
