import { cpus } from 'node:os';

/** Where the figures go, one row each. */
export type Row = (what: string, figure: string, beside?: string) => void;

export const quantile = (list: readonly number[], q: number): number =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(q * list.length))] ?? NaN;
export const median = (list: readonly number[]): number => quantile(list, 0.5);
export const ms = (value: number): string => `${value < 10 ? value.toFixed(1) : Math.round(value)} ms`;
/** The usual time and the slowest of twenty. */
export const spread = (list: readonly number[]): string => `${ms(median(list))}, 95th ${ms(quantile(list, 0.95))}`;

export async function runs<T>(count: number, once: () => T | Promise<T>): Promise<T[]> {
  const list: T[] = [];
  for (let i = 0; i < count; i++) list.push(await once());
  return list;
}

/** Times something done over and over, in ms. */
export const times = (count: number, once: () => unknown): Promise<number[]> =>
  runs(count, () => {
    const start = performance.now();
    once();
    return performance.now() - start;
  });

/** A table of rows that grows, and is printed at the end. */
export function openReport(): { readonly row: Row; readonly print: (browser: string) => void } {
  const rows: Array<readonly [string, string, string]> = [];
  return {
    row(what, figure, beside = '') {
      rows.push([what, figure, beside]);
      // At once, so that a figure is not lost with a later one that cannot be had.
      console.log([what, figure, beside].join('  ').trimEnd());
    },
    print(browser) {
      const widths = ([0, 1, 2] as const).map((column) => Math.max(...rows.map((cells) => cells[column].length)));
      const line = (cells: readonly string[]) =>
        cells
          .map((cell, column) => cell.padEnd(widths[column] ?? 0))
          .join('  ')
          .trimEnd();
      console.log(`\n${rows.map(line).join('\n')}\n`);
      console.log(`Node ${process.versions.node}, Chromium ${browser}, ${cpus().length} cores.`);
    },
  };
}
