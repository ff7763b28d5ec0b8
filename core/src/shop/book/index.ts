export {
  BOOK_EVENTS_MAX,
  BOOK_FORMAT,
  BOOK_VERSION,
  bookEventFits,
  bookEventShape,
  bookEvents,
  bookHead,
  bookShape,
  type Book,
  type BookBody,
  type BookChange,
  type BookEvent,
  type BookRecord,
} from './schema';
export { appendAll, appendBook, bookRedoTarget, bookUndoTarget, emptyBook, sayBookEvent } from './append';
export { replayBook } from './replay';
export { sayBook } from './words';
