import { changeNamed } from '../strip';
import { accountOf } from './account';
import type { Clause } from './clause';
import type { Typed } from './figures';
import { distinct, echoOf, keptWay, wayOf, WAYS_MAX } from './deeds';
import { idiomOf } from './idioms';
import { asked, kept, meant, sure } from './meaning';
import { readingsOf, type Reading } from './readings';
import type { Said } from './said';
import { partsOf, type Part } from './parts';
import type { Deed, ReadLine, Way } from './types';
import { FASTENERS } from './words';

const NO_CHANGE =
  /\b(?:leave|not|never|marked|diagram|photo|picture|sketch|found|back in|refitted|careful|mind|halfway|cleaned|checked)\b/;
const PULLED_PLUG = /^(?:i )?(?:first )?pulled (?:out )?the plug(?: out)?(?: first| now)?$/;
/** Two readings of a line that cost nearly the same are both asked about. */
const NEARLY = 0.45;

function changeIn(line: string, parts: readonly Part[]): Deed | undefined {
  const [head] = parts;
  const kind = NO_CHANGE.test(line.toLowerCase()) ? undefined : changeNamed(line);
  const of = head?.clause.kind;
  // “Belt no 2” is a belt.
  if (kind === 'noBelt' && !/\bno (?:\w+ )?belt\b/i.test(line)) return undefined;
  if (head?.clause.none && head.clause.where !== '') return undefined;
  // A hinge pin is no stop pin.
  const names = head?.clause.bits.find(({ is }) => is === 'thing')?.nouns ?? [];
  // The lock of a lid or of a tray is none for carriage.
  if (kind === 'transportLockOff' && /\b(?:lid|door|tray|drawer|gear|latch|cover|clamp) lock\b/i.test(line))
    return undefined;
  if (kind === 'stopPinOut' && !names.every(({ noun }) => /^(?:stop|pin|stop pin)$/.test(noun))) return undefined;
  if (
    !kind ||
    (of && ['connector', 'springs', 'nuts', 'clips', 'gear'].includes(of)) ||
    (of === 'screws' && kind !== 'transportLockOff')
  )
    return undefined;
  return { type: 'change', kind, words: line };
}

/** Reads a line: whatever is asked, as typed is the last answer. */
export function readPlain(line: string): ReadLine | undefined {
  const read = readOnce(line);
  if (!read || read.ways.length < 2) return read;
  const kept = keptWay(line);
  const own = read.ways.filter(({ echo }) => echo !== kept.echo);
  return { ...read, ways: [...distinct([...own, ...variants(own)]).slice(0, KEYS_MAX - 1), kept] };
}

/** Keys of a question: as typed is the last. */
const KEYS_MAX = 5;

/** What else a line that is asked about may mean: that nothing came off, or only what was counted. */
function variants(ways: readonly Way[]): readonly Way[] {
  const [first] = ways;
  if (!first) return [];
  const counted = first.does.filter((deed) => deed.type === 'step' && FASTENERS.has(deed.step.kind as never));
  return [notedWay({ ways }), ...(counted.length > 0 && counted.length < first.does.length ? [wayOf(counted)] : [])];
}

function readOnce(line: string): ReadLine | undefined {
  if (line === '') return undefined;
  const text = line.toLowerCase().replace(/[.!]+$/, '');
  const idiom = idiomOf(text);
  if (idiom) return sure(idiom);
  const { typed, all } = readingsOf(line);
  // The plug of the mains, or of a board?
  if (PULLED_PLUG.test(text)) {
    const unplugged = wayOf([{ type: 'moment', moment: 'unplugged' }]);
    return asked('Of the mains, or of a board?', distinct([unplugged, ...(all[0]?.read.ways ?? []), keptWay(line)]));
  }
  // A reading that makes something of a line is worth a little more than one that makes nothing.
  const [first] = all;
  const readable = first?.read.unread ? all.find(({ cost, read }) => !read.unread && cost - first.cost < 0.8) : first;
  const best = readable ?? first;
  const others = all.filter((one) => one !== best);
  if (!best) return kept(line, 'off', 'Not read: kept as typed, with a number, and asked for on the way back.', true);
  const corrects = best.bits.findLastIndex(({ is, noun }) => is === 'separator' && noun === 'correct');
  if (corrects > 0 && best.bits[corrects + 1] && best.bits[0]?.is !== 'mind')
    return correctedRead(typed, best, corrects);
  const change = changeIn(line, partsOf(typed, best.bits));
  if (change) return sure({ echo: echoOf(change), does: [change] });
  if (best.bits.some(({ slip }) => slip) && !best.read.unread && acts(best.read))
    return asked('Is this it?', [...best.read.ways.slice(0, WAYS_MAX - 1), keptWay(line)]);
  if (isStrange(typed, best) && best.read.ways.length === 1 && !best.read.unread)
    return asked('Is this it?', [...best.read.ways, keptWay(line)]);
  if (leavesNumbers(typed, best) && best.read.ways.length === 1 && !best.read.unread)
    return asked(
      'How many of what?',
      distinct([...best.read.ways, ...summed(best.read, partsOf(typed, best.bits)), keptWay(line)]),
    );
  if (best.read.ways.length === 1 && !best.read.unread && halfSaid(typed, best))
    return asked('Which is meant?', distinct([...best.read.ways, notedWay(best.read), keptWay(line)]));
  const key = ({ ways }: ReadLine): string => ways.map(({ echo }) => echo).join('|');
  const other = others.find(
    ({ cost, read }) =>
      cost - best.cost < NEARLY && key(read) !== key(best.read) && !read.unread && read.ways.length === 1,
  );
  if (other && best.read.ways.length === 1 && !best.read.unread && differs(best.read, other.read))
    return asked('Which is meant?', distinct([...best.read.ways, ...other.read.ways]));
  return best.read;
}

