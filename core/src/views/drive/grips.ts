import { knownOf, type Found } from '../../record/findings';

/**
 * Whether fingers could not make the old belt of a drive slip, as it was last tried: it may be kept, whatever its length says.
 *
 * @returns where that was said; undefined where it slips, or was not tried
 * For instance gripsNow(ticket, 'drive-a'): 'slip at Clean'
 */
export function gripsNow(found: Found, driveId: string): string | undefined {
  const last = knownOf(found)
    .filter(
      ({ kind, driveId: of }) =>
        (kind === 'beltGrips' || kind === 'beltSlips') &&
        (of === driveId || (of === null && found.drives.length === 1)),
    )
    .reduce<{ readonly kind: string; readonly at: string; readonly from: string } | undefined>(
      (latest, one) => (latest === undefined || one.at >= latest.at ? one : latest),
      undefined,
    );
  return last?.kind === 'beltGrips' ? last.from : undefined;
}
