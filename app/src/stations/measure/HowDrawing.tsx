/** A method drawn small: what is held, with what, and from where to where it is read. */
interface How {
  /** The belt, thread or string. */
  readonly belt?: string;
  /** Tools, pulleys, shafts. */
  readonly thing?: string;
  /** From where to where the number is read. */
  readonly read: readonly [x1: number, y1: number, x2: number, y2: number];
}

const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
const loop = (left: number, right: number, y: number, r: number): string =>
  `M${left} ${y - r}H${right}a${r} ${r} 0 0 1 0 ${2 * r}H${left}a${r} ${r} 0 0 1 0 ${-2 * r}`;
const jaws = (x1: number, x2: number, y: number, deep: number): string =>
  `M${x1} ${y - deep}V${y + deep}M${x2} ${y - deep}V${y + deep}M${x1 - 14} ${y - deep}H${x2 + 14}`;

const PULLEY: Readonly<Record<string, How>> = {
  Jaws: { thing: `${circle(66, 30, 16)}${circle(66, 30, 22)}${jaws(50, 82, 30, 24)}`, read: [50, 58, 82, 58] },
  OverPins: {
    thing: `${circle(66, 32, 14)}${circle(66, 32, 22)}${circle(66, 14, 4)}${circle(66, 50, 4)}`,
    read: [100, 10, 100, 54],
  },
  Thread: { belt: 'M40 26q8 -12 16 0t16 0t16 0', thing: circle(24, 26, 14), read: [40, 52, 112, 52] },
  LessGroove: { thing: `${circle(52, 32, 14)}${circle(52, 32, 24)}M66 32h10`, read: [28, 60, 76, 60] },
};

const HOWS: Readonly<Record<string, How>> = {
  sectionJaws: {
    belt: 'M20 30H56M76 30H112',
    thing: `M56 22h20v16h-20Z${jaws(56, 76, 30, 16)}`,
    read: [56, 56, 76, 56],
  },
  widthJaws: { thing: `M46 24h40v8h-40Z${jaws(46, 86, 28, 16)}`, read: [46, 54, 86, 54] },
  doubledOuter: {
    belt: 'M16 24H116V32H16Z',
    thing: 'M8 42h116M8 42v6M22 42v4M36 42v4M50 42v4M64 42v6M78 42v4M92 42v4M106 42v4M120 42v6',
    read: [14, 58, 118, 58],
  },
  doubledInner: { belt: loop(22, 110, 26, 6), thing: 'M20 18v16M112 18v16', read: [20, 52, 112, 52] },
  onPins: { belt: loop(24, 108, 28, 9), thing: `${circle(24, 28, 7)}${circle(108, 28, 7)}`, read: [15, 54, 117, 54] },
  overCap: { belt: circle(66, 28, 22), thing: circle(66, 28, 19), read: [47, 58, 85, 58] },
  twoCaps: {
    belt: circle(38, 28, 19),
    thing: `${circle(38, 28, 16)}${circle(96, 28, 22)}M84 16l24 24M108 16l-24 24`,
    read: [22, 58, 54, 58],
  },
  lyingFree: { belt: 'M24 28C24 8 108 8 108 28C108 48 24 48 24 28Z', thing: 'M66 14v28', read: [28, 58, 104, 58] },
  laidStraight: { belt: 'M14 28H118', thing: 'M8 40h116M8 40v6M64 40v6M120 40v6', read: [14, 56, 118, 56] },
  inPieces: { belt: 'M14 28H52M60 28H84M92 28H112', thing: 'M8 40h116', read: [14, 56, 112, 56] },
  printedLength: { belt: circle(40, 30, 20), thing: 'M72 18h44v24h-44ZM78 26h30M78 33h22', read: [72, 56, 116, 56] },
  printedDiameter: { belt: circle(40, 30, 20), thing: 'M72 18h44v24h-44ZM78 26h30M78 33h22', read: [20, 56, 60, 56] },
  stringRound: {
    belt: 'M28 22L94 10A20 20 0 0 1 94 50L28 38A8 8 0 0 1 28 22',
    thing: `${circle(28, 30, 7)}${circle(94, 30, 18)}M58 12v10`,
    read: [16, 60, 116, 60],
  },
  shaftToShaft: {
    thing: `${circle(30, 28, 10)}${circle(100, 28, 20)}${circle(30, 28, 2)}${circle(100, 28, 2)}`,
    read: [30, 58, 100, 58],
  },
  outsideToOutside: { thing: `${circle(30, 28, 10)}${circle(100, 28, 20)}`, read: [20, 58, 120, 58] },
  gapBetween: {
    thing: `${circle(30, 28, 14)}${circle(100, 28, 20)}${circle(30, 28, 2)}${circle(100, 28, 2)}`,
    read: [44, 58, 80, 58],
  },
  countedTravel: {
    thing: `M16 20h52v20h-52Z${circle(100, 30, 16)}M100 30v-16M112 14a20 20 0 0 1 6 12`,
    read: [16, 54, 68, 54],
  },
  stalledMotor: {
    belt: 'M44 30H62',
    thing: `M8 20h36v20h-36ZM62 22h34v16h-34ZM70 26v8M76 26v8M82 26v8${circle(114, 30, 10)}M107 23l14 14M121 23l-14 14`,
    read: [62, 56, 96, 56],
  },
  stalledSlipping: {
    belt: 'M44 30H62M100 22a16 16 0 0 1 26 0',
    thing: `M8 20h36v20h-36ZM62 22h34v16h-34ZM70 26v8M76 26v8M82 26v8${circle(114, 30, 10)}`,
    read: [62, 56, 96, 56],
  },
  scalePull: {
    belt: 'M56 30H78',
    thing: 'M10 20h46v20h-46ZM78 22h40v16h-40ZM86 26v8M92 26v8M98 26v8M104 26v8',
    read: [10, 56, 56, 56],
  },
};

/** How a method is held and where it is read, as a small drawing; the words beside it say the same. */
export function HowDrawing({ method }: { readonly method: string }) {
  const how = HOWS[method] ?? PULLEY[method.replace(/^(motor|driven)/, '')];
  if (!how) return null;
  const [x1, y1, x2, y2] = how.read;
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const head = (x: number, y: number, way: number): string =>
    `M${x} ${y}l${way * (ux * 6) - uy * 2.4} ${way * (uy * 6) + ux * 2.4}l${uy * 4.8} ${-ux * 4.8}Z`;
  return (
    <svg width="132" height="66" aria-hidden className="shrink-0 border border-hair bg-sheet">
      {how.thing && <path d={how.thing} fill="none" className="stroke-ink" strokeWidth="1.2" />}
      {how.belt && <path d={how.belt} fill="none" className="stroke-rubber" strokeWidth="3" strokeLinejoin="round" />}
      <path d={`M${x1} ${y1}L${x2} ${y2}`} className="stroke-live" strokeWidth="1.4" />
      <path d={`${head(x1, y1, 1)}${head(x2, y2, -1)}`} className="fill-live" />
    </svg>
  );
}
