import { ok, refuse, type Result } from '../../base/units';
import type { Mode, Square } from './schema';

/**
 * How to bring a mode gear home by hand: forwards from where it stands, state by state, once round at most.
 *
 * @returns turns of the motor pulley, and the states on the way; or what is missing
 */
export function homeByHand({
  states,
  at,
  home,
}: Pick<Mode, 'states' | 'at' | 'home'>): Result<{ readonly turns: number; readonly by: readonly string[] }> {
  const from = states.findIndex(({ id }) => id === at);
  const to = states.findIndex(({ id }) => id === home);
  if (from < 0) return refuse('Say where it stands: tick the state that its switches show.');
  if (to < 0) return refuse('Say which state is home: empty, nothing in it.');
  let turns = 0;
  const by: string[] = [];
  for (let i = from; i !== to; i = (i + 1) % states.length) {
    const state = states[i];
    if (!state || state.turnsToNext === null)
      return refuse(`How many turns lead on from “${state?.name ?? ''}” is not known: turn it by hand and count.`);
    turns += state.turnsToNext;
    by.push(states[(i + 1) % states.length]?.name ?? '');
  }
  return ok({ turns, by });
}

/** What a machine does while its mode gear and the truth disagree. */
export function disagreement(believes: 'disc' | 'empty', truth: 'disc' | 'empty'): string {
  if (believes === truth) return '';
  return believes === 'disc'
    ? 'It believes that a disc is in: silent, and it refuses one.'
    : 'It believes that it is empty: a second disc is not refused. Do not feed one.';
}

/**
 * How far a tray or lift is out of square: (left − right)/spacing.
 *
 * @example tiltRad({ leftMm: 1.2, rightMm: 0.4, spacingMm: 120 }) // 0.00667
 */
export const tiltRad = ({
  leftMm,
  rightMm,
  spacingMm,
}: Pick<Square, 'leftMm' | 'rightMm' | 'spacingMm'>): number | undefined =>
  leftMm === null || rightMm === null || spacingMm === null ? undefined : (leftMm - rightMm) / spacingMm;

/** Within this a tray sits square: what a feeler and an eye can tell. No source. */
const SQUARE_MM = 0.3;

/** What the clearances say. */
export function squareWords(square: Pick<Square, 'leftMm' | 'rightMm' | 'spacingMm'>): string {
  const { leftMm, rightMm } = square;
  if (leftMm === null || rightMm === null) return '';
  const off = leftMm - rightMm;
  if (Math.abs(off) <= SQUARE_MM) return 'It sits square.';
  const tilt = tiltRad(square);
  const side = off > 0 ? 'left' : 'right';
  return `The ${side} side stands ${Math.abs(off).toFixed(1)} mm further out${tilt === undefined ? '' : `, ${((Math.abs(tilt) * 180) / Math.PI).toFixed(1)}°`}: look whether the ${side} guide is out of its groove.`;
}
