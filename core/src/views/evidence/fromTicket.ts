import type { Observation } from '../../work/diagnosis';
import { countedBefore, cycleTable, FEW_CYCLES, tally } from '../../work/proving';
import { DIRECTIONS, WENT } from './direction';
import { fisherTwoSided } from '../../base/statistics';
import { isBeltTest, isGoodBelt } from './sameTest';
import { oldBeltFinding } from '../../belts/sizing';
import { linkOff, squareWords } from '../../physics/train';
import { knownOf, rowOf } from '../../record/findings';
import { driveFactsOf, type Ticket } from '../../record/ticket';
import type { EvidenceKind, Sound } from '../../record/stations';

/** What another station saw that answers a test of the adviser. */
export interface Taken extends Observation {
  /** Where it was seen, in a few words. */
  readonly from: string;
}

const SOUND_ANSWERS: Readonly<Record<Sound, readonly [testId: string, outcome: string]>> = {
  silence: ['sound', 'silence'],
  click: ['sound', 'click'],
  runsFree: ['sound', 'runsFree'],
  screech: ['sound', 'screech'],
  growl: ['sound', 'growl'],
  rattle: ['rattle', 'rattles'],
  thump: ['turnHand', 'thumps'],
};
const EVIDENCE_ANSWERS: Readonly<Partial<Record<EvidenceKind, readonly [testId: string, outcome: string]>>> = {
  screwsMissing: ['signs', 'signs'],
  screwsWrong: ['signs', 'signs'],
  tabsBroken: ['signs', 'signs'],
  beltForeign: ['signs', 'signs'],
  earlierRepair: ['signs', 'signs'],
  looseInside: ['rattle', 'rattles'],
};

/** Below this chance a difference of empty and loaded is taken for one; above the other for none. */
const DIFFERS = 0.1;
const ALIKE = 0.5;
/** Cycles of either kind that are enough to call them alike. */
const ENOUGH = 8;

/** What the counted cycles say of empty against loaded, where they say anything. */
function emptyAgainstLoaded(ticket: Ticket): Taken[] {
  const before = countedBefore(ticket.cycles);
  const from = 'the cycles counted at Take in';
  for (const { empty, loaded, chance } of cycleTable(before)) {
    if (empty.n === 0 || loaded.n === 0) continue;
    if (chance < DIFFERS) {
      const outcome = empty.failures / empty.n > loaded.failures / loaded.n ? 'failsEmpty' : 'failsLoaded';
      return [{ testId: 'emptyLoaded', outcome, cured: 0, from }];
    }
  }
  const alike = cycleTable(before).some(
    ({ empty, loaded, chance }) => chance > ALIKE && empty.failures > 0 && empty.n >= ENOUGH && loaded.n >= ENOUGH,
  );
  return alike ? [{ testId: 'emptyLoaded', outcome: 'alike', cured: 0, from }] : [];
}

/** Whether a condition parts failures from the rest, so that chance alone would hardly do it. */
function parted(ticket: Ticket, condition: string): 'better' | 'worse' | undefined {
  const before = countedBefore(ticket.cycles);
  const under = tally(before.filter(({ conditions }) => conditions.includes(condition)));
  const other = tally(before.filter(({ conditions }) => !conditions.includes(condition)));
  if (under.n === 0 || other.n === 0) return undefined;
  const chance = fisherTwoSided({
    failedA: under.failures,
    goodA: under.n - under.failures,
    failedB: other.failures,
    goodB: other.n - other.failures,
  });
  if (chance >= DIFFERS) return undefined;
  return under.failures / under.n < other.failures / other.n ? 'better' : 'worse';
}

/** What the counted cycles say by direction, by what helped, and by condition. */
function counted(ticket: Ticket): Taken[] {
  const before = countedBefore(ticket.cycles);
  const from = 'the cycles counted at Take in';
  // A few clean ones tell that it goes well this way once it was seen to fail the other way.
  const tallied = DIRECTIONS.map((way) => [way, tally(before.filter(({ action }) => WENT[action] === way))] as const);
  const ways = tallied.flatMap(([way, { n, failures, slow }]): Taken[] => {
    const fails = tallied.some(([other, one]) => other !== way && one.failures > 0);
    if (failures > 0 || n < (fails ? FEW_CYCLES : ENOUGH)) return [];
    return [{ testId: way, outcome: slow > n / 2 ? 'slow' : 'works', cured: 0, from }];
  });
  const answer = (testId: string, outcome: string): Taken => ({ testId, outcome, cured: 0, from });
  const cold = parted(ticket, 'cold');
  const warm = parted(ticket, 'warm');
  return [
    ...(before.some(({ result }) => result === 'helped') ? [answer('pull', 'comes')] : []),
    ...ways,
    ...(parted(ticket, 'tapped') === 'better' ? [answer('tapped', 'helps')] : []),
    ...(parted(ticket, 'dark') === 'better' ? [answer('dark', 'works')] : []),
    ...(cold === 'worse' || warm === 'better' ? [answer('warm', 'betterWarm')] : []),
    ...(cold === 'better' || warm === 'worse' ? [answer('warm', 'worseWarm')] : []),
  ];
}

/** A pull with the belt off from which a tray is stiff, and up to which it runs free. Common practice, no source. */
const STIFF_N = 3;
const FREE_N = 1.5;

