import { dayOf } from '../../state/written';
import { minutesOf } from '@loose-pulley/core/shop/lifetimes';
import { type Loader, loaderOf } from '@loose-pulley/core/base/loaders';
import { REMEDY_KIND_NAMES, type RemedyKind, type TicketSummary } from '@loose-pulley/core/record/ticket';
import { writeTable } from '@loose-pulley/core/base/table';

/** What a line of the log can show. */
export const LOG_COLUMNS = {
  number: { name: 'number', of: (one: TicketSummary) => one.number },
  opened: { name: 'opened', of: (one: TicketSummary) => dayOf(one.openedAt) },
  handedBack: { name: 'handed back', of: (one: TicketSummary) => (one.closedAt ? dayOf(one.closedAt) : '') },
  machine: { name: 'machine', of: (one: TicketSummary) => one.machine },
  serial: { name: 'serial', of: (one: TicketSummary) => one.serial },
  owner: { name: 'owner', of: (one: TicketSummary) => one.owner },
  loader: { name: 'loader', of: (one: TicketSummary) => loaderOf(one.loader).name },
  mechanism: { name: 'mechanism', of: (one: TicketSummary) => one.mechanisms.join(', ') },
  complaint: { name: 'complaint', of: (one: TicketSummary) => one.complaint },
  found: { name: 'found', of: (one: TicketSummary) => one.causes.join(', ') },
  remedy: {
    name: 'put right by',
    of: (one: TicketSummary) => [...new Set(one.remedies.map(({ kind }) => REMEDY_KIND_NAMES[kind]))].join(', '),
  },
  cleaned: { name: 'cleaned with', of: (one: TicketSummary) => one.cleaned },
  minutes: { name: 'minutes', of: (one: TicketSummary) => Math.round(minutesOf(one)) },
  due: { name: 'due', of: (one: TicketSummary) => one.due?.on ?? '' },
} as const satisfies Readonly<Record<string, { readonly name: string; of(one: TicketSummary): string | number }>>;
export type LogColumn = keyof typeof LOG_COLUMNS;
export const ALL_COLUMNS = Object.keys(LOG_COLUMNS) as LogColumn[];
export const FIRST_COLUMNS: readonly LogColumn[] = ['number', 'opened', 'machine', 'found', 'remedy', 'minutes'];

/** What the log is narrowed to. Empty means any. */
export interface LogFilter {
  readonly state: '' | 'open' | 'handedBack' | 'returned';
  readonly loader: '' | Loader;
  readonly remedy: '' | RemedyKind;
  readonly from: string;
  readonly to: string;
}
export const NO_FILTER: LogFilter = { state: '', loader: '', remedy: '', from: '', to: '' };

/** Whether a ticket is let through. @param returned ids of those that came again within a year */
export function letsThrough(filter: LogFilter, one: TicketSummary, returned: ReadonlySet<string>): boolean {
  const day = dayOf(one.openedAt);
  return (
    (filter.state === '' ||
      (filter.state === 'open' && one.closedAt === null) ||
      (filter.state === 'handedBack' && one.closedAt !== null) ||
      (filter.state === 'returned' && returned.has(one.id))) &&
    (filter.loader === '' || one.loader === filter.loader) &&
    (filter.remedy === '' || one.remedies.some(({ kind }) => kind === filter.remedy)) &&
    (filter.from === '' || day >= filter.from) &&
    (filter.to === '' || day <= filter.to)
  );
}

/** The log as CSV, in the columns that are shown. */
export const logTable = (tickets: readonly TicketSummary[], columns: readonly LogColumn[]): string =>
  writeTable(
    columns.map((column) => LOG_COLUMNS[column].name),
    tickets.map((one) => columns.map((column) => LOG_COLUMNS[column].of(one))),
  );
