import { circle, loop } from '../drawing';
import type { Guide } from '../types';

export const doubledOuter: Guide = {
  how: 'Press the belt flat on a rule, both folds pinched hard. Read from the outside of one fold to the outside of the other.',
  goesWrong: 'A rounded fold reads too long; pinch both hard.',
  drawing: {
    belt: 'M16 24H116V32H16Z',
    thing: 'M8 42h116M8 42v6M22 42v4M36 42v4M50 42v4M64 42v6M78 42v4M92 42v4M106 42v4M120 42v6',
    read: [14, 58, 118, 58],
  },
};

export const doubledInner: Guide = {
  how: 'Draw the loop straight over two thin blades or needles and read between their far sides, inside the belt.',
  goesWrong: 'Read at the outer ends instead, it comes out four sections too long.',
  drawing: { belt: loop(22, 110, 26, 6), thing: 'M20 18v16M112 18v16', read: [20, 52, 112, 52] },
};

export const onPins: Guide = {
  how: 'Hang the belt on two equal pins and part them until it is only just straight. Read across the outsides of the pins.',
  goesWrong: 'Drawn tight it reads stretched: only just straight.',
  drawing: { belt: loop(24, 108, 28, 9), thing: `${circle(24, 28, 7)}${circle(108, 28, 7)}`, read: [15, 54, 117, 54] },
};

export const overCap: Guide = {
  how: 'Find a round cap or drill shank that the belt just hugs without being stretched, and measure that cap across.',
  goesWrong: 'Snug is not stretched: it should turn on the cap by a finger.',
  drawing: { belt: circle(66, 28, 22), thing: circle(66, 28, 19), read: [47, 58, 85, 58] },
};

export const twoCaps: Guide = {
  how: 'Try round things of known size inside the belt. Note the largest that goes in slack and the next, which stretches it.',
  goesWrong: 'Caps are seldom round to a tenth: read both ways across.',
  drawing: {
    belt: circle(38, 28, 19),
    thing: `${circle(38, 28, 16)}${circle(96, 28, 22)}M84 16l24 24M108 16l-24 24`,
    read: [22, 58, 54, 58],
  },
};

export const lyingFree: Guide = {
  how: 'Lay the belt down untouched and read inside it the longest way, then across that. Not to be trusted once it is egg-shaped.',
  goesWrong: 'Once egg-shaped it is not to be trusted: the oval hides length.',
  drawing: { belt: 'M24 28C24 8 108 8 108 28C108 48 24 48 24 28Z', thing: 'M66 14v28', read: [28, 58, 104, 58] },
};

export const laidStraight: Guide = {
  how: 'Lay the parted belt along a rule, straight but not pulled. The ends must be whole; if a piece is lost, use “in pieces”.',
  goesWrong: 'Curl makes it read short; press, do not pull.',
  drawing: { belt: 'M14 28H118', thing: 'M8 40h116M8 40v6M64 40v6M120 40v6', read: [14, 56, 118, 56] },
};

export const inPieces: Guide = {
  how: 'Lay every piece along a rule and add them up (40 + 52.5 + 31 may be typed so). What crumbled is missing: this is a lower bound.',
  goesWrong: 'Crumbs are lost length: it can only have been longer.',
  drawing: { belt: 'M14 28H52M60 28H84M92 28H112', thing: 'M8 40h116', read: [14, 56, 112, 56] },
};

export const printedLength: Guide = {
  how: 'Copy the inner length from the bag, the label or the list. It says what the belt was, not what it is now.',
  goesWrong: 'Sellers print outer, inner or doubled lengths: ask which.',
  drawing: { belt: circle(40, 30, 20), thing: 'M72 18h44v24h-44ZM78 26h30M78 33h22', read: [72, 56, 116, 56] },
};

export const printedDiameter: Guide = {
  how: 'Copy the inner diameter from the bag, the label or the list. It says what the ring was, not what it is now.',
  goesWrong: 'Inner or outer, and of a new belt: not of this one.',
  drawing: { belt: circle(40, 30, 20), thing: 'M72 18h44v24h-44ZM78 26h30M78 33h22', read: [20, 56, 60, 56] },
};
