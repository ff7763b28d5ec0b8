import { needTimes, type CycleConditions } from '../../physics/cycle';
import type { Spread } from './priors';

/** A room other than the bench’s, in which a machine was found to fail, and how long it stood there before. */
export type Room = Pick<CycleConditions, 'roomC' | 'idleHours'>;

/** A spread with what it may lie between. */
export type Bounds = Spread & { readonly min: number; readonly max: number };

/**
 * What of a pull is grease at the speed that it runs at, and by what share guides hold more from rest. From memory of the
 * trade, no source.
 */
export const GUIDE_PRIORS = {
  restShare: { best: 0.08, std: 0.04, min: 0, max: 0.4 },
  greaseShare: { best: 0.12, std: 0.07, min: 0, max: 0.6 },
} as const satisfies Readonly<Record<string, Bounds>>;

/** How many times of the bench’s own pull it takes in a room at the best figures; 1 where there is none. For instance roomTimes({ roomC: 8, idleHours: 12 }): 1.164 */
export const roomTimes = (room: Room | undefined): number =>
  room ? needTimes(room, { greaseShare: GUIDE_PRIORS.greaseShare.best, restShare: GUIDE_PRIORS.restShare.best }) : 1;

/** Where a chance is for, in words to stand after it; nothing on the bench. @example inRoomWords({ room: { roomC: 8, idleHours: 12 } }) // ' at 8 °C' */
export const inRoomWords = ({ room }: { readonly room?: Room | undefined }): string =>
  room ? ` at ${room.roomC} °C` : '';
