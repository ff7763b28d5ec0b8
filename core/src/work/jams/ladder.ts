import { ofLoaders, type Loader } from '../../base/loaders';
import type { TemporaryChangeKind } from '../strip';
import { RUNGS, type Rung, type RungResult, type Side } from './schema';

export const SIDE_NAMES: Readonly<Record<Side, string>> = {
  unknown: 'unknown',
  above: 'from above',
  below: 'from below',
  pulleySide: 'from the pulley’s face',
  front: 'from the front',
};
export const RUNG_RESULT_NAMES: Readonly<Record<RungResult, string>> = {
  nothing: 'nothing moved',
  moved: 'moved, not out',
  out: 'it is out',
  stopped: 'stopped: resistance',
};

export interface RungKnown {
  readonly name: string;
  readonly how: string;
  /** What it can hurt. */
  readonly hurts: string;
  readonly stopWhen: string;
  /** How the machine stands to the mains for it. */
  readonly power: 'plugged' | 'unplugged' | 'any';
  /** The temporary change that it leaves, where it leaves one. */
  readonly leaves?: TemporaryChangeKind;
  /** It needs the lid off. */
  readonly lidOff?: true;
}

const KNOWN: Readonly<Record<Rung, RungKnown>> = {
  look: {
    name: 'Look in with a lamp',
    how: 'A lamp and a mirror at the opening: which disc, how it lies, what it caught on. Ask the owner what went in.',
    hurts: 'Nothing.',
    stopWhen: 'You know what is in the way.',
    power: 'any',
  },
  reset: {
    name: 'Reset',
    how: 'Unplugged for five minutes, then plugged in and given a minute to find home by itself.',
    hurts: 'Nothing. A machine that finds home may pull the disc further in.',
    stopWhen: 'It growls or clicks on: pull the plug.',
    power: 'plugged',
  },
  ejectMotor: {
    name: 'Eject by its own motor',
    how: 'Press eject, twice at most, with a hand lightly on the tray to feel where it stops.',
    hurts: 'A slipping belt, a gear that jumps a tooth.',
    stopWhen: 'The motor is heard and nothing moves: switch off before the belt burns.',
    power: 'plugged',
  },
  releaseHole: {
    name: 'Release hole',
    how: 'A straightened clip into the hole, straight, until it meets the lever. Push as far as it gives, then draw the tray by hand.',
    hurts: 'A lens or a board behind another hole: be sure that it is the release.',
    stopWhen: 'It meets something hard and does not give.',
    power: 'unplugged',
  },
  holeAndEject: {
    name: 'Release hole and eject together',
    how: 'Hold the lever in through the hole and press eject; let go of the clip as soon as it moves.',
    hurts: 'The lever, where the motor runs against it.',
    stopWhen: 'It does not move within two seconds.',
    power: 'plugged',
  },
  pulleyByHand: {
    name: 'Turn the motor pulley by hand',
    how: 'Turn it in the direction that opens, by as many turns as are worked out below, and count.',
    hurts: 'A disc that still sits in the clamp is scratched while it is wound. The wrong way drives it deeper.',
    stopWhen: 'It turns hard before the count is done: something holds. Never force it.',
    power: 'unplugged',
    lidOff: true,
  },
  tilt: {
    name: 'Tilt and help',
    how: 'Tip it so that the disc slides towards the opening, and help with a strip of card, never with metal.',
    hurts: 'A loose part travels too, and may end in the gears.',
    stopWhen: 'The disc rubs.',
    power: 'unplugged',
  },
  lid: {
    name: 'Lid off',
    how: 'Take the lid off and see what holds. Log the steps at Strip.',
    hurts: 'Wires soldered to a lid; you, where it was plugged in a moment ago: parts stay charged.',
    stopWhen: 'The lid still hangs on something.',
    power: 'unplugged',
    lidOff: true,
  },
  clampLifted: {
    name: 'Lift the clamp',
    how: 'Lift the clamp off the disc, level, and take the disc out by its edge and its hole.',
    hurts: 'The lens below, the disc’s face, the clamp’s spring.',
    stopWhen: 'The clamp does not come up level: its timing hangs on the train.',
    power: 'unplugged',
    lidOff: true,
  },
  strip: {
    name: 'Strip as far as it takes',
    how: 'Step by step at Strip, only as deep as reaches it.',
    hurts: 'Everything that can be put back wrongly: hence every step has its number.',
    stopWhen: 'It is out.',
    power: 'unplugged',
    lidOff: true,
  },
};

/** What a loader has of the ladder, and what is otherwise there. */
const OF_LOADER: Readonly<
  Record<
    Loader,
    { readonly without: readonly Rung[]; readonly other: Readonly<Partial<Record<Rung, Partial<RungKnown>>>> }
  >
> = ofLoaders('ladder');

/**
 * The ladder of a kind of loader, the gentlest rung first. Common practice, no source.
 *
 * @example ladderOf('diskDrive').map(({ rung }) => rung).includes('releaseHole') // false
 */
export function ladderOf(loader: Loader): ReadonlyArray<RungKnown & { readonly rung: Rung }> {
  const { without, other } = OF_LOADER[loader];
  return RUNGS.filter((rung) => !without.includes(rung)).map((rung) => ({ ...KNOWN[rung], ...other[rung], rung }));
}

/**
 * The rung to try next: the first that was not tried, or that moved it last without bringing it out.
 *
 * @example nextRung('tray', [{ rung: 'look', result: 'nothing' }]) // 'reset'
 */
export function nextRung(
  loader: Loader,
  tried: ReadonlyArray<{ readonly rung: Rung; readonly result: RungResult }>,
): Rung | undefined {
  if (tried.some(({ result }) => result === 'out')) return undefined;
  const last = (rung: Rung): RungResult | undefined => tried.findLast((one) => one.rung === rung)?.result;
  return ladderOf(loader).find(({ rung }) => last(rung) === undefined || last(rung) === 'moved')?.rung;
}
