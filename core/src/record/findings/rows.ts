import type { OldState } from '../../physics/drive';
import { PLACE_KINDS, type PlaceKind } from '../../work/cleaning';
import type { Dirt } from '../../work/compatibility';
import { called, said, type Saying } from './saying';

/** An answer to a test of Find. */
export type TestAnswer = readonly [testId: string, outcome: string];

/**
 * Whether a kind is how something is (a state), what is wrong with it (a fault), or what was done about it (a deed).
 */
export type FindingNature = 'state' | 'fault' | 'deed';

/** Where a finding may be told of: kinds of place on the map, or what has no place there. */
export type ThingKind = PlaceKind | 'tray' | 'link' | 'path' | 'plug' | 'machine';

/** All that is known of a kind of finding, in one place. What is not so for a kind is said to be null, never left out. */
export interface FindingRow {
  readonly name: string;
  readonly nature: FindingNature;
  /** What it may be found of. */
  readonly of: readonly ThingKind[];
  /** Words by which a line tells it. */
  readonly said: Saying | null;
  /** What it makes of the old belt of its drive. */
  readonly belt: OldState | null;
  /** What stands on its place by it. */
  readonly dirt: Dirt | null;
  /** Which test of Find it answers, by the thing that it was found of. */
  readonly answers: Readonly<Partial<Record<ThingKind, TestAnswer>>>;
  /** The cause of Find that it is the sight of: what was seen is so, whatever the table has. */
  readonly is: string | null;
  /** What it shows besides, where no other finding says otherwise: a belt that slips is whole, and on its pulleys. */
  readonly shows: readonly TestAnswer[];
  /** What it ends by: the thing renewed or taken off, cleaned, or put back by hand. */
  readonly endedBy: 'renewed' | 'cleaned' | 'putBack';
  /** Kinds that cannot be so beside it, of the same thing at the same time. */
  readonly against: readonly string[];
  /** Kinds of the same thing that a deed ends. */
  readonly ends: readonly string[];
  /** For the owner, what was done to the thing: “… put back on its pin”; null where it is no deed. */
  readonly done: string | null;
  /** For the owner, of what it was found of: “the loading belt …”, of dirt what lay on it; null where it is no fault. */
  readonly owner: string | null;
}

const BELT_SAID = called('belts?');
/** A place in the travel, or in words about where: without one it is no more than a complaint. */
const BINDS_AT =
  /\b(?:binds?|sticks?|catch(?:es)?|drags?|rubs?|scrapes?|stutters|hesitates)\b(?: \w+){0,3}? (?:at|after|around|about|near|past)(?: about| around)? \d+(?:[.,]\d+)? ?mm\b|\b(?:binds?|sticks?|catch(?:es)?|drags?|rubs?|scrapes?|stutters|hesitates)\b(?: \w+){0,2}? (?:half ?way|half-way|midway|in the middle)\b/;
const BELT = ['belt'] as const;
const ROLLER = ['roller'] as const;
const GEARS = ['gear', 'rack'] as const;
const none = {
  nature: 'fault',
  said: null,
  belt: null,
  dirt: null,
  answers: {},
  is: null,
  shows: [],
  endedBy: 'renewed',
  against: [],
  ends: [],
  done: null,
  owner: null,
} as const;
const PUT_BACK = String.raw`(?:put|hooked|hung|slipped|pushed|clicked|snapped|set|fitted|eased) (?:back )?(?:on|in|home|onto|into|over)|put back|back (?:on|in|home|onto|over)|refitted|re-?seated|hooked (?:up|on)(?: again)?|on again|home again|engaged again|re-?engaged`;
/** Something put back by hand, or put right. */
const deed = (name: string, of: FindingRow['of'], ends: string, done: string, told: Saying): FindingRow => ({
  ...none,
  nature: 'deed',
  name,
  of,
  ends: [ends],
  done,
  said: told,
});
const OILY: TestAnswer = ['beltFeel', 'oily'];
const SHINY: TestAnswer = ['beltFeel', 'shiny'];
const ROLLERS_DIRTY: TestAnswer = ['rollers', 'shiny'];
const SWITCH_DIRTY: TestAnswer = ['switch', 'dirty'];
/** A dirt of a place: what it answers is the same for every dirt but for belt and pulleys. */
const dirty = (dirt: Dirt, name: string, owner: string, answers: FindingRow['answers'] = {}): FindingRow => ({
  ...none,
  name,
  of: PLACE_KINDS,
  dirt,
  answers,
  endedBy: 'cleaned',
  owner,
});

