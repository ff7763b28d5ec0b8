/** The motor and what turns with it. Torques at its shaft. */
export interface CycleMotor {
  /** What the standing motor has at the nominal supply. */
  readonly stallNmm: number;
  /** What it runs at with nothing on it, at the nominal supply. */
  readonly freeRpm: number;
  /** Inertia of rotor and pulley. */
  readonly rotorGcm2: number;
  /** What its own bushes and brushes take, whichever way it turns. */
  readonly frictionNmm: number;
}

/** A belt between two pulleys, with what evaluation says of it; in series with others where there are several. */
export interface CycleBelt {
  readonly name: string;
  /** λ of the fitted belt; 1 or less hangs and passes nothing. */
  readonly stretch: number;
  /** Pull a unit of stretch, dT/dλ, of one strand. */
  readonly stiffnessN: number;
  /** Relaxed length of each of the two spans. */
  readonly spansMm: readonly [number, number];
  /** The most it passes from rest, 2T·f: `evaluation`'s own figure. */
  readonly limitN: number;
  /** Share of that limit which a belt that slides still passes. */
  readonly slidingShare: number;
  /** Pitch radii. */
  readonly driverRadiusMm: number;
  readonly drivenRadiusMm: number;
  /** What the belt's pull makes the bushes of both shafts take, each at its own shaft. */
  readonly driverBushNmm: number;
  readonly drivenBushNmm: number;
  /** Inertia of the driven pulley and of what is fixed to it before the train. */
  readonly drivenGcm2: number;
  /** How far the driven pulley’s groove is out of its middle. */
  readonly eccentricMm: number;
}

/** Where on the way more is asked: dry, whichever way it moves; or a force against opening, given back on the way in. */
export interface Place {
  readonly name: string;
  readonly kind: 'binds' | 'lifts' | 'clamps';
  readonly fromMm: number;
  readonly toMm: number;
  readonly forceN: number;
}

/** What moves along a way: a tray, a lift, a table from place to place, a disc between rollers. */
export interface CycleTravel {
  readonly kind: 'travel';
  /** What one turn of the last pulley moves it by, and the share of the work that arrives. */
  readonly travelPerTurnMm: number;
  readonly efficiency: number;
  readonly massG: number;
  /** Dry friction while it moves at 20 °C, and by what share more from rest. */
  readonly guideN: number;
  readonly restShare: number;
  /** Speed at which that share has fallen to a third (Stribeck). */
  readonly stribeckMmPerS: number;
  /** Grease at 20 °C. */
  readonly viscousNsPerMm: number;
  readonly places: readonly Place[];
  /** Its length, and the end stop; null turns on and on, as a table does. */
  readonly travelMm: number;
  readonly stopAtMm: number | null;
  readonly stopNPerMm: number;
  readonly stopNsPerMm: number;
  /** What the rollers at its two sides can pass, and their distance; null where no rollers take it. */
  readonly rollers: { readonly leftN: number; readonly rightN: number; readonly apartMm: number } | null;
}

/** What only turns: a spindle with its disc. */
export interface CycleSpin {
  readonly kind: 'spin';
  readonly inertiaGcm2: number;
  readonly dragNmm: number;
  readonly wantedRpm: number;
  readonly tolerance: number;
}

/** The switch that ends a cycle. */
export interface CycleSwitch {
  readonly atMm: number;
  readonly state: 'clean' | 'dirty' | 'stuck';
  /** Of 100 times that it is reached, how often a dirty one says so. */
  readonly dirtyWorks: number;
}

/** What the electronics do with the motor. */
export interface CycleController {
  readonly timeOutS: number;
  readonly then: 'stop' | 'again' | 'reverse';
  /** Off is either shorted, which brakes, or open, which lets it run. */
  readonly off: 'shorted' | 'open';
}

/** A machine as one loading cycle sees it. Lengths from where the cycle starts, towards its end. */
export interface CycleMachine {
  readonly motor: CycleMotor;
  /** From the motor on. None: the motor turns the train itself. */
  readonly belts: readonly CycleBelt[];
  readonly load: CycleTravel | CycleSpin;
  readonly endSwitch: CycleSwitch;
  readonly controller: CycleController;
}

