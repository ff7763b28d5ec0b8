import { existsSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';

/** A built file as the build's manifest lists it. */
interface Chunk {
  readonly file: string;
  readonly imports?: readonly string[];
}
/** The page itself, as the manifest calls it. */
const ENTRY = 'index.html';
/** The letters of every page. */
const FONT = 'archivo-latin-wdth-normal.woff2';
/** What keeps the bench book, and the pages that are drawn with it in one go. */
const BOOK = 'bookKeeper.ts';
const WITH_BOOK = /^(Drawer|Orders|Day|Size|Swap)Page/;
type Manifest = Readonly<Record<string, Chunk>>;

/** The page that an address opens, as its source file is named: `/t/a/handBack` is `handbackpage.tsx`. */
function pageOf(path: string): string {
  const parts = path.split('/').filter(Boolean);
  const name = parts[0] === 't' ? parts[2] : (parts[0] ?? 'bench');
  return `${(name ?? '').toLowerCase()}page.tsx`;
}

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
  const book = Object.keys(manifest).find((key) => key.endsWith(BOOK));
  const scriptsOf = (key: string): ReadonlySet<string> => {
    const page = withImports(key, new Set(entry));
    return book && WITH_BOOK.test(basename(key)) ? withImports(book, page) : page;
  };
  const pages = new Map(
    Object.keys(manifest)
      .filter((key) => key.endsWith('Page.tsx'))
      .map((key) => [basename(key).toLowerCase(), linksOf(scriptsOf(key))]),
  );
  return (path) => fontLink + (pages.get(pageOf(path)) ?? linksOf(entry));
}
