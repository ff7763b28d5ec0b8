import './living';
import { playPopulation, type DriveClass, type Population } from '@loose-pulley/lab/population';
import type { Priors } from '@loose-pulley/core/belts/sizing';

export interface PlayOrder {
  readonly kind: DriveClass;
  readonly drives: number;
  readonly seed: number;
  readonly priors: Priors;
}
export type PlayNews =
  { readonly type: 'progress'; readonly done: number } | { readonly type: 'played'; readonly population: Population };

addEventListener('message', ({ data }: MessageEvent<PlayOrder>) => {
  const say = (news: PlayNews): void => postMessage(news);
  const population = playPopulation(data.kind, data.drives, data.seed, data.priors, {
    onDrive: (done) => {
      if (done % 5 === 0) say({ type: 'progress', done });
    },
  });
  say({ type: 'played', population });
});
