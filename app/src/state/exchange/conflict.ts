import { writtenMoment } from '../written';
import { differences } from '@loose-pulley/core/files/exchange';
import { type TicketRecord } from '@loose-pulley/core/record/ticket';
import { STATION_NAMES } from '@loose-pulley/core/record/stations';

export type Keep = 'mine' | 'theirs' | 'both';

/** What differs, to be read beside each other. */
export interface ConflictWords {
  readonly rows: ReadonlyArray<{ readonly path: string; readonly mine: string; readonly theirs: string }>;
  readonly more: string;
}

const SHOWN = 6;
const shown = (value: unknown): string => {
  if (value === undefined || value === null || value === '') return 'nothing';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > 48 ? `${text.slice(0, 45)}…` : text;
};
/** `drives[0].readings[1].amount` as `drives 1, readings 2, amount`. */
const readable = (path: string): string =>
  path
    .replace(/\[(\d+)\]/g, (_, index: string) => ` ${Number(index) + 1}`)
    .split('.')
    .map((part) => STATION_NAMES[part as keyof typeof STATION_NAMES] ?? part)
    .join(', ');

/** Compares two versions of a ticket: what they hold, and how long their histories are. */
export function conflictWords(mine: TicketRecord, theirs: TicketRecord): ConflictWords {
  const all = differences(mine.ticket, theirs.ticket);
  const last = (record: TicketRecord) => writtenMoment(record.events[record.events.length - 1]?.at ?? '');
  const rows = all
    .slice(0, SHOWN)
    .map((one) => ({ path: readable(one.path), mine: shown(one.mine), theirs: shown(one.theirs) }));
  return {
    rows: [
      ...rows,
      {
        path: 'history',
        mine: `${mine.events.length} events, last ${last(mine)}`,
        theirs: `${theirs.events.length} events, last ${last(theirs)}`,
      },
    ],
    more: all.length > SHOWN ? `and ${all.length - SHOWN} more places.` : '',
  };
}
