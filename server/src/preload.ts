import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { placeAt } from '../../app/src/shell/places';

/** A built file as the build's manifest lists it. */
interface Chunk {
  readonly file: string;
  readonly imports?: readonly string[];
}
/** The page itself, as the manifest calls it. */
const ENTRY = 'index.html';
/** The letters of every page. */
const FONT = 'archivo-latin-wdth-normal.woff2';
/** What keeps the bench book. */
const BOOK = 'src/state/persistence/bookKeeper.ts';
type Manifest = Readonly<Record<string, Chunk>>;

/**
 * What a page needs beside the entry's own script, for each address: its chunk and all that is imported. Named in the page's
 * head, they are asked for in the first round instead of after the entry has run.
 *
 * @param staticDir the built app, with the manifest that its build wrote
 * @returns the links for an address; those of the entry alone where no page of that name was built
 */
export function preloader(staticDir: string): (path: string) => string {
  const file = join(staticDir, '.vite/manifest.json');
  if (!existsSync(file)) return () => '';
  const manifest = JSON.parse(readFileSync(file, 'utf8')) as Manifest;
  const withImports = (key: string, seen: Set<string>): Set<string> => {
    if (seen.has(key) || !manifest[key]) return seen;
    seen.add(key);
    manifest[key].imports?.forEach((one) => withImports(one, seen));
    return seen;
  };
  const linksOf = (keys: ReadonlySet<string>): string =>
    [...keys]
      .filter((one) => one !== ENTRY)
      .map((one) => `<link rel="modulepreload" crossorigin href="/${manifest[one]?.file}">`)
      .join('');
  const font = manifest[Object.keys(manifest).find((key) => key.endsWith(FONT)) ?? '']?.file;
  const fontLink = font ? `<link rel="preload" as="font" type="font/woff2" crossorigin href="/${font}">` : '';
  // The entry's own script stands in the page already.
  const entry = withImports(ENTRY, new Set());
  const scriptsOf = ({ source, book }: { readonly source: string; readonly book?: true }): ReadonlySet<string> => {
    const page = withImports(`src/${source}.tsx`, new Set(entry));
    return book ? withImports(BOOK, page) : page;
  };
  return (path) => {
    const place = placeAt(path);
    return fontLink + linksOf(place ? scriptsOf(place) : entry);
  };
}
