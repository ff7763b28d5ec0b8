import { useSyncExternalStore } from 'react';

const lists = new Map<string, MediaQueryList>();
function listOf(query: string): MediaQueryList {
  const known = lists.get(query) ?? matchMedia(query);
  lists.set(query, known);
  return known;
}

/** Whether a media query holds now. @example useMedia('print') */
export const useMedia = (query: string): boolean =>
  useSyncExternalStore(
    (tell) => {
      listOf(query).addEventListener('change', tell);
      return () => listOf(query).removeEventListener('change', tell);
    },
    () => listOf(query).matches,
  );
