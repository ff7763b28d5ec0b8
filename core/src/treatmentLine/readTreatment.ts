import {
  DEED_NAMES,
  OUTCOME_NAMES,
  PLACE_KNOWN,
  type CleanDeed,
  type MapPlace,
  type Outcome,
  type PlaceKind,
  type Swab,
} from '../cleaning';
import { AGENT_NAMES, DIRT_NAMES, isLubricant, type Agent, type Dirt } from '../compatibility';
import { capital, counted } from '../units';
import { everyReading, type Choose } from './choices';
import { oneLetterOff } from './spelling';
import { numberedPlace, placesIn } from './places';
import type { PlaceNamed, TreatmentDeed, TreatmentRead, TreatmentTold, TreatmentWay } from './types';
import {
  AGENT_WORDS,
  AMOUNT_WORDS,
  DEED_WORDS,
  DIRT_WORDS,
  DRIED,
  DRIES,
  DRY,
  HANDS,
  HOLDS,
  LEFT,
  LEVERS,
  MINUTES,
  NOT_DONE,
  OUTCOME_WORDS,
  OVERNIGHT,
  OVERNIGHT_MINUTES,
  SLIPPED,
  SLIPS_HARD,
  SPELT,
  STROKES,
  SWAB_ONE,
  SWAB_RUN,
  swabOf,
  SWABS_TWICE,
  WARM_CLAUSE,
  WAY_WORDS,
  WORN,
} from './vocabulary';

/** A line has so many letters at most. */
export const TREATMENT_LINE_MAX = 400;

/** What a line is read against. */
export interface ReadAgainst {
  readonly map: readonly MapPlace[];
  /** The place that is chosen on the map: a line that names none is about it. */
  readonly chosenId: string | null;
}

const NOTHING: TreatmentTold = {
  deed: 'other',
  agent: null,
  way: '',
  strokes: 0,
  amount: '',
  swabs: [],
  outcome: 'unknown',
};

const kept = (line: string, echo: string, unread: boolean): TreatmentRead => ({
  ways: [{ echo, does: [{ type: 'treat', place: null, told: NOTHING }] }],
  asks: '',
  unread,
});

/**
 * Reads one typed line of cleaning: place, agent, way, strokes, result, in any order; several clauses about one place or
 * several. Sure: one way. In doubt: two to four, answered by one key. Not read: kept as typed.
 *
 * @returns undefined for an empty line
 * @example readTreatment('hands washed', { map: [], chosenId: null }).ways[0].does.length // 1
 */
