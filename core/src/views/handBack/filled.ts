import { AGENT_NAMES } from '../../work/compatibility';
import { isCure, placeState, type Place } from '../../work/cleaning';
import {
  FINDING_KINDS,
  knownOf,
  findingsTold,
  mapAsFound,
  rowOf,
  type Finding,
  type ThingKind,
} from '../../record/findings';
import type { DriveRecord, FilledField, StationId, Try } from '../../record/stations';
import type { Rest, Sentence } from './sentence';
import { leftOverOf } from '../../work/strip';
import { capital, counted, formatLength, listed } from '../../base/units';
import { remedyOf, type RemedyKind, type Ticket } from '../../record/ticket';

const ended = (words: string): string => {
  const text = words.trim();
  return text === '' ? '' : `${capital(text)}${/[.!?…]$/.test(text) ? '' : '.'}`;
};
const sentence = (words: string, ...rests: readonly Rest[]): Sentence => ({ text: ended(words), rests });
const rest = (station: StationId, words: string, when = ''): Rest => ({ station, words, at: when });
const ofFinding = ({ station, from, at: when }: Finding): Rest => rest(station, from, when);
const at = (where: string): string => (where === '' ? '' : `, ${where}`);
/** A place as an owner reads it: the lift belt, and no letter of a drive. */
function ownersName({ name }: Place): string {
  const [, what = name, role = ''] = /^(.+?) [A-Z](?:, (.+))?$/.exec(name) ?? [];
  return role === '' ? what : `${role} ${what}`;
}
const named = (places: readonly Place[]): string => listed([...new Set(places.map(ownersName))]);

/** What is no place of the map, as an owner reads it. */
const THING_SAID: Readonly<Partial<Record<ThingKind, string>>> = {
  link: 'the link between the rollers',
  roller: 'a roller',
  gear: 'a gear',
  rack: 'the rack',
  switch: 'a switch',
  tray: 'the tray',
  plug: 'a plug',
  clamp: 'the clamp',
};

/** The thing of a finding as an owner reads it: the lift belt, the link between the rollers. */
const thingSaid = ({ drives }: Ticket, { thing, driveId }: Finding): string => {
  const role = drives.find(({ id }) => id === driveId)?.role ?? '';
  return thing === 'belt' ? `the ${role === '' ? '' : `${role} `}belt` : (THING_SAID[thing] ?? `the ${thing}`);
};

/** Everything that was found, wherever it was said, each once. */
function findingsSaid(ticket: Ticket): Sentence[] {
  const findings = knownOf(ticket);
  const things = findings.flatMap((one): Sentence[] => {
    const { kind, left: asItIs } = one;
    const { owner, dirt } = rowOf(kind);
    // What Clean left as it is stands among what was left.
    if (owner === null || dirt !== null || asItIs) return [];
    return [sentence(`${thingSaid(ticket, one)} ${owner}`, ofFinding(one))];
  });
  const map = mapAsFound(ticket).map(({ place }) => place);
  const dirts = [...new Set(map.flatMap(({ seen }) => seen.map(({ dirt }) => dirt)))].map((dirt) => {
    const of = named(map.filter(({ seen }) => seen.some((one) => one.dirt === dirt)));
    const owner = FINDING_KINDS.map(rowOf).find((row) => row.dirt === dirt)?.owner ?? dirt;
    const told = findings.filter(({ kind }) => rowOf(kind).dirt === dirt).map(ofFinding);
    return sentence(dirt === 'glazed' ? `${of} glazed` : `${owner} on ${of}`, ...told);
  });
  return [...things, ...dirts];
}

/** What was cleaned and lubricated, each said once however many swabs it took. */
function cleanedSaid({ cleaning: { places, treatments } }: Ticket): Sentence[] {
  const cures = treatments.filter(isCure);
  const treated = (is: (one: (typeof cures)[number]) => boolean): readonly Place[] =>
    places.filter(({ id }) => cures.some((one) => one.placeId === id && is(one)));
  const cleaned = treated(({ deed }) => deed !== 'lubricate');
  const restsOf = (is: (one: (typeof cures)[number]) => boolean): readonly Rest[] =>
    cures.filter(is).map(({ line, at: when }) => rest('clean', `“${line}”`, when));
  const lubricants = [...new Set(cures.flatMap(({ deed, agent }) => (deed === 'lubricate' && agent ? [agent] : [])))];
  return [
    ...(cleaned.length > 0
      ? [sentence(`${named(cleaned)} cleaned`, ...restsOf(({ deed }) => deed !== 'lubricate'))]
      : []),
    ...lubricants.map((agent) =>
      sentence(
        `new ${AGENT_NAMES[agent]} on ${named(treated((one) => one.deed === 'lubricate' && one.agent === agent))}`,
        ...restsOf((one) => one.deed === 'lubricate' && one.agent === agent),
      ),
    ),
  ];
}

