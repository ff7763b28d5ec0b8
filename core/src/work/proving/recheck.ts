import type { Recheck } from './schema';

export const RECHECK_NAMES: Readonly<Record<Recheck['result'], string>> = {
  fine: 'looked at: fine',
  faulty: 'looked at: faulty',
  notLooked: 'not looked at',
};
