import { useEffect } from 'react';
import { unsavedChanged, type Unsaved } from '../../state/store/openTicket';
import { useAppDispatch } from '../../state/store/hooks';

/**
 * Says that a field holds letters which are not in the ticket yet: the foot says so, and leaving the page asks.
 *
 * @param how `itself`: they go into the ticket by themselves; `enter`: they wait for Enter or a button
 */
export function useUnsaved(how: Unsaved, holds: boolean): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!holds) return;
    dispatch(unsavedChanged({ how, by: 1 }));
    return () => void dispatch(unsavedChanged({ how, by: -1 }));
  }, [how, holds, dispatch]);
}
