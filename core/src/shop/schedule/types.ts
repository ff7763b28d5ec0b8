/*
 * A day at the bench as a scheduling problem: one technician, jobs of steps that follow one another, waits between them
 * that need no hands, opening hours, few benches and few drying places. Times are whole minutes from the day's start.
 */

/** One step of a job, and the wait that must pass after it before the next. */
export interface Step {
  readonly id: string;
  readonly minutes: number;
  /** May be laid down and taken up again, over closing time. */
  readonly mayCut: boolean;
  /** Minutes that must pass after it before the job's next step, or before the job is done. */
  readonly waitAfter: number;
  /** What the machine takes up while it waits. */
  readonly waitsAt: 'shelf' | 'bench' | 'drying';
  /** Not before this minute: a timer that runs, a parcel on its way. */
  readonly notBefore: number;
  /** Set by hand to begin at this minute; it stays there if it can. */
  readonly pinnedAt: number | null;
}

/** A ticket: its steps in order, when it is due, and how much being late weighs. */
export interface Job {
  readonly id: string;
  readonly steps: readonly Step[];
  /** Minute at which it is promised; null where nothing is. */
  readonly dueAt: number | null;
  /** Weight of a minute late. */
  readonly weight: number;
  /** When it should be done, so that there is something to spare; and the weight of a minute after that. */
  readonly soon?: { readonly at: number; readonly weight: number };
}

/** When the technician works, from and to, in order and apart. */
export interface Shift {
  readonly from: number;
  readonly to: number;
}

export interface Day {
  readonly jobs: readonly Job[];
  readonly shifts: readonly Shift[];
  /** Machines that may stand on a bench at once, being worked on or waiting there. */
  readonly benches: number;
  readonly dryingPlaces: number;
}

/** A step as planned. One that may be cut has several parts. */
export interface Planned {
  readonly jobId: string;
  readonly stepId: string;
  readonly parts: readonly Shift[];
  /** When the wait after it is over. */
  readonly waitUntil: number;
}

export interface Plan {
  readonly planned: readonly Planned[];
  /** When each job is done, its last wait over. */
  readonly doneAt: ReadonlyMap<string, number>;
  /** Steps that fit in none of the shifts. */
  readonly left: readonly string[];
  /** Sum of weight × minutes late, and of weight × minutes after what is `soon`; a job that is not done counts as done at the end of all shifts. */
  readonly cost: number;
}
