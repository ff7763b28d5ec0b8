/** What a word of a typed line is taken for, at whatever station. */
export const WORD_ROLES = [
  'count',
  'figure',
  'way',
  'thing',
  'driver',
  'done',
  'place',
  'agent',
  'outcome',
  'symptom',
  'dirt',
  'how',
  'power',
  'denied',
  'others',
  'minded',
  'idle',
  'notKnown',
] as const;
export type WordRole = (typeof WORD_ROLES)[number];

/** A word of a line as it was typed, and what it is taken for. */
export interface Accounted {
  readonly word: string;
  readonly role: WordRole;
}

/** Of what several parts of one word are taken for, J12 or 6mm, the weightiest counts. */
const BY_WEIGHT: readonly WordRole[] = [
  'idle',
  'count',
  'figure',
  'way',
  'how',
  'place',
  'driver',
  'done',
  'outcome',
  'symptom',
  'dirt',
  'thing',
  'agent',
  'power',
  'others',
  'minded',
  'denied',
  'notKnown',
];

/**
 * The words of a line with what each is taken for: none is left out.
 *
 * @param taken stretches of letters, and what they are taken for
 */
export const wordsTaken = (
  line: string,
  taken: ReadonlyArray<{ readonly from: number; readonly to: number; readonly role: WordRole }>,
): readonly Accounted[] =>
  [...line.matchAll(/\S+/g)].map(({ 0: word, index }) => ({
    word,
    role: taken
      .filter(({ from, to }) => from < index + word.length && to > index)
      .reduce<WordRole>((all, { role }) => (BY_WEIGHT.indexOf(role) > BY_WEIGHT.indexOf(all) ? role : all), 'idle'),
  }));
