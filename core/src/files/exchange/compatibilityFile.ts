import { checkCompatibility, compatibilityFields, type Compatibility } from '../../work/compatibility';
import type { Result } from '../../base/units';
import { readBenchFile, writeBenchFile, type BenchFile } from './benchFile';

const COMPATIBILITY_FILE: BenchFile<Compatibility> = {
  format: 'loose-pulley/compatibility',
  version: 1,
  called: 'table of what may touch what',
  fields: compatibilityFields,
  check: checkCompatibility,
};

/** The table as a file. @example writeCompatibilityFile(COMPATIBILITY).startsWith('{') // true */
export const writeCompatibilityFile = (table: Compatibility): string => writeBenchFile(COMPATIBILITY_FILE, table);

/** Reads such a file, whole or not at all. @returns the table, or one sentence that says where and what */
export const readCompatibilityFile = (content: string, name: string): Result<Compatibility> =>
  readBenchFile(COMPATIBILITY_FILE, content, name);
