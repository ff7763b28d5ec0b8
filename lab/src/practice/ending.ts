import {
  believe,
  causeChances,
  causeName,
  deeper,
  inWords,
  machineOf,
  type Depth,
  type Knowledge,
  type Observation,
} from '@loose-pulley/core/work/diagnosis';
import {
  broughtIn,
  lay,
  MISHAPS,
  withinYear,
  type Hand,
  type HiddenMachine,
  type Mishap,
  type OnBench,
  type Year,
} from '../hidden';
import { repair, type Technician } from '../repairs';
import { handName } from './handName';
import { judgementOf, lessonOf } from './judgements';

/** One hand, as it is told afterwards. */
export interface Step {
  readonly name: string;
  readonly words: string;
  readonly minutes: number;
  /** How much likelier it made what was really wrong, in bits; below nothing where it misled; null where it was no question. */
  readonly bits: number | null;
  readonly mishaps: readonly Mishap[];
}

/** A way to the end that knows only what the machine shows. */
export interface Way {
  readonly steps: readonly string[];
  readonly minutes: number;
}

/** All that is told at the end of a practice. */
export interface Ending {
  /** What was wrong with it, in the adviser's words. */
  readonly truth: readonly string[];
  readonly judgement: string;
  readonly cured: boolean;
  /** Cured, and nothing done in vain. */
  readonly right: boolean;
  readonly stillWrong: readonly string[];
  readonly inVain: readonly string[];
  readonly belts: number;
  readonly minutes: number;
  readonly steps: readonly Step[];
  /** Null where no way of the app's own cures it. */
  readonly honest: Way | null;
  readonly year: Year;
  readonly mishaps: readonly Mishap[];
  /** What to take from it. */
  readonly sentences: readonly [string, string, string];
}

/** Hands that only look; what comes of them leaves the machine as it is. */
const HONEST: readonly Technician[] = ['perMinute', 'perTest'];

/** The shorter of the ways that the app proposes, of those that cure it. */
function honestWay(knowledge: Knowledge, machine: HiddenMachine): Way | null {
  const ways = HONEST.map((technician) => repair(knowledge, machine, technician))
    .filter(({ cured }) => cured)
    .map(({ hands, minutes }) => ({
      steps: hands.map((one) => {
        const [doing = '', ...what] = one.split(' ');
        return handName(knowledge, machine.loader, { do: doing as Hand['do'], what: what.join(' ') });
      }),
      minutes: Object.values(minutes).reduce((sum, one) => sum + one, 0),
    }));
  return ways.sort((a, b) => a.minutes - b.minutes)[0] ?? null;
}

interface Told {
  readonly on: OnBench;
  readonly steps: readonly Step[];
  /** Cycles, all good, since anything was last changed. */
  readonly proved: boolean;
}

const CHANGES: ReadonlySet<Hand['do']> = new Set(['clean', 'cure', 'fit', 'force', 'open']);

/** Every hand again, with what it told of what was really wrong. */
function toldBy(knowledge: Knowledge, machine: HiddenMachine, hands: readonly Hand[]): Told {
  const known = machineOf(knowledge, machine.loader);
  let on = broughtIn(machine);
  let opened: Depth = 'lidOn';
  let proved = false;
  const observations: Observation[] = [];
  const cured: string[] = [];
  const ruledOut: string[] = [];
  /** How likely what is still wrong is held to be. */
  const chanceOf = (cause: string): number => {
    const given = {
      loader: machine.loader,
      observations,
      cured,
      ruledOut,
      opened,
      stillFails: cured.length + ruledOut.length > 0,
    };
    return causeChances(known, believe(known, given))[known.causes.findIndex(({ id }) => id === cause)] ?? 0;
  };
  const steps = hands.map((hand, times): Step => {
    const before = on.left;
    const truth = before[0];
    const laid = lay(knowledge, on, hand, times);
    ({ on } = laid);
    if (hand.do === 'cycles') proved = laid.cycles?.every(Boolean) ?? false;
    else if (CHANGES.has(hand.do) && laid.minutes > 0) proved = false;
    if (hand.do === 'open') opened = deeper(opened, hand.what as Depth);
    const told = { name: handName(knowledge, machine.loader, hand), words: laid.words, minutes: laid.minutes };
    let bits: number | null = null;
    if (hand.do === 'test' && laid.outcome !== undefined && truth !== undefined) {
      const was = chanceOf(truth);
      observations.push({ testId: hand.what, outcome: laid.outcome, cured: cured.length });
      const is = chanceOf(truth);
      bits = was > 0 && is > 0 ? Math.log2(is / was) : 0;
    }
    for (const gone of before.filter((cause) => !on.left.includes(cause) && machine.causes.includes(cause)))
      cured.push(gone);
    const vain = on.inVain.at(-1);
    if (hand.do === 'cure' && vain === hand.what && !cured.includes(vain)) ruledOut.push(vain);
    return { ...told, bits, mishaps: laid.mishaps };
  });
  return { on, steps, proved };
}

