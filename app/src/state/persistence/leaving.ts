import type { RootState } from '../store/types';
import type { Keeper } from './keeper';

/** Whether closing the page now would lose something: letters not in a ticket yet, a ticket or the bench book not in the store yet. */
export const wouldLose = ({ openTicket, book }: RootState, keeper: Pick<Keeper, 'isBusy'>): boolean =>
  keeper.isBusy ||
  book.saving !== 'kept' ||
  openTicket.unsaved.itself > 0 ||
  openTicket.unsaved.enter > 0 ||
  openTicket.stranded.length > 0 ||
  Object.keys(openTicket.drafts).length > 0 ||
  Object.keys(openTicket.halfLines).length > 0;

/** Lets the browser ask before the page is left with something unsaved. */
export function askBeforeLeaving(getState: () => RootState, keeper: Pick<Keeper, 'isBusy'>): void {
  addEventListener('beforeunload', (event) => {
    if (wouldLose(getState(), keeper)) event.preventDefault();
  });
}
