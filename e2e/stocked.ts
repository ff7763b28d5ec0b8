import type { Page } from '@playwright/test';
import { expect, moveTo } from './bench';

/* What browser tests of the drawer, the orders and the book do there alike. */

/** How many of a size the drawer says it has. */
export const hung = (page: Page, words: RegExp | string) => page.getByRole('button', { name: words });

/** A list with one line, as it is made from the drawer. */
export const listed = async (page: Page, size: string): Promise<void> => {
  await page.goto('/drawer');
  await page.getByLabel(/^Put in:/).fill(size);
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  const one = page.getByRole('region', { name: 'This size' });
  await one.getByRole('button', { name: 'Put it on the order' }).click();
  await expect(one).toContainText('1 on the order.');
  await moveTo(page, '/orders');
};
