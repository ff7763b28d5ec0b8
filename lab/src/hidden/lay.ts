import { DRIVEN, loaderOf } from '@loose-pulley/core/base/loaders';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { CATALOGUE } from '@loose-pulley/core/belts/catalogue';
import { findMethod, isForce, type Reading } from '@loose-pulley/core/belts/measuring';
import type { Dirt } from '@loose-pulley/core/work/compatibility';
import type { BeltVerdict } from '@loose-pulley/core/belts/probability';
import {
  causeName,
  deeper,
  inWords,
  outcomeChances,
  type BenchTest,
  type Cause,
  type Depth,
  type Knowledge,
} from '@loose-pulley/core/work/diagnosis';
import { answer, eject, measure } from './asked';
import { drawFor, OF_THE_BELT } from './deal';
import { AGAIN_MINUTES, CLEANED, minutesOf, type Cleaned, type Hand } from './hands';
import { driveNow, verdictNow, type Mishap, type OnBench } from './onBench';
import { ROOM } from './seen';
import { swabbed, uncovered } from './looks';

/** What came of a hand: in words, and as the facts that a ticket keeps. */
export interface Laid {
  readonly on: OnBench;
  /** What is seen, heard, felt. */
  readonly words: string;
  readonly minutes: number;
  /** What was forgotten, and happened by it. */
  readonly mishaps: readonly Mishap[];
  /** The answer to a test; readings; how a belt did; how ten cycles went; how long it took. */
  readonly outcome?: string | undefined;
  readonly readings?: readonly Reading[] | undefined;
  readonly verdict?: BeltVerdict | undefined;
  readonly cycles?: readonly boolean[] | undefined;
  readonly seconds?: number | null | undefined;
  readonly sound?: string | undefined;
  /** What was found on a swab. */
  readonly dirt?: Dirt | null | undefined;
  /** Whether what was to be put right was there; undefined where only another belt puts it right. */
  readonly cured?: boolean | undefined;
}

/** Causes that only another belt puts right, and those that ask for a part. */
export const ASKS_BELT: ReadonlySet<string> = new Set([
  'beltSlack',
  'beltGlazed',
  'beltBroken',
  'beltDissolved',
  'beltWrong',
]);
const ASKS_PART: ReadonlySet<string> = new Set([
  'gearCracked',
  'gearStripped',
  'motorWeak',
  'switchTorn',
  'rollersWorn',
  'clampMagnet',
  'otherBelt',
]);
/** What wiping and greasing puts right, by the place. */
const CLEANS: Readonly<Record<Cleaned, readonly string[]>> = {
  pulleys: ['beltOily'],
  guides: ['guidesDry'],
  switch: ['switchDirty'],
  rollers: ['rollersDirty'],
  lens: ['lensDirty'],
};
/** What breaks where it is forced. */
const BREAKS: ReadonlySet<string> = new Set(['discJammed', 'offTrack', 'pastLock', 'transportLock', 'toothOut']);
/** Of these no old belt is left to be measured. */
const GONE: ReadonlySet<string> = new Set(['beltBroken', 'beltDissolved']);
/** From the first wipe of both pulleys until they are dry: wiping, and what MODEL has of alcohol, rounded up. */
const DRY_AFTER_MIN = 13;
/** What ten cycles with a disc read in between would show. */
const SHOWN_BY: ReadonlySet<string> = new Set(['behaviour', 'closing', 'reads', 'spins']);
const TEN = 10;
const RUN = 3;
const SLOW = 1.5;
const OUTSIDE_LEADS: ReadonlySet<string> = new Set(['none', 'complaints']);

