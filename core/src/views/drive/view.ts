import type { BenchStock, ToBeHad } from '../../belts/catalogue';
import { type Driven, type Loader, loaderOf } from '../../base/loaders';
import type { Requirements } from '../../physics/evaluation';
import type { DriveFacts } from '../../belts/measuring';
import { failsInCold, IN_THE_COLD } from '../evidence';
import { trainTravel } from '../train';
import { oldBeltFinding, situationOf, type Priors, type Room, type Sister, type Situation } from '../../belts/sizing';
import type { DriveRecord, Try } from '../../record/stations';
import { driveFactsOf, type Ticket } from '../../record/ticket';
import type { Result } from '../../base/units';
import { mechanismKnown, sistersOf, type MechanismKnown } from './sisters';
import { goesStiffly } from './stiff';

/** What a bench believes and demands. */
export interface Bench {
  readonly priors: Priors;
  readonly requirements: Requirements;
  /** What of belts and rings it can get. */
  readonly toBeHad?: ToBeHad;
  /** The series it has on, and what it has of its own; those that come with the app where that is not known. */
  readonly stock?: BenchStock | undefined;
}

/**
 * Everything that follows from a drive's readings and the bench: what every page and every paper reads of a drive, so
 * that they cannot disagree.
 */
export interface DriveView {
  readonly drive: DriveRecord;
  /** What its belt moves. */
  readonly driven: Driven;
  readonly facts: DriveFacts;
  /** What of belts and rings the bench can get. */
  readonly toBeHad: ToBeHad;
  readonly stock: BenchStock | undefined;
  /** What a belt is judged against, or what is missing. */
  readonly situation: Result<Situation>;
  /** Machines with the same mechanism, and what they say of it together. */
  readonly sisters: readonly Sister[];
  readonly mechanism: MechanismKnown;
  /** The old belt beside its path. */
  readonly finding: ReturnType<typeof oldBeltFinding>;
  /** The belt that is in it: the last judged right, else the last that was tried. */
  readonly fitted: Try | undefined;
}

function viewOf(
  ticket: Ticket,
  drive: DriveRecord,
  { priors, requirements, toBeHad = 'both', stock }: Bench,
  past: readonly Ticket[],
  cold: boolean,
): DriveView {
  const driven = loaderOf(ticket.loader).driven;
  const read = driveFactsOf(drive);
  const travel = read.trayTravel ? undefined : trainTravel(ticket, drive.id);
  // What the bench counted stands above what is worked out.
  const facts = travel ? { ...read, trayTravel: travel } : read;
  const sisters = sistersOf(past, drive);
  const known = mechanismKnown(sisters, priors.betweenMachines);
  const situation = situationOf(facts, {
    ...drive,
    stiff: goesStiffly(ticket, drive),
    driven,
    priors,
    requirements,
    room: cold ? COLD_ROOM : undefined,
    sisters,
    mechanismPath: known.path,
    mechanismSection: known.belt,
  });
  return {
    drive,
    driven,
    facts,
    toBeHad,
    stock,
    situation,
    sisters,
    mechanism: known,
    finding: oldBeltFinding(facts),
    fitted: drive.tries.findLast(({ verdict }) => verdict === 'right') ?? drive.tries[drive.tries.length - 1],
  };
}

/** What was found to fail in the cold has to work there. */
const COLD_ROOM: Room = { roomC: IN_THE_COLD.roomC, idleHours: IN_THE_COLD.idleHours };

/** What a view was made of. */
interface Made {
  readonly loader: Loader;
  readonly observations: Ticket['observations'];
  readonly train: Ticket['train'];
  readonly bench: Bench;
  readonly past: readonly Ticket[];
  readonly cold: boolean;
  readonly view: DriveView;
}
const kept = new WeakMap<DriveRecord, Made>();
const NONE: readonly Ticket[] = [];

/**
 * The view of a drive. The same drive, ticket and bench give the same object, so that what hangs on it is worked out
 * once; a drive's record is replaced whenever anything of it changes.
 *
 * @param past tickets of machines that may be alike
 * @example driveView(ticket, ticket.drives[0], bench).situation.ok // true
 */
export function driveView(ticket: Ticket, drive: DriveRecord, bench: Bench, past: readonly Ticket[] = NONE): DriveView {
  const known = kept.get(drive);
  // What it is judged for: a machine that was found to fail in the cold has to work there.
  const cold = failsInCold(ticket);
  if (
    known?.loader === ticket.loader &&
    known.observations === ticket.observations &&
    known.train === ticket.train &&
    known.bench.priors === bench.priors &&
    known.bench.requirements === bench.requirements &&
    known.bench.toBeHad === bench.toBeHad &&
    known.bench.stock === bench.stock &&
    known.past === past &&
    known.cold === cold
  ) {
    return known.view;
  }
  const view = viewOf(ticket, drive, bench, past, cold);
  const { loader, observations, train } = ticket;
  kept.set(drive, { loader, observations, train, bench, past, cold, view });
  return view;
}
