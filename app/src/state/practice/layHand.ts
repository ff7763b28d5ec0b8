import { nanoid } from 'nanoid';
import type { Result } from '@loose-pulley/core/base/units';
import type { EventBody } from '@loose-pulley/core/record/ticket';
import type { Hand } from '@loose-pulley/lab/hidden';
import type { Ending } from '@loose-pulley/lab/practice';
import { askMachine, type Seen } from '../../workers/practice';
import { recordEvents } from '../persistence/recording';
import { saidAloud } from '../store/openTicket';
import type { RootState, Thunk } from '../store/types';
import { factsOf } from './facts';
import { soundOf } from './sounds';

const practiceOf = ({ openTicket: { ticket } }: RootState) =>
  ticket.status === 'open' ? ticket.record.ticket.practice : undefined;

const NO_ANSWER = 'The machine does not answer: the background work stopped. What was done is kept. Try again.';

/** One hand at a time: the next waits for what the last came to. */
let laying = false;

/**
 * Lays a hand on the hidden machine of the open ticket, and records what came of it as facts of the ticket.
 *
 * @returns whether it was laid
 */
export const layHand =
  (hand: Hand): Thunk<Promise<boolean>> =>
  async (dispatch, getState) => {
    const practice = practiceOf(getState());
    if (!practice || laying) return false;
    const say = (text: string): false => {
      dispatch(saidAloud({ text, to: null }));
      return false;
    };
    if (practice.ended) return say('It has gone back. Take the same machine again to try something else.');
    laying = true;
    try {
      const { dealt } = practice;
      const before = practice.hands.map(({ do: doing, what }) => ({ do: doing, what }) as Hand);
      const seen = await askMachine<Result<Seen>>((api) => api.lay(dealt, before, hand));
      if (!seen.ok) return say(seen.problem);
      if (seen.value.refused) return say(seen.value.words);
      const now = getState().openTicket.ticket;
      // Something was taken back, or another ticket opened, while the machine was asked.
      if (now.status !== 'open' || practiceOf(getState()) !== practice) return false;
      const at = new Date().toISOString();
      const newId = (): string => nanoid(10);
      const facts: EventBody[] = [...factsOf(hand, seen.value, now.record.ticket, { at, newId })];
      if (hand.do === 'handBack') {
        const end = await askMachine<Result<Ending>>((api) => api.end(dealt, [...before, hand]));
        if (!end.ok) return say(end.problem);
        const { judgement, right, cured, year, belts, minutes } = end.value;
        facts.push(
          { type: 'ticketClosed', despite: cured ? '' : 'Practice: it went back as it was.' },
          { type: 'practiceEnded', ended: { at, judgement, right, cured, comesBack: year.comesBack, belts, minutes } },
        );
      }
      const laid = dispatch(recordEvents(facts));
      if (laid) soundOf(seen.value.sound);
      return laid;
    } catch {
      return say(NO_ANSWER);
    } finally {
      laying = false;
    }
  };
