import { ValidationError } from 'yup';
import { checkKnowledge, knowledgeFields, type Knowledge } from '../diagnosis';
import { number, one, shape } from '../schema';
import { ok, refuse, type Result } from '../units';
import { toYup } from './toYup';
import { sentence } from './yupSentence';

export const KNOWLEDGE_FORMAT = 'loose-pulley/knowledge';
export const KNOWLEDGE_VERSION = 1;
/** The adviser's knowledge is some 40 kB; a file far above that is something else. */
export const KNOWLEDGE_MAX_BYTES = 1_000_000;

const schema = toYup(
  shape({
    format: one([KNOWLEDGE_FORMAT]),
    version: number(KNOWLEDGE_VERSION, KNOWLEDGE_VERSION),
    ...knowledgeFields,
  }),
);

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
    if (error instanceof ValidationError)
      return refuse(`“${name}” cannot be read: ${sentence(error)}. Nothing was changed.`);
    throw error;
  }
  const { causes, tests, pairShare, name: called } = document as Knowledge;
  const checked = checkKnowledge({ name: called, pairShare, causes, tests });
  return checked.ok ? ok(checked.value) : refuse(`“${name}”: ${checked.problem} Nothing was changed.`);
}
