import { expect, kept, test } from './bench';
import { ringJob, swapByKeys, swapJob, trackJob, type Hands } from './jobs';

/** What a job may take, in keys and presses. */
const within = ({ keys, presses }: Hands, most: { readonly keys: number; readonly presses: number }): void => {
  expect(keys).toBeLessThanOrEqual(most.keys);
  expect(presses).toBeLessThanOrEqual(most.presses);
};

test('a swap with an old belt to measure stays a short job', async ({ page }) => {
  const hands = await swapJob(page);
  within(hands, { keys: 45, presses: 6 });
  await kept(page);
});
test('a belt that is gone: string, ring, guides oiled', async ({ page }) => {
  test.slow();
  within(await ringJob(page), { keys: 300, presses: 45 });
});
test('an off-track tray, 28 lines down and all of it back', async ({ page }) => {
  test.slow();
  within(await trackJob(page), { keys: 550, presses: 40 });
});
test('a swap without a mouse: four keys to the belt, and keys lead on to handed back', async ({ page }) => {
  const { toBelt, toHandedBack } = await swapByKeys(page);
  expect(toBelt).toBeLessThanOrEqual(12);
  expect(toHandedBack).toBeLessThanOrEqual(30);
});
