import type { Surface } from '../../physics/drive';
import { isFailure, type CycleAction } from '../../work/proving';
import type { Disc, DriveRecord, Lid, Mains, Try } from '../../record/stations';
import {
  lidNow,
  offSince,
  openChanges,
  openRemoval,
  type ChangeLimit,
  type Step,
  type TemporaryChange,
} from '../../work/strip';
import type { Ticket, TicketEvent, TicketRecord } from '../../record/ticket';
import { namesDrive } from './names';

/** What runs on the pulleys of a drive now. */
export type FittedBelt =
  /** Nobody said that it was taken off or renewed. */
  | { readonly kind: 'asItCame' }
  | { readonly kind: 'fitted'; readonly tried: Try; readonly since: string }
  /** Off, and nothing fitted since. */
  | { readonly kind: 'none'; readonly because: string; readonly stepId?: string };

export interface MachineDrive {
  readonly driveId: string;
  readonly name: string;
  readonly role: string;
  readonly belt: FittedBelt;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  /** By the idlers' names; null is as the driven pulley. */
  readonly idlerSurfaces: ReadonlyArray<{ readonly name: string; readonly surface: Surface | null }>;
}

/** How often one movement failed, loaded or empty. */
export interface FailureCount {
  readonly action: CycleAction;
  readonly loaded: boolean;
  readonly place: string;
  readonly cycles: number;
  readonly failures: number;
}

/** The machine on the bench as it stands now: what every station may ask instead of asking again. */
export interface MachineView {
  /** Null until it was said. */
  readonly mains: Mains | null;
  readonly lid: Lid | null;
  /** What is off, in the order in which it came off. */
  readonly off: readonly Step[];
  readonly drives: readonly MachineDrive[];
  /** What was altered for the work and is not reversed, by what it forbids. */
  readonly changes: Readonly<Record<ChangeLimit, readonly TemporaryChange[]>>;
  /** Discs that came out and have not gone back. */
  readonly discs: readonly Disc[];
  /** What failed how often, counted before anything was done. */
  readonly failedBefore: readonly FailureCount[];
  /** The same since the last treatment; empty where none was recorded. */
  readonly failedSince: readonly FailureCount[];
}

/** The events that stand, by their type: the last word on when something happened. */
function lastAt(events: readonly TicketEvent[], is: (event: TicketEvent) => boolean): string {
  return events.findLast(is)?.at ?? '';
}

/** The step that took this drive's belt off, where one did: named by letter or by what it drives, or the only belt there is. */
function beltOff(ticket: Ticket, drive: DriveRecord, off: readonly Step[]): Step | undefined {
  const belts = off.filter(({ kind, fate }) => kind === 'belt' && fate !== 'loosened');
  if (ticket.drives.length === 1) return belts[belts.length - 1];
  return belts.findLast(({ what, where, line }) => namesDrive(`${what} ${where} ${line}`, drive));
}

function fittedOf(
  ticket: Ticket,
  events: readonly TicketEvent[],
  drive: DriveRecord,
  off: readonly Step[],
): FittedBelt {
  const tried = drive.tries[drive.tries.length - 1];
  const since = tried
    ? lastAt(events, (event) => event.type === 'tryLogged' && event.driveId === drive.id && event.try.id === tried.id)
    : '';
  const none = ticket.strip.temporaryChanges.find(({ kind, closedAt }) => kind === 'noBelt' && closedAt === null);
  if (none && none.openedAt > since) return { kind: 'none', because: none.words };
  const step = beltOff(ticket, drive, off);
  if (step && offSince(step) > since)
    return { kind: 'none', because: `number ${step.number}, ${step.what}, is off`, stepId: step.id };
  return tried ? { kind: 'fitted', tried, since } : { kind: 'asItCame' };
}

function failureCounts(ticket: Ticket, within: (at: string, cleanRunId: string | null) => boolean): FailureCount[] {
  const counts = new Map<string, FailureCount>();
  for (const cycle of ticket.cycles) {
    if (cycle.trial !== undefined || !within(cycle.at, cycle.cleanRunId)) continue;
    const { action, loaded, place } = cycle;
    const key = JSON.stringify([action, loaded, place]);
    const known = counts.get(key) ?? { action, loaded, place, cycles: 0, failures: 0 };
    counts.set(key, {
      ...known,
      cycles: known.cycles + 1,
      failures: known.failures + (isFailure(cycle) ? 1 : 0),
    });
  }
  return [...counts.values()];
}

/**
 * The machine as its events leave it. Cost: linear in events and cycles.
 *
 * @example machineView(record).drives[0]?.belt.kind // 'fitted'
 */
export function machineView({ ticket, events }: Pick<TicketRecord, 'ticket' | 'events'>): MachineView {
  const off = ticket.strip.steps.filter((step) => openRemoval(step));
  const open = openChanges(ticket.strip.temporaryChanges);
  const treatedAt = ticket.treatments[ticket.treatments.length - 1]?.at;
  return {
    mains: ticket.mains,
    lid: lidNow(ticket.lid, ticket.strip.steps),
    off,
    drives: ticket.drives.map((drive) => ({
      driveId: drive.id,
      name: drive.name,
      role: drive.role,
      belt: fittedOf(ticket, events, drive, off),
      motorSurface: drive.motorSurface,
      drivenSurface: drive.drivenSurface,
      idlerSurfaces: drive.idlers.map(({ name, surface }) => ({ name, surface })),
    })),
    changes: {
      power: open.filter(({ before }) => before === 'power'),
      lid: open.filter(({ before }) => before === 'lid'),
      handBack: open.filter(({ before }) => before === 'handBack'),
    },
    discs: ticket.discs.filter(({ returned }) => !returned),
    failedBefore: failureCounts(ticket, (_, cleanRunId) => cleanRunId === null),
    failedSince: treatedAt === undefined ? [] : failureCounts(ticket, (at) => at >= treatedAt),
  };
}
