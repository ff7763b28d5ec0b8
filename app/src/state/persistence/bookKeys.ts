/** Where the bench book lies in the table of settings, and how often it was written there. */
export const BOOK_KEY = 'bench-book';
export const BOOK_REVISION = 'bench-book-revision';
/** The book that another took the place of: it can be taken back. */
export const BOOK_BEFORE = 'bench-book-before';
