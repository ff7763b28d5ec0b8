/** A label that is wanted beside a wheel. */
export interface WantedLabel {
  readonly x: number;
  readonly y: number;
  /** How far the wheel reaches from its shaft. */
  readonly reachPx: number;
  readonly words: string;
  /** Below its wheel rather than above. */
  readonly low: boolean;
}
export interface PlacedLabel {
  readonly x: number;
  readonly y: number;
}

/** A balloon, and the words beside it at about seven pixels a letter. */
export const BALLOON_PX = 13;
const LETTER_PX = 7;
const HIGH_PX = 2 * BALLOON_PX + 4;

const widthOf = ({ words }: WantedLabel): number => 2 * BALLOON_PX + 6 + LETTER_PX * words.length;

/**
 * Places labels above and below their wheels so that none lies over another: one that would is moved on until it is free.
 *
 * @param widthPx of the sheet; none stands out of it to the side
 * @example trainLabels([], 600) // []
 */
export function trainLabels(wanted: readonly WantedLabel[], widthPx: number): readonly PlacedLabel[] {
  const placed: Array<PlacedLabel & { readonly width: number }> = [];
  for (const one of wanted) {
    const width = Math.min(widthOf(one), widthPx);
    const x = Math.max(BALLOON_PX, Math.min(one.x, widthPx - width + BALLOON_PX));
    const step = one.low ? HIGH_PX : -HIGH_PX;
    let y = one.low ? one.y + one.reachPx + 26 : one.y - one.reachPx - 24;
    const taken = (): boolean =>
      placed.some((other) => Math.abs(other.y - y) < HIGH_PX && other.x < x + width && x < other.x + other.width);
    for (let i = 0; i < 40 && taken(); i++) y += step;
    placed.push({ x, y, width });
  }
  return placed.map(({ x, y }) => ({ x, y }));
}
