import { readings, tokensOf } from '../spoken';
import { blankStep, changeNamed, type Fate, type StepDraft } from '../strip';
import { deedOf, distinct, echoOf, inOrder, keptWay, variants, wayOf, WAYS_MAX } from './deeds';
import { foundIn } from './found';
import { idiomOf } from './idioms';
import { GRAMMAR } from './rules';
import type { Said } from './said';
import { sensesOf } from './senses';
import { stepOf } from './steps';
import { partsOf, thingsOf, type Part } from './things';
import type { Typed } from './clause';
import type { Deed, Doubt, ReadLine, Way } from './types';
import { STEP_KINDS_SAID } from './words';

const sure = (way: Way): ReadLine => ({ ways: [way], asks: '', unread: false });
const kept = (line: string, fate: Fate, echo: string, unread = false): ReadLine => ({
  ways: [{ echo, does: [{ type: 'step', step: blankStep('note', line, { what: line, fate }) }] }],
  asks: '',
  unread,
});
const asked = (asks: string, ways: readonly Way[]): ReadLine => ({
  ways: ways.slice(0, WAYS_MAX),
  asks,
  unread: false,
});

const ASKS: Readonly<Record<Doubt['about'], string>> = {
  count: 'How many?',
  fate: 'What was done?',
  kind: 'Which is it?',
  slip: 'Is this it?',
  both: 'One thing, or two?',
};
const NO_CHANGE =
  /\b(?:leave|not|never|marked|diagram|photo|picture|sketch|found|back in|refitted|careful|mind|halfway|cleaned|checked)\b/;
/** Two readings of a line that cost nearly the same are both asked about. */
const NEARLY = 0.45;

/** One reading of a line, and what it makes happen. */
export interface Reading {
  readonly bits: readonly Said[];
  readonly cost: number;
  readonly read: ReadLine;
}

function changeIn(line: string, parts: readonly Part[]): Deed | undefined {
  const [head] = parts;
  const kind = NO_CHANGE.test(line.toLowerCase()) ? undefined : changeNamed(line);
  const of = head?.clause.kind;
  if (head?.clause.none && head.clause.where !== '') return undefined;
  // A hinge pin is no stop pin.
  const names = head?.clause.bits.find(({ is }) => is === 'thing')?.nouns ?? [];
  if (kind === 'stopPinOut' && !names.every(({ noun }) => /^(?:stop|pin|stop pin)$/.test(noun))) return undefined;
  if (
    !kind ||
    (of && ['connector', 'springs', 'nuts', 'clips', 'gear'].includes(of)) ||
    (of === 'screws' && kind !== 'transportLockOff')
  )
    return undefined;
  return { type: 'change', kind, words: line };
}

