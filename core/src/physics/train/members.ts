import type { Member, MemberKind } from './schema';

/** A member before it has its id and number. */
export type MemberDraft = Omit<Member, 'id' | 'number'>;

/** A member of which nothing is known but its kind. */
export const blankMember = (kind: MemberKind, more: Partial<MemberDraft> = {}): MemberDraft => ({
  kind,
  name: '',
  teeth: 0,
  second: 0,
  moduleMm: null,
  shift: null,
  diameterMm: null,
  driveId: null,
  from: [],
  stepId: null,
  faults: [],
  reference: '',
  ...more,
});

/** What a member chosen by touch has until it is counted: what is drawn is seen to be wrong, and changed. No source. */
const GUESSED: Readonly<Partial<Record<MemberKind, Partial<MemberDraft>>>> = {
  motor: { teeth: 10 },
  beltDrive: { second: 10 },
  gear: { teeth: 24 },
  doubleGear: { teeth: 24, second: 10 },
  cam: { teeth: 24 },
  worm: { teeth: 1 },
};

/**
 * A member of a kind, with teeth to be changed.
 *
 * @param driveId the belt drive that it is, where it is one
 * @example guessedMember('worm', null).teeth // 1
 */
export const guessedMember = (kind: MemberKind, driveId: string | null): MemberDraft =>
  blankMember(kind, { ...GUESSED[kind], driveId: kind === 'beltDrive' ? driveId : null });

/** Where the members of a train are put in order. */
interface Placing {
  readonly standing: readonly Member[];
  /** The belt drives of the ticket: its belts have them in their order. */
  readonly driveIds: readonly string[];
  readonly newId: () => string;
}

/** Belts have the drives of the ticket in their order; the last ones have none when there are more. */
function withDrives<T extends MemberDraft>(members: readonly T[], driveIds: readonly string[]): readonly T[] {
  let next = 0;
  return members.map((one) => (one.kind === 'beltDrive' ? { ...one, driveId: driveIds[next++] ?? null } : one));
}

/** Whether a member as typed may be the one that stands: the same but for what is not typed. */
const mayBe = (old: Member, draft: MemberDraft): boolean =>
  old.kind === draft.kind &&
  old.teeth === draft.teeth &&
  (old.second === draft.second || (draft.kind === 'beltDrive' && draft.second === 0)) &&
  (draft.moduleMm === null || old.moduleMm === null || old.moduleMm === draft.moduleMm);

/**
 * The members of a train that was typed. One that stands already, counted from the motor or from the other end, keeps what
 * was said of it: its number on Strip, its faults, its reference.
 *
 * For instance membersOf(drafts, { standing: [], driveIds: [], newId: nanoid })[0].number: 1
 */
export function membersOf(drafts: readonly MemberDraft[], { standing, driveIds, newId }: Placing): readonly Member[] {
  const left = new Set(standing);
  const longer = standing.length - drafts.length;
  return withDrives(drafts, driveIds).map((draft, at): Member => {
    const old = [standing[at], standing[at + longer]].find((one) => one && left.has(one) && mayBe(one, draft));
    if (!old) return { ...draft, id: newId(), number: at + 1 };
    left.delete(old);
    return {
      ...old,
      number: old.stepId === null ? at + 1 : old.number,
      moduleMm: draft.moduleMm ?? old.moduleMm,
      diameterMm: draft.diameterMm ?? old.diameterMm,
    };
  });
}

/**
 * The train of a sister machine, for this one: its gears, and nothing of what was wrong with that machine.
 *
 * @example ofSister(members, ['a'])[0].faults // []
 */
export const ofSister = (members: readonly Member[], driveIds: readonly string[]): readonly Member[] =>
  withDrives(
    members.map((one) => ({ ...one, stepId: null, faults: [] })),
    driveIds,
  );
