import { databaseName } from './storage';

/** What tabs tell one another. */
export type TabMessage =
  | { readonly type: 'saved'; readonly id: string }
  | { readonly type: 'removed'; readonly id: string }
  | { readonly type: 'handOver'; readonly id: string }
  /** The bench book. */
  | { readonly type: 'book' }
  /** Many tickets at once. */
  | { readonly type: 'imported' };

const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(databaseName) : undefined;

/** Whether tabs can see each other here. Not over plain http on a network. */
export const tabsSeeEachOther: boolean = channel !== undefined && 'locks' in navigator;

export const tellTabs = (message: TabMessage): void => channel?.postMessage(message);

/** Listens to the other tabs. @returns how to stop */
export function onTabMessage(listener: (message: TabMessage) => void): () => void {
  const handle = (event: MessageEvent<TabMessage>): void => listener(event.data);
  channel?.addEventListener('message', handle);
  return () => channel?.removeEventListener('message', handle);
}

const lockName = (id: string): string => `${databaseName}/${id}`;
/** How long another tab is given to let go by itself before the lock is taken from it. */
const PATIENCE_MS = 1500;

/** The right to write one ticket, held until released or taken away. */
export interface Hold {
  release(): void;
}

/**
 * Asks for the right to write a ticket.
 *
 * @param onLost called when another tab took it
 * @param how `try` answers at once; `wait` until the other tab closes; `take` asks it to let go, then takes
 * @returns the hold, or undefined where another tab has it
 */
export function holdTicket(
  id: string,
  onLost: () => void,
  how: 'try' | 'wait' | 'take',
  signal?: AbortSignal,
): Promise<Hold | undefined> {
  if (!('locks' in navigator)) return Promise.resolve({ release: () => undefined });
  const ask = (options: LockOptions): Promise<Hold | undefined> =>
    new Promise((resolve, reject) => {
      let granted = false;
      let released = false;
      navigator.locks
        .request(lockName(id), options, (lock) => {
          if (!lock) {
            resolve(undefined);
            return undefined;
          }
          granted = true;
          return new Promise<void>((letGo) => {
            resolve({
              release() {
                released = true;
                letGo();
              },
            });
          });
        })
        .catch((error: unknown) => {
          if (granted && !released) onLost();
          else if (!granted) reject(error instanceof Error ? error : new Error(String(error)));
        });
    });
  if (how === 'try') return ask({ ifAvailable: true });
  if (how === 'wait') return ask(signal ? { signal } : {}).catch(() => undefined);
  return ask({ ifAvailable: true }).then((free) => free ?? takeFrom());

  function takeFrom(): Promise<Hold | undefined> {
    tellTabs({ type: 'handOver', id });
    return ask({ signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => ask({ steal: true }));
  }
}

/** Does something to tickets while no other tab writes them. A tab that did is asked to let go, and reads them anew. */
export async function withHolds<T>(ids: readonly string[], work: () => Promise<T>): Promise<T> {
  const holds: Array<Hold | undefined> = [];
  try {
    for (const id of ids) {
      const hold = await holdTicket(id, () => undefined, 'take');
      if (!hold) throw new Error('Another tab writes one of the tickets and does not let go of it. Close it there.');
      holds.push(hold);
    }
    return await work();
  } finally {
    holds.forEach((hold) => hold?.release());
  }
}
