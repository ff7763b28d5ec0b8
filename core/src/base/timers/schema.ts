import { id, nullable, optional, shape, text, time, type ValueOf } from '../schema';

/** Something that takes its time: unplugged, soaking, drying. Times are ISO 8601 in UTC, so it outlives any tab. */
export const timer = shape({
  id: id(),
  what: text(80),
  startedAt: time(),
  endsAt: time(),
  /** When the bench said that it had seen to it; null while it runs or waits to be seen. */
  endedAt: nullable(time()),
  /** The place that dries, soaks or cools, where it is one: what it holds back hangs on that. */
  placeId: optional(id()),
});
export interface Timer extends ValueOf<typeof timer> {}
