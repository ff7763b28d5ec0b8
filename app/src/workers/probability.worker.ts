import './living';
import {
  answerProbability,
  type ProbabilityAnswer,
  type ProbabilityQuestion,
} from '@loose-pulley/core/belts/probability';

/** A question with its number: a later one makes an earlier one stale. */
export interface NumberedQuestion {
  readonly id: number;
  readonly question: ProbabilityQuestion;
}
export interface NumberedAnswer {
  readonly id: number;
  readonly answer: ProbabilityAnswer;
  /** False while a finer estimate is on its way. */
  readonly last: boolean;
}

/** A quick look first, then as fine as the eye can tell. */
const STAGES = [1000, 4000];

let latest = 0;
const breathe = (): Promise<void> => new Promise((go) => setTimeout(go, 0));

addEventListener('message', ({ data }: MessageEvent<NumberedQuestion>) => {
  latest = data.id;
  void answer(data);
});

async function answer({ id, question }: NumberedQuestion): Promise<void> {
  for (const [stage, draws] of STAGES.entries()) {
    // A newer question waits in the queue: let it in before the long part.
    await breathe();
    if (id !== latest) return;
    const reply: NumberedAnswer = {
      id,
      answer: answerProbability(question, draws, stage < STAGES.length - 1),
      last: stage === STAGES.length - 1,
    };
    postMessage(reply);
  }
}
