import type { MapPlace } from '../cleaning';
import { correctedIn, NUMBERS, oneSlipApart, withoutFillers } from '../../base/spoken';
import { takenIn, type TakenBit } from './account';
import { everyReading, type Choose } from './choices';
import { deedsOf, NOTHING } from './deeds';
import { echoOf } from './echo';
import { numberedPlace, placesIn } from './places';
import { saidIn } from './said';
import type { PlaceNamed, TreatmentDeed, TreatmentRead, TreatmentWay } from './types';
import { HANDS, HOLDS, LEFT, LEVERS, SLIPPED, SLIPS_HARD, SWAB_RUN, WARM_CLAUSE, WORN } from './vocabulary';

/** A line has so many letters at most. */
export const TREATMENT_LINE_MAX = 400;

/** What a line is read against. */
export interface ReadAgainst {
  readonly map: readonly MapPlace[];
  /** The place that is chosen on the map: a line that names none is about it. */
  readonly chosenId: string | null;
}

const kept = (line: string, echo: string, unread: boolean): TreatmentRead => ({
  ways: [{ echo, does: [{ type: 'treat', place: null, told: NOTHING }] }],
  asks: '',
  unread,
});

const noted: TreatmentWay = {
  echo: 'Kept as typed: nothing counts as done.',
  does: [{ type: 'treat', place: null, told: NOTHING }],
};

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
  const whole = counted(withoutFillers(line.toLowerCase()))
    .replace(/[.!]+$/, '')
    .replace(SWAB_RUN, (run) => run.replace(/,|\bthen\b/g, ' '))
    // Two deeds that “and” joins are two clauses.
    .replace(/ and (?=(?:then )?(?:oiled|greased|lubricated|wiped|worked in|run in|rinsed|dried)\b)/g, ', ');
  const meant = slipRight(whole, against);
  const corrected = correctedIn(meant);
  if (corrected) {
    const read = readTreatment(corrected.after, { ...against, chosenId: placeBefore(corrected.before, against) });
    const [way, other] = read?.unread ? [] : (read?.ways ?? []);
    // What is put right and read surely is taken so; else it is asked.
    if (way && !other && way !== noted && way.does.every(({ type }) => type === 'treat' || type === 'seen'))
      return { ways: [way], asks: '', unread: false };
    const ways = [...(read?.unread ? [] : (read?.ways ?? [])).slice(0, 2), noted];
    return { ways, asks: ways.length > 1 ? 'Which is it?' : '', unread: ways.length === 1 };
  }
  const gate = gated(meant, against);
  if (gate.told === '') return kept(line, 'Kept as a note: nothing counts as done.', false);
  const text = gate.told;
  const all = everyReading((choose) => readOnce(text, against, choose));
  if (!all)
    return {
      ways: [],
      asks: 'This may be too many things. Say it in two lines, or name the place by its number.',
      unread: false,
    };
  const isNote = ({ type, ...deed }: TreatmentDeed): boolean =>
    type === 'treat' && 'told' in deed && deed.told === NOTHING;
  const ways = all.readings.map(({ does, unread }): TreatmentWay => {
    if (does.length === 0 || does.every(isNote)) return noted;
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
  if (distinct.every((one) => one === noted))
    return kept(line, 'Not read: kept as typed, and on the papers as it stands.', true);
  // What others did is no treatment of this bench: asked, and a note as likely.
  const [only] = distinct;
  // A slip of the finger, or a word that is not known beside what was done: it is asked.
  if (
    only &&
    distinct.length === 1 &&
    (meant !== whole || gate.strange) &&
    only.does.some(({ type }) => type === 'treat')
  )
    return { ways: [only, noted], asks: 'Is this it?', unread: false };
  if (only && distinct.length === 1 && gate.others && only.does.some(({ type }) => type === 'treat'))
    return { ways: [noted, only], asks: 'Done here, or found so?', unread: false };
  // Whatever is asked, as typed is the last answer; what others did is that first of all.
  const rest = distinct.filter((one) => one !== noted);
  if (rest.length > 1 || distinct.length > 1) return { ways: [...rest, noted], asks: all.asks, unread: false };
  return { ways: distinct, asks: '', unread: false };
}

/** Number words before what they count, in figures. */
const counted = (text: string): string =>
  text.replace(/\b(\w+)(?= (?:strokes|times|swabs|drops|dabs|min|h(?:ours?|rs?)?\b|sweeps|turns|passes))/g, (word) =>
    Object.hasOwn(MORE_NUMBERS, word) ? String(MORE_NUMBERS[word]) : word,
  );
const MORE_NUMBERS: Readonly<Record<string, number>> = {
  ...NUMBERS,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
};

/** Words that a slip may have meant. */
const SLIP_WORDS =
  'pulley pulleys bushing roller rollers guides gears switch contact contacts grease lithium silicone washed cleaned wiped rinsed brushed lubricated soaked belt drive motor'.split(
    ' ',
  );

/** Words of other things that look like slips of these: a washer is no washing. */
const NO_SLIPS: ReadonlySet<string> = new Set('washer washers toothed pulled wired drivers driver'.split(' '));

/** A line with the one word that is known by no list, and is nearly one, put right. */
function slipRight(text: string, { map }: ReadAgainst): string {
  const odd = takenIn(text, map).flatMap((bit) => {
    const near =
      bit.taken === 'notKnown' && bit.text.length > 3 && !NO_SLIPS.has(bit.text)
        ? SLIP_WORDS.filter((word) => oneSlipApart(bit.text, word))
        : [];
    return near.length > 0 ? [{ bit, word: near[0] ?? '' }] : [];
  });
  const [one, other] = odd;
  return one && !other ? `${text.slice(0, one.bit.from)}${one.word}${text.slice(one.bit.to)}` : text;
}

interface Gated {
  /** The clauses that tell of something done or seen; empty where none does. */
  readonly told: string;
  /** A word that is not known stands beside an agent, a number or a denial. */
  readonly strange: boolean;
  /** Somebody else has done it. */
  readonly others: boolean;
}

/** What of a line is told as done or seen: a denial, an order and what is still to come are notes, each for its own clause. */
/** What is told to be done, and when: “clean the rods before closing” did nothing yet. */
const FOR_LATER =
  /^(?:please )?(?:clean|wipe|oil|grease|lubricate|wash|degrease|soak|brush|scrape|rinse|dry)\b.*\b(?:before|later|tomorrow|next time|when|once|until|first)\b/;

function gated(text: string, { map }: ReadAgainst): Gated {
  const clauses: TakenBit[][] = [[]];
  for (const bit of takenIn(text, map)) {
    if (bit.taken === 'separator' && bit.text !== ':' && bit.text !== '(' && bit.text !== ')') clauses.push([]);
    else clauses.at(-1)?.push(bit);
  }
  const kept = clauses.filter(
    (bits) =>
      bits.length > 0 &&
      !bits.some(({ taken }) => taken === 'denied' || taken === 'minded') &&
      !FOR_LATER.test(text.slice(bits[0]?.from ?? 0, bits.at(-1)?.to ?? 0)),
  );
  const strange = kept.some((bits) =>
    bits.some(
      ({ taken }, at) =>
        taken === 'notKnown' &&
        [bits[at - 1], bits[at + 1]].some((beside) => beside?.taken === 'agent' || beside?.taken === 'count'),
    ),
  );
  const others = kept.some((bits) => bits.some(({ taken }) => taken === 'others'));
  if (kept.length === clauses.filter((bits) => bits.length > 0).length) return { told: text, strange, others };
  return { told: kept.map((bits) => text.slice(bits[0]?.from ?? 0, bits.at(-1)?.to ?? 0)).join(', '), strange, others };
}

/** The one place that was named before a correction: what is put right is about it. */
function placeBefore(words: string, { map, chosenId }: ReadAgainst): string | null {
  const { places } = placesIn(words, map, (_, options) => options[0] as (typeof options)[number]);
  return places.length === 1 ? (places[0]?.id ?? chosenId) : chosenId;
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
  // “With acetone, the drive pulley”: what is said before any place is of the next one.
  let pending = '';
  for (const part of text.split(/(?<!\d)[,;](?!\d)|[,;] |\bthen\b/)) {
    const own = part.trim();
    if (own === '') continue;
    const clause = pending === '' ? own : `${pending} ${own}`;
    pending = '';
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
      if (said?.agent && pending === '') pending = clause;
      else unread.push(clause);
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
  if (pending !== '') unread.push(pending);
  // A place that something was done at is on the map by that.
  const doneAt = new Set(does.flatMap((deed) => (deed.type !== 'place' && 'place' in deed ? [deed.place?.name] : [])));
  const telling = does.filter((deed) => deed.type !== 'place' || !doneAt.has(deed.place.name));
  // Words about nothing that is named, with no place chosen, are no treatment.
  return { does: namedHere || chosenId !== null || telling.length > 0 ? telling : [], unread };
}
