/** How a method is held and read, and what goes wrong with it. Common practice, no source. Apart from the methods, so that it is fetched when it is asked for. */
export interface HowTo {
  /** How to hold it and where to read, in a sentence or two. */
  readonly how: string;
  readonly goesWrong: string;
}

/** By the method's id; what motor and driven pulley share stands without their name. */
const HOW_TO: Readonly<Record<string, HowTo>> = {
  Jaws: {
    how: 'Close the thin tips of the caliper jaws on the bottom of the groove, not on the rims.',
    goesWrong: 'On the groove’s bottom, not on its rims; thick jaws ride on the flanks.',
  },
  OverPins: {
    how: 'Lay two equal pins in the groove on opposite sides and read over them. Give the full angle if the groove is a vee.',
    goesWrong: 'Both pins must touch the bottom, or both flanks alike.',
  },
  Thread: {
    how: 'Wind a thin thread side by side in the groove, count the turns, mark it, unwind it and lay it on a rule.',
    goesWrong: 'Turns that climb on one another read too small.',
  },
  LessGroove: {
    how: 'Read over the rims, then the depth of the groove from rim to bottom.',
    goesWrong: 'Measure the depth on the same side; rims are seldom equal.',
  },
  stringRound: {
    how: 'Pull a thin string tight round both pulleys in their grooves, mark where it meets, lay it flat and read mark to mark.',
    goesWrong: 'Its own thickness is taken off: say how thick it is. Pull it tight, all in the grooves.',
  },
  doubledOuter: {
    how: 'Press the belt flat on a rule, both folds pinched hard. Read from the outside of one fold to the outside of the other.',
    goesWrong: 'A fold left as a bulb reads too long; pinch both hard.',
  },
  doubledInner: {
    how: 'Draw the loop straight over two thin blades or needles and read between their far sides, inside the belt.',
    goesWrong: 'Read at the outer ends instead, it comes out four sections too long.',
  },
  onPins: {
    how: 'Hang the belt on two equal pins and part them until it is only just straight. Read across the outsides of the pins.',
    goesWrong: 'Drawn tight it reads stretched: only just straight.',
  },
  overCap: {
    how: 'Find a round cap or drill shank that the belt just hugs without being stretched, and measure that cap across.',
    goesWrong: 'Snug is not stretched: it should turn on the cap by a finger.',
  },
  twoCaps: {
    how: 'Try round things of known size inside the belt. Note the largest that goes in slack and the next, which stretches it.',
    goesWrong: 'Caps are seldom round to a tenth: read both ways across.',
  },
  lyingFree: {
    how: 'Lay the belt down untouched and read inside it the longest way, then across that. Not to be trusted once it is egg-shaped.',
    goesWrong: 'Once egg-shaped it is not to be trusted: the oval hides length.',
  },
  laidStraight: {
    how: 'Lay the parted belt along a rule, straight but not pulled. The ends must be whole; if a piece is lost, use “in pieces”.',
    goesWrong: 'Curl makes it read short; press, do not pull.',
  },
  inPieces: {
    how: 'Lay every piece along a rule and add them up (40 + 52.5 + 31 may be typed so). What crumbled is missing: this is a lower bound.',
    goesWrong: 'Crumbs are lost length: it can only have been longer.',
  },
  printedLength: {
    how: 'Copy the inner length from the bag, the label or the list. It says what the belt was, not what it is now.',
    goesWrong: 'Sellers print outer, inner or doubled lengths: ask which.',
  },
  printedDiameter: {
    how: 'Copy the inner diameter from the bag, the label or the list. It says what the ring was, not what it is now.',
    goesWrong: 'Inner or outer, and of a new belt: not of this one.',
  },
  sectionJaws: {
    how: 'Close the jaws until they just hold the belt, no more: rubber gives. Read at three places and type the middle one.',
    goesWrong: 'Soft rubber gives: let the jaws only just touch, and turn the belt.',
  },
  widthJaws: {
    how: 'Lay the belt flat and close the jaws on its edges until they just touch. Its thickness goes into the section.',
    goesWrong: 'Across the face, not across the bend.',
  },
  countedTravel: {
    how: 'Unplugged. Mark the motor pulley, turn it ten times by hand in the easy direction and read how far the tray came. Never force it.',
    goesWrong: 'Backlash eats the first turn: take it up before you count.',
  },
  scalePull: {
    how: 'Unplugged, belt off. Hook a small scale to the tray and draw it out slowly; read while it moves, not when it starts.',
    goesWrong: 'Not the jerk at the start, and never with the motor driving: those are other pulls.',
  },
  stalledMotor: {
    how: 'Hook the scale to the tray, let the motor drive it in and hold it for a second: read while the motor pulley stands. A tight band instead of the belt keeps it from slipping.',
    goesWrong:
      'A second at most: a standing motor gets hot. Fingers out of the tray and gears. If the pulley turned, the belt slipped: say so.',
  },
  stalledSlipping: {
    how: 'The same with the belt as it is: hold the tray on the scale while the motor pulley goes on turning, and read.',
    goesWrong:
      'It is the belt’s pull, not the motor’s: the motor has that much and more. Slipping polishes the belt, so be brief.',
  },
  shaftToShaft: {
    how: 'Read from the near side of one shaft to the far side of the other if they are equally thick, or centre to centre by eye.',
    goesWrong: 'Read across the shafts’ middles, not edge to edge of one side.',
  },
  outsideToOutside: {
    how: 'Read over the rims of both pulleys, the longest way, then the outside diameter of each.',
    goesWrong: 'Both outsides are over the rims; the diameters asked for are the rims’, not the grooves’.',
  },
  gapBetween: {
    how: 'Read the gap between the rims at their nearest, then the outside diameter of each pulley.',
    goesWrong: 'At their nearest, rim to rim; into a groove it reads too much.',
  },
};

/** How a method goes. @example howTo('motorJaws')?.how // 'Close the thin tips …' */
export const howTo = (method: string): HowTo | undefined =>
  HOW_TO[method] ?? HOW_TO[method.replace(/^(motor|driven)/, '')];
