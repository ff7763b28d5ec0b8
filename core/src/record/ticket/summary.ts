import { provisionalNow } from './provisional';
import { driveFactsOf } from './driveFacts';
import { AGENT_NAMES } from '../../work/compatibility';

import { oldBeltFinding } from '../../belts/sizing';
import { STATIONS, type StationId } from '../stations';
import type { TicketRecord, Ticket } from './schema';
import { SUMMARY_VERSION } from './format';
import { headline } from './headline';
import { marksOf, nextPage, nextStation } from './holds';
import { causesOf, judgedOf, remediesOf, workOf, type Judged, type Remedied } from './outcome';

/** What the Bench shows of a ticket. A cache: always rebuilt from the record, never edited. */
export interface TicketSummary {
  readonly version: typeof SUMMARY_VERSION;
  readonly id: string;
  readonly number: string;
  readonly machine: string;
  readonly complaint: string;
  readonly openedAt: string;
  readonly closedAt: string | null;
  readonly waiting: Ticket['waiting'];
  /** What will not last and when it is due, where something is provisional. */
  readonly due: { readonly what: string; readonly on: string } | null;
  /** Those not seen to yet. */
  readonly timers: Ticket['timers'];
  readonly marks: string;
  readonly next: StationId;
  /** The page where the work goes on. */
  readonly page: StationId | 'swap';
  readonly driveCount: number;
  readonly mechanisms: readonly string[];
  /** Where it lies and what is awaited, while it is parked in pieces. */
  readonly parked: { readonly lies: string; readonly awaited: string } | null;
  /** Temporary states that are still open. */
  readonly temporaryChanges: readonly string[];
  /** What was cleaned with, and the minutes of it that were said; empty where nothing was. */
  readonly cleaned: string;
  /** Every picture that the ticket ever named: what the picture store keeps for it. */
  readonly pictures: readonly string[];
  /** First drive, for its small drawing; absent while not measured. */
  readonly sketch?: {
    readonly motorMm: number;
    readonly driveMm: number;
    readonly centreMm: number;
    readonly crossed: boolean;
    readonly slack: boolean;
  };
  /** Text that search looks through, lower case. */
  readonly searchText: string;
  readonly touchedAt: string;
  readonly owner: string;
  readonly serial: string;
  readonly loader: Ticket['loader'];
  /** The earlier ticket of the same machine, where that was said; null where it was said to be another. */
  readonly sameAs?: Ticket['sameAs'];
  readonly promise: Ticket['promise'];
  /** Belts that it waits for. */
  readonly wants: Ticket['wants'];
  /** Minutes of hands at each station, by the times of what was said there. */
  readonly work: readonly number[];
  /** What was found to be the fault, and what is said to have cured it. */
  readonly causes: readonly string[];
  readonly cured: readonly string[];
  /** What was put right, drive by drive, once it is handed back. */
  readonly remedies: readonly Remedied[];
  /** Every belt that was judged, whichever way. */
  readonly judged: readonly Judged[];
  /** Bench time as written at Hand back. */
  readonly minutes: number | null;
}

/** Every picture that a ticket ever named, those taken out included: undo may bring them back. */
export const picturesNamed = ({ events }: Pick<TicketRecord, 'events'>): string[] => [
  ...new Set(events.flatMap((event) => (event.type === 'picturePut' ? [event.picture.id] : []))),
];

/** Agents and minutes of a ticket's cleaning, in a few words. */
function cleanedWords({ cleaning: { treatments } }: Ticket): string {
  const agents = [
    ...new Set(treatments.flatMap(({ agent }) => (agent && agent !== 'dry' ? [AGENT_NAMES[agent]] : []))),
  ];
  const minutes = treatments.reduce((sum, { deed, minutes: own = 0 }) => sum + (deed === 'soak' ? 0 : own), 0);
  return [
    ...(agents.length > 0 ? [agents.join(', ')] : []),
    ...(minutes > 0 ? [`${Math.round(minutes)} min`] : []),
  ].join(' · ');
}

/** The summary of a record. Cost: that of the first drive's facts. */
export function summarise(record: TicketRecord): TicketSummary {
  const { ticket, events } = record;
  const [first] = ticket.drives;
  const facts = first && driveFactsOf(first);
  const drive = facts?.driveProblem ? undefined : facts?.drive;
  const finding = facts && oldBeltFinding(facts);
  const marks = marksOf(ticket);
  const { park } = ticket.strip;
  const provisional = provisionalNow(ticket);
  return {
    version: SUMMARY_VERSION,
    id: ticket.id,
    number: ticket.number,
    machine: ticket.machine,
    complaint: headline(ticket),
    openedAt: ticket.openedAt,
    closedAt: ticket.closedAt,
    // Parked with something awaited is waiting for it, said once.
    waiting:
      ticket.waiting.for === 'nothing' && park && park.awaited.trim() !== ''
        ? { for: 'parts', what: park.awaited.slice(0, 200) }
        : ticket.waiting,
    due: provisional.dueOn === '' ? null : { what: provisional.text || 'to be looked at again', on: provisional.dueOn },
    timers: ticket.timers.filter(({ endedAt }) => endedAt === null),
    marks: STATIONS.map((station) => ({ open: 'o', done: 'd', notNeeded: 'n' })[marks[station]]).join(''),
    next: nextStation(ticket),
    page: nextPage(ticket),
    driveCount: ticket.drives.length,
    mechanisms: [...new Set(ticket.drives.map(({ mechanism }) => mechanism).filter((name) => name !== ''))],
    parked: park && { lies: park.lies, awaited: park.awaited },
    temporaryChanges: ticket.strip.temporaryChanges
      .filter(({ closedAt }) => closedAt === null)
      .map(({ words }) => words),
    cleaned: cleanedWords(ticket),
    pictures: picturesNamed(record),
    ...(drive && {
      sketch: {
        motorMm: drive.motorPulley.bottomDiameterMm,
        driveMm: drive.drivenPulley.bottomDiameterMm,
        centreMm: drive.centreDistanceMm,
        crossed: drive.crossed,
        slack: (finding?.slack ?? false) && !ticket.drives[0]?.tries.some(({ verdict }) => verdict === 'right'),
      },
    }),
    searchText: [
      ticket.number,
      ticket.machine,
      ticket.owner,
      ticket.serial,
      ...ticket.complaints.map(({ words }) => words),
      ...ticket.drives.map((d) => d.mechanism),
      cleanedWords(ticket),
    ]
      .join(' ')
      .toLowerCase(),
    touchedAt: events[events.length - 1]?.at ?? ticket.openedAt,
    owner: ticket.owner,
    serial: ticket.serial,
    loader: ticket.loader,
    ...(ticket.sameAs !== undefined && { sameAs: ticket.sameAs }),
    promise: ticket.promise,
    wants: ticket.wants,
    work: workOf(events),
    causes: causesOf(ticket, 'found'),
    cured: causesOf(ticket, 'cured'),
    remedies: remediesOf(ticket),
    judged: judgedOf(ticket),
    minutes: ticket.handBack.minutes,
  };
}
