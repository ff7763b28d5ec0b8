import type { Page } from '@playwright/test';
import { DEMO_URL } from './browser';
import { chanceSettled, expect, moveTo, test } from './bench';

test.use({ baseURL: DEMO_URL });
/** Every drive of the demo. */
const DRIVES = [
  ...['0151', '0150', '0149', '0147', '0146', '0144', '0139', '0131', '0118', '0097'].map((id) => [id, 'A'] as const),
  ...(['0144', '0139'] as const).map((id) => [id, 'B'] as const),
];
const UNITS = ['mm', 'in'] as const;

/** The screen in a unit, whichever it was in. */
const inUnit = (page: Page, unit: (typeof UNITS)[number]) =>
  page.getByRole('radiogroup', { name: 'Unit of the screen' }).getByText(unit, { exact: true }).click();
const settled = (page: Page) => expect(page.getByRole('main')).not.toContainText(/one moment|being worked out/i);

/** What Size says of the recommended belt, as somebody reads it; nothing where there is not enough to choose one. */
async function onSize(page: Page) {
  const answer = page.getByRole('complementary', { name: 'Recommended belt' });
  const text = await answer.innerText();
  return {
    size: /(?:\d+\.\d+) × (?:\d+\.\d+)/.exec(text)?.[0],
    // What the bench judged right is not a matter of chance any more.
    works:
      /Chance it works\s*(.+? in 100)/.exec(text)?.[1] ??
      (/Right on this machine/i.exec(text) ? 'right on this machine' : undefined),
  };
}

/** Every paper of a drive against Size, in both units. @returns how many figures were compared */
async function compare(page: Page, id: string, drive: string): Promise<number> {
  const at = (place: string) => `/t/demo-${id}/${place}?drive=${drive}`;
  let compared = 0;
  await moveTo(page, at('size'));
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  await settled(page);
  const region = page.getByRole('complementary', { name: 'Recommended belt' });
  const chances = page.getByRole('region', { name: 'Chance', exact: true });
  const decided = page.getByText('Right on this machine');
  if ((await region.count()) === 0 || (await chances.count()) + (await decided.count()) === 0) {
    // Nothing to choose from: then no paper names a belt either.
    await moveTo(page, at('slip'));
    await expect(page.getByRole('article', { name: 'Slip' })).toHaveCount(0);
    return 0;
  }
  if ((await decided.count()) === 0) await chanceSettled(page);
  const screen: Record<string, Awaited<ReturnType<typeof onSize>>> = {};
  for (const unit of UNITS) {
    await inUnit(page, unit);
    screen[unit] = await onSize(page);
    expect(screen[unit].size, `${id} ${drive}`).toBeDefined();
    expect(screen[unit].works, `${id} ${drive}`).toBeDefined();
  }
  await moveTo(page, at('slip'));
  await settled(page);
  for (const unit of UNITS) {
    await inUnit(page, unit);
    const slip = await page.getByRole('article', { name: 'Slip' }).innerText();
    expect(slip, `slip of ${id} ${drive}`).toContain(`${screen[unit]?.size}`);
    expect(slip).toContain(`${screen[unit]?.works}`);
    compared += 2;
  }
  await moveTo(page, at('template'));
  await settled(page);
  for (const unit of UNITS) {
    await inUnit(page, unit);
    await expect(page.getByRole('main'), `template of ${id} ${drive}`).toContainText(`${screen[unit]?.size}`);
    compared += 1;
  }
  await moveTo(page, at('sheet'));
  await settled(page);
  await page.emulateMedia({ media: 'print' });
  const recommended = page.locator('[data-recommended]');
  for (const unit of UNITS) {
    await page.emulateMedia({ media: 'screen' });
    await inUnit(page, unit);
    await page.emulateMedia({ media: 'print' });
    for (const line of await recommended.all()) {
      const text = await line.innerText();
      if ((await line.getAttribute('data-drive')) !== drive) continue;
      expect(text, `sheet of ${id} ${drive}`).toContain(`${screen[unit]?.size}`);
      expect(text).toContain(`${screen[unit]?.works}`);
      compared += 2;
    }
  }
  await page.emulateMedia({ media: 'screen' });
  await moveTo(page, at('letter'));
  await settled(page);
  await expect(page.getByRole('main')).not.toContainText(/undefined|NaN/);
  return compared;
}

/** Makes the bench demand more of a belt than it did, so that another may be recommended. */
async function demandMore(page: Page): Promise<void> {
  await page.goto('/t/demo-0147/size');
  await chanceSettled(page);
  await page.getByText('Assumptions and limits').click();
  for (const [name, value] of [
    ['Least grip that works', '1.6'],
    ['Maximum stretch', '0.12'],
  ] as const) {
    const field = page.getByRole('textbox', { name: new RegExp(`^${name}`) });
    await field.fill(value);
    await field.press('Enter');
  }
  await expect(page.getByText('Saved on this computer')).toBeVisible();
}

test('every paper of every demo drive names the belt and the chance of Size, in mm and in inches', async ({ page }) => {
  await page.goto('/log');
  let compared = 0;
  for (const [id, drive] of DRIVES) compared += await compare(page, id, drive);
  expect(compared).toBeGreaterThan(40);
});

test('with other limits the papers follow Size', async ({ page }) => {
  await demandMore(page);
  let compared = 0;
  for (const [id, drive] of DRIVES) compared += await compare(page, id, drive);
  expect(compared).toBeGreaterThan(40);
});
