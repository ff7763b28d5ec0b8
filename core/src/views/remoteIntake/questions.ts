import type { Ticket } from '../../record/ticket';
import { loaderOf } from '../../base/loaders';

/** A question or a test for an owner who does it alone. */
export interface Question {
  readonly id: string;
  readonly text: string;
}

/**
 * What to ask an owner far away, in the order in which it is best done: their own words again, then what costs nothing,
 * then counting. Nothing that opens the machine. Common practice, no source.
 *
 * @example questionsFor(ticket)[0]?.text // 'You said: “shy on cold mornings”. Is it still so? When did it last happen?'
 */
export function questionsFor(ticket: Pick<Ticket, 'loader' | 'complaints'>): Question[] {
  const { has, remote } = loaderOf(ticket.loader);
  const again = ticket.complaints
    .filter(({ state, words }) => state === 'open' && words.trim() !== '')
    .map(({ id, words }) => ({
      id: `complaint-${id}`.slice(0, 64),
      text: `You said: “${words}”. Is it still so? When did it last happen?`,
    }));
  const tests: ReadonlyArray<readonly [id: string, text: string, asked?: boolean]> = [
    ['label', 'Take a picture of the front, and one of the label with the machine’s name and number.'],
    ['before', 'What happened just before it first went wrong? Was it moved, dropped, stood unused, or opened?'],
    [
      'unplug',
      'Pull the plug, leave it out for five minutes, plug it in and try again. Is it the same, better, or different?',
    ],
    [
      'sound',
      `Start it and listen close to the ${remote.listenAt}. Do you hear nothing, a click, a motor running free, a screech or a growl?`,
    ],
    ['display', 'What does the display say when it goes wrong? A picture is best.'],
    ['inside', 'Is there a disc in it, or anything else that should not be? Do not pull at it.', has.discs],
    ...remote.own,
    ['counted', `Move the ${remote.moves} ten times with nothing in it. How many times did it fail?`, has.discs],
    ['loaded', 'Now ten times with an old disc that nobody will miss. How many times did it fail?', has.discs],
    ['tapped', 'When it fails, tap the top lightly with a flat hand. Does that help?'],
    ['warm', 'Does it do better after it was on for half an hour?'],
    ['rattle', 'Pull the plug and tip it gently, first to one side and then to the other. Does anything rattle?'],
    ['repairs', 'Has anybody opened or repaired it before? What was done, and how long ago?'],
  ];
  return [...again, ...tests.filter(([, , asked]) => asked !== false).map(([id, text]): Question => ({ id, text }))];
}
