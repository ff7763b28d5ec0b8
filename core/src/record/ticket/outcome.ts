import { shapeOf } from '../../base/shapes';
import { STATIONS, stationOfEvent, type Try } from '../stations';
import type { Ticket, TicketEvent } from './schema';

/* What a ticket says to the log: where its time went, what was wrong, and what put it right. */

/** A pause longer than this is a break: nobody was at the machine. Our guess, no source. */
const BREAK_MIN = 30;

/**
 * Minutes of hands at each station, in working order: the time up to each thing said is that station's, breaks left out.
 *
 * @example workOf(events) // [22, 11, 11, 12, 8, 6, 16, 10, 9]
 */
export function workOf(events: readonly TicketEvent[]): readonly number[] {
  const minutes = STATIONS.map(() => 0);
  let last: TicketEvent | undefined;
  let station = 0;
  for (const event of events) {
    const at = stationOfEvent(event as { readonly type: string });
    if (at) station = STATIONS.indexOf(at);
    const gap = last ? (Date.parse(event.at) - Date.parse(last.at)) / 60_000 : 0;
    // A clock set back counts nothing.
    if (gap > 0 && gap <= BREAK_MIN) minutes[station] = (minutes[station] ?? 0) + gap;
    last = event;
  }
  return minutes.map((one) => Math.round(10 * one) / 10);
}

/** Causes that the technician has called found, or cured. */
export const causesOf = ({ verdicts }: Ticket, state: 'found' | 'cured'): readonly string[] =>
  verdicts
    .filter((one) => one.state === state || (state === 'found' && one.state === 'cured'))
    .map(({ words }) => words);

/** What puts a drive right, as the log counts how long it lasts. */
export const REMEDY_KINDS = ['newBelt', 'ring', 'cleaned', 'shrunk', 'stretched', 'band'] as const;
export type RemedyKind = (typeof REMEDY_KINDS)[number];

export const REMEDY_KIND_NAMES: Readonly<Record<RemedyKind, string>> = {
  newBelt: 'new belt',
  ring: 'ring',
  cleaned: 'cleaned, old belt kept',
  shrunk: 'old belt shrunk by warmth',
  stretched: 'smaller belt stretched',
  band: 'household band',
};

/** A drive that was put right, how, and with what. */
export interface Remedied {
  readonly driveId: string;
  readonly mechanism: string;
  readonly kind: RemedyKind;
  /** Where a belt was fitted: what tells it from another. */
  readonly belt?: Pick<Try, 'shape' | 'thicknessMm' | 'widthMm' | 'innerLengthMm'>;
}

/** By the words under which a belt was logged, which the app itself writes. */
const KIND_OF_SOURCE: ReadonlyArray<readonly [RegExp, RemedyKind]> = [
  [/\bband\b/i, 'band'],
  [/warm/i, 'shrunk'],
  [/stretch/i, 'stretched'],
  [/keep and clean|old belt/i, 'cleaned'],
];

/**
 * Where a belt on the pulleys comes from: a new one, a ring, the old one kept or warmed, a smaller one stretched, a band.
 *
 * @example remedyOf({ ...tried('t', 116), source: 'keep and clean' }) // 'cleaned'
 */
export const remedyOf = ({ source, shape }: Pick<Try, 'source' | 'shape'>): RemedyKind =>
  KIND_OF_SOURCE.find(([words]) => words.test(source))?.[1] ?? (shapeOf(shape).soldAs === 'rings' ? 'ring' : 'newBelt');

/**
 * What put each drive right: the last belt judged right, by where it came from; else, where the drive’s belt stayed and
 * something was cleaned, that. Nothing is said of a drive that was not put right.
 */
export function remediesOf(ticket: Ticket): readonly Remedied[] {
  if (ticket.closedAt === null) return [];
  const washed = ticket.cleaning.treatments.some(({ deed }) => deed === 'wipe' || deed === 'wash' || deed === 'soak');
  return ticket.drives.flatMap(({ id, name, mechanism, tries }): Remedied[] => {
    const right = tries.findLast(({ verdict }) => verdict === 'right');
    if (right) {
      const { shape, thicknessMm, widthMm, innerLengthMm } = right;
      return [{ driveId: id, mechanism, kind: remedyOf(right), belt: { shape, thicknessMm, widthMm, innerLengthMm } }];
    }
    if (new RegExp(`drive ${name}: an office band`, 'i').test(ticket.handBack.provisional))
      return [{ driveId: id, mechanism, kind: 'band' }];
    return washed && tries.length === 0 && ticket.drives.length === 1
      ? [{ driveId: id, mechanism, kind: 'cleaned' }]
      : [];
  });
}

/** A belt that was tried on a mechanism, and whether it was right. */
export interface Judged {
  readonly mechanism: string;
  readonly belt: NonNullable<Remedied['belt']>;
  readonly right: boolean;
}

/** Every bought belt of a ticket that was judged. */
export const judgedOf = ({ drives }: Ticket): readonly Judged[] =>
  drives.flatMap(({ mechanism, tries }) =>
    tries
      // The old belt put on again says nothing of what to buy.
      .filter(({ verdict, source }) => verdict !== 'untried' && !KIND_OF_SOURCE.some(([words]) => words.test(source)))
      .map(({ shape, thicknessMm, widthMm, innerLengthMm, verdict }) => ({
        mechanism,
        belt: { shape, thicknessMm, widthMm, innerLengthMm },
        right: verdict === 'right',
      })),
  );
