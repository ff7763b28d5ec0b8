import { useEffect } from 'react';

/** What the tab is called. @example titleOf('Log') // 'Log · Loose Pulley' */
export const titleOf = (name: string): string => (name === '' ? 'Loose Pulley' : `${name} · Loose Pulley`);

/** Sets the tab's title. */
export function useTitle(name: string): void {
  useEffect(() => {
    document.title = titleOf(name);
  }, [name]);
}
