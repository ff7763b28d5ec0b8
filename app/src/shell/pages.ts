import type { ComponentType } from 'react';
import { page, type Page } from '../parts/ui/page';
import { placeAt, PLACES, STATION_PLACES } from './places';

/** The files of all pages, each fetched by itself. The frame of a ticket is not among them: every ticket needs it first. */
const FILES = import.meta.glob<Record<string, ComponentType>>([
  '../pages/**/*Page.tsx',
  '../stations/**/*Page.tsx',
  './swap/SwapPage.tsx',
]);

const made = new Map<string, Page>();
/** The page of a file below `app/src`, as the table of places names it. */
export function pageOf(source: string): Page {
  const known = made.get(source);
  if (known) return known;
  const load = FILES[source.startsWith('shell/') ? `./${source.slice(6)}.tsx` : `../${source}.tsx`];
  const name = source.split('/').at(-1) ?? '';
  const one = page(async () => {
    const component = (await load?.())?.[name];
    if (!component) throw new Error(`${source}.tsx has no ${name}.`);
    return component;
  });
  made.set(source, one);
  return one;
}

/** Fetches the pages next in line once the first one stands, so that going there waits for nothing. */
export function fetchIdly(): void {
  const LATER_MS = 2500;
  setTimeout(() => {
    const soon = [...PLACES, ...Object.values(STATION_PLACES)].filter((one) => one.soon);
    void Promise.all(soon.map(({ source }) => pageOf(source).fetch())).catch(() => undefined);
  }, LATER_MS);
}

/** Fetches what an address will want, so that the first page is drawn in one go. A failed fetch is met again when shown. */
export async function fetchAhead(pathname: string): Promise<void> {
  const place = placeAt(pathname);
  if (place)
    await pageOf(place.source)
      .fetch()
      .catch(() => undefined);
}
