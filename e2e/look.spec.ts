import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { DEMO_URL } from './browser';
import { expect, kept, moveTo, test, waits } from './bench';

test.use({ baseURL: DEMO_URL });

const views = [
  ['Bench', '/'],
  ['Log', '/log'],
  ['Drawer', '/drawer'],
  ['Orders', '/orders'],
  ['Day', '/day'],
  ['Drawer, a size picked', '/drawer?size=demo-book-i13'],
  ['Take in', '/t/demo-0147/takeIn'],
  ['Find', '/t/demo-0147/find'],
  ['Strip', '/t/demo-0147/strip'],
  ['Rebuild', '/t/demo-0147/rebuild'],
  ['Labels', '/t/demo-0147/labels'],
  ['Tag', '/t/demo-0139/tag'],
  ['Measure', '/t/demo-0147/measure'],
  ['Size', '/t/demo-0147/size'],
  ['Prove', '/t/demo-0146/prove'],
  ['Hand back', '/t/demo-0118/handBack'],
  ['Sheet', '/t/demo-0118/sheet'],
  ['Letter', '/t/demo-0118/letter'],
  ['History', '/t/demo-0147/timeline'],
  ['What the adviser knows', '/knowledge'],
  ['Why measure', '/why'],
  ['Slip', '/t/demo-0147/slip'],
  ['At 1 to 1', '/t/demo-0147/template'],
  ['Strobe disc', '/t/demo-0147/strobe?rpm=300'],
  ['Size, three pulleys', '/t/demo-0139/size'],
  ['Find, nothing answered', '/t/demo-0150/find'],
  ['Measure, hardly anything known', '/t/demo-0149/measure'],
  ['Swap', '/t/demo-0147/swap'],
  ['Clean', '/t/demo-0143/clean'],
  ['The train', '/t/demo-0147/train'],
  ['A cycle', '/t/demo-0147/cycle'],
  ['What may touch what', '/compatibility'],
  ['Guide', '/guide'],
  ['Guide, keys', '/guide/keys'],
  ['Paper scale', '/scale'],
] as const;

/** So many views are looked at in one browser: to begin anew for each would cost more than the looking. */
const TOGETHER = 7;
const groups = Array.from({ length: Math.ceil(views.length / TOGETHER) }, (_, n) =>
  views.slice(n * TOGETHER, (n + 1) * TOGETHER),
);