/**
 * The kinds of finding. A new kind is a row here and nothing anywhere else: every line that may tell it, every station and
 * every paper reads this table.
 */
export const FINDINGS = {
  beltSlack: {
    ...none,
    name: 'belt slack',
    of: BELT,
    said: said(BELT_SAID, /\b(?:slack|hangs?|hanging|loose on|stretched|limp|baggy)\b/),
    belt: 'hanging',
    answers: { belt: ['beltFeel', 'slack'] },
    against: ['beltBroken', 'beltDissolved', 'beltFirm'],
    owner: 'hung slack',
  },
  beltFirm: {
    ...none,
    nature: 'state',
    name: 'belt firm',
    of: BELT,
    said: said(BELT_SAID, /\b(?:firm|taut|snug|good and tight)\b/),
    belt: null,
    answers: { belt: ['beltFeel', 'firm'] },
    against: ['beltSlack', 'beltBroken', 'beltDissolved', 'beltOff'],
    owner: null,
  },
  beltBroken: {
    ...none,
    is: 'beltBroken',
    name: 'belt broken',
    of: BELT,
    said: said(BELT_SAID, /\b(?:broken|broke|snapped|torn|parted|in (?:two|pieces|bits|half))\b/),
    belt: 'broken',
    answers: { belt: ['beltLook', 'broken'] },
    against: ['beltSlack', 'beltFirm', 'beltDissolved'],
    owner: 'was broken',
  },
  beltMissing: {
    ...none,
    is: 'beltBroken',
    name: 'belt missing',
    of: BELT,
    said: said(BELT_SAID, /\bmissing\b|\bno belt (?:in it|there|inside|at all)\b|\b(?:was|is) gone\b/),
    belt: 'broken',
    answers: { belt: ['beltLook', 'broken'] },
    against: ['beltSlack', 'beltFirm', 'beltDissolved'],
    owner: 'was missing',
  },
  beltDissolved: {
    ...none,
    is: 'beltDissolved',
    name: 'belt dissolved',
    of: BELT,
    said: said(
      called('belts?|rubber'),
      /\b(?:crumbs?|crumbled|crumbling|dissolved|melted|tar|goo|gooey|gone soft|turned to (?:tar|goo|mush)|disintegrated)\b/,
    ),
    belt: 'crumbs',
    answers: { belt: ['beltLook', 'dissolved'] },
    against: ['beltSlack', 'beltFirm', 'beltBroken'],
    owner: 'had gone to crumbs',
  },
  beltOff: {
    ...none,
    is: 'beltOff',
    name: 'belt off its pulleys',
    of: BELT,
    said: said(
      BELT_SAID,
      /\b(?:was off|found off|jumped(?: off)?|had (?:slipped|come) off|off (?:its|the|a|one) pulleys?)\b/,
    ),
    answers: { belt: ['beltLook', 'off'] },
    endedBy: 'putBack',
    against: ['beltFirm'],
    owner: 'was off its pulleys',
  },
  beltSwollen: {
    ...none,
    name: 'belt swollen by oil',
    of: BELT,
    said: said(BELT_SAID, /\bswollen\b/),
    belt: 'swollen',
    answers: { belt: OILY },
    owner: 'was swollen with oil',
  },
  beltForeign: {
    ...none,
    is: 'beltWrong',
    name: 'a stopgap for a belt',
    of: BELT,
    said: said(
      called('belts?|rubber band|hair ?band|o[- ]?ring'),
      /\b(?:stopgap|stop-gap|makeshift|foreign|wrong (?:kind|belt|one|size)|not the original|rubber band|hair ?band|household band)\b/,
    ),
    belt: 'stopgap',
    answers: { belt: ['beltFeel', 'strange'] },
    owner: 'was a stopgap',
  },
  beltSlips: {
    ...none,
    name: 'belt slips',
    of: BELT,
    said: said(BELT_SAID, /\bslips?\b|\bslipping\b/),
    answers: { belt: ['holdEject', 'slips'] },
    shows: [
      ['turnHand', 'slips'],
      ['beltLook', 'inPlace'],
    ],
    endedBy: 'cleaned',
    against: ['beltGrips'],
    owner: 'slipped',
  },
  beltGrips: {
    ...none,
    nature: 'state',
    name: 'belt does not slip',
    of: BELT,
    answers: { belt: ['holdEject', 'pushes'] },
    shows: [
      ['turnHand', 'follows'],
      ['beltLook', 'inPlace'],
    ],
    endedBy: 'cleaned',
    against: ['beltSlips'],
    owner: null,
  },
  oily: dirty('oily', 'oily', 'oil', {
    belt: OILY,
    motorPulley: OILY,
    drivenPulley: OILY,
    roller: ROLLERS_DIRTY,
    switch: SWITCH_DIRTY,
  }),
  glazed: dirty('glazed', 'glazed', 'glazed', {
    belt: SHINY,
    motorPulley: SHINY,
    drivenPulley: SHINY,
    roller: ROLLERS_DIRTY,
  }),
  sludge: dirty('sludge', 'sludge', 'sludge'),
  residue: dirty('residue', 'belt residue', 'belt residue'),
  fluff: dirty('fluff', 'dirt', 'dirt', { roller: ROLLERS_DIRTY, switch: SWITCH_DIRTY }),
  sticky: dirty('sticky', 'sticky', 'something sticky', { roller: ROLLERS_DIRTY }),
  corroded: dirty('corroded', 'corroded', 'corrosion', { switch: SWITCH_DIRTY }),
  hardenedGrease: dirty('hardenedGrease', 'hardened grease', 'hardened grease'),
  dry: dirty('dry', 'dry', 'no lubricant left'),
  linkOff: {
    ...none,
    is: 'rollerLink',
    name: 'roller link off',
    of: ['link'],
    said: said(called('links?'), /\b(?:off|loose|(?:had )?come (?:off|loose)|dropped|fallen|jumped|unhooked)\b/),
    answers: { link: ['link', 'off'] },
    endedBy: 'putBack',
    owner: 'had come off',
  },
  rollerWorn: {
    ...none,
    is: 'rollersWorn',
    name: 'rollers worn',
    of: ROLLER,
    said: said(called('rollers?'), /\b(?:worn|nicked|cracked|torn|nicks?)\b/),
    answers: { roller: ['rollers', 'worn'] },
    owner: 'was worn',
  },
  gearCracked: {
    ...none,
    is: 'gearCracked',
    name: 'gear cracked',
    of: GEARS,
    said: said(called('gears?|gear_?wheels?|wheels?|pinions?|cogs?|racks?'), /\b(?:cracked|split|crack)\b/),
    answers: { gear: ['gears', 'cracked'], rack: ['gears', 'cracked'] },
    owner: 'was cracked',
  },
  gearStripped: {
    ...none,
    is: 'gearStripped',
    name: 'teeth gone',
    of: GEARS,
    said: said(
      called('gears?|wheels?|tooth|teeth|pinions?|cogs?|racks?'),
      /\b(?:stripped|gone|missing|broken|chewed|sheared)\b/,
    ),
    answers: { gear: ['gears', 'stripped'], rack: ['gears', 'stripped'] },
    owner: 'had lost teeth',
  },
  gearToothOut: {
    ...none,
    is: 'toothOut',
    name: 'a tooth out',
    of: GEARS,
    said: said(
      called('gears?|wheels?|timing|racks?'),
      /\b(?:a|one|1|two|2) (?:tooth|teeth) out\b|\bout of (?:time|mesh|step)\b/,
    ),
    answers: { gear: ['gears', 'toothOut'], rack: ['gears', 'toothOut'] },
    endedBy: 'putBack',
    owner: 'was a tooth out',
  },
  switchTorn: {
    ...none,
    is: 'switchTorn',
    name: 'switch torn or bent',
    of: ['switch'],
    said: said(called('switch(?:es)?'), /\b(?:torn|bent|broken|snapped)\b/),
    answers: { switch: ['switch', 'torn'] },
    owner: 'was bent or torn',
  },
  trayOffTrack: {
    ...none,
    is: 'offTrack',
    name: 'off its track',
    of: ['tray'],
    said: said(
      called('tray|drawer'),
      /\b(?:off (?:its|the) (?:track|rails?|guides?)|off track|crooked|askew|skewed|beside its (?:track|guides?))\b/,
    ),
    answers: { tray: ['track', 'drifts'] },
    endedBy: 'putBack',
    owner: 'was off its track',
  },
  trayBinds: {
    ...none,
    name: 'binds on its way',
    of: ['tray'],
    said: said(called('tray|drawer|lift|disc|guides?|rails?|it'), BINDS_AT),
    endedBy: 'cleaned',
    owner: 'bound on its way',
  },
  plugLoose: {
    ...none,
    is: 'connector',
    name: 'a plug was loose',
    of: ['plug'],
    said: said(
      called('plugs?|connectors?|flat[_ ]cables?|ribbons?'),
      /\b(?:(?:was|were|found) (?:loose|off|out)|half (?:off|out)|halfway (?:off|out)|not (?:fully )?(?:seated|home))\b/,
    ),
    answers: { plug: ['plugs', 'loose'] },
    endedBy: 'putBack',
    owner: 'was loose',
  },
  discInPath: {
    ...none,
    is: 'discJammed',
    name: 'a disc in the way',
    of: ['path'],
    answers: { path: ['path', 'disc'] },
    endedBy: 'putBack',
    owner: null,
  },
  partInPath: {
    ...none,
    is: 'loosePart',
    name: 'something in the way',
    of: ['path'],
    answers: { path: ['path', 'part'] },
    endedBy: 'putBack',
    owner: null,
  },
  linkPutOn: deed(
    'roller link put back on',
    ['link'],
    'linkOff',
    'put back on',
    said(called('links?'), new RegExp(String.raw`\b(?:${PUT_BACK}|re-?hooked)\b`)),
  ),
  plugPushedHome: deed(
    'plug pushed home',
    ['plug'],
    'plugLoose',
    'pushed home',
    said(
      called('plugs?|connectors?|flat[_ ]cables?|ribbons?'),
      /\b(?:pushed (?:back )?(?:home|in)|pressed (?:back )?(?:home|in)|re-?seated|seated (?:again|properly))\b/,
    ),
  ),
  trayPutOnTrack: deed(
    'put back on its track',
    ['tray'],
    'trayOffTrack',
    'put back on its track',
    said(
      called('tray|drawer'),
      /\b(?:back (?:on|in|onto|into) (?:its|the) (?:tracks?|rails?|guides?)|squared up|set straight(?: again)?)\b/,
    ),
  ),
  gearTimed: deed(
    'gear put back in time',
    GEARS,
    'gearToothOut',
    'put back in mesh',
    said(
      called('gears?|wheels?|timing|racks?'),
      /\b(?:re-?timed|re-?meshed|back in (?:time|mesh|step)|in (?:time|mesh|step) again|(?:moved|set|turned) (?:a|one|two|1|2) (?:tooth|teeth)|marks (?:line up|lined up|aligned)|lined up (?:again|with (?:its|the) marks?))\b/,
    ),
  ),
  beltPutOn: deed(
    'belt put back on',
    BELT,
    'beltOff',
    'put back on its pulleys',
    said(
      BELT_SAID,
      /\b(?:put back on|back on (?:its|the|both) pulleys?|slipped back on|hooked back on|put on again)\b/,
    ),
  ),
  switchBentBack: deed(
    'switch bent back',
    ['switch'],
    'switchTorn',
    'bent back',
    said(called('switch(?:es)?|switch levers?|levers?'), /\b(?:bent (?:back|straight)|straightened)\b/),
  ),
  clampWeak: {
    ...none,
    is: 'clampMagnet',
    name: 'clamp weak or crooked',
    of: ['clamp'],
    said: said(called('clamp|puck|clamper'), /\b(?:weak|crooked|off centre|wobbles|loose|broken|cracked)\b/),
    answers: { clamp: ['clamp', 'weak'] },
    owner: 'did not hold',
  },
} as const satisfies Readonly<Record<string, FindingRow>>;
export type FindingKind = keyof typeof FINDINGS;
export const FINDING_KINDS = Object.keys(FINDINGS) as readonly FindingKind[];
/** The row of a kind. @example rowOf('beltSlack').belt // 'hanging' */
export const rowOf = (kind: FindingKind): FindingRow => FINDINGS[kind];