export function readTreatment(typed: string, against: ReadAgainst): TreatmentRead | undefined {
  const line = typed
    .replace(/[\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '')
    .replace(/\s+/g, ' ')
    .trim();
  if (line === '') return undefined;
  if (line.length > TREATMENT_LINE_MAX)
    return {
      ways: [],
      asks: `A line has ${TREATMENT_LINE_MAX} letters at most, and this has ${line.length}. Say it in several lines.`,
      unread: false,
    };
  const text = line
    .toLowerCase()
    .replace(/[.!]+$/, '')
    .replace(SWAB_RUN, (run) => run.replaceAll(',', ' '))
    // Two deeds that “and” joins are two clauses.
    .replace(/ and (?=(?:then )?(?:oiled|greased|lubricated|wiped|worked in|run in|rinsed|dried)\b)/g, ', ');
  if (NOT_DONE.test(text) && !HOLDS.test(text) && !LEFT.test(text))
    return kept(line, 'Kept as a note: nothing counts as done.', false);
  const all = everyReading((choose) => readOnce(text, against, choose));
  if (!all)
    return {
      ways: [],
      asks: 'This may be too many things. Say it in two lines, or name the place by its number.',
      unread: false,
    };
  const nothing: TreatmentWay = {
    echo: 'Kept as typed: nothing counts as done.',
    does: [{ type: 'treat', place: null, told: NOTHING }],
  };
  const isNote = ({ type, ...deed }: TreatmentDeed): boolean =>
    type === 'treat' && 'told' in deed && deed.told === NOTHING;
  const ways = all.readings.map(({ does, unread }): TreatmentWay => {
    if (does.length === 0 || does.every(isNote)) return nothing;
    if (unread.length === 0) return { echo: echoOf(does), does };
    const left = `${unread.map((clause) => `“${clause}”`).join(', ')} kept as typed.`;
    // A treatment keeps its line; what was only seen keeps none.
    const kept = does.some(({ type }) => type === 'treat');
    return {
      echo: `${echoOf(does)} ${left}`,
      does: kept ? does : [...does, { type: 'treat', place: null, told: NOTHING }],
    };
  });
  const distinct = ways.filter(({ echo }, at) => ways.findIndex((one) => one.echo === echo) === at);
  if (distinct.every((one) => one === nothing))
    return kept(line, 'Not read: kept as typed, and on the papers as it stands.', true);
  return { ways: distinct, asks: distinct.length > 1 ? all.asks : '', unread: false };
}

/** The words of a list that a text has, and the text without them. */
function taken<T>(text: string, words: ReadonlyArray<readonly [RegExp, T]>): readonly [T | undefined, string] {
  for (const [pattern, value] of words) {
    const match = pattern.exec(text);
    if (match) return [value, text.replace(match[0], ' ')];
  }
  return [undefined, text];
}

/** The agent that a clause names. One that is two things, or is spelt with a letter wrong, is asked about. */
function agentIn(text: string, choose: Choose): readonly [Agent | null, string] {
  const [agents, rest] = taken(text, AGENT_WORDS);
  if (agents) return [agents.length === 1 ? (agents[0] ?? null) : choose('Which is it?', agents), rest];
  for (const word of text.match(/[a-z]{6,}/g) ?? []) {
    const near = Object.keys(SPELT).find((one) => oneLetterOff(word, one));
    if (near) return [choose('Is this it?', [SPELT[near] as Agent, null]), text.replace(word, ' ')];
  }
  return [null, text];
}

/** What one clause says, its places apart. */
interface Said {
  /** What is left of it: the places, and words that say nothing here. */
  readonly rest: string;
  /** Whether anything was read. */
  readonly says: boolean;
  /** Minutes until it is dry, where that was said. */
  readonly dryMinutes: number | undefined;
  readonly agent: Agent | null;
  readonly deed: CleanDeed | undefined;
  readonly way: string;
  readonly strokes: number;
  readonly amount: string;
  readonly swabs: readonly Swab[];
  readonly outcome: Outcome | undefined;
  readonly minutes: number | undefined;
  readonly dirt: Dirt | undefined;
  readonly dried: boolean;
  readonly dry: boolean;
}

function saidIn(clause: string, choose: Choose): Said {
  let rest = clause;
  let swabs: Swab[] = [];
  const run = SWAB_RUN.exec(rest);
  if (run) {
    swabs = (run[1]?.match(/black|gr[ea]y|clean/g) ?? []).map(swabOf);
    rest = rest.replace(run[0], ' ');
  } else if (SWAB_ONE.test(rest)) {
    swabs = [swabOf(SWAB_ONE.exec(rest)?.[1] ?? '')];
    rest = rest.replace(SWAB_ONE, ' ');
  } else if (SWABS_TWICE.test(rest)) {
    swabs = ['clean', 'clean'];
    rest = rest.replace(SWABS_TWICE, ' ');
  }
  const dried = DRIED.test(rest) && !/\bdried(?:[- ]up|,? \w+)? grease\b/.test(rest);
  if (dried) rest = rest.replace(DRIED, ' ');
  let deed: CleanDeed | undefined;
  // Outcomes first: “came away clean” is no deed, and “not clean” no outcome of the other kind.
  const [outcome, after] = taken(rest, OUTCOME_WORDS);
  rest = after;
  const cleaned = /\bcleaned\b/.test(clause);
  [deed, rest] = taken(rest, DEED_WORDS);
  let dirt: Dirt | undefined;
  if (deed !== 'oldGreaseOff') [dirt, rest] = taken(rest, DIRT_WORDS);
  const dries = DRIES.test(rest);
  if (dries) rest = rest.replace(DRIES, ' ');
  let minutes: number | undefined;
  const time = MINUTES.exec(rest);
  if (time) {
    minutes = Number((time[1] ?? '').replace(',', '.')) * (time[2]?.startsWith('h') ? 60 : 1);
    rest = rest.replace(time[0], ' ');
  } else if (OVERNIGHT.test(rest)) {
    minutes = OVERNIGHT_MINUTES;
    rest = rest.replace(OVERNIGHT, ' ');
    if (!dries) deed ??= 'soak';
  }
  const dryMinutes = dries ? minutes : undefined;
  if (dries) minutes = undefined;
  const strokes = STROKES.exec(rest);
  if (strokes) rest = rest.replace(strokes[0], ' ');
  const amount = AMOUNT_WORDS.exec(rest)?.[0] ?? '';
  if (amount) rest = rest.replace(amount, ' ');
  let agent: Agent | null;
  const sought =
    deed === 'lubricate'
      ? `${rest} ${/\boiled\b/.test(clause) ? 'oil' : /greased\b/.test(clause) && !/\b(?:lithium|silicone?|white)\b/.test(rest) ? 'grease' : ''}`
      : rest;
  [agent, rest] = agentIn(sought, choose);
  const way = WAY_WORDS.exec(rest)?.[0] ?? '';
  if (way) rest = rest.replace(way, ' ');
  const dry = !dried && agent === null && DRY.test(rest) && !/\bdry (?:swab|brush|cloth)/.test(clause);
  if (agent === null && (/\bdry (?:swab|brush|cloth)/.test(clause) || (deed === 'pick' && outcome === undefined)))
    agent = 'dry';
  if (deed === 'spotTest' && swabs.length === 0)
    swabs =
      /\bblack\b|\bcolou?r\b|\bdirty\b/.test(rest) || outcome === 'harmed'
        ? ['black']
        : outcome === 'clean'
          ? ['clean']
          : [];
  const done = deed ?? (cleaned ? 'wipe' : undefined);
  return {
    rest,
    says: rest.trim() !== clause.trim(),
    dryMinutes,
    agent,
    deed: done,
    way,
    strokes: Number(strokes?.[1] ?? strokes?.[2] ?? 0),
    amount,
    swabs,
    outcome,
    minutes,
    dirt,
    dried,
    dry,
  };
}

/** What is worked to clean it; elsewhere a count is of wipes. */
const WORKED_KINDS: readonly PlaceKind[] = ['switch', 'pot', 'key', 'contact', 'part'];

/** The deed of a clause that names an agent and no deed. */
function deedOf({ deed, agent, strokes, outcome }: Said, kind: PlaceKind): CleanDeed {
  if (deed === 'spotTest') return deed;
  // Where nothing lubricates, there is no old grease but dirt.
  if (deed === 'oldGreaseOff') return PLACE_KNOWN[kind].lubrication ? deed : 'wipe';
  if (agent && isLubricant(agent)) return 'lubricate';
  if (deed && deed !== 'lubricate') return deed;
  if (deed === 'lubricate') return 'lubricate';
  if (strokes > 0 && agent !== null && WORKED_KINDS.includes(kind)) return 'strokes';
  if (agent === 'soapyWater') return 'wash';
  return agent !== null || outcome !== undefined ? 'wipe' : 'other';
}

/** What one reading of a line does, and the clauses of it that say nothing that is known here. */
interface ReadOnce {
  readonly does: readonly TreatmentDeed[];
  readonly unread: readonly string[];
}

function readOnce(text: string, { map, chosenId }: ReadAgainst, choose: Choose): ReadOnce {
  const unread: string[] = [];
  const does: TreatmentDeed[] = [];
  let places: readonly PlaceNamed[] = map
    .filter(({ place }) => place.id === chosenId)
    .map(({ place: { id, kind, name } }) => ({ id, kind, name }));
  let namedHere = false;
  for (const part of text.split(/(?<!\d)[,;](?!\d)|[,;] |\bthen\b/)) {
    const clause = part.trim();
    if (clause === '') continue;
    if (HANDS.test(clause)) {
      does.push({ type: 'treat', place: null, told: { ...NOTHING, deed: 'handsClean' } });
      continue;
    }
    const levers = LEVERS.exec(clause);
    if (levers) {
      does.push({ type: 'levers', out: /out|off|away/.test(levers[1] ?? '') });
      if (placesIn(clause.replace(levers[0], ' '), map, choose).places.length > 0)
        places = placesIn(
          clause.replace(levers[0], ' '),
          map,
          (_, options) => options[0] as (typeof options)[number],
        ).places;
      continue;
    }
    const number = numberedPlace(clause, map);
    const told = number ? number.rest : clause;
    const plain =
      LEFT.test(told) || WORN.test(told) || WARM_CLAUSE.test(told) || SLIPPED.test(told) || HOLDS.test(told);
    // Names of agents hold words of places: contact cleaner, lens fluid. They are taken first.
    const said = plain ? undefined : saidIn(told, choose);
    const found = number ?? placesIn(said ? said.rest : told, map, choose);
    const fresh = found.places.length > 0;
    if (fresh) {
      places = found.places;
      namedHere = true;
    }
    if (places.length === 0) {
      unread.push(clause);
      continue;
    }
    const rest = fresh ? found.rest : told;
    const belts = places.filter(({ kind }) => kind === 'belt');
    if (plain && (LEFT.test(rest) || WORN.test(rest))) {
      // Words on both sides of the place are kept with it.
      const words = /^(?:left|nothing|did)\b/.test(clause) ? clause : rest.replace(/^(?:is|are|was|were) /, '');
      for (const place of places) does.push({ type: 'left', place, words });
      continue;
    }
    if (plain && belts.length > 0 && WARM_CLAUSE.test(rest)) {
      for (const place of belts) does.push({ type: 'warm', place });
      continue;
    }
    if (plain && belts.length > 0 && (HOLDS.test(rest) || SLIPPED.test(rest))) {
      const slip = HOLDS.test(rest) ? 'holds' : SLIPS_HARD.test(rest) ? 'slipsHard' : 'slips';
      for (const place of belts) does.push({ type: 'slip', place, slip });
      continue;
    }
    const sure = said ?? saidIn(rest, choose);
    const before = does.length;
    does.push(...deedsOf(sure, places, does, fresh, choose));
    // Told more of what was done there, or nothing that is known: that is said, and kept as typed.
    if (does.length === before && !fresh && !sure.says) unread.push(clause);
    if (fresh && rest === '' && does.length === before && !sure.says)
      for (const place of places) does.push({ type: 'place', place });
  }
  // Words about nothing that is named, with no place chosen, are no treatment.
  return { does: namedHere || chosenId !== null || does.length > 0 ? does : [], unread };
}

/** What a clause does at its places; one that only tells more of what was just done there is added to that. */
function deedsOf(
  said: Said,
  places: readonly PlaceNamed[],
  before: TreatmentDeed[],
  fresh: boolean,
  choose: Choose,
): readonly TreatmentDeed[] {
  const { deed, way, strokes, amount, swabs, outcome, minutes, dryMinutes, dirt, dried, dry } = said;
  const wetted = (deed === 'wash' || deed === 'soak') && said.agent === null;
  const washedAlready = wetted && before.some((one) => one.type === 'treat' && one.told.agent !== null && !fresh);
  const agent =
    wetted && !washedAlready && places.length > 0
      ? choose('In what?', ['soapyWater', 'water', 'isopropanol'] as const)
      : said.agent;
  if (washedAlready) return [];
  if (deed === 'lubricate' && said.agent === null && places.length > 0)
    return deedsOf(
      { ...said, agent: choose('With what?', ['fineOil', 'lithiumGrease', 'siliconeGrease'] as const) },
      places,
      before,
      fresh,
      choose,
    );
  const acts = agent !== null || (deed !== undefined && deed !== 'other');
  const tells =
    way !== '' ||
    strokes > 0 ||
    amount !== '' ||
    swabs.length > 0 ||
    outcome !== undefined ||
    minutes !== undefined ||
    dryMinutes !== undefined;
  const out: TreatmentDeed[] = [];
  const oils = agent !== null && isLubricant(agent) && places.some(({ kind }) => PLACE_KNOWN[kind].keepFreeOfOil);
  const oily = oils && choose('Is that how it was found?', [true, false]);
  const runs = places.some(({ kind }) => PLACE_KNOWN[kind].lubrication);
  const found =
    dry && !dirt && !acts && !tells && runs ? choose('Found dry, or dry again?', ['found', 'dried'] as const) : 'dried';
  for (const place of places) {
    const last = before.findLast(
      (one) =>
        one.type === 'treat' && one.place !== null && (one.place.id ?? one.place.name) === (place.id ?? place.name),
    );
    // What only tells more of it, and the agent of a wipe that named none, belong to what was just done there.
    const completes =
      acts &&
      agent !== null &&
      last?.type === 'treat' &&
      last.told.agent === null &&
      (last.told.deed === 'wipe' || last.told.deed === 'other') &&
      !isLubricant(agent);
    if (((!acts && tells) || completes) && last?.type === 'treat' && !fresh) {
      before[before.indexOf(last)] = {
        ...last,
        told: {
          ...last.told,
          ...(completes && { agent, deed: deedOf(said, place.kind) }),
          ...(dryMinutes !== undefined && { dryMinutes }),
          ...(way !== '' && { way }),
          ...(strokes > 0 && { strokes }),
          ...(amount !== '' && { amount }),
          ...(swabs.length > 0 && { swabs: [...last.told.swabs, ...swabs] }),
          ...(outcome !== undefined && { outcome }),
          ...(minutes !== undefined && { minutes }),
        },
      };
      continue;
    }
    const known = PLACE_KNOWN[place.kind];
    if (agent && isLubricant(agent) && known.keepFreeOfOil) {
      // Nobody oils a belt: it was found so, or it is a slip.
      out.push(oily ? { type: 'seen', place, dirt: 'oily' } : { type: 'treat', place, told: NOTHING });
      continue;
    }
    if (dirt) out.push({ type: 'seen', place, dirt });
    if (acts || (tells && (dirt === undefined || outcome !== undefined)))
      out.push({
        type: 'treat',
        place,
        told: {
          deed: deedOf(said, place.kind),
          agent,
          way,
          strokes,
          amount,
          swabs,
          outcome: outcome ?? 'unknown',
          ...(minutes !== undefined && { minutes }),
          ...(dryMinutes !== undefined && { dryMinutes }),
        },
      });
    else if (dried) out.push({ type: 'treat', place, told: { ...NOTHING, deed: 'dried' } });
    else if (dry && !dirt) {
      out.push(
        known.lubrication && found === 'found'
          ? { type: 'seen', place, dirt: 'dry' }
          : { type: 'treat', place, told: { ...NOTHING, deed: 'dried' } },
      );
    }
  }
  return out;
}

const timeWords = (minutes: number): string =>
  minutes >= 120 ? `${Math.round(minutes / 6) / 10} h` : `${minutes} min`;

/** What was understood, in words. */
function echoOf(does: readonly TreatmentDeed[]): string {
  const words = does.map((deed): string => {
    switch (deed.type) {
      case 'seen':
        return `${deed.place.name} found ${DIRT_NAMES[deed.dirt]}`;
      case 'left':
        return `${deed.place.name}: “${deed.words}”, left and written on the papers`;
      case 'slip':
        return `${deed.place.name} ${deed.slip === 'holds' ? 'holds' : deed.slip === 'slips' ? 'slips at once' : 'slips when held hard'}`;
      case 'warm':
        return `${deed.place.name} to be warmed: its length first`;
      case 'levers':
        return deed.out ? 'switch levers out: to reverse before power' : 'switch levers in again';
      case 'swab':
        return `${deed.place.name}: a ${deed.swab} swab`;
      case 'place':
        return `${deed.place.name} on the map`;
      case 'treat': {
        const { deed: what, agent, way, strokes, amount, swabs, outcome, minutes } = deed.told;
        if (what === 'handsClean') return 'hands washed';
        const parts = [
          DEED_NAMES[what],
          agent ? AGENT_NAMES[agent] : '',
          way,
          amount,
          strokes > 0 ? counted(strokes, 'stroke') : '',
          minutes !== undefined ? timeWords(minutes) : '',
          deed.told.dryMinutes !== undefined ? `dry after ${timeWords(deed.told.dryMinutes)}` : '',
          swabs.length > 0 ? counted(swabs.length, 'swab') : '',
          OUTCOME_NAMES[outcome],
        ].filter((part) => part !== '');
        return `${deed.place ? `${deed.place.name}: ` : ''}${parts.join(', ')}`;
      }
    }
  });
  return `${words.map(capital).join('. ')}.`;
}
