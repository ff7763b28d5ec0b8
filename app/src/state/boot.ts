/** Whose data this page works on; the server writes it into the page. A development page is a bench. */
const content = (name: string): string => document.querySelector<HTMLMetaElement>(`meta[name=${name}]`)?.content ?? '';

export const isDemo: boolean = content('mode') === 'demo';

/** The page's nonce, for the one part that injects a style. Empty in development. */
export const nonce: string = content('nonce').startsWith('__') ? '' : content('nonce');
