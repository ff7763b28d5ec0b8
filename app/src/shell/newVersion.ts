import { useSyncExternalStore } from 'react';
import type { Workbox } from 'workbox-window';
import { isDemo } from '../state/boot';

/**
 * Which version of the app this page is, beside the one that the browser keeps: the same; an older one, while a newer
 * waits to be asked for; or one that another tab has replaced. A page never takes parts of another version: they are
 * named by what they hold.
 */
export type Version = 'same' | 'waiting' | 'replaced';

const CHECK_EVERY_MS = 3_600_000;

let version: Version = 'same';
let worker: Workbox | undefined;
let askedHere = false;
const listeners = new Set<() => void>();

function become(next: Version): void {
  version = next;
  listeners.forEach((tell) => tell());
}

const subscribe = (tell: () => void): (() => void) => {
  listeners.add(tell);
  return () => listeners.delete(tell);
};

export const useVersion = (): Version => useSyncExternalStore(subscribe, () => version);

/**
 * Keeps the whole app in the browser, so that a stopped server or a new build breaks no open bench. A browser that
 * keeps nothing for pages fetched over a network goes on without.
 */
export async function keepApp(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  const { Workbox } = await import('workbox-window');
  // The first version that takes charge replaces none.
  let replaces = navigator.serviceWorker.controller !== null;
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    if (replaces && askedHere) window.location.reload();
    else if (replaces) become('replaced');
    // So that the demo can be set up afresh without its server.
    else if (isDemo) void fetch('/demo/wrackline.json').catch(() => undefined);
    replaces = true;
  });
  worker = new Workbox('/sw.js', { updateViaCache: 'none' });
  worker.addEventListener('waiting', () => become('waiting'));
  await worker.register();
  setInterval(() => void worker?.update().catch(() => undefined), CHECK_EVERY_MS);
}

/** Lets the waiting version take over, and loads this page anew; or only that, where it has taken over already. */
export function loadNewVersion(): void {
  if (version === 'replaced') {
    window.location.reload();
    return;
  }
  askedHere = true;
  worker?.messageSkipWaiting();
}
