import { conflictsOf, rowOf, settlementOf, type Finding } from '@loose-pulley/core/record/findings';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { usePageKey } from '../keys/useKeys';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';

/** What was found and cannot all be so, side by side until a hand says which it is. */
export default function Conflicts() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const [conflict] = conflictsOf(ticket);
  const settle = (kept: Finding, dropped: Finding): void =>
    void dispatch(
      recordEvent({ type: 'findingSettled', settlement: settlementOf(kept, dropped, new Date().toISOString()) }),
    );
  const pair = conflict && canWrite ? conflict : undefined;
  usePageKey('firstFinding', pair && (() => settle(pair.one, pair.other)));
  usePageKey('otherFinding', pair && (() => settle(pair.other, pair.one)));
  if (!conflict) return null;
  const { one, other } = conflict;
  return (
    <section
      role="status"
      aria-label="What was found does not fit together"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-live bg-sheet px-5 py-2 print:hidden"
    >
      <p>
        <strong>Both cannot be so:</strong> {rowOf(one.kind).name} ({one.from}), and {rowOf(other.kind).name} (
        {other.from}). Which is it?
      </p>
      {canWrite && (
        <p className="flex flex-wrap gap-2">
          <Button keyCap={keys?.firstFinding} onClick={() => settle(one, other)}>
            {rowOf(one.kind).name}
          </Button>
          <Button keyCap={keys?.otherFinding} onClick={() => settle(other, one)}>
            {rowOf(other.kind).name}
          </Button>
        </p>
      )}
    </section>
  );
}
