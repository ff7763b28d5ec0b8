import { loaderOf } from '../../base/loaders';
import { conflictsOf, dirtyAsFound, knownOf, rowOf } from '../../record/findings';
import { DIRT_NAMES } from '../../work/compatibility';
import {
  besideCount,
  CHECKS,
  checksFor,
  circumstanceWords,
  cleanRunState,
  countedBefore,
  failedKinds,
  failedUnder,
  kindWords,
  leastClean,
  tally,
  TOO_MANY_CYCLES,
} from '../../work/proving';
import { counted, listed, plural, type LengthUnit } from '../../base/units';
import { isOpen, leftOvers, lidNow, openRemoval } from '../../work/strip';
import { driveFactsOf, provisionalNow, recheckTargets, type Ticket } from '../../record/ticket';
import type { StationId } from '../../record/stations';
import { saidAgainst } from '../drive';
import { handBackText } from './filled';

/** Something that still speaks against handing back, and where to look. */
export interface OpenEnd {
  readonly words: string;
  readonly station: StationId;
  /** It must not go so without a reason being written; the others are only told. */
  readonly grave: boolean;
  readonly driveName?: string;
}

/** Whether any cycle was counted with a disc in since the last treatment: nothing is proved on an empty tray alone. */
const discTried = (ticket: Ticket): boolean => {
  const since = ticket.treatments[ticket.treatments.length - 1]?.at ?? '';
  return ticket.cycles.some(({ loaded, at, trial }) => loaded && trial === undefined && at >= since);
};

/** What is not proved: by the kind of movement that failed, and by nothing else. */
function unproved(ticket: Ticket): string[] {
  const cleanRun = ticket.cleanRuns[ticket.cleanRuns.length - 1];
  const before = tally(countedBefore(ticket.cycles));
  if (cleanRun && cleanRunState(cleanRun, ticket.cycles).failedAt !== undefined)
    return ['The last clean run failed: not cured.'];
  if (!cleanRun) return before.failures > 0 ? ['It failed when it came, and no clean run was begun since.'] : [];
  const kinds = failedKinds(ticket.cycles, cleanRun);
  const short = kinds.filter((kind) => kind.clean < leastClean(kind) && leastClean(kind) <= TOO_MANY_CYCLES);
  const beside = besideCount(ticket.cycles, cleanRun, kinds);
  return [
    ...short.map(
      (kind) =>
        `Not proved: it failed ${kindWords(kind)}, and of that ${kind.clean} of ${leastClean(kind)} clean cycles are there${beside === 0 ? '' : beside === 1 ? '; the other one proves nothing of it' : `; the ${beside} others prove nothing of it`}.`,
    ),
    // A kind that is short already says so; what is left are conditions of which none was tried.
    ...failedUnder(ticket.cycles, cleanRun)
      .filter(
        (under) =>
          under.clean === 0 && !short.some(({ action, place }) => action === under.action && place === under.place),
      )
      .map((under) => `It failed ${circumstanceWords(under)}; the clean run has no cycle so.`),
  ];
}

/** A belt that came on after the last cycle of the clean run: what ran before proves nothing of it. */
function fittedSince({ cleanRuns, cycles, drives, treatments }: Ticket): string[] {
  const run = cleanRuns.at(-1);
  const ran = run && cycles.findLast(({ cleanRunId, trial }) => cleanRunId === run.id && trial === undefined);
  if (!ran) return [];
  const fitted = treatments.findLast(
    ({ id, at }) => at > ran.at && drives.some(({ tries }) => tries.some((one) => one.id === id)),
  );
  return fitted ? [`Since the last clean cycle it was ${fitted.what}: nothing proves that yet.`] : [];
}

/** Of two decks that are alike, the one of which nobody spoke while the other was worked on. */
function unspoken(ticket: Ticket): Ticket['drives'] {
  if (!loaderOf(ticket.loader).has.mirroredDecks || ticket.drives.length < 2) return [];
  const about = new Set([
    ...ticket.observations.map(({ driveId }) => driveId),
    ...knownOf(ticket).map(({ driveId }) => driveId),
    ...ticket.cleaning.places.map(({ driveId }) => driveId),
  ]);
  const silent = ticket.drives.filter(
    ({ id, readings, tries }) => readings.length === 0 && tries.length === 0 && !about.has(id),
  );
  return silent.length === ticket.drives.length ? [] : silent;
}

const UNTOUCHED = 'Nothing was measured, taken apart, cleaned, fitted or proved: it goes as it came.';

/** Whether anything was done to a machine at all: measured, taken apart, cleaned, fitted or proved. */
const touched = ({ drives, strip, treatments, cleaning, cycles, checks, timings }: Ticket): boolean =>
  drives.some(({ readings, tries }) => readings.length > 0 || tries.length > 0) ||
  strip.steps.length > 0 ||
  treatments.length > 0 ||
  cleaning.jam !== null ||
  cleaning.places.length > 0 ||
  cycles.length > 0 ||
  timings.length > 0 ||
  checks.some(({ state }) => state === 'shown');

/**
 * What speaks against handing a machine back, what matters most first. A gate to be passed by saying why, not a lock; a
 * station needs no signing off.
 *
 * @example openEnds(ticket)[0]?.words // 'The lid is off.'
 */
