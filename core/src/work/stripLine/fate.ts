import type { Fate } from '../strip';
import type { Said } from './said';
import type { Doubt } from './types';
import { FASTENERS, FULL_OF, type Done, type NounKind } from './words';

interface Reading {
  readonly fate: Fate | undefined;
}

/** What the words of a clause say was done; what they leave open is put to the doubts. */
export function fateOf(
  bits: readonly Said[],
  kind: NounKind | undefined,
  noun: string,
  doubts: Doubt[],
  missing = 0,
): Reading {
  const has = (is: Said['is']): boolean => bits.some((bit) => bit.is === is);
  const ask = (...fates: readonly Fate[]): Reading => {
    doubts.push({ about: 'fate', fates });
    return { fate: fates[0] };
  };
  const done = bits.flatMap((bit) => (bit.is === 'done' && bit.done ? [bit.done] : []));
  const taken = doneOf(bits, kind, noun);
  if (kind === 'power') return powerOf(bits);
  const byOthers = has('others');
  if (missing > 0 && kind !== undefined)
    return byOthers || bits.some((bit) => bit.is === 'missing') ? { fate: 'off' } : ask('off', 'noted');
  if (has('leave')) {
    if (done.includes('loosened') || isSlack(bits)) return { fate: 'loosened' };
    if (taken.fate === 'movedAside' || taken.fate === 'foldedBack') return { fate: taken.fate };
    // “Undone but left on the shaft”.
    if (
      kind !== undefined &&
      FASTENERS.has(kind) &&
      done.includes('off') &&
      bits.some(({ is, noun: word }) => is === 'leave' && word === 'left')
    )
      return { fate: 'loosened' };
    const away = bits.some((bit) => (bit.is === 'toward' || bit.is === 'where') && bit.away) || done.includes('off');
    return away && !has('deny') ? ask('leftAlone', 'off') : { fate: 'leftAlone' };
  }
  if (has('deny')) {
    // Denied of no deed, it tells how it is: not greasy, none of them there.
    if (taken.fate === undefined && done.length === 0) return { fate: 'noted' };
    // “Slackened, not out” is slackened; “not slackened” is not.
    const deny = bits.findIndex(({ is }) => is === 'deny');
    if (bits.slice(0, deny).some(({ is, done: one }) => is === 'done' && one === 'loosened'))
      return { fate: 'loosened' };
    // “Unscrewed, not removed” is undone where it is.
    if (bits.slice(0, deny).some(({ is, done: one }) => is === 'done' && one === 'off'))
      return ask('loosened', 'leftAlone');
    return { fate: 'leftAlone' };
  }
  if (byOthers) return { fate: 'noted' };
  if (has('toCome')) return ask('off', 'noted');
  if (isSlack(bits) && kind !== undefined && FASTENERS.has(kind) && taken.ask) return ask('loosened', 'noted');
  if (byOthers) return { fate: 'noted' };
  // So many left of them, or those on the left.
  const last = bits.at(-1);
  if (
    last?.is === 'where' &&
    last.noun === 'left' &&
    last.to - last.from === 1 &&
    taken.fate === undefined &&
    bits.at(-2)?.is === 'thing'
  )
    return ask('off', 'leftAlone');
  // “Has turned to tar” is how it is found.
  const became = bits.some(({ is, verb = '' }) => is === 'how' && /^(?:to|in) /.test(verb));
  if (has('how') && (taken.fate === undefined || (became && taken.fate === 'turned')) && missing === 0) {
    const fault = bits.some((bit) => bit.is === 'how' && !bit.plain);
    if (isSlack(bits) && kind !== undefined && kind !== 'belt') return ask('noted', 'loosened');
    if (fault && kind === 'belt') return ask('noted', 'off');
    return fault ? { fate: 'noted' } : { fate: undefined };
  }
  // What is covered with something is only told of.
  if (taken.fate === undefined && bits.some(({ is, noun: of = '' }) => is === 'where' && FULL_OF.test(of)))
    return { fate: 'noted' };
  // What others fitted is told, not taken off.
  const looks = bits.flatMap(({ looks: own = [] }) => own);
  if (taken.fate === undefined && looks.some(({ is, verb }) => is === 'how' && /^(?:foreign|wrong)$/.test(verb ?? '')))
    return { fate: 'noted' };
  const inside = bits.at(-1);
  if (
    taken.fate === undefined &&
    inside?.is === 'where' &&
    inside.noun === 'inside' &&
    kind !== undefined &&
    kind !== 'disc' &&
    !FASTENERS.has(kind)
  )
    return ask('noted', 'off');
  if (taken.ask) return ask(...taken.ask);
  return { fate: taken.fate };
}

