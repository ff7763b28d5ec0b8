import { checkKnowledge, knowledgeFields, type Knowledge } from '../../work/diagnosis';
import type { Result } from '../../base/units';
import { readBenchFile, writeBenchFile, type BenchFile } from './benchFile';

const KNOWLEDGE_FILE: BenchFile<Knowledge> = {
  format: 'loose-pulley/knowledge',
  version: 1,
  called: 'knowledge of the adviser',
  fields: knowledgeFields,
  check: checkKnowledge,
};

/** Knowledge as a file. @example writeKnowledgeFile(KNOWLEDGE).startsWith('{') // true */
export const writeKnowledgeFile = (knowledge: Knowledge): string => writeBenchFile(KNOWLEDGE_FILE, knowledge);

/** Reads a knowledge file, whole or not at all. @returns the knowledge, or one sentence that says where and what */
export const readKnowledgeFile = (content: string, name: string): Result<Knowledge> =>
  readBenchFile(KNOWLEDGE_FILE, content, name);
