import { transfer } from 'comlink';
import type { BenchTexts } from '@loose-pulley/core/files/exchange';
import { ok, type Result } from '@loose-pulley/core/base/units';
import { WorkerEnded } from '../../workers/life';
import { beginExchange } from './session';
import type { Counts, Joined, PackedShare } from './work';

/** An archive that was read back whole. */
export type WholeArchive = Joined & Counts;

/** A bench of fewer tickets is packed before a second worker has begun. */
const WORTH_SHARING = 500;

/**
 * Packs every ticket of the store with its pictures, and reads the archive back before it is called packed: by two
 * workers where there is much to pack. Where one ends meanwhile, all of it is done once more.
 *
 * @param count about how many tickets there are
 * @param bench the bench's own files
 */
export async function packAll(count: number, madeAt: string, bench: BenchTexts): Promise<Result<WholeArchive>> {
  try {
    return await pack(count, madeAt, bench);
  } catch (error) {
    if (!(error instanceof WorkerEnded)) throw error;
    return pack(count, madeAt, bench);
  }
}

async function pack(count: number, madeAt: string, bench: BenchTexts): Promise<Result<WholeArchive>> {
  const shares = count < WORTH_SHARING ? 1 : 2;
  const sessions = Array.from({ length: shares }, beginExchange);
  const [first, second] = sessions;
  if (!first) throw new Error('no worker');
  try {
    await Promise.all(sessions.map(({ ask }, index) => ask<void>((work) => work.packShare([index, sessions.length]))));
    const other = await second?.ask<PackedShare | undefined>((work) => work.giveShare());
    const moved = other && transfer(other, [other.tickets.packed.buffer]);
    const { zip, setAside } = await first.ask<Joined>((work) => work.join(moved, madeAt, bench));
    const read = await Promise.all(
      sessions.map(({ ask }, index) => ask<Result<Counts>>((work) => work.verify([index, sessions.length], zip))),
    );
    const [mine] = read;
    const refused = read.find((one) => !one.ok);
    if (refused) return refused;
    return ok({ zip, setAside, ...(mine as { readonly value: Counts }).value });
  } finally {
    sessions.forEach(({ end }) => end());
  }
}
