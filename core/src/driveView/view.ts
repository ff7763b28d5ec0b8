import { DRIVEN_OF, type Driven, type Loader } from '../loaders';
import type { Requirements } from '../evaluation';
import type { DriveFacts } from '../measuring';
import { oldBeltFinding, situationOf, type Priors, type Situation } from '../sizing';
import type { DriveRecord, Try } from '../stations';
import { factsOf } from '../ticket';
import type { Result } from '../units';

/** What a bench believes and demands. */
export interface Bench {
  readonly priors: Priors;
  readonly requirements: Requirements;
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
  /** What a belt is judged against, or what is missing. */
  readonly situation: Result<Situation>;
  /** The old belt beside its path. */
  readonly finding: ReturnType<typeof oldBeltFinding>;
  /** The belt that is in it: the last judged right, else the last that was tried. */
  readonly fitted: Try | undefined;
}

function viewOf(loader: Loader, drive: DriveRecord, { priors, requirements }: Bench): DriveView {
  const driven = DRIVEN_OF[loader];
  const facts = factsOf(drive);
  const situation = situationOf(facts, { ...drive, driven, priors, requirements });
  return {
    drive,
    driven,
    facts,
    situation,
    finding: oldBeltFinding(facts),
    fitted: drive.tries.findLast(({ verdict }) => verdict === 'right') ?? drive.tries[drive.tries.length - 1],
  };
}

const kept = new WeakMap<DriveRecord, { readonly loader: Loader; readonly bench: Bench; readonly view: DriveView }>();

/**
 * The view of a drive. The same drive, loader and bench give the same object, so that what hangs on it is worked out
 * once; a drive's record is replaced whenever anything of it changes.
 *
 * @example driveView(ticket, ticket.drives[0], bench).situation.ok
 */
export function driveView(ticket: { readonly loader: Loader }, drive: DriveRecord, bench: Bench): DriveView {
  const known = kept.get(drive);
  if (
    known?.loader === ticket.loader &&
    known.bench.priors === bench.priors &&
    known.bench.requirements === bench.requirements
  ) {
    return known.view;
  }
  const view = viewOf(ticket.loader, drive, bench);
  kept.set(drive, { loader: ticket.loader, bench, view });
  return view;
}
