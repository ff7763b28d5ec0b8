import { useEffect, useState } from 'react';
import type { BenchTexts } from '@loose-pulley/core/files/exchange';
import { arrivedOf, type Arrived } from '../../state/exchange/benchParts';
import { useAppDispatch } from '../../state/store/hooks';
import { Button, CommitButton } from '../../parts/ui/Button';

/** A bench that came along with its tickets: book, settings, tables, each asked about. */
export default function ArrivedBench({ bench }: { readonly bench: BenchTexts }) {
  const dispatch = useAppDispatch();
  const [arrived, setArrived] = useState<readonly Arrived[]>([]);
  const [said, setSaid] = useState<readonly string[]>([]);
  useEffect(() => {
    let current = true;
    void dispatch(arrivedOf(bench)).then((found) => {
      if (!current) return;
      setArrived(found.arrived);
      setSaid(found.problems);
    });
    return () => {
      current = false;
    };
  }, [bench, dispatch]);
  const settle = (one: Arrived, words: string): void => {
    setArrived((all) => all.filter((other) => other !== one));
    setSaid((all) => [...all, words]);
  };
  return (
    <section aria-label="The bench itself" className="grid gap-3">
      {arrived.map((one) => (
        <div key={one.part} className="grid gap-2 border-l-4 border-live pl-3">
          <p>{one.says}</p>
          <p className="flex flex-wrap gap-2">
            <CommitButton
              look="strong"
              onClick={() =>
                void dispatch(one.take).then(
                  (words) => settle(one, words),
                  () => setSaid((all) => [...all, 'The browser did not keep it. Nothing was changed.']),
                )
              }
            >
              Take theirs
            </CommitButton>
            <Button onClick={() => settle(one, 'Mine is kept.')}>Keep mine</Button>
          </p>
        </div>
      ))}
      {said.map((words, at) => (
        <p key={`${at}-${words}`} role="status">
          {words}
        </p>
      ))}
    </section>
  );
}
