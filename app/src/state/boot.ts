/*
 * Whose data this page works on; the server writes it into the page. A development page is a bench. A worker has no
 * page: it is told by whoever began it.
 */
interface Told {
  readonly isDemo?: boolean;
  readonly document?: { querySelector(selector: string): unknown };
}
const told = globalThis as unknown as Told;
const content = (name: string): string =>
  (told.document?.querySelector(`meta[name=${name}]`) as { readonly content: string } | null | undefined)?.content ??
  '';

export const isDemo: boolean = told.isDemo ?? content('mode') === 'demo';

/** The page's nonce, for the one part that injects a style. Empty in development. */
export const nonce: string = content('nonce').startsWith('__') ? '' : content('nonce');
