export { differences, type Difference } from './difference';
export { readTicketDocument, readTicketFile, TICKET_FILE_MOST_BYTES } from './ticketFile';
export {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  BENCH_PARTS,
  type BenchPart,
  type BenchTexts,
  joinArchive,
  packTickets,
  readArchive,
  verifyArchive,
  writeArchive,
  type Archive,
  type PackedTickets,
  type PictureBytes,
} from './archive';
export { recordSchema } from './recordSchema';
export { recordJsonSchema } from './recordJsonSchema';
export { upcast, type Upcaster } from './upcast';
export { PICTURE_MAX_BYTES, pictureKind, pictureName, PICTURES_MAX, type PictureKind } from './pictureKind';
export { ANSWERS_MAX_BYTES, readAnswersFile, type AnswersFile } from './answersFile';
export { readKnowledgeFile, writeKnowledgeFile } from './knowledgeFile';
export { readCompatibilityFile, writeCompatibilityFile } from './compatibilityFile';
export { readBookFile, writeBookFile, type BookFile } from './bookFile';
