import { useSyncExternalStore } from 'react';

let nowMs = Date.now();
let setBackMs = 0;
/** A clock that is set by a network is put right by a second or two now and then. */
const SLACK_MS = 2000;
const listeners = new Set<() => void>();
let tick: ReturnType<typeof setInterval> | undefined;

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  tick ??= setInterval(() => {
    const nextMs = Date.now();
    if (nextMs < nowMs - SLACK_MS) setBackMs += nowMs - nextMs;
    nowMs = nextMs;
    listeners.forEach((hear) => hear());
  }, 1000);
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    clearInterval(tick);
    tick = undefined;
  };
}

/** The time to the second, one clock for all that show it; it stands still while nobody looks. */
export const useNow = (): number => useSyncExternalStore(subscribe, () => nowMs);

/** How far the clock was set back since the page was opened, as far as anybody looked at it. */
export const useSetBackMs = (): number => useSyncExternalStore(subscribe, () => setBackMs);
