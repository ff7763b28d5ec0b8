import { beltLabel } from '../../base/shapes';
import { sameBelt } from '../../belts/catalogue';
import type { DriveRecord, Try } from '../../record/stations';
import { goneBack, isOpen, openRemoval, type Step } from '../../work/strip';
import type { EventBody, Ticket } from '../../record/ticket';
import { namesDrive } from './names';

/** The drive that a belt step belongs to: named by letter or by what it drives, or the only one there is. */
export const driveOfBelt = (
  ticket: Pick<Ticket, 'drives'>,
  step: Pick<Step, 'what' | 'where' | 'line'>,
): DriveRecord | undefined =>
  ticket.drives.length === 1
    ? ticket.drives[0]
    : ticket.drives.find((drive) => namesDrive(`${step.what} ${step.where} ${step.line}`, drive));

/** The belt that was chosen for a drive: the last that was fitted there and not found wanting. */
export const chosenBelt = ({ tries }: Pick<DriveRecord, 'tries'>): Try | undefined => {
  const last = tries[tries.length - 1];
  return last && (last.verdict === 'untried' || last.verdict === 'right') ? last : undefined;
};

/**
 * What happens when a belt goes on: the try is logged, and is a treatment from that moment; “no belt fitted” ends, and its step of the strip is back. One
 * fact, said once.
 *
 * @example fittingOf(ticket, 'drive-a', belt, at).map(({ type }) => type) // ['treatmentRecorded', 'tryLogged']
 */
export function fittingOf(ticket: Ticket, driveId: string, belt: Try, at: string): readonly EventBody[] {
  const { steps, temporaryChanges } = ticket.strip;
  const ends = temporaryChanges.filter(
    (change) =>
      change.kind === 'noBelt' &&
      isOpen(change) &&
      !ticket.drives.some((other) => other.id !== driveId && namesDrive(change.words, other)),
  );
  const back = steps.filter(
    (step) => step.kind === 'belt' && openRemoval(step) && driveOfBelt(ticket, step)?.id === driveId,
  );
  // One that is on and not yet judged, said again, is the same try.
  const last = ticket.drives.find(({ id }) => id === driveId)?.tries.at(-1);
  const same = last?.verdict === 'untried' && sameBelt(last, belt) && last.itemId === belt.itemId;
  const id = same ? last.id : belt.id;
  const what = `fitted ${beltLabel(belt, 'mm').size}${belt.source && `, ${belt.source}`}`;
  return [
    // Something was done about the fault: what ran before it proves nothing since.
    { type: 'treatmentRecorded', treatment: { id, at, what } },
    { type: 'tryLogged', driveId, try: { ...belt, id } },
    // A change that waits for a step, or for another change, ends in its own time.
    ...ends
      .filter(({ afterChangeId, afterStepId }) => afterChangeId === null && afterStepId === null)
      .map((change): EventBody => ({ type: 'temporaryChangePut', change: { ...change, closedAt: at } })),
    ...back.map((step): EventBody => ({ type: 'stepPut', step: goneBack(step, openRemoval(step)?.off ?? 1, at) })),
  ];
}
