import { nanoid } from 'nanoid';
import { useState } from 'react';
import { inWords, testName } from '@loose-pulley/core/work/diagnosis';
import { recordEvent } from '../../state/persistence/recording';
import { usePageKey } from '../../parts/keys/useKeys';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import type { Advice } from './useAdviser';

/** What the owner’s words seem to answer: confirmed by one key, one after the other, or set aside. */
export function Offers({ advice }: { readonly advice: Advice }) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const [aside, setAside] = useState<ReadonlySet<string>>(new Set());
  const { machine, offers } = advice;
  const open = offers.filter(({ testId, outcome }) => !aside.has(`${testId} ${outcome}`));
  const [offer] = open;
  const take = (): void => {
    if (!offer || !canWrite) return;
    const { testId, outcome } = offer;
    dispatch(
      recordEvent({
        type: 'observed',
        observation: { id: nanoid(10), at: new Date().toISOString(), testId, outcome, driveId: null },
      }),
    );
  };
  usePageKey('confirm', offer ? take : undefined);
  const test = offer && machine.tests.find(({ id }) => id === offer.testId);
  const outcome = test?.outcomes.find(({ id }) => id === offer?.outcome);
  if (!offer || !test || !outcome) return null;
  return (
    <section aria-label="What the owner said" className="grid gap-2 border-l-4 border-ink pl-3">
      <p>
        {offer.from} says <q>{offer.quote}</q>. Is it so? <strong>{testName(test, machine.loader)}:</strong>{' '}
        {inWords(outcome.label, machine.loader)}.
        {open.length > 1 && <span className="text-soft"> {open.length - 1} more to confirm.</span>}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="strong" keyCap={keys?.confirm} disabled={!canWrite} onClick={take}>
          It is so
        </Button>
        <Button onClick={() => setAside(new Set([...aside, `${offer.testId} ${offer.outcome}`]))}>
          No, or not sure
        </Button>
      </div>
    </section>
  );
}