const minutesWords = (minutes: number): string => {
  const whole = Math.round(minutes);
  return `${whole} ${whole === 1 ? 'minute' : 'minutes'}`;
};
/** A question that told less than this told nothing. */
const TOLD_BITS = 0.1;
/** A question of less is asked in passing. */
const LONG_MIN = 3;

/** What this hand of play cost most, or that it cost nothing. */
function secondSentence({ on, steps }: Told, names: (cause: string) => string): string {
  const [mishap] = on.mishaps;
  if (mishap) return `${MISHAPS[mishap].words} ${MISHAPS[mishap].cost}`;
  const [vain] = on.inVain;
  if (vain === 'belt')
    return 'A belt was fitted although the one in it was not at fault: ask first what else can make it slip.';
  if (vain !== undefined)
    return `“${names(vain)}” was treated and was not there: a look that tells it from the next cause comes first.`;
  const idle = steps.filter(({ bits }) => bits !== null && bits < TOLD_BITS).sort((a, b) => b.minutes - a.minutes)[0];
  if (idle && idle.minutes >= LONG_MIN) {
    const told = (idle.bits ?? 0) < -TOLD_BITS ? 'pointed the wrong way' : 'told nothing of it';
    return `“${idle.name}” took ${minutesWords(idle.minutes)} and ${told}: ask what would tell most for its minutes.`;
  }
  return 'Nothing was done in vain, and nothing was forgotten.';
}

function thirdSentence({ on, proved }: Told, honest: Way | null): string {
  if (on.left.length > 0)
    return proved
      ? 'Ten cycles were good, and still something is wrong: what shows itself now and then asks for more of them, cold and loaded.'
      : 'It went back without ten good cycles since the last change: they are what tells whether it is cured.';
  if (!proved) return 'It is cured, but nobody could know: ten good cycles with the lid on come before it goes back.';
  if (honest && on.minutes > honest.minutes + 1)
    return `It took ${minutesWords(on.minutes)}; a way that knows only what the machine shows takes ${minutesWords(honest.minutes)}.`;
  return `It took ${minutesWords(on.minutes)}: the app’s own way is no shorter.`;
}

/**
 * What is told at the end: the truth, what each hand told and cost, the shortest honest way, belts, the year after, and
 * three sentences to take along.
 *
 * For instance ending(KNOWLEDGE, machine, null, hands).right: true
 */
export function ending(
  knowledge: Knowledge,
  machine: HiddenMachine,
  preparedId: string | null,
  hands: readonly Hand[],
): Ending {
  const told = toldBy(knowledge, machine, hands);
  const { on, steps } = told;
  const name = (id: string): string => {
    const cause = knowledge.causes.find((one) => one.id === id);
    return cause ? causeName(cause, machine.loader) : id;
  };
  const judgement = judgementOf(preparedId, machine.causes);
  const honest = honestWay(knowledge, machine);
  const [first] = machine.causes;
  const remedy = knowledge.causes.find(({ id }) => id === first)?.remedy ?? '';
  const lesson = lessonOf(judgement) ?? `${name(first ?? '')}: ${inWords(remedy, machine.loader)}`;
  const cured = on.left.length === 0;
  return {
    truth: machine.causes.map(name),
    judgement,
    cured,
    right: cured && on.inVain.length === 0,
    stillWrong: on.left.map(name),
    inVain: on.inVain.map((one) => (one === 'belt' ? 'a belt' : name(one))),
    belts: on.fitted.length,
    minutes: on.minutes,
    steps,
    honest,
    year: withinYear(on),
    mishaps: on.mishaps,
    sentences: [lesson, secondSentence(told, name), thirdSentence(told, honest)],
  };
}
