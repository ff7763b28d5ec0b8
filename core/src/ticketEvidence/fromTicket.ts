import type { Observation } from '../diagnosis';
import { countedBefore, cycleTable } from '../proving';
import { oldBeltFinding } from '../sizing';
import { factsOf, type Ticket } from '../ticket';
import type { EvidenceKind, Sound } from '../stations';

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

/** What the pulleys and the old belt of the first drive say. */
function measured(ticket: Ticket): Taken[] {
  const [drive] = ticket.drives;
  if (!drive) return [];
  const surfaces = [drive.motorSurface, drive.drivenSurface];
  const felt = surfaces.includes('oily') ? 'oily' : surfaces.includes('glazed') ? 'shiny' : undefined;
  const finding = oldBeltFinding(factsOf(drive));
  return [
    ...(felt
      ? [{ testId: 'beltFeel', outcome: felt, cured: 0, from: `drive ${drive.name}’s pulleys at Measure` }]
      : []),
    ...(finding
      ? [
          {
            testId: 'beltMeasured',
            outcome: finding.slack ? 'slack' : 'right',
            cured: 0,
            from: `drive ${drive.name} at Measure`,
          },
        ]
      : []),
  ];
}

/**
 * What the other stations saw that counts for the adviser at once: sounds, evidence on arrival, the try after
 * unplugging, the counted cycles, the old belt against its path. One answer a test, the first that is known.
 *
 * @example takenFrom(ticket)[0] // { testId: 'sound', outcome: 'runsFree', cured: 0, from: '“dead drawer” at Take in' }
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
    ...(ticket.strip.found.length > 0
      ? [{ testId: 'path', outcome: 'part', cured: 0, from: `found at Strip: ${ticket.strip.found[0]?.what ?? ''}` }]
      : []),
    ...emptyAgainstLoaded(ticket),
    ...measured(ticket),
  ];
  const seen = new Set<string>();
  return all.filter(({ testId }) => !seen.has(testId) && seen.add(testId));
}
