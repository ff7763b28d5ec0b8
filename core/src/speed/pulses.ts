import { csvParseRows } from 'd3-dsv';
import { ok, refuse, type Result } from '../units';

/** Units in which pulse times come. */
export const TIME_UNITS = { s: 1, ms: 1e-3, µs: 1e-6 } as const;
export type TimeUnit = keyof typeof TIME_UNITS;

/** What a row of index pulses says of a speed. */
export interface PulseSpeed {
  /** Speed of each turn, rpm, and the time in the middle of it, s from the first pulse. */
  readonly turns: ReadonlyArray<{ readonly atS: number; readonly rpm: number }>;
  readonly meanRpm: number;
  /** Change of the speed over a minute, in per cent of the mean: the slope of a straight line through the turns. */
  readonly driftPercentPerMinute: number;
  /** Standard deviation of the turns about that line, in per cent: flutter slower than a turn. */
  readonly flutterPercent: number;
}

const MIN_PULSES = 4;
const MAX_PULSES = 200_000;
/** A gap this many times the usual one lacks a pulse. */
const GAP = 1.6;

/** Reads times from the first column of a CSV; one line of words on top is passed over. */
function readTimes(text: string): Result<number[]> {
  const rows = csvParseRows(text.replace(/;/g, ','), (row) => (row.some((cell) => cell.trim() !== '') ? row : null));
  const cells = rows.map(([first = '']) => first.trim());
  const head = cells[0] !== undefined && Number.isNaN(Number(cells[0])) ? 1 : 0;
  const times: number[] = [];
  for (const [index, cell] of cells.slice(head).entries()) {
    const value = Number(cell);
    if (cell === '' || !Number.isFinite(value)) {
      return refuse(`Line ${index + head + 1} reads “${cell.slice(0, 40)}”, which is no time. Nothing was taken.`);
    }
    times.push(value);
  }
  return ok(times);
}

/**
 * Mean speed, drift and flutter from the times of index pulses.
 *
 * @param text a CSV whose first column has the times, in order
 * @param perTurn pulses in a turn
 * @returns the speed, or a sentence that names the line
 * @example readPulses('0\n0.2\n0.4\n0.6', 's', 1) // { meanRpm: 300 }
 */
export function readPulses(text: string, unit: TimeUnit, perTurn = 1): Result<PulseSpeed> {
  const read = readTimes(text);
  if (!read.ok) return read;
  const times = read.value.map((time) => time * TIME_UNITS[unit]);
  if (times.length < MIN_PULSES * perTurn) {
    return refuse(`${times.length} times were read; at least ${MIN_PULSES} turns are needed.`);
  }
  if (times.length > MAX_PULSES) return refuse(`${times.length} times are more than ${MAX_PULSES}. Cut the file.`);
  for (let i = 1; i < times.length; i++) {
    if ((times[i] as number) <= (times[i - 1] as number)) {
      return refuse(`Pulse ${i + 1} comes no later than pulse ${i}: the times are out of order. Nothing was taken.`);
    }
  }
  const gaps = times.slice(1).map((time, i) => time - (times[i] as number));
  const usual = [...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)] as number;
  const lost = gaps.findIndex((gap) => gap > GAP * usual);
  if (lost >= 0) {
    return refuse(
      `Between pulses ${lost + 1} and ${lost + 2} it took ${((gaps[lost] as number) / usual).toFixed(1)} times as long as usual: a pulse is missing. Cut the file there.`,
    );
  }
  const turns = [];
  for (let i = 0; i + perTurn < times.length; i += perTurn) {
    const from = times[i] as number;
    const to = times[i + perTurn] as number;
    turns.push({ atS: (from + to) / 2 - (times[0] as number), rpm: 60 / (to - from) });
  }
  const count = turns.length;
  // Of all the turns together: the mean of speeds would weigh the fast ones too much.
  const meanRpm = (60 * count) / ((times[count * perTurn] as number) - (times[0] as number));
  const meanAt = turns.reduce((sum, { atS }) => sum + atS, 0) / count;
  const meanOf = turns.reduce((sum, { rpm }) => sum + rpm, 0) / count;
  const across = turns.reduce((sum, { atS, rpm }) => sum + (atS - meanAt) * (rpm - meanOf), 0);
  const along = turns.reduce((sum, { atS }) => sum + (atS - meanAt) ** 2, 0);
  const slope = along > 0 ? across / along : 0;
  const about = turns.reduce((sum, { atS, rpm }) => sum + (rpm - meanOf - slope * (atS - meanAt)) ** 2, 0);
  return ok({
    turns,
    meanRpm,
    driftPercentPerMinute: (100 * 60 * slope) / meanRpm,
    flutterPercent: (100 * Math.sqrt(about / Math.max(1, count - 2))) / meanRpm,
  });
}
