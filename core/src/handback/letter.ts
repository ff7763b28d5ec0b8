import { cleanRunState, tally } from '../proving';
import { beltLabel, counted, formatDay, type LengthUnit } from '../units';
import { type Ticket } from '../ticket';
import { OFFER_NAMES, type ComplaintState } from '../stations';

/** A part of the letter: a heading, and its sentences. */
export interface LetterPart {
  readonly heading: string;
  readonly sentences: readonly string[];
}

const ANSWERS: Readonly<Record<ComplaintState, string>> = {
  open: 'This is not settled yet.',
  cured: 'This is cured.',
  anotherTrade: 'This is for another trade; it was not touched.',
  left: 'This was left as it is.',
  notReproduced: 'It did not show itself here, so it cannot be said to be cured.',
};

/** Sentences as typed, one a line, each ended. */
const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map((line) => (/[.!?…]$/.test(line) ? line : `${line}.`));

/** What the counting showed, in words without percentages: an owner wants to know how often, not within what bounds. */
function shown(ticket: Ticket): string[] {
  const before = tally(ticket.cycles.filter(({ cleanRunId }) => cleanRunId === null));
  const cleanRun = ticket.cleanRuns[ticket.cleanRuns.length - 1];
  const said: string[] = [];
  if (before.n > 0) {
    said.push(
      before.failures === 0
        ? `As it came it was run ${counted(before.n, 'time')} and did not fail once.`
        : `As it came it failed ${counted(before.failures, 'time')} out of ${before.n}.`,
    );
  }
  if (cleanRun) {
    const { clean, failedAt } = cleanRunState(cleanRun, ticket.cycles);
    said.push(
      failedAt !== undefined
        ? `Since the repair it failed again, at try ${failedAt}. It is not cured.`
        : clean === 0
          ? 'Since the repair it was not run yet.'
          : `Since the repair it ran ${counted(clean, 'time')} without failing.`,
    );
  }
  return said;
}

/**
 * The letter to the owner, in plain words: each complaint answered, what was found, done and fitted, what was shown
 * and what was not. Parts with nothing to say are left out.
 *
 * @example letter(ticket, 'mm')[0] // { heading: 'What you told us', sentences: ['“shy on cold mornings”. This is cured.'] }
 */
export function letter(ticket: Ticket, unit: LengthUnit): LetterPart[] {
  const { handBack } = ticket;
  const fitted = ticket.drives.flatMap(({ role, tries }) =>
    tries
      .filter(({ verdict }) => verdict === 'right')
      .slice(-1)
      .map((one) => {
        const label = beltLabel(one, unit);
        const source = one.source.trim() === '' ? '' : `, ${one.source.trim()}`;
        return `${role === '' ? 'The' : `The ${role}`} belt: ${label.words}${source}.`;
      }),
  );
  const parts: LetterPart[] = [
    {
      heading: 'What you told us',
      sentences: ticket.complaints.map(
        ({ words, state, after }) =>
          `“${words}”. ${ANSWERS[state]}${after.trim() === '' ? '' : ` ${lines(after).join(' ')}`}`,
      ),
    },
    { heading: 'What we found', sentences: lines(handBack.found) },
    { heading: 'What we did', sentences: lines(handBack.done) },
    { heading: 'What is in it now', sentences: fitted },
    {
      heading: 'What we offered',
      sentences: ticket.offers
        .filter(({ what }) => what.trim() !== '')
        .map(({ what, answer, by }) => `${what}: ${OFFER_NAMES[answer]}${by.trim() === '' ? '' : ` (${by.trim()})`}.`),
    },
    { heading: 'What we saw it do', sentences: shown(ticket) },
    {
      heading: 'What will not last',
      sentences: [
        ...lines(handBack.provisional),
        ...(handBack.dueOn === '' ? [] : [`Please bring it back by ${formatDay(handBack.dueOn)}.`]),
      ],
    },
    { heading: 'What we noticed and left', sentences: lines(handBack.left) },
    { heading: 'What we did not try', sentences: lines(handBack.notTested) },
    {
      heading: 'Time and cost',
      sentences: [
        ...(handBack.minutes === null ? [] : [`${counted(handBack.minutes, 'minute')} at the bench.`]),
        ...(handBack.cost.trim() === '' ? [] : [`It costs ${handBack.cost.trim()}.`]),
      ],
    },
  ];
  return parts.filter(({ sentences }) => sentences.length > 0);
}
