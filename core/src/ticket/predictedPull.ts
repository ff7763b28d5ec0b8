import { judge, situationOf } from '../sizing';
import { factsOf } from './summary';
import { type Driven, DRIVEN_OF } from '../loaders';
import type { Ticket } from './schema';

/** The pull at which a belt should let go at the tray, by calculation. */
export interface PredictedPull {
  readonly driveName: string;
  readonly driven: Driven;
  readonly trayPullN: number;
  /** Whether the tray's travel for a turn was assumed rather than counted. */
  readonly travelAssumed: boolean;
}

/**
 * The pull at which the belt fitted last should let go, for a hand or a scale to be held against; of the first drive
 * whose readings allow it.
 *
 * @returns undefined where no belt is judged right, or too little was measured
 * @example predictedPull(ticket)?.trayPullN // 3.2
 */
export function predictedPull(ticket: Ticket): PredictedPull | undefined {
  for (const drive of ticket.drives) {
    const last = drive.tries.findLast(({ verdict }) => verdict === 'right');
    const situation = last && situationOf(factsOf(drive), { ...drive, driven: DRIVEN_OF[ticket.loader] });
    if (!last || !situation?.ok) continue;
    const running = judge(situation.value, { ...last, widthMm: last.widthMm ?? undefined })?.running;
    if (running) {
      return {
        driveName: drive.name,
        driven: DRIVEN_OF[ticket.loader],
        trayPullN: running.trayPullN,
        travelAssumed: running.travelAssumed,
      };
    }
  }
  return undefined;
}
