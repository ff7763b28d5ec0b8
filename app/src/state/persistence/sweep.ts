import { sweepPictures } from './pictures';
import { loadSummaries } from './tickets';

/** Sweeps pictures at start. What is on screen and not kept yet is younger than the start, so it cannot be lost. */
export const sweep = (): Promise<number> =>
  sweepPictures(async () => new Set((await loadSummaries()).flatMap(({ pictures }) => pictures)));
