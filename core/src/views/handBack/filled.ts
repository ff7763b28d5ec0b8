import { AGENT_NAMES } from '../../work/compatibility';
import { isCure, placeState, type Place } from '../../work/cleaning';
import { FINDING_KINDS, findingsOf, findingsTold, mapAsFound, rowOf, type ThingKind } from '../../record/findings';
import type { DriveRecord, FilledField, Try } from '../../record/stations';
import { leftOverOf } from '../../work/strip';
import { capital, counted, formatLength, listed } from '../../base/units';
import { remedyOf, type RemedyKind, type Ticket } from '../../record/ticket';

const sentence = (words: string): string => {
  const text = words.trim();
  return text === '' ? '' : `${capital(text)}${/[.!?…]$/.test(text) ? '' : '.'}`;
};
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

/** Everything that was found, wherever it was said, each once. */
function findingsSaid(ticket: Ticket): string[] {
  const findings = findingsOf(ticket);
  const role = (id: string | null): string => ticket.drives.find((one) => one.id === id)?.role ?? '';
  const things = findings.flatMap(({ kind, thing, driveId, station }): string[] => {
    const { owner, dirt } = rowOf(kind);
    // What Clean left as it is stands among what was left.
    if (owner === null || dirt !== null || station === 'clean') return [];
    return [
      thing === 'belt'
        ? sentence(`the ${role(driveId) === '' ? '' : `${role(driveId)} `}belt ${owner}`)
        : sentence(`${THING_SAID[thing] ?? `the ${thing}`} ${owner}`),
    ];
  });
  const map = mapAsFound(ticket).map(({ place }) => place);
  const dirts = [...new Set(map.flatMap(({ seen }) => seen.map(({ dirt }) => dirt)))].map((dirt) => {
    const of = named(map.filter(({ seen }) => seen.some((one) => one.dirt === dirt)));
    const owner = FINDING_KINDS.map(rowOf).find((row) => row.dirt === dirt)?.owner ?? dirt;
    return sentence(dirt === 'glazed' ? `${of} glazed` : `${owner} on ${of}`);
  });
  return [...new Set([...things, ...dirts])];
}

/** What was cleaned and lubricated, each said once however many swabs it took. */
function cleanedSaid({ cleaning: { places, treatments } }: Ticket): string[] {
  const cures = treatments.filter(isCure);
  const treated = (is: (one: (typeof cures)[number]) => boolean): readonly Place[] =>
    places.filter(({ id }) => cures.some((one) => one.placeId === id && is(one)));
  const cleaned = treated(({ deed }) => deed !== 'lubricate');
  const lubricants = [...new Set(cures.flatMap(({ deed, agent }) => (deed === 'lubricate' && agent ? [agent] : [])))];
  return [
    ...(cleaned.length > 0 ? [sentence(`${named(cleaned)} cleaned`)] : []),
    ...lubricants.map((agent) =>
      sentence(
        `new ${AGENT_NAMES[agent]} on ${named(treated((one) => one.deed === 'lubricate' && one.agent === agent))}`,
      ),
    ),
  ];
}

/** What was found: verdicts, how things were, what lay in it. */
function found(ticket: Ticket): string[] {
  return [
    ...ticket.verdicts.filter(({ state }) => state !== 'ruledOut').map(({ words }) => sentence(words)),
    ...findingsSaid(ticket),
    ...(ticket.cleaning.jam && ticket.cleaning.jam.what !== ''
      ? [sentence(`in the way: ${ticket.cleaning.jam.what}${at(ticket.cleaning.jam.lay)}`)]
      : []),
    // Dirt whose place is known is said with the other dirt.
    ...ticket.strip.found
      .filter(({ kind, what, where }) => kind !== 'dirt' || findingsTold(`${what} ${where}`).length === 0)
      .map(({ kind, what, where }) => sentence(kind === 'dirt' ? what : `loose in it: ${what}${at(where)}`)),
    ...ticket.strip.steps
      .filter(({ missing }) => missing > 0)
      .map(({ missing, what, where }) =>
        sentence(`${missing} of the ${what} ${missing === 1 ? 'was' : 'were'} missing when it came${at(where)}`),
      ),
    ...ticket.discs.map(({ where }) => sentence(`a disc was in it${at(where)}`)),
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

/** What was done: treatments, belts that run, parts that found their place. */
function done(ticket: Ticket): string[] {
  return [
    ...ticket.drives.flatMap((drive) => {
      const right = rightOf(drive);
      return right ? [sentence(FITTED_SAID[remedyOf(right)](beltOf(drive)))] : [];
    }),
    ...cleanedSaid(ticket),
    ...ticket.cleaning.shrinks.flatMap(({ driveId, beforeMm, afterMm }) => {
      const drive = ticket.drives.find(({ id }) => id === driveId);
      return afterMm === null || !drive
        ? []
        : [
            sentence(
              `old ${beltOf(drive)} warmed: ${formatLength(beforeMm, 'mm')} mm long before, ${formatLength(afterMm, 'mm')} mm after`,
            ),
          ];
    }),
    ...(ticket.cleaning.jam?.out ? [sentence(`taken out: ${ticket.cleaning.jam.what}`)] : []),
    // What Clean did is said above, together.
    ...ticket.treatments
      .filter(({ id }) => !ticket.cleaning.treatments.some((one) => one.id === id))
      .map(({ what }) => sentence(what)),
    ...ticket.strip.found
      .filter(({ kind, homed }) => kind === 'object' && homed)
      .map(({ what }) => sentence(`put where it belongs: ${what}`)),
  ];
}

/** What was noticed and left: what stays out, has no place, or cleaning does not mend. */
function left(ticket: Ticket): string[] {
  const { places, treatments } = ticket.cleaning;
  return [
    ...places.filter((place) => place.left !== '').map((place) => sentence(`${ownersName(place)}: ${place.left}`)),
    ...places
      .filter((place) => placeState(place, treatments, null).harmed)
      .map((place) => sentence(`${ownersName(place)}: marked by the cleaning`)),
    ...ticket.strip.found
      .filter(({ kind, homed }) => kind === 'object' && !homed)
      .map(({ what, guess }) =>
        sentence(`${what}: where it belongs is not known${guess === '' ? '' : `, perhaps ${guess}`}`),
      ),
    ...ticket.strip.steps.flatMap((step) => {
      const over = leftOverOf(step);
      if (over > 0) return [sentence(`${counted(over, 'piece')} left over of the ${step.what}${at(step.where)}`)];
      return step.explained ? [sentence(`left out of the ${step.what}${at(step.where)}: ${step.explained}`)] : [];
    }),
    ...ticket.complaints
      .filter(({ state }) => state === 'left')
      .map(({ words }) => sentence(`“${words}” was left as it is`)),
  ];
}

const FILL: Readonly<Record<FilledField, (ticket: Ticket) => readonly string[]>> = { found, done, left };

/**
 * What a field of Hand back says: the bench's own words where it wrote any, else what the ticket knows of itself. Closed,
 * it says what it said when it went.
 *
 * @example handBackText(ticket, 'done') // 'Belt renewed.'
 */
export function handBackText(ticket: Ticket, field: FilledField): string {
  const { handBack, closedAt } = ticket;
  if (closedAt !== null || handBack.own.includes(field)) return handBack[field];
  return [...new Set(FILL[field](ticket))].filter((line) => line !== '').join('\n');
}
