import type { CycleConditions, CycleMachine } from './types';

/** What cannot be: below the least, above the most, or no number. */
const beyond = (name: string, value: number, min: number, max: number): string =>
  Number.isFinite(value) && value >= min && value <= max
    ? ''
    : `Read ${String(value)} for the ${name}. Allowed: ${min} to ${max}.`;

/** Masses and speeds may be small, but none of them nothing: a figure of 0 stands for one that was forgotten. */
const TINY = 1e-6;

/**
 * Why a machine cannot be run, by the name of the figure that cannot be.
 *
 * @returns '' where it can
 * For instance checkCycle({ ...machine, motor: { ...machine.motor, rotorGcm2: 0 } }, conditions): Read 0 for the motor’s inertia
 */
export function checkCycle({ motor, belts, load, controller, endSwitch }: CycleMachine, on: CycleConditions): string {
  const all = [
    beyond('motor’s torque at a stand, N·mm', motor.stallNmm, 0, 1000),
    beyond('motor’s free speed, rpm', motor.freeRpm, TINY, 100_000),
    beyond('motor’s inertia, g·cm²', motor.rotorGcm2, TINY, 10_000),
    beyond('motor’s own friction, N·mm', motor.frictionNmm, 0, 1000),
    ...belts.flatMap((one) => [
      beyond(`${one.name}’s stretch`, one.stretch, 0.1, 5),
      beyond(`${one.name}’s stiffness, N`, one.stiffnessN, TINY, 10_000),
      beyond(`${one.name}’s first span, mm`, one.spansMm[0], TINY, 5000),
      beyond(`${one.name}’s second span, mm`, one.spansMm[1], TINY, 5000),
      beyond(`${one.name}’s most pull, N`, one.limitN, 0, 1000),
      beyond(`${one.name}’s share while sliding`, one.slidingShare, 0, 1),
      beyond(`${one.name}’s driving radius, mm`, one.driverRadiusMm, TINY, 500),
      beyond(`${one.name}’s driven radius, mm`, one.drivenRadiusMm, TINY, 500),
      beyond(`${one.name}’s driving bush, N·mm`, one.driverBushNmm, 0, 1000),
      beyond(`${one.name}’s driven bush, N·mm`, one.drivenBushNmm, 0, 1000),
      beyond(`${one.name}’s driven inertia, g·cm²`, one.drivenGcm2, TINY, 100_000),
      beyond(`${one.name}’s eccentricity, mm`, one.eccentricMm, 0, one.drivenRadiusMm / 2),
    ]),
    ...(load.kind === 'spin'
      ? [
          beyond('disc’s inertia, g·cm²', load.inertiaGcm2, TINY, 1e6),
          beyond('spindle’s drag, N·mm', load.dragNmm, 0, 1000),
          beyond('speed wanted, rpm', load.wantedRpm, TINY, 100_000),
          beyond('tolerance', load.tolerance, 0, 1),
        ]
      : [
          beyond('travel a turn, mm', load.travelPerTurnMm, TINY, 500),
          beyond('train’s efficiency', load.efficiency, 0.01, 1),
          beyond('moving mass, g', load.massG, TINY, 100_000),
          beyond('guides’ friction, N', load.guideN, 0, 1000),
          beyond('share more from rest', load.restShare, 0, 10),
          beyond('speed of the guides’ film, mm/s', load.stribeckMmPerS, TINY, 10_000),
          beyond('grease, N·s/mm', load.viscousNsPerMm, 0, 100),
          beyond('travel, mm', load.travelMm, TINY, 5000),
          beyond('end stop’s stiffness, N/mm', load.stopNPerMm, TINY, 10_000),
          beyond('end stop’s damping, N·s/mm', load.stopNsPerMm, 0, 1000),
          ...load.places.map((one) => beyond(`force where it ${one.kind} (${one.name}), N`, one.forceN, 0, 1000)),
        ]),
    beyond('switch’s place, mm', endSwitch.atMm, 0, 5000),
    beyond('share of times that a dirty switch works', endSwitch.dirtyWorks, 0, 1),
    beyond('time-out, s', controller.timeOutS, 0.05, 120),
    beyond('room, °C', on.roomC, -30, 70),
    beyond('supply, share', on.supply, 0, 3),
    beyond('hours since it last ran', on.idleHours, 0, 1e6),
    beyond('hand’s force, N', on.helpN, -1000, 1000),
  ];
  return all.find((problem) => problem !== '') ?? '';
}
