import { ok, type Result } from '@loose-pulley/core/units';
import { WorkerEnded } from '../../workers/life';
import { beginExchange } from './session';
import type { Counts, Packed, PackedShare } from './work';

/** An archive that was read back whole. */
export type WholeArchive = Packed & Counts;

/** From how many tickets on two workers share the work. Never yet: with 2,000 the second one was seen not to come to an end. */
const WORTH_SHARING = Infinity;

/**
 * Packs every ticket of the store with its pictures, and reads the archive back before it is called packed: by two
 * workers where there is much to pack. Where one ends meanwhile, all of it is done once more.
 *
 * @param count about how many tickets there are
 */
export async function packAll(count: number, madeAt: string): Promise<Result<WholeArchive>> {
  try {
    return await pack(count, madeAt);
  } catch (error) {
    if (!(error instanceof WorkerEnded)) throw error;
    return pack(count, madeAt);
  }
}

async function pack(count: number, madeAt: string): Promise<Result<WholeArchive>> {
  const shares = count < WORTH_SHARING ? 1 : 2;
  const sessions = Array.from({ length: shares }, beginExchange);
  const [first, second] = sessions;
  if (!first) throw new Error('no worker');
  try {
    const [, other] = await Promise.all([
      first.ask<PackedShare>((work) => work.packShare([0, shares], false)),
      second?.ask<PackedShare>((work) => work.packShare([1, shares], true)),
    ]);
    const { bytes, setAside } = await first.ask<Packed>((work) => work.join(other ?? null, madeAt));
    const read = await Promise.all([
      first.ask<Result<Counts>>((work) => work.verify([0, shares])),
      second?.ask<Result<Counts>>((work) => work.verify([1, shares], bytes)),
    ]);
    const [mine, others] = read;
    if (!mine.ok) return mine;
    if (others && !others.ok) return others;
    return ok({ bytes, setAside, ...mine.value });
  } finally {
    sessions.forEach(({ end }) => end());
  }
}
