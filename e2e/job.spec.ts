import { readFileSync } from 'node:fs';
import { expect, kept, measureBoothDeck, openTicket, take, test, chanceSettled } from './bench';

test('a drive measured on the bench becomes the right belt, on a ticket that is kept', async ({ page, context }) => {
  // Measure now, without a ticket.
  await page.goto('/');
  await expect(page).toHaveTitle('Bench · Loose Pulley');
  await page.getByLabel(/As you would say it/).fill('doubled flat 66.4, section 1.2');
  await expect(page.getByText(/128\.0 ± \d/)).toBeVisible();
  await expect(page.getByText('2 × 66.4 − 4 × 1.2 = 128.0')).toBeVisible();
  await expect(page.getByText('Uncorrected it would have been 132.8, 4.8 mm too long.')).toBeVisible();

  // Turn it into a ticket.
  await page.getByLabel('What is on the bench?').fill('Pennerley T9 booth deck, shy on cold mornings');
  await page.getByRole('button', { name: 'Keep it as a ticket' }).click();
  await expect(page).toHaveTitle(/Pennerley T9 booth deck, Swap the belt/);
  await page.getByRole('link', { name: /^5 Measure/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('shy on cold mornings');

  // Both pulleys, their distance, the old belt a second way.
  await measureBoothDeck(page);
  await page.getByRole('button', { name: 'Measure the old belt another way' }).click();
  await page.getByLabel('Old belt, another way', { exact: true }).fill('40.8');
  await page.getByLabel('Old belt, another way', { exact: true }).press('Enter');
  await expect(page.getByText('π × 40.8 = 128.2').first()).toBeVisible();
  await expect(page.getByText('The old belt is 1.0 mm longer than its path: it hangs.')).toBeVisible();
  await expect(
    page.getByRole('img', { name: /Drive drawing: motor pulley 6.0 mm.*the old belt hangs slack/ }),
  ).toBeVisible();
  await take(page, 'Path by string', '129.8');

  // Size: drawing, ruler with every reading, rulesOfThumb, the belt and its reasons.
  await page.getByRole('link', { name: /^6 Size/ }).click();
  const ruler = page.getByRole('slider', { name: /Stretch ruler/ });
  await expect(ruler).toHaveAttribute('aria-valuetext', /1\.2 × 11[26]\.0: snug, \d+\.\d %/);
  for (const label of ['old belt, doubled flat 66.4', 'old belt, over a cap 40.8', 'string 129.8']) {
    await expect(ruler.getByText(label, { exact: true })).toBeVisible();
  }
  const answer = page.getByRole('complementary', { name: 'Recommended belt' });
  await expect(answer).toContainText('Recommended belt');
  await expect(answer).toContainText(/1\.2 × 11[26]\.0/);
  for (const line of ['Stretch, fitted', 'Belt slips at', 'Load on motor shaft'])
    await expect(answer.getByText(line)).toBeVisible();
  await chanceSettled(page);
  const chance = answer.getByRole('region', { name: 'Chance', exact: true });
  await expect(chance).toContainText(/Chance it works9\d in 100/);
  await expect(chance).toContainText(/If not, most likely by/);
  const rulesOfThumb = page.getByRole('region', { name: 'What the rules of thumb would buy' });
  await expect(rulesOfThumb.getByRole('row', { name: /a tenth off/ })).toContainText('1.2 × 116.0');
  await expect(rulesOfThumb.getByRole('row', { name: /a tenth off/ })).toContainText(/\d\d in 100/);
  const others = page.getByRole('region', { name: 'Instead of a new belt' });
  await expect(others.getByRole('listitem').filter({ hasText: 'keep and clean' })).toContainText(
    /chance it works (under 1|\d) in 100/,
  );
  await expect(others.getByRole('listitem').filter({ hasText: 'warm to shrink' })).toContainText(
    /chance it works \d+ in 100/,
  );

  // Fit, log, judge.
  await answer.getByRole('button', { name: 'Fit and log this try' }).click();
  const tries = page.getByRole('region', { name: 'Belts tried' });
  await expect(tries.getByText(/1\. *1\.2 × 11[26]\.0/)).toBeVisible();
  await tries.getByRole('radio', { name: 'right' }).click();
  await tries.getByLabel('What it did, and why').fill('every time, cold as well');

  // Write what was done, print, export.
  await page.getByRole('link', { name: /^9 Hand back/ }).click();
  await page.getByRole('textbox', { name: 'What was found' }).fill('Loading belt slack.');
  await page.getByRole('textbox', { name: 'What was done' }).fill('Belt renewed, pulleys cleaned.');
  await expect(page.getByRole('region', { name: 'Belts fitted' })).toContainText(/1\.2 × 11[26]\.0/);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export the ticket as a file' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^\d{4}-pennerley-t9-booth-deck\.json$/);
  const exported = JSON.parse(readFileSync(await file.path(), 'utf8')) as {
    format: string;
    ticket: { handBack: { done: string } };
  };
  expect(exported.format).toBe('loose-pulley/ticket');
  expect(exported.ticket.handBack.done).toContain('Belt renewed');
  await page.getByRole('link', { name: 'Bench sheet, to print' }).click();
  const sheet = page.getByRole('article', { name: 'Bench sheet' });
  for (const text of [
    '2 × 66.4 − 4 × 1.2 = 128.0',
    'every time, cold as well',
    'Belt renewed, pulleys cleaned.',
    'scale 1:1',
  ]) {
    await expect(sheet).toContainText(text);
  }
  await kept(page);

  // Close the tab, come back: all is there.
  const address = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.getByRole('article', { name: 'Bench sheet' })).toContainText('Belt renewed, pulleys cleaned.');
  await again.goto('/');
  await expect(again.getByRole('link', { name: /Pennerley T9 booth deck/ }).first()).toBeVisible();
});

test('the way back is the browser’s own, and every page has its title', async ({ page }) => {
  await openTicket(page, 'Oberquist C5 carousel');
  await page.getByRole('button', { name: '+ drive' }).click();
  await expect(page).toHaveURL(/drive=B/);
  await page.getByRole('link', { name: /^1 Take in/ }).click();
  await page.getByLabel('Drive B: what it drives').fill('table');
  await expect(page.getByRole('link', { name: 'Drive B, table' })).toBeVisible();
  await page.getByRole('link', { name: /^3 Strip/ }).click();
  await expect(page).toHaveTitle(/Oberquist C5 carousel, Strip/);
  await page.getByRole('button', { name: 'Strip is not needed here' }).click();
  await expect(page.getByRole('link', { name: '3 Strip, not needed' })).toBeVisible();
  await page.goBack();
  await expect(page).toHaveTitle(/Take in/);
  await page.goBack();
  await expect(page).toHaveTitle(/Measure/);
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible();
});

test('a string alone gives a belt by its stretch, and says what it cannot know', async ({ page }) => {
  await openTicket(page, 'Orrismere L12 lift player', 'string 129.8');
  await page.goto(page.url().replace('/measure', '/size'));
  const answer = page.getByRole('complementary', { name: 'Recommended belt' });
  await expect(answer).toContainText('Recommended belt');
  await answer.getByText('The reasons').click();
  await expect(answer).toContainText('The path alone gives only the stretch');
  await expect(answer.getByText('Load on motor shaft')).toHaveCount(0);
});

test('inches, from the first reading to the sheet', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('radio', { name: 'in', exact: true }).click();
  await page.getByLabel(/As you would say it/).fill('doubled flat 2 39/64, section 3/64');
  await expect(page.getByText('5.031').first()).toBeVisible();
  await page.getByLabel(/As you would say it/).fill('doubled flat 66.4 mm, section 1.2 mm');
  await expect(page.getByText('2 × 2.614 − 4 × 0.047 = 5.039')).toBeVisible();
  await expect(page.getByText(/≈ 5 3\/64 in/)).toBeVisible();
});
