import { beltTry, complaint, driveRecord, groove, picture } from '../../record/stations';
import { check, cycle } from '../../work/proving';
import { reading } from '../../belts/measuring';
import { jsonSchema, type JsonSchema, type Named } from '../../base/schema';
import { step, strip, temporaryChange } from '../../work/strip';
import { timer } from '../../base/timers';
import { eventShape, EVENTS_MAX, recordHead, ticketEvents, TICKET_VERSION, type EventType } from '../../record/ticket';

/** Shapes that stand in several places, by name. */
const NAMED: Named = {
  beltTry,
  check,
  complaint,
  cycle,
  driveRecord,
  groove,
  picture,
  reading,
  step,
  strip,
  temporaryChange,
  timer,
  ticket: recordHead.ticket,
};

/**
 * The stored format as JSON Schema (draft 7): what `docs/ticket.schema.json` holds. `npm run schema` writes it.
 *
 * @example recordJsonSchema().title // 'Loose Pulley ticket, format version 8'
 */
export function recordJsonSchema(): JsonSchema {
  const events = (Object.keys(ticketEvents) as EventType[]).map((type) => jsonSchema(eventShape(type), NAMED));
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: `Loose Pulley ticket, format version ${TICKET_VERSION}`,
    description:
      'One ticket: its events, oldest first, and the ticket that they give. Lengths in mm, forces in N, times ISO 8601 in UTC.',
    type: 'object',
    additionalProperties: false,
    required: ['format', 'version', 'ticket', 'events'],
    properties: {
      format: jsonSchema(recordHead.format),
      version: { const: TICKET_VERSION },
      ticket: { $ref: '#/$defs/ticket' },
      events: { type: 'array', minItems: 1, maxItems: EVENTS_MAX, items: { $ref: '#/$defs/event' } },
    },
    $defs: {
      ...Object.fromEntries(Object.entries(NAMED).map(([name, field]) => [name, jsonSchema(field, NAMED, name)])),
      event: { oneOf: events },
    },
  };
}
