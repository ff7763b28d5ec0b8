import { picturesNamed } from '@loose-pulley/core/record/ticket';
import { sweepPictures } from './pictures';
import { loadDeleted } from './deleted';
import { loadSummaries } from './tickets';

/** Sweeps pictures at start. What is on screen and not kept yet is younger than the start, so it cannot be lost. */
export const sweep = (): Promise<number> =>
  sweepPictures(async () => {
    const [{ summaries, setAside }, deleted] = await Promise.all([loadSummaries(), loadDeleted()]);
    // A record that cannot be read may name any of them.
    if (setAside.length > 0) return null;
    return new Set([
      ...summaries.flatMap(({ pictures }) => pictures),
      ...deleted.flatMap(({ record }) => picturesNamed(record)),
    ]);
  });