/** A line in which something is put right: taken so where it is plain what of and every word is known, else asked. */
function correctedRead(typed: Typed, { bits, read }: Reading, at: number): ReadLine {
  const [way, other] = read.ways;
  const was = meant(typed, bits.slice(0, at)).ways.slice(0, 1);
  const before = was[0]?.does ?? [];
  const after = way?.does ?? [];
  const kinds = (does: readonly Deed[]): string =>
    does.map((deed) => (deed.type === 'step' ? deed.step.kind : deed.type)).join(' ');
  // “Scratch that” puts right whatever it was.
  const sep = bits[at];
  const outright =
    sep !== undefined &&
    /scratch|strike|correction|mean/.test(
      typed.tokens
        .slice(sep.from, sep.to)
        .map(({ word }) => word)
        .join(' '),
    );
  const plain =
    !other &&
    accountOf(typed.line).every(({ role }) => role !== 'notKnown') &&
    !read.unread &&
    (kinds(before) === kinds(after) || (outright && before.every(({ type }) => type === 'step'))) &&
    after.every((deed) => deed.type === 'step' && !['leftAlone', 'noted'].includes(deed.step.fate));
  if (plain) return read;
  return asked(
    'Which is it?',
    distinct([...read.ways.slice(0, 1), ...was])
      .slice(0, WAYS_MAX - 1)
      .concat(keptWay(typed.line)),
  );
}

/** The same, only told of: nothing came off. */
const notedWay = ({ ways }: Pick<ReadLine, 'ways'>): Way =>
  wayOf(
    (ways[0]?.does ?? []).map((deed) =>
      deed.type === 'step' && AWAY.has(deed.step.fate) ? { ...deed, step: { ...deed.step, fate: 'noted' } } : deed,
    ),
  );

/** Whether a reading says that something was done. */
const acts = ({ ways }: ReadLine): boolean =>
  ways.some(({ does }) =>
    does.some((deed) => deed.type !== 'step' || (deed.step.fate !== 'noted' && deed.step.fate !== 'leftAlone')),
  );

/** Whether a word that is not known stands where it may change what was said: beside a count, a denial or a deed, and in no name. */
function isStrange(typed: Typed, { bits, read }: Reading): boolean {
  if (!acts(read)) return false;
  return partsOf(typed, bits).some(({ clause, sep }, at) => {
    const is = (one: Said['is']): boolean => clause.bits.some((bit) => bit.is === one);
    const stray =
      is('strange') && sep !== 'when' && (at === 0 || clause.count !== undefined || is('deny') || is('others'));
    // A name of which no word is known may be a slip.
    const nameless =
      clause.guessed &&
      at === 0 &&
      clause.bits.some((bit) => bit.is === 'thing' && (bit.nouns ?? []).length === 0 && bit.guessed);
    return stray || nameless || (clause.guessed && clause.count !== undefined && clause.count > 1);
  });
}

/** Words that tell how a thing lies or what it does, and not that it came off. */
const DESCRIBES =
  /^(?:faces?|facing|points?|pointing|sits?|lies?|lives?|goes|holds?|held|holding|floats?|floating|runs?|shows?|showing|is|was|are|were|matches|rides?)$/;
const AWAY: ReadonlySet<string> = new Set(['off', 'pulled', 'unhooked', 'unsoldered', 'cut']);

