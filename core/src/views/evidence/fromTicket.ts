import type { Observation } from '../../work/diagnosis';
import { countedBefore, cycleTable, tally } from '../../work/proving';
import { fisherTwoSided } from '../../base/statistics';
import { sayings, STRIPS_WORDS } from './words';
import { oldBeltFinding } from '../../belts/sizing';
import { linkOff, memberWords, squareWords } from '../../physics/train';
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
  const clean = (action: string): boolean => {
    const { n, failures } = tally(before.filter((cycle) => cycle.action === action));
    return n >= ENOUGH && failures === 0;
  };
  const answer = (testId: string, outcome: string): Taken => ({ testId, outcome, cured: 0, from });
  const cold = parted(ticket, 'cold');
  const warm = parted(ticket, 'warm');
  return [
    ...(before.some(({ result }) => result === 'helped') ? [answer('pull', 'comes')] : []),
    ...(clean('open') || clean('load') ? [answer('behaviour', 'works')] : []),
    ...(clean('close') || clean('eject') ? [answer('closing', 'works')] : []),
    ...(parted(ticket, 'tapped') === 'better' ? [answer('tapped', 'helps')] : []),
    ...(parted(ticket, 'dark') === 'better' ? [answer('dark', 'works')] : []),
    ...(cold === 'worse' || warm === 'better' ? [answer('warm', 'betterWarm')] : []),
    ...(cold === 'better' || warm === 'worse' ? [answer('warm', 'worseWarm')] : []),
  ];
}

/** How the old belt was found, as it answers a test. Its length is measured, so that hanging slack is told by that alone. */
const OLD_STATE: Readonly<
  Partial<Record<Ticket['drives'][number]['oldState'], readonly [testId: string, outcome: string]>>
> = {
  broken: ['beltLook', 'broken'],
  crumbs: ['beltLook', 'dissolved'],
  swollen: ['beltFeel', 'oily'],
  stopgap: ['beltFeel', 'strange'],
};
/** A pull with the belt off from which a tray is stiff, and up to which it runs free. Common practice, no source. */
const STIFF_N = 3;
const FREE_N = 1.5;

/** What the pulleys, the old belt and the pull of the first drive say. */
function measured(ticket: Ticket): Taken[] {
  const [drive] = ticket.drives;
  if (!drive) return [];
  const surfaces = [drive.motorSurface, drive.drivenSurface];
  const felt = surfaces.includes('oily') ? 'oily' : surfaces.includes('glazed') ? 'shiny' : undefined;
  const facts = driveFactsOf(drive);
  const finding = oldBeltFinding(facts);
  // As it came: what a treatment made of it is no evidence of the fault.
  const pullN = (facts.trayPullBefore ?? facts.trayPull)?.value;
  const found = OLD_STATE[drive.oldState];
  const at = `drive ${drive.name} at Measure`;
  return [
    ...(felt
      ? [{ testId: 'beltFeel', outcome: felt, cured: 0, from: `drive ${drive.name}’s pulleys at Measure` }]
      : []),
    ...(found ? [{ testId: found[0], outcome: found[1], cured: 0, from: at }] : []),
    ...(finding ? [{ testId: 'beltMeasured', outcome: finding.slack ? 'slack' : 'right', cured: 0, from: at }] : []),
    // One belt that hangs is one observation: its measured length where there is one, else what the hand felt.
    ...(!finding && drive.oldState === 'hanging' ? [{ testId: 'beltFeel', outcome: 'slack', cured: 0, from: at }] : []),
    ...(pullN !== undefined && (pullN >= STIFF_N || pullN <= FREE_N)
      ? [{ testId: 'beltOffStiff', outcome: pullN >= STIFF_N ? 'stiff' : 'free', cured: 0, from: at }]
      : []),
  ];
}