const isInside = (hand: Hand, test: BenchTest | undefined, lead: string | undefined): boolean => {
  if (hand.do === 'test') return test !== undefined && test.depth !== 'lidOn' && test.caution.startsWith('Unplug');
  if (hand.do === 'cure') return !OUTSIDE_LEADS.has(lead ?? '');
  if (hand.do === 'measure') return hand.what !== 'stalledMotor';
  return hand.do === 'swab' || hand.do === 'clean' || hand.do === 'fit';
};
/** What a hand may be laid on, where that is a short list. */
const AMONG: Readonly<Partial<Record<Hand['do'], readonly string[]>>> = {
  power: ['on', 'off'],
  open: ['lidOff', 'deep'],
  swab: CLEANED,
  clean: CLEANED,
};
/** What needs power to be seen. */
const NEEDS_POWER: ReadonlySet<string> = new Set(['eject', 'cycles', 'stalledMotor']);

/** The cause and the test that a hand speaks of. */
function knownOf(knowledge: Knowledge, hand: Hand): { test: BenchTest | undefined; cause: Cause | undefined } {
  return {
    test: hand.do === 'test' ? knowledge.tests.find(({ id }) => id === hand.what) : undefined,
    cause: hand.do === 'cure' ? knowledge.causes.find(({ id }) => id === hand.what) : undefined,
  };
}

/**
 * Why a hand cannot be laid on it now; null where it can.
 *
 * For instance mayLay(KNOWLEDGE, on, { do: 'fit', what: 'square-1.2-70' }): take the lid off first
 */
export function mayLay(knowledge: Knowledge, on: OnBench, hand: Hand): string | null {
  const { test, cause } = knownOf(knowledge, hand);
  if (on.handedBack) return 'It has gone back.';
  if (hand.do === 'test' && !test?.loaders.includes(on.machine.loader))
    return `There is no test “${hand.what}” for this kind of loader.`;
  if (hand.do === 'cure' && !cause) return `There is no cause “${hand.what}”.`;
  if (hand.do === 'fit' && !CATALOGUE.some(({ id }) => id === hand.what)) return 'No such belt is sold.';
  if (hand.do === 'measure' && !findMethod(hand.what)) return `There is no method “${hand.what}”.`;
  const among = AMONG[hand.do];
  if (among && !among.includes(hand.what)) return `Read “${hand.what}”. It may be ${among.join(', ')}.`;
  if (!on.powered && (NEEDS_POWER.has(hand.do) || NEEDS_POWER.has(hand.what))) return 'It is unplugged.';
  const inside = test ? test.depth !== 'lidOn' : isInside(hand, test, cause?.leads);
  return inside && on.lid === 'on' ? 'Take the lid off first.' : null;
}

/** What is said of how far it came, in words of the bench. */
function ejectedWords(on: OnBench, times: number): { words: string; seconds: number | null; sound: string } {
  const { movedMm, ofMm, seconds, sound } = eject(on, ROOM, times);
  const moved = DRIVEN[loaderOf(on.machine.loader).driven].word;
  const heard = HEARD[sound] ?? sound;
  if (seconds !== null) return { words: `The ${moved} arrives in ${seconds.toFixed(1)} s, ${heard}.`, seconds, sound };
  if (movedMm < 1) return { words: `The ${moved} does not move: ${heard}.`, seconds, sound };
  return { words: `The ${moved} comes ${movedMm.toFixed(0)} mm of ${ofMm.toFixed(0)}, ${heard}.`, seconds, sound };
}
/** Captions of what is heard. */
const HEARD: Readonly<Record<string, string>> = {
  usual: 'with its usual sound',
  silence: 'not a sound',
  click: 'and clicks',
  runsFree: 'the motor runs free',
  screech: 'with a screech',
  growl: 'with a growl',
};

/** Ten cycles: by physics where that decides, else each fails as often as the causes that are left make it. */
function tenCycles(knowledge: Knowledge, on: OnBench): readonly boolean[] {
  const random = drawFor(on.machine.seed, `cycles ${on.left.join(' ')} ${on.belt?.id ?? ''}`);
  // One that is in a good mood today shows nothing of what only comes now and then.
  const good = knowledge.tests
    .filter(({ id, loaders }) => SHOWN_BY.has(id) && loaders.includes(on.machine.loader))
    .reduce((chance, test) => chance * (outcomeChances(test, on.left)[0] ?? 1), 1);
  const shows = on.left.length > 0 && random() >= good;
  const failing = 0.3 + 0.7 * random();
  // Three are run; the others go as one of these goes.
  const ran = Array.from({ length: RUN }, (_, i) => eject(on, ROOM, i).seconds);
  return Array.from({ length: TEN }, (_, i) => {
    const seconds = ran[i % RUN] ?? null;
    const arrived = seconds !== null && seconds <= SLOW * on.machine.soundS;
    return arrived && !(shows && random() < failing);
  });
}

