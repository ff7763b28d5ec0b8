import { REMEDY_KINDS, type RemedyKind, type TicketSummary } from '../../record/ticket';
import { kaplanMeier, timeAt, type Life, type Survival } from './kaplanMeier';

const DAY_MS = 86_400_000;
const YEAR_DAYS = 365;
const DAYS_OF_MONTH = 30.44;

/**
 * What tells one machine from another: what the bench said of it, else its serial number, else its name with its owner.
 * Of two of one name of which neither is known nobody can say that one came back.
 */
const machineOf = (one: TicketSummary, byId: ReadonlyMap<string, TicketSummary>): string => {
  const { id, serial, machine, owner, sameAs } = one;
  const before = sameAs === undefined || sameAs === null ? undefined : byId.get(sameAs);
  if (before && before.openedAt < one.openedAt) return machineOf(before, byId);
  if (sameAs === null) return id;
  if (serial.trim() !== '') return `${machine} # ${serial}`.trim().toLowerCase();
  return owner.trim() !== '' ? `${machine} @ ${owner}`.trim().toLowerCase() : id;
};

/** The tickets of each machine, oldest first. */
function byMachine(summaries: readonly TicketSummary[]): ReadonlyMap<string, readonly TicketSummary[]> {
  const machines = new Map<string, TicketSummary[]>();
  const byId = new Map(summaries.map((one) => [one.id, one]));
  for (const one of summaries) {
    const key = machineOf(one, byId);
    const known = machines.get(key);
    if (known) known.push(one);
    else machines.set(key, [one]);
  }
  for (const of of machines.values()) of.sort((a, b) => a.openedAt.localeCompare(b.openedAt));
  return machines;
}

/** Whether a later ticket of the same machine is about the same drive: its belt was seen to again, or is looked at now. */
const sameDrive = (later: TicketSummary, mechanism: string): boolean =>
  later.remedies.some((one) => one.mechanism === mechanism) ||
  (later.closedAt === null && (later.mechanisms.includes(mechanism) || later.mechanisms.length === 0));

/** A remedy with the life it has had, in days. */
export interface RemedyLife extends Life {
  readonly kind: RemedyKind;
  readonly mechanism: string;
  readonly ticketId: string;
}

/**
 * How long every remedy of the log has lasted: from the day the machine went back to the day it came again with the same
 * drive; one that has not come again still lasts. A provisional one that was replaced by plan counts as ended.
 *
 * @param nowMs milliseconds since 1970
 */
export function livesOf(summaries: readonly TicketSummary[], nowMs: number): readonly RemedyLife[] {
  const lives: RemedyLife[] = [];
  for (const tickets of byMachine(summaries).values()) {
    tickets.forEach((ticket, index) => {
      if (ticket.closedAt === null) return;
      const closedMs = Date.parse(ticket.closedAt);
      for (const { mechanism, kind } of ticket.remedies) {
        const again = tickets
          .slice(index + 1)
          .find((later) => Date.parse(later.openedAt) > closedMs && sameDrive(later, mechanism));
        const endMs = again ? Date.parse(again.openedAt) : nowMs;
        // A clock set back makes no negative life.
        lives.push({
          kind,
          mechanism,
          ticketId: ticket.id,
          time: Math.max(0, (endMs - closedMs) / DAY_MS),
          ended: again !== undefined,
        });
      }
    });
  }
  return lives;
}

/** The curve of each remedy that the log has. */
export function survivalByRemedy(
  lives: readonly RemedyLife[],
): ReadonlyArray<{ readonly kind: RemedyKind; readonly survival: Survival }> {
  return REMEDY_KINDS.map((kind) => ({ kind, survival: kaplanMeier(lives.filter((one) => one.kind === kind)) })).filter(
    ({ survival }) => survival.lives > 0,
  );
}

/** A day is proposed from the log once so many remedies of a kind were seen, and so many of them have ended. */
const ENOUGH_LIVES = 8;
const ENOUGH_ENDED = 4;
/** It is looked at again when one in five has come back. */
const DUE_SHARE = 0.8;

/**
 * Months after which a remedy should be looked at again, by this bench's own log: when one in five has come back.
 *
 * @returns undefined while there are too few to say
 */
export function dueMonthsOf(
  lives: readonly RemedyLife[],
  kind: RemedyKind,
): { readonly months: number; readonly seen: number } | undefined {
  const survival = kaplanMeier(lives.filter((one) => one.kind === kind));
  if (survival.lives < ENOUGH_LIVES || survival.ended < ENOUGH_ENDED) return undefined;
  const days = timeAt(survival, DUE_SHARE);
  return days === undefined
    ? undefined
    : { months: Math.max(1, Math.round(days / DAYS_OF_MONTH)), seen: survival.lives };
}

/** What the log comes to. */
export interface Totals {
  readonly tickets: number;
  readonly open: number;
  readonly minutes: number;
  /** Machines handed back that came again within a year, of those handed back. */
  readonly returned: number;
  readonly handedBack: number;
  readonly causes: ReadonlyArray<readonly [words: string, count: number]>;
  readonly cured: ReadonlyArray<readonly [words: string, count: number]>;
  readonly remedies: ReadonlyArray<readonly [kind: RemedyKind, count: number]>;
}

const ranked = <T extends string>(words: readonly T[]): ReadonlyArray<readonly [T, number]> => {
  const counts = new Map<T, number>();
  for (const one of words) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]));
};

/** Minutes of a ticket: as written at Hand back, else by the times of what was said. */
export const minutesOf = ({ minutes, work }: TicketSummary): number =>
  minutes ?? work.reduce((sum, one) => sum + one, 0);

/** Tickets that came again within a year of going back, by id. @param all the whole log, since a return may be filtered out */
export function returnedWithinYear(all: readonly TicketSummary[]): ReadonlySet<string> {
  const returned = new Set<string>();
  for (const tickets of byMachine(all).values())
    tickets.forEach((ticket, index) => {
      const next = tickets[index + 1];
      if (!ticket.closedAt || !next) return;
      const days = (Date.parse(next.openedAt) - Date.parse(ticket.closedAt)) / DAY_MS;
      if (days >= 0 && days <= YEAR_DAYS) returned.add(ticket.id);
    });
  return returned;
}

/** The totals of some tickets of the log. @param all the whole log */
export function totalsOf(summaries: readonly TicketSummary[], all: readonly TicketSummary[]): Totals {
  const returned = returnedWithinYear(all);
  const handedBack = summaries.filter(({ closedAt }) => closedAt !== null);
  return {
    tickets: summaries.length,
    open: summaries.length - handedBack.length,
    minutes: summaries.reduce((sum, one) => sum + minutesOf(one), 0),
    returned: handedBack.filter(({ id }) => returned.has(id)).length,
    handedBack: handedBack.length,
    causes: ranked(summaries.flatMap(({ causes }) => causes)),
    cured: ranked(summaries.flatMap(({ cured }) => cured)),
    remedies: ranked(summaries.flatMap(({ remedies }) => remedies.map(({ kind }) => kind))),
  };
}
