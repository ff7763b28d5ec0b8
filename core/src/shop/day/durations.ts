import { STATIONS, USUAL_MINUTES, type StationId } from '../../record/stations';
import type { TicketSummary } from '../../record/ticket';

/* How long a station takes: learned from this bench's own times, for the mechanism at hand first. */

/** Minutes of hands, and how they scatter: a log-normal by its median and the spread of its logarithm. */
export interface Duration {
  readonly medianMin: number;
  readonly logStd: number;
  /** Where it comes from: the bench has said it, its own times of this mechanism, of any machine, or a guess. */
  readonly from: 'said' | 'mechanism' | 'bench' | 'assumed';
  /** How many tickets it was learned from. */
  readonly seen: number;
}

const ASSUMED_LOG_STD = 0.5;
/** What is believed beforehand counts as so many tickets. */
const WORTH = 2;
/** Less than this is a station that was looked at, not worked at. */
const LEAST_MIN = 0.5;

/** The key under which a bench puts a duration right. */
export const durationKey = (station: StationId, mechanism: string): string =>
  `${station} ${mechanism.trim().toLowerCase()}`.trim();

interface Normal {
  readonly mean: number;
  readonly std: number;
  readonly seen: number;
}

/** What was believed of a logarithm, joined with what was seen of it. The spread never falls below a fifth. */
function learn(before: Normal, seen: readonly number[]): Normal {
  const n = seen.length;
  if (n === 0) return before;
  const seenMean = seen.reduce((sum, one) => sum + one, 0) / n;
  const squares =
    WORTH * before.std ** 2 +
    seen.reduce((sum, one) => sum + (one - seenMean) ** 2, 0) +
    ((WORTH * n) / (WORTH + n)) * (seenMean - before.mean) ** 2;
  return {
    mean: (WORTH * before.mean + n * seenMean) / (WORTH + n),
    std: Math.max(0.2, Math.sqrt(squares / (WORTH + n))),
    seen: n,
  };
}

/** What a bench takes for each station, by mechanism. */
export interface Durations {
  of(station: StationId, mechanism: string): Duration;
}

/**
 * Learns durations from the tickets that were handed back. A mechanism's own times are joined with those of all machines,
 * and those with what is assumed; each of the two beliefs counts as two tickets. What the bench has said stands above all.
 *
 * @param said minutes as the bench has put them right, by `durationKey`
 * @example durationsOf([summary], {}).of('prove', 'T9 tray').medianMin // 12
 */
export function durationsOf(summaries: readonly TicketSummary[], said: Readonly<Record<string, number>>): Durations {
  const all = STATIONS.map((): number[] => []);
  const byMechanism = new Map<string, number[][]>();
  for (const { closedAt, work, mechanisms } of summaries) {
    if (closedAt === null) continue;
    const own = mechanisms.map((name) => {
      const key = name.trim().toLowerCase();
      const known = byMechanism.get(key) ?? STATIONS.map((): number[] => []);
      byMechanism.set(key, known);
      return known;
    });
    work.forEach((minutes, index) => {
      if (minutes < LEAST_MIN) return;
      const log = Math.log(minutes);
      all[index]?.push(log);
      for (const one of own) one[index]?.push(log);
    });
  }
  const known = new Map<string, Duration>();
  const learned = (station: StationId, mechanism: string): Duration => {
    const index = STATIONS.indexOf(station);
    const own = byMechanism.get(mechanism.trim().toLowerCase())?.[index] ?? [];
    const bench = learn({ mean: Math.log(USUAL_MINUTES[station]), std: ASSUMED_LOG_STD, seen: 0 }, all[index] ?? []);
    const { mean, std } = learn(bench, own);
    const from = own.length > 0 ? 'mechanism' : bench.seen > 0 ? 'bench' : 'assumed';
    return { medianMin: Math.exp(mean), logStd: std, from, seen: own.length || bench.seen };
  };
  return {
    of(station, mechanism) {
      const key = durationKey(station, mechanism);
      const minutes = said[key] ?? said[durationKey(station, '')];
      if (minutes !== undefined) return { medianMin: minutes, logStd: 0.3, from: 'said', seen: 0 };
      const found = known.get(key) ?? learned(station, mechanism);
      known.set(key, found);
      return found;
    },
  };
}