/** What the lengths and the pull of the first drive say. */
function measured(ticket: Ticket): Taken[] {
  const [drive] = ticket.drives;
  if (!drive) return [];
  const facts = driveFactsOf(drive);
  const finding = oldBeltFinding(facts);
  // As it came: what a treatment made of it is no evidence of the fault.
  const pullN = (facts.trayPullBefore ?? facts.trayPull)?.value;
  const at = `drive ${drive.name} at Measure`;
  return [
    ...(finding ? [{ testId: 'beltMeasured', outcome: finding.slack ? 'slack' : 'right', cured: 0, from: at }] : []),
    ...(pullN !== undefined && (pullN >= STIFF_N || pullN <= FREE_N)
      ? [{ testId: 'beltOffStiff', outcome: pullN >= STIFF_N ? 'stiff' : 'free', cured: 0, from: at }]
      : []),
  ];
}

/** What was felt at Clean before anything was done. */
function feltAtClean({ cleaning, drives: [drive] }: Ticket): Taken[] {
  const felt = cleaning.feelTests.find(({ stage, driveId }) => stage === 'before' && driveId === drive?.id);
  return felt && felt.feel !== 'middling'
    ? [{ testId: 'beltOffStiff', outcome: felt.feel, cured: 0, from: 'felt by hand at Clean' }]
    : [];
}

/** What the train shows to be as it should, and where its mode gear and its tray stand. */
function seenOnTrain({ train: { rollers, mode, square } }: Ticket): Taken[] {
  const answer = (testId: string, outcome: string, from: string): Taken => ({
    testId,
    outcome,
    cured: 0,
    from: `${from} on the train`,
  });
  const sits = squareWords(square);
  return [
    ...(linkOff(rollers) === false && rollers.link !== 'none' ? [answer('link', 'home', 'the roller link')] : []),
    ...(mode.at !== null && mode.home !== null
      ? [answer('mode', mode.at === mode.home ? 'home' : 'wrong', 'the mode gear')]
      : []),
    ...(sits === '' ? [] : [answer('track', sits === 'It sits square.' ? 'straight' : 'drifts', 'its clearances')]),
  ];
}

/**
 * What was found, as it answers tests. Find's own answers are not among them; a belt of another drive answers for the
 * others, and one that hangs and is measured is told by its length alone.
 */
function found(ticket: Ticket): Taken[] {
  const [first] = ticket.drives;
  const measured = first && oldBeltFinding(driveFactsOf(first));
  return knownOf(ticket).flatMap(({ kind, thing, driveId, station, from }): Taken[] => {
    const answer = rowOf(kind).answers[thing];
    if (!answer || station === 'find' || (kind === 'beltSlack' && station === 'measure' && measured)) return [];
    const [testId, outcome] = answer;
    const { is } = rowOf(kind);
    if (driveId === null || driveId === first?.id)
      return [{ testId, outcome, cured: 0, from, ...(is !== null && { seen: is }) }];
    return thing === 'belt' && isBeltTest(testId)
      ? [{ testId: 'otherBelts', outcome: isGoodBelt(testId, outcome) ? 'firm' : 'bad', cured: 0, from }]
      : [];
  });
}

/** What findings show besides what they are: of the first drive, where nothing else answers the test. */
function shownBesides(ticket: Ticket): Taken[] {
  const [first] = ticket.drives;
  return knownOf(ticket).flatMap(({ kind, driveId, from }): Taken[] =>
    driveId === null || driveId === first?.id
      ? rowOf(kind).shows.map(([testId, outcome]) => ({ testId, outcome, cured: 0, from }))
      : [],
  );
}

/**
 * What the other stations saw that counts for the adviser at once: sounds, evidence on arrival, the try after
 * unplugging, the counted cycles, the old belt against its path. One answer a test, the first that is known.
 *
 * @example takenFrom(ticket)[0] // { testId: 'unplug', outcome: 'same', cured: 0, from: 'tried again at Take in' }
 */
export function takenFrom(ticket: Ticket): Taken[] {
  const all: Taken[] = [
    ...ticket.complaints.flatMap(({ words, sounds, drivetrain }) =>
      drivetrain
        ? sounds.map((sound): Taken => {
            const [testId, outcome] = SOUND_ANSWERS[sound];
            return { testId, outcome, cured: 0, from: `“${words}” at Take in` };
          })
        : [],
    ),
    ...(ticket.afterUnplugging
      ? [{ testId: 'unplug', outcome: ticket.afterUnplugging.result, cured: 0, from: 'tried again at Take in' }]
      : []),
    ...ticket.evidence.flatMap(({ kind }): Taken[] => {
      const answer = EVIDENCE_ANSWERS[kind];
      return answer ? [{ testId: answer[0], outcome: answer[1], cured: 0, from: 'how it arrived' }] : [];
    }),
    ...found(ticket),
    ...feltAtClean(ticket),
    ...seenOnTrain(ticket),
    ...counted(ticket),
    ...emptyAgainstLoaded(ticket),
    ...measured(ticket),
    ...shownBesides(ticket),
  ];
  const seen = new Set<string>();
  return all.filter(({ testId }) => !seen.has(testId) && seen.add(testId));
}
