import { useState } from 'react';
import type { Taken } from '@loose-pulley/core/belts/measuring';
import { Button } from '../ui/Button';

/** A text that is typed as a reading. What is doubted is kept by one press, for as long as the text stays as it is. */
export function useTaken(take: (text: string, keep: boolean) => Taken, start = '') {
  const [text, setText] = useState(start);
  const [kept, setKept] = useState<string | null>(null);
  const taken = text.trim() === '' ? undefined : take(text, kept === text);
  return {
    text,
    setText,
    taken,
    /** The reading, where it is one. */
    read: taken?.state === 'reading' ? taken.read : undefined,
    keep: () => setKept(text),
  };
}

/** Why a text is no reading, or the question whether it is one. */
export function TakenNote({ taken, onKeep }: { readonly taken: Taken | undefined; readonly onKeep: () => void }) {
  if (!taken) return null;
  const problem = taken.state === 'reading' ? taken.waits : taken.problem;
  if (problem === '') return null;
  return (
    <p role="alert" className="flex flex-wrap items-center gap-x-3 text-live">
      {problem}
      {taken.state === 'doubt' && (
        <Button look="quiet" onClick={onKeep}>
          Keep it as read
        </Button>
      )}
    </p>
  );
}