/** What was seen at a place of Clean, and what was felt before anything was done, as it answers a test. */
function seenAtClean(ticket: Ticket): Taken[] {
  const { places, feelTests, jam } = ticket.cleaning;
  const [drive] = ticket.drives;
  const answer = (testId: string, outcome: string, from: string): Taken => ({ testId, outcome, cured: 0, from });
  const felt = feelTests.find(({ stage, driveId }) => stage === 'before' && driveId === drive?.id);
  return [
    ...places.flatMap(({ kind, driveId, seen, left, name, number }): Taken[] => {
      const from = `number ${number}, ${name}, at Clean`;
      const was = (...dirts: readonly string[]): boolean => seen.some(({ dirt }) => dirts.includes(dirt));
      const first = driveId === drive?.id;
      if (kind === 'belt' || kind === 'motorPulley' || kind === 'drivenPulley') {
        if (!first) return [];
        return was('oily')
          ? [answer('beltFeel', 'oily', from)]
          : was('glazed')
            ? [answer('beltFeel', 'shiny', from)]
            : [];
      }
      if (kind === 'roller')
        return /\b(?:nick|worn|torn|crack)/.test(left)
          ? [answer('rollers', 'worn', from)]
          : was('glazed', 'fluff', 'sticky', 'oily')
            ? [answer('rollers', 'shiny', from)]
            : [];
      if (kind === 'switch')
        return /\b(?:bent|torn|broken)/.test(left)
          ? [answer('switch', 'torn', from)]
          : was('corroded', 'fluff', 'oily')
            ? [answer('switch', 'dirty', from)]
            : [];
      return [];
    }),
    ...(felt && felt.feel !== 'middling' ? [answer('beltOffStiff', felt.feel, 'felt by hand at Clean')] : []),
    ...(jam && jam.what.trim() !== ''
      ? [answer('path', /\bdis[ck]s?\b/i.test(jam.what) ? 'disc' : 'part', `in the way: ${jam.what}`)]
      : []),
  ];
}

/** What was seen of the train: links, rollers, gears, the mode gear, how a tray sits. */
function seenOnTrain({ train }: Ticket): Taken[] {
  const answer = (testId: string, outcome: string, from: string): Taken => ({ testId, outcome, cured: 0, from });
  const { rollers, members, mode, square, trials } = train;
  const at = 'on the train';
  const off = linkOff(rollers);
  const faults = members.flatMap((one) => one.faults.map((fault) => ({ fault, from: `${memberWords(one)} ${at}` })));
  const cracked = faults.find(({ fault }) => fault === 'cracked' || fault === 'slipsOnShaft');
  const stripped = faults.find(({ fault }) => fault === 'toothMissing' || fault === 'worn');
  const out = trials.find(({ teeth, right }) => right && teeth !== 0);
  const worn = rollers.list.find(({ surface }) => surface === 'nicked' || surface === 'hard');
  const shiny = rollers.list.find(({ surface }) => surface === 'glazed');
  const sits = squareWords(square);
  return [
    ...(off === null || rollers.link === 'none' ? [] : [answer('link', off ? 'off' : 'home', `the roller link ${at}`)]),
    ...(cracked
      ? [answer('gears', 'cracked', cracked.from)]
      : stripped
        ? [answer('gears', 'stripped', stripped.from)]
        : out
          ? [answer('gears', 'toothOut', `a trial ${at}`)]
          : []),
    ...(worn
      ? [answer('rollers', 'worn', `${worn.name} ${at}`)]
      : shiny
        ? [answer('rollers', 'shiny', `${shiny.name} ${at}`)]
        : []),
    ...(mode.at !== null && mode.home !== null
      ? [answer('mode', mode.at === mode.home ? 'home' : 'wrong', `the mode gear ${at}`)]
      : []),
    ...(sits === ''
      ? []
      : [answer('track', sits === 'It sits square.' ? 'straight' : 'drifts', `its clearances ${at}`)]),
  ];
}

/** What the strip saw: in its typed lines, in what lay loose, in a disc that came out. Dirt is dirt, and no lost part. */
function stripped(ticket: Ticket): Taken[] {
  const { steps, found } = ticket.strip;
  const lines = [
    ...steps.map(({ line, number }) => [line, `number ${number} at Strip`] as const),
    ...found.map(({ what }) => [what, 'found at Strip'] as const),
  ];
  const object = found.find(({ kind }) => kind === 'object');
  return [
    ...lines.flatMap(([line, from]) =>
      sayings(line, STRIPS_WORDS).map(({ testId, outcome }): Taken => ({ testId, outcome, cured: 0, from })),
    ),
    ...(ticket.discs.some(({ out }) => out === 'at Strip')
      ? [{ testId: 'path', outcome: 'disc', cured: 0, from: 'a disc that came out at Strip' }]
      : []),
    ...(object ? [{ testId: 'path', outcome: 'part', cured: 0, from: `found at Strip: ${object.what}` }] : []),
  ];
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
    ...stripped(ticket),
    ...seenAtClean(ticket),
    ...seenOnTrain(ticket),
    ...counted(ticket),
    ...emptyAgainstLoaded(ticket),
    ...measured(ticket),
  ];
  const seen = new Set<string>();
  return all.filter(({ testId }) => !seen.has(testId) && seen.add(testId));
}
