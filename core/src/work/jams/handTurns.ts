import { counted, refuse, ok, type Result } from '../../base/units';
import type { Side, TurnWay } from './schema';
import { SIDE_NAMES } from './ladder';

/** What is known of the way from the motor pulley to what moves. All ± are k = 1. */
export interface HandTurnsOf {
  /** What is left of the travel. */
  readonly travelLeftMm: number;
  /** Travel in one turn of the motor pulley. */
  readonly travelPerTurnMm: { readonly value: number; readonly std: number };
  /** A hand that turns the pulley does not slip the belt; nearly. */
  readonly creep?: number;
}

export interface HandTurns {
  readonly turns: number;
  /** Between these it comes out, nineteen times in twenty. */
  readonly fewest: number;
  readonly most: number;
}

/**
 * How many turns of the motor pulley bring it out: the travel left over the travel per turn, with two standard
 * uncertainties of the latter.
 *
 * @returns a sentence where the figures cannot be
 * @example handTurns({ travelLeftMm: 80, travelPerTurnMm: { value: 2, std: 0.1 } }).value.turns // 40
 */
export function handTurns({
  travelLeftMm,
  travelPerTurnMm: { value, std },
  creep = 0,
}: HandTurnsOf): Result<HandTurns> {
  if (!(travelLeftMm > 0)) return refuse('Type how far it still has to come, in millimetres: 80.');
  if (!(value > 0)) return refuse('The travel per turn is not known: count ten turns at Measure.');
  const turnsAt = (perTurnMm: number): number => travelLeftMm / (perTurnMm * (1 - creep));
  const slow = Math.max(value - 2 * std, value / 4);
  return ok({ turns: turnsAt(value), fewest: turnsAt(value + 2 * std), most: turnsAt(slow) });
}

/** Turns as they are counted: whole ones from ten on, halves below. @example turnsWords(40.3) // '40 turns' */
export const turnsWords = (turns: number): string =>
  turns >= 10 ? counted(Math.round(turns), 'turn') : `${Math.round(turns * 2) / 2} turns`;

/** The same way looked at from the other side. @example otherWay('clockwise') // 'anticlockwise' */
export const otherWay = (way: TurnWay): TurnWay =>
  way === 'unknown' ? way : way === 'clockwise' ? 'anticlockwise' : 'clockwise';

/**
 * Which way to turn, from which side, and how the driven pulley goes with it: a crossed belt turns it the other way.
 *
 * @example directionWords('clockwise', 'above', false) // 'clockwise, viewed from above; the driven pulley turns clockwise too'
 */
export function directionWords(opens: TurnWay, side: Side, crossed: boolean): string {
  if (opens === 'unknown' || side === 'unknown') return '';
  const driven = crossed ? otherWay(opens) : opens;
  return `${opens}, viewed ${SIDE_NAMES[side]}; the driven pulley turns ${driven}${crossed ? ', as its belt is crossed' : ' too'}`;
}
