import type { Locator } from '@playwright/test';
import { expect, kept, openMeasured, openTicket, reading, take, test, stored } from './bench';
import type { TicketRecord } from '@loose-pulley/core/record/ticket';

test('a second tab shows the ticket live and read only, takes it over, and the first gives way', async ({
  page,
  context,
}) => {
  await openMeasured(page);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByText('Shown live, read only.')).toBeVisible();
  await expect(reading(second, 'Motor pulley')).toBeDisabled();
  await take(page, 'Driven pulley', '24.8');
  await expect(reading(second, 'Driven pulley')).toHaveValue('24.8');

  await second.getByRole('button', { name: 'Take it over here' }).click();
  await expect(reading(second, 'Motor pulley')).toBeEnabled();
  await expect(page.getByText('Shown live, read only.')).toBeVisible();
  await take(second, 'Shafts', '38.2');
  await expect(reading(page, 'Shafts')).toHaveValue('38.2');

  // The writer goes: the one that looked on writes.
  await second.close();
  await expect(reading(page, 'Motor pulley')).toBeEnabled();
  await take(page, 'Shafts', '38.4');
  await kept(page);
});

test('letters typed while another tab takes over are no shortcuts, and what was not saved is offered as a copy', async ({
  page,
  context,
}) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: Parameters<typeof put>) {
      if ((window as unknown as { full?: boolean }).full) throw new DOMException('full', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await openTicket(page, 'Pennerley T9 booth deck');
  const address = page.url().replace('/measure', '/find');
  await page.goto(address);
  await kept(page);
  await page.evaluate(() => ((window as unknown as { full: boolean }).full = true));
  await page.getByLabel('Note on Find').pressSequentially('only here ');
  await expect(page.getByRole('status')).toHaveText('Not saved');
  const other = await context.newPage();
  await other.goto(address);
  await other.getByRole('button', { name: 'Take it over here' }).click();
  await expect(other.getByLabel('Note on Find')).toBeEnabled();
  await expect(page.getByText('Read only', { exact: true })).toBeVisible();
  // The hand types on: b, n and / would be the Bench, a new ticket and the jump list.
  await page.keyboard.type('bn/?');
  await expect(page).toHaveURL(address);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await other.getByLabel('Note on Find').fill('from the other tab');
  await kept(other);
  await page.evaluate(() => ((window as unknown as { full: boolean }).full = false));
  const offer = page.getByRole('alert', { name: /Unsaved changes of 0001/ });
  await expect(offer).toContainText('Nothing was written over');
  await offer.getByRole('button', { name: 'Save it as a copy' }).click();
  await expect(offer).toHaveCount(0);
  await expect
    .poll(async () => (await stored(page, 'tickets')).map((one) => (one as TicketRecord).ticket.notes.find).sort())
    .toEqual(['from the other tab', 'only here ']);
});

test('a ticket deleted in one tab is gone from the other that shows it, in words, and its work is not lost', async ({
  page,
  context,
}) => {
  await openMeasured(page);
  const second = await context.newPage();
  await second.goto(page.url().replace(/\/measure.*/, '/timeline'));
  await second.getByRole('button', { name: 'Take it over here' }).click();
  await second.getByRole('button', { name: 'Delete this ticket' }).click();
  await second.getByRole('button', { name: 'Delete 0001' }).click();
  await expect(page.getByRole('heading', { name: 'No such ticket on this bench' })).toBeVisible();
  await expect(page.getByText('Another tab has taken this ticket off the bench.')).toBeVisible();
  await second.getByRole('button', { name: 'Put it back on the Bench' }).click();
  await page.reload();
  await expect(reading(page, 'Motor pulley')).toHaveValue('6.0');
});

test('where tabs cannot see each other it is said on the ticket, and nothing is written over', async ({ context }) => {
  await context.addInitScript(() => {
    Reflect.deleteProperty(globalThis, 'BroadcastChannel');
    Reflect.deleteProperty(Navigator.prototype, 'locks');
  });
  const [first, second] = [await context.newPage(), await context.newPage()];
  await openTicket(first, 'Pennerley T9 booth deck');
  await expect(first.getByText('Over this connection tabs cannot see each other')).toBeVisible();
  await second.goto(first.url());
  await take(first, 'Motor pulley', '6.0');
  await kept(first);
  // The second has read an older one: what it writes is refused, and offered as a copy.
  await take(second, 'Motor pulley', '7.0');
  await second.getByRole('button', { name: 'Save it as a copy' }).click();
  await expect(reading(second, 'Motor pulley')).toHaveValue('6.0');
  const tickets = (await stored(second, 'tickets')) as TicketRecord[];
  expect(tickets.map(({ ticket }) => ticket.drives[0]?.readings[0]?.amount).sort()).toEqual([6, 7]);
});

test('three tabs opened at once on a fresh profile all start, and work', async ({ context }) => {
  const pages = await Promise.all([1, 2, 3].map(() => context.newPage()));
  await Promise.all(pages.map((page) => page.goto('/')));
  for (const [index, page] of pages.entries()) await openTicket(page, `Pennerley T${index + 1}`);
  await pages[0]?.goto('/log');
  for (const number of [1, 2, 3]) await expect(pages[0]?.getByText(`Pennerley T${number}`) as Locator).toBeVisible();
});
