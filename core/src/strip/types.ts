/** What comes off, by what has to be known to put it back. */
export const STEP_KINDS = [
  'fasteners',
  'tabs',
  'adhesive',
  'cover',
  'connector',
  'part',
  'belt',
  'wire',
  'gear',
  'moved',
  'note',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** What is worth knowing of some kinds of step beyond the line. */
export const STEP_FACTS = [
  'head',
  'driverFitted',
  'latch',
  'hides',
  'ways',
  'keyed',
  'pinOne',
  'route',
  'lookAlikes',
  'side',
  'turns',
  'direction',
  'leaves',
  'parkedAt',
  'mark',
  'viewedFrom',
  'homes',
] as const;
export type StepFact = (typeof STEP_FACTS)[number];

/** One time that a step was off: a machine may be opened several times. */
export interface Removal {
  readonly opening: number;
  /** How many came off this time. */
  readonly off: number;
  /** How many are back; null while it is still off. */
  readonly back: number | null;
}

/** One step of the strip: something that came off, or was moved, and what it takes to bring it back. */
export interface Step {
  readonly id: string;
  readonly at: string;
  /** The balloon, the bag and the label; given once and never again. 0 for a note. */
  readonly number: number;
  readonly kind: StepKind;
  /** What it is, in the bench's words: screws, lid, grey plug. */
  readonly what: string;
  /** As it was typed, for what the parts below do not say. */
  readonly line: string;
  /** How many there are when all are there; 1 where it is one thing. */
  readonly count: number;
  /** How many were missing on arrival. */
  readonly missing: number;
  /** The drive of a fastener as the trade writes it: PH1, T8 pinned. Empty elsewhere. */
  readonly driverType: string;
  /** Length under the head of a fastener, where it was looked at. */
  readonly lengthMm: number | null;
  readonly where: string;
  /** Which way round: stripe to the left, arrow to the back, two turns on the motor. */
  readonly orientation: string;
  /** What else is known of it; a fact that is not known is not there. */
  readonly facts: Readonly<Partial<Record<StepFact, string>>>;
  /** Why it must be left alone, or was not needed; empty where it is an ordinary step. */
  readonly leaveAlone: string;
  readonly notNextTime: string;
  readonly pictureIds: readonly string[];
  readonly removals: readonly Removal[];
}

/** The latest moment at which a loop may still be open. */
export const CHANGE_LIMITS = ['power', 'lid', 'handBack'] as const;
export type ChangeLimit = (typeof CHANGE_LIMITS)[number];

export const TEMPORARY_CHANGE_KINDS = [
  'laserBridged',
  'stopPinOut',
  'transportLockOff',
  'stylusOut',
  'axisMoved',
  'switchLeversOff',
  'shieldFolded',
  'lampShaded',
  'trayLeftOut',
  'hookedUp',
  'noBelt',
  'own',
] as const;
export type TemporaryChangeKind = (typeof TEMPORARY_CHANGE_KINDS)[number];

/** A temporary state that must end: the thing most often forgotten. */
export interface TemporaryChange {
  readonly id: string;
  readonly kind: TemporaryChangeKind;
  readonly words: string;
  /** What closes it. */
  readonly closes: string;
  readonly before: ChangeLimit;
  readonly openedAt: string;
  readonly closedAt: string | null;
  /** The step that must be back before it may be closed, where there is one: the plug before its pads. */
  readonly afterStepId: string | null;
  /** The loop that must have ended before this one may, where some close only in an order. */
  readonly afterChangeId: string | null;
}

/** “This before that” on the way back. */
export interface Order {
  readonly id: string;
  readonly firstId: string;
  readonly thenId: string;
  readonly why: string;
}

/** Something that rattled or fell out, until it has a home. */
export interface FoundPart {
  readonly id: string;
  readonly what: string;
  readonly where: string;
  /** Where it seems to belong. */
  readonly guess: string;
  readonly homed: boolean;
  readonly pictureIds: readonly string[];
}

/** One trial of a gear's tooth: how it was set and what it did. */
export const GEAR_ENDS = ['unknown', 'in', 'out'] as const;
export const GEAR_RESULTS = ['right', 'slow', 'error', 'liftShort', 'uneven'] as const;
export interface GearTrial {
  readonly id: string;
  readonly at: string;
  /** Which wheel, and from which side it is told. */
  readonly what: string;
  /** At which end of its travel the tray was parked. */
  readonly parkedAt: (typeof GEAR_ENDS)[number];
  /** Teeth from the mark; minus against the clock. */
  readonly teeth: number;
  readonly result: (typeof GEAR_RESULTS)[number];
}

/** A machine laid aside in pieces. */
export interface Park {
  readonly since: string;
  /** Where its parts lie. */
  readonly lies: string;
  readonly awaited: string;
}

/** Everything about taking one machine apart. */
export interface Strip {
  readonly steps: readonly Step[];
  /** The highest number given so far, taken-out steps included. */
  readonly lastNumber: number;
  /** Counted from 1. */
  readonly opening: number;
  readonly temporaryChanges: readonly TemporaryChange[];
  readonly orders: readonly Order[];
  readonly found: readonly FoundPart[];
  readonly gearTrials: readonly GearTrial[];
  readonly park: Park | null;
}
