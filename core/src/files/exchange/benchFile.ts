import { ValidationError } from 'yup';
import { number, one, shape, type Fields, textOfJson } from '../../base/schema';
import { ok, refuse, type Result } from '../../base/units';
import { toYup } from './toYup';
import { sentence } from './yupSentence';

/** Something that a bench keeps as its own and hands on as a file: the adviser’s knowledge, what may touch what. */
export interface BenchFile<T> {
  readonly format: string;
  readonly version: number;
  /** What it is, as a refusal says it: “knowledge of the adviser”. */
  readonly called: string;
  readonly fields: Fields;
  /** Whether it can be reasoned with. */
  readonly check: (read: T) => Result<T>;
}

/** Such files are some 40 kB; one far above that is something else. */
export const BENCH_FILE_MAX_BYTES = 1_000_000;

/** The thing as a file. */
export const writeBenchFile = <T extends object>({ format, version }: BenchFile<T>, of: T): string =>
  `${JSON.stringify({ format, version, ...of }, null, 1)}\n`;

/**
 * Reads such a file, whole or not at all: its shape, and that it can be reasoned with.
 *
 * @returns what it holds, or one sentence that says where and what
 */
export function readBenchFile<T extends object>(
  { format, version, called, fields, check }: BenchFile<T>,
  content: string,
  name: string,
): Result<T> {
  if (content.length > BENCH_FILE_MAX_BYTES)
    return refuse(`“${name}” is larger than 1 MB, too large for ${called}. Nothing was changed.`);
  let document: unknown;
  try {
    document = JSON.parse(textOfJson(content));
  } catch {
    return refuse(`“${name}” is broken or cut short. Nothing was changed.`);
  }
  const head = document as { format?: unknown; version?: unknown } | null;
  if (typeof head !== 'object' || head?.format !== format)
    return refuse(`“${name}” is no ${called}. Choose a .json that its page has exported.`);
  if (typeof head.version === 'number' && head.version > version)
    return refuse(`“${name}” was written by a newer Loose Pulley. Update this bench first.`);
  try {
    toYup(shape({ format: one([format]), version: number(version, version), ...fields })).validateSync(document, {
      abortEarly: true,
      strict: true,
    });
  } catch (error) {
    if (error instanceof ValidationError)
      return refuse(`“${name}” cannot be read: ${sentence(error)}. Nothing was changed.`);
    throw error;
  }
  const { format: _, version: __, ...held } = document as Record<string, unknown>;
  const checked = check(held as T);
  return checked.ok ? ok(checked.value) : refuse(`“${name}”: ${checked.problem} Nothing was changed.`);
}
