import type { AfterUnplugging, ComplaintState, EvidenceKind, Sound } from './schema';

export const COMPLAINT_STATE_NAMES: Readonly<Record<ComplaintState, string>> = {
  open: 'open',
  cured: 'cured',
  anotherTrade: 'needs another specialist',
  left: 'left as it is',
  notReproduced: 'not reproduced',
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