/** What a cycle is run in. */
export interface CycleConditions {
  readonly roomC: number;
  /** A disc on the tray: the clamp’s magnet pulls less through it. */
  readonly disc: boolean;
  /** On its side, with the way upwards. */
  readonly onItsSide: boolean;
  readonly tapped: boolean;
  /** A hand that helps, or holds back where it is below zero. */
  readonly helpN: number;
  /** Share of the nominal supply. */
  readonly supply: number;
  /** Hours since it last ran: dry guides hold faster. */
  readonly idleHours: number;
}

/** The bench's own: a usual room, no disc, flat, untouched, just used. */
export const ON_THE_BENCH: CycleConditions = {
  roomC: 20,
  disc: false,
  onItsSide: false,
  tapped: false,
  helpN: 0,
  supply: 1,
  idleHours: 0,
};

/** Where the power went, N·mm. What went in is what came out and what is still stored. */
export interface EnergyBalance {
  readonly motor: number;
  readonly hand: number;
  readonly guides: number;
  readonly grease: number;
  readonly train: number;
  readonly bushes: number;
  readonly slip: number;
  readonly creep: number;
  readonly places: number;
  readonly rollers: number;
  readonly stop: number;
  /** Of motion, of stretched spans and of the stop, at the end. */
  readonly stored: number;
}

/** A cycle through time; all lists have one figure a sample. Belts’ lists stand in the belts’ order. */
export interface CycleTrace {
  readonly stepS: number;
  readonly timeS: Float64Array;
  /** Of the tray; for a spindle the turns it has made. */
  readonly position: Float64Array;
  readonly motorRpm: Float64Array;
  /** Of the pulley that each belt drives; of the motor itself where there is no belt. */
  readonly pulleyRpm: readonly Float64Array[];
  /** What each belt passes, and has slid so far. */
  readonly pullN: readonly Float64Array[];
  readonly slidMm: readonly Float64Array[];
  /** Share of the standing motor’s current. */
  readonly current: Float64Array;
}

/** What happens in a cycle, in the order in which it happens. */
export type CycleEvent =
  | { readonly kind: 'starts'; readonly atS: number; readonly atMm: number }
  | {
      readonly kind: 'slips';
      /** It slides as the motor runs up, for a moment, before anything moves: no fault. */
      readonly chirp: boolean;
      readonly atS: number;
      readonly untilS: number;
      readonly atMm: number;
      readonly untilMm: number;
      readonly belt: string;
      readonly slidMm: number;
    }
  | { readonly kind: 'place'; readonly atS: number; readonly atMm: number; readonly place: Place }
  | { readonly kind: 'stands'; readonly atS: number; readonly untilS: number; readonly atMm: number }
  | {
      readonly kind: 'switch' | 'missed' | 'stop' | 'timeOut' | 'again' | 'reverses' | 'jams' | 'atSpeed' | 'rests';
      readonly atS: number;
      readonly atMm: number;
    };

/** What a cycle comes to. */
export const CYCLE_OUTCOMES = ['opens', 'slips', 'stalls', 'givesBack', 'overruns'] as const;
export type CycleOutcome = (typeof CYCLE_OUTCOMES)[number];

/** One cycle. */
export interface Cycle {
  readonly trace: CycleTrace;
  readonly events: readonly CycleEvent[];
  readonly outcome: CycleOutcome;
  /** From the key to the switch, or to speed; null where it never came. */
  readonly timeS: number | null;
  /** How long and how far belts slid before that, the chirp of a start left out. */
  readonly slipS: number;
  readonly slidMm: number;
  /** Where it stood, or slid first; null where neither. */
  readonly whereMm: number | null;
  readonly energy: EnergyBalance;
  /** By how much a speed is off, and how far it swings to each side, relative: of a spindle that came to speed. */
  readonly speedOff: number | null;
  readonly flutter: number | null;
}
