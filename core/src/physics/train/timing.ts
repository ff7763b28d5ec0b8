import type { Member } from './schema';
import { drivingTeeth, trainFigures, type BeltRatios } from './compute';
import type { Train } from './schema';

/** What it does to be so many teeth out at a member. */
export interface ToothOut {
  readonly member: Member;
  readonly teeth: number;
  /** How much earlier the tray stands; minus is later. */
  readonly earlyMm: number;
}

/** Members whose place against their driver can be wrong: those that mesh. */
export const timed = (members: readonly Member[]): readonly Member[] =>
  members.filter(
    ({ kind, teeth }) =>
      (kind === 'gear' || kind === 'doubleGear' || kind === 'cam' || kind === 'rack') && (teeth > 0 || kind === 'rack'),
  );

/**
 * What one tooth does at a member: the way that the tray moves as its driver goes on by one tooth. At the rack that is
 * π·m; further up as much, times the ratio onward.
 *
 * @returns mm of the tray for one tooth; undefined where the travel is not known
 */
export function toothMm(
  train: Pick<Train, 'members' | 'travelMm' | 'motorRpm'>,
  belts: BeltRatios,
  memberId: string,
): number | undefined {
  const figures = trainFigures(train, belts);
  if (!figures.ok || figures.value.travelPerTurnMm === undefined) return undefined;
  const { members } = train;
  const at = members.findIndex(({ id }) => id === memberId);
  const member = members[at];
  if (!member) return undefined;
  const before = members[at - 1];
  if (member.kind === 'rack' && before) {
    const teeth = before.kind === 'beltDrive' ? before.second : drivingTeeth(before);
    const turns = Math.abs(figures.value.turns.find((one) => one.member.id === before.id)?.turns ?? 0);
    return turns > 0 ? figures.value.travelPerTurnMm / turns / teeth : undefined;
  }
  const turns = Math.abs(figures.value.turns[at]?.turns ?? 0);
  // One tooth is 1/z of its turn; the tray goes as far as it does in that.
  return turns > 0 && member.teeth > 0 ? figures.value.travelPerTurnMm / turns / member.teeth : undefined;
}

/**
 * The wrong meshings that look right: so many teeth at a member bring every mark of the later ones back to its place, and
 * are wrong all the same. They are the whole turns of each later member, in teeth of this one.
 *
 * @param markedIds members that carry a mark which would show it
 * For instance looksRight(members, id, marks): [28]: a whole turn of the next gear
 */
export function looksRight(
  members: readonly Member[],
  memberId: string,
  markedIds: readonly string[],
): readonly number[] {
  const at = members.findIndex(({ id }) => id === memberId);
  const member = members[at];
  if (!member || member.teeth < 2) return [];
  // Turns of each later member for a tooth of this one.
  let perTooth = 1 / member.teeth;
  const marked: number[] = markedIds.includes(member.id) ? [perTooth] : [];
  let before: Member = member;
  for (const next of members.slice(at + 1)) {
    if (next.kind === 'rack' || next.kind === 'rollers' || next.kind === 'drum' || next.teeth < 1) break;
    perTooth *= drivingTeeth(before) / next.teeth;
    if (markedIds.includes(next.id)) marked.push(perTooth);
    before = next;
  }
  if (marked.length === 0) return [];
  const found: number[] = [];
  for (let teeth = 1; teeth <= 4000 && found.length < 3; teeth++)
    if (marked.every((each) => Math.abs(teeth * each - Math.round(teeth * each)) < 1e-9)) found.push(teeth);
  return found;
}

/**
 * What a trial says of the next: by how much the tray was early, over what a tooth does, as whole teeth the other way.
 *
 * @example nextTrial({ toothMm: 2.5, triedTeeth: 1, earlyMm: 2.4 }) // 0
 */
export function nextTrial({
  toothMm: perTooth,
  triedTeeth,
  earlyMm,
}: {
  readonly toothMm: number;
  readonly triedTeeth: number;
  readonly earlyMm: number;
}): number {
  const off = Math.round(earlyMm / perTooth);
  const next = triedTeeth - off;
  return next === 0 ? 0 : next;
}

/** Offsets add as the teeth do: so many at one member and so many at another are one place of the tray. */
export const placeOf = (outs: ReadonlyArray<Pick<ToothOut, 'teeth'> & { readonly toothMm: number }>): number =>
  outs.reduce((sum, { teeth, toothMm: each }) => sum + teeth * each, 0);

/** Play of one mesh of small moulded gears, mm, until it is measured. No source. */
export const PLAY_MM = 0.1;

/**
 * Play at the tray: that of each mesh, carried on by the ratio to the tray, added up. Upstream play counts for little.
 *
 * @param perMeshMm play of one mesh at its pitch line
 * @returns mm; undefined where a module or the travel is not known
 */
export function playAtEndMm(
  train: Pick<Train, 'members' | 'travelMm' | 'motorRpm'>,
  belts: BeltRatios,
  perMeshMm: number,
): number | undefined {
  let sum = 0;
  for (const member of timed(train.members)) {
    const each = toothMm(train, belts, member.id);
    const moduleMm = moduleOf(train.members, member);
    if (each === undefined || moduleMm === undefined) return undefined;
    // A tooth is a pitch of π·m: so much of the tray for a millimetre there.
    sum += (perMeshMm * each) / (Math.PI * moduleMm);
  }
  return sum;
}

/** The module that a member meshes with its driver at: its own, or what its driver or its mate onward is known to have. */
function moduleOf(members: readonly Member[], member: Member): number | undefined {
  if (member.moduleMm !== null) return member.moduleMm;
  const at = members.indexOf(member);
  const [before, after] = [members[at - 1], members[at + 1]];
  if (before && before.kind !== 'doubleGear' && before.moduleMm !== null) return before.moduleMm;
  return member.kind !== 'doubleGear' && after?.moduleMm ? after.moduleMm : undefined;
}
