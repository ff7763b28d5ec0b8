import { useSyncExternalStore } from 'react';

let nowMs = Date.now();
const listeners = new Set<() => void>();
let tick: ReturnType<typeof setInterval> | undefined;

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  tick ??= setInterval(() => {
    nowMs = Date.now();
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

/** Today by this machine's own calendar, as `2026-11-25`. */
export function today(): string {
  const now = new Date();
  const pad = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
}
