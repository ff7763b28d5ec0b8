/** What goes wrong with each way of measuring, in a sentence. Common practice, no source. */
export const MISTAKES: Readonly<Record<string, string>> = {
  shaftToShaft: 'Read across the shafts’ middles, not edge to edge of one side.',
  outsideToOutside: 'Both outsides are over the rims; the diameters asked for are the rims’, not the grooves’.',
  gapBetween: 'The gap is between the shafts, not between the pulleys.',
  doubledOuter: 'A fold left as a bulb reads too long; pinch both hard.',
  doubledInner: 'Read at the outer ends instead, it comes out four sections too long.',
  onPins: 'Drawn tight it reads stretched: only just straight.',
  overCap: 'Snug is not stretched: it should turn on the cap by a finger.',
  twoCaps: 'Caps are seldom round to a tenth: read both ways across.',
  lyingFree: 'Once egg-shaped it is not to be trusted: the oval hides length.',
  laidStraight: 'Curl makes it read short; press, do not pull.',
  inPieces: 'Crumbs are lost length: it can only have been longer.',
  printedLength: 'Sellers print outer, inner or doubled lengths: ask which.',
  printedDiameter: 'Inner or outer, and of a new belt: not of this one.',
  sectionJaws: 'Soft rubber gives: let the jaws only just touch, and turn the belt.',
  widthJaws: 'Across the face, not across the bend.',
  countedTravel: 'Backlash eats the first turn: take it up before you count.',
  scalePull: 'Not the jerk at the start, and never with the motor driving: those are other pulls.',
  stringRound: 'Its own thickness is taken off: say how thick it is. Pull it tight, all in the grooves.',
  Jaws: 'On the groove’s bottom, not on its rims; thick jaws ride on the flanks.',
  OverPins: 'Both pins must touch the bottom, or both flanks alike.',
  Thread: 'Turns that climb on one another read too small.',
  LessGroove: 'Measure the depth on the same side; rims are seldom equal.',
};

/** What goes wrong with a method, where it is known. @example mistakeOf('motorJaws') // 'On the groove’s bottom, …' */
export const mistakeOf = (method: string): string | undefined =>
  MISTAKES[method] ?? MISTAKES[method.replace(/^(motor|drive)/, '')];