/** What a reading of a line makes happen. */
function meant(typed: Typed, bits: readonly Said[]): { readonly read: ReadLine; readonly oddness: number } {
  const { line } = typed;
  const parts = partsOf(typed, bits);
  const oddness = parts.reduce((all, { clause }) => all + clause.oddness, 0);
  const done = (read: ReadLine) => ({ read, oddness });
  const [head] = parts;
  if (!head)
    return done(kept(line, 'off', 'Not read: kept as typed, with a number, and asked for on the way back.', true));
  const start = head.clause.bits.find(({ is }) => is !== 'idle');
  const minded = kept(line, 'noted', 'Noted, as what to mind: nothing came off.');
  if (start?.is === 'mind') return done(minded);
  if (head.sep === 'when' && !/^so that/i.test(line)) {
    // “Without undoing the plugs, board flipped” tells of a deed after all.
    const later = parts
      .slice(1)
      .filter(({ clause }) => clause.kind !== undefined && clause.bits[0]?.is === 'thing' && clause.fate !== undefined);
    const from = later[0]?.clause.bits[0]?.from;
    const rest = from === undefined ? [] : bits.filter((bit) => bit.from >= from);
    return done(
      rest.length > 0 ? asked('What was done?', [...meant(typed, rest).read.ways.slice(0, 1), ...minded.ways]) : minded,
    );
  }
  if (head.clause.none && head.clause.kind !== 'belt') return done(kept(line, 'noted', 'Noted: nothing came off.'));
  if (head.clause.none)
    return done(
      sure(wayOf([{ type: 'step', step: { ...stepOf({ ...head.clause, fate: 'noted' }, line), what: line } }])),
    );
  const found = foundIn(typed, parts);
  if (found) return done(found);
  if (head.clause.kind === 'look') return done(pictured(typed, head));
  const { things } = thingsOf(typed, parts);
  const [first] = things;
  if (!first || (first.clause.guessed && first.clause.fate === undefined && things.length === 1))
    return done(nothingRead(line, parts));
  const doubtful = things.find(({ doubts }) => doubts.length > 0);
  if (!doubtful)
    return done(
      sure(
        wayOf(
          inOrder(
            things.map((thing) => deedOf(thing, line, {})),
            things,
          ),
        ),
      ),
    );
  let lists: Array<readonly Deed[]> = [[]];
  for (const thing of things) {
    const options = variants(thing, line);
    lists = lists.flatMap((before) => options.map((option) => [...before, ...option])).slice(0, WAYS_MAX);
  }
  const ways = distinct(lists.map((deeds) => wayOf(inOrder(deeds, things))));
  if (ways.length === 1) ways.push(keptWay(line));
  return done(asked(ASKS[doubtful.doubts[0]?.about ?? 'fate'], ways));
}

/** A picture or a mark: of what it is, where that is said. */
function pictured({ line }: Typed, { clause }: Part): ReadLine {
  const fate: Fate = /^(?:a |the )?(?:\w+ )?(?:marks?|dot|arrow)\b/.test(clause.text) ? 'marked' : 'noted';
  const of = clause.bits.find(({ is, within }) => is === 'where' && within)?.within;
  const { count } = of ?? {};
  const { kind, noun, plural } = (of?.nouns ?? []).findLast((one) => STEP_KINDS_SAID.has(one.kind)) ?? {};
  if (kind === undefined || noun === undefined)
    return kept(line, fate, fate === 'marked' ? 'Noted as marked: nothing came off.' : 'Noted: nothing came off.');
  const step = blankStep(kind as StepDraft['kind'], line, {
    what: noun,
    fate,
    count: count?.number ?? (plural ? 0 : 1),
  });
  return sure(wayOf([{ type: 'step', step }]));
}

/** Nothing of the machine was read in it: left alone and marked change nothing, and what is left goes back like any other. */
function nothingRead(line: string, parts: readonly Part[]): ReadLine {
  const bits = parts.flatMap(({ clause }) => clause.bits);
  const is = (one: Said['is']): boolean => bits.some((bit) => bit.is === one);
  const clauses = parts.map(({ clause }) => clause);
  const done = bits.flatMap((bit) => (bit.is === 'done' ? [bit.done] : []));
  if (is('leave') || done.includes('stay')) return kept(line, 'leftAlone', 'Noted, and left alone.');
  const count = clauses.reduce((all, clause) => all + (clause.count ?? 0), 0);
  const where = clauses
    .flatMap((clause) =>
      clause.where !== '' || clause.bits.some(({ is: one }) => one === 'each') ? [clause.text] : [],
    )
    .join(', ');
  if (count > 0 && where !== '') {
    const way = (kind: 'screws' | 'clips', what: string): Way =>
      wayOf([{ type: 'step', step: blankStep(kind, line, { what, count, where }) }]);
    return asked('Of what?', [way('screws', 'screw'), way('clips', 'clip'), keptWay(line)]);
  }
  if (done.includes('noted') || is('deny')) return kept(line, 'noted', 'Noted: nothing came off.');
  if (done.includes('marked')) return kept(line, 'marked', 'Noted as marked: nothing came off.');
  if (is('turns')) return kept(line, 'turned', `${line}: it is turned back on the way.`);
  return kept(line, 'off', 'Not read: kept as typed, with a number, and asked for on the way back.', true);
}

