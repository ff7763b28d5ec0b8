import { databaseName, pictureTable } from './storage';

/*
 * Pictures are kept beside the tickets, under the hash of their content. One is written before the ticket that names
 * it; what no ticket ever named, because a tab died in between, is swept at start.
 */

/** A blob made anew from what the store holds; null where this machine has no such picture. */
export async function loadPicture(id: string): Promise<Blob | null> {
  const bytes = await pictureTable.getItem<ArrayBuffer>(id);
  return bytes && new Blob([bytes], { type: 'image/jpeg' });
}

/** Bytes of the pictures that are here, of those asked for. */
export async function loadPictures(ids: readonly string[]): Promise<Record<string, Uint8Array>> {
  const found: Record<string, Uint8Array> = {};
  if (ids.length === 0) return found;
  // Asking for each of those that are not here takes far longer than asking once which are.
  const here = new Set(await pictureTable.keys());
  for (const id of new Set(ids)) {
    if (!here.has(id)) continue;
    const bytes = await pictureTable.getItem<ArrayBuffer>(id);
    if (bytes) found[id] = new Uint8Array(bytes);
  }
  return found;
}

/** Writes one picture. Rejects with what the browser threw. */
export async function savePicture(id: string, bytes: Uint8Array): Promise<void> {
  if (await hasPicture(id)) return;
  await pictureTable.setItem(id, bytes.slice().buffer);
}

const hasPicture = async (id: string): Promise<boolean> => (await pictureTable.getItem(id)) !== null;

const LOCK = `${databaseName}/pictures`;

/** Does something that writes pictures before their ticket, while no other tab sweeps. */
export async function whilePicturesStay<T>(work: () => Promise<T>): Promise<T> {
  if (!('locks' in navigator)) return work();
  return navigator.locks.request(LOCK, { mode: 'shared' }, work);
}

/** Drops the pictures that no ticket names; none where that cannot be told (null). Leaves it where another tab is just putting some in. @returns how many */
export async function sweepPictures(named: () => Promise<ReadonlySet<string> | null>): Promise<number> {
  const sweep = async (): Promise<number> => {
    const ids = await pictureTable.keys();
    if (ids.length === 0) return 0;
    const wanted = await named();
    if (!wanted) return 0;
    const stray = ids.filter((id) => !wanted.has(id));
    for (const id of stray) await pictureTable.removeItem(id);
    return stray.length;
  };
  // Without locks tabs cannot see each other, so nothing is swept.
  if (!('locks' in navigator)) return 0;
  return navigator.locks.request(LOCK, { ifAvailable: true }, (lock) => (lock ? sweep() : 0));
}
