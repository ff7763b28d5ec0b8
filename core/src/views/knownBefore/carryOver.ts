import type { Measurand } from '../../belts/measuring';
import type { DriveRecord } from '../../record/stations';
import type { EventBody, Ticket } from '../../record/ticket';

/** What belongs to the mechanism rather than to the machine: it does not stretch, so it may be carried over. */
const CARRIED: readonly Measurand[] = ['motorDiameter', 'drivenDiameter', 'centreDistance', 'trayTravel', 'trayPull'];

/** What a past ticket knows that this one does not, in a few words each. */
export interface KnownFrom {
  readonly number: string;
  readonly words: readonly string[];
}

/** The drive of the new ticket that a past drive speaks of: the same mechanism, else the same letter where that cannot clash. */
const drivePartner = (ticket: Ticket, past: DriveRecord): DriveRecord | undefined =>
  ticket.drives.find(({ mechanism }) => mechanism !== '' && mechanism === past.mechanism) ??
  ticket.drives.find(({ name, mechanism }) => name === past.name && (mechanism === '' || past.mechanism === ''));

/** Whether a past drive knows anything worth carrying. */
const knows = (drive: DriveRecord): boolean =>
  drive.mechanism !== '' ||
  drive.normal !== '' ||
  drive.codes.length > 0 ||
  drive.readings.some(({ measurand }) => CARRIED.includes(measurand));

/** What a past ticket knows of a mechanism: for the line that offers it. */
export function knownFrom(past: Ticket): KnownFrom {
  const words = past.drives.flatMap((drive) => {
    const readings = new Set(drive.readings.map(({ measurand }) => measurand));
    const parts = [
      drive.mechanism && `mechanism ${drive.mechanism}`,
      CARRIED.some((one) => readings.has(one)) && 'pulleys and shafts',
      drive.normal && 'what is normal',
      drive.codes.length > 0 && `${drive.codes.length} error ${drive.codes.length === 1 ? 'code' : 'codes'}`,
    ].filter((part): part is string => typeof part === 'string' && part !== '');
    return parts.length === 0 ? [] : [`drive ${drive.name}: ${parts.join(', ')}`];
  });
  return { number: past.number, words };
}

/**
 * The events that carry what a past ticket knows over to a new one: mechanism, grooves, what is normal, error codes,
 * and the readings that do not stretch, marked with where they came from. Nothing that is there already is touched.
 *
 * @param newId gives a fresh id each time
 * @example carryOver(ticket, ticket, newId).length // 0
 */
export function carryOver(past: Ticket, ticket: Ticket, newId: () => string): EventBody[] {
  const letters = new Set(ticket.drives.map(({ name }) => name));
  const letterFor = (wanted: string): string => {
    const letter = [wanted, ...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((one) => !letters.has(one)) ?? wanted;
    letters.add(letter);
    return letter;
  };
  return past.drives.filter(knows).flatMap((known): EventBody[] => {
    const here = drivePartner(ticket, known);
    const driveId = here?.id ?? newId();
    const changes = {
      ...(!here?.role && known.role && { role: known.role }),
      ...(!here?.mechanism && known.mechanism && { mechanism: known.mechanism }),
      ...(!here?.normal && known.normal && { normal: known.normal }),
      ...((here?.codes.length ?? 0) === 0 && known.codes.length > 0 && { codes: known.codes }),
      ...((here?.readings.length ?? 0) === 0 && {
        crossed: known.crossed,
        motorGroove: known.motorGroove,
        drivenGroove: known.drivenGroove,
        oldShape: known.oldShape,
        ...(known.idlers.length > 0 && { others: known.idlers }),
        ...(known.speed && { speed: known.speed }),
      }),
    };
    const have = new Set(here?.readings.map(({ measurand }) => measurand));
    const latest = (of: Measurand): number =>
      Math.max(...known.readings.filter((one) => one.measurand === of).map(({ round = 0 }) => round));
    // A pull is carried as it was last, and is of this machine's own first state.
    const readings = known.readings
      .filter(({ measurand }) => CARRIED.includes(measurand) && !have.has(measurand))
      .filter(({ measurand, round = 0 }) => measurand !== 'trayPull' || round === latest('trayPull'))
      .map(({ round: _, ...reading }) => reading);
    return [
      ...(here ? [] : [{ type: 'driveAdded' as const, driveId, name: letterFor(known.name) }]),
      ...(Object.keys(changes).length > 0 ? [{ type: 'driveChanged' as const, driveId, changes }] : []),
      ...readings.map((reading) => ({
        type: 'readingTaken' as const,
        driveId,
        reading: { ...reading, id: newId(), from: reading.from ?? past.number },
      })),
    ];
  });
}
