import {
  besideCount,
  cleanRunState,
  countedBefore,
  failedKinds,
  tally,
  type CycleAction,
  type FailedKind,
} from '../../work/proving';
import { counted, formatDay, type LengthUnit } from '../../base/units';
import { beltLabel } from '../../base/shapes';
import { provisionalNow, remedyOf, type RemedyKind, type Ticket } from '../../record/ticket';
import { handBackSentences } from './filled';
import type { Sentence } from './sentence';
import { OFFER_NAMES, type ComplaintState, type StationId, type Try } from '../../record/stations';

/** A part of the letter: a heading, and its sentences. */
export interface LetterPart {
  readonly heading: string;
  readonly sentences: readonly Sentence[];
}

const ANSWERS: Readonly<Record<ComplaintState, string>> = {
  open: 'This is not settled yet.',
  cured: 'This is cured.',
  anotherTrade: 'This needs another specialist; it was not touched.',
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

const DOING: Readonly<Record<CycleAction, readonly [doing: string, did: string]>> = {
  open: ['opening it', 'opened'],
  close: ['closing it', 'closed'],
  turnTable: ['turning its table', 'turned its table'],
  load: ['taking a disc in', 'took a disc in'],
  eject: ['giving a disc back', 'gave it back'],
  spinUp: ['starting it', 'started'],
};

/** How it was, as an owner would say it. */
function circumstance({ action, place, loaded, conditions }: FailedKind): string {
  const disc =
    loaded === null || action === 'load' || action === 'eject' ? '' : loaded ? 'with a disc in' : 'with no disc in';
  return [disc, ...conditions, place].filter((word) => word !== '').join(', ');
}

const told = (text: string, station: StationId, words: string, at = ''): Sentence => ({
  text,
  rests: [{ station, words, at }],
});
const byHand = (text: string, words = 'written at Hand back'): Sentence => told(text, 'handBack', words);
/** Sentences of a field as an owner reads them, each ended. */
const endedOf = (list: readonly Sentence[]): Sentence[] =>
  list.map(({ text, rests }) => ({ text: /[.!?…]$/.test(text) ? text : `${text}.`, rests }));

/** What the counting showed, in words without percentages: an owner wants to know how often, not within what bounds. */
function shown(ticket: Ticket): string[] {
  const before = tally(countedBefore(ticket.cycles));
  const cleanRun = ticket.cleanRuns[ticket.cleanRuns.length - 1];
  const kinds = failedKinds(ticket.cycles, cleanRun);
  const said = kinds.map((kind) => {
    const how = circumstance(kind);
    return `As it came, ${DOING[kind.action][0]} failed ${counted(kind.failures, 'time')} out of ${kind.n}${how && ` (${how})`}.`;
  });
  if (before.n > 0 && before.failures === 0)
    said.push(`As it came it was run ${counted(before.n, 'time')} and did not fail once.`);
  if (!cleanRun) return said;
  const { clean, failedAt } = cleanRunState(cleanRun, ticket.cycles);
  if (failedAt !== undefined)
    return [...said, `Since the repair it failed again, at try ${failedAt}. It is not cured.`];
  if (clean === 0) return [...said, 'Since the repair it was not run yet.'];
  if (kinds.length === 0) return [...said, `Since the repair it ran ${counted(clean, 'time')} without failing.`];
  const beside = besideCount(ticket.cycles, cleanRun, kinds);
  return [
    ...said,
    ...kinds.map((kind) =>
      kind.clean === 0
        ? `Since the repair ${DOING[kind.action][0]} so was not tried.`
        : `Since the repair it ${DOING[kind.action][1]} so ${counted(kind.clean, 'time')} without failing.`,
    ),
    ...(beside > 0 ? [`Besides, it ran ${counted(beside, 'time')} in other ways without failing.`] : []),
  ];
}

/** Where a belt comes from, as an owner reads it; empty where it is new and nobody wrote from where. */
const ORIGIN_SAID: Readonly<Partial<Record<RemedyKind, string>>> = {
  cleaned: 'your old one',
  shrunk: 'your old one, warmed to shrink',
  stretched: 'a smaller one, stretched',
  band: 'a household band, for a while only',
};
function originSaid(one: Try): string {
  const said = ORIGIN_SAID[remedyOf(one)] ?? one.source.trim();
  return said === '' ? '' : `, ${said}`;
}

/**
 * The letter to the owner, in plain words: each complaint answered, what was found, done and fitted, what was shown
 * and what was not. Parts with nothing to say are left out.
 *
 * @example letter(ticket, 'mm')[0].sentences[0].text // '“shy on cold mornings”. This is not settled yet.'
 */
export function letter(ticket: Ticket, unit: LengthUnit): LetterPart[] {
  const { handBack } = ticket;
  const provisional = provisionalNow(ticket);
  const fitted = ticket.drives.flatMap(({ role, tries }) =>
    tries
      .filter(({ verdict }) => verdict === 'right')
      .slice(-1)
      .map((one) => {
        const label = beltLabel(one, unit);
        return told(
          `${role === '' ? 'The' : `The ${role}`} belt: ${label.words}${originSaid(one)}.`,
          'size',
          'the try that was judged right',
        );
      }),
  );
  const parts: LetterPart[] = [
    {
      heading: 'What you told us',
      sentences: ticket.complaints.map(({ words, state, after }) =>
        told(
          `“${words}”. ${ANSWERS[state]}${after.trim() === '' ? '' : ` ${lines(after).join(' ')}`}`,
          'handBack',
          'the answer to this complaint',
        ),
      ),
    },
    { heading: 'What we found', sentences: endedOf(handBackSentences(ticket, 'found')) },
    { heading: 'What we did', sentences: endedOf(handBackSentences(ticket, 'done')) },
    { heading: 'What is in it now', sentences: fitted },
    {
      heading: 'What we offered',
      sentences: ticket.offers
        .filter(({ what }) => what.trim() !== '')
        .map(({ what, answer, by }) =>
          byHand(`${what}: ${OFFER_NAMES[answer]}${by.trim() === '' ? '' : ` (${by.trim()})`}.`, 'what was offered'),
        ),
    },
    {
      heading: 'What we saw it do',
      sentences: shown(ticket).map((text) =>
        told(text, 'prove', `${counted(ticket.cycles.length, 'counted cycle')} at Prove`),
      ),
    },
    {
      heading: 'What will not last',
      sentences: [
        ...lines(provisional.text).map((text) => byHand(text)),
        ...(provisional.dueOn === ''
          ? []
          : [byHand(`Please bring it back by ${formatDay(provisional.dueOn)}.`, 'the day set at Hand back')]),
      ],
    },
    { heading: 'What we noticed and left', sentences: endedOf(handBackSentences(ticket, 'left')) },
    { heading: 'What we did not try', sentences: lines(handBack.notTested).map((text) => byHand(text)) },
    {
      heading: 'Time and cost',
      sentences: [
        ...(handBack.minutes === null ? [] : [byHand(`${counted(handBack.minutes, 'minute')} at the bench.`)]),
        ...(handBack.cost.trim() === '' ? [] : [byHand(`It costs ${handBack.cost.trim()}.`)]),
      ],
    },
  ];
  return parts.filter(({ sentences }) => sentences.length > 0);
}
