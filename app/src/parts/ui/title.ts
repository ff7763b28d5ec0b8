import { useEffect } from 'react';

/** Sets the tab's title. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = title === '' ? 'Loose Pulley' : `${title} · Loose Pulley`;
  }, [title]);
}
