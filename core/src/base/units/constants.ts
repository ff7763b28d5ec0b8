/** Millimetres in one inch, exactly (international inch, 1959). */
export const MM_PER_INCH = 25.4;

/** Newtons in one kilogram-force, exactly (standard gravity, CGPM 1901). */
export const NEWTON_PER_KGF = 9.80665;

/** The two display units of the bench. */
export type LengthUnit = 'mm' | 'in';
