import { spread, type Row } from './report';
import { watchRepaints, type Stage } from './stage';

/** So many places a map is timed with: more than any machine that was seen. */
const PLACES = 60;

/** Clean with sixty places on the map: a line typed, and a line said, each to the repaint. */
export async function benchCleaning(row: Row, { page, demoUrl }: Stage): Promise<void> {
  await page.goto(`${demoUrl}/t/demo-0143/clean`);
  const map = page.getByRole('group', { name: /^Map of the machine/ });
  await map.waitFor();
  const spots = map.getByRole('button');
  for (let count = await spots.count(); count < PLACES; count++) {
    await page.getByRole('button', { name: 'One more place' }).click();
    await page.getByRole('menuitem', { name: 'part', exact: true }).click();
  }
  const field = page.getByLabel(/^What was found or done, and where/);
  await field.focus();
  await watchRepaints(page);
  for (const letter of 'drive pulley acetone swab black, rods old grease off') {
    await page.keyboard.press(letter === ' ' ? 'Space' : letter);
    await page.waitForTimeout(20);
  }
  row(
    `key-press to repaint, a line of Clean with ${await spots.count()} places`,
    spread(await page.evaluate(() => window.repaints)),
    'one frame is 16.7 ms',
  );
  const said: number[] = [];
  for (let i = 0; i < 20; i++) {
    await field.fill(i % 2 === 0 ? 'lens lens cleaner moist swab' : 'rack brushed');
    const taken = page.evaluate(
      () =>
        new Promise<number>((done) => {
          addEventListener(
            'keydown',
            () => {
              const start = performance.now();
              void window.painted().then(() => done(performance.now() - start));
            },
            { capture: true, once: true },
          );
        }),
    );
    await field.press('Enter');
    said.push(await taken);
    await page.waitForTimeout(30);
  }
  row(`a line said to repaint, ${PLACES} places`, spread(said), 'goal: within a frame');
}
