import { rowsOf } from '../../base/table';
import { ok, refuse, type Result } from '../../base/units';

/** Units in which pulse times come. */
export const TIME_UNITS = { s: 1, ms: 1e-3, µs: 1e-6 } as const;
export type TimeUnit = keyof typeof TIME_UNITS;
const UNIT_WORDS: Readonly<Record<TimeUnit, string>> = { s: 'seconds', ms: 'milliseconds', µs: 'microseconds' };

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

/** What a comma in the file is: the sign before decimals, or what parts its columns. */
export const COMMAS = ['decimal', 'column'] as const;
export type Comma = (typeof COMMAS)[number];

/** How a pulse file is to be read. */
export interface PulseOptions {
  readonly unit: TimeUnit;
  /** Pulses in a turn. */
  readonly perTurn?: number;
  /** What its commas are, where that was said. */
  readonly comma?: Comma;
}

/** The speed, or a sentence; `asks` where the commas can be read in two ways and somebody has to say which. */
export type PulsesRead = Result<PulseSpeed> & { readonly asks?: 'comma' };

/** Speeds outside these are a wrong unit rather than a machine. */
const MIN_RPM = 0.1;
const MAX_RPM = 300_000;

/** Times of the first column, with the comma read as told. One line of words on top is passed over. */
function timesWith(text: string, comma: Comma): Result<number[]> {
  // Where columns are parted by ; or a tab, a comma can only be the sign before decimals.
  const columns = /;/.test(text) ? ';' : /\t/.test(text) ? '\t' : comma === 'column' ? ',' : '\n';
  const rows = rowsOf(text, columns === '\n' ? '\u0000' : columns);
  const cells = rows.map(([first = '']) => (columns === ',' ? first : first.replace(',', '.')).trim());
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

const rises = (times: readonly number[]): boolean =>
  times.every((time, index) => index === 0 || time > (times[index - 1] as number));

/** The times; `asks` where both ways of reading the commas give times in order. */
function readTimes(text: string, comma: Comma | undefined): Result<number[]> & { readonly asks?: 'comma' } {
  if (comma || !text.includes(',') || /[;\t]/.test(text)) return timesWith(text, comma ?? 'decimal');
  const decimal = timesWith(text, 'decimal');
  const column = timesWith(text, 'column');
  const [asDecimal, asColumn] = [decimal, column].map((one) => one.ok && one.value.length > 1 && rises(one.value));
  if (asDecimal && asColumn)
    return {
      ...refuse('Its commas may be the sign before decimals, or part its columns. Say which.'),
      asks: 'comma' as const,
    };
  return asDecimal ? decimal : column;
}

/**
 * Mean speed, drift and flutter from the times of index pulses.
 *
 * @param text a CSV whose first column has the times, in order; columns parted by , ; or a tab, decimals by . or ,
 * @returns the speed, or a sentence that names the line
 * @example readPulses('0\n0.2\n0.4\n0.6', { unit: 's' }) // { meanRpm: 300 }
 */
export function readPulses(text: string, { unit, perTurn = 1, comma }: PulseOptions): PulsesRead {
  const read = readTimes(text, comma);
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
  if (meanRpm < MIN_RPM || meanRpm > MAX_RPM) {
    return refuse(
      `These times give ${meanRpm.toPrecision(3)} rpm, which no machine here turns at. Are they in ${UNIT_WORDS[unit]}? Nothing was taken.`,
    );
  }
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
