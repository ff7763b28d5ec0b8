import { ok, refuse, type Result } from '../../base/units';
import { memberWords } from './words';
import type { Member, Train } from './schema';

/** Turns of the driven pulley for one of the motor pulley, by drive: (D_motor + t′)/(D_driven + t′), and whether it is crossed. */
export type BeltRatios = Readonly<Record<string, { readonly ratio: number; readonly crossed: boolean } | undefined>>;

/** How one member turns as the motor turns once. */
export interface MemberTurn {
  readonly member: Member;
  /** Turns for one turn of the motor, with the sign of its direction: plus as the motor. */
  readonly turns: number;
}

export interface TrainFigures {
  readonly turns: readonly MemberTurn[];
  /** Travel of the rack, rollers or wire for one turn of the motor; undefined where the train ends in none, or its size is not known. */
  readonly travelPerTurnMm: number | undefined;
  /** Turns of the motor from end to end. */
  readonly turnsEndToEnd: number | undefined;
  /** Seconds from end to end at the motor's speed. */
  readonly opensInS: number | undefined;
}

/** Why a train cannot turn, at which member. */
export interface TrainProblem {
  readonly memberId: string;
  readonly words: string;
}

const LINEAR: ReadonlySet<Member['kind']> = new Set(['rack', 'rollers', 'drum']);
/** Two ways round that turn a member differently by more than this lock. */
const SAME = 1e-9;

/** Teeth with which a member drives the next: the second of a double gear. */
export const drivingTeeth = ({ kind, teeth, second }: Member): number => (kind === 'doubleGear' ? second : teeth);

/**
 * What drives a member: what was said, else the member before it.
 *
 * @example driversOf(members, members[1]).length // 1
 */
export function driversOf(members: readonly Member[], member: Member): readonly Member[] {
  const said = members.filter(({ id }) => member.from.includes(id));
  if (said.length > 0 || member.kind === 'motor') return said;
  const before = members[members.findIndex(({ id }) => id === member.id) - 1];
  return before ? [before] : [];
}

/** Turns of a member for one of its driver, with sign; or why it cannot be driven by it. */
function ratioOf(driver: Member, member: Member, belts: BeltRatios): Result<number> {
  const name = memberWords(member);
  if (member.kind === 'beltDrive') {
    const belt = member.driveId === null ? undefined : belts[member.driveId];
    if (!belt) return refuse(`The ${name}: measure both of its pulleys, and it is known.`);
    return ok(belt.crossed ? -belt.ratio : belt.ratio);
  }
  if (member.kind === 'motor') return refuse(`The ${name} drives, and is driven by nothing.`);
  const driving = driver.kind === 'beltDrive' ? driver.second : drivingTeeth(driver);
  if (member.kind === 'worm') {
    // A worm sits on its driver's shaft.
    return ok(1);
  }
  if (LINEAR.has(member.kind)) {
    if (member.kind !== 'rack') return ok(1);
    return driving >= 4
      ? ok(1)
      : refuse(`The ${name} needs a pinion of 4 teeth or more before it; ${memberWords(driver)} has ${driving}.`);
  }
  if (driver.kind === 'worm') {
    if (member.teeth < 6) return refuse(`The ${name}: a wheel on a worm has 6 teeth or more; read ${member.teeth}.`);
    return ok(driver.teeth / member.teeth);
  }
  for (const [of, teeth] of [
    [member, member.teeth],
    [driver, driving],
  ] as const)
    if (teeth < 4)
      return refuse(
        `${memberWords(of)}: a gear has 4 teeth or more; read ${teeth}. ${of.kind === 'beltDrive' ? 'Say how many its pinion has: belt 12T.' : 'Count them again.'}`,
      );
  if (
    driver.moduleMm !== null &&
    member.moduleMm !== null &&
    driver.kind !== 'doubleGear' &&
    member.kind !== 'doubleGear' &&
    Math.abs(driver.moduleMm - member.moduleMm) > 1e-6
  )
    return refuse(
      `${memberWords(driver)} and ${memberWords(member)} are of different modules, ${driver.moduleMm} and ${member.moduleMm}: they do not mesh.`,
    );
  return ok(-driving / member.teeth);
}

/**
 * How a train turns: each member's turns and direction, travel, turns by hand, opening time.
 *
 * @returns the figures, or where it cannot turn and why: two ways of different ratio lock it
 * @example trainFigures(ticket.train, {}).value.turns[1].turns // -0.25
 */
