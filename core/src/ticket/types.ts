import type { Reading } from '../measuring';
import type { Timer } from '../planning';
import type { Check, Cycle, Proof, Treatment } from '../proving';
import type { Surface } from '../sizing';
import type { SectionShape } from '../units';

/** The nine stations in working order. */
export const STATIONS = [
  'takeIn',
  'find',
  'strip',
  'measure',
  'size',
  'clean',
  'rebuild',
  'prove',
  'handBack',
] as const;
export type StationId = (typeof STATIONS)[number];

export const STATION_MARKS = ['open', 'done', 'notNeeded'] as const;
export type StationMark = (typeof STATION_MARKS)[number];

/** The kinds of loader, by what moves the disc. */
export const LOADERS = ['tray', 'twinTray', 'carousel', 'slot', 'lift', 'diskDrive', 'wire'] as const;
export type Loader = (typeof LOADERS)[number];

export const WAITING_FOR = ['hands', 'post', 'owner'] as const;
export const SURFACES = ['clean', 'glazed', 'dusty', 'wet', 'oily'] as const satisfies readonly Surface[];
export const SHAPES = ['square', 'round', 'flat'] as const satisfies readonly SectionShape[];
export const GROOVE_FORMS = ['flat', 'round', 'vee'] as const;
export const VERDICTS = ['untried', 'right', 'tooLoose', 'tooTight', 'twisted'] as const;
export type Verdict = (typeof VERDICTS)[number];

export const COMPLAINT_STATES = ['open', 'cured', 'anotherTrade', 'left', 'notReproduced'] as const;
export type ComplaintState = (typeof COMPLAINT_STATES)[number];

/** What a machine can be heard to do; our own words for it are in `names`. */
export const SOUNDS = ['silence', 'click', 'runsFree', 'screech', 'growl', 'rattle', 'thump'] as const;
export type Sound = (typeof SOUNDS)[number];

/** One thing that is wrong, in the owner's words, and what became of it. */
export interface Complaint {
  readonly id: string;
  readonly words: string;
  readonly state: ComplaintState;
  /** False for work outside the drivetrain, which is a line all the same. */
  readonly drivetrain: boolean;
  readonly sounds: readonly Sound[];
  /** How it was when it came, and how it is now. */
  readonly before: string;
  readonly after: string;
}

/** An error code of a mechanism and what it means. */
export interface ErrorCode {
  readonly code: string;
  readonly meaning: string;
}

/** How the machine stands to the mains, since when. The app cannot see it: the bench says it. */
export const MAINS_STATES = ['plugged', 'unplugged', 'poweredOpen'] as const;
export interface Mains {
  readonly state: (typeof MAINS_STATES)[number];
  readonly since: string;
}

/** A disc that was in the machine or came with it: whose it is, and whether it went back. */
export interface Disc {
  readonly id: string;
  readonly whose: string;
  /** Where it was found, and in what condition. */
  readonly where: string;
  readonly condition: string;
  readonly returned: boolean;
}

/** A groove as kept: a vee's full angle in degrees, null otherwise. */
export interface GrooveRecord {
  readonly form: (typeof GROOVE_FORMS)[number];
  readonly veeAngleDeg: number | null;
}

/** A belt that was fitted to see whether it runs. */
export interface Try {
  readonly id: string;
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  /** Of a flat belt, where it is known. */
  readonly widthMm: number | null;
  readonly innerLengthMm: number;
  /** What the label said, or where it came from. */
  readonly source: string;
  readonly verdict: Verdict;
  readonly note: string;
}

/** One belt drive of a machine. */
export interface DriveRecord {
  readonly id: string;
  /** The letter it is called by. */
  readonly name: string;
  /** What it drives, in the bench's words: loading, lift, table. */
  readonly role: string;
  /** The mechanism, which machines of different makes share. */
  readonly mechanism: string;
  /** What is normal for this mechanism, so that it is not taken for a fault. */
  readonly normal: string;
  readonly codes: readonly ErrorCode[];
  readonly crossed: boolean;
  readonly motorGroove: GrooveRecord;
  readonly driveGroove: GrooveRecord;
  readonly motorSurface: Surface;
  readonly driveSurface: Surface;
  /** How the old belt is cut across. */
  readonly oldShape: SectionShape;
  readonly readings: readonly Reading[];
  readonly tries: readonly Try[];
}

/** What goes back with the machine. */
export interface HandBack {
  readonly found: string;
  readonly done: string;
  readonly left: string;
  readonly notTested: string;
  /** What will not last, and the day it should be looked at again, `2027-05-01`; empty where nothing is provisional. */
  readonly provisional: string;
  readonly dueOn: string;
}

/** One machine on the bench, as its events have made it. Times are ISO 8601 in UTC. */
export interface Ticket {
  readonly id: string;
  readonly number: string;
  readonly machine: string;
  readonly loader: Loader;
  readonly serial: string;
  readonly owner: string;
  readonly complaints: readonly Complaint[];
  /** Null until it was said. */
  readonly mains: Mains | null;
  readonly timers: readonly Timer[];
  readonly discs: readonly Disc[];
  readonly openedAt: string;
  readonly closedAt: string | null;
  /** Why it went back with ends still open; empty where none were. */
  readonly closedDespite: string;
  readonly waiting: { readonly for: (typeof WAITING_FOR)[number]; readonly what: string };
  readonly stations: Readonly<Record<StationId, StationMark>>;
  readonly notes: Readonly<Record<StationId, string>>;
  readonly drives: readonly DriveRecord[];
  /** Every counted cycle, oldest first. */
  readonly cycles: readonly Cycle[];
  readonly treatments: readonly Treatment[];
  readonly proofs: readonly Proof[];
  /** What was shown of the repair, one entry a kind. */
  readonly checks: readonly Check[];
  readonly handBack: HandBack;
}
