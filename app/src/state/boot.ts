/*
 * Whose data this page works on. The server writes into the page whether it is a demo; a development page is a bench.
 * Practice is another bench below an address of its own, whatever the server is. A worker has no page: it is told by
 * whoever began it.
 */
export type Bench = 'bench' | 'demo' | 'practice';
interface Told {
  readonly bench?: Bench;
  readonly document?: { querySelector(selector: string): unknown };
  readonly location?: { readonly pathname: string };
}
const told = globalThis as unknown as Told;
const content = (name: string): string =>
  (told.document?.querySelector(`meta[name=${name}]`) as { readonly content: string } | null | undefined)?.content ??
  '';

const PRACTICE = /^\/practice(?=\/|$)/;
/** The bench whose server this is, practice aside. */
export const homeBench: Bench = content('mode') === 'demo' ? 'demo' : 'bench';
export const bench: Bench =
  told.bench ?? (PRACTICE.test(told.location?.pathname ?? '') && told.document ? 'practice' : homeBench);
export const isDemo: boolean = bench === 'demo';
export const isPractice: boolean = bench === 'practice';
/** What stands before every address of this bench. */
export const basePath: string = isPractice ? '/practice' : '';
/** Where this page is, on its own bench. */
export const pathHere = (): string => (told.location?.pathname ?? '').slice(basePath.length) || '/';

/** The page's nonce, for the one part that injects a style. Empty in development. */
export const nonce: string = content('nonce').startsWith('__') ? '' : content('nonce');
