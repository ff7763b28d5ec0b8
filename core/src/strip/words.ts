/** What the bench calls something altered for the work that must be reversed: the one place to change the word. */
export const TEMPORARY_CHANGE = 'temporary change';
