import { blankStep, type Fate, type StepDraft } from '../strip';
import type { Typed } from './figures';
import { deedOf, distinct, inOrder, keptWay, variants, wayOf, WAYS_MAX } from './deeds';
import { foundIn } from './found';
import type { Said } from './said';
import { stepOf } from './steps';
import { partsOf, type Part } from './parts';
import { thingsOf } from './things';
import type { Deed, Doubt, ReadLine, Way } from './types';
import { ORDERED, STEP_KINDS_SAID } from './words';

/** A line that means one thing. */
export const sure = (way: Way): ReadLine => ({ ways: [way], asks: '', unread: false });
/** A line kept as a note. */
export const kept = (line: string, fate: Fate, echo: string, unread = false): ReadLine => ({
  ways: [{ echo, does: [{ type: 'step', step: blankStep('note', line, { what: line, fate }) }] }],
  asks: '',
  unread,
});
/** A line that may mean several things. */
export const asked = (asks: string, ways: readonly Way[]): ReadLine => ({
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
/** What a reading of a line makes happen. */
export function meant(typed: Typed, bits: readonly Said[]): ReadLine {
  const { line } = typed;
  const parts = partsOf(typed, bits);
  const [head] = parts;
  if (!head) return kept(line, 'off', 'Not read: kept as typed, with a number, and asked for on the way back.', true);
  const start = head.clause.bits.find(({ is }) => is !== 'idle');
  const minded = kept(line, 'noted', 'Noted, as what to mind: nothing came off.');
  // “Turn it over” is an order.
  const next = head.clause.bits.find(({ is, from }) => is !== 'idle' && start !== undefined && from > start.from);
  if (start?.is === 'mind' || (start?.is === 'done' && ORDERED.has(start.verb ?? '') && next?.is === 'pronoun'))
    return minded;
  if (head.sep === 'when' && !/^so that/i.test(line)) {
    // “Without undoing the plugs, board flipped” tells of a deed after all.
    const later = parts
      .slice(1)
      .filter(({ clause }) => clause.kind !== undefined && clause.bits[0]?.is === 'thing' && clause.fate !== undefined);
    const from = later[0]?.clause.bits[0]?.from;
    const rest = from === undefined ? [] : bits.filter((bit) => bit.from >= from);
    return rest.length > 0 ? asked('What was done?', [...meant(typed, rest).ways.slice(0, 1), ...minded.ways]) : minded;
  }
  if (head.clause.none && head.clause.kind !== 'belt') return kept(line, 'noted', 'Noted: nothing came off.');
  if (head.clause.none)
    return sure(wayOf([{ type: 'step', step: { ...stepOf({ ...head.clause, fate: 'noted' }, line), what: line } }]));

  const found = foundIn(typed, parts);
  if (found) return found;
  if (head.clause.kind === 'look') return pictured(typed, head);
  const { things } = thingsOf(typed, parts);
  const [first] = things;
  if (!first || (first.clause.guessed && first.clause.fate === undefined && things.length === 1))
    return nothingRead(line, parts);
  const doubtful = things.find(({ doubts }) => doubts.length > 0);
  if (!doubtful)
    return sure(
      wayOf(
        inOrder(
          things.map((thing) => deedOf(thing, line, {})),
          things,
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
  return asked(ASKS[doubtful.doubts[0]?.about ?? 'fate'], ways);
}

/** A picture or a mark: of what it is, where that is said. */
function pictured({ line }: Typed, { clause }: Part): ReadLine {
  const fate: Fate = /^(?:a |the )?(?:\w+ )?(?:marks?|dots?|arrows?|scribe lines?)\b/.test(clause.text)
    ? 'marked'
    : 'noted';
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
  const fate = clauses.find((clause) => clause.fate !== undefined)?.fate ?? 'off';
  if (count > 0 && (where !== '' || done.length > 0)) {
    const way = (kind: 'screws' | 'clips', what: string): Way =>
      wayOf([{ type: 'step', step: blankStep(kind, line, { what, count, where, fate }) }]);
    return asked('Of what?', [way('screws', 'screw'), way('clips', 'clip'), keptWay(line)]);
  }
  if (done.includes('noted') || is('deny')) return kept(line, 'noted', 'Noted: nothing came off.');
  if (done.includes('marked')) return kept(line, 'marked', 'Noted as marked: nothing came off.');
  // Unplugged, and not what of: the mains, or a plug of the machine.
  if (bits.some(({ verb = '' }) => /^unplug/.test(verb)))
    return asked('What was unplugged?', [wayOf([{ type: 'moment', moment: 'unplugged' }]), keptWay(line)]);
  if (is('turns')) return kept(line, 'turned', `${line}: it is turned back on the way.`);
  return kept(line, 'off', 'Not read: kept as typed, with a number, and asked for on the way back.', true);
}
