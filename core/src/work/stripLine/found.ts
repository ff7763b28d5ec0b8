import type { Clause } from './clause';
import type { Typed } from './figures';
import { distinct, echoOf, said, wayOf, WAYS_MAX } from './deeds';
import { stepOf } from './steps';
import type { Part } from './parts';
import type { Deed, ReadLine, Way } from './types';

/* What lay loose, dirt, a disc, or how something was found to be. */

const LAY =
  /\b(?:fell|fallen|dropped|jumped|flew) out\b|\brattl\w+|\brolling (?:about|around|loose)\b|\blying\b|\bloose (?:in|under|inside|behind|below|beneath)\b/;
const FOUND = /\b(?:found|discovered)\b|^there(?:'?s| is| was| were| are)\b/;
const FOUND_WORDS =
  /\b(?:i|found|discovered|there(?:['’]?s)?|is|was|were|are|fell out|fallen out|dropped out|rattling(?: about| around)?|rattles(?: about)?|lying|loose)\b/gi;
const PLACE = /^(.*?)(?:,? ?\b((?:under|underneath|in|on|behind|beside|near|between|inside|below|beneath|at)\b.*))?$/i;

const sure = (...does: readonly Deed[]): ReadLine => ({
  ways: [{ echo: does.map(echoOf).join(' '), does }],
  asks: '',
  unread: false,
});
const asked = (asks: string, ways: readonly Way[]): ReadLine => ({
  ways: distinct(ways).slice(0, WAYS_MAX),
  asks,
  unread: false,
});

/** What a line tells of as found; undefined where it tells of something else. */
export function foundIn(typed: Typed, parts: readonly Part[]): ReadLine | undefined {
  const { line } = typed;
  const text = line.toLowerCase();
  const [head] = parts;
  if (!head || (!FOUND.test(text) && !LAY.test(text))) return undefined;
  const later = parts.findIndex(({ clause }) => FOUND.test(clause.text) || LAY.test(clause.text));
  const clause: Clause = parts[Math.max(0, later)]?.clause ?? head.clause;
  const about = clause.kind === undefined ? head.clause : clause;
  const what = line
    .replace(FOUND_WORDS, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[:,. ]+/, '')
    .trim();
  if (about.kind === 'disc') return sure({ type: 'disc', where: about.where, condition: said(line) });
  if (about.kind === 'dirt') return sure({ type: 'found', kind: 'dirt', what: what || line, where: '' });
  const place = PLACE.exec(what);
  const name = (place?.[1] ?? '')
    .replace(/[,: ]+$/, '')
    .replace(/(?<=\S)(?:\s+(?:had|has|was|were|is|are|fallen|dropped|come|out|off))+$/i, '');
  const deed: Deed = {
    type: 'found',
    kind: 'object',
    what: name || what || line,
    where: name ? (place?.[2] ?? '') : '',
  };
  const observed: Deed = { type: 'step', step: { ...stepOf({ ...about, fate: 'noted' }, line), what: what || line } };
  const lay = LAY.test(text);
  if (about.kind !== undefined && about.bits.some(({ is }) => is === 'how') && !lay)
    return /\bloose\b/.test(text) ? asked('What was found?', [wayOf([deed]), wayOf([observed])]) : sure(observed);
  // “Tray found half open” tells of the tray.
  const machine = about.kind !== undefined && /^(?:part|cover|gear|connector)$/.test(about.kind);
  if (machine && !lay && !/^(?:i )?(?:found|discovered)\b|^there\b/i.test(text)) return sure(observed);
  if (about.kind === 'belt') return asked('What was found?', [wayOf([observed]), wayOf([deed])]);
  // “Circlip flew away, found on the floor”: it came off, and is in hand.
  if (later > 0 && head.clause.kind !== undefined) {
    const off: Deed = { type: 'step', step: stepOf({ ...head.clause, fate: head.clause.fate ?? 'off' }, line) };
    return asked('Off, or found loose?', [wayOf([off]), wayOf([deed])]);
  }
  return sure(deed);
}
