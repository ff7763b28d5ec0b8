import { expect, type Page } from '@playwright/test';

/** Where a line of Strip is typed. */
export const strip = (page: Page) => page.getByLabel('What came off, or what was done with it');

/** Says lines at Strip, one after the other; each is done before the next. “line | key” answers what is asked by that key. */
export async function say(page: Page, ...lines: readonly string[]): Promise<void> {
  await page.keyboard.press('Alt+3');
  for (const said of lines) {
    const [line = '', key] = said.split(' | ');
    await strip(page).fill(line);
    await strip(page).press('Enter');
    if (key) {
      await expect(page.getByRole('group', { name: /\?$/ })).toBeVisible();
      await page.keyboard.press(key);
    }
    await expect(strip(page), line).toHaveValue('');
  }
  await strip(page).blur();
}
