import { sameBelt } from '../../belts/catalogue';
import type { Judged, TicketSummary } from '../../record/ticket';

/** A belt that was judged right on machines of a name, with their tickets. */
export interface RightBefore {
  readonly belt: Judged['belt'];
  readonly numbers: readonly string[];
}

const plain = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');

/** A name shorter than this names no machine. */
const LEAST_LETTERS = 3;

/**
 * The belts that were right on machines of this very name, that on the most of them first. It is a name and no more:
 * makers change a mechanism under one.
 *
 * @example rightBefore([], 'Pennerley T9 booth deck') // []
 */
export function rightBefore(
  summaries: ReadonlyArray<Pick<TicketSummary, 'number' | 'machine' | 'judged'>>,
  machine: string,
): readonly RightBefore[] {
  const name = plain(machine);
  if (name.length < LEAST_LETTERS) return [];
  const found: Array<{ readonly belt: Judged['belt']; readonly numbers: string[] }> = [];
  for (const { number, judged } of summaries.filter((one) => plain(one.machine) === name))
    for (const { belt, right } of judged) {
      if (!right) continue;
      const known = found.find((one) => sameBelt(one.belt, belt));
      if (!known) found.push({ belt, numbers: [number] });
      else if (!known.numbers.includes(number)) known.numbers.push(number);
    }
  return found.sort((a, b) => b.numbers.length - a.numbers.length);
}
