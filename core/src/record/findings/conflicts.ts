import { isCure } from '../../work/cleaning';
import { findingsOf, type Finding, type Found } from './ledger';
import { rowOf } from './rows';

/** Two findings that cannot both be so: they stand side by side until a hand says which is. */
export interface Conflict {
  readonly one: Finding;
  readonly other: Finding;
}

const against = (a: Finding, b: Finding): boolean =>
  a.thing === b.thing &&
  a.driveId === b.driveId &&
  (rowOf(a.kind).against.includes(b.kind) || rowOf(b.kind).against.includes(a.kind));

/** Whether something was done there between the two: then the later one is how it is since. */
function changedBetween({ cleaning }: Found, a: Finding, b: Finding): boolean {
  const [from = '', to = ''] = [a.at, b.at].sort();
  if (from === '' || to === '') return false;
  const places = new Set([a.placeId, b.placeId]);
  // A pulley cleaned changes how its belt slips.
  const ofDrive = new Set(
    cleaning.places.flatMap(({ id, driveId }) => (driveId !== null && driveId === a.driveId ? [id] : [])),
  );
  return cleaning.treatments.some(
    (done) =>
      done.at >= from &&
      done.at <= to &&
      (places.has(done.placeId) || (done.placeId !== null && ofDrive.has(done.placeId))) &&
      isCure(done),
  );
}

/**
 * What was found and cannot all be so: a belt that is firm at Find and in crumbs at Strip. Nothing is averaged and nothing
 * is silently the newest; after a treatment, or once another belt is in, the later word stands.
 *
 * @example conflictsOf(ticket) // []
 */
export function conflictsOf(found: Found): readonly Conflict[] {
  const findings = findingsOf(found);
  const renewed = new Set(found.drives.filter(({ tries }) => tries.length > 0).map(({ id }) => id));
  const conflicts = findings.flatMap((one, at) =>
    findings
      .slice(at + 1)
      .filter((other) => against(one, other) && !changedBetween(found, one, other))
      .map((other) => ({ one, other })),
  );
  // What was seen or tried leads over what was only told.
  const leads = ({ one, other }: Conflict): Conflict =>
    one.how === 'told' && other.how !== 'told' ? { one: other, other: one } : { one, other };
  // One question of each thing: what is answered there may answer the others.
  return conflicts
    .map(leads)
    .filter(
      ({ one }, at) =>
        !(one.thing === 'belt' && one.driveId !== null && renewed.has(one.driveId)) &&
        at === conflicts.findIndex((two) => two.one.thing === one.thing && two.one.driveId === one.driveId),
    );
}

/** What of a settled pair is kept and what is dropped, as it is recorded. */
export const settlementOf = (kept: Finding, dropped: Finding, at: string) => ({
  thing: kept.thing,
  driveId: kept.driveId,
  kept: kept.kind,
  dropped: dropped.kind,
  at,
});