/** What hands feel of a belt that was put on, by what it moves. */
const FELT: Readonly<Record<BeltVerdict, (moved: string) => string>> = {
  right: (moved) => `It lies in both grooves. Held back, the ${moved} pushes on and the belt holds.`,
  tooLoose: () => 'Held back, the pulley turns and the belt slips.',
  tooTight: () => 'It went on hard. The motor labours, and its pulley is drawn to one side.',
  twisted: () => 'It does not stay in its groove.',
};

/**
 * Lays a hand on the machine. Pure: the same machine and the same hands in the same order come to the same.
 *
 * @param times how often it was laid before, for what differs from one time to the next
 * For instance lay(KNOWLEDGE, broughtIn(machine), { do: 'eject', what: '' }).words: the tray does not move, the motor runs free
 */
export function lay(knowledge: Knowledge, on: OnBench, hand: Hand, times = 0): Laid {
  const refused = mayLay(knowledge, on, hand);
  if (refused !== null) return { on, words: refused, minutes: 0, mishaps: [] };
  const { test, cause } = knownOf(knowledge, hand);
  const risky = on.powered && isInside(hand, test, cause?.leads);
  const begun = risky ? forgot(on, 'powered') : on;
  const own = minutesOf(hand, on.opened, { test, lead: cause?.leads });
  const told = doneWith(knowledge, begun, hand, { test, cause, times });
  const minutes = told.on.minutes - on.minutes + own;
  const done = { ...told.on, minutes: on.minutes + minutes };
  return { ...told, on: done, minutes, mishaps: done.mishaps.slice(on.mishaps.length) };
}
/** The same thing is forgotten once; what happens by it is told once. */
const forgot = (on: OnBench, what: Mishap): OnBench =>
  on.mishaps.includes(what) ? on : { ...on, mishaps: [...on.mishaps, what] };

type Done = Omit<Laid, 'minutes' | 'mishaps'>;
interface Spoken {
  readonly test: BenchTest | undefined;
  readonly cause: Cause | undefined;
  readonly times: number;
}

function doneWith(knowledge: Knowledge, on: OnBench, hand: Hand, { test, cause, times }: Spoken): Done {
  switch (hand.do) {
    case 'eject':
      return { on, ...ejectedWords(on, times) };
    case 'power': {
      const powered = hand.what === 'on';
      return { on: { ...on, powered }, words: powered ? 'It is plugged in.' : 'It is unplugged.' };
    }
    case 'test': {
      if (!test) return { on, words: '' };
      const outcome = answer(on, test);
      const opened = deeper(on.opened, test.depth);
      const label = inWords(test.outcomes.find(({ id }) => id === outcome)?.label ?? outcome, on.machine.loader);
      return { on: { ...on, opened }, words: `${label}.`, outcome };
    }
    case 'open': {
      const to = hand.what as Depth;
      return { on: { ...on, opened: deeper(on.opened, to), lid: 'off' }, words: uncovered(on, to) };
    }
    case 'close':
      return { on: { ...on, lid: 'on' }, words: 'The lid is on.' };
    case 'swab':
      return { on, ...swabbed(on, hand.what as Cleaned) };
    case 'clean': {
      const place = hand.what as Cleaned;
      const left = on.left.filter((one) => !CLEANS[place].includes(one));
      const wetUntil = place === 'pulleys' ? on.minutes + DRY_AFTER_MIN : on.wetUntil;
      return { on: { ...on, left, clean: [...on.clean, place], wetUntil }, words: CLEANED_WORDS[place] };
    }
    case 'wait':
      return { on, words: 'What was wet is dry.' };
    case 'measure': {
      const gone = on.machine.causes.some((one) => GONE.has(one));
      const readings = measure({ drive: driveNow(on), seed: on.machine.seed }).filter(
        ({ method, measurand }) => method === hand.what && !(gone && measurand === 'oldBelt'),
      );
      const figures = readings.map(({ amount }) => amount.toFixed(2)).join(', then ');
      const measurand = findMethod(hand.what)?.measurand;
      const unit = measurand && isForce(measurand) ? 'N' : 'mm';
      return { on, words: figures ? `It reads ${figures} ${unit}.` : 'There is nothing to read it by.', readings };
    }
    case 'cure':
      return cured(on, cause);
    case 'fit':
      return fitted(on, hand.what);
    case 'cycles': {
      const cycles = tenCycles(knowledge, on);
      const good = cycles.filter(Boolean).length;
      return { on, words: good === TEN ? `${TEN} of ${TEN} good.` : `${good} of ${TEN} good.`, cycles };
    }
    case 'force': {
      const breaks = on.left.some((one) => BREAKS.has(one)) && !on.left.includes('gearCracked');
      if (!breaks) return { on, words: 'It comes, and nothing is learned by it.' };
      const left = [...on.left, 'gearCracked'];
      return { on: forgot({ ...on, left }, 'forced'), words: 'It gave way with a crack.' };
    }
    case 'handBack': {
      const back = { ...on, handedBack: true };
      return { on: on.lid === 'off' ? forgot(back, 'leftOpen') : back, words: 'It goes back to its owner.' };
    }
  }
}

