import type { CheckState } from '../proving';
import type { AfterUnplugging, CauseVerdict, ComplaintState, EvidenceKind, Offer, Sound } from './arrival';
import type { FittedBecause, Verdict } from './types';

/* The words of single stations, apart from those that every page of a ticket needs at once. */

export const COMPLAINT_STATE_NAMES: Readonly<Record<ComplaintState, string>> = {
  open: 'open',
  cured: 'cured',
  anotherTrade: 'another trade',
  left: 'left as it is',
  notReproduced: 'not reproduced',
};

export const CHECK_STATE_NAMES: Readonly<Record<CheckState, string>> = {
  notDone: 'not done',
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
  unknown: 'not said',
  failed: 'the old one failed',
  preventive: 'before it fails',
  pair: 'the other of a pair',
  ownersWish: 'the owner’s wish',
};

export const VERDICT_NAMES: Readonly<Record<Verdict, string>> = {
  untried: 'not tried yet',
  right: 'right',
  tooLoose: 'too loose',
  tooTight: 'too tight',
  twisted: 'twisted',
};
