import { gearOutline } from '../../core/src/physics/gears';
import { spread, times, type Row } from './report';
import type { Stage } from './stage';

/** The outline of a large gear, and a train of twelve members played. */
export async function benchTrain(row: Row, { page, demoUrl }: Stage): Promise<void> {
  row(
    'outline of a gear of 200 teeth',
    spread(await times(40, () => gearOutline({ teeth: 200, moduleMm: 0.5, shift: 0 }))),
    'goal 10 ms',
  );
  await page.goto(`${demoUrl}/t/demo-0150/train`);
  const line = page.getByRole('textbox', { name: /^From the motor on/ });
  await line.fill(
    `motor 10T, ${Array.from({ length: 10 }, (_, i) => `gear ${24 + i}/${10 + i}`).join(', ')}, rack 0.5`,
  );
  await line.press('Enter');
  await page.getByRole('group', { name: 'The train, 12 members from the motor on' }).waitFor();
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await page.getByRole('button', { name: 'Play' }).click();
  const frames = await page.evaluate(
    () =>
      new Promise<number[]>((done) => {
        const taken: number[] = [];
        let last = performance.now();
        const step = (now: number) => {
          taken.push(now - last);
          last = now;
          if (taken.length < 120) requestAnimationFrame(step);
          else done(taken.slice(5));
        };
        requestAnimationFrame(step);
      }),
  );
  row('a frame, a train of 12 members played', spread(frames), '60 frames a second are 16.7 ms');
  await page.getByRole('button', { name: 'Stop' }).click();
}
