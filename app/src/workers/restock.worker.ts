import './living';
import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { cover, type Cover, type RestockQuestion } from '@loose-pulley/core/shop/restock';

export interface RestockAsked {
  readonly question: RestockQuestion;
  readonly budget: number;
}
/** So long is searched before what was found so far is given, not proved. */
const PATIENCE_MS = 20_000;

addEventListener('message', ({ data: { question, budget } }: MessageEvent<RestockAsked>) => {
  const until = performance.now() + PATIENCE_MS;
  const { demands, owned, offers } = question;
  postMessage(
    cover(demands, owned, offers, budget, () => performance.now() > until, THRESHOLDS.stocked) satisfies Cover,
  );
});