/** What was found: verdicts, how things were, what lay in it. */
function found(ticket: Ticket): Sentence[] {
  return [
    ...ticket.verdicts
      .filter(({ state }) => state !== 'ruledOut')
      .map(({ words, at: when }) => sentence(words, rest('find', 'the verdict at Find', when))),
    ...findingsSaid(ticket),
    ...(ticket.cleaning.jam && ticket.cleaning.jam.what !== ''
      ? [
          sentence(
            `in the way: ${ticket.cleaning.jam.what}${at(ticket.cleaning.jam.lay)}`,
            rest('clean', 'what was in the way'),
          ),
        ]
      : []),
    // Dirt whose place is known is said with the other dirt.
    ...ticket.strip.found
      .filter(({ kind, what, where }) => kind !== 'dirt' || findingsTold(`${what} ${where}`).length === 0)
      .map(({ kind, what, where }) =>
        sentence(kind === 'dirt' ? what : `loose in it: ${what}${at(where)}`, rest('strip', 'found at Strip')),
      ),
    ...ticket.strip.steps
      .filter(({ missing }) => missing > 0)

      .map(({ missing, what, where, number, at: when }) =>
        sentence(
          `${missing} of the ${what} ${missing === 1 ? 'was' : 'were'} missing when it came${at(where)}`,
          rest('strip', `number ${number} at Strip`, when),
        ),
      ),
    ...ticket.discs.map(({ where }) => sentence(`a disc was in it${at(where)}`, rest('takeIn', 'discs in custody'))),
  ];
}

/** The belt that runs now, by where it comes from: what was only kept is not new, and says so. */
const FITTED_SAID: Readonly<Record<RemedyKind, (belt: string) => string>> = {
  newBelt: (belt) => `new ${belt} fitted`,
  ring: (belt) => `O-ring fitted as the ${belt}`,
  cleaned: (belt) => `the old ${belt} kept`,
  shrunk: (belt) => `the old ${belt} put on again, warmed to shrink`,
  stretched: (belt) => `a smaller ${belt} fitted, stretched`,
  band: (belt) => `a household band fitted as the ${belt}, for a while only`,
};
const beltOf = ({ role }: Pick<DriveRecord, 'role'>): string => (role === '' ? 'belt' : `${role} belt`);

/** The belt that was judged right on a drive, the last of them. */
const rightOf = ({ tries }: Pick<DriveRecord, 'tries'>): Try | undefined =>
  tries.findLast(({ verdict }) => verdict === 'right');

/** What was put back or put right by hand. */
const putBackSaid = (ticket: Ticket): Sentence[] =>
  knownOf(ticket).flatMap((one) => {
    const { done: words } = rowOf(one.kind);
    return words === null ? [] : [sentence(`${thingSaid(ticket, one)} ${words}`, ofFinding(one))];
  });

/** Whether a treatment is a belt that was fitted. */
const isTry = ({ drives }: Ticket, treatmentId: string): boolean =>
  drives.some(({ tries }) => tries.some(({ id }) => id === treatmentId));

/** What was done: treatments, belts that run, parts that found their place. */
function done(ticket: Ticket): Sentence[] {
  return [
    ...ticket.drives.flatMap((drive) => {
      const right = rightOf(drive);
      return right
        ? [
            sentence(
              FITTED_SAID[remedyOf(right)](beltOf(drive)),
              rest('size', `try ${drive.tries.indexOf(right) + 1}, judged right`),
            ),
          ]
        : [];
    }),
    ...putBackSaid(ticket),
    ...cleanedSaid(ticket),
    ...ticket.cleaning.shrinks.flatMap(({ driveId, beforeMm, afterMm }) => {
      const drive = ticket.drives.find(({ id }) => id === driveId);
      return afterMm === null || !drive
        ? []
        : [
            sentence(
              `old ${beltOf(drive)} warmed: ${formatLength(beforeMm, 'mm')} mm long before, ${formatLength(afterMm, 'mm')} mm after`,
              rest('clean', 'its length before and after, measured'),
            ),
          ];
    }),
    ...ticket.discs
      .filter(({ returned }) => returned)
      .map(({ whose }) =>
        sentence(
          whose.trim() === '' ? 'the disc given back' : `the disc of ${whose.trim()} given back`,
          rest('takeIn', 'discs in custody'),
        ),
      ),
    ...(ticket.cleaning.jam?.out && ticket.cleaning.jam.what.trim() !== ''
      ? [sentence(`taken out: ${ticket.cleaning.jam.what}`, rest('clean', 'what was in the way'))]
      : []),
    // What Clean did is said above, together, and so is the belt.
    ...ticket.treatments
      .filter(({ id }) => !ticket.cleaning.treatments.some((one) => one.id === id) && !isTry(ticket, id))
      .map(({ what, at: when }) => sentence(what, rest('prove', 'a treatment', when))),
    ...ticket.strip.found
      .filter(({ kind, homed }) => kind === 'object' && homed)
      .map(({ what }) => sentence(`put where it belongs: ${what}`, rest('strip', 'found at Strip'))),
  ];
}

