import type { StationMark } from '@loose-pulley/core/record/stations';

/** The state of a station by shape: a ring, a tick, a dash; the current one has a dot. */
export function Mark({ mark, current = false }: { readonly mark: StationMark; readonly current?: boolean }) {
  return (
    <svg viewBox="0 0 16 16" aria-hidden className="h-4 w-4 shrink-0 fill-none stroke-current stroke-2">
      {mark === 'done' && <path d="M2.5 8.5 6 12 13.5 4" />}
      {mark === 'notNeeded' && <path d="M3 8h10" />}
      {mark === 'open' && <circle cx="8" cy="8" r="6" />}
      {mark === 'open' && current && <circle cx="8" cy="8" r="2.5" className="fill-current" />}
    </svg>
  );
}
