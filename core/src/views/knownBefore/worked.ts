import { feelChange, isCure, pullChange, pullChangeWords, slipChange, type Place } from '../../work/cleaning';
import { AGENT_NAMES } from '../../work/compatibility';
import { driveFactsOf, type Ticket } from '../../record/ticket';

/** A treatment that worked on an earlier machine of the kind, as it can be said again. */
export interface WorkedBefore {
  /** The number of its ticket. */
  readonly number: string;
  /** The line that says it. */
  readonly line: string;
  /** What speaks for it. */
  readonly because: string;
}

/** What was done at a place, as one line. */
function lineOf(ticket: Ticket, place: Place): string | undefined {
  const done = ticket.cleaning.treatments.filter((one) => one.placeId === place.id && isCure(one));
  const parts = [
    ...(done.some(({ deed }) => deed === 'oldGreaseOff') ? ['old grease off'] : []),
    ...new Set(done.flatMap(({ agent, deed }) => (agent && deed !== 'oldGreaseOff' ? [AGENT_NAMES[agent]] : []))),
  ];
  return parts.length === 0 ? undefined : `${place.name} ${parts.join(', ')}`;
}

/** Why what was done on a machine is said to have worked; undefined where nothing tells. */
function because(ticket: Ticket): string | undefined {
  for (const drive of ticket.drives) {
    const { trayPullBefore: before, trayPull: after } = driveFactsOf(drive);
    if (before && after && pullChange(before, after).change === 'better') return pullChangeWords(before, after);
    const own = <T extends { readonly driveId: string }>(tests: readonly T[]): T[] =>
      tests.filter(({ driveId }) => driveId === drive.id);
    if (slipChange(own(ticket.cleaning.slipTests)) === 'better') return 'the belt slipped before and held after';
    if (feelChange(own(ticket.cleaning.feelTests)) === 'better') return 'it ran freer by hand after';
  }
  return ticket.complaints.some(({ state }) => state === 'cured') && ticket.closedAt !== null
    ? 'its complaint was cured'
    : undefined;
}

/**
 * What worked on earlier machines of this kind, newest first, each said once.
 *
 * @param past tickets of the same machine or mechanism, newest first
 * @example workedBefore([ticket])[0]?.line // undefined
 */
export function workedBefore(past: readonly Ticket[]): readonly WorkedBefore[] {
  const all = past.flatMap((ticket): WorkedBefore[] => {
    const why = because(ticket);
    if (!why) return [];
    return ticket.cleaning.places.flatMap((place) => {
      const line = lineOf(ticket, place);
      return line ? [{ number: ticket.number, line, because: why }] : [];
    });
  });
  return all.filter(({ line }, at) => all.findIndex((one) => one.line === line) === at);
}
