import type { Measurand } from '../measuring';
import type { Driven } from '../sizing';
import type { Lid, Mains } from './arrival';
import type { Loader, StationId, StationMark, Ticket } from './types';

export const STATION_NAMES: Readonly<Record<StationId, string>> = {
  takeIn: 'Take in',
  find: 'Find',
  strip: 'Strip',
  measure: 'Measure',
  size: 'Size',
  clean: 'Clean',
  rebuild: 'Rebuild',
  prove: 'Prove',
  handBack: 'Hand back',
};

export const MARK_NAMES: Readonly<Record<StationMark, string>> = {
  open: 'open',
  done: 'done',
  notNeeded: 'not needed',
};

export const LOADER_NAMES: Readonly<Record<Loader, string>> = {
  tray: 'tray',
  twinTray: 'twin tray',
  carousel: 'carousel',
  slot: 'slot, rollers',
  lift: 'lift and carriage',
  diskDrive: 'disk drive, spindle belt',
  wire: 'tray drawn by wire',
};

/** What the belts of a machine move. */
export const DRIVEN_OF: Readonly<Record<Loader, Driven>> = {
  tray: 'tray',
  twinTray: 'tray',
  carousel: 'drawer',
  slot: 'disc',
  lift: 'lift',
  diskDrive: 'spindle',
  wire: 'tray',
};

export const MEASURAND_NAMES: Readonly<Record<Measurand, string>> = {
  section: 'belt section',
  width: 'belt width',
  oldBelt: 'old belt',
  stringPath: 'path, by string',
  motorDiameter: 'motor pulley',
  drivenDiameter: 'driven pulley',
  centreDistance: 'centre distance',
  trayTravel: 'tray travel per turn',
  trayPull: 'tray pull',
  stallPull: 'tray held back',
};

export const MAINS_NAMES: Readonly<Record<Mains['state'], string>> = {
  plugged: 'plugged in',
  unplugged: 'unplugged',
  poweredOpen: 'powered, open',
};

export const LID_NAMES: Readonly<Record<Lid['state'], string>> = { off: 'off', on: 'on' };

/** The first complaint, which a ticket is known by. @example headline(ticket) // 'shy on cold mornings' */
export const headline = (ticket: Pick<Ticket, 'complaints'>): string => ticket.complaints[0]?.words ?? '';
