import { ANSWERS_FORMAT, ANSWERS_VERSION } from '../../views/remoteIntake';
import type { Ticket } from '../../record/ticket';
import { id, list, number, shape, text, type AnyField, type ValueOf, textOfJson } from '../../base/schema';
import { ok, refuse, type Result } from '../../base/units';
import { toYup } from './toYup';

/** A file of answers with its pictures, above which it is none. */
export const ANSWERS_MAX_BYTES = 80_000_000;

/** A picture as a page saves it: a data address. */
const pictureAddress: AnyField = {
  kind: 'pattern',
  pattern: '^data:image/jpeg;base64,[A-Za-z0-9+/]+=*$',
  means: 'a JPEG picture',
};
const answersFile = shape({
  sheetId: id(),
  ticket: text(20),
  answers: list(shape({ id: id(), text: text(4000), pictures: list(pictureAddress, 8) }), 100),
});
const schema = toYup(shape({ format: text(40), version: number(0, 1000), ...answersFile.fields }));

/** What an owner answered, with the pictures still as they came: data addresses. */
export interface AnswersFile {
  readonly sheetId: string;
  readonly answers: ReadonlyArray<{
    readonly questionId: string;
    readonly text: string;
    readonly pictures: readonly string[];
  }>;
}

/**
 * Reads the file that an owner's page saved, for the ticket whose questions it answers.
 *
 * @returns the answers to questions that were asked, empty ones left out; or a sentence
 */
export function readAnswersFile(
  content: string,
  name: string,
  ticket: Pick<Ticket, 'number' | 'questionSheets'>,
): Result<AnswersFile> {
  if (content.length > ANSWERS_MAX_BYTES) return refuse(`“${name}” is larger than 80 MB, too large for answers.`);
  let document: { format?: unknown; version?: unknown } | null;
  try {
    document = JSON.parse(textOfJson(content)) as typeof document;
  } catch {
    return refuse(`“${name}” is broken or cut short. Ask for it again; nothing was changed.`);
  }
  if (typeof document !== 'object' || document?.format !== ANSWERS_FORMAT) {
    return refuse(`“${name}” is no file of answers. The last button of the owner’s page saves one.`);
  }
  if (typeof document.version === 'number' && document.version > ANSWERS_VERSION) {
    return refuse(`“${name}” was written by a newer Loose Pulley. Update this bench first.`);
  }
  if (!schema.isValidSync(document, { strict: true })) {
    return refuse(`“${name}” is not shaped like answers: it looks edited by hand. Nothing was changed.`);
  }
  const file = document as ValueOf<typeof answersFile>;
  const sheet = ticket.questionSheets.find(({ id }) => id === file.sheetId);
  if (!sheet) {
    return refuse(
      `“${name}” answers questions of ticket ${file.ticket || 'unknown'}, which this ticket, ${ticket.number}, never asked. Open that one first.`,
    );
  }
  if (new Set(file.answers.map((one) => one.id)).size < file.answers.length)
    return refuse(`“${name}” answers one question twice: it looks edited by hand. Nothing was changed.`);
  const asked = new Set(sheet.questions.map(({ id }) => id));
  const answers = file.answers
    .filter((one) => asked.has(one.id) && (one.text.trim() !== '' || one.pictures.length > 0))
    .map((one) => ({ questionId: one.id, text: one.text.trim(), pictures: one.pictures }));
  return ok({ sheetId: sheet.id, answers });
}
