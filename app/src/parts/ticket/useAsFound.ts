import { useEffect, useMemo, useState } from 'react';
import type { Ticket } from '@loose-pulley/core/record/ticket';

type AsFound = (ticket: Ticket) => Ticket;
let loaded: AsFound | undefined;

/**
 * A ticket with every finding where its station looks for it. What reads findings is fetched once the page stands; until
 * then a ticket is as it was typed.
 */
export function useAsFound(ticket: Ticket | undefined): Ticket | undefined {
  const [asFound, setAsFound] = useState<AsFound | undefined>(() => loaded);
  useEffect(() => {
    if (asFound) return;
    let here = true;
    void import('@loose-pulley/core/record/findings').then((findings) => {
      loaded = findings.asFound;
      if (here) setAsFound(() => findings.asFound);
    });
    return () => {
      here = false;
    };
  }, [asFound]);
  return useMemo(() => ticket && (asFound ? asFound(ticket) : ticket), [ticket, asFound]);
}
