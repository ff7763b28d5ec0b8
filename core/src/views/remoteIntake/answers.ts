/** The file in which an owner's answers come back: what it calls itself, and the newest version that is read. */
export const ANSWERS_FORMAT = 'loose-pulley/answers';
export const ANSWERS_VERSION = 1;
