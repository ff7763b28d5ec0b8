import type { TicketEvent } from './schema';
import { undoneIds } from './undo';

/** One thing that an event changed: its name, what it was, and what it is. */
export interface Changed {
  readonly name: string;
  readonly from: string;
  readonly to: string;
}

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Fields that name an event or its thing rather than say something of it. */
const NAMES: ReadonlySet<string> = new Set([
  'id',
  'at',
  'type',
  'gesture',
  'together',
  'since',
  'startedAt',
  'openedAt',
  'closedAt',
  'offAt',
  'backAt',
  'line',
  'number',
  'own',
  'pictureIds',
]);
const WORDS: Readonly<Record<string, string>> = {
  for: 'waits for',
  what: 'what',
  text: 'note',
  mm: 'mm',
  driverType: 'driver',
  lengthMm: 'length in mm',
  notNextTime: 'not needed next time',
  innerLengthMm: 'inner length in mm',
  measuredMm: 'in the hand, mm',
  homed: 'placed',
};
/** A coded word as words. For instance plain('notDone'): 'not done' */
const plain = (word: string): string => word.replace(/([a-z])([A-Z0-9])/g, '$1 $2').toLowerCase();
const MOST = 60;

function shown(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (value === true) return 'yes';
  if (value === false) return 'no';
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000);
  if (typeof value === 'string') {
    const text = /^[a-z]+([A-Z][a-z]+)+$/.test(value) ? plain(value) : value;
    return text.length > MOST ? `${text.slice(0, MOST)}…` : text;
  }
  return '';
}

/** What an event is about: events of one name follow one another. */
function subjectOf(event: TicketEvent): string {
  const body = event as unknown as Fields;
  const own = Object.values(body).find((value) => isFields(value) && ('id' in value || 'kind' in value)) as
    Fields | undefined;
  return [event.type, body.driveId, body.tryId, body.station, own?.id ?? own?.kind].filter(Boolean).join('/');
}

/** The leaves of an event by their names, lists left out but for the last time off. */
function leavesOf(value: Fields, into: Map<string, unknown> = new Map()): Map<string, unknown> {
  for (const [key, one] of Object.entries(value)) {
    if (NAMES.has(key) || key.endsWith('Id')) continue;
    if (isFields(one)) leavesOf(one, into);
    else if (Array.isArray(one)) {
      const last: unknown = one[one.length - 1];
      if (isFields(last)) leavesOf(last, into);
      else into.set(key, one.join(', '));
    } else into.set(key, one);
  }
  return into;
}

/**
 * What an event changed from what to what, against the last one before it that was about the same thing and stands.
 * Empty for the first. Cost: one walk back through the events, for the events that are looked at.
 *
 * @example changedBy(events, 7) // []
 */
export function changedBy(events: readonly TicketEvent[], index: number): readonly Changed[] {
  const event = events[index];
  if (!event || event.type === 'undone' || event.type === 'redone' || event.type === 'ticketOpened') return [];
  const undone = undoneIds(events);
  const subject = subjectOf(event);
  const now = leavesOf(event as unknown as Fields);
  const before = new Map<string, unknown>();
  for (let at = index - 1; at >= 0 && before.size < now.size; at--) {
    const earlier = events[at];
    if (!earlier || undone.has(earlier.id) || subjectOf(earlier) !== subject) continue;
    for (const [key, value] of leavesOf(earlier as unknown as Fields))
      if (now.has(key) && !before.has(key)) before.set(key, value);
    // A whole thing says all of itself; some fields of one are looked for further back.
    if (!('changes' in earlier)) break;
  }
  return [...now].flatMap(([key, value]) => {
    if (!before.has(key)) return [];
    const [from, to] = [shown(before.get(key)), shown(value)];
    return from === to ? [] : [{ name: WORDS[key] ?? plain(key), from, to }];
  });
}
