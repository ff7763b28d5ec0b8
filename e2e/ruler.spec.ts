import { expect, measureBoothDeck, chanceSettled, openTicket, test } from './bench';

test.beforeEach(async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+6');
  await chanceSettled(page);
});

test('the ruler is dragged through every length between the belts, and each says what it would do', async ({
  page,
}) => {
  const ruler = page.getByRole('slider', { name: /Stretch ruler/ });
  const between = page.getByRole('region', { name: 'A length between the belts' });
  const box = await ruler.boundingBox();
  if (!box) throw new Error('no ruler');
  const y = box.y + box.height - 60;
  await page.mouse.move(box.x + box.width * 0.6, y);
  await page.mouse.down();
  // A tap that trembles means the belt.
  await page.mouse.move(box.x + box.width * 0.6 + 2, y);
  await expect(between).toHaveCount(0);
  await page.mouse.move(box.x + box.width * 0.66, y, { steps: 6 });
  await page.mouse.up();
  await expect(between).toContainText(/\d+\.\d mm: /);
  for (const figure of ['Stretch', 'Tray held back with', 'Load on the motor shaft', 'Motor torque left']) {
    await expect(between).toContainText(figure);
  }
  const held = async (): Promise<number> =>
    Number(/Tray held back with\s*(\d+\.\d+) N/.exec(await between.innerText())?.[1]);
  const loose = await held();
  // Shorter, by keys: it holds the tray harder, and the stretch grows.
  await ruler.focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('Shift+ArrowLeft');
  await expect(async () => expect(await held()).toBeGreaterThan(loose)).toPass();
  // A belt that is sold is meant again.
  await page.keyboard.press('ArrowLeft');
  await expect(between).toHaveCount(0);
  await expect(ruler).toHaveAttribute('aria-valuetext', /^1\.2 × \d+/);
  await page.keyboard.press('Shift+ArrowRight');
  await expect(between).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(between).toHaveCount(0);
});

test('what if: softer rubber pulls less, a stiffer tray asks for more, and back again', async ({ page }) => {
  await page.getByText('What if: drag and see').click();
  const figure = async (name: string): Promise<number> => {
    const row = page.locator('dl > div').filter({ hasText: name }).last();
    return Number(/(\d+\.\d+)/.exec(await row.locator('dd').innerText())?.[1]);
  };
  const before = [await figure('Pull of a strand, fresh'), await figure('Grip over need')] as const;
  // By its keys, from 60 to 45.
  const hardness = page.getByRole('slider', { name: /^Hardness/ });
  for (let step = 0; step < 15; step++) await hardness.press('ArrowLeft');
  await expect(async () => expect(await figure('Pull of a strand, fresh')).toBeLessThan(before[0])).toPass();
  const need = page.getByRole('slider', { name: /^Needed at the tray/ });
  for (let step = 0; step < 6; step++) await need.press('PageUp');
  await expect(async () => expect(await figure('Grip over need')).toBeLessThan(before[1] / 2)).toPass();
  await page.getByRole('button', { name: 'Back to this drive as it is' }).click();
  await expect(async () => expect(await figure('Grip over need')).toBe(before[1])).toPass();
});
