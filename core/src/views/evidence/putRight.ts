import { feelChange, isCure, placeState, pullChange, slipChange, type PlaceKind } from '../../work/cleaning';
import { driveFactsOf, type Ticket } from '../../record/ticket';

/** A cause that a treatment seems to have put right: offered as a verdict, and one key takes it. */
export interface PutRight {
  readonly causeId: string;
  /** What speaks for it. */
  readonly because: string;
}

/**
 * The causes that what was cleaned and measured seems to have put right. Only what was better afterwards by a test that
 * can tell: cleaning alone proves nothing. Verdicts that were given are not offered.
 *
 * @example putRight(ticket) // []
 */
export function putRight(ticket: Ticket): readonly PutRight[] {
  const { cleaning, drives } = ticket;
  const given = new Set(ticket.verdicts.map(({ causeId }) => causeId));
  const treated = (...kinds: readonly PlaceKind[]) =>
    cleaning.places.filter(
      (place) =>
        kinds.includes(place.kind) && cleaning.treatments.some((one) => one.placeId === place.id && isCure(one)),
    );
  const found: PutRight[] = [];
  for (const drive of drives) {
    const { id } = drive;
    const { trayPullBefore: before, trayPull: after } = driveFactsOf(drive);
    const byScale = before && after && pullChange(before, after).change === 'better';
    const byFeel = feelChange(cleaning.feelTests.filter(({ driveId }) => driveId === id)) === 'better';
    if ((byScale || byFeel) && treated('rod', 'guide', 'rack', 'gear', 'bushing', 'shaft', 'spindle').length > 0)
      found.push({
        causeId: 'guidesDry',
        because: byScale
          ? `the pull went from ${before.value.toFixed(1)} to ${after.value.toFixed(1)} N`
          : 'it runs freer by hand',
      });
    const slipped = slipChange(cleaning.slipTests.filter(({ driveId }) => driveId === id)) === 'better';
    const own = treated('belt', 'motorPulley', 'drivenPulley').filter(({ driveId }) => driveId === id);
    if (slipped && own.some(({ seen }) => seen.some(({ dirt }) => dirt === 'oily' || dirt === 'sludge')))
      found.push({ causeId: 'beltOily', because: 'it slipped before it was washed, and holds now' });
    else if (slipped && own.some(({ seen }) => seen.some(({ dirt }) => dirt === 'glazed')))
      found.push({ causeId: 'beltGlazed', because: 'it slipped before it was cleaned, and holds now' });
  }
  const rollers = treated('roller').filter((place) => placeState(place, cleaning.treatments, null).tacky);
  if (rollers.length > 0) found.push({ causeId: 'rollersDirty', because: 'the rollers are tacky again' });
  if (cleaning.jam?.out)
    found.push({
      causeId: /\bdis[ck]s?\b/i.test(cleaning.jam.what) ? 'discJammed' : 'loosePart',
      because: 'it is out',
    });
  return found.filter(
    ({ causeId }, at) => !given.has(causeId) && found.findIndex((one) => one.causeId === causeId) === at,
  );
}
