import type { TicketEvent, TicketRecord } from './schema';

const known = new WeakMap<readonly TicketEvent[], ReadonlySet<string>>();

/** The ids of events that stand undone, by the undo and redo events among them. Worked out once for a list. */
export function undoneIds(events: readonly TicketEvent[]): ReadonlySet<string> {
  const before = known.get(events);
  if (before) return before;
  const undone = new Set<string>();
  for (const event of events) {
    if (event.type === 'undone') undone.add(event.eventId);
    if (event.type === 'redone') undone.delete(event.eventId);
  }
  known.set(events, undone);
  return undone;
}

/** The event that undo would take back now: the last that stands, opening apart. */
export function undoTarget(record: TicketRecord): TicketEvent | undefined {
  const undone = undoneIds(record.events);
  return record.events.findLast(
    ({ id, type }) => type !== 'undone' && type !== 'redone' && type !== 'ticketOpened' && !undone.has(id),
  );
}

/** The event that redo would bring back now: the last undone, unless something new has happened since. */
export function redoTarget(record: TicketRecord): TicketEvent | undefined {
  const lastNew = record.events.findLastIndex(({ type }) => type !== 'undone' && type !== 'redone');
  const stack: string[] = [];
  for (const event of record.events.slice(lastNew + 1)) {
    if (event.type === 'undone') stack.push(event.eventId);
    if (event.type === 'redone') stack.pop();
  }
  const target = stack[stack.length - 1];
  return target === undefined ? undefined : record.events.find(({ id }) => id === target);
}

/** Every event with whether it stands, newest last: the timeline. */
export function timeline(
  record: TicketRecord,
): ReadonlyArray<{ readonly event: TicketEvent; readonly undone: boolean }> {
  const undone = undoneIds(record.events);
  return record.events.map((event) => ({ event, undone: undone.has(event.id) }));
}
