import { expect, measureBoothDeck, openTicket, reading, take, test, worksIn } from './bench';
import { pick } from './pick';

test.beforeEach(async ({ page }) => openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2'));

for (const [text, words] of [
  ['0', 'Read 0. Nothing real measures 0'],
  ['-6', 'A measured size cannot be negative'],
  ['six', 'Read “six”. That is not a number'],
  ['5 kg', '“kg” is not a unit of length here'],
  ['600', 'Allowed here: 0.8 to 120 mm'],
  ['1,234.5', 'Use one decimal sign only'],
] as const) {
  test(`“${text}” as the motor pulley is refused in words at the field, and stays to be mended`, async ({ page }) => {
    await take(page, 'Motor pulley', text);
    await expect(page.getByRole('alert').filter({ hasText: words }).first()).toBeVisible();
    await expect(reading(page, 'Motor pulley')).toHaveValue(text);
    await expect(reading(page, 'Motor pulley')).toHaveAttribute('aria-invalid', 'true');
    // Going elsewhere and coming back loses nothing.
    await page.getByRole('link', { name: /^1 Take in/ }).click();
    await page.goBack();
    await expect(reading(page, 'Motor pulley')).toHaveValue(text);
    await reading(page, 'Motor pulley').press('Escape');
    await expect(reading(page, 'Motor pulley')).toHaveValue('');
  });
}

test('overlapping pulleys are drawn as far as they can be, refused in words, and mended', async ({ page }) => {
  await take(page, 'Motor pulley', '30');
  await take(page, 'Driven pulley', '24.8');
  await take(page, 'Shafts', '12');
  await expect(page.getByText(/The pulleys overlap: shafts 12.0 mm apart/).first()).toBeVisible();
  await expect(page.getByRole('img', { name: /which cannot be/ })).toBeVisible();
  await page.getByRole('link', { name: /^6 Size/ }).click();
  await expect(page.getByText('Not enough to choose by yet')).toBeVisible();
  await expect(page.getByText(/The pulleys overlap/)).toBeVisible();
  await page.getByLabel(/Motor pulley diameter on the drawing/).fill('6');
  await page.getByLabel(/Motor pulley diameter on the drawing/).press('Enter');
  await page.getByLabel(/Centre distance on the drawing/).fill('38.2');
  await page.getByLabel(/Centre distance on the drawing/).press('Enter');
  await expect(page.getByText('Recommended belt')).toBeVisible();
});

test('a 90 mm “inner diameter” is plainly a length; a length typed as its half may be kept on purpose', async ({
  page,
}) => {
  await measureBoothDeck(page);
  await page.getByRole('button', { name: 'Measure the old belt another way' }).click();
  const field = page.getByLabel('Old belt, another way', { exact: true });
  await field.fill('90');
  await field.press('Enter');
  await expect(
    page.getByText(/Read an inner diameter of 90.0 mm, a belt 282.7 mm round. That looks like a length/),
  ).toBeVisible();
  await pick(page.getByLabel('Old belt, another way, how it is measured'), 'laid straight');
  await field.fill('64');
  await field.press('Enter');
  await expect(page.getByText(/It looks like a doubled length/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it anyway' }).click();
  await expect(page.getByText(/Lies more than two standard uncertainties/).first()).toBeVisible();
});

test('a belt no longer than its own section, or shorter than can stretch, is said', async ({ page }) => {
  await measureBoothDeck(page);
  await page.getByRole('link', { name: /^6 Size/ }).click();
  await page.getByLabel(/Another belt tried/).fill('12x1.2');
  await expect(page.getByText(/Sections here run from 0.3 to 8 mm/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Log it', exact: true })).toBeDisabled();
  await page.getByLabel(/Another belt tried/).fill('ring 1.78x28.3');
  await expect(page.getByText(/Understood: O-ring, section 1.78 mm, inner diameter 28.3 mm/)).toBeVisible();
  await expect(page.getByText(/Here it would be: too tight, stretch/)).toBeVisible();
  await page.getByLabel(/Another belt tried/).fill('1.2x20');
  await expect(page.getByText(/It would have to stretch to \d\.\d times its length/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Log it', exact: true })).toBeDisabled();
  await page.getByRole('slider', { name: /Stretch ruler/ }).press('Home');
  await expect(page.getByRole('complementary', { name: 'Recommended belt' })).toContainText(/too tight|firm/i);
});

test('limits that cannot be are refused in words, and the chance go on by those before', async ({ page }) => {
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+6');
  const before = await worksIn(page);
  await page.getByText('Assumptions and limits').click();
  for (const [label, text, problem] of [
    [/^Friction, clean/, '3', /Read 3\. Allowed:/],
    [/^Motor stall torque/, '-2', /Read -2\. Allowed:/],
    [/^Tray pull, until measured/, 'much', /Read “much”|not a number/],
    [/^Maximum stretch/, '9', /Read 9\. Allowed:/],
  ] as const) {
    const field = page.getByRole('textbox', { name: label });
    await field.fill(text);
    await expect(page.getByRole('alert').filter({ hasText: problem })).toBeVisible();
    await expect(field).toHaveValue(text);
    await field.fill('');
    await field.blur();
  }
  await page.reload();
  expect(await worksIn(page)).toBe(before);
});

test('a line with a word that is not known asks, one key answers, and the line is left alone', async ({ page }) => {
  await page.goto('/');
  const line = page.getByLabel(/As you would say it/);
  await line.fill('66.4 doubled, colour black, square 1.2');
  await expect(page.getByRole('list', { name: 'What each word is taken for' })).toContainText('not known');
  await expect(page.getByText(/“colour” is not known here/)).toBeVisible();
  await line.press('Enter');
  await page.keyboard.press('1');
  await expect(page.getByText('2 × 66.4 − 4 × 1.2 = 128.0')).toBeVisible();
  await expect(line).toHaveValue('66.4 doubled, colour black, square 1.2');
  await line.fill('66.4 square 1.2 folded in half');
  await expect(page.getByText('2 × 66.4 − 4 × 1.2 = 128.0')).toBeVisible();
  await line.fill('doubled flat 66.4');
  // Nobody looked at its section: it is taken as usual, and that is said.
  await expect(page.getByRole('region', { name: 'The belt by this' })).toContainText('and its section too');
  await line.fill('66.4 doubled or 41 over a cap');
  await line.press('Enter');
  await page.keyboard.press('2');
  await expect(page.getByText('π × 41.0 = 128.8')).toBeVisible();
});

test('a pulley that the old belt cannot go round is asked about, kept in the field, and may be kept anyway', async ({
  page,
}) => {
  const field = reading(page, 'Motor pulley');
  await take(page, 'Motor pulley', '60');
  const doubt = page.getByRole('alert').filter({ hasText: 'that is 188.5 mm round, and the old belt is 128.0 mm' });
  await expect(doubt).toBeVisible();
  await expect(field).toHaveValue('60');
  await doubt.getByRole('button', { name: 'Keep it anyway' }).click();
  await expect(field).toHaveValue('60.0');
  await expect(doubt).toHaveCount(0);
  await take(page, 'Motor pulley', '6');
  await expect(field).toHaveValue('6.0');
  await expect(page.getByRole('alert')).toHaveCount(0);
});
