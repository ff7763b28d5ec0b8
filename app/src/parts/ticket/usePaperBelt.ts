import { useSearchParams } from 'react-router';
import { candidateOf, type DriveView } from '@loose-pulley/core/views/drive';
import type { Candidate } from '@loose-pulley/core/belts/sizing';
import { useRecommendation, type RecommendationView } from './useRecommendation';

/** The belt that a paper is about: the one looked at in Size, else the recommended one. Paper waits for the whole answer. */
export function usePaperBelt(view: DriveView): {
  readonly recommendation: RecommendationView;
  readonly picked: Candidate | undefined;
  readonly ready: boolean;
} {
  const [search] = useSearchParams();
  const recommendation = useRecommendation(view);
  const picked = candidateOf(recommendation, search.get('belt')) ?? recommendation.best;
  return { recommendation, picked, ready: recommendation.status === 'settled' || !view.situation.ok };
}
