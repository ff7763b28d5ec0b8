/** What a drawing is made of. Millimetres, y upwards, angles in radians counter-clockwise from the x axis. */
export type Figure =
  | { readonly type: 'line'; readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number }
  | { readonly type: 'circle'; readonly x: number; readonly y: number; readonly r: number }
  | {
      readonly type: 'arc';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      /** Counter-clockwise from one to the other. */
      readonly fromRad: number;
      readonly toRad: number;
    }
  /** A closed line through points. */
  | { readonly type: 'polygon'; readonly points: ReadonlyArray<readonly [xMm: number, yMm: number]> }
  | { readonly type: 'text'; readonly x: number; readonly y: number; readonly heightMm: number; readonly text: string };

/** A drawing at 1:1. */
export interface Drafting {
  readonly name: string;
  readonly figures: readonly Figure[];
}

/** The room that a drawing takes, mm. */
export interface Extent {
  readonly left: number;
  readonly bottom: number;
  readonly width: number;
  readonly height: number;
}
