import { CHECKS, checksFor, circumstanceWords, failedUnder, cleanRunState, tally } from '../proving';
import { counted, listed, plural } from '../units';
import { isOpen, leftOvers, lidNow, openRemoval } from '../strip';
import { recheckTargets, type Ticket } from '../ticket';
import { STATION_NAMES, STATIONS, type StationId } from '../stations';

/** Something that still speaks against handing back, and where to look. */
export interface OpenEnd {
  readonly words: string;
  readonly station: StationId;
  readonly driveName?: string;
}

/** Whether any cycle was counted with a disc in since the last treatment: nothing is proved on an empty tray alone. */
const discTried = (ticket: Ticket): boolean => {
  const since = ticket.treatments[ticket.treatments.length - 1]?.at ?? '';
  return ticket.cycles.some(({ loaded, at }) => loaded && at >= since);
};

/**
 * What speaks against handing a machine back, most telling first. A gate to be passed by saying why, not a lock.
 *
 * @example openEnds(ticket)[0]?.words // '“shy on cold mornings” is not answered yet.'
 */
export function openEnds(ticket: Ticket): readonly OpenEnd[] {
  const ends: OpenEnd[] = [];
  const end = (words: string, station: StationId, driveName?: string): void => {
    ends.push({ words, station, ...(driveName !== undefined && { driveName }) });
  };
  for (const { words, state } of ticket.complaints) {
    if (state === 'open') end(`“${words}” is not answered yet.`, 'takeIn');
  }
  for (const { name, tries } of ticket.drives) {
    const last = tries[tries.length - 1];
    if (last && last.verdict !== 'right') end(`Drive ${name}: the last belt is not judged right.`, 'size', name);
  }
  const before = tally(ticket.cycles.filter(({ cleanRunId }) => cleanRunId === null));
  const cleanRun = ticket.cleanRuns[ticket.cleanRuns.length - 1];
  if (cleanRun && cleanRunState(cleanRun, ticket.cycles).failedAt !== undefined)
    end('The last clean run failed: not cured.', 'prove');
  else if (!cleanRun && before.failures > 0) end('It failed when it came, and no clean run was begun since.', 'prove');
  if (cleanRun) {
    for (const under of failedUnder(ticket.cycles, cleanRun)) {
      if (under.clean === 0) end(`It failed ${circumstanceWords(under)}; the clean run has no cycle so.`, 'prove');
    }
  }
  const unseen = recheckTargets(ticket).filter(({ driveName, result }) => driveName && result === 'notLooked');
  for (const { driveName, words } of unseen)
    end(`Not looked at after the last treatment. ${words}`, 'prove', driveName);
  for (const { driveName, words, result } of recheckTargets(ticket)) {
    if (result === 'faulty') end(`Found faulty again. ${words}`, 'prove', driveName);
  }
  for (const { words, closes } of ticket.strip.temporaryChanges.filter(isOpen))
    end(`Still open: ${words}. ${closes}.`, 'rebuild');
  for (const sentence of leftOvers(ticket.strip)) end(sentence, 'rebuild');
  const off = ticket.strip.steps.filter((step) => openRemoval(step));
  if (off.length > 0) {
    const numbers = listed(off.map(({ number }) => String(number)));
    end(`Not back yet: ${plural(off.length, 'number')} ${numbers}.`, 'rebuild');
  }
  const lid = lidNow(ticket.lid, ticket.strip.steps);
  if (lid?.state === 'off') end('The lid is off.', 'handBack');
  if (lid?.state === 'on' && !ticket.cycles.some(({ at }) => at >= lid.since)) {
    end('Not powered since the lid went on: no cycle was counted.', 'prove');
  }
  // A station said not to be needed asks for nothing.
  if (ticket.stations.prove !== 'notNeeded') {
    const asked = checksFor(ticket.loader).map(
      (kind) => ticket.checks.find((check) => check.kind === kind) ?? { kind, state: 'notDone' },
    );
    const notDone = asked.filter(({ state }) => state === 'notDone').length;
    for (const { kind, state } of asked) if (state === 'failed') end(`Failed: ${CHECKS[kind].name}.`, 'prove');
    if (notDone > 0) end(`${notDone} of ${counted(asked.length, 'check')} not done.`, 'prove');
  }
  if (ticket.loader !== 'diskDrive' && ticket.cycles.length > 0 && !discTried(ticket)) {
    end('No cycle was counted with a disc in since the last treatment.', 'prove');
  }
  for (const { whose, returned } of ticket.discs) {
    if (!returned) end(`A disc is not accounted for: ${whose || 'nobody knows whose'}.`, 'takeIn');
  }
  if (ticket.handBack.provisional.trim() !== '' && ticket.handBack.dueOn === '') {
    end('Something is provisional, with no day to look at it again.', 'handBack');
  }
  for (const timer of ticket.timers) {
    if (timer.endedAt === null) end(`A timer is still to be seen to: ${timer.what}.`, 'takeIn');
  }
  for (const station of STATIONS) {
    if (station !== 'handBack' && ticket.stations[station] === 'open')
      end(`${STATION_NAMES[station]} is still open.`, station);
  }
  if (ticket.handBack.done.trim() === '') end('What was done is not written yet.', 'handBack');
  return ends;
}
