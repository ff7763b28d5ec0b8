import type { MemberTurn, TrainFigures } from './compute';
import { drivingTeeth } from './compute';
import type { Member } from './schema';

/** A member that clicks once a turn, and where on the way it would be heard. */
export interface ClicksOnWay {
  readonly member: Member;
  /** What one turn of it moves the load by. */
  readonly everyMm: number;
  /** All the way along, as the places heard have it. */
  readonly atMm: readonly number[];
}

/** How far from its place a click is heard, in turns of the member: a hand stops late. Common practice, no source. */
const LATE_TURNS = 0.12;

/** What one turn of a member moves the load by; undefined of what does not turn, or where no travel is known. */
function everyMmOf({ member, turns }: MemberTurn, travelPerTurnMm: number | undefined): number | undefined {
  const still = member.kind === 'rack' || turns === 0;
  return still || !travelPerTurnMm ? undefined : travelPerTurnMm / Math.abs(turns);
}

/**
 * Which members may make the clicks that were heard at these places of the travel: those whose turn is as long as the way
 * from one to the next, the nearest first; and where each would be heard all along.
 *
 * @param heardMm places of the travel, two or more, in any order
 * @param travelMm end to end
 * @returns empty with fewer than two places, or a train whose travel is not known
 * @example clicksOnWay({ turns: [], travelPerTurnMm: 10, turnsEndToEnd: 10, opensInS: undefined }, [12, 44], 100) // []
 */
export function clicksOnWay(
  { turns, travelPerTurnMm }: TrainFigures,
  heardMm: readonly number[],
  travelMm: number,
): readonly ClicksOnWay[] {
  const sorted = [...heardMm].sort((a, b) => a - b);
  const gaps = sorted.slice(1).map((at, i) => at - (sorted[i] ?? 0));
  if (gaps.length === 0) return [];
  return turns
    .flatMap((one): Array<ClicksOnWay & { readonly off: number }> => {
      const everyMm = everyMmOf(one, travelPerTurnMm);
      if (everyMm === undefined) return [];
      const off = Math.max(...gaps.map((gap) => Math.abs(gap / everyMm - 1)));
      if (off > 2 * LATE_TURNS) return [];
      // Each is late by a little: where it really stands is their mean.
      const phaseMm = sorted.reduce((sum, at, i) => sum + at - i * everyMm, 0) / sorted.length;
      const first = ((phaseMm % everyMm) + everyMm) % everyMm;
      const count = Math.max(0, Math.floor((travelMm - first) / everyMm) + 1);
      return [{ member: one.member, everyMm, atMm: Array.from({ length: count }, (_, i) => first + i * everyMm), off }];
    })
    .sort((a, b) => a.off - b.off)
    .map(({ member, everyMm, atMm }) => ({ member, everyMm, atMm }));
}

/** How often a member with a bad tooth is heard: once a turn. @example clickEveryMm({ turns: [], travelPerTurnMm: 10, turnsEndToEnd: 10, opensInS: undefined }, 'm1') // undefined */
export function clickEveryMm({ turns, travelPerTurnMm }: TrainFigures, memberId: string): number | undefined {
  const one = turns.find(({ member }) => member.id === memberId);
  if (!one || (drivingTeeth(one.member) === 0 && one.member.teeth === 0)) return undefined;
  return everyMmOf(one, travelPerTurnMm);
}
