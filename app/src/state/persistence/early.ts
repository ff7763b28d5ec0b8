interface Early {
  /** Listens no longer. @returns what was typed until now */
  end(): string;
}

/**
 * What was typed before the app ran: `public/front.js` listens from the first paint on, until the field that starts the
 * work stands and takes it.
 */
export function endEarly(): string {
  const { typedEarly } = window as unknown as { readonly typedEarly?: Early };
  const text = typedEarly?.end() ?? '';
  // A key of the app that came before it is no word.
  return /^[/?]/.test(text) ? '' : text;
}
