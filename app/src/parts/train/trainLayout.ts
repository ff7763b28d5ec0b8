import { drivingTeeth, driversOf, type Member } from '@loose-pulley/core/physics/train';

/** Where a member is drawn. Lengths in mm, y upwards; angles anticlockwise. */
export interface PlacedMember {
  readonly member: Member;
  readonly x: number;
  readonly y: number;
  /** Pitch radius of what its driver meshes with, and of what drives the next. */
  readonly radius: number;
  readonly second: number;
  /** The module that it is drawn with, known or not. */
  readonly moduleMm: number;
  readonly known: boolean;
  /** Angle of its first tooth while the motor stands at 0; of its second wheel too. */
  readonly phase: number;
  readonly secondPhase: number;
}

export interface TrainLayout {
  readonly placed: readonly PlacedMember[];
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** Drawn so until its module is known. */
const USUAL_MODULE_MM = 0.8;
/** What is no gear is drawn of this size. */
const PLAIN_RADIUS_MM = 4;
const WORM_MM = 8;

/** Ways on from one member to the next, so that a long train does not run off in a line. */
const WAYS_RAD = [0, -0.6, 0.7, -0.4, 0.5] as const;

/** A belt drive's own sizes, by drive, for its place in the drawing. */
export type BeltSizes = Readonly<
  Record<string, { readonly motorMm: number; readonly drivenMm: number; readonly centreMm: number } | undefined>
>;
export const USUAL_BELT = { motorMm: 6, drivenMm: 24, centreMm: 38 } as const;

/** The angle at which a driven wheel has a gap where its driver has a tooth. */
function meshPhase(
  way: number,
  driverPhase: number,
  driverTeeth: number,
  driverRadius: number,
  teeth: number,
  radius: number,
): number {
  if (driverTeeth < 1 || teeth < 1) return 0;
  const pitch = (2 * Math.PI) / driverTeeth;
  // From the line of centres to the driver's nearest tooth.
  const off = (((driverPhase - way) % pitch) + pitch) % pitch;
  return way + Math.PI - (off * driverRadius) / radius + Math.PI / teeth;
}

/**
 * Lays a train out from the motor on: gears at the distance at which they mesh, teeth in gaps, coaxial wheels on one
 * another, a rack along the last wheel.
 *
 * @example trainLayout([], {}).placed // []
 */
export function trainLayout(members: readonly Member[], belts: BeltSizes): TrainLayout {
  const placed: PlacedMember[] = [];
  members.forEach((member, at) => {
    const driver = placed.find((one) => one.member.id === driversOf(members, member)[0]?.id);
    const next = members[at + 1];
    const moduleMm =
      member.moduleMm ??
      (driver && driver.member.kind !== 'doubleGear' ? driver.moduleMm : null) ??
      next?.moduleMm ??
      USUAL_MODULE_MM;
    const radiusOf = (teeth: number): number => (teeth > 0 ? (moduleMm * teeth) / 2 : PLAIN_RADIUS_MM);
    // A motor with a belt on it is its pulley.
    const onward = next?.kind === 'beltDrive' ? (belts[next.driveId ?? ''] ?? USUAL_BELT) : undefined;
    const belt = member.kind === 'beltDrive' ? (belts[member.driveId ?? ''] ?? USUAL_BELT) : undefined;
    const round = member.kind === 'rollers' || member.kind === 'drum';
    const radius = belt
      ? belt.drivenMm / 2
      : round
        ? (member.diameterMm ?? 8) / 2
        : member.kind === 'rack'
          ? 0
          : member.kind === 'motor' && onward
            ? onward.motorMm / 2
            : radiusOf(member.teeth);
    const second = member.kind === 'doubleGear' || belt ? radiusOf(member.second) : radius;
    const known = member.moduleMm !== null || round || belt !== undefined || member.teeth === 0;
    if (!driver) {
      placed.push({
        member,
        x: 0,
        y: 0,
        radius,
        second,
        moduleMm,
        known,
        phase: Math.PI / 2,
        secondPhase: Math.PI / 2,
      });
      return;
    }
    const way = WAYS_RAD[placed.length % WAYS_RAD.length] ?? 0;
    const drives = driver.second;
    const apart = belt
      ? belt.centreMm
      : member.kind === 'worm'
        ? driver.radius + WORM_MM
        : member.kind === 'rack'
          ? 0
          : round
            ? drives + radius + 3
            : driver.member.kind === 'worm'
              ? radius + 3
              : drives + radius;
    const heading = belt || member.kind === 'worm' ? 0 : way;
    const x = driver.x + apart * Math.cos(heading);
    const y = member.kind === 'rack' ? driver.y + drives : driver.y + apart * Math.sin(heading);
    const phase =
      belt || round || member.kind === 'rack' || member.kind === 'worm'
        ? Math.PI / 2
        : meshPhase(
            heading,
            driver.secondPhase,
            driver.member.kind === 'beltDrive' ? driver.member.second : drivingTeeth(driver.member),
            drives,
            member.teeth,
            radius,
          );
    placed.push({ member, x, y, radius, second, moduleMm, known, phase, secondPhase: phase });
  });
  const edge = (of: (one: PlacedMember, reach: number) => number, pick: (...list: number[]) => number): number =>
    placed.length === 0 ? 0 : pick(...placed.map((one) => of(one, Math.max(one.radius, one.second) + one.moduleMm)));
  return {
    placed,
    left: edge(({ x }, reach) => x - reach, Math.min),
    right: edge(({ x, member }, reach) => x + reach + (member.kind === 'rack' ? 30 : 0), Math.max),
    bottom: edge(({ y }, reach) => y - reach, Math.min),
    top: edge(({ y }, reach) => y + reach, Math.max),
  };
}
