import { deeper, type Case, type Depth, type Knowledge, type Observation } from '../../work/diagnosis';
import { isFailure, isTrial } from '../../work/proving';
import { isAway, lidNow } from '../../work/strip';
import { machineView } from '../machine';
import { answerDropped } from '../../record/findings';
import type { Ticket } from '../../record/ticket';
import { failsAt, inOrderOf } from './direction';
import { takenFrom, type Taken } from './fromTicket';
import { isBeltTest, isGoodBelt } from './sameTest';
import type { ObservationRecord } from '../../record/stations';

/** An answer as the page shows it: what the adviser hears, and where it came from. */
export interface Answer extends Observation {
  /** The ticket's own answer, which can be taken back; undefined where another station saw it. */
  readonly recordId?: string;
  readonly from?: string;
}

/** An answer about another drive's belt is an answer to the test of the others. */
function heard(ticket: Ticket, record: ObservationRecord, cured: number): Answer {
  const other = record.driveId !== null && record.driveId !== ticket.drives[0]?.id;
  const answer = { testId: record.testId, outcome: record.outcome, cured, recordId: record.id };
  if (!other || !isBeltTest(record.testId)) return answer;
  const good = isGoodBelt(record.testId, record.outcome);
  const silent = record.outcome === 'unclear' || record.outcome === 'notTried';
  return { ...answer, testId: 'otherBelts', outcome: silent ? record.outcome : good ? 'firm' : 'bad' };
}

/** Everything that was answered, oldest first; a test answered twice since the last cure counts by its last answer. */
export function answersOf(ticket: Ticket): Answer[] {
  const cures = ticket.verdicts.filter(({ state }) => state === 'cured').map(({ at }) => at);
  const own = ticket.observations
    .filter(({ testId, outcome, driveId }) => !answerDropped(ticket, testId, outcome, driveId))
    .map((record) => heard(ticket, record, cures.filter((at) => at <= record.at).length));
  const taken: readonly Taken[] = takenFrom(ticket);
  const all: Answer[] = [
    ...taken.filter(({ testId }) => !own.some((one) => one.testId === testId && one.cured === 0)),
    ...own,
  ];
  return all.filter(
    (one, index) => !all.slice(index + 1).some((later) => later.testId === one.testId && later.cured === one.cured),
  );
}

/** Readings that nobody takes with the lid on. */
const INSIDE_READINGS: ReadonlySet<string> = new Set([
  'motorDiameter',
  'drivenDiameter',
  'centreDistance',
  'stringPath',
]);

/** How far it is open: said by the lid, or shown by a test or a reading that needed it. */
function openedOf(ticket: Ticket, knowledge: Knowledge): Depth {
  const lid = lidNow(ticket.lid, ticket.strip.steps);
  const lidOnAt = lid?.state === 'on' ? lid.since : '';
  const depths = ticket.observations
    .filter(({ at, outcome }) => at > lidOnAt && outcome !== 'notTried')
    .map(({ testId }) => knowledge.tests.find(({ id }) => id === testId)?.depth ?? 'lidOn');
  const measured = ticket.drives.some(({ readings }) =>
    readings.some(({ measurand, from }) => INSIDE_READINGS.has(measurand) && from === undefined),
  );
  const said = lid?.state === 'off' || (measured && lid === null);
  return depths.reduce<Depth>(deeper, said ? 'lidOff' : 'lidOn');
}

/** Tests of a belt that is on its pulleys. */
const ON_PULLEYS = ['beltFeel', 'holdEject', 'turnHand'];
/** Tests that need the machine to move. */
const MOVING = [
  'sound',
  'behaviour',
  'closing',
  'pull',
  'tapped',
  'emptyLoaded',
  'warm',
  'dark',
  'holdEject',
  'reads',
  'spins',
];

/**
 * What the state of the machine makes impossible: nobody presses a belt that is broken or out, nor watches a tray that
 * lies on the bench.
 *
 * @example impossibleTests(ticket) // []
 */
export function impossibleTests(ticket: Ticket): readonly string[] {
  const { drives, off } = machineView({ ticket, events: [] });
  const cures = ticket.verdicts.filter(({ state }) => state === 'cured').length;
  // A belt that is in since is another than the one that was seen broken.
  const gone =
    drives[0]?.belt.kind !== 'fitted' &&
    answersOf(ticket).some(
      ({ testId, outcome, cured }) =>
        testId === 'beltLook' && cured === cures && !['inPlace', 'unclear', 'notTried'].includes(outcome),
    );
  const beltOut = drives[0]?.belt.kind === 'none';
  const mover = off.some(
    ({ kind, what, fate }) =>
      kind === 'part' && isAway(fate) && /\b(?:tray|drawer|motor|mechanism|mech|roller)\b/i.test(what),
  );
  return [...new Set([...(gone || beltOut ? ON_PULLEYS : []), ...(mover ? [...MOVING, ...ON_PULLEYS] : [])])];
}

/**
 * A ticket as the adviser sees it.
 *
 * @example caseOf(ticket, KNOWLEDGE).observations.length // 11
 */
export function caseOf(ticket: Ticket, knowledge: Knowledge): Case {
  const cured = ticket.verdicts.filter(({ state }) => state === 'cured').sort((a, b) => a.at.localeCompare(b.at));
  const lastCure = cured[cured.length - 1]?.at;
  const answers = answersOf(ticket);
  return {
    loader: ticket.loader,
    ...inOrderOf(failsAt(ticket, answers)),
    observations: answers.map(({ testId, outcome, cured: before, seen }) => ({
      testId,
      outcome,
      cured: before,
      ...(seen !== undefined && { seen }),
    })),
    cured: cured.map(({ causeId }) => causeId),
    ruledOut: ticket.verdicts.filter(({ state }) => state === 'ruledOut').map(({ causeId }) => causeId),
    opened: openedOf(ticket, knowledge),
    impossible: impossibleTests(ticket),
    stillFails:
      lastCure !== undefined &&
      ticket.cycles.some((cycle) => cycle.at > lastCure && !isTrial(cycle) && isFailure(cycle)),
  };
}
