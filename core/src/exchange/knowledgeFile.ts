import * as yup from 'yup';
import { checkKnowledge, DEPTHS, DIAGNOSED_LOADERS, LEADS, type Knowledge } from '../diagnosis';
import { ok, refuse, type Result } from '../units';
import { sentence } from './yupSentence';

export const KNOWLEDGE_FORMAT = 'loose-pulley/knowledge';
export const KNOWLEDGE_VERSION = 1;
/** The adviser's knowledge is some 40 kB; a file far above that is something else. */
export const KNOWLEDGE_MAX_BYTES = 1_000_000;

const text = (most: number) => yup.string().strict().defined().max(most);
const id = () => text(64).min(1);
const number = (least: number, most: number) => yup.number().strict().defined().min(least).max(most);
const one = (values: readonly string[]) =>
  yup
    .string()
    .strict()
    .defined()
    .oneOf([...values]);
const shape = (fields: yup.ObjectShape) => yup.object(fields).strict().defined().noUnknown(true);
const list = (item: yup.ISchema<unknown>, most: number) =>
  yup
    .array(item as yup.AnySchema)
    .strict()
    .defined()
    .max(most);
const percents = () => list(number(0, 100), 12);

const cause = shape({
  id: id(),
  name: text(80).min(1),
  names: shape(Object.fromEntries(DIAGNOSED_LOADERS.map((loader) => [loader, text(80).optional()]))).optional(),
  leads: one(LEADS),
  remedy: text(400),
  priors: shape(Object.fromEntries(DIAGNOSED_LOADERS.map((loader) => [loader, number(0, 10_000)]))),
});
const test = shape({
  id: id(),
  name: text(120).min(1),
  how: text(600),
  caution: text(400),
  loaders: list(one(DIAGNOSED_LOADERS), DIAGNOSED_LOADERS.length),
  minutes: number(0.1, 600),
  depth: one(DEPTHS),
  risk: number(0, 3),
  reversible: yup.boolean().strict().defined(),
  outcomes: list(shape({ id: id(), label: text(80).min(1) }), 6),
  sound: percents(),
  given: yup
    .object()
    .strict()
    .defined()
    .test('rows', (value) =>
      Object.values(value as Record<string, unknown>).every(
        (row) => Array.isArray(row) && row.every((one) => typeof one === 'number' && Number.isFinite(one)),
      ),
    ),
});
const schema = shape({
  format: one([KNOWLEDGE_FORMAT]),
  version: yup.number().strict().defined().oneOf([KNOWLEDGE_VERSION]),
  name: text(80),
  pairShare: number(0, 1),
  causes: list(cause, 200),
  tests: list(test, 200),
});

/** Knowledge as a file. @example writeKnowledgeFile(KNOWLEDGE).startsWith('{') // true */
export const writeKnowledgeFile = (knowledge: Knowledge): string =>
  `${JSON.stringify({ format: KNOWLEDGE_FORMAT, version: KNOWLEDGE_VERSION, ...knowledge }, null, 1)}\n`;

/**
 * Reads a knowledge file, whole or not at all: its shape, and that it can be reasoned with.
 *
 * @returns the knowledge, or one sentence that says where and what
 */
export function readKnowledgeFile(content: string, name: string): Result<Knowledge> {
  if (content.length > KNOWLEDGE_MAX_BYTES)
    return refuse(`“${name}” is larger than 1 MB, too large for knowledge. Nothing was changed.`);
  let document: unknown;
  try {
    document = JSON.parse(content);
  } catch {
    return refuse(`“${name}” is broken or cut short. Nothing was changed.`);
  }
  const head = document as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head?.format !== KNOWLEDGE_FORMAT) {
    return refuse(`“${name}” is no knowledge of the adviser. Choose a .json that its page has exported.`);
  }
  if (typeof head.version === 'number' && head.version > KNOWLEDGE_VERSION) {
    return refuse(`“${name}” was written by a newer Loose Pulley. Update this bench first.`);
  }
  try {
    schema.validateSync(document, { abortEarly: true, strict: true });
  } catch (error) {
    if (error instanceof yup.ValidationError)
      return refuse(`“${name}” cannot be read: ${sentence(error)}. Nothing was changed.`);
    throw error;
  }
  const { causes, tests, pairShare, name: called } = document as Knowledge;
  const checked = checkKnowledge({ name: called, pairShare, causes, tests });
  return checked.ok ? ok(checked.value) : refuse(`“${name}”: ${checked.problem} Nothing was changed.`);
}
