import type { Combined } from '../../base/statistics';
import type { AuxKey, Measurand } from './schema';
import type { Result } from '../../base/units';

/** Whether a reading is a force, in N, and not a length. */
export const isForce = (measurand: Measurand): boolean => measurand === 'trayPull' || measurand === 'stallPull';

/** What the readings of a drive know of one another: the section, and how far round the pulleys a string lies. */
export interface KnownOfDrive {
  readonly section?: Combined | undefined;
  readonly wraps?: Wraps | undefined;
}

/**
 * The wraps of all pulleys together, in radians: by how much a path grows for each mm that every radius grows. 2π for an
 * open loop touched by one face; more where the belt crosses or a pulley touches its back.
 */
export interface Wraps {
  readonly sumRad: number;
  /** Standard uncertainty, where the pulleys themselves are not measured. */
  readonly std: number;
}

export type Aux = Readonly<Partial<Record<AuxKey, number>>>;

/** Writes a length for a line of arithmetic, in the unit of the screen. */
export type WriteLength = (lengthMm: number) => string;

/** What a reading comes to. */
export interface Converted {
  /** The quantity itself, in mm (N for a pull). */
  readonly value: number;
  /** Change of the value with the reading, and with each aux it used: the sensitivities of JCGM 100, 5.1.3. */
  readonly perReading: number;
  readonly perAux: Aux;
  /** Standard uncertainty of the method itself that repeating does not shrink, in the value's unit. */
  readonly ownStd?: number;
  /** What common practice takes this reading for outright, where that differs. */
  readonly uncorrected?: number;
  /** True where the value is only the least the quantity can be. */
  readonly lowerBound?: boolean;
  /** The line of arithmetic that the screen shows. */
  arithmetic(write: WriteLength): string;
}

/** A usual slip: what the value would have been without it, or nothing where the method itself is the likely reason. */
export interface Slip {
  readonly question: string;
  readonly wouldBeMm?: number;
}

/** How a method goes. Common practice, no source. */
export interface Guide {
  /** How to hold it and where to read, in a sentence or two. */
  readonly how: string;
  readonly goesWrong: string;
  /** Drawn small, on a sheet of 132 by 66: SVG path data, and from where to where the number is read. */
  readonly drawing: {
    /** The belt, thread or string. */
    readonly belt?: string;
    /** Tools, pulleys, shafts. */
    readonly thing?: string;
    readonly read: readonly [x1: number, y1: number, x2: number, y2: number];
  };
}

/** One way of measuring one thing. */
export interface Method {
  readonly id: string;
  readonly measurand: Measurand;
  /** Short name, as said at the bench. */
  readonly label: string;
  /** Named even shorter where belts are measured without a ticket; only ways that are offered there have one. */
  readonly quickLabel?: string | undefined;
  /** What the typed number is; shown beside the field, so that it is never in doubt. */
  readonly numberIs: string;
  /** Words that name it in a typed line. */
  readonly words: readonly string[];
  readonly aux: readonly AuxKey[];
  /** What is typed: a length, several that are added up, a doubled length (`2x45` may be typed), or a pull. */
  readonly takes: 'length' | 'sum' | 'doubledLength' | 'force';
  /** Whether the number goes across a loop or along it: the two are confused by a factor of π. */
  readonly across?: boolean;
  /** Not measured: read off a bag or a label, judged by likeness, taken as usual. What is measured counts before it. */
  readonly nominal?: boolean;
  /** Old and new belt may be read this way and held against one another: both errors are alike. */
  readonly comparable?: boolean;
  /** Which reading of the trade's rules of thumb this is, where it is one. */
  readonly ruleReading?: 'doubled' | 'cap' | undefined;
  /** What a reading would have come to, had a usual slip of this way been made, and the slip as a question. */
  slips?(read: {
    readonly value: number;
    readonly othersMm: number;
    readonly sectionMm: number;
    readonly aux: Aux;
  }): readonly Slip[];
  /** How it is held, what goes wrong, and its drawing: fetched when it is asked for. */
  readonly guide: () => Promise<Guide>;
  /** Aux that may be left out. */
  readonly optionalAux?: readonly AuxKey[];
  /** Standard uncertainty of one reading, k = 1. Common practice, from memory, no source; editable per reading. */
  readonly readingStd: number;
  /** Readings outside are refused in words. */
  readonly min: number;
  readonly max: number;
  convert(reading: number, aux: Aux, wraps?: Wraps): Result<Converted>;
  /** The reading that this method would show for a given value: the inverse of `convert`. */
  invert(value: number, aux: Aux): number;
}
