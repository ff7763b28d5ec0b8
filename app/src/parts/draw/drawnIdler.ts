/** An idler as drawn, told from the motor's shaft, y upwards. */
export interface DrawnIdler {
  readonly id: string;
  readonly name: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly radiusMm: number;
  readonly back: boolean;
  readonly after: 'motor' | 'driven';
}
