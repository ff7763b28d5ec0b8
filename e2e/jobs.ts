import type { Locator, Page } from '@playwright/test';
import { pick } from './pick';

/* Three whole jobs played by hand, keys and presses counted: for the browser tests and for `npm run bench`. */

/** A pair of hands that counts what it does. */
export class Hands {
  keys = 0;
  presses = 0;
  constructor(readonly page: Page) {}

  /** Types words where the focus is. */
  async type(text: string): Promise<void> {
    this.keys += [...text].length;
    await this.page.keyboard.type(text);
  }
  /** One key, or one chord. A key that is no letter of a field waits until it cannot be a caliper’s. */
  async key(name: string, settle = 0): Promise<void> {
    this.keys += 1;
    await this.page.keyboard.press(name);
    if (settle > 0) await this.page.waitForTimeout(settle);
  }
  async line(text: string): Promise<void> {
    await this.type(text);
    await this.key('Enter');
  }
  async press(what: Locator): Promise<void> {
    this.presses += 1;
    await what.click();
  }
  async choose(what: Locator, label: string): Promise<void> {
    this.presses += 2;
    await pick(what, label);
  }
}

/** A key outside a field is taken once it cannot be the beginning of a reading. */
const ALONE_MS = 140;
const byName = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const start = async (hands: Hands, words: string, how: string): Promise<void> => {
  const { page } = hands;
  await page.goto('/');
  await hands.press(page.getByLabel('What is on the bench?'));
  await hands.type(words);
  await hands.press(byName(page, how));
  await page.getByRole('navigation', { name: 'Stations' }).waitFor();
};
const settled = (page: Page) => page.locator('[aria-label="Chance"][aria-busy="false"]').first().waitFor();
/** Out of a field, so that single keys are heard. */
const handsOff = (hands: Hands) => hands.key('Escape');

/**
 * A swap without a mouse, keys leading on: one figure, the belt, fitted, right, three cycles, cured, handed back.
 *
 * @returns how many keys it took to the belt, and from there to handed back
 */
export async function swapByKeys(page: Page): Promise<{ readonly toBelt: number; readonly toHandedBack: number }> {
  const hands = new Hands(page);
  await page.goto('/');
  await page.waitForFunction(() => document.activeElement?.id === 'line');
  await hands.type('66.4');
  await page.locator('[aria-label="The belt by this"][aria-busy="false"]').waitFor();
  const toBelt = hands.keys;
  await hands.key('Enter', ALONE_MS);
  await page.waitForFunction(() => document.activeElement?.id === 'on-the-bench');
  await hands.key('Enter', ALONE_MS);
  await settled(page);
  await page.waitForFunction(() => document.activeElement?.textContent?.startsWith('Fit and log this try'));
  await hands.key('Space', ALONE_MS);
  for (const key of 'rggg') await hands.key(key, ALONE_MS);
  await page.waitForFunction(() => document.activeElement?.textContent === 'Hand it back');
  await hands.key('Space', ALONE_MS);
  await page.getByRole('region', { name: 'Handed back' }).waitFor();
  return { toBelt, toHandedBack: hands.keys - toBelt };
}

/** A swap with an old belt to measure: the reading, the belt, fitted, three cycles, the letter, handed back. */
export async function swapJob(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await start(hands, 'booth deck, will not open', 'Swap the belt');
  await page.waitForFunction(() => document.activeElement?.matches('[aria-label=Readings] input'));
  await hands.line('66.4');
  await hands.line('1.2');
  await settled(page);
  await hands.press(byName(page, 'Fit and log this try'));
  await hands.key('r', ALONE_MS);
  for (const good of 'ggg') await hands.key(good, ALONE_MS);
  await hands.key('c', ALONE_MS);
  await hands.press(page.getByRole('link', { name: 'Letter to the owner' }));
  await page.getByRole('article', { name: 'Letter to the owner' }).waitFor();
  await hands.key('Alt+9');
  await hands.press(byName(page, 'Hand it back'));
  await page.getByRole('region', { name: 'Handed back' }).waitFor();
  return hands;
}

