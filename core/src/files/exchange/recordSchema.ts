import * as yup from 'yup';
import { one } from '../../base/schema';
import { eventShape, EVENTS_MAX, recordHead, ticketEvents, type EventType } from '../../record/ticket';
import { toYup, yupFields } from './toYup';

const EVENT_TYPES = Object.keys(ticketEvents) as EventType[];
const eventSchemas = new Map(EVENT_TYPES.map((type) => [type, toYup(eventShape(type))]));
// Its type is what is wrong with it, so only that is looked at.
const unknownEvent = yup
  .object({ type: toYup(one(EVENT_TYPES)) })
  .strict()
  .defined();
const event = yup.lazy(
  (value: { type?: EventType } | null | undefined) => eventSchemas.get(value?.type as EventType) ?? unknownEvent,
);

/** The stored format as Yup checks it; what it says is read off the stations' own descriptions. */
export const recordSchema = yup
  .object({
    ...yupFields(recordHead),
    events: yup
      .array(event as unknown as yup.AnySchema)
      .strict()
      .defined()
      .min(1)
      .max(EVENTS_MAX),
  })
  .strict()
  .defined()
  .noUnknown(true);