const CLEANED_WORDS: Readonly<Record<Cleaned, string>> = {
  pulleys: 'Both pulleys are wiped until the swab stays clean, and wet; the belt was washed.',
  guides: 'The old grease is off, and a film of new is on.',
  switch: 'Contact cleaner is worked in; the lever clicks.',
  rollers: 'The rollers feel tacky.',
  lens: 'The lens is wiped, lightly.',
};

function cured(on: OnBench, cause: Cause | undefined): Done {
  if (!cause) return { on, words: '' };
  const name = causeName(cause, on.machine.loader);
  const there = on.left.includes(cause.id);
  const part = ASKS_PART.has(cause.id);
  if (ASKS_BELT.has(cause.id)) return { on, words: `${name}: only another belt puts that right. Fit one.` };
  const parts = part ? [...on.parts, cause.id] : on.parts;
  if (!there) {
    const partsInVain = part ? [...on.partsInVain, cause.id] : on.partsInVain;
    return {
      on: { ...on, parts, partsInVain, inVain: [...on.inVain, cause.id] },
      words: `${name}: there was nothing to put right.${part ? ' A part was bought for it.' : ''}`,
      cured: false,
    };
  }
  const left = on.left.filter((one) => one !== cause.id);
  return { on: { ...on, left, parts }, words: `${name}: put right.`, cured: true };
}

/** A belt goes on: what it came with, and what was wrong with that, is gone; whether this one is right shows. */
function fitted(on: OnBench, beltId: string): Done {
  const belt = CATALOGUE.find(({ id }) => id === beltId);
  if (!belt) return { on, words: 'No such belt is sold.' };
  const wet = on.minutes < on.wetUntil;
  const minutes = on.minutes + (wet ? AGAIN_MINUTES : 0);
  const others = on.left.filter((one) => !OF_THE_BELT.has(one));
  const asked = on.left.some((one) => ASKS_BELT.has(one));
  const bare: OnBench = { ...on, left: others, belt, minutes };
  const verdict = verdictNow(bare, belt);
  const next: OnBench = {
    ...bare,
    left: verdict === 'right' ? others : [...others, 'beltWrong'],
    verdict,
    fitted: [...on.fitted, belt],
    inVain: asked ? on.inVain : [...on.inVain, 'belt'],
  };
  const moved = DRIVEN[loaderOf(on.machine.loader).driven].word;
  const words = `${beltLabel(belt, 'mm').size}: ${FELT[verdict](moved)}`;
  return { on: wet ? forgot(next, 'wet') : next, words, verdict };
}
