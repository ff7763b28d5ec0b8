/** What the belt of a drive moves. */
export const DRIVEN = {
  tray: { word: 'tray', turned: false },
  drawer: { word: 'drawer', turned: false },
  lift: { word: 'drawer', turned: false },
  disc: { word: 'disc', turned: false },
  /** It turns on the spot: a torque and a speed count, no pull and no travel. */
  spindle: { word: 'spindle', turned: true },
} as const satisfies Readonly<Record<string, { readonly word: string; readonly turned: boolean }>>;
export type Driven = keyof typeof DRIVEN;
/** What is drawn along a travel, and so needs a pull. */
export type Drawn = { [D in Driven]: (typeof DRIVEN)[D]['turned'] extends true ? never : D }[Driven];

/** Whether a belt turns a spindle: a torque and a speed count, no pull and no travel. @example isTurned('tray') // false */
export const isTurned = (driven: Driven): driven is Exclude<Driven, Drawn> => DRIVEN[driven].turned;

/**
 * All that depends on the kind of loader. A new kind is one file that fills this in, and a line in `all.ts`. What names a
 * rung, a check, a place, an action or a cause is held to their lists where each is read, by the compiler or a test.
 */
export interface LoaderRecord {
  readonly name: string;
  /** Words by which a machine's name says it. */
  readonly named: RegExp;
  /** What its belts move. */
  readonly driven: Driven;
  /** What stands where a text written of trays says tray. */
  readonly trayWord: string;
  /** What Find's texts say for {tray}, {open} and {close}. */
  readonly words: { readonly tray: string; readonly open: string; readonly close: string };
  /** Which way things go when it does what `words.open` says: a slot takes a disc in. */
  readonly opensBy: 'out' | 'in';
  /** What it has, and so may be asked about. */
  readonly has: {
    /** A tray or drawer that comes out. */
    readonly tray: boolean;
    /** Optical or large discs, clamped and read from outside. */
    readonly discs: boolean;
    /** Magnetic disks, read by heads. */
    readonly disks: boolean;
    readonly rollers: boolean;
    readonly severalBelts: boolean;
    readonly mirroredDecks: boolean;
    /** Some find home by themselves under power, or snap to rest when a gear is pulled. */
    readonly homing: boolean;
  };
  /** What one cycle is, in turn. */
  readonly actions: readonly string[];
  /** What there is to show at Prove, in the order in which it is done. */
  readonly checks: readonly string[];
  /** Tests worth timing. */
  readonly timed: readonly string[];
  /** Places beside its drives, in the order from the motor to the disc: a kind, and a name where it has one. */
  readonly map: ReadonlyArray<readonly [kind: string, name?: string]>;
  /** The rungs that it has not, and what is otherwise on those that it has. */
  readonly ladder: {
    readonly without: readonly string[];
    readonly other: Readonly<Record<string, Readonly<Record<string, string>>>>;
  };
  /** How often a cause is the one, where that differs from a plain tray; 0 where it cannot be. */
  readonly causeWeights: Readonly<Record<string, number>>;
  /** What a cause is called, where that differs. */
  readonly causeNames: Readonly<Record<string, string>>;
  /** What an owner far away is asked: what moves, where to listen, and what only such a machine is asked. */
  readonly remote: {
    readonly moves: string;
    readonly listenAt: string;
    readonly own: ReadonlyArray<readonly [id: string, text: string]>;
  };
  /** What to mind once it is opened; empty where there is nothing of its own. */
  readonly underTheCover: string;
  /** A generic strip from outside in, each line as it would be typed. Common practice, no source. */
  readonly guide: ReadonlyArray<{ readonly line: string; readonly deep?: boolean; readonly or?: string }>;
}
