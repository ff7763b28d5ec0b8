import { LOADERS } from '../../core/src/base/loaders';
import { KNOWLEDGE } from '../../core/src/work/diagnosis';
import { broughtIn, deal, lay, type Hand } from '../../lab/src/hidden';
import { ending } from '../../lab/src/practice';
import { ms, runs, spread, type Row } from './report';
import type { Stage } from './stage';

const MACHINES = 20;
/** A way through a repair: what is seen from outside, opened, measured, cleaned, fitted, proved. */
const HANDS: readonly Hand[] = [
  { do: 'eject', what: '' },
  { do: 'test', what: 'behaviour' },
  { do: 'test', what: 'sound' },
  { do: 'power', what: 'off' },
  { do: 'open', what: 'lidOff' },
  { do: 'test', what: 'beltFeel' },
  { do: 'swab', what: 'pulleys' },
  { do: 'measure', what: 'motorJaws' },
  { do: 'clean', what: 'pulleys' },
  { do: 'close', what: '' },
  { do: 'power', what: 'on' },
  { do: 'cycles', what: '' },
];
const timed = <T>(once: () => T): readonly [T, number] => {
  const from = performance.now();
  return [once(), performance.now() - from];
};

/** A machine dealt, each hand laid on it, its ending; and a hand in the app, from the press to the words. */
export async function benchPractice(row: Row, { page, demoUrl }: Stage): Promise<void> {
  const deals: number[] = [];
  const hands: number[] = [];
  const ends: number[] = [];
  for (const loader of LOADERS)
    for (let number = 1; number <= MACHINES; number++) {
      const [made, dealMs] = timed(() => deal(KNOWLEDGE, loader, number));
      deals.push(dealMs);
      if (!made.ok) continue;
      let on = broughtIn(made.value);
      HANDS.forEach((hand, times) => {
        const [laid, handMs] = timed(() => lay(KNOWLEDGE, on, hand, times));
        hands.push(handMs);
        ({ on } = laid);
      });
      ends.push(timed(() => ending(KNOWLEDGE, made.value, null, HANDS))[1]);
    }
  row(
    `a hidden machine dealt, ${deals.length} of all loaders`,
    `${spread(deals)}, worst ${ms(Math.max(...deals))}`,
    'goal 50 ms',
  );
  row(
    `a hand laid on it, ${hands.length} of all kinds`,
    `${spread(hands)}, worst ${ms(Math.max(...hands))}`,
    'goal 100 ms',
  );
  row('its ending, with the shortest honest way', spread(ends));
  await page.goto(`${demoUrl}/practice?loader=tray&number=4127`);
  await page.getByRole('button', { name: 'Take it' }).click();
  const panel = page.getByRole('region', { name: 'Your hands' });
  await panel.getByRole('button', { name: 'Press eject' }).waitFor();
  const pressed = await runs(12, async () => {
    const laid = panel.getByTestId('hands-laid');
    const before = await laid.getAttribute('data-count');
    return page.evaluate((had) => {
      const from = performance.now();
      const button = [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Press eject');
      button?.click();
      return new Promise<number>((done) => {
        const look = (): void => {
          if (document.querySelector('[data-testid=hands-laid]')?.getAttribute('data-count') !== had)
            done(performance.now() - from);
          else requestAnimationFrame(look);
        };
        look();
      });
    }, before);
  });
  row('a hand pressed to what came of it, in the app', spread(pressed), 'goal 100 ms');
}
