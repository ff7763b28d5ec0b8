/** Asks which of several is meant; answered by one key. */
export type Choose = <T>(asks: string, options: readonly T[]) => T;

/** So many readings are offered. */
export const WAYS_MAX = 6;

/**
 * Every reading of something in doubt: runs it once for each combination of answers to what it asks.
 *
 * @returns the readings and the first question; undefined where there are more readings than keys
 * @example everyReading((choose) => choose('Which?', ['a', 'b'])).readings // ['a', 'b']
 */
export function everyReading<T>(
  run: (choose: Choose) => T,
  most = WAYS_MAX,
): { readonly readings: readonly T[]; readonly asks: string } | undefined {
  const readings: T[] = [];
  let asked = '';
  // An odometer over the answers: the last question that has another answer left moves on.
  let answers: number[] = [];
  for (;;) {
    const counts: number[] = [];
    const choose: Choose = (asks, options) => {
      if (options.length > 1 && asked === '') asked = asks;
      const at = counts.push(options.length) - 1;
      return options[answers[at] ?? 0] as (typeof options)[number];
    };
    readings.push(run(choose));
    if (readings.length > most) return undefined;
    answers = counts.map((_, at) => answers[at] ?? 0);
    let at = counts.length - 1;
    while (at >= 0 && (answers[at] ?? 0) + 1 >= (counts[at] ?? 0)) at--;
    if (at < 0) return { readings, asks: asked };
    answers = [...answers.slice(0, at), (answers[at] ?? 0) + 1];
  }
}
