import { useState, type KeyboardEvent } from 'react';
import type { TakenLine, Way } from '@loose-pulley/core/belts/readingLine';
import { Button } from '../ui/Button';
import { InDoubt } from '../ui/InDoubt';

/**
 * A text that is typed as a reading. What is doubted is kept by one press, and what may be meant in several ways is
 * answered by one, for as long as the text stays as it is.
 */
export function useTaken(take: (text: string, keep: boolean) => TakenLine, start = '') {
  const [text, setText] = useState(start);
  const [kept, setKept] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  const [chosen, setChosen] = useState<{ readonly text: string; readonly at: number } | null>(null);
  const line = text.trim() === '' ? undefined : take(text, kept === text);
  const asked = line?.state === 'question' ? line : undefined;
  const taken = line?.state === 'question' ? (chosen?.text === text ? line.ways[chosen.at]?.taken : undefined) : line;
  return {
    text,
    setText: (now: string) => {
      setAsking(false);
      setText(now);
    },
    taken,
    /** What is asked of the text, until it is answered. */
    question:
      asked && taken === undefined
        ? {
            asked,
            asking,
            answer: (way: Way) => setChosen({ text, at: asked.ways.indexOf(way) }),
            notYet: () => setAsking(false),
          }
        : undefined,
    /** Enter asks what there is to ask: then one key answers. */
    enter: (event: KeyboardEvent) => {
      if (!asked || taken) return;
      // Or this very Enter would press the first answer.
      event.preventDefault();
      setAsking(true);
    },
    /** The reading, where it is one. */
    read: taken?.state === 'reading' ? taken.read : undefined,
    keep: () => setKept(text),
  };
}

type Question = NonNullable<ReturnType<typeof useTaken>['question']>;

/** Why a text is no reading, or the question whether it is one, or which. */
export function TakenNote({
  taken,
  question,
  onKeep,
}: {
  readonly taken: TakenLine | undefined;
  readonly question?: Question | undefined;
  readonly onKeep: () => void;
}) {
  if (question)
    return (
      <InDoubt
        asks={question.asked.problem}
        readings={question.asked.ways}
        asking={question.asking}
        disabled={false}
        onChoose={question.answer}
        onNotYet={question.notYet}
      />
    );
  if (!taken || taken.state === 'question') return null;
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
