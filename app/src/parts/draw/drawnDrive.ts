import type { DrawnIdler } from './drawnIdler';

/** What is drawn. Sizes are diameters at the groove bottom; absent ones are ghosts until they are measured. */
export interface DrawnDrive {
  readonly motorMm: number | undefined;
  readonly driveMm: number | undefined;
  readonly centreMm: number | undefined;
  readonly crossed: boolean;
  readonly others: readonly DrawnIdler[];
  /** The belt in the drive: thickness as fitted, and where its centre line runs. */
  readonly belt?:
    | {
        readonly thicknessMm: number;
        readonly motorRadiusMm: number;
        readonly drivenRadiusMm: number;
        readonly words: string;
      }
    | undefined;
  /** The old belt, dashed, with what it has too much. */
  readonly old?: { readonly thicknessMm: number; readonly excessMm: number } | undefined;
  readonly impossible: boolean;
}
