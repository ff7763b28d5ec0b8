import { expect, kept, measureBoothDeck, chanceSettled, openTicket, take, test } from './bench';

test('a three-pulley lift drive: put in, typed, moved by key and hand, on its back; what cannot be is named', async ({
  page,
}) => {
  await openTicket(page, 'Lammergate L2 lift player');
  await measureBoothDeck(page);
  const path = page.getByText('Path, inner length').locator('xpath=..');
  const length = async (): Promise<number> => Number(/(\d+\.\d)/.exec(await path.innerText())?.[1]);
  const before = await length();
  await page.getByText('More than two pulleys').click();
  await page.getByRole('button', { name: 'Add an idler' }).click();
  await page.getByLabel('Further pulley 1', { exact: true }).fill('lift cam');
  await page.getByLabel('Diameter, mm').fill('10');
  await page.getByLabel('Across, from the motor, mm').fill('20');
  await page.getByLabel('Up, from the motor, mm').fill('24');
  await expect(async () => expect(await length()).toBeGreaterThan(before + 10)).toPass();
  const three = await length();
  const cam = page.getByRole('button', { name: /^lift cam, 20 across, 24 up/ });
  await cam.press('Shift+ArrowUp');
  await expect(page.getByLabel('Up, from the motor, mm')).toHaveValue('29');
  await expect(async () => expect(await length()).toBeGreaterThan(three)).toPass();
  // By hand: down to between the runs, where it touches the back and presses the belt in.
  const box = await page.getByRole('button', { name: /^lift cam/ }).boundingBox();
  if (!box) throw new Error('the cam is not drawn');
  await page.mouse.move(box.x + box.width / 2, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + 60, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByLabel('Up, from the motor, mm')).not.toHaveValue('29');
  await page.getByLabel('Up, from the motor, mm').fill('12');
  await page.getByRole('radio', { name: 'its back' }).click();
  await expect(page.getByText('lift cam, on its back')).toBeVisible();
  await page.getByLabel('Up, from the motor, mm').fill('3');
  await page.getByLabel('Across, from the motor, mm').fill('4');
  await expect(page.getByText(/The motor pulley and the lift cam overlap/).first()).toBeVisible();
  await page.getByLabel('Across, from the motor, mm').fill('20');
  // Above the run it would press in, its back is not reached: no belt can run so.
  await page.getByLabel('Up, from the motor, mm').fill('14');
  await expect(page.getByText(/No belt can run so: the lift cam/).first()).toBeVisible();
  await page.getByLabel('Up, from the motor, mm').fill('11');
  await take(page, 'Belt section', '1.2');
  await kept(page);
  await page.reload();
  await expect(page.getByLabel('Further pulley 1', { exact: true })).toHaveValue('lift cam');
  await page.keyboard.press('Alt+6');
  await chanceSettled(page);
  await expect(page.getByRole('slider', { name: /Stretch ruler/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Alt+5');
  await expect(page.getByLabel('Further pulley 1', { exact: true })).toHaveValue('lift cam');
});