const strip = (page: Page) => page.getByLabel('What came off, or what was done with it');
async function stripped(hands: Hands, lines: readonly string[]): Promise<void> {
  await hands.key('Alt+3');
  await strip(hands.page).waitFor();
  if (!(await strip(hands.page).evaluate((field) => field === document.activeElement)))
    await hands.press(strip(hands.page));
  for (const said of lines) {
    // What is in doubt is answered by the key behind the line.
    const [line = '', key] = said.split(' ?');
    await hands.line(line);
    if (key) {
      await hands.page.getByRole('group', { name: /\?$/ }).getByRole('button').first().waitFor();
      await hands.key(key);
    }
    await hands.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('section[aria-label="A step"] input')?.value === '',
    );
  }
}
/** Everything back, layer by layer, by the two keys of the way back. */
async function rebuilt(hands: Hands): Promise<void> {
  const { page } = hands;
  await handsOff(hands);
  await hands.key('Alt+7');
  await page.getByRole('heading', { name: 'Rebuild', exact: true }).waitFor();
  for (let guard = 0; guard < 60; guard++) {
    if ((await page.getByText(/Everything is back/).count()) > 0) return;
    const next = page.locator('[data-first-back]');
    if ((await byName(page, /^All of this layer back/).count()) > 0) await hands.key('w', ALONE_MS);
    else {
      if ((await next.getByRole('checkbox').count()) > 0)
        await next.getByRole('button', { name: /the belt is on/ }).waitFor();
      await hands.key('v', ALONE_MS);
    }
    await page.waitForTimeout(120);
  }
}

/** A belt that is gone: a string round the path, a ring for it, dry guides oiled, proved, handed back. */
export async function ringJob(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await start(hands, 'Sallowfield deck, drawer dead, motor hums', 'Start a full repair');
  for (const bad of 'xxx') await hands.key(bad, ALONE_MS);
  await hands.key('Alt+2');
  await page.getByRole('heading', { name: 'Find', exact: true }).waitFor();
  await hands.key('y', ALONE_MS);
  await hands.key('y', ALONE_MS);
  await stripped(hands, ['lid, 4 ph1 underside', 'front panel, two claws', 'belt missing, only tar left ?1']);
  await hands.key('Alt+5');
  await hands.press(page.getByLabel('Path by string', { exact: true }));
  await hands.line('121');
  await hands.key('Alt+6');
  await hands.press(page.getByRole('radio', { name: 'rings', exact: true }));
  await settled(page);
  await hands.key('f', ALONE_MS);
  await hands.key('r', ALONE_MS);
  await rebuilt(hands);
  await hands.key('Alt+8');
  await hands.press(page.getByLabel(/A treatment/));
  await hands.type('residue off, guides oiled');
  await hands.press(byName(page, 'Record the treatment'));
  await hands.press(byName(page, 'Begin a clean run'));
  for (const good of 'ggggg') await hands.key(good, ALONE_MS);
  await hands.key('c', ALONE_MS);
  await hands.key('Alt+9');
  await hands.press(byName(page, 'Hand it back'));
  await page.getByRole('region', { name: 'Handed back' }).waitFor();
  return hands;
}

/** What came off an off-track tray, as it was said. */
export const TRACK_LINES: readonly string[] = [
  'lid, 6 ph1',
  'front panel, 3 claws',
  '2 ph0 clamp bridge',
  'clamp bridge',
  'laser bridged',
  'pickup ribbon off',
  'motor plug, stripe left',
  '4 ph1 corners',
  'mech out',
  'stop pin out',
  'tray out',
  'left guide, 1 ph0',
  'belt off',
  '1 e-clip, idler ?2',
  'idler gear off',
  'marked cam',
  'cam gear off',
  'spring, left hook up',
  'leave gold screws',
  'sludge on the rack',
  'found coin in the rail',
  'photo of the train',
  '2 nuts motor plate',
  'motor plate off',
  'wire loosened',
  'lever bent aside',
  'right guide, 1 ph0',
  'mind the lens',
];

/** A tray beside its track: deep down, cleaned, put square, all of it back, proved. */
export async function trackJob(page: Page): Promise<Hands> {
  const hands = new Hands(page);
  await start(hands, 'deck, tray pulls to the right', 'Start a full repair');
  for (const bad of 'xxx') await hands.key(bad, ALONE_MS);
  await hands.key('Alt+2');
  await page.getByRole('heading', { name: 'Find', exact: true }).waitFor();
  await hands.key('y', ALONE_MS);
  await stripped(hands, TRACK_LINES);
  await hands.press(byName(page, 'It is placed').first());
  await rebuilt(hands);
  await hands.key('Alt+8');
  await hands.press(page.getByLabel(/A treatment/));
  await hands.type('tray set square in its track');
  await hands.press(byName(page, 'Record the treatment'));
  await hands.press(byName(page, 'Begin a clean run'));
  for (const good of 'ggggg') await hands.key(good, ALONE_MS);
  await hands.key('c', ALONE_MS);
  await hands.key('Alt+9');
  await page.getByRole('heading', { name: 'Hand back', exact: true }).waitFor();
  await hands.press(byName(page, 'Hand it back'));
  await page.getByRole('region', { name: 'Handed back' }).waitFor();
  return hands;
}
