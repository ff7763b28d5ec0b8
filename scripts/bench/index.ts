import { playAdviser } from '../adviser.mjs';
import { benchCalculating } from './calculating';
import { benchCleaning } from './cleaning';
import { benchCycles } from './cycles';
import { benchDemo } from './demo';
import { benchFull } from './full';
import { benchJobs } from './jobs';
import { benchLines } from './lines';
import { benchLooks } from './looks';
import { benchLoading } from './loading';
import { benchPlanning } from './planning';
import { benchPractice } from './practice';
import { openReport } from './report';
import { openStage } from './stage';
import { benchTrain } from './train';
import { benchWorking } from './working';

const PARTS = {
  loading: benchLoading,
  working: benchWorking,
  cleaning: benchCleaning,
  train: benchTrain,
  planning: benchPlanning,
  calculating: benchCalculating,
  cycles: benchCycles,
  practice: benchPractice,
  demo: benchDemo,
  lines: benchLines,
  full: benchFull,
  jobs: benchJobs,
  looks: benchLooks,
} as const;

/** Measures all of it, or the parts that are named, and prints the table. */
export async function bench(named: readonly string[] = []): Promise<void> {
  const { row, print } = openReport();
  const stage = await openStage();
  for (const [name, part] of Object.entries(PARTS))
    if (named.length === 0 || named.includes(name)) await part(row, stage);
  if (named.length > 0) {
    print(stage.browser.version());
    await stage.close();
    return;
  }
  // How the adviser does by either policy, and whether it is as sure as it says.
  const { asking, trust } = await playAdviser(60);
  for (const [loader, policy, player, first, by5, , tests, minutes, , ofCeiling] of asking.slice(1)) {
    if (player !== 'adviser') continue;
    row(
      `adviser, ${loader}, most ${policy}: right after 5 tests, minutes by then`,
      `${first}, ${by5} min`,
      `${ofCeiling} of the ceiling; ${tests} tests and ${minutes} min to certainty; 60 machines, docs/ADVISER.md has more`,
    );
  }
  for (const [world, taken, certain, stated, right, apart] of trust.slice(1))
    row(
      `adviser, ${world}, ${taken}: certain, stated, right`,
      `${certain}, ${stated}, ${right}`,
      `${apart} points apart`,
    );
  print(stage.browser.version());
  await stage.close();
}
