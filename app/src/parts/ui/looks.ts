/** The one thing to do in a place is `strong`; others are `plain`; those in running text are `quiet`. */
export type Look = 'strong' | 'plain' | 'quiet';

/** What whatever is pressed looks like, be it a button, a link or a file picker. */
export const LOOKS: Readonly<Record<Look, string>> = {
  strong: 'bg-ink text-paper border border-ink px-4 font-semibold',
  plain: 'bg-sheet border border-ink px-4 font-semibold',
  quiet: 'underline decoration-hair decoration-2 underline-offset-4 px-1',
};
