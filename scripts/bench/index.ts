import { playAdviser } from '../adviser.mjs';
import { benchCalculating } from './calculating';
import { benchFull } from './full';
import { benchLoading } from './loading';
import { openReport } from './report';
import { openStage } from './stage';
import { benchWorking } from './working';

/** Measures all of it and prints the table. */
export async function bench(): Promise<void> {
  const { row, print } = openReport();
  const stage = await openStage();
  await benchLoading(row, stage);
  await benchWorking(row, stage);
  await benchCalculating(row, stage);
  await benchFull(row, stage);
  // How the adviser does beside a fixed order.
  for (const [loader, player, first, , , tests, minutes, , , ofCeiling, saved] of (await playAdviser(60)).slice(1)) {
    if (player !== 'adviser') continue;
    row(
      `adviser, ${loader}: right after 5 tests, minutes to certain`,
      `${first}, ${minutes} min`,
      `${ofCeiling} of the ceiling, ${saved} fewer minutes than the fixed order; ${tests} tests; 60 machines, docs/ADVISER.md has more`,
    );
  }
  print(stage.browser.version());
  await stage.close();
}
