import type { EventBody, Ticket } from '@loose-pulley/core/record/ticket';
import { fitHeld } from '../store/openTicket';
import type { Thunk } from '../store/types';
import { recordEvents } from './recording';

/**
 * Puts a belt on: at once where nothing was cleaned, else only once nothing is wet, greasy or unwiped near it. What holds
 * it back is asked about first, at the foot of the page.
 *
 * @returns whether it was heard: it is on, or is asked about
 */
export const fitBelt =
  (ticket: Ticket, driveId: string, bodies: readonly EventBody[]): Thunk<boolean> =>
  (dispatch) => {
    // On a hidden machine it is a hand that puts it on, and that says how it does.
    if (ticket.practice) {
      const fitted = bodies.find((body) => body.type === 'tryLogged')?.try;
      void import('../practice/fitHand').then(({ fitHand }) => fitted && dispatch(fitHand(fitted)));
      return true;
    }
    const putOn = (): boolean => {
      const heard = dispatch(recordEvents(bodies));
      // What waited to be answered for is answered: a belt that was held back and then put on is one try.
      if (heard) dispatch(fitHeld(null));
      return heard;
    };
    if (ticket.cleaning.treatments.length === 0 && !ticket.timers.some(({ placeId }) => placeId !== undefined))
      return putOn();
    void import('@loose-pulley/core/views/clean').then(({ beltHeld }) => {
      if (beltHeld(ticket, driveId, Date.now()).length > 0) dispatch(fitHeld({ driveId, bodies }));
      else putOn();
    });
    return true;
  };
