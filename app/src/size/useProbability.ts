import { useEffect, useMemo, useRef, useState } from 'react';
import { CATALOGUE } from '@loose-pulley/core/catalogue';
import type { DriveFacts } from '@loose-pulley/core/measuring';
import type { ProbabilityAnswer, ProbabilityQuestion } from '@loose-pulley/core/probability';
import type { Situation } from '@loose-pulley/core/sizing';
import { listenForProbability } from '../workers/probability';
import type { Try } from '@loose-pulley/core/stations';

/** The same for a drive whenever it is looked at, so that its odds do not flicker. */
const SEED = 20261125;

export interface ProbabilityView {
  readonly answer: ProbabilityAnswer | null;
  /** False while a finer estimate is on its way. */
  readonly settled: boolean;
  /** The worker died and was begun again. */
  readonly restarted: boolean;
}

/** The odds of every belt on this drive, worked out beside the page; the last answer stays until a newer one comes. */
export function useProbability(situation: Situation, facts: DriveFacts, tries: readonly Try[]): ProbabilityView {
  const [view, setView] = useState<{
    readonly answer: ProbabilityAnswer | null;
    /** The question that was answered to the last draw. */
    readonly settledFor: ProbabilityQuestion | null;
    readonly restarted: boolean;
  }>({ answer: null, settledFor: null, restarted: false });
  const listener = useRef<ReturnType<typeof listenForProbability> | null>(null);
  const question = useMemo(
    (): ProbabilityQuestion => ({
      situation,
      belts: CATALOGUE,
      tries: tries.flatMap(({ verdict, shape, thicknessMm, innerLengthMm, widthMm }) =>
        verdict === 'untried'
          ? []
          : [
              {
                verdict,
                belt: {
                  shape,
                  thicknessMm,
                  innerLengthMm,
                  ...(widthMm !== null && { widthMm }),
                  innerLengthToleranceMm: innerLengthMm * 0.01,
                },
              },
            ],
      ),
      ...(facts.oldBelt && { oldBelt: facts.oldBelt }),
      seed: SEED,
    }),
    [situation, facts, tries],
  );
  useEffect(() => {
    const started = listenForProbability({
      onAnswer: (answer, last, asked) => setView((before) => ({ ...before, answer, settledFor: last ? asked : null })),
      onRestart: () => setView((before) => ({ ...before, settledFor: null, restarted: true })),
    });
    listener.current = started;
    return () => {
      listener.current = null;
      started.stop();
    };
  }, []);
  useEffect(() => listener.current?.ask(question), [question]);
  return { answer: view.answer, settled: view.settledFor === question, restarted: view.restarted };
}
