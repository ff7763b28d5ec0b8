import { test as base, expect, type Page } from '@playwright/test';

/**
 * A page that fails its test on anything the browser complains of: a breach of the content policy, an error nobody
 * caught, a call to anywhere else.
 */
export const test = base.extend<{ readonly watched: void }>({
  watched: [
    async ({ context, baseURL }, use) => {
      const complaints: string[] = [];
      // Tests look at everything; what a first look folds away is tested by itself.
      await context.addInitScript(() => {
        if (location.origin !== 'null') localStorage.setItem('loose-pulley unfolded', '*');
      });
      context.on('console', (message) => {
        if (message.type() === 'error') complaints.push(message.text());
      });
      context.on('weberror', (error) => complaints.push(error.error().message));
      context.on('request', (request) => {
        const url = new URL(request.url());
        if (url.protocol.startsWith('http') && url.origin !== new URL(baseURL ?? '').origin)
          complaints.push(`called ${url.origin}`);
      });
      await use();
      expect(complaints).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

/** What waits, at the foot: one counted word that opens upwards. */
export const waits = (page: Page) => page.getByRole('contentinfo').locator('button[aria-haspopup=dialog]');

/** Opens a ticket from the Bench, with a reading where one is given. */
export async function openTicket(page: Page, machine: string, line?: string): Promise<void> {
  await page.goto('/');
  if (line) await page.locator('#line').fill(line);
  await page.getByLabel('What is on the bench?').fill(machine);
  await page.getByRole('button', { name: /^(Keep it as a ticket|Swap the belt)$/ }).click();
  // The Bench names the newest ticket too; the ticket itself is open once its stations stand.
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(machine);
  await moveTo(page, new URL(page.url()).pathname.replace('/swap', '/measure'));
}

/**
 * Goes to an address within the app, as its own links do, and waits until that page names itself: some ten times as
 * fast as to load everything anew.
 */
export async function moveTo(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    document.title = '';
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
  await expect(page).not.toHaveTitle('');
}

/** The field of a reading in the list. */
export const reading = (page: Page, label: string) =>
  page.getByRole('complementary', { name: 'Readings' }).getByLabel(label, { exact: true });

export async function take(page: Page, label: string, text: string): Promise<void> {
  await reading(page, label).fill(text);
  await reading(page, label).press('Enter');
}

/** Waits until the ticket is in the store. */
export const kept = (page: Page) => expect(page.getByText('Saved on this computer')).toBeVisible();

/** A ticket with one reading, saved. */
export async function openMeasured(page: Page): Promise<void> {
  await openTicket(page, 'Pennerley T9 booth deck');
  await take(page, 'Motor pulley', '6.0');
  await kept(page);
}

/** The booth deck of the worked example, measured. */
export async function measureBoothDeck(page: Page): Promise<void> {
  await take(page, 'Motor pulley', '6.0');
  await take(page, 'Driven pulley', '24.8');
  await take(page, 'Shafts', '38.2');
  await kept(page);
}

/** What the answer says of the picked belt's chance. */
export const chance = (page: Page) => page.getByRole('region', { name: 'Chance', exact: true });

/** The picked belt's chance, in 100, once they are worked out. */
export async function worksIn(page: Page): Promise<number> {
  await chanceSettled(page);
  const words = await chance(page).innerText();
  const share = /(\d+) in 100/.exec(words)?.[1];
  if (!share) throw new Error(`no chance in “${words}”`);
  return Number(share);
}

/** Waits until the chance of the belts are worked out to the last draw. */
export const chanceSettled = (page: Page): Promise<void> => expect(chance(page)).toHaveAttribute('aria-busy', 'false');

/** What the browser's store holds under a key, as it is. */
export const stored = (page: Page, table: string): Promise<unknown[]> =>
  page.evaluate(
    (name) =>
      new Promise<unknown[]>((resolve, reject) => {
        const opening = indexedDB.open('loose-pulley');
        opening.onerror = () => reject(new Error('not opened'));
        opening.onsuccess = () => {
          const all = opening.result.transaction(name).objectStore(name).getAll();
          all.onerror = () => reject(new Error('not read'));
          all.onsuccess = () => {
            opening.result.close();
            resolve(all.result as unknown[]);
          };
        };
      }),
    table,
  );
