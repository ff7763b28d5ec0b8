import { DEMO_URL } from './browser';
import type { Page } from '@playwright/test';
import { expect, moveTo, openTicket, test } from './bench';

test.use({ baseURL: DEMO_URL });

/** Words that the product once used, and no page may use again. */
const OLD_WORDS: readonly RegExp[] = [
  /\bMind\./,
  /\bKept\b(?! for)/,
  /Bring back|Brought back/,
  /taken in\b|[Tt]ake tickets in/,
  /Take (it )?out\b/,
  /Back to the app’s own|As they came|As it comes/,
  /\bLamp\b(?! (?:off|shaded))/,
  /Wants hands|It waits for|Waits for the/,
  /Came back due/,
  /\bNamely\b/,
  /To the work/,
  /All the same|With ends open/,
  /\bPapers\b/,
  /The same in numbers/,
  /one’s own/,
  /\bnot said\b/,
  /\bblank\b/,
  /\bwants?\b(?! a? ?(?:it|them))/,
  /\b[Ss]chools?\b/,
  /Not only a new belt/,
  /What it is judged by/,
  /\bof 1\b(?!\.\d| [a-z])/,
  /Stretch that is the most/,
  /Works in \d/,
  /lets? go at/,
  /At the tray|Needed at the/,
  /Left of the motor/,
  /Taken outright/,
  /buys nothing/,
  /says most a minute/,
  /Speaks (for|against) it/,
  /Nothing that the adviser knows/,
  /Off it comes/,
  /Not placed yet/,
  /seen from|the way back\b/,
  /in a row\b/,
  /one-sided bound/,
  /is a film/,
  /working out had stopped/,
  /How old it looks/,
  /^It is done$/m,
  /further pulley/,
  /\bodds\b|\bOdds\b/,
  /\bloops?\b/i,
  /\bfor now\b/,
];

/** Opens whatever is folded, and what is folded within, until nothing is. */
async function unfold(page: Page): Promise<void> {
  const folds = page.locator('main button[data-state=closed][aria-controls]:enabled');
  while ((await folds.count()) > 0) await folds.first().click();
}

/** Everything that a page says: its text, and what is said only to those who hear it or have typed nothing yet. */
const said = () => {
  const heard = [...document.querySelectorAll('[aria-label], [placeholder], [title], [aria-valuetext]')].flatMap(
    (one) => ['aria-label', 'placeholder', 'title', 'aria-valuetext'].map((name) => one.getAttribute(name) ?? ''),
  );
  // What somebody typed is theirs: fields and quotations are left alone.
  return [document.body.innerText, ...heard].join('\n').replace(/“[^”]*”/g, '');
};

const PLACES = [
  ...['takeIn', 'find', 'strip', 'measure', 'size', 'clean', 'rebuild', 'prove', 'handBack'],
  ...[
    'timeline',
    'sheet',
    'letter',
    'labels',
    'tag',
    'slip',
    'template',
    'strobe?rpm=300',
    'swap',
    'train',
    'gear?teeth=20&module=0.5',
  ],
];
const TICKETS = ['0151', '0150', '0149', '0147', '0146', '0144', '0139', '0131', '0118', '0097'];

for (const [name, paths] of [
  [
    'what belongs to no ticket',
    ['/nowhere', '/', '/log', '/drawer?size=demo-book-i13', '/orders', '/day', '/knowledge', '/compatibility', '/why'],
  ],
  ...TICKETS.map((id) => [id, PLACES.map((place) => `/t/demo-${id}/${place}`)] as const),
] as const) {
  test(`${name}: no page speaks the old dialect`, async ({ page }) => {
    const found: string[] = [];
    for (const [index, path] of paths.entries()) {
      await (index === 0 ? page.goto(path) : moveTo(page, path));
      await expect(page.getByRole('main')).not.toContainText('One moment');
      await unfold(page);
      const text = await page.evaluate(said);
      expect(text.length, path).toBeGreaterThan(80);
      for (const word of OLD_WORDS) {
        const at = word.exec(text);
        if (at) found.push(`${path}: …${text.slice(Math.max(0, at.index - 30), at.index + 40).replace(/\n/g, ' | ')}…`);
      }
    }
    expect(found).toEqual([]);
  });
}

/** Every kind of loader by a machine's name that says it, on a ticket with nothing in it: the words follow the kind. */
for (const machine of [
  'twin tray deck',
  'tray drawn by wire',
  'slot player',
  'disk drive',
  'lift player',
  'carousel',
]) {
  test(`${machine}, empty: no page speaks the old dialect, nor of a part that it has not`, async ({ page }) => {
    await openTicket(page, machine);
    const ticket = new URL(page.url()).pathname.split('/')[2] ?? '';
    const found: string[] = [];
    for (const place of PLACES) {
      await moveTo(page, `/t/${ticket}/${place}`);
      await expect(page.getByRole('main')).not.toContainText('One moment');
      await unfold(page);
      const text = await page.evaluate(said);
      const words = /slot|disk/.test(machine) ? [...OLD_WORDS, /\bthe tray\b/i] : OLD_WORDS;
      for (const word of words) {
        const at = word.exec(text);
        if (at)
          found.push(`${place}: …${text.slice(Math.max(0, at.index - 30), at.index + 40).replace(/\n/g, ' | ')}…`);
      }
    }
    expect(found).toEqual([]);
  });
}

test('the dialogs speak it neither', async ({ page }) => {
  await page.goto('/t/demo-0147/measure');
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  for (const [key, name] of [
    ['?', 'Keys'],
    ['/', 'Jump to a ticket, a station or a command'],
  ] as const) {
    await page.keyboard.press(key);
    const dialog = page.getByRole('dialog', { name });
    await expect(dialog).toBeVisible();
    const text = await dialog.innerText();
    expect(text.length).toBeGreaterThan(40);
    for (const word of OLD_WORDS) expect(text).not.toMatch(word);
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
  }
});
