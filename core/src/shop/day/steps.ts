import { arrivesBy, type Order } from '../orders';
import { STATION_NAMES, STATIONS, type StationId } from '../../record/stations';
import type { TicketSummary } from '../../record/ticket';
import { timerState } from '../../base/timers';
import { beltLabel } from '../../base/shapes';
import type { Durations } from './durations';
import { riskOf, riskOfBench, type Risk, type RiskOfBench } from './risk';
import { partsOf } from './waiting';

/** What is done in one go: stations that belong together. */
export const STEP_KINDS = ['look', 'open', 'size', 'fit', 'prove'] as const;
export type StepKind = (typeof STEP_KINDS)[number];

const STATIONS_OF: Readonly<Record<StepKind, readonly StationId[]>> = {
  look: ['takeIn', 'find'],
  open: ['strip', 'clean'],
  size: ['measure', 'size'],
  fit: ['rebuild'],
  prove: ['prove', 'handBack'],
};
/** A machine taken apart may stand so over night; a belt half on, or a proof half counted, may not. */
const MAY_CUT: Readonly<Record<StepKind, boolean>> = { look: false, open: true, size: false, fit: false, prove: false };
/** What was cleaned dries before it is measured, minutes: alcohol and a rinsed belt together. From memory. */
const DRIES_MIN = 10;

/** Something that passes by itself: a clock, a parcel, an answer. */
export interface DayWait {
  readonly kind: 'timer' | 'parts' | 'owner';
  readonly what: string;
  readonly fromMs: number;
  /** When it is over: for a clock certain, for a parcel as likely as not; null where nobody can say. */
  readonly untilMs: number | null;
  /** Of a parcel: the moment by which four in five have come. */
  readonly lateMs: number | null;
}

export interface DayStep {
  /** The ticket's id and the kind, so that a pin holds on to it. */
  readonly id: string;
  readonly kind: StepKind;
  readonly label: string;
  readonly stations: readonly StationId[];
  readonly medianMin: number;
  readonly logStd: number;
  readonly mayCut: boolean;
  readonly waitAfterMin: number;
  readonly waitsAt: 'shelf' | 'bench' | 'drying';
  /** Not before this moment; null where nothing holds it back. */
  readonly notBeforeMs: number | null;
  /** Held back by a parcel: how likely it has come by a moment. */
  readonly parcels: readonly Order[];
}

/** An open ticket as the day sees it. */
export interface DayJob {
  readonly ticketId: string;
  readonly number: string;
  readonly machine: string;
  readonly mechanism: string;
  readonly promise: TicketSummary['promise'];
  readonly steps: readonly DayStep[];
  readonly waits: readonly DayWait[];
  /** Nothing can be planned of it until somebody else has spoken. */
  readonly stopped: 'owner' | 'parts' | null;
  /** What nobody knows of yet may still come between. */
  readonly risk: Risk;
}

const NO_PAST = riskOfBench([]);

/** Hand steps and waits of an open ticket, in order, with their minutes. Times in milliseconds since 1970. */
export function jobOf(
  summary: TicketSummary,
  durations: Durations,
  orders: readonly Order[],
  nowMs: number,
  bench: RiskOfBench = NO_PAST,
): DayJob {
  const mechanism = summary.mechanisms[0] ?? '';
  const open = (station: StationId): boolean => summary.marks[STATIONS.indexOf(station)] === 'o';
  // What holds work already is behind; its own station goes on until the next is reached.
  const begun = STATIONS.indexOf(summary.next);
  const left = (station: StationId): boolean => open(station) && STATIONS.indexOf(station) >= begun;
  const parts = partsOf(summary, orders);
  const clocks = summary.timers.map((timer) => {
    const state = timerState(timer, nowMs);
    return {
      kind: 'timer' as const,
      what: timer.what,
      fromMs: Date.parse(timer.startedAt),
      untilMs: state.status === 'running' ? nowMs + 1000 * state.leftS : nowMs,
      lateMs: null,
    };
  });
  const parcels = parts.ordered.map(({ want, order }) => ({
    kind: 'parts' as const,
    what: `${beltLabel(want.belt, 'mm').size}${order.supplier ? ` from ${order.supplier}` : ''}`,
    fromMs: Date.parse(order.placedAt ?? ''),
    untilMs: arrivesBy(order, orders, nowMs, 0.5),
    lateMs: arrivesBy(order, orders, nowMs, 0.8),
  }));
  const unknown: DayWait[] = [
    ...parts.unordered.map((want) => ({
      kind: 'parts' as const,
      what: `${beltLabel(want.belt, 'mm').size}, not ordered yet`,
    })),
    ...(parts.said ? [{ kind: 'parts' as const, what: parts.said }] : []),
    ...(summary.waiting.for === 'owner' ? [{ kind: 'owner' as const, what: summary.waiting.what || 'the owner' }] : []),
  ].map((one) => ({ ...one, fromMs: nowMs, untilMs: null, lateMs: null }));
  const afterClocks = clocks.length > 0 ? Math.max(...clocks.map(({ untilMs }) => untilMs)) : null;
  const afterParcels = parcels.length > 0 ? Math.max(...parcels.map(({ untilMs }) => untilMs)) : null;
  let held = afterClocks;
  const steps = STEP_KINDS.flatMap((kind): DayStep[] => {
    const stations = STATIONS_OF[kind].filter(left);
    if (stations.length === 0) return [];
    const each = stations.map((station) => durations.of(station, mechanism));
    const medianMin = each.reduce((sum, one) => sum + one.medianMin, 0);
    // Spreads of a sum of log-normals, each weighed by its share (Fenton 1960, to first order).
    const logStd = Math.sqrt(each.reduce((sum, one) => sum + (one.logStd * one.medianMin) ** 2, 0)) / medianMin;
    const needsParts = kind === 'fit' || kind === 'prove';
    const notBeforeMs = needsParts && afterParcels !== null ? Math.max(afterParcels, held ?? 0) : held;
    held = null;
    return [
      {
        id: `${summary.id}/${kind}`,
        kind,
        label: stations.map((station) => STATION_NAMES[station].toLowerCase()).join(', '),
        stations,
        medianMin,
        logStd,
        mayCut: MAY_CUT[kind],
        waitAfterMin: stations.includes('clean') ? DRIES_MIN : 0,
        waitsAt: stations.includes('clean') ? 'drying' : 'shelf',
        notBeforeMs,
        parcels: needsParts ? parts.ordered.map(({ order }) => order) : [],
      },
    ];
  });
  return {
    ticketId: summary.id,
    number: summary.number,
    machine: summary.machine,
    mechanism,
    promise: summary.promise,
    risk: riskOf(
      summary,
      bench,
      steps.some(({ kind }) => kind === 'fit'),
    ),
    steps,
    waits: [...clocks, ...parcels, ...unknown],
    stopped: summary.waiting.for === 'owner' ? 'owner' : parts.unordered.length > 0 || parts.said ? 'parts' : null,
  };
}