/** Every reading of a line, the likeliest first. */
export function readingsOf(line: string): { readonly typed: Typed; readonly all: readonly Reading[] } {
  const tokens = tokensOf(line);
  const edges = sensesOf(tokens);
  const typed = { line, tokens };
  const all = readings(tokens.length, edges, GRAMMAR).map(({ value, cost }): Reading => {
    const bits = value.bits ?? [];
    const { read, oddness } = meant(typed, bits);
    return { bits, cost: cost + oddness, read };
  });
  return { typed, all: [...all].sort((a, b) => a.cost - b.cost) };
}

/** Reads a line in which nothing is corrected. */
export function readPlain(line: string): ReadLine | undefined {
  if (line === '') return undefined;
  const text = line.toLowerCase().replace(/[.!]+$/, '');
  const idiom = idiomOf(text);
  if (idiom) return sure(idiom);
  const { typed, all } = readingsOf(line);
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
  if (best.bits.some(({ slip, verb, is }) => slip && (is !== 'done' || verb)) && !best.read.unread)
    return asked('Is this it?', [...best.read.ways.slice(0, WAYS_MAX - 1), keptWay(line)]);
  if (isStrange(typed, best) && best.read.ways.length === 1 && !best.read.unread)
    return asked('Is this it?', [...best.read.ways, keptWay(line)]);
  const key = ({ ways }: ReadLine): string => ways.map(({ echo }) => echo).join('|');
  const other = others.find(
    ({ cost, read }) =>
      cost - best.cost < NEARLY && key(read) !== key(best.read) && !read.unread && read.ways.length === 1,
  );
  if (other && best.read.ways.length === 1 && !best.read.unread && differs(best.read, other.read))
    return asked('Which is meant?', distinct([...best.read.ways, ...other.read.ways]));
  return best.read;
}

/** A line in which something is put right: taken so where it is plain what of, else asked. */
function correctedRead(typed: Typed, { bits, read }: Reading, at: number): ReadLine {
  const [way, other] = read.ways;
  const was = meant(typed, bits.slice(0, at)).read.ways.slice(0, 1);
  const before = was[0]?.does ?? [];
  const after = way?.does ?? [];
  const kinds = (does: readonly Deed[]): string =>
    does.map((deed) => (deed.type === 'step' ? deed.step.kind : deed.type)).join(' ');
  const plain =
    !other &&
    !read.unread &&
    kinds(before) === kinds(after) &&
    after.every((deed) => deed.type === 'step' && !['leftAlone', 'noted'].includes(deed.step.fate));
  if (plain) return read;
  return asked(
    'Which is it?',
    distinct([...read.ways.slice(0, 1), ...was])
      .slice(0, WAYS_MAX - 1)
      .concat(keptWay(typed.line)),
  );
}

/** Whether a word that is not known stands where it may change what was said: beside a count, a denial or a deed, and in no name. */
function isStrange(typed: Typed, { bits, read }: Reading): boolean {
  const acts = (read.ways[0]?.does ?? []).some(
    (deed) => deed.type === 'step' && deed.step.fate !== 'noted' && deed.step.fate !== 'leftAlone',
  );
  if (!acts) return false;
  return partsOf(typed, bits).some(({ clause, sep }, at) => {
    const is = (one: Said['is']): boolean => clause.bits.some((bit) => bit.is === one);
    const stray =
      is('strange') && sep !== 'when' && (at === 0 || clause.count !== undefined || is('deny') || is('others'));
    return stray || (clause.guessed && clause.count !== undefined && clause.count > 1);
  });
}

/** Whether two readings would make something else happen: where is no matter of a question. */
function differs(a: ReadLine, b: ReadLine): boolean {
  const short = ({ ways }: ReadLine): string =>
    (ways[0]?.does ?? [])
      .map((deed) => (deed.type === 'step' ? `${deed.step.kind} ${deed.step.count} ${deed.step.fate}` : deed.type))
      .join('+');
  return short(a) !== short(b);
}
