import type { BenchStock, ToBeHad } from '../../belts/catalogue';
import { type Driven, type Loader, loaderOf } from '../../base/loaders';
import type { Requirements } from '../../physics/evaluation';
import type { DriveFacts } from '../../belts/measuring';
import { trainTravel } from '../train';
import { oldBeltFinding, situationOf, type Priors, type Sister, type Situation } from '../../belts/sizing';
import type { DriveRecord, ObservationRecord, Try } from '../../record/stations';
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

/** What of a ticket bears on its drives. */
export interface OfTicket {
  readonly loader: Loader;
  readonly observations?: readonly ObservationRecord[];
  /** The train, where its drives are members: it tells their travel until that is counted. */
  readonly train?: Ticket['train'];
  readonly drives?: Ticket['drives'];
}

function viewOf(
  ticket: OfTicket,
  drive: DriveRecord,
  { priors, requirements, toBeHad = 'both', stock }: Bench,
  past: readonly Ticket[],
): DriveView {
  const driven = loaderOf(ticket.loader).driven;
  const read = driveFactsOf(drive);
  const { train, drives } = ticket;
  const travel = !read.trayTravel && train && drives ? trainTravel({ train, drives }, drive.id) : undefined;
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

/** What a view was made of. */
interface Made {
  readonly loader: Loader;
  readonly observations: OfTicket['observations'];
  readonly train: OfTicket['train'];
  readonly bench: Bench;
  readonly past: readonly Ticket[];
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
export function driveView(
  ticket: OfTicket,
  drive: DriveRecord,
  bench: Bench,
  past: readonly Ticket[] = NONE,
): DriveView {
  const known = kept.get(drive);
  if (
    known?.loader === ticket.loader &&
    known.observations === ticket.observations &&
    known.train === ticket.train &&
    known.bench.priors === bench.priors &&
    known.bench.requirements === bench.requirements &&
    known.bench.toBeHad === bench.toBeHad &&
    known.bench.stock === bench.stock &&
    known.past === past
  ) {
    return known.view;
  }
  const view = viewOf(ticket, drive, bench, past);
  kept.set(drive, { loader: ticket.loader, observations: ticket.observations, train: ticket.train, bench, past, view });
  return view;
}
