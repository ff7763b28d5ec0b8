import { nextInSeries, sameSection, type CatalogueBelt } from '../catalogue';
import type { CycleConditions } from '../../physics/cycle';
import type { EvaluatedBelt } from '../../physics/evaluation';
import { beltLabel } from '../../base/shapes';
import type { LengthUnit } from '../../base/units';
import type { Played } from './play';

/** One thing that may be done about a cycle, and what it takes. Minutes are from memory of the trade, no source. */
export interface SingleChange {
  readonly id: 'clean' | 'oil' | 'shorter' | 'longer' | 'thicker' | 'warm' | 'rubber' | 'switch';
  readonly name: string;
  readonly minutes: number;
  /** What has to be bought; its price is the bench’s own. */
  readonly buys: CatalogueBelt | null;
  readonly played: Played;
}

/** Of dry friction that fresh oil or grease leaves on guides: 1.9 N become 1.3. From memory, no source. */
const OILED = 0.7;
const WARM_C = 22;
/** A room below this is called cold. */
const COLD_C = 16;

/**
 * What may be done about a cycle, one thing at a time, each as it would be played.
 *
 * @param belts that can be had
 * @param of what it is on now, and whether its pulleys are as clean as can be
 * For instance changesFor(belt, ROOM, CATALOGUE, { clean: false, rollers: false, turned: false, switchBad: false }, 'mm').map(({ id }) => id): clean, oil, shorter…
 */
export function changesFor(
  belt: EvaluatedBelt,
  on: CycleConditions,
  belts: readonly CatalogueBelt[],
  of: {
    readonly clean: boolean;
    readonly rollers: boolean;
    readonly turned: boolean;
    readonly switchBad: boolean;
  },
  unit: LengthUnit,
): readonly SingleChange[] {
  const siblings = belts.filter((one) => sameSection(one, belt));
  const { up, down } = nextInSeries(siblings, belt.innerLengthMm);
  const named = (one: CatalogueBelt): string => `${beltLabel(one, unit).sign} ${beltLabel(one, unit).size}`;
  const thicker = belts
    .filter((one) => one.shape === belt.shape && one.thicknessMm > belt.thicknessMm)
    .filter((one) => Math.abs(one.innerLengthMm - belt.innerLengthMm) < 0.03 * belt.innerLengthMm)
    .sort(
      (a, b) =>
        a.thicknessMm - b.thicknessMm ||
        Math.abs(a.innerLengthMm - belt.innerLengthMm) - Math.abs(b.innerLengthMm - belt.innerLengthMm),
    )[0];
  const all: ReadonlyArray<SingleChange | false | undefined> = [
    !of.clean && {
      id: 'clean',
      name: 'Clean both pulleys',
      minutes: 8,
      buys: null,
      played: { belt, on, cleaned: true },
    },
    {
      id: 'oil',
      name: of.turned ? 'Oil on the spindle’s bearing' : 'Oil on the guides',
      minutes: 10,
      buys: null,
      played: { belt, on, pullTimes: OILED },
    },
    down && {
      id: 'shorter',
      name: `A shorter belt, ${named(down)}`,
      minutes: 5,
      buys: down,
      played: { belt: down, on },
    },
    up && { id: 'longer', name: `A longer belt, ${named(up)}`, minutes: 5, buys: up, played: { belt: up, on } },
    thicker && {
      id: 'thicker',
      name: `A stouter belt, ${named(thicker)}`,
      minutes: 5,
      buys: thicker,
      played: { belt: thicker, on },
    },
    of.rollers && {
      id: 'rubber',
      name: 'New rubber on the rollers',
      minutes: 25,
      buys: null,
      played: { belt, on, rubbered: true },
    },
    of.switchBad && {
      id: 'switch',
      name: 'The switch put right',
      minutes: 8,
      buys: null,
      played: { belt, on, switchRight: true },
    },
    on.roomC < COLD_C && {
      id: 'warm',
      name: 'A warm room',
      minutes: 0,
      buys: null,
      played: { belt, on: { ...on, roomC: WARM_C } },
    },
  ];
  return all.filter((one): one is SingleChange => one !== false && one !== undefined);
}