/** What was noticed and left: what stays out, has no place, or cleaning does not mend. */
function left(ticket: Ticket): Sentence[] {
  const { places, treatments } = ticket.cleaning;
  return [
    ...places
      .filter((place) => place.left !== '')
      .map((place) => sentence(`${ownersName(place)}: ${place.left}`, rest('clean', 'left as it is'))),
    ...places
      .filter((place) => placeState(place, treatments, null).harmed)
      .map((place) => sentence(`${ownersName(place)}: marked by the cleaning`, rest('clean', 'harmed by a treatment'))),
    ...ticket.strip.found
      .filter(({ kind, homed }) => kind === 'object' && !homed)
      .map(({ what, guess }) =>
        sentence(
          `${what}: where it belongs is not known${guess === '' ? '' : `, perhaps ${guess}`}`,
          rest('strip', 'found at Strip'),
        ),
      ),
    ...ticket.strip.steps.flatMap((step) => {
      const over = leftOverOf(step);
      if (over > 0)
        return [
          sentence(
            `${counted(over, 'piece')} left over of the ${step.what}${at(step.where)}`,
            rest('rebuild', `number ${step.number}`),
          ),
        ];
      return step.explained
        ? [
            sentence(
              `left out of the ${step.what}${at(step.where)}: ${step.explained}`,
              rest('rebuild', `number ${step.number}`),
            ),
          ]
        : [];
    }),
    ...ticket.complaints
      .filter(({ state }) => state === 'left')
      .map(({ words }) => sentence(`“${words}” was left as it is`, rest('handBack', 'the answer to this complaint'))),
  ];
}

const FILL: Readonly<Record<FilledField, (ticket: Ticket) => readonly Sentence[]>> = { found, done, left };

/** What the ticket knows of itself, each sentence once with all that it rests on. */
function known(ticket: Ticket, field: FilledField): readonly Sentence[] {
  const all = FILL[field](ticket).filter(({ text }) => text !== '');
  return all
    .filter(({ text }, index) => index === all.findIndex((one) => one.text === text))
    .map(({ text }) => {
      const rests = all.filter((one) => one.text === text).flatMap((one) => one.rests);
      return {
        text,
        rests: rests.filter(
          (one, i) => i === rests.findIndex(({ words, at: when }) => words === one.words && when === one.at),
        ),
      };
    });
}

/** Lines as they were written, one a sentence. */
const written = (text: string): readonly string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/**
 * What a field of Hand back says, each sentence with what it rests on: the bench's own words where it wrote any, which rest on
 * its hand where the ticket does not say the same; else what the ticket knows of itself. Closed, it says what it said when it
 * went.
 *
 * @example handBackSentences(ticket, 'done')[0]?.text // 'Belt renewed.'
 */
export function handBackSentences(ticket: Ticket, field: FilledField): readonly Sentence[] {
  const { handBack, closedAt } = ticket;
  const own = known(ticket, field);
  if (closedAt === null && !handBack.own.includes(field)) return own;
  return written(handBack[field]).map(
    (text) => own.find((one) => one.text === text) ?? { text, rests: [rest('handBack', 'written by hand')] },
  );
}

/**
 * What a field of Hand back says, as one text.
 *
 * @example handBackText(ticket, 'done') // 'Belt renewed.'
 */
export function handBackText(ticket: Ticket, field: FilledField): string {
  const { handBack, closedAt } = ticket;
  if (closedAt !== null || handBack.own.includes(field)) return handBack[field];
  return known(ticket, field)
    .map(({ text }) => text)
    .join('\n');
}
