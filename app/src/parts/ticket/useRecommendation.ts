import { useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { questionOf, recommend, type DriveView, type Recommendation } from '@loose-pulley/core/views/drive';
import type { ProbabilityAnswer, ProbabilityQuestion } from '@loose-pulley/core/belts/probability';
import { keepAnswer, keptAnswer } from '../../state/persistence/keptAnswers';
import { listenForProbability } from '../../workers/probability';
import { selectItems, useAppSelector } from '../../state/store/hooks';
import { ownedOf, useOwned } from './useOwned';

interface Heard {
  readonly question: ProbabilityQuestion | null;
  readonly answer: ProbabilityAnswer | null;
  readonly last: boolean;
}

export interface RecommendationView extends Recommendation {
  /** Whether the work beside the page ended: it was begun again, or ended so often that it was left at that. */
  readonly trouble: 'restarted' | 'givenUp' | null;
}

/**
 * The recommendation for a drive, worked out beside the page. Nothing is recommended before the first answer; the last
 * answer of the same drive stays, as provisional, until a newer one comes.
 */
export function useRecommendation(view: DriveView): RecommendationView {
  const question = questionOf(view);
  const kept = question && keptAnswer(question);
  const [heard, setHeard] = useState<Heard>({ question: null, answer: null, last: false });
  const [trouble, setTrouble] = useState<RecommendationView['trouble']>(null);
  const listener = useRef<ReturnType<typeof listenForProbability> | null>(null);
  useEffect(() => {
    const started = listenForProbability({
      onAnswer: (answer, last, asked) => {
        if (last) keepAnswer(asked, answer);
        setHeard({ question: asked, answer, last });
      },
      onRestart: () => setTrouble('restarted'),
      onGivenUp: () => setTrouble('givenUp'),
    });
    listener.current = started;
    return () => {
      listener.current = null;
      started.stop();
    };
  }, []);
  useEffect(() => {
    if (question && !keptAnswer(question)) listener.current?.ask(question);
  }, [question]);
  // An answer to an older question of this drive is better than none while the finer one is on its way.
  const sameDrive = heard.question?.situation.driven === view.driven && question !== undefined;
  const answer = kept ?? (sameDrive ? heard.answer : null);
  const settled = kept !== undefined || (heard.last && heard.question === question);
  const owned = useOwned(view);
  const recommendation = useMemo(() => recommend(view, answer, settled, owned), [view, answer, settled, owned]);
  return useMemo(() => ({ ...recommendation, trouble }), [recommendation, trouble]);
}

/** The recommendations for several drives at once, as paper shows them: each is asked about once, and kept. */
export function useRecommendations(views: readonly DriveView[]): readonly Recommendation[] {
  const items = useAppSelector(selectItems);
  const [, answered] = useReducer((count: number) => count + 1, 0);
  const questions = views.map(questionOf);
  const open = questions.filter((one) => one !== undefined && !keptAnswer(one)) as ProbabilityQuestion[];
  // One drive after the other: the first that is still open, until none is.
  const next = open[0];
  useEffect(() => {
    if (!next) return undefined;
    const started = listenForProbability({
      onAnswer: (answer, last, asked) => {
        if (!last) return;
        keepAnswer(asked, answer);
        answered();
      },
      onRestart: () => undefined,
      onGivenUp: () => undefined,
    });
    started.ask(next);
    return () => started.stop();
  }, [next]);
  return views.map((view, index) => {
    const question = questions[index];
    const answer = (question && keptAnswer(question)) ?? null;
    return recommend(view, answer, answer !== null, ownedOf(items, view));
  });
}
