import { edgeOf, NUMBERS, sensesAt, slipsOf, type Edge, type Sense, type Token } from '../../base/spoken';
import { KNOWN, LEXICON, type Word } from './lexicon';
import type { Said } from './said';
import type { NounKind } from './words';

/** Registered names of recesses, and however they are spelt. */
const DRIVE_BEGINS: ReadonlyArray<readonly [RegExp, string]> = [
  [/^phil[a-z]*$/, 'PH'],
  [/^pozi[a-z]*$/, 'PZ'],
  [/^tor[a-z]$/, 'T'],
];
const ALLEN = /^alle[a-z]$/;

const isNumber = (token: Token | undefined): boolean =>
  token !== undefined && (/^\d+$/.test(token.word) || Object.hasOwn(NUMBERS, token.word));

/** Every sense of every word of a line, as edges of the chart; a slip of the finger with what it may have meant. */
export function sensesOf(tokens: readonly Token[]): readonly Edge<Said>[] {
  return tokens.flatMap((token, at): readonly Edge<Said>[] => {
    const put = (length: number, { sense, value, cost }: Sense<Word>, from = at): Edge<Said> =>
      edgeOf(from, length, { sense, value: { ...value, from, to: from + length, glued: token.glued }, cost });
    const { word } = token;
    if (/^\d/.test(word)) {
      const number = Number(word.replace(',', '.'));
      return [
        put(1, {
          sense: Number.isInteger(number) && /^\d+$/.test(word) ? 'num' : 'decimal',
          value: { is: 'count', number, figure: word },
          cost: 0,
        }),
      ];
    }
    const senses = sensesAt(tokens, at, LEXICON).map(([length, sense]) => put(length, sense));
    const drive = DRIVE_BEGINS.find(([pattern]) => pattern.test(word));
    if (drive) senses.push(put(1, { sense: 'drive', value: { is: 'driver', figure: drive[1] }, cost: 0 }));
    if (ALLEN.test(word))
      senses.push(put(1, { sense: 'hexKey', value: { is: 'driver', figure: 'hex socket' }, cost: 0 }));
    // “2 clips no 3 clips” and “six screws, no seven, …” put right; “gear no 3” names.
    const after = tokens[at + 2];
    if (
      word === 'no' &&
      at > 0 &&
      isNumber(tokens[at + 1]) &&
      tokens.slice(0, at).some(isNumber) &&
      (after === undefined || kindOf(after.word) || /^[,;]$/.test(after.word))
    )
      senses.push(put(1, { sense: 'sep', value: { is: 'separator', noun: 'correct' }, cost: 0 }));
    // “…, no the left one”.
    if (
      word === 'no' &&
      /^[,.]$/.test(tokens[at - 1]?.word ?? '') &&
      /^(?:the|it|only|just|left|right)$/.test(tokens[at + 1]?.word ?? '')
    )
      senses.push(put(1, { sense: 'sep', value: { is: 'separator', noun: 'correct' }, cost: -0.3 }));
    if (senses.length === 0)
      for (const meant of slipsOf(word, LEXICON)) {
        const asMeant = tokens.map((one, i) => (i === at ? { ...one, word: meant } : one));
        // It may be the first of several words that belong together, or a later one.
        for (const start of [at, at - 1, at - 2])
          for (const [length, sense] of start < 0 ? [] : sensesAt(asMeant, start, LEXICON))
            if (start + length > at)
              senses.push(
                put(
                  length,
                  {
                    sense: sense.sense,
                    value: { ...sense.value, slip: true },
                    cost: sense.cost + (sense.value.plural ? 1.6 : 1.5),
                  },
                  start,
                ),
              );
      }
    const spelt = /\p{L}/u.test(word);
    if (!senses.some(({ from, to }) => from === at && to === at + 1))
      senses.push(put(1, { sense: 'strange', value: { is: 'strange', noun: word, strange: 1 }, cost: 0 }));
    // A word that only means something beside others may stand alone after all.
    else
      senses.push(
        put(1, {
          sense: 'stray',
          value: { is: spelt ? 'strange' : 'idle', noun: word, ...(spelt && { strange: 1 }) },
          cost: 0,
        }),
      );
    return senses;
  });
}

/** The kind of a noun, where it is one. @example kindOf('lid') // 'cover' */
export const kindOf = (noun: string): NounKind | undefined =>
  sensesAt([{ word: noun, from: 0, to: noun.length, glued: false }], 0, LEXICON).find(
    ([, { sense }]) => sense === 'noun',
  )?.[1].value.kind;

/** Whether a word is one of the lexicon's, alone or as part of several. */
export const isKnown = (word: string): boolean =>
  KNOWN.has(word) || DRIVE_BEGINS.some(([pattern]) => pattern.test(word)) || ALLEN.test(word);