/**
 * Whether something would be taken for off that the line may only tell of: what it denies elsewhere, or a thing of which it
 * says how it lies and never that it came away.
 */
function halfSaid(typed: Typed, { bits, read }: Reading): boolean {
  const off = (read.ways[0]?.does ?? []).some((deed) => deed.type === 'step' && AWAY.has(deed.step.fate));
  if (!off) return false;
  if (bits.some(({ is }) => is === 'deny')) return true;
  // Only loosened, and what it holds came off all the same?
  const slack = (read.ways[0]?.does ?? []).some((deed) => deed.type === 'step' && deed.step.fate === 'loosened');
  if (slack && !/\b(?:off|out|removed|lifted|taken)\b/i.test(typed.line)) return true;
  // What is told after it only tells more of it: “cam wheel off, arrow pointing at the post”.
  return partsOf(typed, bits)
    .slice(0, 1)
    .some(({ clause }) => {
      const has = (...all: ReadonlyArray<Said['is']>): boolean => clause.bits.some(({ is }) => all.includes(is));
      const described = clause.bits.some(
        ({ is, from, to }) => is === 'idle' && typed.tokens.slice(from, to).some(({ word }) => DESCRIBES.test(word)),
      );
      return (
        described &&
        clause.kind !== undefined &&
        !FASTENERS.has(clause.kind) &&
        !has('done', 'toward', 'driver', 'thread') &&
        !clause.bits.some(({ is, away }) => is === 'where' && away)
      );
    });
}

/** The counts that a clause says, each side and each corner multiplied. */
function countsSaid({ bits }: Clause): readonly number[] {
  const each = bits.find(({ is, number }) => is === 'each' && number !== undefined)?.number ?? 1;
  return bits.flatMap(({ is, count, number, within }): readonly number[] => [
    ...(count?.number !== undefined && count.ofMany === undefined ? [count.number * each] : []),
    ...((is === 'count' || is === 'missing') && number !== undefined ? [number * each] : []),
    ...(within?.count?.number !== undefined && FASTENERS.has(within.kind ?? 'part') ? [within.count.number] : []),
  ]);
}

/**
 * Whether a number of the line came to nothing: each has to be a count of its own, or part of the sum that a count is. What
 * only tells two long and two short of four apart is none.
 */
function leavesNumbers(typed: Typed, { bits, read }: Reading): boolean {
  if (!acts(read)) return false;
  const clauses = partsOf(typed, bits).map(({ clause }) => clause);
  const all = clauses.flatMap(countsSaid);
  if (all.length < 2) return false;
  const steps = (read.ways[0]?.does ?? []).flatMap((deed) =>
    deed.type === 'step' ? [deed.step.count - deed.step.missing, deed.step.missing] : [],
  );
  const most = Math.max(...all);
  const telling = clauses.filter(
    ({ bits: own, kind }) =>
      kind === undefined && own.some(({ is }) => is === 'look' || is === 'pronoun' || is === 'missing'),
  );
  const aside = telling.flatMap(countsSaid);
  const said =
    aside.reduce((sum, one) => sum + one, 0) <= most
      ? clauses.filter((one) => !telling.includes(one)).flatMap(countsSaid)
      : all;
  // Each count takes one number that is like it; a sum takes all of them.
  if (steps.includes(said.reduce((sum, one) => sum + one, 0))) return false;
  const left = [...steps];
  return said.some((number) => {
    const at = left.indexOf(number);
    if (at >= 0) left.splice(at, 1);
    return at < 0 && number > 1;
  });
}

/** The same with all the numbers as one count, where there is one thing that is counted. */
function summed({ ways }: ReadLine, parts: readonly Part[]): readonly Way[] {
  const [way] = ways;
  const steps = (way?.does ?? []).filter(
    (deed) => deed.type === 'step' && deed.step.kind !== 'note' && FASTENERS.has(deed.step.kind),
  );
  const [one] = steps;
  if (!way || steps.length !== 1 || one?.type !== 'step') return [];
  const sum = parts.flatMap(({ clause }) => countsSaid(clause)).reduce((all, number) => all + number, 0);
  return [wayOf(way.does.map((deed) => (deed === one ? { ...one, step: { ...one.step, count: sum } } : deed)))];
}

/** Whether two readings would make something else happen: where is no matter of a question. */
function differs(a: ReadLine, b: ReadLine): boolean {
  const short = ({ ways }: ReadLine): string =>
    (ways[0]?.does ?? [])
      .map((deed) => (deed.type === 'step' ? `${deed.step.kind} ${deed.step.count} ${deed.step.fate}` : deed.type))
      .join('+');
  return short(a) !== short(b);
}
