import { expect, type Locator } from '@playwright/test';

/** Opens a select and chooses a line of its list, by what it says or by what it stands for. */
export async function pick(select: Locator, chosen: string): Promise<void> {
  const page = select.page();
  await select.click();
  const said = page.getByRole('option', { name: chosen, exact: true });
  const meant = page.locator(`[role=option][data-chosen-by=${JSON.stringify(chosen)}]`);
  await said.or(meant).first().click();
  await expect(page.getByRole('listbox')).toHaveCount(0);
}