export function trainFigures(
  { members, travelMm, motorRpm }: Pick<Train, 'members' | 'travelMm' | 'motorRpm'>,
  belts: BeltRatios,
): { readonly ok: true; readonly value: TrainFigures } | { readonly ok: false; readonly problem: TrainProblem } {
  const turns = new Map<string, number>();
  let travelPerTurnMm: number | undefined;
  for (const member of members) {
    const drivers = driversOf(members, member);
    if (drivers.length === 0) {
      turns.set(member.id, 1);
      continue;
    }
    let own: number | undefined;
    for (const driver of drivers) {
      const before = turns.get(driver.id);
      if (before === undefined)
        return {
          ok: false,
          problem: {
            memberId: member.id,
            words: `${memberWords(member)} is driven by ${memberWords(driver)}, which comes after it.`,
          },
        };
      const ratio = ratioOf(driver, member, belts);
      if (!ratio.ok) return { ok: false, problem: { memberId: member.id, words: ratio.problem } };
      const turned = before * ratio.value;
      if (own !== undefined && Math.abs(own - turned) > SAME * Math.max(1, Math.abs(own)))
        return {
          ok: false,
          problem: {
            memberId: member.id,
            words: `${memberWords(member)} is turned ${own.toFixed(3)} and ${turned.toFixed(3)} times by its two drivers: the train locks. Count their teeth again.`,
          },
        };
      own ??= turned;
      if (member.kind === 'rack' && member.moduleMm !== null)
        travelPerTurnMm =
          Math.abs(before) *
          Math.PI *
          member.moduleMm *
          (driver.kind === 'beltDrive' ? driver.second : drivingTeeth(driver));
      if ((member.kind === 'rollers' || member.kind === 'drum') && member.diameterMm !== null)
        travelPerTurnMm = Math.abs(before) * Math.PI * member.diameterMm;
    }
    turns.set(member.id, own ?? 1);
  }
  const turnsEndToEnd = travelMm !== null && travelPerTurnMm ? travelMm / travelPerTurnMm : undefined;
  return {
    ok: true,
    value: {
      turns: members.map((member) => ({ member, turns: turns.get(member.id) ?? 0 })),
      travelPerTurnMm,
      turnsEndToEnd,
      opensInS: turnsEndToEnd !== undefined && motorRpm ? (60 * turnsEndToEnd) / motorRpm : undefined,
    },
  };
}

/** A member that may make so many clicks over a full travel. */
export interface ClickFrom {
  readonly member: Member;
  readonly turns: number;
}

/**
 * Which member clicks so many times over a full travel: the one that turns as often, the nearest first.
 *
 * @param turns of each member a turn of the motor, of a train whose travel end to end is known
 * @example clicksFrom(trainFigures(ticket.train, {}).value, 12) // []
 */
export function clicksFrom({ turns, turnsEndToEnd }: TrainFigures, clicks: number): readonly ClickFrom[] {
  if (turnsEndToEnd === undefined || !(clicks > 0)) return [];
  return (
    turns
      .filter(({ member: { kind } }) => !LINEAR.has(kind))
      .map(({ member, turns: each }) => ({ member, turns: Math.abs(each) * turnsEndToEnd }))
      // Counting is right to one, and to a twentieth of many.
      .filter(({ turns: each }) => Math.abs(each - clicks) <= Math.max(1, 0.05 * clicks))
      .sort((a, b) => Math.abs(a.turns - clicks) - Math.abs(b.turns - clicks))
  );
}

/**
 * Counted against computed travel per turn: whether they agree, and what would explain it where they do not.
 *
 * @param countedMm by ten turns of the motor pulley, with its standard uncertainty
 */
export function againstCounted(
  train: Pick<Train, 'members' | 'travelMm' | 'motorRpm'>,
  belts: BeltRatios,
  countedMm: { readonly value: number; readonly std: number },
): { readonly agrees: boolean; readonly explained: readonly string[] } | undefined {
  const figures = trainFigures(train, belts);
  if (!figures.ok || figures.value.travelPerTurnMm === undefined) return undefined;
  const computed = figures.value.travelPerTurnMm;
  const within = (value: number): boolean =>
    Math.abs(value - countedMm.value) <= 2 * Math.hypot(countedMm.std, 0.01 * value);
  if (within(computed)) return { agrees: true, explained: [] };
  const explained: string[] = [];
  for (const member of train.members) {
    if (member.kind === 'beltDrive' || LINEAR.has(member.kind)) continue;
    for (const key of ['teeth', 'second'] as const) {
      if (member[key] < 4) continue;
      for (const off of [-1, 1, -2, 2]) {
        const teeth = member[key] + off;
        const tried = trainFigures(
          { ...train, members: train.members.map((one) => (one.id === member.id ? { ...one, [key]: teeth } : one)) },
          belts,
        );
        if (tried.ok && tried.value.travelPerTurnMm !== undefined && within(tried.value.travelPerTurnMm))
          explained.push(`${memberWords(member)} counted ${member[key]}, and it has ${teeth}`);
      }
    }
  }
  const factor = computed / countedMm.value;
  if (explained.length === 0)
    explained.push(
      factor > 1
        ? `a member is missing that slows it ${factor.toFixed(2)} times, such as a double gear`
        : `a member is one too many, or a double gear was entered the other way round: it should be ${(1 / factor).toFixed(2)} times as fast`,
    );
  return { agrees: false, explained: explained.slice(0, 4) };
}
