import type { DriveRecord } from '../../record/stations';

const mentions = (words: string, one: string): boolean =>
  one !== '' &&
  new RegExp(`(^|[^\\p{L}\\p{N}])${one.replace(/[^\p{L}\p{N} ]/gu, '.')}($|[^\\p{L}\\p{N}])`, 'iu').test(words);

/** Whether words name a drive: by what it drives, or by its letter. @example namesDrive('belt drive A', driveRecord) // true */
export const namesDrive = (words: string, { role, name }: Pick<DriveRecord, 'role' | 'name'>): boolean =>
  mentions(words, role) || mentions(words, `drive ${name}`);
