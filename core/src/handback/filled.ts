import type { FilledField } from '../stations';
import { leftOverOf } from '../strip';
import { capital, counted } from '../units';
import type { Ticket } from '../ticket';

const sentence = (words: string): string => {
  const text = words.trim();
  return text === '' ? '' : `${capital(text)}${/[.!?…]$/.test(text) ? '' : '.'}`;
};
const at = (where: string): string => (where === '' ? '' : `, ${where}`);
const OLD_BELT: Readonly<Partial<Record<Ticket['drives'][number]['oldState'], string>>> = {
  hanging: 'hung slack',
  broken: 'was broken',
  crumbs: 'had gone to crumbs',
  swollen: 'was swollen',
  stopgap: 'was a stopgap',
};

/** What was found: verdicts, the old belts, what lay in it. */
function found(ticket: Ticket): string[] {
  return [
    ...ticket.verdicts.filter(({ state }) => state !== 'ruledOut').map(({ words }) => sentence(words)),
    ...ticket.drives.flatMap(({ role, oldState }) => {
      const how = OLD_BELT[oldState];
      return how ? [sentence(`the ${role === '' ? '' : `${role} `}belt ${how}`)] : [];
    }),
    ...ticket.strip.found.map(({ kind, what, where }) =>
      sentence(kind === 'dirt' ? what : `loose in it: ${what}${at(where)}`),
    ),
    ...ticket.strip.steps
      .filter(({ missing }) => missing > 0)
      .map(({ missing, what, where }) =>
        sentence(`${missing} of the ${what} ${missing === 1 ? 'was' : 'were'} missing when it came${at(where)}`),
      ),
    ...ticket.discs.map(({ where }) => sentence(`a disc was in it${at(where)}`)),
  ];
}

/** What was done: treatments, belts that run, parts that found their place. */
function done(ticket: Ticket): string[] {
  return [
    ...ticket.drives.flatMap(({ role, tries }) =>
      tries.some(({ verdict }) => verdict === 'right')
        ? [sentence(`new ${role === '' ? '' : `${role} `}belt fitted`)]
        : [],
    ),
    ...ticket.treatments.map(({ what }) => sentence(what)),
    ...ticket.strip.found
      .filter(({ kind, homed }) => kind === 'object' && homed)
      .map(({ what }) => sentence(`put where it belongs: ${what}`)),
  ];
}

/** What was noticed and left: what stays out, or has no place. */
function left(ticket: Ticket): string[] {
  return [
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
 * @example handBackText(ticket, 'done') // 'New loading belt fitted.\nBoth pulleys cleaned.'
 */
export function handBackText(ticket: Ticket, field: FilledField): string {
  const { handBack, closedAt } = ticket;
  if (closedAt !== null || handBack.own.includes(field)) return handBack[field];
  return [...new Set(FILL[field](ticket))].filter((line) => line !== '').join('\n');
}