async function look(page: Page, name: string): Promise<void> {
  for (const width of [390, 820, 1280]) {
    await page.setViewportSize({ width, height: 800 });
    await expect(page.getByRole('main')).not.toContainText('One moment');
    // What follows the width of the window does so a frame later; where none comes, the window asks for one by a pixel.
    let height = 800;
    const over = async (): Promise<number> => {
      const px = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      if (px > 0) await page.setViewportSize({ width, height: (height = 1601 - height) });
      return px;
    };
    await expect.poll(over, { message: `${name}, ${width} wide` }).toBeLessThanOrEqual(0);
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('button, select, input:not([type=file]), a')]
        .filter((element) => element.checkVisibility() && !element.closest('p, dd, li > span, h1, .sr-only'))
        .filter((element) => !element.classList.contains('sr-only'))
        // The whole label of a box to tick is its target.
        .filter((element) => (element.closest('label') ?? element).getBoundingClientRect().height < 43.5)
        .map((element) => element.outerHTML.slice(0, 120)),
    );
    expect(small, `${name}, ${width} wide`).toEqual([]);
  }
  // What scrolls under the foot is covered by it for a while, and no smaller for that.
  await page.getByRole('contentinfo').evaluate((foot: HTMLElement) => {
    if (foot.parentElement) foot.parentElement.style.position = 'static';
  });
  const dark = page.getByRole('button', { name: 'Dark', exact: true });
  // Pressed within the page: a hand's press waits for frames, and once none came for minutes.
  const press = () => dark.evaluate((button: HTMLElement) => button.click());
  for (const lamp of [false, true]) {
    // No frames stand in a page, and what holds need not be listed: both save time.
    const axe = new AxeBuilder({ page })
      .setLegacyMode(true)
      .options({ resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } });
    if (lamp) {
      // By lamp only the colours are others.
      await press();
      await expect(dark).toHaveAttribute('aria-pressed', 'true');
      axe.withRules('color-contrast');
    }
    const { violations } = await axe.analyze();
    expect(
      violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160)}`),
      name,
    ).toEqual([]);
  }
  await press();
  await expect(dark).toHaveAttribute('aria-pressed', 'false');
}

for (const group of groups) {
  test(`${group.map(([name]) => name).join('; ')}: nothing runs off the side, targets are large enough, axe finds nothing`, async ({
    page,
  }) => {
    for (const [index, [name, path]] of group.entries()) {
      await (index === 0 ? page.goto(path) : moveTo(page, path));
      await look(page, name);
    }
  });
}

test('Practice: its page, hands over a station, a mishap, the ending', async ({ page }) => {
  await page.goto('/practice');
  await look(page, 'Practice');
  await page.getByRole('button', { name: 'Its belt slips' }).click();
  const hands = page.getByRole('region', { name: 'Your hands' });
  const press = async (name: string): Promise<void> => {
    const laid = hands.getByTestId('hands-laid');
    const before = await laid.getAttribute('data-count');
    await hands.getByRole('button', { name, exact: true }).click();
    await expect(laid).not.toHaveAttribute('data-count', before ?? '');
  };
  await press('Take the lid off');
  await page.getByRole('link', { name: /4 Clean/ }).click();
  await press('Clean pulleys, wash belt');
  await expect(hands).toContainText('Power was on');
  await look(page, 'Hands over Clean');
  await page.getByRole('link', { name: /9 Hand back/ }).click();
  await press('Hand it back');
  await page.getByRole('link', { name: /^What was wrong with it/ }).click();
  await expect(page.getByRole('heading', { name: /^It was/ })).toBeVisible();
  await look(page, 'The ending');
});

/** What opens over a page, or asks: how it comes about. */
const opened: ReadonlyArray<readonly [name: string, path: string, open: (page: Page) => Promise<void>]> = [
  [
    'Keys',
    '/log',
    async (page) => {
      await page.keyboard.press('?');
      await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
    },
  ],
  [
    'Jump',
    '/log',
    async (page) => {
      await page.keyboard.press('/');
      await expect(page.getByRole('combobox', { name: 'Jump to' })).toBeVisible();
    },
  ],
  [
    'What waits',
    '/t/demo-0147/find',
    async (page) => {
      await waits(page).click();
      await expect(page.locator('[role=dialog]')).toBeVisible();
    },
  ],
  [
    'A list opened',
    '/t/demo-0150/takeIn',
    async (page) => {
      await page.getByRole('combobox', { name: 'Kind of loader' }).click();
      await expect(page.getByRole('listbox')).toBeVisible();
    },
  ],
  [
    'A figure asked about',
    '/',
    async (page) => {
      await page.locator('#line').fill('118 round');
      await expect(page.getByText(/all the way round\?/)).toBeVisible();
    },
  ],
  [
    'A figure answered',
    '/',
    async (page) => {
      await page.locator('#line').fill('66.4 square 1.2');
      await expect(page.getByRole('region', { name: 'The belt by this' })).toContainText('Works in');
    },
  ],
  [
    'The pulleys, one refused',
    '/',
    async (page) => {
      await page.getByRole('radio', { name: 'the pulleys' }).click();
      await page.getByLabel(/^motor pulley/).fill('0');
      await expect(page.getByRole('alert')).toContainText('Nothing real measures 0');
    },
  ],
];

for (const width of [1280, 390])
  test(`what opens over a page, and what asks, ${width} wide: axe finds nothing`, async ({ page }) => {
    await page.setViewportSize({ width, height: 844 });
    for (const [name, path, open] of opened) {
      await page.goto(path);
      await expect(page.getByRole('main')).toBeVisible();
      await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      await open(page);
      const axe = new AxeBuilder({ page })
        .setLegacyMode(true)
        .options({ resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } });
      // An open list takes the page from the reader by itself: it alone is looked at.
      if (name === 'A list opened') axe.include('[role=listbox]').disableRules(['region', 'page-has-heading-one']);
      const { violations } = await axe.analyze();
      expect(
        violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160)}`),
        name,
      ).toEqual([]);
    }
  });

test('every control shows its focus', async ({ page }) => {
  await page.goto('/t/demo-0147/measure');
  await expect(page.getByText('Saved on this computer')).toBeVisible();
  for (let stop = 0; stop < 25; stop++) {
    await page.keyboard.press('Tab');
    const outline = await page.evaluate(() => {
      const style = document.activeElement ? getComputedStyle(document.activeElement) : undefined;
      return style ? `${style.outlineStyle} ${style.outlineWidth}` : 'none';
    });
    expect(outline).toMatch(/solid 3px/);
  }
});

test('the sheet prints without the screen around it, on A4 and Letter', async ({ page }) => {
  await page.goto('/t/demo-0118/sheet');
  await expect(page.getByRole('article', { name: 'Bench sheet' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('banner').first()).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print this sheet' })).toBeHidden();
  for (const format of ['A4', 'Letter'] as const) {
    const pdf = await page.pdf({ format });
    // Page objects of the PDF: one page, or two at most.
    expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length).toBeLessThanOrEqual(2);
  }
});

test('the demo has its tickets in every state, and can be put back', async ({ page }) => {
  await page.goto('/');
  for (const group of ['Ready to work on', 'Waiting for parts', 'Waiting for the owner'])
    await expect(page.getByRole('region', { name: group })).toBeVisible();
  await page.goto('/t/demo-0150/takeIn');
  await page.getByLabel('Machine', { exact: true }).fill('changed');
  await kept(page);
  await page.goto('/log');
  await expect(page.getByText('37 of 37 tickets')).toBeVisible();
  await page.getByRole('button', { name: 'Put the demo back as it was' }).click();
  await page.getByLabel(/Number, machine/).fill('0150');
  await expect(page.getByRole('link', { name: /0150/ })).toContainText('Pennerley T9 booth deck');
});