/** What brings the power is in or out; anything else of it is only told. */
function powerOf(bits: readonly Said[]): Reading {
  const away = bits.some(
    (bit) =>
      ((bit.is === 'toward' || bit.is === 'where') && bit.away) ||
      (bit.is === 'done' && (bit.done === 'pulled' || bit.done === 'off')),
  );
  const plain = !bits.some(({ is }) => ['leave', 'deny', 'others', 'toCome', 'how'].includes(is));
  return { fate: plain && away ? 'off' : undefined };
}

const isSlack = (bits: readonly Said[]): boolean =>
  bits.some(({ is, verb = '' }) => is === 'how' && /^(?:loose|slack)$/.test(verb));

const SWINGS = /^(?:swung|swing|swings|hinged|pivoted|swivelled|tilted|tipped|flipped)$/;

interface Taken {
  readonly fate: Fate | undefined;
  readonly ask?: readonly Fate[];
}
const sure = (fate: Fate | undefined): Taken => ({ fate });
const either = (...fates: readonly Fate[]): Taken => ({ fate: fates[0], ask: fates });

/** What verbs and particles come to, by what they are said of. */
function doneOf(bits: readonly Said[], kind: NounKind | undefined, noun: string): Taken {
  const done = new Set<Done>(bits.flatMap((bit) => (bit.is === 'done' && bit.done ? [bit.done] : [])));
  const toward = new Set(bits.flatMap((bit) => (bit.is === 'toward' ? [bit.noun ?? ''] : [])));
  const away = toward.has('away') || bits.some((bit) => bit.is === 'where' && bit.away);
  const aside = toward.has('aside');
  const home = toward.has('home');
  const turns = bits.some((bit) => bit.is === 'turns');
  const fastener = kind !== undefined && FASTENERS.has(kind);
  // “Off and cleaned” came off; “wiped off” did not.
  const cleaned = bits.findIndex(({ is, done: one }) => is === 'done' && one === 'clean');
  if (cleaned >= 0)
    return bits
      .slice(0, cleaned)
      .some((bit) => (bit.is === 'toward' && bit.noun === 'away') || (bit.is === 'done' && bit.done === 'off'))
      ? sure('off')
      : sure('noted');
  if (done.has('found')) return sure('noted');
  if (done.has('unsoldered')) return sure('unsoldered');
  if (done.has('cut')) return sure('cut');
  if (done.has('unhooked')) return sure('unhooked');
  if (done.has('fit')) return either('noted', 'off');
  if (home && !away && (done.size === 0 || done.has('aside'))) return either('noted', 'off');
  if (aside && away && done.size === 0 && fastener) return sure('loosened');
  if (
    aside &&
    done.size === 0 &&
    kind === 'connector' &&
    bits.some(({ is, verb }) => is === 'toward' && /^(?:half|part)/.test(verb ?? ''))
  )
    return bits.some(({ is, verb }) => is === 'toward' && verb === 'half in')
      ? either('noted', 'loosened')
      : either('loosened', 'off');
  if (done.has('pulled') && aside && kind !== 'connector') return sure('movedAside');
  if (done.has('pulled')) {
    if (kind === 'connector') return sure('pulled');
    if (kind === 'part' && /tray|drawer/.test(noun)) return either('off', 'movedAside');
    return sure(away ? 'off' : 'pulled');
  }
  if (done.has('aside') && bits.some(({ is, within }) => is === 'where' && within?.kind === 'tool'))
    return sure('noted');
  const partly = bits.some(({ is, verb = '' }) => is === 'toward' && /^(?:half|part|ajar)/.test(verb));
  if (partly && kind === 'belt') return either('noted', 'off');
  if (partly && done.has('off') && !fastener) return sure('movedAside');
  if (done.has('aside') && bits.some(({ is, verb = '' }) => is === 'toward' && /^(?:over|up|open|down)$/.test(verb)))
    return sure('movedAside');
  if (done.has('aside')) return away && !aside ? sure('off') : either('off', 'movedAside');
  if (done.has('foldedBack')) return sure('foldedBack');
  // “The pulley turns” tells what it does, not that a hand turned it.
  const byItself =
    bits.some(({ is, verb }) => is === 'done' && verb === 'turns') &&
    !turns &&
    !bits.some(({ is }) => is === 'direction' || is === 'ways');
  if (done.has('turned') && byItself && !away) return sure('noted');
  if (done.has('turned')) return sure(away && fastener ? 'loosened' : 'turned');
  // What hangs on a hinge or its cables swings out, and is not off.
  // Pulled clear, or off its clips, it is off.
  const clear =
    bits.some(({ is, done: one }) => is === 'done' && one === 'pulled') &&
    bits.some((bit) => (bit.is === 'toward' && /^clear$/.test(bit.verb ?? '')) || (bit.is === 'where' && bit.away));
  if (clear && !fastener && kind !== 'connector') return sure('off');
  const swung = bits.some(({ is, verb = '' }) => is === 'done' && SWINGS.test(verb));
  if (done.has('movedAside') && swung && !bits.some(({ is, noun: of }) => is === 'toward' && of === 'home'))
    return away ? either('movedAside', 'off') : sure('movedAside');
  if (done.has('movedAside')) return sure(away && !aside ? 'off' : 'movedAside');
  // A link that hangs was found so.
  if (done.has('hang')) return sure(kind === 'belt' || /^links?$/.test(noun) ? 'noted' : 'movedAside');
  if (done.has('lift')) {
    if (away || kind === 'adhesive') return sure('off');
    return aside || home ? sure('movedAside') : either('off', 'movedAside');
  }
  const socket = bits.some(({ is, within }) => is === 'where' && within?.kind === 'connector');
  if (
    done.has('free') &&
    (kind === 'connector' || kind === 'cable' || kind === 'wire') &&
    !toward.has('away') &&
    !socket
  )
    return sure('loosened');
  if (turns && fastener) return sure('loosened');
  if (turns && away) return sure('loosened');
  if (partly && away) return sure('movedAside');
  if (away) return sure('off');
  if (done.has('loosened')) return sure('loosened');
  if (done.has('free')) {
    if (kind === 'cable' || kind === 'wire') return sure('loosened');
    return kind === 'tabs' || kind === 'clips' || kind === 'belt' ? sure('off') : either('off', 'loosened');
  }
  // “Slid to the rear” is not off.
  const along =
    bits.some(({ is, verb = '' }) => is === 'done' && /^(?:slid|slide|slides|slipped)$/.test(verb)) &&
    bits.some(({ is, noun = '' }) => is === 'where' && /^(?:to|towards|along)$/.test(noun));
  if (along) return sure('movedAside');
  if (done.has('off')) return sure('off');
  if (done.has('stay')) return sure('leftAlone');
  if (done.has('come')) return aside ? sure('movedAside') : either('off', 'noted');
  if (done.has('marked')) return sure('marked');
  if (done.has('noted')) return sure('noted');
  if (
    aside &&
    done.size === 0 &&
    !fastener &&
    !bits.some(({ is }) => is === 'how') &&
    bits.some(({ is, verb }) => is === 'toward' && verb === 'up')
  )
    return either('movedAside', 'off');
  if (aside) return fastener && !partly ? either('off', 'loosened') : sure(fastener ? 'loosened' : 'movedAside');
  return turns ? sure(kind === 'belt' || kind === 'wire' ? undefined : 'turned') : sure(undefined);
}
