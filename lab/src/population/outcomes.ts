/** What came of each player's choice, drive by drive: 1 where the belt worked. */
export class Outcomes {
  private readonly lists = new Map<string, number[]>();
  add(player: string, right: boolean): void {
    const list = this.lists.get(player) ?? [];
    list.push(right ? 1 : 0);
    this.lists.set(player, list);
  }
  of(player: string): readonly number[] {
    return this.lists.get(player) ?? [];
  }
  players(): readonly string[] {
    return [...this.lists.keys()];
  }
}

export const meanOf = (list: readonly number[]): number =>
  list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);

/** A share of a gap closed, with its standard error over the drives played. */
export interface Closed {
  readonly share: number;
  readonly std: number;
}

/**
 * The share of a gap that a player closes, (p − floor)/(top − floor), all three having met the same drives.
 *
 * Standard error by linearisation of a ratio of means: the residuals (p − floor) − share·(top − floor), drive by drive.
 *
 * @example gapClosed([1, 1, 0, 1], [0, 1, 0, 1], [1, 1, 1, 1]).share // 0.5
 */
export function gapClosed(player: readonly number[], floor: readonly number[], top: readonly number[]): Closed {
  const gap = meanOf(top) - meanOf(floor);
  if (gap <= 0) return { share: 1, std: 0 };
  const share = (meanOf(player) - meanOf(floor)) / gap;
  const residuals = player.map((one, i) => one - (floor[i] ?? 0) - share * ((top[i] ?? 0) - (floor[i] ?? 0)));
  const variance = meanOf(residuals.map((one) => one * one));
  return { share, std: Math.sqrt(variance / player.length) / gap };
}

/** Stated chances against what came of them, for one band of stated chances. */
export interface Calibration {
  readonly from: number;
  readonly to: number;
  readonly count: number;
  readonly stated: number;
  readonly worked: number;
}
const BANDS = [0, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 1.0001];

export function calibrationOf(stated: ReadonlyArray<readonly [number, boolean]>): Calibration[] {
  return BANDS.slice(0, -1).flatMap((from, index) => {
    const to = BANDS[index + 1] ?? 1;
    const inside = stated.filter(([chances]) => chances >= from && chances < to);
    if (inside.length === 0) return [];
    return [
      {
        from,
        to: Math.min(1, to),
        count: inside.length,
        stated: inside.reduce((sum, [chances]) => sum + chances, 0) / inside.length,
        worked: inside.filter(([, worked]) => worked).length / inside.length,
      },
    ];
  });
}
