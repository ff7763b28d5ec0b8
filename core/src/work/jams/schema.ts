/* The words of a jam that a ticket keeps. Apart from what is known of each, which only Clean needs. */

/** The rungs of the ladder, the gentlest first. */
export const RUNGS = [
  'look',
  'reset',
  'ejectMotor',
  'releaseHole',
  'holeAndEject',
  'pulleyByHand',
  'tilt',
  'lid',
  'clampLifted',
  'strip',
] as const;
export type Rung = (typeof RUNGS)[number];

/** What came of a rung. */
export const RUNG_RESULTS = ['nothing', 'moved', 'out', 'stopped'] as const;
export type RungResult = (typeof RUNG_RESULTS)[number];

/** The sides from which a turn is told. */
export const SIDES = ['unknown', 'above', 'below', 'pulleySide', 'front'] as const;
export type Side = (typeof SIDES)[number];
export const TURN_WAYS = ['unknown', 'clockwise', 'anticlockwise'] as const;
export type TurnWay = (typeof TURN_WAYS)[number];
