import { useState, type ReactNode } from 'react';
import type { Practice, StationId } from '@loose-pulley/core/record/stations';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../ui/Button';

/** Pages that say what to do next or which belt, and whose help it is. */
const HELPS: Readonly<Record<string, { readonly station: StationId; readonly who: string }>> = {
  find: { station: 'find', who: 'The adviser' },
  size: { station: 'size', who: 'Size' },
  swap: { station: 'size', who: 'Size' },
  cycle: { station: 'size', who: 'The cycle in time' },
};

/** A page whose help is silent until it is asked for, or off altogether, as this practice was begun. */
export default function Covered({
  practice,
  place,
  canWrite,
  children,
}: {
  readonly practice: Practice;
  readonly place: string;
  readonly canWrite: boolean;
  readonly children: ReactNode;
}) {
  const dispatch = useAppDispatch();
  /** Asked for, it speaks until the next hand is laid. */
  const [askedAt, setAskedAt] = useState<string | null>(null);
  const now = `${place} ${practice.hands.length}`;
  const help = HELPS[place];
  if (!help || practice.dealt.help === 'on' || practice.ended || askedAt === now) return children;
  if (practice.dealt.help === 'off')
    return (
      <div className="max-w-prose px-5 py-6">
        <p className="text-lg">{help.who} is off in this practice: look, think, and lay your hands on it above.</p>
      </div>
    );
  return (
    <div className="grid max-w-prose justify-items-start gap-3 px-5 py-6">
      <p className="text-lg">{help.who} is silent until it is asked. It then speaks until your next hand.</p>
      <Button
        disabled={!canWrite}
        onClick={() => {
          dispatch(recordEvent({ type: 'helpAsked', station: help.station }));
          setAskedAt(now);
        }}
      >
        Ask
      </Button>
    </div>
  );
}
