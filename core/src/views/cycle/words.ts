import { DRIVEN, type Driven, isTurned } from '../../base/loaders';
import { formatNewton } from '../../base/units';
import type { Cycle, CycleEvent, CycleOutcome } from '../../physics/cycle';
import { goesWell, type CycleShares } from '../../belts/cycling';

const seconds = (s: number): string => `${s.toFixed(1)} s`;
const mm = (one: number): string => `${Math.max(0, one).toFixed(0)} mm`;
/** Slid for less than this it is said in hundredths. */
const brief = (s: number): string => (s < 0.1 ? `${s.toFixed(2)} s` : seconds(s));

/** What each outcome is called in a list. */
export const OUTCOME_NAMES: Readonly<Record<CycleOutcome, string>> = {
  opens: 'goes cleanly',
  slips: 'slips on the way',
  stalls: 'stalls',
  givesBack: 'stalls, goes back',
  overruns: 'runs against its end',
};

const PLACE_SAYS = { binds: 'It binds', lifts: 'It lifts', clamps: 'The clamp asks its own' } as const;

/** What a cycle comes to, in a line. For instance headlineOf(cycle, 'tray'): Arrives, slipping for 0.4 s */
export function headlineOf({ outcome, slipS, whereMm }: Cycle, driven: Driven): string {
  if (isTurned(driven)) {
    if (outcome === 'slips') return 'Turns, and slips at speed';
    return outcome === 'opens' ? 'Comes to speed' : 'Never comes to speed';
  }
  const { word } = DRIVEN[driven];
  const at = whereMm === null ? '' : whereMm < 1 ? ' at the start' : ` at ${mm(whereMm)}`;
  if (outcome === 'opens') return 'Goes cleanly';
  if (outcome === 'slips') return `Arrives, slipping for ${brief(slipS)}`;
  if (outcome === 'overruns') return `Arrives; the ${word} runs against its end`;
  return outcome === 'givesBack' ? `Stands${at}, and goes back` : `Stands${at}`;
}

/** One event in words, with where it happens: a list of them is what a screen reader has of the drawing. */
export function eventWords(event: CycleEvent, driven: Driven): string {
  const { word } = DRIVEN[driven];
  const turned = isTurned(driven);
  const at = turned ? '' : ` at ${mm(event.atMm)}`;
  switch (event.kind) {
    case 'starts':
      return `The ${word} starts`;
    case 'slips': {
      if (event.chirp) return `The ${event.belt} chirps as the motor runs up, by ${event.slidMm.toFixed(1)} mm`;
      const where = turned
        ? ''
        : event.untilMm - event.atMm < 1
          ? at
          : ` from ${mm(event.atMm)} to ${mm(event.untilMm)}`;
      return `The ${event.belt} slips${where}, for ${brief(event.untilS - event.atS)}, by ${mm(event.slidMm)}`;
    }
    case 'place':
      return `${PLACE_SAYS[event.place.kind]}${at}, with ${formatNewton(event.place.forceN)} more`;
    case 'stands':
      return `The ${word} stands${at}, the motor on, for ${brief(event.untilS - event.atS)}`;
    case 'switch':
      return `The switch says enough${at}`;
    case 'missed':
      return `The switch does not say so${at}`;
    case 'stop':
      return `The ${word} meets its end${at}`;
    case 'timeOut':
      return 'The electronics give up waiting';
    case 'again':
      return 'They try again';
    case 'reverses':
      return 'They turn the motor the other way';
    case 'jams':
      return `The ${word} is askew and jams${at}`;
    case 'atSpeed':
      return 'At speed';
    case 'rests':
      return 'All rests';
  }
}

/** Whether an event is what has to be put right. */
export const isTrouble = (event: CycleEvent): boolean =>
  (event.kind === 'slips' && !event.chirp) ||
  event.kind === 'stands' ||
  event.kind === 'jams' ||
  event.kind === 'missed' ||
  event.kind === 'timeOut';

/** Beyond this the sums at rest and the movement are told apart. */
const APART = 0.03;

/**
 * Why the movement says otherwise than the sums at rest, where it does.
 *
 * @returns '' where they agree
 */
export function whyApart({ atRest, shares }: Pick<CycleShares, 'atRest' | 'shares'>): string {
  const goes = goesWell({ shares }) + shares.slips;
  if (atRest - goes > APART)
    return `At rest the belt would hold in ${inHundredOf(atRest)}. Moving it costs some: the motor runs up before the belt is tight, and a belt that slides passes about a fifth less than one that holds.`;
  if (goes - atRest > APART)
    return `At rest ${inHundredOf(atRest)} meet what the bench demands of a belt; more of them get there, with less to spare.`;
  return '';
}

/** A chance of so many machines, never surer than what it rests on. @example inHundredOf(0.61) // '61 in 100' */
export const inHundredOf = (share: number): string =>
  share <= 0 ? 'none in 100' : share < 0.01 ? 'under 1 in 100' : `${Math.min(99, Math.round(100 * share))} in 100`;

/** How far a watched time may lie from what is calculated before something is said of it. No source. */
const SLOWER = 1.1;

/**
 * What a watch says beside what machines like this take.
 *
 * @param watchedS times that were taken
 * @returns '' where nothing was taken, or none of the machines arrives
 * For instance againstWatch([2.4], shares): '2.4 s; machines like this take 1.5 to 1.9 s: something still binds, or the belt slips for about 0.4 s.'
 */
export function againstWatch(watchedS: readonly number[], { timeS }: Pick<CycleShares, 'timeS'>): string {
  if (watchedS.length === 0 || !timeS) return '';
  const [low, middle, high] = timeS;
  const sorted = [...watchedS].sort((a, b) => a - b);
  const watched = sorted[Math.floor((sorted.length - 1) / 2)] as number;
  const range = `machines like this take ${low.toFixed(1)} to ${high.toFixed(1)} s`;
  const said = `${watched.toFixed(1)} s; ${range}`;
  if (watched > high * SLOWER)
    return `${said}: something still binds, or the belt slips for about ${brief(watched - middle)}.`;
  if (watched < low / SLOWER)
    return `${said}: quicker than any of them, so its way or its motor is another than assumed.`;
  return `${said}: as it should.`;
}
