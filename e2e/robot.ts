import type { Locator, Page } from '@playwright/test';
import { expect } from './bench';

/*
 * A robot that repairs a hidden machine by what the screen says alone: it reads the adviser's card, presses the buttons
 * that stand there, and knows no more of the trade than which button cleans what.
 */

/** What wiping puts right, by a word of the cause’s name. */
const CLEANED_BY: ReadonlyArray<readonly [said: RegExp, button: string]> = [
  [/oily/i, 'Clean pulleys, wash belt'],
  [/guides.*dry|dry.*guides/i, 'Grease the guides anew'],
  [/switch.*dirt|dirt.*switch/i, 'Clean the switch'],
  [/rollers.*dirt|dirt.*rollers/i, 'Clean the rollers'],
  [/lens dirty/i, 'Wipe the lens'],
];
const NEW_BELT = /^belt (slack|glazed|broken|dissolved|of the wrong|wrong)/i;
/** What the hands say of a belt that is right. */
const HOLDS = 'the belt holds';
const READ = [
  'Belt section',
  'Old belt, over a cap',
  'Old belt, doubled flat',
  'Path, by string, string round the pulleys',
  'Motor pulley, thin jaws',
  'Driven pulley, thin jaws',
  'Centre distance, shaft to shaft',
] as const;
const LOOKS_MAX = 40;
const BELTS_MAX = 3;

export class Robot {
  readonly hands: Locator;
  #measured = false;

  constructor(readonly page: Page) {
    this.hands = page.getByRole('region', { name: 'Your hands' });
  }

  async go(station: string): Promise<void> {
    await this.page
      .getByRole('navigation', { name: 'Stations' })
      .getByRole('link', { name: new RegExp(` ${station},`) })
      .click();
    await expect(this.page).toHaveTitle(new RegExp(station));
  }
  /** What the last hand came to, once another has been laid. */
  async #after(act: () => Promise<void>): Promise<string> {
    const clock = this.hands.getByTestId('hands-laid');
    const before = await clock.getAttribute('data-count');
    await act();
    await expect(clock).not.toHaveAttribute('data-count', before ?? '');
    return this.hands.locator('[aria-live]').innerText();
  }
  press(name: string): Promise<string> {
    return this.#after(() => this.hands.getByRole('button', { name, exact: true }).click());
  }
  async #offers(name: string): Promise<boolean> {
    return (await this.hands.getByRole('button', { name, exact: true }).count()) > 0;
  }
  async plug(on: boolean): Promise<void> {
    const name = on ? 'Plug it in' : 'Pull the plug';
    if (await this.#offers(name)) await this.press(name);
  }
  async lid(on: boolean): Promise<void> {
    const name = on ? 'Put the lid on' : 'Take the lid off';
    if (await this.#offers(name)) await this.press(name);
  }
  async inside(): Promise<void> {
    await this.plug(false);
    await this.lid(false);
  }

  /** Ten cycles with the lid on. @returns whether all were good */
  async prove(): Promise<boolean> {
    await this.go('Prove');
    await this.lid(true);
    await this.plug(true);
    return (await this.press('Ten cycles, some with a disc')).includes('10 of 10 good');
  }

  /** Measures, asks Size, and fits what it names. */
  async #newBelt(): Promise<void> {
    await this.go('Clean');
    await this.inside();
    await this.press('Clean pulleys, wash belt');
    await this.press('Wait until it is dry');
    if (!this.#measured) {
      await this.go('Measure');
      for (const name of READ) await this.press(name);
      this.#measured = true;
    }
    for (let tried = 0; tried < BELTS_MAX; tried++) {
      await this.go('Size');
      // Size works it out beside the page, and says when it has.
      await expect(this.page.getByRole('region', { name: 'Chance', exact: true })).toHaveAttribute(
        'aria-busy',
        'false',
      );
      const said = await this.#after(() => this.page.getByRole('button', { name: /^Fit and log this try/ }).click());
      if (said.includes(HOLDS)) return;
    }
  }

  /** Sees to a cause that the adviser names. */
  async treat(cause: string): Promise<void> {
    const cleaning = CLEANED_BY.find(([said]) => said.test(cause))?.[1];
    if (NEW_BELT.test(cause)) await this.#newBelt();
    else if (cleaning) {
      await this.go('Clean');
      await this.inside();
      await this.press(cleaning);
      if (cleaning.includes('pulleys')) await this.press('Wait until it is dry');
    } else {
      await this.go('Rebuild');
      await this.inside();
      await this.hands.getByRole('combobox', { name: 'Put right' }).click();
      await this.page.getByRole('option', { name: cause, exact: true }).click();
      await this.press('Put right');
    }
    await this.#saysCured(cause);
  }
  /** Says at Find that it is cured; what was not there has been ruled out by the hands themselves. */
  async #saysCured(cause: string): Promise<void> {
    await this.go('Find');
    const row = this.page.getByRole('main').getByRole('button', { name: cause }).first();
    if ((await row.count()) === 0) return;
    await row.click();
    const verdict = this.page.getByRole('group', { name: `Your verdict on: ${cause}` });
    const cured = verdict.getByRole('button', { name: 'cured', exact: true });
    const ruledOut = verdict.getByRole('button', { name: 'not this', exact: true });
    if ((await verdict.count()) === 0) return;
    const said = await Promise.all([cured, ruledOut].map((one) => one.getAttribute('aria-pressed')));
    if (!said.includes('true')) await cured.press('Space');
  }

  /** From the complaint to the hand-back. @returns how the ending says it went */
  async repair(): Promise<string> {
    for (let looked = 0; looked < LOOKS_MAX; looked++) {
      await this.go('Find');
      const main = this.page.getByRole('main');
      const card = main
        .getByRole('status')
        .filter({ hasText: /Prove it\.|Open it|On to|\d in 100|it was seen/ })
        .first();
      const ask = main.getByRole('button', { name: 'Do it: the machine answers' });
      await expect(card.or(ask).first()).toBeVisible();
      if (await ask.isVisible()) {
        const how = await main
          .getByRole('region', { name: (await main.locator('#test').innerText()).trim() })
          .innerText();
        if (!/lid stays on/.test(how)) await this.inside();
        await this.plug(!/Unplug/.test(how) && /lid stays on/.test(how));
        await this.#after(() => ask.click());
        continue;
      }
      const said = await card.innerText();
      if (said.includes('Prove it.')) {
        if (await this.prove()) break;
        await this.go('Find');
        if (await main.getByRole('button', { name: /^Ask on/ }).isVisible())
          await main.getByRole('button', { name: /^Ask on/ }).click();
        continue;
      }
      if (/Open it/.test(said)) {
        await this.go('Strip');
        await this.inside();
        if (/further/.test(said)) await this.press('Open it down to the train');
        await this.go('Find');
        const more = main.getByRole('button', { name: /^Ask on/ });
        if (await more.isVisible()) await more.click();
        continue;
      }
      const cause = await card.locator('strong').first().innerText();
      await this.treat(cause);
      if (await this.prove()) break;
    }
    await this.go('Hand back');
    await this.lid(true);
    await this.press('Hand it back');
    await this.page.getByRole('link', { name: /^What was wrong with it/ }).click();
    await expect(this.page.getByRole('heading', { name: /^It was:/ })).toBeVisible();
    return this.page.getByRole('region', { name: /^It was:/ }).innerText();
  }
}
