import { ofLoaders, type Loader } from '../../base/loaders';
import type { Check, CheckKind } from './schema';

/** A figure that a check may carry. */
export interface CheckFigure {
  readonly label: string;
  readonly unit: 'N' | 's' | 'rpm';
  readonly max: number;
  /** What it is held against, where the bench can say. */
  readonly wantedLabel?: string;
}

/** A check as it is before anything is said of it. @example newCheck('trayHeld').state // 'notDone' */
export const newCheck = (kind: CheckKind): Check => ({
  kind,
  state: 'notDone',
  note: '',
  conditions: [],
  figure: null,
  wanted: null,
});

/** What a check asks for, and how it is done; the caution comes with the page. Common practice, no source. */
export const CHECKS: Readonly<
  Record<CheckKind, { readonly name: string; readonly how: string; readonly figure?: CheckFigure }>
> = {
  motorPulleyHeld: {
    name: 'Fingers cannot make the motor pulley slip',
    how: 'Unplugged: hold the driven pulley still and turn the motor pulley by hand. The belt must not slip under it.',
  },
  trayHeld: {
    name: 'A hand cannot stall it',
    how: 'Powered: hold lightly what moves. It should push on, not stop. Read the pull off a scale where you can.',
    figure: { label: 'Pull at which it stopped, on a scale', unit: 'N', max: 200 },
  },
  contentsRead: {
    name: 'Contents read, and how fast',
    how: 'Load a disc and time from closing to the table of contents, against what it took before.',
    figure: { label: 'It took', unit: 's', max: 3600, wantedLabel: 'Before it took' },
  },
  firstAndLast: {
    name: 'First track and last',
    how: 'Play or read from the very start and from the very end of the disc.',
  },
  eachDeck: {
    name: 'Each deck or slot',
    how: 'Run every deck, or every slot of the carousel, not only the one complained of.',
  },
  bothSides: { name: 'Both sides', how: 'Read the disk on both sides, inner and outer tracks.' },
  spindleSpeed: {
    name: 'Spindle speed',
    how: 'Measure the turns a minute. Reading alone proves little.',
    figure: { label: 'It turns at', unit: 'rpm', max: 20_000, wantedLabel: 'It should turn at' },
  },
  takesIn: {
    name: 'Takes a disc in',
    how: 'Feed a junk disc straight, and once a little askew. It is drawn in by itself, level, and seats.',
  },
  holdsDisc: {
    name: 'Holds it',
    how: 'Pull the disc back lightly by a scale while the rollers run, and tip the machine: it neither slips nor lets go.',
    figure: { label: 'It held, on a scale', unit: 'N', max: 100 },
  },
  givesBack: { name: 'Gives it back', how: 'Eject: it comes far enough to be gripped, and waits there.' },
  refusesSecond: {
    name: 'Refuses a second one',
    how: 'With a disc in, offer a junk one to the lip, held fast by its edge. It must not draw it in.',
  },
  beforeTheLid: { name: 'Before the lid', how: 'Try it whole once more before the lid and the stop pin go on.' },
  afterTheLid: {
    name: 'After the lid',
    how: 'Power it and run it after the lid is on: not powered since, not proved.',
  },
};

const OF_LOADER: Readonly<Record<Loader, readonly CheckKind[]>> = ofLoaders('checks');

/**
 * What there is to show for a kind of loader, in the order in which it is done.
 *
 * @example checksFor('diskDrive').includes('spindleSpeed') // true
 */
export const checksFor = (loader: Loader): readonly CheckKind[] => OF_LOADER[loader];

/**
 * A figure of a check in words, with how far it is off where it is held against something.
 *
 * @example figureWords('spindleSpeed', { figure: 301.2, wanted: 300 }) // '301.2 rpm, 0.4 % over 300'
 */
export function figureWords(kind: CheckKind, { figure, wanted }: Pick<Check, 'figure' | 'wanted'>): string {
  const unit = CHECKS[kind].figure?.unit;
  if (unit === undefined || figure === null) return '';
  if (wanted === null || wanted === 0) return `${figure} ${unit}`;
  const off = (figure / wanted - 1) * 100;
  const way = Math.abs(off) < 0.05 ? 'as it should be,' : `${Math.abs(off).toFixed(1)} % ${off > 0 ? 'over' : 'under'}`;
  return `${figure} ${unit}, ${way} ${wanted}`;
}
