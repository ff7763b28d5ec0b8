import { readFileSync } from 'node:fs';
import { expect, test } from './bench';
import { Robot } from './robot';

/* Practice: a bench of its own, hands that are buttons, and a machine that answers. */

const TWELVE = [
  'Its belt slips. Does it need another one?',
  'It is as long as it should be, and still it slips.',
  'It works with a disc in, mostly.',
  'It runs to its end and comes back.',
  'It opens, and does not know that it did.',
  'It takes a disc half in, and something rattles.',
  'Nothing happens at all.',
  'Its belt has seen better days. Is that all?',
  'One deck opens and the other does not.',
  'The motor runs, and nothing moves.',
  'Somebody has already put a new belt in.',
  'Its owner says that it will not open.',
] as const;

async function begin(page: Robot['page'], asks: string, help?: string): Promise<Robot> {
  await page.goto('/practice');
  if (help) await page.getByRole('radio', { name: help, exact: true }).click();
  await page.getByRole('button', { name: new RegExp(asks.replace(/[?.]/g, '\\$&')) }).click();
  await expect(page.getByRole('region', { name: 'Your hands' })).toBeVisible();
  return new Robot(page);
}

test('a belt on oil: hands are facts of every station, and the end says what it was', async ({ page }) => {
  const robot = await begin(page, TWELVE[0]);
  await expect(page.getByText('Practice: a made-up machine.')).toBeVisible();
  expect(await robot.press('Press eject')).toContain('the motor runs free');
  await robot.inside();
  await robot.go('Clean');
  expect(await robot.press('Swab the pulleys')).toContain('brown and oily');
  await expect(page.getByRole('main').getByText('oily').first()).toBeVisible();
  await robot.press('Clean pulleys, wash belt');
  await robot.press('Wait until it is dry');
  expect(await robot.prove()).toBe(true);
  await expect(page.getByRole('main')).toContainText('Clean run 1: 10 clean');
  await robot.go('Hand back');
  await robot.press('Hand it back');
  await page.getByRole('link', { name: /^What was wrong with it/ }).click();
  await expect(page.getByRole('heading', { name: 'It was: Belt or pulley oily' })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('did nothing in vain');
  await expect(page.getByRole('region', { name: 'To take from it' }).getByRole('listitem')).toHaveCount(3);
  await page.goto('/practice');
  await expect(page.getByRole('row', { name: /Oily, not slack 1 of 1/ })).toBeVisible();
  // The same again is the same machine, and another ticket.
  await page.getByRole('link', { name: /^\d+ min$/ }).click();
  await page.getByRole('button', { name: 'The same again' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Practice machine 1, try 2');
  // The bench beside it has none of it.
  await page.goto('/log');
  await expect(page.getByText('0 of 0 tickets')).toBeVisible();
  await expect(page.getByText('Practice: a made-up machine.')).toHaveCount(0);
});

test('what is forgotten happens, is told once with what it costs, and is told again at the end', async ({ page }) => {
  const robot = await begin(page, TWELVE[0]);
  await robot.lid(false);
  await robot.go('Clean');
  expect(await robot.press('Clean pulleys, wash belt')).toContain('Power was on while hands were inside.');
  await robot.go('Size');
  await page.getByRole('combobox', { name: 'Section of a belt' }).click();
  await page.getByRole('option').first().click();
  await page.getByRole('combobox', { name: 'Its inner length' }).click();
  await page.getByRole('option').nth(3).click();
  expect(await robot.press('Fit')).toContain('still wet');
  await robot.go('Hand back');
  expect(await robot.press('Hand it back')).toContain('went home with its lid off');
  await page.getByRole('link', { name: /^What was wrong with it/ }).click();
  await expect(page.getByRole('main')).toContainText('Something was forgotten.');
  await expect(page.getByRole('region', { name: 'To take from it' })).toContainText('Pull the plug first');
});

test('what hands have not seen cannot be typed, and plug and lid of the foot are hands too', async ({ page }) => {
  const robot = await begin(page, TWELVE[3]);
  await page.keyboard.press('p');
  await expect(robot.hands).toContainText('unplugged');
  await page.keyboard.press('l');
  await expect(robot.hands).toContainText('lid off');
  await robot.go('Find');
  await expect(page.getByRole('button', { name: 'Do it: the machine answers' })).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.getByText('In practice the machine itself says this').first()).toBeVisible();
});

test('the adviser silent until asked, or off', async ({ page }) => {
  const robot = await begin(page, TWELVE[1], 'silent until asked');
  await robot.go('Find');
  await expect(page.getByRole('heading', { name: 'What it can be' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Ask', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'What it can be' })).toBeVisible();
  await robot.press('Press eject');
  await expect(page.getByRole('heading', { name: 'What it can be' })).toHaveCount(0);
  const other = await begin(page, TWELVE[1], 'off');
  await other.go('Size');
  await expect(page.getByRole('main')).toContainText('Size is off in this practice');
});

test('a number that is no machine, a ticket of another bench: refused, and said why', async ({ page }) => {
  await page.goto('/practice?loader=slot&number=0');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('alert')).toContainText('Machines are numbered 1 to 999999');
  await page.getByLabel('Or the number that somebody gave you').fill('41x');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('alert')).toContainText('Read “41x”');
  await page.getByLabel('Or the number that somebody gave you').fill('4127');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Practice slot 4127');
  const first = await page.getByRole('heading', { level: 1 }).innerText();
  // Its file says that it is of practice, and a real bench leaves it out.
  await new Robot(page).go('Hand back');
  const file = page.waitForEvent('download');
  await page
    .getByRole('button', { name: /^Export/ })
    .first()
    .click();
  const path = await (await file).path();
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({ ticket: { practice: { dealt: { number: 4127 } } } });
  await page.goto('/log');
  await page
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'a.json', mimeType: 'application/json', buffer: readFileSync(path) });
  await expect(page.getByText(/practice ticket, of a machine that is made up/)).toBeVisible();
  await expect(page.getByText('0 of 0 tickets')).toBeVisible();
  await page.goto('/practice');
  await expect(page.getByRole('region', { name: 'Still on the bench' })).toContainText(
    first.split('\n')[1] ?? 'Practice slot 4127',
  );
});

/** By what the screen says alone; two ask for a judgement that the robot, who never counts by conditions, has not. */
const ROBOT = TWELVE.filter((_, at) => at !== 2 && at !== 10);
for (const asks of ROBOT)
  test(`the robot repairs by the screen alone: ${asks}`, async ({ page }) => {
    const robot = await begin(page, asks);
    const told = await robot.repair();
    test.info().annotations.push({ type: 'ending', description: told });
    expect(told).toContain('You cured it');
  });
