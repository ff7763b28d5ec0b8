/** What lies between the motor pulley and the tray. */
export interface TrayGearing {
  /** Tray travel for one turn of the motor pulley, counted over ten turns by hand. */
  readonly travelPerTurnMm: number;
  /** Share of the motor's work that reaches the tray, 0 to 1. */
  readonly efficiency: number;
}

/** Motor torque that a tray force needs: M = F·s/(2πη). @example motorTorqueNmm(1.4, { travelPerTurnMm: 2.2, efficiency: 0.6 }) // 0.817 */
export function motorTorqueNmm(trayForceN: number, gearing: TrayGearing): number {
  return (trayForceN * gearing.travelPerTurnMm) / (2 * Math.PI * gearing.efficiency);
}

/** Tray force that a motor torque gives, the motor driving: F = 2πηM/s. For instance trayForceN(0.817, same): 1.4 */
export function trayForceN(motorTorqueNmm: number, gearing: TrayGearing): number {
  return (2 * Math.PI * gearing.efficiency * motorTorqueNmm) / gearing.travelPerTurnMm;
}

/**
 * How long a stroke of the tray takes while nothing slips: strokeMm/(s·rpm/60).
 *
 * @param travelPerTurnMm s, of the motor pulley
 * @returns seconds
 * @example strokeTimeS(140, 2.2, 3000) // 1.27
 */
export const strokeTimeS = (strokeMm: number, travelPerTurnMm: number, motorRpm: number): number =>
  strokeMm / ((travelPerTurnMm * motorRpm) / 60);
