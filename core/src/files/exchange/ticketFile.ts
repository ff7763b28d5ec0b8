import { ValidationError } from 'yup';
import { recordFits, replay, TICKET_FORMAT, TICKET_VERSION, type TicketRecord } from '../../record/ticket';
import { textOfJson } from '../../base/schema';
import { ok, refuse, type Result } from '../../base/units';
import { differences } from './difference';
import { recordSchema } from './recordSchema';
import { upcast } from './upcast';
import { sentence, shown } from './yupSentence';

/** Files above this are no ticket. */
export const TICKET_FILE_MOST_BYTES = 20_000_000;

/**
 * Reads a parsed document as a ticket: format, version, shape, and that its events really give its ticket, which a
 * file changed by hand rarely keeps.
 *
 * @param name the file's name, for the sentences
 */
export function readTicketDocument(document: unknown, name: string): Result<TicketRecord> {
  const head = document as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head === null || head.format !== TICKET_FORMAT) {
    return refuse(`“${name}” is not a Loose Pulley ticket. Choose a .json that this app has exported.`);
  }
  if (typeof head.version === 'number' && head.version > TICKET_VERSION) {
    return refuse(
      `“${name}” was written by a newer Loose Pulley (format ${head.version}; this one reads up to ${TICKET_VERSION}). Update this bench first.`,
    );
  }
  const current = upcast(document);
  if (!current.ok) return refuse(`“${name}”: ${current.problem}`);
  if (!recordFits(current.value)) {
    // The words are the slow validator's, which a test holds to the quick one.
    try {
      recordSchema.validateSync(current.value, { abortEarly: true, strict: true });
    } catch (error) {
      if (error instanceof ValidationError)
        return refuse(`“${name}” cannot be read: ${sentence(error)}. Nothing was changed.`);
      throw error;
    }
    return refuse(`“${name}” cannot be read: it is not shaped like a ticket. Nothing was changed.`);
  }
  const record = current.value as TicketRecord;
  const replayed = replay(record.events);
  if (!replayed.ok) return refuse(`“${name}” cannot be followed: ${replayed.problem} Nothing was changed.`);
  const [first] = differences(record.ticket, replayed.value, 1);
  if (first) {
    return refuse(
      `“${name}” contradicts itself at ticket.${first.path}: it states ${shown(first.mine)}, but its events give ` +
        `${shown(first.theirs)}. It looks edited by hand. Nothing was changed.`,
    );
  }
  return ok(record);
}

/**
 * Reads a ticket file.
 *
 * @returns the record, or one sentence that says what is wrong and where; nothing is ever half read
 */
export function readTicketFile(content: string, name: string): Result<TicketRecord> {
  if (content.length > TICKET_FILE_MOST_BYTES) return refuse(`“${name}” is larger than 20 MB, too large for a ticket.`);
  let document: unknown;
  try {
    document = JSON.parse(textOfJson(content));
  } catch (error) {
    const said = error instanceof Error ? error.message : 'not JSON';
    return refuse(`“${name}” is broken or cut short: ${said}. Nothing was changed.`);
  }
  return readTicketDocument(document, name);
}
