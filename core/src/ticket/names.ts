import type { Measurand } from '../measuring';
import type { Driven } from '../sizing';
import type { CheckState } from '../proving';
import type { AfterUnplugging, CauseVerdict, ComplaintState, EvidenceKind, Lid, Mains, Offer, Sound } from './arrival';
import type { FittedBecause, Loader, StationId, StationMark, Ticket, Verdict } from './types';

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
  driveDiameter: 'drive pulley',
  centreDistance: 'centre distance',
  trayTravel: 'tray travel per turn',
  trayPull: 'tray pull',
  stallPull: 'tray held back',
};

export const VERDICT_NAMES: Readonly<Record<Verdict, string>> = {
  untried: 'not tried yet',
  right: 'right',
  tooLoose: 'too loose',
  tooTight: 'too tight',
  twisted: 'twisted',
};

export const COMPLAINT_STATE_NAMES: Readonly<Record<ComplaintState, string>> = {
  open: 'open',
  cured: 'cured',
  anotherTrade: 'another trade',
  left: 'left as it is',
  notReproduced: 'not reproduced',
};

export const MAINS_NAMES: Readonly<Record<Mains['state'], string>> = {
  plugged: 'plugged in',
  unplugged: 'unplugged',
  poweredOpen: 'powered, open',
};

export const CHECK_STATE_NAMES: Readonly<Record<CheckState, string>> = {
  blank: 'blank',
  shown: 'shown',
  failed: 'failed',
  notShown: 'not shown',
};

export const SOUND_NAMES: Readonly<Record<Sound, string>> = {
  silence: 'silence',
  click: 'a click',
  runsFree: 'motor runs free',
  screech: 'screech',
  growl: 'growl',
  rattle: 'rattles when tipped',
  thump: 'thumps when wound by hand',
};

export const EVIDENCE_NAMES: Readonly<Record<EvidenceKind, string>> = {
  screwsMissing: 'screws missing',
  screwsLoose: 'screws loose',
  screwsWrong: 'wrong screws',
  tabsBroken: 'tabs broken',
  beltForeign: 'a foreign belt',
  earlierRepair: 'an earlier repair',
  looseInside: 'something loose inside',
  other: 'something else',
};

export const AFTER_UNPLUGGING_NAMES: Readonly<Record<AfterUnplugging['result'], string>> = {
  works: 'it works again',
  same: 'just the same',
  changed: 'it changed',
};

export const LID_NAMES: Readonly<Record<Lid['state'], string>> = { off: 'off', on: 'on' };

export const VERDICT_STATE_NAMES: Readonly<Record<CauseVerdict['state'], string>> = {
  found: 'it is this',
  cured: 'cured',
  ruledOut: 'not this',
};

export const OFFER_NAMES: Readonly<Record<Offer['answer'], string>> = {
  open: 'not answered',
  accepted: 'accepted',
  declined: 'declined',
};

export const FITTED_BECAUSE_NAMES: Readonly<Record<FittedBecause, string>> = {
  notSaid: 'not said',
  failed: 'the old one failed',
  preventive: 'before it fails',
  pair: 'the other of a pair',
  ownersWish: 'the owner’s wish',
};

/** The first complaint, which a ticket is known by. @example headline(ticket) // 'shy on cold mornings' */
export const headline = (ticket: Pick<Ticket, 'complaints'>): string => ticket.complaints[0]?.words ?? '';
