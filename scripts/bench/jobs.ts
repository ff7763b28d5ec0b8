import { ringJob, swapByKeys, swapJob, trackJob } from '../../e2e/jobs';
import type { Row } from './report';
import type { Stage } from './stage';

/** Whole jobs by hand: what they took before the bench was heard, and what they may take. */
const JOBS = [
  ['a swap with an old belt to measure', swapJob, '83 + 6 before, at most 45 + 6'],
  ['a belt that is gone: string, ring, guides oiled', ringJob, '450 + 87 before, at most 300 + 45'],
  ['an off-track tray, 28 lines', trackJob, '800 + 67 before, at most 550 + 40'],
] as const;

/** Keys and presses of three whole jobs, from the Bench to handed back. */
export async function benchJobs(row: Row, { browser, benchUrl }: Stage): Promise<void> {
  for (const [name, play, beside] of JOBS) {
    const context = await browser.newContext({ baseURL: benchUrl, viewport: { width: 1280, height: 800 } });
    const { keys, presses } = await play(await context.newPage());
    row(`keys + presses: ${name}`, `${keys} + ${presses}`, beside);
    await context.close();
  }
  const context = await browser.newContext({ baseURL: benchUrl, viewport: { width: 1280, height: 800 } });
  const { toBelt, toHandedBack } = await swapByKeys(await context.newPage());
  row('keys from an empty bench to the belt, by one doubled reading', String(toBelt), 'at most 12');
  row('keys from the belt to handed back, a swap', String(toHandedBack), 'at most 30');
  await context.close();
}
