import type { Reading } from '../measuring';
import type { Timer } from '../timers';
import type { Check, Cycle, CleanRun, Recheck, Timing, Treatment } from '../proving';
import type { Surface } from '../sizing';
import type { Strip } from '../strip';
import type { SectionShape } from '../units';
import type {
  AfterUnplugging,
  CauseVerdict,
  Complaint,
  Disc,
  ErrorCode,
  Evidence,
  Lid,
  Mains,
  ObservationRecord,
  Offer,
  OwnerAnswers,
  Picture,
  QuestionSheet,
} from './arrival';

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

export const WAITING_FOR = ['nothing', 'parts', 'owner'] as const;
export const SURFACES = ['clean', 'glazed', 'dusty', 'wet', 'oily'] as const satisfies readonly Surface[];
export const SHAPES = ['square', 'round', 'flat'] as const satisfies readonly SectionShape[];
export const GROOVE_FORMS = ['flat', 'round', 'vee'] as const;
export const VERDICTS = ['untried', 'right', 'tooLoose', 'tooTight', 'twisted'] as const;
export type Verdict = (typeof VERDICTS)[number];
/** Why a belt was fitted: the old one failed, before it fails, as the other of a pair, because the owner wished it. */
export const FITTED_BECAUSE = ['unknown', 'failed', 'preventive', 'pair', 'ownersWish'] as const;
export type FittedBecause = (typeof FITTED_BECAUSE)[number];

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
  /** Where it came from. */
  readonly source: string;
  /** What its label said, kept so that the same can be had again. */
  readonly label: string;
  readonly because: FittedBecause;
  readonly verdict: Verdict;
  readonly note: string;
}

/** A pulley beside motor and drive. Its shaft's place is told from the motor's: x towards the drive, y upwards. */
export interface IdlerRecord {
  readonly id: string;
  readonly name: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
  readonly groove: GrooveRecord;
  /** The belt touches it with its back. */
  readonly back: boolean;
  /** It drives something too, rather than only guiding the belt. */
  readonly driven: boolean;
  /** The belt comes to it after the motor (the lower run) or after the drive (the upper). */
  readonly after: (typeof RUNS)[number];
  /** Its surface, where that is not the driven pulley's. */
  readonly surface: Surface | null;
}
export const RUNS = ['motor', 'driven'] as const;

/** A speed that matters. */
export interface SpeedRecord {
  readonly motorRpm: number;
  readonly targetRpm: number;
  /** How far off it may be, in per cent. */
  readonly tolerancePercent: number;
}
export const OWNER_WISHES = ['unknown', 'renew', 'keep'] as const;

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
  readonly drivenGroove: GrooveRecord;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  /** How the old belt is cut across. */
  readonly oldShape: SectionShape;
  /** Pulleys beside motor and drive, in the order in which the belt meets them. */
  readonly idlers: readonly IdlerRecord[];
  /** What is wanted of the driven pulley's speed, where it matters. */
  readonly speed: SpeedRecord | null;
  /** What the owner wishes of this belt, whatever the odds. */
  readonly ownerWish: (typeof OWNER_WISHES)[number];
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
  /** Bench time and price, where the bench keeps them. */
  readonly minutes: number | null;
  readonly cost: string;
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
  /** What happened before it failed. */
  readonly story: string;
  readonly evidence: readonly Evidence[];
  /** Null until it was tried again after some minutes unplugged. */
  readonly afterUnplugging: AfterUnplugging | null;
  readonly pictures: readonly Picture[];
  readonly questionSheets: readonly QuestionSheet[];
  readonly ownerAnswers: readonly OwnerAnswers[];
  /** Null until it was said. */
  readonly mains: Mains | null;
  readonly lid: Lid | null;
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
  readonly cleanRuns: readonly CleanRun[];
  /** What was shown of the repair, one entry a kind. */
  readonly checks: readonly Check[];
  readonly timings: readonly Timing[];
  /** What was looked at again after a treatment. */
  readonly rechecks: readonly Recheck[];
  readonly offers: readonly Offer[];
  readonly observations: readonly ObservationRecord[];
  readonly verdicts: readonly CauseVerdict[];
  readonly strip: Strip;
  readonly handBack: HandBack;
}
