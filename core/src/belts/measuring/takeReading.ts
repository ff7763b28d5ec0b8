import type { LengthUnit } from '../../base/units';
import { AUX } from './aux';
import { checkAmount, parseAmount, readAmount, type ReadReading } from './read';
import { doubtOf, suspectLength, type KnownLengths } from './suspect';
import type { Aux, KnownOfDrive, Method } from './types';

/** What a reading is held against: the unit it is typed in, the tools, and whatever is known of the drive or the belt. */
export interface KnownOfReading extends KnownOfDrive, KnownLengths {
  readonly unit: LengthUnit;
  readonly aux?: Aux;
  /** The inner length that the belt should have, by its label or what it was before. */
  readonly expectedMm?: number | undefined;
  /** The standard uncertainty of this one reading, where it is another than that of its way. */
  readonly ownStd?: number;
  /** The bench was asked, and keeps it. */
  readonly keep?: boolean;
}

/** What was made of a text: a reading, a refusal that says why, or a question that the bench may answer by keeping it. */
export type Taken =
  | {
      readonly state: 'reading';
      readonly method: Method;
      readonly amount: number;
      readonly aux: Aux;
      /** Where it is known otherwise than its way usually is. */
      readonly ownStd?: number;
      /** Undefined while it waits for its section or tool. */
      readonly read: ReadReading | undefined;
      /** Why it waits; empty where it does not. */
      readonly waits: string;
    }
  | { readonly state: 'refusal'; readonly problem: string }
  | { readonly state: 'doubt'; readonly problem: string };

/** A tool that only the bench can name: without it the reading is kept and waits. */
const lacksTool = (method: Method, aux: Aux, known: KnownOfReading): boolean =>
  method.aux.some(
    (key) => aux[key] === undefined && AUX[key].usual === undefined && !(key === 'sectionMm' && known.section),
  );

/** A reading whose amount is known in mm or N, by the same checks. */
export function takeAmount(amount: number, method: Method, known: KnownOfReading): Taken {
  const aux = known.aux ?? {};
  const own = known.ownStd === undefined ? {} : { ownStd: known.ownStd };
  const checked = checkAmount(method, amount);
  if (!checked.ok) return { state: 'refusal', problem: checked.problem };
  const read = readAmount(method, amount, aux, known.ownStd ?? null, known);
  if (!read.ok) {
    return lacksTool(method, aux, known)
      ? { state: 'reading', method, amount, aux, ...own, read: undefined, waits: read.problem }
      : { state: 'refusal', problem: read.problem };
  }
  const { path, geometricPath, oldBelt, expectedMm } = known;
  const doubt =
    known.keep === true
      ? undefined
      : ((expectedMm === undefined ? undefined : suspectLength(method, amount, read.value.value, expectedMm)) ??
        doubtOf(method, amount, read.value, { path, geometricPath, oldBelt }));
  return doubt === undefined
    ? { state: 'reading', method, amount, aux, ...own, read: read.value, waits: '' }
    : { state: 'doubt', problem: doubt };
}

/**
 * The one way in for a reading: whatever is typed anywhere as a measured figure is understood, refused or doubted here, so
 * that no page takes what another refuses.
 *
 * @param text as typed
 * @param method how it was measured
 * @param known what it is held against
 * @returns a reading, a refusal, or a doubt that `keep` answers; never throws
 * @example takeReading('999', findMethod('overCap'), { unit: 'mm' }).state // 'refusal'
 */
export function takeReading(text: string, method: Method, known: KnownOfReading): Taken {
  const amount = parseAmount(method, text, known.unit);
  return amount.ok ? takeAmount(amount.value, method, known) : { state: 'refusal', problem: amount.problem };
}
