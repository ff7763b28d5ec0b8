import type { Lid, Mains, StationMark, WAITING_FOR } from './schema';

export const MARK_NAMES: Readonly<Record<StationMark, string>> = {
  open: 'open',
  done: 'done',
  notNeeded: 'not needed',
};

export const MAINS_NAMES: Readonly<Record<Mains['state'], string>> = {
  plugged: 'plugged in',
  unplugged: 'unplugged',
  poweredOpen: 'powered, open',
};

export const LID_NAMES: Readonly<Record<Lid['state'], string>> = { off: 'off', on: 'on' };

/** What a ticket waits for, as it finishes “Waiting for: …”. */
export const WAITING_NAMES: Readonly<Record<(typeof WAITING_FOR)[number], string>> = {
  nothing: 'nothing',
  parts: 'parts',
  owner: 'the owner',
};
