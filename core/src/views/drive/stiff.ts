import type { DriveRecord, ObservationRecord } from '../../record/stations';

/** What Find was told of a machine. */
interface Observed {
  readonly observations?: readonly ObservationRecord[];
}

/** Tests of Find that say how what the belt moves goes by hand, with the answers that call it stiff. */
const GOES_BY_HAND: Readonly<Record<string, readonly string[]>> = {
  turnHand: ['stiff', 'blocked'],
  beltOffStiff: ['stiff', 'blocked'],
};

/** The last answer to a test about a drive, or about none in particular. */
function lastAnswer(
  { observations = [] }: Observed,
  testId: string,
  drive: Pick<DriveRecord, 'id'>,
): string | undefined {
  return observations.findLast((one) => one.testId === testId && (one.driveId === null || one.driveId === drive.id))
    ?.outcome;
}

/** Whether a drive goes stiffly by hand, as Find has it. For instance goesStiffly(ticket, ticket.drives[0]): true */
export const goesStiffly = (ticket: Observed, drive: Pick<DriveRecord, 'id'>): boolean =>
  Object.entries(GOES_BY_HAND).some(([testId, answers]) => answers.includes(lastAnswer(ticket, testId, drive) ?? ''));
