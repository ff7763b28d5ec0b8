import type { Page } from '@playwright/test';
import { expect, kept, openTicket, take, test } from './bench';

/** Every written thing of the drawing and the ruler, as it really stands on the screen, that meets another. */
const collisions = (page: Page) =>
  page.evaluate(() => {
    const boxes = [...document.querySelectorAll('main svg text, main svg ~ div input')]
      .filter((element) => element.checkVisibility())
      .map((element) => {
        const { left, top, right, bottom } = element.getBoundingClientRect();
        const name =
          element instanceof HTMLInputElement ? (element.ariaLabel ?? element.value) : (element.textContent ?? '');
        // A line of text leaves air above and below its letters.
        const air = element instanceof HTMLInputElement ? 0 : 3;
        return { name, left, right, top: top + air, bottom: bottom - air };
      });
    if (boxes.length < 6) return [`only ${boxes.length} labels found: is the drawing there?`];
    return boxes.flatMap((a, index) =>
      boxes
        .slice(index + 1)
        .filter((b) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom)
        .map((b) => `${a.name} meets ${b.name}`),
    );
  });

/** From the thinnest belt to a large lift player: motor, drive, shafts, section, doubled length, string. */
const drives = [
  ['the thinnest belt', '2', '9', '8', '0.5', '18', '36.5'],
  ['a booth deck', '6.0', '24.8', '38.2', '1.2', '66.4', '129.8'],
  ['a large lift player', '18', '90', '240', '3', '345', '676'],
] as const;

for (const [name, motor, drive, shafts, section, doubled, string] of drives) {
  test(`no label meets another: ${name}, at every width, by measure and by size`, async ({ page }) => {
    await openTicket(page, name);
    await take(page, 'Motor pulley', motor);
    await take(page, 'Driven pulley', drive);
    await take(page, 'Shafts', shafts);
    await take(page, 'Belt section', section);
    await take(page, 'Old belt', doubled);
    await take(page, 'Path by string', string);
    await kept(page);
    for (const station of ['measure', 'size']) {
      await page.goto(page.url().replace(/(measure|size).*/, station));
      for (const width of [1280, 1600, 820, 390]) {
        await page.setViewportSize({ width, height: 844 });
        await expect(page.getByRole('img', { name: /^Drive drawing/ })).toBeVisible();
        // The sheet is laid anew once it knows its width.
        await expect.poll(() => collisions(page), `${station} at ${width}`).toEqual([]);
      }
    }
    // The same in inches, whose figures are longer.
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.getByRole('radio', { name: 'in', exact: true }).click();
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await expect.poll(() => collisions(page), `inches at ${width}`).toEqual([]);
    }
  });
}