export function openEnds(ticket: Ticket, unit: LengthUnit = 'mm'): readonly OpenEnd[] {
  const ends: OpenEnd[] = [];
  const add =
    (grave: boolean) =>
    (words: string, station: StationId, driveName?: string): void => {
      ends.push({ words, station, grave, ...(driveName !== undefined && { driveName }) });
    };
  const end = add(true);
  const tell = add(false);
  const lid = lidNow(ticket.lid, ticket.strip.steps);
  if (lid?.state === 'off') end('The lid is off.', 'rebuild');
  const { jam, crumbs } = ticket.cleaning;
  if (jam && !jam.out && jam.what.trim() !== '') end(`Still in the way: ${jam.what}.`, 'clean');
  for (const { allOut } of crumbs) if (!allOut) tell('Not every crumb of the old belt is accounted for.', 'clean');
  for (const { place, standing } of dirtyAsFound(ticket))
    tell(`Still as it was found: ${place.name}, ${listed(standing.map((dirt) => DIRT_NAMES[dirt]))}.`, 'clean');
  for (const { one, other } of conflictsOf(ticket))
    tell(`Both cannot be so: ${rowOf(one.kind).name}, and ${rowOf(other.kind).name}. Nobody said which.`, 'find');
  for (const drive of ticket.drives) {
    // A belt that was judged right answers more than its readings do.
    if (drive.tries.at(-1)?.verdict === 'right') continue;
    for (const { said } of saidAgainst(driveFactsOf(drive), drive, [], unit)) tell(said, 'measure', drive.name);
  }
  for (const { name, role } of unspoken(ticket))
    tell(
      `Nothing was said of drive ${name}${role === '' ? '' : `, ${role}`}: neither looked at nor tried.`,
      'measure',
      name,
    );
  const { mode } = ticket.train;
  if (mode.at !== null && mode.home !== null && mode.at !== mode.home) end('The mode gear is not home.', 'rebuild');
  for (const { whose, returned } of ticket.discs) {
    if (!returned) end(`A disc is not accounted for: ${whose || 'nobody knows whose'}.`, 'takeIn');
  }
  for (const sentence of leftOvers(ticket.strip)) end(sentence, 'rebuild');
  const off = ticket.strip.steps.filter((step) => openRemoval(step));
  if (off.length > 0) {
    const numbers = listed(off.map(({ number }) => String(number)));
    end(`Not back yet: ${plural(off.length, 'number')} ${numbers}.`, 'rebuild');
  }
  for (const { words, closes } of ticket.strip.temporaryChanges.filter(isOpen))
    end(`Still open: ${words}; ${closes}.`, 'rebuild');
  for (const sentence of [...unproved(ticket), ...fittedSince(ticket)]) end(sentence, 'prove');
  if (lid?.state === 'on' && !ticket.cycles.some(({ at, trial }) => trial === undefined && at >= lid.since)) {
    end('Not powered since the lid went on: no cycle was counted.', 'prove');
  }
  for (const { words, state } of ticket.complaints) {
    if (state === 'open') end(`“${words}” is not answered yet.`, 'handBack');
  }
  for (const { name, tries } of ticket.drives) {
    const last = tries[tries.length - 1];
    if (last && last.verdict !== 'right') end(`Drive ${name}: the last belt is not judged right.`, 'size', name);
  }
  for (const { driveName, words, result } of recheckTargets(ticket)) {
    if (result === 'faulty') end(`Found faulty again. ${words}`, 'prove', driveName);
  }
  for (const timer of ticket.timers) {
    if (timer.endedAt === null) end(`A timer is still to be seen to: ${timer.what}.`, 'takeIn');
  }
  // A station said not to be needed asks for nothing.
  if (ticket.stations.prove !== 'notNeeded') {
    const asked = checksFor(ticket.loader).map(
      (kind) => ticket.checks.find((check) => check.kind === kind) ?? { kind, state: 'notDone' },
    );
    const notDone = asked.filter(({ state }) => state === 'notDone').length;
    for (const { kind, state } of asked) if (state === 'failed') end(`Failed: ${CHECKS[kind].name}.`, 'prove');
    if (notDone > 0) tell(`${notDone} of ${counted(asked.length, 'check')} not done.`, 'prove');
  }
  const unseen = recheckTargets(ticket).filter(({ driveName, result }) => driveName && result === 'notLooked');
  for (const { driveName, words } of unseen)
    tell(`Not looked at after the last treatment. ${words}`, 'prove', driveName);
  if (loaderOf(ticket.loader).has.discs && ticket.cycles.length > 0 && !discTried(ticket)) {
    tell('No cycle was counted with a disc in since the last treatment.', 'prove');
  }
  const provisional = provisionalNow(ticket);
  if (provisional.text.trim() !== '' && provisional.dueOn === '') {
    tell('Something is provisional, with no day to look at it again.', 'handBack');
  }
  if (!touched(ticket)) tell(UNTOUCHED, 'find');
  if (handBackText(ticket, 'done').trim() === '') tell('What was done is not written yet.', 'handBack');
  return ends;
}
